import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { aBoard, aPanel, aPart, demandFor, plainOptions } from '../../../tests/fixtures/layout-parts';
import { randomLayouts } from '../../../tests/fixtures/random-layouts';
import { MM_PER_INCH, sawStep } from '../measure/length';
import { checkLayout } from './check-layout';
import { cutSequence, type SawCut } from './cut-sequence';
import { cutSteps } from './cut-steps';
import type { Rectangle } from './layout';
import { planLayout } from './plan-layout';

/** The pieces of wood that are there when cuts have been made, each cut on a piece that is there by then. */
function sawnUp(board: Rectangle, cuts: readonly SawCut[], kerf: number): Rectangle[] {
  let wood = [board];
  for (const { kind, from, at, set, side } of cuts) {
    const [along, size] = kind === 'crosscut' ? (['x', 'length'] as const) : (['y', 'width'] as const);
    // A cut at the very end takes less than a kerf: what is left begins where the piece does.
    const there = wood.find(
      (piece) =>
        from.x - piece.x > -1e-6 &&
        from.x - piece.x < kerf + 1e-6 &&
        from.y - piece.y > -1e-6 &&
        from.y - piece.y < kerf + 1e-6 &&
        Math.abs(piece[along] + piece[size] - from[along] - from[size]) < 1e-6,
    );
    expect(there).toBeDefined();
    expect(at).toBeCloseTo(side === 'near' ? from[along] + set : from[along] + from[size] - set - kerf, 6);
    const rest = from[along] + from[size] - at - kerf;
    wood = wood.filter((piece) => piece !== there);
    const before = at - from[along];
    if (before > 1e-6) wood.push({ ...from, [size]: before });
    else wood.push(from);
    if (before > 1e-6 && rest > 1e-6) wood.push({ ...from, [along]: at + kerf, [size]: rest });
  }
  return wood;
}

const isWhole = (mm: number, step: number) => Math.abs(mm / step - Math.round(mm / step)) < 1e-6;

describe('cuts as they are told', () => {
  const board = { x: 0, y: 0, length: 2000, width: 200 };
  const sawing = { kerf: 3.2, step: 1 };
  const spare = { length: 20, width: 5 };

  it('stand at whole millimetres, and leave every piece as large as it is wanted or less by a step that it can spare', () => {
    const wanted = [
      { x: 21.8, y: 0, length: 536.8, width: 90.4, spare },
      { x: 561.8, y: 0, length: 536.8, width: 90.4, spare },
      { x: 1101.8, y: 0, length: 700, width: 196, spare },
    ];
    const cuts = cutSequence(board, wanted, sawing)!;
    for (const { set } of cuts) expect(isWhole(set, 1)).toBe(true);
    const wood = sawnUp(board, cuts, 3.2);
    for (const { length, width } of wanted)
      expect(wood.some((w) => w.length > length - 1 && w.length < length + 2 && w.width > width - 1)).toBe(true);
  });

  it('fall short of no piece that has nothing to spare', () => {
    const exact = { x: 0, y: 0, length: 500.4, width: 200 };
    const beside = { x: 503.6, y: 0, length: 1496.4, width: 200 };
    expect(cutSequence(board, [exact, beside], sawing)!.map(({ set }) => set)).toEqual([expect.closeTo(500.4, 9)]);
    expect(cutSequence(board, [{ ...exact, spare }, beside], sawing)!.map(({ set }) => set)).toEqual([500]);
  });

  it('leave an offcut as the cuts round the pieces leave it', () => {
    const piece = { x: 20, y: 0, length: 800, width: 150 };
    const offcut = { x: 823, y: 10, length: 1150, width: 180, offcut: true };
    const cuts = cutSequence(board, [piece, offcut], { kerf: 3, step: 0 })!;
    // The end, the offcut off the piece, and the piece to its width: no fourth to make the offcut neat.
    expect(cuts.map(({ kind, set }) => [kind, set])).toEqual([
      ['crosscut', 17],
      ['crosscut', 800],
      ['rip', 150],
    ]);
    expect(cutSequence(board, [offcut], { kerf: 3, step: 0 })).toEqual([]);
  });

  it('are measured from the other edge where a piece reaches that: nobody rips a sliver off to come to a width', () => {
    const first = { x: 0, y: 0, length: 890, width: 60, spare };
    const piece = { x: 0, y: 71.6, length: 890, width: 56.3, spare };
    const beyond = { x: 0, y: 131.1, length: 890, width: 60, spare };
    const cuts = cutSequence({ ...board, length: 890 }, [first, piece, beyond], sawing)!;
    expect(cuts).toContainEqual(expect.objectContaining({ kind: 'rip', side: 'far', set: 57 }));
    // But not from the board's own far edge: that is not straight.
    const last = { ...piece, y: 143.7 };
    expect(cutSequence({ ...board, length: 890 }, [first, last], sawing)!.map(({ side }) => side)).not.toContain('far');
  });

  it('cut pieces of one length to one length, whatever the blade has taken before', () => {
    const row = [0, 1, 2, 3].map((i) => ({ x: 20 + i * 203.2, y: 0, length: 200, width: 200, spare }));
    const sets = cutSequence(board, row, sawing)!.map(({ set }) => set);
    expect(sets).toEqual([16, 200, 200, 200, 200]);
  });

  it('leave on a piece what is less than a blade takes, where it is sound', () => {
    const two = (isSound: boolean) =>
      [
        { x: 0, y: 2.4, length: 2000, width: 68 },
        { x: 0, y: 73.6, length: 2000, width: 126.4 },
      ].map((at) => {
        const beside = { x: true, y: isSound };
        return { ...at, spare, sound: { before: beside, after: beside } };
      });
    expect(cutSequence(board, two(true), sawing)).toMatchObject([{ kind: 'rip', set: 68, trims: false }]);
    expect(cutSequence(board, two(false), sawing)!.length).toBeGreaterThan(1);
  });

  it('follow one another where they have one setting', () => {
    const wanted = [0, 1, 2].flatMap((i) =>
      [0, 1].map((j) => ({ x: 503 * i, y: [0, 63][j]!, length: 500, width: [60, 100][j]! })),
    );
    const cuts = cutSequence(board, wanted, { kerf: 3, step: 0 })!;
    const settings = cuts.map(({ kind, set }) => `${kind} ${set}`);
    const changes = settings.filter((own, i) => own !== settings[i - 1]).length;
    // Crosscuts to 500, rips to 60, rips to 100: no setting comes twice.
    expect(changes).toBe(new Set(settings).size);
    sawnUp(board, cuts, 3);
  });
});

describe('the cuts of any layout', () => {
  it('are made on wood that is there, at whole steps wherever a piece can spare it, and give all pieces', () => {
    let told = 0;
    let whole = 0;
    fc.assert(
      fc.property(randomLayouts, fc.constantFrom('metric' as const, 'inch' as const), (given, units) => {
        const { demand, boards } = given;
        const options = { ...given.options, step: sawStep(units) };
        const layout = planLayout(demand, boards, options);
        expect(checkLayout(demand, boards, options, layout)).toEqual([]);
        for (const one of boards.filter(({ id }) => layout.boards.includes(id))) {
          const steps = cutSteps({ ...layout, boards: [one.id] }, boards, demand, options);
          const cuts = steps.filter((step) => step.kind !== 'resaw') as SawCut[];
          const outline = { x: 0, y: 0, length: one.length, width: Math.max(one.width, one.farWidth ?? 0) };
          const wood = sawnUp(outline, cuts, options.kerf);
          told += cuts.length;
          // Of sound wood less than a blade takes is nowhere sawn off.
          if (one.defects.length === 0 && one.liveEdges.far === 0 && one.farWidth === null)
            for (const { set, side } of cuts) expect(side === 'far' || set > 0).toBe(true);
          whole += cuts.filter(({ set }) => isWhole(set, options.step)).length;
          for (const piece of layout.placements.filter((p) => p.board === one.id)) {
            // It may have come a blade's breadth nearer, or kept that of sound wood; it is never short by more than a step.
            const moved = options.kerf + 2 * options.step;
            const got = wood.some(
              (w) =>
                w.length > piece.length - options.step &&
                w.width > piece.width - options.step &&
                w.x < piece.x + options.step &&
                w.x > piece.x - 2 * moved &&
                w.y < piece.y + options.step &&
                w.y > piece.y - 2 * moved,
            );
            expect(got).toBe(true);
          }
        }
      }),
      { numRuns: 150, seed: 27, endOnFailure: true },
    );
    expect(told).toBeGreaterThan(500);
    expect(whole / told).toBeGreaterThan(0.95);
  });

  it('rip strips to whole steps, the panel as wide as it is asked for', () => {
    const top = demandFor([aPart('x', 701, 61)], [aPanel(1000, 403.7)]);
    const boards = [aBoard('a', 2200, 175.4), aBoard('b', 2200, 163.3), aBoard('c', 1200, 151)];
    for (const step of [1, MM_PER_INCH / 16]) {
      const options = { ...plainOptions, kerf: 3.2, step };
      const layout = planLayout(top, boards, options);
      expect(layout.shortfall).toEqual([]);
      expect(checkLayout(top, boards, options, layout)).toEqual([]);
      const strips = layout.placements.filter(({ strip }) => strip !== undefined);
      for (const { width } of strips) expect(isWhole(width, step)).toBe(true);
      expect(layout.strips.reduce((sum, { width }) => sum + width, 0)).toBeGreaterThanOrEqual(403.7 - 1e-6);
    }
  });

  it('widen a strip that has room by as many steps as others lose', () => {
    const top = demandFor([], [aPanel(1000, 404)]);
    // Three boards that give 100.6 and no more, and a wide one.
    const boards = ['a', 'b', 'c'].map((id) => aBoard(id, 1100, 103.6)).concat(aBoard('d', 1100, 200));
    const options = { ...plainOptions, step: 1 };
    const layout = planLayout(top, boards, options);
    expect(layout.shortfall).toEqual([]);
    for (const { width } of layout.placements) expect(isWhole(width, 1)).toBe(true);
    expect(layout.strips.reduce((sum, { width }) => sum + width, 0)).toBeGreaterThanOrEqual(404);
  });
});
