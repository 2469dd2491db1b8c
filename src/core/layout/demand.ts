import type { Shop } from '../decision/shop';
import type { PieceInJob } from '../document/piece-in-job';
import { sawStep, upToStep } from '../measure/length';
import type { Form } from '../piece/form';
import { madeParts } from '../piece/material';
import { isPanel, type Part } from '../piece/part';
import type { Piece } from '../piece/piece';
import { blankId, legBlanks, SOLID } from '../piece/table/bases/leg-apron/making';
import { makingOf } from '../piece/table/making-of';
import { chordAt, type Flat } from '../solid/outline';
import type { Use } from '../stock/spoils';

/** A piece of a fixed size. mm. */
export interface PartDemand {
  id: string;
  /** Of what species, where that is not the demand's. */
  species?: string;
  letter: string;
  name: string;
  /** How many of its faces are seen. */
  shows: Use['shows'];
  finished: { length: number; width: number; thickness: number };
  /** As it is cut from the board. */
  rough: { length: number; width: number };
  /** Whether it may be one of several resawn from a thick board; taken as yes. */
  resawn?: boolean;
  /** Taken as dressed stock of its own section: nothing is planed off it. */
  asDressed?: boolean;
  /** One of its edges is the board's own, as the tree left it. */
  live?: boolean;
  /** From a sheet of its thickness, nothing planed off. */
  sheet?: boolean;
  /** m³ of it that become the piece, where it is not all of its finished size. */
  becomes?: number;
  /** Parts with the same word here all come from one board: a matched set, or pieces in sequence. */
  together?: string;
  /** How it is best sawn from the log; another board counts as a kind of ring that does not match. */
  rings?: 'quarter';
  /** Place in the order in which the set goes round, from 0: each meets the one after it, the last the first. */
  follows?: number;
}

/** A glued panel of free-width strips. mm. */
export interface PanelDemand {
  id: string;
  /** Of what species, where that is not the demand's. */
  species?: string;
  letter: string;
  name: string;
  shows: Use['shows'];
  finished: { length: number; width: number; thickness: number };
  /** Greatest length of a strip, and the sum of the strips' widths after jointing. */
  rough: { length: number; width: number };
  /**
   * From one edge to the other: how long strips must be over which width. One band for a straight panel; a round one
   * has shorter bands towards its sides. A strip belongs to one band.
   */
  bands: readonly Band[];
  /** Of the finished panel seen from above, its middle at nought, where it is not a plain rectangle. */
  outline?: readonly Flat[];
  /** Widths of one strip after jointing. */
  leastStrip: number;
  greatestStrip: number;
  /** Taken from a strip's sawn width by jointing both edges. */
  jointing: number;
  /** At most so many strips in the whole panel; null: as many as it takes. */
  mostStrips: number | null;
  /** All strips from boards of one lot. */
  oneLot: boolean;
  /** Strips in pairs, two leaves resawn from one blank and laid side by side; widths and numbers are still those of single strips. */
  pairs?: 'book' | 'slip';
}

export interface Band {
  length: number;
  width: number;
}

export interface Demand {
  species: string;
  parts: readonly PartDemand[];
  panels: readonly PanelDemand[];
}

/** What was decided of a piece that bears on what is cut for it. */
export type DemandDecided = Pick<PieceInJob, 'species' | 'layout'> & { form: Form };

/** What the piece wants cut from boards, with the shop's allowances; a cut part keeps the size it was designed with. */
export function demandOf(piece: Piece, document: DemandDecided, shop: Shop): Demand {
  const { allowances } = shop;
  const step = sawStep(shop.units);
  const parts: PartDemand[] = [];
  const panels: PanelDemand[] = [];
  const round = apronsRound(piece);
  const oneBoard = ({ id, kind }: Part) => {
    if (!document.layout.oneBoard.some((own) => own === kind)) return {};
    const follows = round.get(id);
    return { together: kind, ...(follows === undefined ? {} : { follows }) };
  };
  for (const part of madeParts(piece)) {
    const finished = part.cut ? part.design : part.size;
    const { id, letter, name } = part;
    const other = part.wood ? { species: part.wood.id } : {};
    // Paint hides what is not seen through it.
    const shows = part.painted ? SHOWS.hidden : SHOWS[part.grade];
    if (part.strips) {
      parts.push(...designed(part, finished, shop, document.species));
      continue;
    }
    if (part.wood?.sheet) {
      const { length, width } = finished;
      const rough = { length: upToStep(length, step), width: upToStep(width, step) };
      parts.push({ ...other, id, letter, name, shows: 'none', finished, rough, sheet: true, resawn: false });
      continue;
    }
    if (isPanel(part.kind)) {
      // Of another wood it is glued up by itself.
      const whole = panels.findIndex((panel) => panel.id === part.oneWith && panel.species === other.species);
      if (panels[whole]) {
        panels[whole] = longer(panels[whole], part.letter, upToStep(finished.length + CROSSCUT, step));
        continue;
      }
      const length = upToStep(finished.length + allowances.panelLength, step);
      const width = finished.width + allowances.panelWidth;
      const { oneLot } = document.layout;
      const pairs = document.layout.pairs === 'none' ? undefined : document.layout.pairs;
      const { equalStrips, mostStrips } = evenly(document.layout);
      const equal = equalStrips === null ? null : equalStrip(width / equalStrips, allowances.stripJointing, step);
      const [leastStrip, greatestStrip] =
        equal === null ? [document.layout.leastStrip, document.layout.greatestStrip] : [equal, equal];
      // The leaves of a pair are of one length: in steps, only one of them would have its place.
      const bands = pairs
        ? [{ length, width }]
        : bandsOf(piece, { length, width }, finished, (leastStrip + greatestStrip) / 2, step);
      panels.push({
        ...other,
        id,
        letter,
        name,
        shows,
        finished,
        rough: { length, width },
        bands,
        ...(bands.length > 1 && piece.build === 'table' ? { outline: piece.top.polygon } : {}),
        leastStrip,
        greatestStrip,
        jointing: allowances.stripJointing,
        mostStrips: equalStrips ?? mostStrips,
        oneLot,
        ...(pairs ? { pairs } : {}),
      });
      continue;
    }
    const roughOf = (size: typeof finished) => ({
      length: upToStep(size.length + allowances.partLength, step),
      width: upToStep(size.width + allowances.partWidth, step),
    });
    const making = document.form.build === 'table' ? makingOf(document.form, part.kind) : SOLID;
    if (making.kind !== 'solid') {
      for (const blank of legBlanks({ ...part, size: finished }, making)) {
        parts.push({
          ...other,
          id: blankId(id, blank.suffix),
          letter: `${letter}.${blank.suffix}`,
          name: blank.name,
          shows: part.painted ? SHOWS.hidden : blank.shows,
          finished: blank.finished,
          rough: roughOf(blank.finished),
          resawn: blank.resawn,
          ...(blank.rings ? { rings: blank.rings } : {}),
          becomes: blank.becomes,
          ...(blank.together === undefined ? oneBoard(part) : { together: id, follows: blank.together }),
        });
      }
    } else {
      const asDressed = document.layout.asDressed.some((own) => own === part.kind);
      const rough = roughOf(finished);
      const sized = asDressed ? { rough: { ...rough, width: finished.width }, asDressed } : { rough };
      const live = part.kind === 'slab' ? { live: true } : {};
      parts.push({ ...other, id, letter, name, shows, finished, ...sized, ...live, ...oneBoard(part) });
    }
  }
  return { species: document.species, parts, panels };
}

/** The strips of a panel that are decided: each is a piece of its own size, of its own wood. */
function designed(part: Part, finished: Part['size'], { allowances, units }: Shop, ofPiece: string): PartDemand[] {
  const step = sawStep(units);
  const [along, across] = [finished.length / part.size.length, finished.width / part.size.width];
  return (part.strips ?? []).map((strip) => {
    const own = {
      length: strip.length * along,
      width: strip.width * across + (strip.edges * allowances.panelWidth) / 2,
      thickness: finished.thickness,
    };
    const wood = strip.wood?.id ?? part.wood?.id ?? ofPiece;
    return {
      ...(wood === ofPiece ? {} : { species: wood }),
      id: blankId(part.id, strip.id),
      letter: `${part.letter}.${strip.id}`,
      name: `${part.name}: ${strip.name}`,
      shows: SHOWS[part.grade],
      finished: own,
      rough: {
        length: upToStep(own.length + allowances.panelLength, step),
        width: upToStep(own.width + allowances.stripJointing, step),
      },
      becomes: strip.length * strip.width * finished.thickness * 1e-9,
    };
  });
}

/** What of a demand is of one species, as a demand of that species. */
export function demandOfSpecies(demand: Demand, species: string): Demand {
  const own = <T extends { species?: string }>(list: readonly T[]): T[] =>
    list.flatMap((one) => {
      const { species: other, ...rest } = one;
      return (other ?? demand.species) === species ? (rest as T) : [];
    });
  return { species, parts: own(demand.parts), panels: own(demand.panels) };
}

/** Species of a demand, its own first; its own alone where nothing is asked for. */
export function speciesOfDemand({ species, parts, panels }: Demand): string[] {
  const asked = new Set([...panels, ...parts].map((one) => one.species ?? species));
  return asked.size === 0 || asked.has(species) ? [...new Set([species, ...asked])] : [...asked];
}

/** Width of each of several alike strips after jointing, so that it is sawn to a whole step. */
const equalStrip = (width: number, jointing: number, step: number): number =>
  upToStep(width + jointing, step) - jointing;

/** Numbers of strips as they can be: leaves of pairs come by twos. */
function evenly({ pairs, equalStrips, mostStrips }: PieceInJob['layout']) {
  if (pairs === 'none') return { equalStrips, mostStrips };
  return {
    equalStrips: equalStrips === null ? null : 2 * Math.ceil(equalStrips / 2),
    mostStrips: mostStrips === null ? null : Math.max(2, 2 * Math.floor(mostStrips / 2)),
  };
}

/** Aprons in their order round the piece, seen from above, from the front on; none where two lie one behind the other. */
function apronsRound({ parts }: Piece): Map<string, number> {
  const found = parts
    .filter(({ kind }) => kind === 'apron')
    .map(({ id, frame: { at } }) => ({ id, turn: (Math.atan2(at[1], at[0]) + 2.5 * Math.PI) % (2 * Math.PI) }))
    .sort((a, b) => a.turn - b.turn);
  const apart = found.every(({ turn }, i) => i === 0 || turn - (found[i - 1]?.turn ?? 0) > 0.1);
  return new Map(apart && found.length > 2 ? found.map(({ id }, i) => [id, i] as const) : []);
}

/** Lost where a panel is crosscut into the parts it was glued up for, mm; common practice. */
const CROSSCUT = 5;

const longer = (panel: PanelDemand, letter: string, by: number): PanelDemand => ({
  ...panel,
  name: `${panel.name} + ${letter}`,
  finished: { ...panel.finished, length: panel.finished.length + by },
  rough: { ...panel.rough, length: panel.rough.length + by },
  bands: panel.bands.map((band) => ({ ...band, length: band.length + by })),
});

/** Bands shorter than the whole by less than this share are not worth another length to cut. */
const WORTH_ANOTHER_LENGTH = 0.04;

/**
 * From one edge of a panel to the other, how long strips must be over which width: one band for a straight panel, shorter
 * ones toward the sides of a round one. Bands are about as wide as a strip and alike on both sides of the middle.
 */
function bandsOf(
  piece: Piece,
  rough: { length: number; width: number },
  finished: { length: number; width: number },
  strip: number,
  sawn: number,
): Band[] {
  const whole = [rough];
  if (piece.build !== 'table') return whole;
  const { top } = piece;
  if (top.gap !== undefined || top.parts.length > 1) return whole;
  const extra = { length: rough.length - finished.length, width: rough.width - finished.width };
  const half = finished.width / 2;
  // An odd number of strips across: one over the middle, the others in pairs.
  const pairs = Math.max(0, Math.round((finished.width / strip - 1) / 2));
  const step = finished.width / (2 * pairs + 1);
  const lengthFrom = (inner: number) => {
    const chords = [-inner, inner].map((y) => chordAt(top.polygon, y));
    const reach = Math.max(...chords.flatMap((c) => (c ? [Math.abs(c.from), Math.abs(c.to)] : [0])));
    return upToStep(2 * reach + extra.length, sawn);
  };
  const bands: { from: number; to: number; length: number }[] = [{ from: 0, to: step / 2, length: lengthFrom(0) }];
  for (let i = 0; i < pairs; i += 1) {
    const from = step / 2 + i * step;
    const length = lengthFrom(from);
    const last = bands.at(-1);
    if (last && length > last.length * (1 - WORTH_ANOTHER_LENGTH)) last.to = from + step;
    else bands.push({ from, to: from + step, length });
  }
  const [middle, ...sides] = bands;
  if (!middle || sides.length === 0) return whole;
  // The allowance in width is trimmed off the two outer edges.
  const wide = sides.map((band, i) => ({
    length: band.length,
    width: band.to - band.from + (i === sides.length - 1 ? extra.width / 2 + (half - band.to) : 0),
  }));
  return [...[...wide].reverse(), { length: middle.length, width: 2 * middle.to }, ...wide];
}

const SHOWS: Record<Part['grade'], Use['shows']> = { 'all-faces': 'all', 'one-face': 'face', hidden: 'none' };
