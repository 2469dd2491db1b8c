import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived, topOf } from '../../../tests/fixtures/constructions';
import { change, sixSeats } from '../../../tests/fixtures/demo';
import type { TableInJob } from '../document/piece-in-job';
import { findPart } from '../piece/piece';
import { HOLDS, holdTie, pilotHole } from '../piece/table/holds/hold';
import { shifted } from '../solid/convex';
import { startBase } from '../start/start-form';
import { dimensionalChange } from '../wood/movement';
import type { TableContext } from './check';
import { cutsInParts } from './collisions';
import { seatsOf } from './people';

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const check = (document: TableInJob, id: string) => derived(document).checks.find((c) => c.id === id)!;

describe('slats', () => {
  const document = named('slats on crossed legs');

  it('lose of each gap what one slat grows between its halves, by the handbook’s coefficients', () => {
    const { piece, season, species } = derived(document);
    const slat = findPart(piece, 'slat-1')!;
    const grown = dimensionalChange({
      dimension: slat.size.width,
      species,
      ringAngle: season.ringAngle,
      fromMoisture: season.glued.moisture,
      toMoisture: season.wettest.moisture,
    });
    expect(check(document, 'season.gaps').value.amount).toBeCloseTo(piece.top.gap! - grown, 6);
  });

  it('with their gaps fill the top, and each is held at both bearers in its middle', () => {
    const { piece } = derived(document);
    const slats = piece.parts.filter((part) => part.kind === 'slat');
    const total = slats.reduce((sum, slat) => sum + slat.size.width, 0) + (slats.length - 1) * piece.top.gap!;
    expect(total).toBeCloseTo(document.form.top.width, 9);
    for (const fastener of piece.fasteners) {
      expect(fastener.y).toBeCloseTo(findPart(piece, fastener.holds)!.frame.at[1], 9);
    }
  });

  it('of which one has nothing under it stop the work', () => {
    const far = change(document, (d) => {
      d.form.top.sideOverhang = 150;
    });
    expect(check(far, 'fasteners.every-slat').level).toBe('stop');
  });
});

describe('breadboard ends', () => {
  const document = named('wedged stretcher');

  it('stand out by half of what they are longer, and the way out puts them half-way through the year', () => {
    const wet = change(document, (d) => {
      d.season.homePlaceId = 'heron-ferry';
      topOf(d, 'breadboard').end.proud = 0;
    });
    const first = check(wet, 'season.breadboard-ends');
    const { season } = derived(wet);
    expect(first.level).toBe('watch');
    expect(first.value.amount).toBeCloseTo((season.leadingWidth.wettest - document.form.top.width) / 2, 6);
    const better = change(wet, (d) => {
      topOf(d, 'breadboard').end.proud = first.wayOut!.changes[0]!.value as number;
    });
    expect(check(better, 'season.breadboard-ends').value.amount).toBeLessThan(first.value.amount * 0.6);
  });

  it('ask more of a peg the farther it stands from the middle', () => {
    const { restraint } = derived(document);
    const lines = restraint.ledger.filter((line) => line.tie.startsWith('breadboard-left:peg') && line.axis === 'y');
    const at = (tie: string) => Math.abs(restraint.ties.find((t) => t.id === tie)!.at.y);
    const byPlace = lines
      .map((line) => ({ y: at(line.tie), need: Math.max(line.plus.need, line.minus.need) }))
      .sort((a, b) => a.y - b.y);
    expect(byPlace.length).toBeGreaterThanOrEqual(4);
    expect(byPlace.at(-1)!.need).toBeGreaterThan(byPlace[0]!.need);
  });
});

describe('a base under a round top', () => {
  it('comes out first at its corner: R less the distance of the corner from the middle', () => {
    const square = change(named('a square table'), (d) => {
      topOf(d, 'glued-panel').outline = { kind: 'round' };
    });
    const { piece } = derived(square);
    const corner = Math.hypot(piece.base.length / 2, piece.base.width / 2);
    const out = check(square, 'form.under-outline');
    expect(out.level).toBe('stop');
    expect(out.value.amount).toBeCloseTo(430 - corner, 1);
  });

  it('seats as many as its edge has places: six at 1 200 mm, four at 900 (common practice, 24 in a chair)', () => {
    for (const [diameter, seats] of [
      [1200, 6],
      [900, 4],
    ] as const) {
      const round = change(named('an oval table'), (d) => {
        topOf(d, 'glued-panel').outline = { kind: 'round' };
        d.form.top.width = diameter;
      });
      expect(seatsOf({ document: round, piece: derived(round).piece })).toBe(seats);
    }
  });
});

describe('what runs into what', () => {
  it('a brace let into a narrow post where the stretcher goes through comes too near to it, and both are named', () => {
    const bad = change(named('wedged stretcher'), (d) => {
      const base = baseOf(d, 'trestle');
      base.post.width = 60;
      base.tenons = 1;
      const under = base.height - d.form.top.thickness - base.bearer.height;
      base.braces = { width: 50, thickness: 36, reach: under - base.stretcher.at };
    });
    const met = check(bad, 'joints.cuts-meet');
    expect(met.level).toBe('watch');
    expect(met.where.some((id) => id.startsWith('brace'))).toBe(true);
    expect(met.where).toContain('stretcher');
  });

  it('two mortises in one place stop the work; one that comes through a side does too', () => {
    const { piece } = derived(named('drawn by tusks'));
    const joint = piece.joints.find((own) => own.from === 'stretcher')!;
    const moved = (id: string, by: number) => ({
      ...joint,
      id,
      removed: joint.removed.map((cut) => ({
        ...cut,
        solid: shifted(cut.solid, [0, by, 0]),
      })),
    });
    const judged = (by: number, id: string) =>
      cutsInParts({ piece: { ...piece, joints: [joint, moved('moved', by)] } } as unknown as TableContext).find(
        (c) => c.id === id,
      )!;
    expect(judged(2, 'joints.cuts-meet').level).toBe('stop');
    expect(judged(2, 'joints.cuts-meet').value.amount).toBeLessThan(-5);
    expect(judged(60, 'joints.walls').level).toBe('stop');
  });

  it('stretchers as high as the aprons stand in them', () => {
    const bad = change(named('a slatted bench table'), (d) => {
      const base = baseOf(d, 'leg-apron');
      base.stretchers = { kind: 'h', height: 120, thickness: 22, at: 640 };
    });
    const met = check(bad, 'form.parts-meet');
    expect(met.level).toBe('stop');
    expect(met.value.amount).toBeGreaterThan(10);
    for (const { document } of CONSTRUCTIONS) expect(check(document, 'form.parts-meet').level).toBe('good');
  });
});

describe('fasteners', () => {
  const fastener = { id: 'a', x: 0, y: 300, on: 'rail', holds: 'top', way: [0, 1] as const, holdsMiddle: false };
  const room = (kind: keyof typeof HOLDS, way: readonly [number, number], inward: number | null = null) =>
    holdTie({ hold: { kind, travel: 5, inward }, fastener: { ...fastener, way }, underside: 700 }).room;

  it('in slots let it go across the grain whichever way their rail runs', () => {
    for (const way of [
      [1, 0],
      [0, 1],
    ] as const)
      for (const kind of ['slotted-cleats', 'buttons', 'clips'] as const)
        expect(room(kind, way).y).toEqual({ minus: 5, plus: 5 });
  });

  it('in slots may be set to one side: outward is away from the middle of the table', () => {
    expect(room('buttons', [1, 0], 2).y).toEqual({ minus: 2, plus: 5 });
    const front = { ...fastener, y: -300, way: [1, 0] as const };
    const tie = holdTie({ hold: { kind: 'buttons', travel: 5, inward: 2 }, fastener: front, underside: 700 });
    expect(tie.room.y).toEqual({ minus: 5, plus: 2 });
    // What is round has no sides.
    expect(room('oversized-holes', [1, 0], 2).y).toEqual({ minus: 5, plus: 5 });
  });

  it('never let it go farther than their nature, however much is asked', () => {
    const wide = holdTie({
      hold: { kind: 'figure-eight', travel: 20 },
      fastener: { ...fastener, way: [1, 0] },
      underside: 700,
    });
    expect(wide.room.y!.plus).toBe(HOLDS['figure-eight'].greatestTravel);
  });

  it('are bored for smaller than they are', () => {
    for (const length of [16, 30, 60]) {
      const { screw, pilot } = pilotHole(length);
      expect(pilot).toBeLessThan(screw);
    }
  });
});

describe('battens', () => {
  const document = named('kept flat by battens');

  it('lie under the top clear of bearers, held in the middle, their outer screws in slots', () => {
    const { piece } = derived(document);
    const battens = piece.parts.filter((part) => part.kind === 'batten');
    expect(battens).toHaveLength(2);
    for (const batten of battens) {
      const own = piece.fasteners.filter((fastener) => fastener.on === batten.id);
      expect(own.filter((fastener) => fastener.holdsMiddle)).toHaveLength(1);
      expect(own.length).toBeGreaterThanOrEqual(3);
    }
  });

  it('are told their way out, which leads out', () => {
    const tight = change(document, (d) => {
      if (d.form.flat.kind === 'battens') d.form.flat.travel = 0;
    });
    const [{ value } = { value: 0 }] = check(tight, 'season.batten-travel').wayOut!.changes;
    const free = change(document, (d) => {
      if (d.form.flat.kind === 'battens') d.form.flat.travel = value as number;
    });
    expect(check(free, 'season.batten-travel').level).not.toBe('stop');
  });
});

describe('where there is nothing to judge', () => {
  it('of an apron that is hollowed by its whole height no sag is told: it cannot be built', () => {
    const hollow = change(sixSeats() as TableInJob, (d) => {
      const base = baseOf(d, 'leg-apron');
      base.apron.arch = base.apron.height;
    });
    const { checks } = derived(hollow);
    expect(checks.filter(({ id }) => id === 'stiffness.apron-sag' || id === 'strength.apron')).toEqual([]);
    expect(checks.find(({ id }) => id === 'form.impossible.form.base.apron.arch')?.level).toBe('stop');
  });

  it('a top that is screwed to its battens alone has no screw in its bevel', () => {
    const box = change(sixSeats() as TableInJob, (d) => {
      d.form.base = startBase('box', d.form.top, 450);
      d.form.top = { ...topOf(d, 'glued-panel'), edge: { kind: 'under-bevelled', width: 60, left: 12 } };
      d.form.flat = { kind: 'channels', count: 1, width: 22, depth: 12, travel: 4 };
    });
    expect(derived(box).checks.filter(({ id }) => id === 'fasteners.in-bevel')).toEqual([]);
  });
});
