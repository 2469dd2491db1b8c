import * as v from 'valibot';
import { ONLY_PIECE, ofOnlyPiece } from '../document/version-1';
import type { Board } from '../stock/board';
import type { Demand } from './demand';

/** A rectangle of a board, mm; x along the length from the tagged end, y across from the near edge. */
export interface Rectangle {
  x: number;
  y: number;
  length: number;
  width: number;
}

/** What counts besides the wood itself, in the shop's money. */
export interface LayoutWeights {
  /** Share of its price that a useful offcut keeps, 0–1. */
  offcutWorth: number;
  /** One more board to fetch, flatten and edge. */
  board: number;
  /** One more cut. */
  cut: number;
  /** One more joint line in a panel. */
  joint: number;
  /** One more lot in a panel. */
  lot: number;
  /** One more kind of ring (flat, rift, quarter) in a panel. */
  ring: number;
}

export interface LayoutOptions {
  kerf: number;
  /** Stop and fence stand at whole steps. */
  step: number;
  endTrim: number;
  /** What a rough board loses of its thickness to be flat, and a dressed one all the same; mm. */
  flattening: number;
  skim: number;
  usefulOffcut: { length: number; width: number };
  /** Greatest board width that can be resawn, the band's kerf and the over-thickness of each piece; mm. */
  resaw: { height: number; kerf: number; allowance: number };
  /** For boards that carry no price, per m³. */
  woodPrice: number;
  weights: LayoutWeights;
  /** Same seed and effort, same layout. */
  seed: number;
  /** Number of changes tried to improve the layout. */
  effort: number;
  /** Placements already sawn or pinned: they stay, and everything else goes round them. */
  fixed?: readonly Placement[];
  /** Offcuts that went back to the rack from boards used up; nothing more is cut from these boards. */
  givenBack?: readonly (Rectangle & { board: string })[];
}

const size = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(100_000));
const area = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(1e10));
const share = v.pipe(v.number(), v.finite());
const id = v.pipe(v.string(), v.maxLength(140));
const rectangle = { x: size, y: size, length: size, width: size };

export const PlacementSchema = v.object({
  ...rectangle,
  board: id,
  /** Id of the part or panel. */
  part: id,
  /** Number of the strip in its panel, from 0. */
  strip: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0))),
  /** Which band of its panel the strip belongs to, where there are several. */
  band: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0))),
  /** Which of the pieces resawn from one blank, from 0; the blank is one rectangle of the board. */
  layer: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0))),
  /** The show face is the one under the tagged face. */
  turned: v.optional(v.boolean()),
});

const layoutEntries = {
  /** Of all that is laid out; empty where an earlier Taller did not say. */
  species: v.optional(v.pipe(v.string(), v.maxLength(80)), ''),
  /** Fingerprint of what it was made for; another one means the layout is stale. */
  key: id,
  placements: v.pipe(v.array(PlacementSchema), v.maxLength(5000)),
  /** The strips of the panels in their order; widths in mm after jointing. */
  strips: v.pipe(v.array(v.object({ panel: id, label: id, board: id, width: size })), v.maxLength(2000)),
  /** Returned to the rack, each in one piece; its area clear of defects, mm², where that is not all of it. */
  offcuts: v.pipe(v.array(v.object({ ...rectangle, board: id, clear: v.optional(area) })), v.maxLength(5000)),
  /** What no board gives; quarters are null where no such rough thickness is sold. */
  shortfall: v.pipe(
    v.array(
      v.object({
        part: id,
        name: id,
        quarters: v.nullable(v.number()),
        thickness: size,
        /** So many pieces of this length and width. */
        count: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1)), 1),
        length: size,
        width: size,
        /** Of all of them. */
        boardFeet: share,
        /** With a live edge. */
        live: v.optional(v.boolean(), false),
        /** As dressed stock of this section. */
        dressed: v.optional(v.boolean(), false),
        /** No board of the rack gives even one of them; otherwise it is not known whether another layout would. */
        noBoard: v.optional(v.boolean(), false),
      }),
    ),
    v.maxLength(500),
  ),
  boards: v.pipe(v.array(id), v.maxLength(5000)),
  /** m³: boards used, less what goes back to the rack. */
  consumed: share,
  /** m³ of finished parts placed. */
  finished: share,
  /** finished ÷ consumed. */
  yield: share,
  /** In the shop's money; what goes back to the rack is taken off. */
  cost: v.object({
    wood: share,
    offcuts: share,
    boards: share,
    cuts: share,
    joints: share,
    match: share,
    total: share,
  }),
  /** Number of saw cuts. */
  cuts: v.pipe(v.number(), v.integer()),
  /** No layout of these parts on this rack costs less; null while something is missing. */
  bound: v.nullable(share),
  /** Fingerprint of what was fixed when the bound was found: under other pins another layout may cost less. */
  boundFor: v.optional(id),
  /** (cost − bound) ÷ bound: how far from the best possible it is at the most. */
  gap: v.nullable(share),
  tried: v.pipe(v.number(), v.integer()),
};

type Plain = Record<string, unknown>;
const entriesOf = (value: unknown, key: string): Plain =>
  Array.isArray(value)
    ? (value.map((own: Plain) => ({ ...own, [key]: ofOnlyPiece(own?.[key]) })) as never)
    : (value as never);

/** Layouts kept by version 1 name the parts of the only piece there was. */
const inOnlyPiece = (value: unknown): unknown => {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const { placements, strips, shortfall, ...layout } = value as Plain;
  return {
    ...layout,
    placements: entriesOf(placements, 'part'),
    strips: entriesOf(strips, 'panel'),
    shortfall: entriesOf(shortfall, 'part'),
  };
};

/** A layout of one species as it is kept with its job. */
export const LayoutSchema = v.pipe(v.unknown(), v.transform(inOnlyPiece), v.object(layoutEntries));

export type Placement = v.InferOutput<typeof PlacementSchema>;
export type Layout = v.InferOutput<typeof LayoutSchema>;
export type Strip = Layout['strips'][number];
/** A rest of a board that returns to the rack in one piece. */
export type Offcut = Rectangle & { clear?: number | undefined };
export type Shortfall = Layout['shortfall'][number];

/** An offcut as it is counted, mm². */
export const clearOf = ({ length, width, clear }: Offcut): number => clear ?? length * width;

/** The boards a layout cuts from, in its order. */
export const boardsUsed = <B extends Pick<Board, 'id'>>(layout: Pick<Layout, 'boards'>, boards: readonly B[]): B[] =>
  layout.boards.flatMap((id) => boards.find((board) => board.id === id) ?? []);

/**
 * Numbers to a ten-thousandth: engines differ in the last digits of a sine, and a layout made on the server must still be
 * that of the same piece in a browser.
 */
const toTheSaw = (_: string, value: unknown) => (typeof value === 'number' ? Math.round(value * 1e4) / 1e4 : value);

const ONLY_NAME = `${ONLY_PIECE}.1`;

/** Fingerprint of a demand on a rack: what a kept layout must match to be current. */
export function layoutKey(demand: Demand, boards: readonly Board[], options: LayoutOptions): string {
  const matching = options.weights.lot > 0 || options.weights.ring > 0;
  const stock = boards
    .map((b) => [
      b.id,
      b.length,
      b.width,
      b.farWidth,
      b.liveEdges,
      b.thickness,
      b.quarters,
      b.surface,
      ...(b.crook ? [b.crook] : []),
      b.price,
      // What a board looks like matters only where it is weighed: a layout stands when only that is changed.
      matching || demand.panels.some((panel) => panel.oneLot) ? b.lot : '',
      matching ? b.ringAngle : 0,
      b.defects.map((d) => [d.kind, d.face, d.x, d.y, d.length, d.width]),
    ])
    .sort((a, b) => (String(a[0]) < String(b[0]) ? -1 : 1));
  const { kerf, endTrim, flattening, skim, usefulOffcut, weights } = options;
  // The shop's own price and its band saw count only where they are asked.
  const woodPrice = boards.some((board) => !board.price) ? options.woodPrice : 0;
  const resaw = options.resaw.height > 0 ? options.resaw : null;
  const text = JSON.stringify(
    [demand, stock, kerf, endTrim, flattening, skim, usefulOffcut, resaw, woodPrice, weights],
    toTheSaw,
  );
  // A job of one piece has the fingerprint that it had before pieces had names.
  const names = [...demand.parts, ...demand.panels].map(({ id }) => id.split(':')[0]);
  return fingerprint(names.every((own) => own === ONLY_NAME) ? text.replaceAll(`"${ONLY_NAME}:`, '"') : text);
}

/** Fingerprint of what a search leaves where it is. */
export const fixedKey = ({ fixed = [], givenBack = [] }: Pick<LayoutOptions, 'fixed' | 'givenBack'>): string =>
  fingerprint(JSON.stringify([fixed, givenBack], toTheSaw));

/** FNV-1a over two lanes: 64 bits are plenty to tell two layouts of one job apart. */
function fingerprint(text: string): string {
  let [a, b] = [0x811c9dc5, 0x01000193];
  for (let i = 0; i < text.length; i += 1) {
    const code = text.charCodeAt(i);
    a = Math.imul(a ^ code, 0x01000193);
    b = Math.imul(b ^ (code + i), 0x85ebca6b);
  }
  return (a >>> 0).toString(16).padStart(8, '0') + (b >>> 0).toString(16).padStart(8, '0');
}
