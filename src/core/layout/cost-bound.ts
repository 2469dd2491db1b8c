import type { LinearColumn, LinearRow, LinearSolver } from '../linear/linear-problem';
import { surely } from '../linear/surely';
import { faceArea } from '../stock/board';
import { sawyer } from './best-sawing';
import type { Problem } from './cut-plan';
import { bestBars, brokenBars, type Lanes, lanesOf } from './lanes';
import { type BandKind, type Kinds, type ReadyBoard, rectanglesOf, stripKey, stripsFrom } from './ready-boards';
import { blankPrices, eachOf, type Sawings, type SawnLimit, sawnLimit } from './sawn-bound';

/** Units of the programme's columns, so that its numbers are of one size: mm of strips, mm² of offcut. */
const [WIDE, LARGE] = [100, 100_000];

const ROUNDS_BETWEEN_WORDS = 3;
/** Boards of one round whose prices are tried on all others: those that broke by most. */
const SHARED = 3;
/** More than any board is sawn with. */
const MOST_CUTS = 10_000;

/**
 * What the bound may cost: rounds of cuts by bars, rounds of these and of whole sawings, rounds over whole boards and
 * pieces, and nodes of the search in each of those.
 */
export interface BoundEffort {
  rounds: number;
  sawnRounds: number;
  wholeRounds: number;
  nodes: number;
}

/**
 * A cost that no layout can go below, however its boards are cut up: a programme with a whole number for every board
 * (used or not), every kind of part and the strips of every band from each board, and for each board inequalities that
 * every way of cutting it must keep. They are found where the last solution breaks them: the bars of {@link bestBars}
 * at prices driven towards what that solution has too much of, and {@link sawnLimit}. Any prices give a true
 * inequality, so the bound holds however far the rounds go.
 *
 * @returns in the shop's money, after every few rounds anew, never less than before, so that it can be shown and the
 *   work stopped; nothing when the programme has no solution
 */
export function* costBounds(problem: Problem, solver: LinearSolver, effort: BoundEffort): Generator<number, void> {
  const { boards, options } = problem;
  const kinds = withBandsAlikeTogether(problem.kinds);
  const { kerf, weights, endTrim } = options;
  const fixed = options.fixed ?? [];
  const [P, B] = [kinds.parts.length, kinds.bands.length];
  if (P + B === 0) return;
  const items = P + B + 1;
  const givenBackOf = (board: string) =>
    (options.givenBack ?? []).reduce((sum, r) => (r.board === board ? sum + r.length * r.width : sum), 0);
  // Columns of one board: used, blanks of each kind (several pieces where they are resawn), width and number of the
  // blanks of each band, mm² of offcut, cuts.
  const each = 1 + P + 2 * B + 2;
  const at = {
    used: (b: number) => b * each,
    part: (b: number, i: number) => b * each + 1 + i,
    width: (b: number, k: number) => b * each + 1 + P + k,
    count: (b: number, k: number) => b * each + 1 + P + B + k,
    offcut: (b: number) => b * each + each - 2,
    cuts: (b: number) => b * each + each - 1,
    // After the boards: whether a set comes from a board.
    set: (b: number, s: number) => boards.length * each + b * kinds.sets.length + s,
  };
  /** Blanks that a board must give of a kind to give all of it; null where it cannot. */
  const allOf = (b: number, i: number): number | null => {
    const layers = boards[b]?.layers[i] ?? 0;
    return layers > 0 ? Math.ceil((kinds.parts[i]?.ids.length ?? 0) / layers) : null;
  };

  /** Strips of each board's blanks, band by band, and how wide they may be. */
  const blanks = boards.map((ready) => kinds.bands.map((band) => stripsFrom(ready, band)));
  const copies = (b: number, k: number): number => blanks[b]?.[k]?.copies ?? 0;

  const ofBoards: LinearColumn[] = boards.flatMap((ready, b): LinearColumn[] => {
    const layersOf = (i: number) => ready.layers[i] as number;
    return [
      {
        cost: ready.price + weights.board,
        lower: ready.begun ? 1 : 0,
        upper: 1,
        whole: true,
      },
      ...kinds.parts.map((kind, i) => ({
        cost: 0,
        lower: 0,
        upper: layersOf(i) > 0 ? Math.ceil(kind.ids.length / layersOf(i)) : 0,
        whole: true,
      })),
      ...kinds.bands.map((band, k) => ({
        cost: 0,
        lower: 0,
        upper: copies(b, k) > 0 ? (band.width + band.least) / WIDE : 0,
      })),
      ...kinds.bands.map((band, k) => ({
        cost: weights.joint * (band.pairs ? copies(b, k) : Math.min(1, copies(b, k))),
        lower: 0,
        upper: copies(b, k) > 0 ? Math.ceil(band.width / band.least) : 0,
        whole: true,
      })),
      {
        cost: -weights.offcutWorth * ready.priceOfArea * LARGE,
        lower: 0,
        upper: (ready.board.takenFor ? givenBackOf(ready.board.id) : faceArea(ready.board)) / LARGE,
      },
      { cost: weights.cut, lower: 0, upper: MOST_CUTS },
    ];
  });

  const ofSets = boards.flatMap(({ board }, b) =>
    kinds.sets.map((set): LinearColumn => {
      const able = set.kinds.every((i) => allOf(b, i) !== null) && (set.board === null || set.board === board.id);
      return { cost: 0, lower: 0, upper: able ? 1 : 0, whole: true };
    }),
  );
  const columns = [...ofBoards, ...ofSets];

  const infinite = Number.POSITIVE_INFINITY;
  const rows: LinearRow[] = [
    // A set comes whole from one board.
    ...kinds.sets.flatMap((set, s) =>
      set.kinds.length === 0
        ? []
        : [
            { lower: 1, upper: 1, entries: boards.map((_, b) => [at.set(b, s), 1] as const) },
            ...set.kinds.flatMap((i) =>
              boards.map((_, b) => ({
                lower: 0,
                upper: infinite,
                entries: [[at.part(b, i), 1] as const, [at.set(b, s), -(allOf(b, i) ?? 0)] as const],
              })),
            ),
          ],
    ),
    // Every cut parts one piece of wood in two: pieces are one more than cuts, two of them trimmed off the ends.
    ...boards.map((ready, b) => ({
      lower: 0,
      upper: infinite,
      entries: [
        [at.cuts(b), 1] as const,
        ...(ready.begun ? [] : [[at.used(b), endTrim > 0 ? -1 : 1] as const]),
        ...kinds.parts.map((_, i) => [at.part(b, i), -1] as const),
        ...kinds.bands.map((_, k) => [at.count(b, k), -1] as const),
      ],
    })),
    ...kinds.parts.map((kind, i) => ({
      lower: kind.ids.length,
      upper: infinite,
      entries: boards.map((ready, b) => [at.part(b, i), ready.layers[i] as number] as const),
    })),
    ...kinds.bands.flatMap((band, k) => [
      {
        lower: band.width / WIDE,
        upper: infinite,
        entries: boards.map((_, b) => [at.width(b, k), copies(b, k)] as const),
      },
      {
        lower: band.leastStrips,
        upper: infinite,
        entries: boards.map((_, b) => [at.count(b, k), copies(b, k)] as const),
      },
      ...boards.flatMap((_, b) => [
        {
          lower: 0,
          upper: infinite,
          entries: [
            [at.count(b, k), (blanks[b]?.[k]?.greatest ?? band.greatest) / WIDE] as const,
            [at.width(b, k), -1] as const,
          ],
        },
        {
          lower: 0,
          upper: infinite,
          entries: [[at.width(b, k), 1] as const, [at.count(b, k), -band.least / WIDE] as const],
        },
      ]),
    ]),
    ...kinds.panels.flatMap((panel, p) =>
      // Only a panel whose bands are all its own can be held to its number of strips.
      Number.isFinite(panel.mostStrips) && kinds.bands.every((band) => band.panel !== p || !band.shared)
        ? [
            {
              lower: 0,
              upper: panel.mostStrips,
              entries: boards.flatMap((_, b) =>
                // Of what a blank gives not all need be taken, but for pairs.
                kinds.bands.flatMap((band, k) =>
                  band.panel === p ? [[at.count(b, k), band.pairs ? copies(b, k) : 1] as const] : [],
                ),
              ),
            },
          ]
        : [],
    ),
  ];
  const joints = kinds.panels.reduce(
    (sum, panel, p) =>
      sum + (panel.fixedStrips > 0 || problem.kinds.bands.some((band) => band.panel === p) ? panel.fixedStrips - 1 : 0),
    0,
  );

  const lanes = boards.flatMap((ready, b) => {
    const sawn = rectanglesOf(fixed.filter((p) => p.board === ready.board.id));
    return (['along', 'across'] as const).map((direction) => ({
      b,
      lanes: lanesOf(ready, kinds, options, direction, sawn),
    }));
  });

  /** How much of each item's bars a column stands for: the left side of an inequality at given prices. */
  const entriesAt = (b: number, direction: Lanes['direction'], prices: Float64Array): [number, number][] => {
    const along = direction === 'along';
    const ready = boards[b];
    const entries: [number, number][] = [];
    kinds.parts.forEach((kind, i) => {
      const layers = ready?.layers[i] ?? 0;
      const beside = (along ? (ready?.widths[i] ?? kind.width) : kind.length) + kerf;
      if (layers > 0) entries.push([at.part(b, i), (prices[i] as number) * beside]);
    });
    kinds.bands.forEach((band, k) => {
      const price = prices[P + k] as number;
      if (along) entries.push([at.width(b, k), price * WIDE], [at.count(b, k), price * (band.jointing + kerf)]);
      else {
        const each = prices[items + P + k] as number;
        entries.push(
          [at.width(b, k), price * WIDE * (band.length + kerf)],
          [at.count(b, k), each * (band.length + kerf)],
        );
      }
    });
    entries.push([at.offcut(b), LARGE * (prices[P + B] as number)]);
    return entries;
  };
  const natural = (direction: Lanes['direction']): Float64Array =>
    Float64Array.from([
      ...kinds.parts.map((kind) => (direction === 'along' ? kind.length : kind.width) + kerf),
      ...kinds.bands.map((band) =>
        direction === 'along' ? band.length + kerf : 1 + (band.jointing + kerf) / band.greatest,
      ),
      1,
      ...new Array<number>(items).fill(0),
    ]);
  const inequality = (b: number, direction: Lanes['direction'], prices: Float64Array, worth: number): LinearRow => ({
    lower: Number.NEGATIVE_INFINITY,
    upper: 0,
    entries: [
      ...entriesAt(b, direction, prices).map(([column, factor]) => [column, factor / worth] as const),
      [at.used(b), -1] as const,
    ],
  });
  for (const { b, lanes: one } of lanes) {
    const prices = natural(one.direction);
    const { worth } = bestBars(one, prices);
    if (worth > 1e-9) rows.push(inequality(b, one.direction, prices, worth));
    // A board without a single run gives nothing.
    else
      rows.push({
        lower: 0,
        upper: 0,
        entries: [[at.offcut(b), 1], ...kinds.parts.map((_, i) => [at.part(b, i), 1] as const)],
      });
  }

  // Of boards that are clear whole sawings tell more than bars do.
  const isClear = boards.map(
    ({ board, shape, begun }) => board.defects.length === 0 && shape.far.tagged === shape.far.other && !begun,
  );
  const byBars = (values: Float64Array, sawn: boolean): LinearRow[] =>
    lanes.flatMap(({ b, lanes: one }) => {
      const used = values[at.used(b)] as number;
      if (used < 1e-6 || (sawn && isClear[b])) return [];
      const broken = brokenBars(one, amountsOf(b, one.direction, values), used, natural(one.direction));
      return broken ? [inequality(b, one.direction, broken.prices, broken.worth)] : [];
    });
  const met: Sawings[] = boards.map(() => []);
  const bySawing = (values: Float64Array, cutsToo: boolean): LinearRow[] => {
    const limits = boards.flatMap((ready, b) => {
      const used = values[at.used(b)] as number;
      if (used < 1e-6 || ready.board.takenFor) return [];
      const share = (column: number) => (values[column] as number) / used;
      const asked = {
        parts: kinds.parts.map((_, i) => share(at.part(b, i))),
        bands: kinds.bands.map((_, k) => ({ mm: WIDE * share(at.width(b, k)), each: share(at.count(b, k)) })),
        offcut: LARGE * share(at.offcut(b)),
        // That which trims the near end is not in the field.
        cuts: share(at.cuts(b)) - trimmed(ready),
      };
      const limit = sawnLimit(ready, kinds, options, asked, met[b] as Sawings, solver, cutsToo);
      return limit ? [{ b, limit, by: used * (limit.ratio - 1) }] : [];
    });
    limits.sort((p, q) => q.by - p.by);
    return [
      ...limits.map(({ b, limit }) => sawnRow(b, limit)),
      ...limits.slice(0, SHARED).flatMap(({ b, limit }) => forOthers(b, limit)),
    ];
  };
  /** What the prices that broke on one board say of all the others, so that none takes its place unlimited. */
  function forOthers(b: number, { prices }: SawnLimit): LinearRow[] {
    const perPiece = eachOf(boards[b] as ReadyBoard, kinds, prices);
    const { clear } = sawyer(kinds, options, { ...prices, ...perPiece, cut: prices.cuts });
    return boards.flatMap((ready, other) => {
      if (other === b || ready.board.takenFor) return [];
      const worth = clear(ready)?.worth ?? 0;
      if (worth <= 1e-9) return [];
      return [sawnRow(other, { prices: { ...prices, ...blankPrices(ready, kinds, perPiece) }, worth })];
    });
  }

  /** Cuts outside the field that is sawn. */
  function trimmed(ready: ReadyBoard): number {
    return endTrim > 0 && !ready.begun ? 1 : 0;
  }

  let bound = Number.NEGATIVE_INFINITY;
  /** @returns whether something was broken in the last round; null when there is no solution */
  const relaxedRounds = (count: number, sawn: boolean): boolean | null =>
    solver({ columns, rows: rows.slice() }, (model) => {
      for (let round = 0; ; round += 1) {
        const answer = model.solve({ relaxed: true });
        if (answer.solved !== 'best') return null;
        bound = Math.max(bound, surely({ columns, rows }, answer.prices));
        if (round === count) return true;
        const broken = [...byBars(answer.values, sawn), ...(sawn ? bySawing(answer.values, false) : [])];
        for (const row of broken) model.addRow(row);
        rows.push(...broken);
        if (broken.length === 0) return false;
      }
    });
  const wholeRound = (): boolean | null =>
    solver({ columns, rows: rows.slice() }, (model) => {
      const answer = model.solve({ nodes: effort.nodes, gap: 1e-4, boundOnly: true });
      if (answer.solved === 'impossible') return null;
      // A hair less, for the solver's own tolerance.
      bound = Math.max(bound, answer.bound - 1e-5 * Math.abs(answer.bound));
      if (answer.values.length === 0) return false;
      const broken = [...byBars(answer.values, true), ...bySawing(answer.values, true)];
      rows.push(...broken);
      return broken.length > 0;
    });

  if (relaxedRounds(effort.rounds, false) === null) return;
  yield bound + weights.joint * joints;
  for (let round = 0; round < effort.sawnRounds; round += ROUNDS_BETWEEN_WORDS) {
    const broken = relaxedRounds(Math.min(ROUNDS_BETWEEN_WORDS, effort.sawnRounds - round), true);
    if (broken === null) return;
    yield bound + weights.joint * joints;
    if (!broken) break;
  }
  for (let round = 0; round < effort.wholeRounds; round += 1) {
    const broken = wholeRound();
    if (broken === null) return;
    yield bound + weights.joint * joints;
    if (!broken) break;
  }

  function sawnRow(b: number, { prices, worth }: Pick<SawnLimit, 'prices' | 'worth'>): LinearRow {
    const entries: [number, number][] = [
      ...prices.parts.map((price, i): [number, number] => [at.part(b, i), price / worth]),
      ...prices.bands.flatMap(({ mm, each }, k): [number, number][] => [
        [at.width(b, k), (WIDE * mm) / worth],
        [at.count(b, k), each / worth],
      ]),
      [at.offcut(b), (LARGE * prices.offcut) / worth],
      [at.cuts(b), -prices.cuts / worth],
      // A hair more, for rounding.
      [at.used(b), -1 - 1e-7 + (prices.cuts * trimmed(boards[b] as ReadyBoard)) / worth],
    ];
    return { lower: Number.NEGATIVE_INFINITY, upper: 0, entries: entries.filter(([, factor]) => factor !== 0) };
  }

  /** What a solution asks of a board's bars, item by item. */
  function amountsOf(b: number, direction: Lanes['direction'], values: Float64Array): Float64Array {
    const amounts = new Float64Array(2 * items);
    const prices = new Float64Array(2 * items);
    for (let i = 0; i < 2 * items; i += 1) {
      prices[i] = 1;
      for (const [column, factor] of entriesAt(b, direction, prices)) {
        amounts[i] = (amounts[i] as number) + factor * (values[column] as number);
      }
      prices[i] = 0;
    }
    return amounts;
  }
}

/** The last of {@link costBounds}; null when the programme has no solution. */
export function costBound(problem: Problem, solver: LinearSolver, effort: BoundEffort): number | null {
  let bound: number | null = null;
  for (const found of costBounds(problem, solver, effort)) bound = found;
  return bound;
}

/** Bands that ask for the same strips, of one panel or of several, taken as one: a smaller programme, and true of them all. */
function withBandsAlikeTogether(kinds: Kinds) {
  const bands = new Map<string, BandKind & { leastStrips: number; shared: boolean }>();
  for (const band of kinds.bands) {
    const key = stripKey(band);
    const leastStrips = Math.ceil(band.width / band.greatest - 1e-9);
    const found = bands.get(key);
    if (found) {
      found.width += band.width;
      found.leastStrips += leastStrips;
      found.shared ||= found.panel !== band.panel;
    } else bands.set(key, { ...band, leastStrips, shared: false });
  }
  return { ...kinds, bands: [...bands.values()] };
}
