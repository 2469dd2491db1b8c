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

export interface Placement extends Rectangle {
  board: string;
  /** Id of the part or panel. */
  part: string;
  /** Number of the strip in its panel, from 0. */
  strip?: number;
}

export interface Strip {
  panel: string;
  label: string;
  board: string;
  /** mm after jointing. */
  width: number;
}

export interface Shortfall {
  part: string;
  name: string;
  /** Rough quarters to ask for; null when no such thickness is sold. */
  quarters: number | null;
  /** mm */
  thickness: number;
  length: number;
  width: number;
  boardFeet: number;
}

export interface Layout {
  /** Fingerprint of what it was made for; another one means the layout is stale. */
  key: string;
  placements: readonly Placement[];
  /** The strips of the panels in their order. */
  strips: readonly Strip[];
  offcuts: readonly (Rectangle & { board: string })[];
  shortfall: readonly Shortfall[];
  boards: readonly string[];
  /** m³: boards used, less what goes back to the rack. */
  consumed: number;
  /** m³ of finished parts placed. */
  finished: number;
  /** finished ÷ consumed. */
  yield: number;
  /** No layout of these parts on this rack can yield more; null while something is missing. */
  yieldBound: number | null;
  /** (consumed − least possible) ÷ least possible: how far from the best possible it is at the most. */
  gap: number | null;
  tried: number;
}

/** What the piece wants cut from boards, with the shop's allowances; a cut part keeps the size it was designed with. */
export function demandOf(piece: Piece, document: JobDocument, shop: Shop): Demand {
  const { allowances } = shop;
  const parts: PartDemand[] = [];
  const panels: PanelDemand[] = [];
  for (const part of piece.parts) {
    const finished = part.design;
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
