import { describe, expect, it } from 'vitest';
import { change, demoJob, insertedCorner, sixSeats } from '../../../tests/fixtures/demo';
import { withChanges } from '../document/job-document';
import { drawView } from '../drawing/drawing';
import { volumeOf } from '../solid/convex';
import { distance } from '../solid/distance';
import { solidInPiece } from '../solid/frame';
import { derivePiece } from './derive-piece';
import { findPart } from './piece';

const piece = (document = demoJob('1-square-table')) => derivePiece(document);
const lock = (length: number | null, width: number | null, thickness: number | null) => ({
  length,
  width,
  thickness,
  on: '2027-03-20',
});

describe('a leg-and-apron table', () => {
  it('has aprons whose overall length is their shoulder length and both tenons', () => {
    const { parts, corner } = piece();
    const apron = parts.find((p) => p.id === 'apron-front')!;
    expect(apron.size.length).toBe(apron.shoulderLength + 2 * insertedCorner({ corner }).tenon.length);
    expect(apron.size.length).toBe(738);
    expect(apron.shoulderLength).toBe(670);
  });

  it('with loose tenons has aprons cut to their shoulder length, and lists the tenons', () => {
    const loose = piece(
      change(demoJob('1-square-table'), (d) => {
        d.joints.corner = 'loose-tenon';
      }),
    );
    const apron = findPart(loose, 'apron-front')!;
    expect(apron.size.length).toBe(apron.shoulderLength);
    expect(loose.fittings.find((f) => f.name === 'Loose tenons')?.count).toBe(8);
  });

  it('closes: legs and shoulders add up to the base, leg and top to the height', () => {
    const it = piece(sixSeats());
    const [leg, long, short, top] = ['leg-front-left', 'apron-front', 'apron-left', 'top'].map(
      (id) => findPart(it, id)!,
    );
    expect(2 * leg!.size.width + long!.shoulderLength).toBeCloseTo(it.base.length, 9);
    expect(2 * leg!.size.width + short!.shoulderLength).toBeCloseTo(it.base.width, 9);
    expect(leg!.size.length + top!.size.thickness).toBe(745);
    expect(it.base.length + 2 * it.overhang.end).toBe(it.overall.length);
  });

  it('gives each part its own letter, without I and O', () => {
    const letters = piece(sixSeats()).parts.map((p) => p.letter);
    expect(new Set(letters).size).toBe(letters.length);
    expect(letters.join('')).not.toMatch(/[IO]/);
  });

  it('keeps its parts from standing in one another between their shoulders', () => {
    const { parts } = piece(sixSeats());
    const solids = parts.map((part) => ({ name: part.name, body: part.body.map((s) => solidInPiece(part.frame, s)) }));
    for (const [i, a] of solids.entries()) {
      for (const b of solids.slice(i + 1)) {
        const apart = Math.min(...a.body.flatMap((p) => b.body.map((q) => distance(p, q))));
        expect(apart, `${a.name} and ${b.name}`).toBeGreaterThan(-1e-6);
      }
    }
  });

  it('a tapered leg has the volume of its straight part and a frustum', () => {
    const leg = findPart(piece(), 'leg-front-left')!;
    const { from, foot } = leg.taper!;
    let volume = 0;
    const n = 20_000;
    for (let i = 0; i < n; i += 1) {
      const z = ((i + 0.5) / n) * leg.size.length;
      const side = z >= from ? leg.size.width : foot + ((leg.size.width - foot) * z) / from;
      volume += (side * side * leg.size.length) / n;
    }
    expect(volumeOf(leg.body)).toBeCloseTo(volume, 0);
  });

  it('says what cannot be built, all of it at once', () => {
    const bad = piece(
      change(demoJob('1-square-table'), (d) => {
        d.form.top.endOverhang = 400;
        d.form.base.apron.reveal = 60;
        d.form.base.leg.taper = { kind: 'tapered', foot: 90, faces: 'inside', hollow: 0 };
      }),
    );
    expect(bad.problems.map((p) => p.where)).toEqual([
      'form.top.endOverhang',
      'form.base.apron.reveal',
      'form.base.leg.taper.foot',
    ]);
    for (const p of bad.problems) expect(p.wayOut.length).toBeGreaterThan(10);
  });
});

describe('cut it, lock it', () => {
  it('a top that came out 9 mm narrow changes the overhang and leaves the base alone', () => {
    const before = piece();
    const after = piece(
      change(demoJob('1-square-table'), (d) => {
        d.bench.locks.top = lock(null, 841, null);
      }),
    );
    expect(after.overall.width).toBe(841);
    expect(after.base).toEqual(before.base);
    expect(after.overhang.side).toBe(before.overhang.side - 4.5);
    expect(findPart(after, 'top')).toMatchObject({ locked: true, cut: true, design: { width: 850 } });
  });

  it('a long apron cut short moves the legs and its uncut fellow with it', () => {
    const before = piece();
    const after = piece(
      change(demoJob('1-square-table'), (d) => {
        d.bench.locks['apron-front'] = lock(728, null, null);
      }),
    );
    expect(after.base.length).toBe(before.base.length - 10);
    expect(findPart(after, 'apron-back')!.size.length).toBe(728);
    expect(findPart(after, 'apron-back')!.design.length).toBe(738);
    expect(findPart(after, 'leg-front-right')!.frame.at[0]).toBe(findPart(before, 'leg-front-right')!.frame.at[0] - 5);
  });

  it('legs planed thinner lengthen the shoulders of the aprons still to be cut', () => {
    const after = piece(
      change(demoJob('1-square-table'), (d) => {
        for (const id of ['leg-front-left', 'leg-front-right', 'leg-back-left', 'leg-back-right'])
          d.bench.locks[id] = lock(null, 53, 53);
      }),
    );
    expect(findPart(after, 'apron-front')!.shoulderLength).toBe(780 - 106);
  });

  it('a locked part no longer follows the design', () => {
    const after = piece(
      change(demoJob('1-square-table'), (d) => {
        d.bench.locks['apron-front'] = lock(738, 85, 22);
        d.form.base.apron.height = 120;
      }),
    );
    expect(findPart(after, 'apron-front')!.size.width).toBe(85);
    expect(findPart(after, 'apron-front')!.design.width).toBe(120);
  });
});

describe('the measured views', () => {
  it('draw the piece to its true extent and measure what they draw', () => {
    const it = piece(sixSeats());
    for (const name of ['plan', 'front', 'end'] as const) {
      const view = drawView(it, name);
      const [w, h] = {
        plan: [it.overall.length, it.overall.width],
        front: [it.overall.length, 745],
        end: [it.overall.width, 745],
      }[name];
      expect(view.bounds.width).toBeCloseTo(w!, 6);
      expect(view.bounds.height).toBeCloseTo(h!, 6);
      for (const d of view.dimensions) {
        expect(Math.hypot(d.to[0] - d.from[0], d.to[1] - d.from[1]), `${name} ${d.id}`).toBeCloseTo(d.value, 6);
      }
    }
  });

  it('exaggerate the movement in the lines and never in the figures', () => {
    const it = piece();
    const view = drawView(it, 'plan', { exaggeration: 20, sizeOf: (p) => ({ ...p.size, width: p.size.width * 1.01 }) });
    expect(view.dimensions.find((d) => d.id === 'width')!.value).toBeCloseTo(858.5, 6);
    expect(view.bounds.height).toBeCloseTo(850 * 1.2, 6);
  });
});

describe('changes of a document', () => {
  it('reach into a list by number, and leave the rest of it as it was', () => {
    const document = change(demoJob('1-square-table'), (d) => {
      if (d.form.top.kind !== 'glued-panel') throw new Error(d.form.top.kind);
      d.form.top.cutOuts = [1, 2].map((i) => ({ fromEnd: 100 * i, fromFront: 200, length: 60, width: 40 }));
    });
    const moved = withChanges(document, [{ path: 'form.top.cutOuts.1.fromEnd', value: 333 }]);
    const list = moved.form.top.kind === 'glued-panel' ? moved.form.top.cutOuts : null;
    expect(list).toEqual([
      { fromEnd: 100, fromFront: 200, length: 60, width: 40 },
      { fromEnd: 333, fromFront: 200, length: 60, width: 40 },
    ]);
  });
});
