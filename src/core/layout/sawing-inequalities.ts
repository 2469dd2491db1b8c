import type { LinearRow, LinearSolver } from '../linear/linear-problem';
import { sawyer } from './best-sawing';
import { LARGE, type Programme, WIDE } from './bound-programme';
import { blankPrices, eachOf, type Sawings, type SawnLimit, sawnLimit } from './sawn-bound';

/** Boards of one round whose prices are tried on all others: those that broke by most. */
const SHARED = 3;

/** What whole sawings say of every board: see {@link sawnLimit}. */
export interface SawingInequalities {
  /** Those that a solution breaks. @param cutsToo whether cuts have a price as well */
  broken: (values: Float64Array, cutsToo: boolean) => LinearRow[];
}

export function sawingInequalities(programme: Programme, solver: LinearSolver): SawingInequalities {
  const { kinds, boards, options, at, trimmed } = programme;
  const met: Sawings[] = boards.map(() => []);
  /** What the prices that broke on one board say of all the others, so that none takes its place unlimited. */
  const forOthers = (b: number, { prices }: SawnLimit): LinearRow[] => {
    const perPiece = eachOf(boards[b]!, kinds, prices);
    const { clear } = sawyer(kinds, options, { ...prices, ...perPiece, cut: prices.cuts });
    return boards.flatMap((ready, other) => {
      if (other === b || ready.board.takenFor) return [];
      const worth = clear(ready)?.worth ?? 0;
      if (worth <= 1e-9) return [];
      return [sawnRow(programme, other, { prices: { ...prices, ...blankPrices(ready, kinds, perPiece) }, worth })];
    });
  };
  return {
    broken: (values, cutsToo) => {
      const limits = boards.flatMap((ready, b) => {
        const used = values[at.used(b)]!;
        if (used < 1e-6 || ready.board.takenFor) return [];
        const share = (column: number) => values[column]! / used;
        const asked = {
          parts: kinds.parts.map((_, i) => share(at.part(b, i))),
          bands: kinds.bands.map((_, k) => ({ mm: WIDE * share(at.width(b, k)), each: share(at.count(b, k)) })),
          offcut: LARGE * share(at.offcut(b)),
          // That which trims the near end is not in the field.
          cuts: share(at.cuts(b)) - trimmed(ready),
        };
        const limit = sawnLimit(ready, kinds, options, asked, met[b]!, solver, cutsToo);
        return limit ? [{ b, limit, by: used * (limit.ratio - 1) }] : [];
      });
      limits.sort((p, q) => q.by - p.by);
      return [
        ...limits.map(({ b, limit }) => sawnRow(programme, b, limit)),
        ...limits.slice(0, SHARED).flatMap(({ b, limit }) => forOthers(b, limit)),
      ];
    },
  };
}

function sawnRow(
  { at, boards, trimmed }: Programme,
  b: number,
  { prices, worth }: Pick<SawnLimit, 'prices' | 'worth'>,
): LinearRow {
  const entries: [number, number][] = [
    ...prices.parts.map((price, i): [number, number] => [at.part(b, i), price / worth]),
    ...prices.bands.flatMap(({ mm, each }, k): [number, number][] => [
      [at.width(b, k), (WIDE * mm) / worth],
      [at.count(b, k), each / worth],
    ]),
    [at.offcut(b), (LARGE * prices.offcut) / worth],
    [at.cuts(b), -prices.cuts / worth],
    // A hair more, for rounding.
    [at.used(b), -1 - 1e-7 + (prices.cuts * trimmed(boards[b]!)) / worth],
  ];
  return { lower: Number.NEGATIVE_INFINITY, upper: 0, entries: entries.filter(([, factor]) => factor !== 0) };
}
