import type { LinearColumn, LinearRow } from '../linear/linear-problem';
import { faceArea } from '../stock/board';
import type { Problem } from './cut-plan';
import type { LayoutOptions } from './layout';
import { type BandKind, type Kinds, type ReadyBoard, stripKey, stripsFrom } from './ready-boards';

/** Units of the programme's columns, so that its numbers are of one size: mm of strips, mm² of offcut. */
export const [WIDE, LARGE] = [100, 100_000];

/** More than any board is sawn with. */
const MOST_CUTS = 10_000;
const INFINITE = Number.POSITIVE_INFINITY;

/** Bands that ask for the same strips are one. */
export type BoundKinds = Omit<Kinds, 'bands'> & {
  bands: readonly (BandKind & { leastStrips: number; shared: boolean })[];
};

/**
 * Where the columns are: of each board whether it is used, blanks of each kind (several pieces where they are resawn), width
 * and number of the blanks of each band, offcut, cuts; after the boards, whether a set comes from one of them.
 */
interface Places {
  used: (b: number) => number;
  part: (b: number, i: number) => number;
  width: (b: number, k: number) => number;
  count: (b: number, k: number) => number;
  offcut: (b: number) => number;
  cuts: (b: number) => number;
  set: (b: number, s: number) => number;
}

/** A linear programme whose least cost no layout goes below; inequalities are added to its rows as they are found. */
export interface Programme {
  kinds: BoundKinds;
  boards: readonly ReadyBoard[];
  options: LayoutOptions;
  at: Places;
  columns: readonly LinearColumn[];
  rows: LinearRow[];
  /** Cuts outside the field that is sawn. */
  trimmed: (ready: ReadyBoard) => number;
  /** Glue joints that every layout has; they cost beside the programme. */
  joints: number;
}

/** What columns and rows are made from. */
interface Making extends Pick<Programme, 'kinds' | 'boards' | 'options' | 'at'> {
  /** Strips that one of a board's blanks gives for a band. */
  copies: (b: number, k: number) => number;
  /** Of strips of a board for a band, mm. */
  greatest: (b: number, k: number) => number;
}

/** @returns null where nothing is to be cut */
export function boundProgramme(problem: Problem): Programme | null {
  const { boards, options } = problem;
  const kinds = withBandsAlikeTogether(problem.kinds);
  if (kinds.parts.length + kinds.bands.length === 0) return null;
  const at = placesOf(kinds, boards.length);
  const blanks = boards.map((ready) => kinds.bands.map((band) => stripsFrom(ready, band)));
  const making: Making = {
    kinds,
    boards,
    options,
    at,
    copies: (b, k) => blanks[b]?.[k]?.copies ?? 0,
    greatest: (b, k) => blanks[b]?.[k]?.greatest ?? (kinds.bands[k]?.greatest as number),
  };
  return {
    kinds,
    boards,
    options,
    at,
    columns: [...boards.flatMap((ready, b) => boardColumns(making, ready, b)), ...setColumns(making)],
    rows: [
      ...setRows(making),
      ...cutRows(making),
      ...partRows(making),
      ...kinds.bands.flatMap((_, k) => bandRows(making, k)),
      ...panelRows(making),
    ],
    trimmed: (ready) => (options.endTrim > 0 && !ready.begun ? 1 : 0),
    joints: kinds.panels.reduce(
      (sum, { fixedStrips }, p) =>
        sum + (fixedStrips > 0 || problem.kinds.bands.some(({ panel }) => panel === p) ? fixedStrips - 1 : 0),
      0,
    ),
  };
}

function placesOf({ parts, bands, sets }: BoundKinds, boards: number): Places {
  const [P, B] = [parts.length, bands.length];
  const each = 1 + P + 2 * B + 2;
  return {
    used: (b) => b * each,
    part: (b, i) => b * each + 1 + i,
    width: (b, k) => b * each + 1 + P + k,
    count: (b, k) => b * each + 1 + P + B + k,
    offcut: (b) => b * each + each - 2,
    cuts: (b) => b * each + each - 1,
    set: (b, s) => boards * each + b * sets.length + s,
  };
}

function boardColumns({ kinds, options, copies }: Making, ready: ReadyBoard, b: number): LinearColumn[] {
  const { weights, givenBack = [] } = options;
  const back = givenBack.reduce((sum, r) => (r.board === ready.board.id ? sum + r.length * r.width : sum), 0);
  return [
    { cost: ready.price + weights.board, lower: ready.begun ? 1 : 0, upper: 1, whole: true },
    ...kinds.parts.map((kind, i) => {
      const layers = ready.layers[i]!;
      return { cost: 0, lower: 0, upper: layers > 0 ? Math.ceil(kind.ids.length / layers) : 0, whole: true };
    }),
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
      upper: (ready.board.takenFor ? back : faceArea(ready.board)) / LARGE,
    },
    { cost: weights.cut, lower: 0, upper: MOST_CUTS },
  ];
}

/** Blanks that a board must give of a kind to give all of it; null where it cannot. */
function allOf({ kinds, boards }: Making, b: number, i: number): number | null {
  const layers = boards[b]?.layers[i] ?? 0;
  return layers > 0 ? Math.ceil((kinds.parts[i]?.ids.length ?? 0) / layers) : null;
}

const setColumns = (making: Making): LinearColumn[] =>
  making.boards.flatMap(({ board }, b) =>
    making.kinds.sets.map((set): LinearColumn => {
      const able =
        set.kinds.every((i) => allOf(making, b, i) !== null) && (set.board === null || set.board === board.id);
      return { cost: 0, lower: 0, upper: able ? 1 : 0, whole: true };
    }),
  );

/** A set comes whole from one board. */
const setRows = (making: Making): LinearRow[] => {
  const { kinds, boards, at } = making;
  return kinds.sets.flatMap((set, s): LinearRow[] =>
    set.kinds.length === 0
      ? []
      : [
          { lower: 1, upper: 1, entries: boards.map((_, b) => [at.set(b, s), 1] as const) },
          ...set.kinds.flatMap((i) =>
            boards.map((_, b) => ({
              lower: 0,
              upper: INFINITE,
              entries: [[at.part(b, i), 1] as const, [at.set(b, s), -(allOf(making, b, i) ?? 0)] as const],
            })),
          ),
        ],
  );
};

/** Every cut parts one piece of wood in two: pieces are one more than cuts, two of them trimmed off the ends. */
const cutRows = ({ kinds, boards, options, at }: Making): LinearRow[] =>
  boards.map((ready, b) => ({
    lower: 0,
    upper: INFINITE,
    entries: [
      [at.cuts(b), 1] as const,
      ...(ready.begun ? [] : [[at.used(b), options.endTrim > 0 ? -1 : 1] as const]),
      ...kinds.parts.map((_, i) => [at.part(b, i), -1] as const),
      ...kinds.bands.map((_, k) => [at.count(b, k), -1] as const),
    ],
  }));

const partRows = ({ kinds, boards, at }: Making): LinearRow[] =>
  kinds.parts.map((kind, i) => ({
    lower: kind.ids.length,
    upper: INFINITE,
    entries: boards.map((ready, b) => [at.part(b, i), ready.layers[i]!] as const),
  }));

/** A band is filled, by no fewer strips than it must have, none of them too wide or too narrow. */
function bandRows({ kinds, boards, at, copies, greatest }: Making, k: number): LinearRow[] {
  const band = kinds.bands[k]!;
  return [
    {
      lower: band.width / WIDE,
      upper: INFINITE,
      entries: boards.map((_, b) => [at.width(b, k), copies(b, k)] as const),
    },
    {
      lower: band.leastStrips,
      upper: INFINITE,
      entries: boards.map((_, b) => [at.count(b, k), copies(b, k)] as const),
    },
    ...boards.flatMap((_, b) => [
      {
        lower: 0,
        upper: INFINITE,
        entries: [[at.count(b, k), greatest(b, k) / WIDE] as const, [at.width(b, k), -1] as const],
      },
      {
        lower: 0,
        upper: INFINITE,
        entries: [[at.width(b, k), 1] as const, [at.count(b, k), -band.least / WIDE] as const],
      },
    ]),
  ];
}

/** Only a panel whose bands are all its own can be held to its number of strips. */
const panelRows = ({ kinds, boards, at, copies }: Making): LinearRow[] =>
  kinds.panels.flatMap((panel, p) =>
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
  );

/** Bands that ask for the same strips, of one panel or of several, taken as one: a smaller programme, and true of them all. */
function withBandsAlikeTogether(kinds: Kinds): BoundKinds {
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
