import { hasSectionOf, isSheetOf, widthFrom } from '../stock/as-dressed';
import type { Board } from '../stock/board';
import { faceArea } from '../stock/board';
import { type BoardShape, boardShape, reachAcross } from '../stock/board-shape';
import { liveEdgeToTake } from '../stock/live-edge';
import { boardPrice } from '../stock/price';
import { type RingKind, ringKind } from '../stock/ring-kind';
import { type Lie, spoils, type Use } from '../stock/spoils';
import { planedThickness, resawableThickness } from '../stock/thickness';
import { clearRegions } from './clear-regions';
import type { Demand } from './demand';
import type { LayoutOptions, Rectangle } from './layout';
import { leavesOf, stripUse } from './matched-pairs';
import { piecesResawn } from './resawing';

/** Pieces of one size and use: their ids are given out when the layout is written. mm. */
export interface PartKind {
  length: number;
  /** As it is sawn, where its board has room for that: {@link ReadyBoard.widths}. */
  width: number;
  finishedWidth: number;
  thickness: number;
  /** Only from dressed stock of its own section. */
  asDressed: boolean;
  /** One of its edges is a live edge of its board. */
  live: boolean;
  /** Only from a sheet of its thickness. */
  sheet: boolean;
  use: number;
  resawn: boolean;
  /** How it is best sawn from the log; null: as it comes. */
  rings: RingKind | null;
  /** Which of the sets that come from one board; null for a part that may come from any. */
  set: number | null;
  ids: readonly string[];
}

/** Parts that all come from one board. */
export interface PartSet {
  word: string;
  /** Kinds of its parts. */
  kinds: readonly number[];
  /** Id of the board that some of it is sawn from already. */
  board: string | null;
}

/** A band of a panel, still to be made up of blanks: each a strip, or resawn into several of its width. mm. */
export interface BandKind {
  panel: number;
  band: number;
  length: number;
  /** Of the strips together, after jointing; what fixed strips already give is taken off. */
  width: number;
  least: number;
  greatest: number;
  jointing: number;
  /** Of a strip. */
  thickness: number;
  /** Strips come by twos that lay on one another in their board. */
  pairs: boolean;
  use: number;
  /** Of blanks that are resawn: a leaf may show either face, or what lies between. */
  resawnUse: number;
}

/** The same for bands that ask for the same strips. */
export const stripKey = ({ length, least, greatest, jointing, thickness, pairs, use }: BandKind): string =>
  JSON.stringify([length, least, greatest, jointing, thickness, pairs, use]);

/** Blanks for strips as a board gives them. */
export interface StripBlanks {
  /** Strips that one blank gives: one that is planed, or several that are resawn; 0 where the board gives none. */
  copies: number;
  /** Greatest width of a strip after jointing, mm: of a blank that is resawn it is limited by the band saw. */
  greatest: number;
}

/** What of a band decides its blanks. */
type StripSize = Pick<BandKind, 'length' | 'least' | 'greatest' | 'jointing' | 'thickness' | 'pairs'>;

/**
 * Blanks for the strips of a band out of a board that is thick enough for them, were they as wide as they may be: resawn
 * where it gives more than one, for what is planed away is wood as well.
 */
export function stripsFrom(ready: ReadyBoard, band: StripSize): StripBlanks {
  const known = ready.blanks.get(band);
  if (known) return known;
  const found = stripBlanks(ready, band);
  ready.blanks.set(band, found);
  return found;
}

/** A band as its blanks are looked for: as wide as they may be, and clear of what the strips they give may not have. */
export const blanksFor = (band: BandKind, { greatest }: StripBlanks, copies: number): BandKind => ({
  ...band,
  greatest,
  use: copies > 1 ? band.resawnUse : band.use,
});

function stripBlanks(
  { planed, resawable, resaw }: Pick<ReadyBoard, 'planed' | 'resawable' | 'resaw'>,
  { length, least, greatest, jointing, thickness, pairs }: StripSize,
): StripBlanks {
  if (resaw.height >= least + jointing - 1e-9) {
    const wide = Math.min(greatest, resaw.height - jointing);
    const copies = piecesResawn(resawable({ length, width: wide + jointing }), thickness, resaw);
    if (copies > 1) return { copies: pairs ? 2 : copies, greatest: wide };
  }
  const one = !pairs && planed({ length, width: greatest + jointing }) >= thickness - 1e-9;
  return { copies: one ? 1 : 0, greatest };
}

/** What is to be cut, sorted into kinds. */
export interface Kinds {
  uses: readonly Use[];
  parts: readonly PartKind[];
  sets: readonly PartSet[];
  bands: readonly BandKind[];
  /** Of each panel: strips it may still have, and the lot its fixed strips bind it to. */
  panels: readonly { mostStrips: number; oneLot: boolean; lot: string | null; fixedStrips: number }[];
}

/** A board made ready for the search. */
export interface ReadyBoard {
  index: number;
  board: Board;
  shape: BoardShape;
  /** What a piece of it planes to, mm. */
  planed: (piece: { length: number; width: number }) => number;
  /** How thick a blank of it is that is resawn, mm. */
  resawable: (piece: { length: number; width: number }) => number;
  resaw: LayoutOptions['resaw'];
  kerf: number;
  /** Blanks found before, by band. */
  blanks: WeakMap<StripSize, StripBlanks>;
  /** In the shop's money, the whole board and a mm² of it. */
  price: number;
  priceOfArea: number;
  /** Where pieces may lie: inside the end trim, between the live edges, round what is fixed; one set for either first cut. */
  starts: { crosscut: readonly Rectangle[]; rip: readonly Rectangle[] };
  /** For each use and either face up, the defects to keep clear of. */
  spoiled: readonly { tagged: readonly Rectangle[]; under: readonly Rectangle[] }[];
  /** Pieces one blank gives by resawing, for each kind of part; 0 where the board is too thin or small. */
  layers: readonly number[];
  /** How wide each kind of part is sawn from it, mm; of one with a live edge as far as the board is of full thickness. */
  widths: readonly number[];
  /** The live edge that a part may take, and how deep that is; mm. */
  live: ReturnType<typeof liveEdgeToTake>;
  /** Something is already sawn from it. */
  begun: boolean;
  rings: RingKind;
}

export function kindsOf(demand: Demand, options: LayoutOptions, boards: readonly Board[]): Kinds {
  const uses: Use[] = [];
  const indexOf = (use: Use) => {
    const at = uses.findIndex((u) => u.kind === use.kind && u.shows === use.shows);
    return at >= 0 ? at : uses.push(use) - 1;
  };
  const fixed = options.fixed ?? [];
  const done = new Set(fixed.filter((p) => p.strip === undefined).map((p) => p.part));
  const parts = new Map<string, PartKind & { ids: string[] }>();
  const sets: (PartSet & { kinds: number[] })[] = [];
  const setOf = (word: string): number => {
    const at = sets.findIndex((set) => set.word === word);
    if (at >= 0) return at;
    const members = new Set(demand.parts.filter((part) => part.together === word).map((part) => part.id));
    const board = fixed.find((p) => members.has(p.part))?.board ?? null;
    return sets.push({ word, kinds: [], board }) - 1;
  };
  for (const part of demand.parts) {
    if (done.has(part.id)) continue;
    const { length, width } = part.rough;
    const kind = {
      length,
      width,
      finishedWidth: part.finished.width,
      thickness: part.finished.thickness,
      asDressed: part.asDressed ?? false,
      live: part.live ?? false,
      sheet: part.sheet ?? false,
      use: indexOf({ kind: 'part', shows: part.shows }),
      resawn: part.resawn ?? true,
      rings: part.rings ?? null,
      set: part.together === undefined ? null : setOf(part.together),
    };
    const key = JSON.stringify(kind);
    const found = parts.get(key);
    if (found) found.ids.push(part.id);
    else {
      if (kind.set !== null) sets[kind.set]?.kinds.push(parts.size);
      parts.set(key, { ...kind, ids: [part.id] });
    }
  }

  const bands: BandKind[] = [];
  const panels = demand.panels.map((panel, index) => {
    const strips = fixed.filter((p) => p.part === panel.id && p.strip !== undefined);
    panel.bands.forEach(({ length, width }, band) => {
      const given = strips.filter((p) => (p.band ?? 0) === band).reduce((sum, p) => sum + p.width - panel.jointing, 0);
      const left = width - given;
      if (left <= 1e-6) return;
      const least = Math.min(panel.leastStrip, width / leavesOf(panel));
      bands.push({
        panel: index,
        band,
        length,
        width: left,
        least,
        greatest: Math.max(least, panel.greatestStrip),
        jointing: panel.jointing,
        thickness: panel.finished.thickness,
        pairs: panel.pairs !== undefined,
        use: indexOf(stripUse(panel, leavesOf(panel))),
        resawnUse: indexOf(stripUse(panel, 2)),
      });
    });
    const first = boards.find((b) => b.id === strips[0]?.board);
    return {
      mostStrips: (panel.mostStrips ?? Number.POSITIVE_INFINITY) - strips.length,
      oneLot: panel.oneLot,
      lot: panel.oneLot && first ? first.lot : null,
      fixedStrips: strips.length,
    };
  });
  return { uses, parts: [...parts.values()], sets, bands, panels };
}

export function readyBoards(boards: readonly Board[], options: LayoutOptions, kinds: Kinds): ReadyBoard[] {
  return boards.map((board, index) => {
    const shape = boardShape(board);
    // Of a board used up there is no more to be had.
    const planed: ReadyBoard['planed'] = board.takenFor ? () => 0 : (piece) => planedThickness(board, options, piece);
    const resawable: ReadyBoard['resawable'] = board.takenFor
      ? () => 0
      : (piece) => resawableThickness(board, options, piece);
    const price = boardPrice(board, options.woodPrice);
    const live = liveEdgeToTake(board);
    const far = Math.max(shape.far.tagged, shape.far.other);
    const usable = {
      x: options.endTrim,
      y: shape.near,
      length: board.length - 2 * options.endTrim,
      width: far - shape.near,
    };
    const taken = rectanglesOf((options.fixed ?? []).filter((p) => p.board === board.id)).map((r) => ({
      x: r.x - options.kerf,
      y: r.y - options.kerf,
      length: r.length + 2 * options.kerf,
      width: r.width + 2 * options.kerf,
    }));
    const clearOf = (use: Use, lie: Lie) => board.defects.filter((defect) => spoils(defect, use, lie));
    return {
      index,
      board,
      shape,
      planed,
      resawable,
      resaw: options.resaw,
      kerf: options.kerf,
      blanks: new WeakMap(),
      price,
      priceOfArea: price / faceArea(board),
      starts: {
        crosscut: clearRegions(usable, taken, options.kerf, () => true),
        rip: clearRegions(usable, taken, options.kerf, () => false),
      },
      spoiled: kinds.uses.map((use) => ({ tagged: clearOf(use, 'tagged'), under: clearOf(use, 'under') })),
      layers: kinds.parts.map((kind) => layersOf(kind, { planed, resawable }, board, options)),
      widths: kinds.parts.map(
        (kind) => widthFrom(sectionOf(kind), board, options.skim) - (kind.live ? (live?.depth ?? 0) : 0),
      ),
      live,
      begun: taken.length > 0,
      rings: ringKind(board.ringAngle),
    };
  });
}

type Sized = Pick<PartKind, 'length' | 'width' | 'finishedWidth' | 'thickness' | 'asDressed' | 'live'>;

const sectionOf = ({ width, finishedWidth, thickness, asDressed }: Sized) => ({
  asDressed,
  finished: { width: finishedWidth, thickness },
  rough: { width },
});

/**
 * How many pieces one blank of the board gives: one where the planed board is thick enough; more where the piece may
 * be resawn, each piece over-thick for its cup and cleaning, a band's kerf between them.
 */
export function layersOf(
  kind: Sized & Pick<PartKind, 'resawn' | 'sheet'>,
  { planed, resawable }: Pick<ReadyBoard, 'planed' | 'resawable'>,
  board: Board,
  { resaw, endTrim, skim }: Pick<LayoutOptions, 'resaw' | 'endTrim' | 'skim'>,
): number {
  const widest = Math.max(board.width, board.farWidth ?? 0) - board.liveEdges.near - board.liveEdges.far;
  const section = sectionOf(kind);
  const { length } = kind;
  const edge = kind.live ? liveEdgeToTake(board) : null;
  if (kind.live && !edge) return 0;
  const width = widthFrom(section, board, skim) - (edge?.depth ?? 0);
  if (width <= 0 || length > board.length - 2 * endTrim + 1e-9 || width > widest + 1e-9) return 0;
  if (kind.sheet) return !board.takenFor && isSheetOf(kind.thickness, board) ? 1 : 0;
  if (kind.asDressed) return !board.takenFor && hasSectionOf(section, board) ? 1 : 0;
  if (planed({ length, width }) < kind.thickness - 1e-9) return 0;
  if (!kind.resawn || kind.live || width > resaw.height) return 1;
  return Math.max(1, piecesResawn(resawable({ length, width }), kind.thickness, resaw));
}

/** The rectangles of a board that placements take up: pieces resawn from one blank take it once. */
export function rectanglesOf<P extends Rectangle>(placements: readonly P[]): P[] {
  const seen = new Set<string>();
  return placements.filter(({ x, y, length, width }) => {
    const key = `${x},${y},${length},${width}`;
    return !seen.has(key) && seen.add(key);
  });
}

/** How far across a piece from x0 to x1 may reach on this board, mm from the near edge. */
export const reach = (ready: ReadyBoard, x0: number, x1: number): number => reachAcross(ready.shape, x0, x1);
