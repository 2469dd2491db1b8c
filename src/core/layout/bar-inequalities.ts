import type { LinearRow } from '../linear/linear-problem';
import { LARGE, type Programme, WIDE } from './bound-programme';
import { bestBars, brokenBars, type Lanes, lanesOf } from './lanes';
import { rectanglesOf } from './ready-boards';

/** What bars say of every board: see {@link Lanes}. */
export interface BarInequalities {
  /** At the prices of pieces' own sizes, for every board. */
  natural: () => LinearRow[];
  /** Those that a solution breaks. @param left boards that are left out */
  broken: (values: Float64Array, left: (b: number) => boolean) => LinearRow[];
}

export function barInequalities(programme: Programme): BarInequalities {
  const { kinds, boards, options, at } = programme;
  const { kerf, fixed = [] } = options;
  const items = kinds.parts.length + kinds.bands.length + 1;
  const lanes = boards.flatMap((ready, b) => {
    const sawn = rectanglesOf(fixed.filter((p) => p.board === ready.board.id));
    return (['along', 'across'] as const).map((direction) => ({
      b,
      lanes: lanesOf(ready, kinds, options, direction, sawn),
    }));
  });
  const naturalPrices = (direction: Lanes['direction']): Float64Array =>
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
      ...entriesAt(programme, b, direction, prices).map(([column, factor]) => [column, factor / worth] as const),
      [at.used(b), -1] as const,
    ],
  });
  return {
    natural: () =>
      lanes.map(({ b, lanes: one }) => {
        const prices = naturalPrices(one.direction);
        const { worth } = bestBars(one, prices);
        if (worth > 1e-9) return inequality(b, one.direction, prices, worth);
        // A board without a single run gives nothing.
        const entries = [[at.offcut(b), 1], ...kinds.parts.map((_, i) => [at.part(b, i), 1] as const)] as const;
        return { lower: 0, upper: 0, entries: entries as LinearRow['entries'] };
      }),
    broken: (values, left) =>
      lanes.flatMap(({ b, lanes: one }) => {
        const used = values[at.used(b)]!;
        if (used < 1e-6 || left(b)) return [];
        const asked = amountsOf(programme, b, one.direction, values);
        const found = brokenBars(one, asked, used, naturalPrices(one.direction));
        return found ? [inequality(b, one.direction, found.prices, found.worth)] : [];
      }),
  };
}

/** How much of each item's bars a column is worth: the left side of an inequality at given prices. */
function entriesAt(
  { kinds, boards, options: { kerf }, at }: Programme,
  b: number,
  direction: Lanes['direction'],
  prices: Float64Array,
): [number, number][] {
  const along = direction === 'along';
  const ready = boards[b];
  const [P, B] = [kinds.parts.length, kinds.bands.length];
  const entries: [number, number][] = [];
  kinds.parts.forEach((kind, i) => {
    const layers = ready?.layers[i] ?? 0;
    const beside = (along ? (ready?.widths[i] ?? kind.width) : kind.length) + kerf;
    if (layers > 0) entries.push([at.part(b, i), prices[i]! * beside]);
  });
  kinds.bands.forEach((band, k) => {
    const price = prices[P + k]!;
    if (along) entries.push([at.width(b, k), price * WIDE], [at.count(b, k), price * (band.jointing + kerf)]);
    else {
      const each = prices[P + B + 1 + P + k]!;
      entries.push(
        [at.width(b, k), price * WIDE * (band.length + kerf)],
        [at.count(b, k), each * (band.length + kerf)],
      );
    }
  });
  entries.push([at.offcut(b), LARGE * prices[P + B]!]);
  return entries;
}

/** What a solution asks of a board's bars, item by item. */
function amountsOf(programme: Programme, b: number, direction: Lanes['direction'], values: Float64Array): Float64Array {
  const count = 2 * (programme.kinds.parts.length + programme.kinds.bands.length + 1);
  const amounts = new Float64Array(count);
  const prices = new Float64Array(count);
  for (let i = 0; i < count; i += 1) {
    prices[i] = 1;
    for (const [column, factor] of entriesAt(programme, b, direction, prices)) {
      amounts[i] = amounts[i]! + factor * values[column]!;
    }
    prices[i] = 0;
  }
  return amounts;
}
