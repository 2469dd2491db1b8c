import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, aPart, demandFor, plainOptions as options } from '../../../tests/fixtures/layout-parts';
import type { Board, Defect } from '../stock/board';
import { boardShape, reachAcross } from '../stock/board-shape';
import { sawyer } from './best-sawing';
import { clearRegions, overlap } from './clear-regions';
import { cutSequence } from './cut-sequence';
import { kindsOf, readyBoards } from './ready-boards';
import { usefulOffcuts } from './sawn-board';

const defects: fc.Arbitrary<Defect[]> = fc.array(
  fc.record({
    kind: fc.constantFrom('knot' as const, 'sapwood' as const, 'check' as const),
    x: fc.integer({ min: 0, max: 1500 }),
    y: fc.integer({ min: 0, max: 150 }),
    length: fc.integer({ min: 10, max: 300 }),
    width: fc.integer({ min: 5, max: 60 }),
    face: fc.constantFrom('through' as const, 'tagged' as const, 'under' as const),
  }),
  { maxLength: 3 },
);
const board: fc.Arbitrary<Board> = fc
  .record({
    length: fc.integer({ min: 900, max: 2600 }),
    width: fc.integer({ min: 110, max: 280 }),
    taper: fc.integer({ min: 0, max: 40 }),
    defects,
  })
  .map(({ length, width, taper, defects: found }) =>
    aBoard('b', length, width, {
      farWidth: taper > 15 ? width - taper : null,
      defects: found.filter((d) => d.x + d.length <= length && d.y + d.width <= width),
    }),
  );

const demand = demandFor(
  [aPart('long', 830, 85), aPart('short', 410, 62), aPart('wide', 520, 120, 22, { shows: 'face' })],
  [aPanel(1100, 600)],
);
const pricesFor = (kinds: ReturnType<typeof kindsOf>, each: readonly number[]) => ({
  parts: kinds.parts.map(({ length, width }, i) => (each[i] ?? 1) * length * width * 1e-5),
  bands: kinds.bands.map(({ length }) => ({ mm: (each[3] ?? 1) * length * 1e-5, each: 0 })),
  offcut: 0.5e-5,
  cut: 0,
});

describe('the sawing of a board that is worth most', () => {
  const each = fc.array(fc.double({ min: 0.4, max: 1.6, noNaN: true }), { minLength: 4, maxLength: 4 });

  it('can be sawn, keeps clear of what spoils each piece, and is worth no more than the board would be clear', () => {
    fc.assert(
      fc.property(board, each, (one, shares) => {
        const kinds = kindsOf(demand, options, [one]);
        const [ready] = readyBoards([one], options, kinds);
        if (!ready) return;
        const prices = pricesFor(kinds, shares);
        const { saw, clear } = sawyer(kinds, options, prices);
        const state = saw(ready, 0);
        const most = clear(ready);
        if (!state || !most) return;
        let worth = 0;
        for (const piece of state.pieces) {
          const use = 'part' in piece ? kinds.parts[piece.part]?.use : kinds.bands[piece.band]?.use;
          for (const spoil of ready.spoiled[use ?? 0]?.[piece.lie] ?? []) expect(overlap(piece, spoil)).toBe(false);
          expect(piece.y + piece.width).toBeLessThanOrEqual(
            reachAcross(boardShape(one), piece.x, piece.x + piece.length) + 1e-6,
          );
          worth +=
            'part' in piece ? (prices.parts[piece.part] ?? 0) : (prices.bands[piece.band]?.mm ?? 0) * piece.finished;
        }
        const left = usefulOffcuts(state, options);
        expect(
          cutSequence({ x: 0, y: 0, length: one.length, width: one.width }, [...state.pieces, ...left], {
            kerf: options.kerf,
            step: 0,
          }),
        ).not.toBeNull();
        worth += left.reduce((sum, r) => sum + r.length * r.width, 0) * prices.offcut;
        expect(worth).toBeLessThanOrEqual(most.worth + 1e-9);
        expect(saw(ready, worth + 1e-3 * most.worth)).toBeNull();
      }),
      { numRuns: 30 },
    );
  });

  it('is on a clear board worth what nothing can be worth more than', () => {
    const one = aBoard('b', 1930, 187);
    const kinds = kindsOf(demand, options, [one]);
    const [ready] = readyBoards([one], options, kinds);
    const prices = pricesFor(kinds, [1, 1.2, 1.1, 1.05]);
    const { saw, clear } = sawyer(kinds, options, prices);
    const most = clear(ready as NonNullable<typeof ready>);
    if (!most) throw new Error('no bound');
    const found = saw(ready as NonNullable<typeof ready>, most.worth * 0.999);
    expect(found).not.toBeNull();
    expect(saw(ready as NonNullable<typeof ready>, most.worth + 1e-9)).toBeNull();
    const told = most.gives.parts.reduce((sum, n, i) => sum + n * (prices.parts[i] ?? 0), 0);
    const strips = most.gives.bands.reduce((sum, { mm }, k) => sum + mm * (prices.bands[k]?.mm ?? 0), 0);
    expect(told + strips + most.gives.offcut * prices.offcut).toBeCloseTo(most.worth, 9);
  });

  it('never beats the bound, however a board is cut by chance', () => {
    const kindsFor = (one: Board) => kindsOf(demand, options, [one]);
    fc.assert(
      fc.property(board, each, fc.array(fc.boolean(), { minLength: 8, maxLength: 8 }), (one, shares, turns) => {
        const kinds = kindsFor(one);
        const [ready] = readyBoards([one], options, kinds);
        if (!ready || one.farWidth !== null) return;
        const prices = pricesFor(kinds, shares);
        const most = sawyer(kinds, options, prices).clear(ready)?.worth ?? 0;
        // Offcuts alone: whatever is clear.
        let turn = 0;
        const regions = clearRegions(
          { x: options.endTrim, y: 0, length: one.length - 2 * options.endTrim, width: one.width },
          one.defects,
          options.kerf,
          () => turns[turn++ % turns.length] ?? true,
        ).filter((r) => r.length >= options.usefulOffcut.length && r.width >= options.usefulOffcut.width);
        expect(regions.reduce((sum, r) => sum + r.length * r.width, 0) * prices.offcut).toBeLessThanOrEqual(
          most + 1e-9,
        );
      }),
      { numRuns: 60 },
    );
  });
});
