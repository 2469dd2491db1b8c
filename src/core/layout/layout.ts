import * as v from 'valibot';
import type { JobDocument } from '../decision/job-document';
import type { Shop } from '../decision/shop';
import type { Piece } from '../piece/piece';
import type { Board } from '../stock/board';

/** A rectangle of a board, mm; x along the length from the tagged end, y across from the near edge. */
export interface Rectangle {
  x: number;
  y: number;
  length: number;
  width: number;
}

export interface PartDemand {
  id: string;
  letter: string;
  name: string;
  grade: 'show' | 'hidden';
  /** mm, finished. */
  finished: { length: number; width: number; thickness: number };
  /** mm, as it is cut from the board. */
  rough: { length: number; width: number };
}

export interface PanelDemand {
  id: string;
  letter: string;
  name: string;
  finished: { length: number; width: number; thickness: number };
  /** mm: the length every strip is cut to, and the sum of the strips' widths after jointing. */
  rough: { length: number; width: number };
  /** mm, widths of one strip after jointing. */
  leastStrip: number;
  greatestStrip: number;
  /** mm taken from a strip's sawn width by jointing both edges. */
  jointing: number;
}

export interface Demand {
  species: string;
  parts: readonly PartDemand[];
  panels: readonly PanelDemand[];
}

export interface LayoutOptions {
  kerf: number;
  endTrim: number;
  flattening: number;
  usefulOffcut: { length: number; width: number };
  /** Same seed and effort, same layout. */
  seed: number;
  /** Number of arrangements tried. */
  effort: number;
  /** Placements already sawn: they stay, and everything else goes round them. */
  fixed?: readonly Placement[];
}

const size = v.pipe(v.number(), v.finite(), v.minValue(0), v.maxValue(100_000));
const share = v.pipe(v.number(), v.finite());
const id = v.pipe(v.string(), v.maxLength(80));
const rectangle = { x: size, y: size, length: size, width: size };

export const PlacementSchema = v.object({
  ...rectangle,
  board: id,
  /** Id of the part or panel. */
  part: id,
  /** Number of the strip in its panel, from 0. */
  strip: v.optional(v.pipe(v.number(), v.integer(), v.minValue(0))),
});

/** A layout as it is kept with its job. */
export const LayoutSchema = v.object({
  /** Fingerprint of what it was made for; another one means the layout is stale. */
  key: id,
  placements: v.pipe(v.array(PlacementSchema), v.maxLength(5000)),
  /** The strips of the panels in their order; widths in mm after jointing. */
  strips: v.pipe(v.array(v.object({ panel: id, label: id, board: id, width: size })), v.maxLength(2000)),
  offcuts: v.pipe(v.array(v.object({ ...rectangle, board: id })), v.maxLength(5000)),
  /** What no board gives; quarters are null where no such rough thickness is sold. */
  shortfall: v.pipe(
    v.array(
      v.object({
        part: id,
        name: id,
        quarters: v.nullable(v.number()),
        thickness: size,
        length: size,
        width: size,
        boardFeet: share,
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
  /** No layout of these parts on this rack can yield more; null while something is missing. */
  yieldBound: v.nullable(share),
  /** (consumed − least possible) ÷ least possible: how far from the best possible it is at the most. */
  gap: v.nullable(share),
  tried: v.pipe(v.number(), v.integer()),
});

export type Placement = v.InferOutput<typeof PlacementSchema>;
export type Layout = v.InferOutput<typeof LayoutSchema>;
export type Strip = Layout['strips'][number];
export type Shortfall = Layout['shortfall'][number];

/** What the piece wants cut from boards, with the shop's allowances; a cut part keeps the size it was designed with. */
export function demandOf(piece: Piece, document: JobDocument, shop: Shop): Demand {
  const { allowances } = shop;
  const parts: PartDemand[] = [];
  const panels: PanelDemand[] = [];
  for (const part of piece.parts) {
    const finished = part.cut ? part.design : part.size;
    const { id, letter, name, grade } = part;
    if (part.kind === 'top') {
      panels.push({
        id,
        letter,
        name,
        finished,
        rough: { length: finished.length + allowances.panelLength, width: finished.width + allowances.panelWidth },
        leastStrip: document.layout.leastStrip,
        greatestStrip: document.layout.greatestStrip,
        jointing: allowances.stripJointing,
      });
    } else {
      parts.push({
        id,
        letter,
        name,
        grade,
        finished,
        rough: { length: finished.length + allowances.partLength, width: finished.width + allowances.partWidth },
      });
    }
  }
  return { species: document.form.species, parts, panels };
}

/** Fingerprint of a demand on a rack: what a kept layout must match to be current. */
export function layoutKey(demand: Demand, boards: readonly Board[], options: LayoutOptions): string {
  const stock = boards
    .map((b) => [
      b.id,
      b.length,
      b.width,
      b.thickness,
      b.quarters,
      b.surface,
      b.defects.map((d) => [d.x, d.y, d.length, d.width]),
    ])
    .sort((a, b) => (String(a[0]) < String(b[0]) ? -1 : 1));
  const { kerf, endTrim, flattening, usefulOffcut } = options;
  return fingerprint(JSON.stringify([demand, stock, kerf, endTrim, flattening, usefulOffcut]));
}

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
