import { describe, expect, it } from 'vitest';
import { baseOf, CONSTRUCTIONS, derived, topOf } from '../../../../../tests/fixtures/constructions';
import { change, level } from '../../../../../tests/fixtures/demo';
import { barInBed } from '../../../check/slides';
import { withChanges } from '../../../document/job-document';
import { boundsOf } from '../../../solid/convex';
import { findPart, type TablePiece } from '../../piece';

const table = () => CONSTRUCTIONS.find((c) => c.name.includes('leaves on slides'))!.document;
const check = (job: ReturnType<typeof derived>, id: string) => job.checks.find((c) => c.id === id)!;
const along = (piece: TablePiece, id: string) => {
  const { from, to } = boundsOf(findPart(piece, id)!.placed);
  return { from: from[0], to: to[0] };
};

describe('a table drawn out', () => {
  it('is longer by its leaves, half of them at either side, and goes through the door closed', () => {
    const job = derived(table());
    const top = topOf(table(), 'extending');
    expect(job.piece.overall.length).toBeCloseTo(top.length + 2 * 380, 9);
    expect(job.piece.top.closed).toBeCloseTo(top.length, 9);
    expect(job.piece.base.length).toBeCloseTo(top.length - 2 * top.endOverhang, 9);
    const plates = ['half-left', 'leaf-1', 'leaf-2', 'half-right'].map((id) => along(job.piece, id));
    for (const [i, plate] of plates.slice(1).entries()) expect(plate.from).toBeCloseTo(plates[i]!.to, 9);
    const narrow = change(table(), (d) => {
      d.brief.door = { width: 900, height: 1700 };
    });
    expect(level(derived(narrow), 'people.door')).not.toBe('stop');
  });

  it('closed, its runners lie inside its halves at their outer ends and short of the other apron at their inner', () => {
    const { piece } = derived(table());
    const apron = along(piece, 'apron-right').from;
    for (const word of ['front', 'back']) {
      const runner = along(piece, `runner-left-${word}`);
      const closed = { from: runner.from + 380, to: runner.to + 380 };
      expect(closed.from).toBeGreaterThan(-750);
      expect(closed.to).toBeLessThan(apron);
      // Drawn out, what is asked stays in the guide, measured from the end apron's inside.
      expect(runner.to - along(piece, 'apron-left').to).toBeGreaterThanOrEqual(260 - 1e-9);
    }
    expect(check(derived(table()), 'slides.overlap').value.amount).toBeCloseTo(
      along(piece, 'runner-left-front').to - along(piece, 'apron-left').to,
      9,
    );
  });

  it('gives as its beam bends: the overhang by adding up the moment along it (statics)', () => {
    const job = derived(table());
    const { document } = { document: table() };
    const { edge } = document.form.loads;
    const [a, o] = [job.piece.span.beyond, check(job, 'slides.overlap').value.amount];
    const second = (2 * 28 * 44 ** 3) / 12 + (600 * 24 ** 3) / 12;
    const stiff = job.species.modulusOfElasticity * second;
    // Virtual work: ∫ M·m/EI over the overhang and the part held in the guide.
    let give = 0;
    const steps = 20_000;
    for (let i = 0; i < steps; i += 1) {
      const s = ((i + 0.5) * (a + o)) / steps;
      const arm = s < a ? s : (a * (a + o - s)) / o;
      give += (((edge * arm * arm) / stiff) * (a + o)) / steps;
    }
    const part = (label: string) => {
      const own = check(job, 'slides.give').figure!.inputs.find((input) => input.label === label)!.quantity;
      return typeof own === 'object' ? own.amount : Number.NaN;
    };
    expect(part('Bending')).toBeCloseTo(give, 4);
    // The play of half a millimetre up and down goes out by its lever.
    expect(part('Tilting by it')).toBeCloseTo((1 * a) / o, 9);
    expect(check(job, 'slides.give').value.amount).toBeCloseTo(
      give + part('Tilting by it') + part('Keys pressed into their grooves'),
      6,
    );
    expect(level(job, 'stiffness.top-end')).toBeUndefined();
  });

  it('a stiff bar pressed into its bed: found again by balancing a thousand springs', () => {
    const [load, out, held, bed] = [400, 620, 240, 500];
    // Springs side by side: y = y0 + turn·x, forces and moments in balance about the edge.
    const n = 4000;
    let [s0, s1, s2] = [0, 0, 0];
    for (let i = 0; i < n; i += 1) {
      const x = ((i + 0.5) * held) / n;
      const k = (bed * held) / n;
      s0 += k;
      s1 += k * x;
      s2 += k * x * x;
    }
    const det = s0 * s2 - s1 * s1;
    const edge = (load * s2 + load * out * s1) / det;
    const turn = (-load * out * s0 - load * s1) / det;
    const { give, deepest } = barInBed(load, out, held, bed);
    expect(deepest).toBeCloseTo(edge, 5);
    expect(give).toBeCloseTo(edge - turn * out, 4);
  });

  it('the less of a runner is held, the more the end gives', () => {
    const gives = [350, 250, 150, 100].map((overlap) => {
      const job = derived(
        change(table(), (d) => {
          topOf(d, 'extending').slides.overlap = overlap;
        }),
      );
      return check(job, 'slides.give').value.amount;
    });
    for (const [i, give] of gives.entries()) if (i > 0) expect(give).toBeGreaterThan(gives[i - 1]!);
  });

  it('runs into corner blocks on its way, and leads out of them', () => {
    const blocked = change(table(), (d) => {
      baseOf(d, 'leg-apron').cornerBlocks = true;
    });
    const met = check(derived(blocked), 'slides.travel');
    expect(met.level).toBe('stop');
    expect(met.where.some((id) => id.includes('block'))).toBe(true);
    const free = derived(withChanges(blocked, met.wayOut!.changes));
    expect(level(free, 'slides.travel')).toBe('good');
  });

  it('leaves too little of a low apron under its ways', () => {
    const low = change(table(), (d) => {
      topOf(d, 'extending').slides.height = 92;
    });
    const ways = check(derived(low), 'slides.ways');
    expect(ways.level).toBe('stop');
    expect(level(derived(withChanges(low, ways.wayOut!.changes)), 'slides.ways')).not.toBe('stop');
  });

  it('keeps its leaves in the base only where they fit, turned', () => {
    const inside = (crossRails: number) =>
      derived(
        change(table(), (d) => {
          topOf(d, 'extending').stored = 'inside';
          baseOf(d, 'leg-apron').crossRails = crossRails;
        }),
      );
    // Across the table a leaf is as long as the table is wide: a rail in the middle leaves no room for it.
    expect(level(inside(1), 'slides.storage')).toBe('stop');
    expect(level(inside(0), 'slides.storage')).toBe('good');
  });

  it('is glued up as two panels, halves and leaves, each crosscut from one', () => {
    const { demand, glueUps, operations } = derived(table());
    expect(demand.panels.map(({ id }) => id)).toEqual(['half-left', 'leaf-1']);
    const [halves, leaves] = demand.panels;
    expect(halves!.finished.length).toBeCloseTo(1500 + 5, 9);
    expect(leaves!.finished.length).toBeCloseTo(2 * 380 + 5, 9);
    expect(glueUps.map(({ panel }) => panel)).toEqual(['half-left', 'leaf-1']);
    expect(operations.some(({ id }) => id === 'slides')).toBe(true);
    const ids = operations.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
  });

  it('asks for slots that let its halves move: screws in round holes are stopped', () => {
    const tight = change(table(), (d) => {
      d.form.hold = { kind: 'rail-screws', travel: 0, inward: null, screwLength: 35 };
      d.season.homePlaceId = 'heron-ferry';
    });
    expect(level(derived(tight), 'season.top-travel')).toBe('stop');
  });

  it('stands on upright legs and aprons only, and says so', () => {
    const trestle = CONSTRUCTIONS.find((c) => c.name.includes('refectory'))!.document;
    const { problems } = derived(
      change(trestle, (d) => {
        d.form.top = topOf(table(), 'extending');
      }),
    );
    expect(problems.some(({ where }) => where === 'form.base.kind')).toBe(true);
  });
});
