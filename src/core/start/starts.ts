import { EDGE_PER_CHAIR } from '../decision/room-for-people';
import { USE_OF_PIECE, type Use, type UseOfPiece } from '../decision/use';
import { type Brief, type Change, type PieceDecisions, withChanges } from '../document/job-document';
import type { BaseKindName, TableForm, TopKindName } from '../piece/table/form';
import { type CaseAs, caseAs } from './case-as';
import { caseForUse, chestForUse } from './case-for-use';
import { formForUse } from './form-for-use';
import { startBaseChanges, startTopChanges } from './start-form';

/** What a maker says that he will make: a use, and what it is built like. */
interface Beginning {
  name: string;
  /** How it is built, in a few words. */
  built: string;
  use: Use;
  round?: true;
  /** It is not square, however few sit at it. */
  long?: true;
  /** Into an alcove. */
  fitted?: true;
  /** On a wall. */
  hung?: true;
  /** It opens above. */
  chest?: true;
  top?: TopKindName;
  base?: BaseKindName;
  /** Kinds of a case that are other than usual. */
  as?: CaseAs;
}

/** What a job can begin with; a new one is a row here. */
export const STARTS = {
  dining: { name: 'Dining table', built: 'legs and aprons, a glued top', use: 'dining' },
  round: { name: 'Round table', built: 'a round top on splayed legs', use: 'dining', round: true, base: 'splayed' },
  trestle: {
    name: 'Trestle table',
    built: 'breadboard ends on trestles',
    use: 'dining',
    long: true,
    top: 'breadboard',
    base: 'trestle',
  },
  extending: { name: 'Extending table', built: 'opens for leaves', use: 'dining', long: true, top: 'extending' },
  terrace: {
    name: 'Terrace table',
    built: 'slats on crossed legs',
    use: 'dining',
    long: true,
    top: 'slatted',
    base: 'x-frame',
  },
  coffee: { name: 'Coffee table', built: 'low, legs and aprons', use: 'coffee' },
  side: { name: 'Side table', built: 'small, legs and aprons', use: 'side' },
  console: { name: 'Console', built: 'long and shallow', use: 'console' },
  desk: { name: 'Desk', built: 'legs and aprons', use: 'desk' },
  bench: { name: 'Bench', built: 'legs and aprons', use: 'bench' },
  stool: { name: 'Stool', built: 'legs and aprons', use: 'stool' },
  stand: { name: 'Stand', built: 'for a lamp or a plant', use: 'stand' },
  bookcase: { name: 'Bookcase', built: 'shelves on pins, on its own sides', use: 'bookcase' },
  fitted: { name: 'Fitted bookcase', built: 'scribed into an alcove', use: 'bookcase', fitted: true },
  sideboard: { name: 'Sideboard', built: 'bays in dovetails, on a plinth', use: 'sideboard' },
  cabinet: {
    name: 'Cabinet on legs',
    built: 'panels behind, on a frame of legs',
    use: 'sideboard',
    as: { back: 'framed', stand: 'leg-frame' },
  },
  cupboard: {
    name: 'Cupboard',
    built: 'a face frame before its shelves',
    use: 'cupboard',
    as: { front: 'face-frame' },
  },
  lowCase: {
    name: 'Low case',
    built: 'a coffee table as a box, mitred and open',
    use: 'low-case',
    as: { corner: 'mitred', back: 'open', stand: 'feet' },
  },
  shelfTable: {
    name: 'Coffee table with a shelf',
    built: 'a shelf between four legs, dividers on it',
    use: 'low-case',
    as: { corner: 'between-legs', stand: 'sides', bays: 3 },
  },
  pedestal: {
    name: 'Desk pedestal',
    built: 'openings for drawers between rails',
    use: 'pedestal',
    as: { stand: 'plinth', rails: 3 },
  },
  drawers: {
    name: 'Chest of drawers',
    built: 'posts and rails, openings for drawers',
    use: 'drawers',
    as: { corner: 'post-and-rail', back: 'framed', stand: 'sides', rails: 4 },
  },
  hung: { name: 'Wall shelf', built: 'hung on a rail', use: 'wall-cabinet', hung: true },
  chest: { name: 'Blanket chest', built: 'dovetailed, a lid on hinges', use: 'chest', chest: true },
  box: { name: 'Box', built: 'dovetailed, with a lid', use: 'box', chest: true },
} as const satisfies Record<string, Beginning>;

/** A piece as it is begun. */
type StartedPiece = Pick<PieceDecisions, 'use' | 'count' | 'form'>;

export type Start = keyof typeof STARTS;
export const START_NAMES = Object.keys(STARTS) as [Start, ...Start[]];

/** People sit on it. */
export const isSatOn = (start: Start): boolean => USE_OF_PIECE[STARTS[start].use].sitting === 'on';

export const isCase = (start: Start): boolean => USE_OF_PIECE[STARTS[start].use].build === 'case';

/** Its size follows from who sits at it and from the room; any other has sizes of its own. */
export const isForSeats = (start: Start): boolean => USE_OF_PIECE[STARTS[start].use].start === null;

export interface StartSize {
  length: number;
  width: number;
  height: number;
}

/** The size that a piece can be wished to have at first, mm. */
export const SIZES_TO_START = {
  table: {
    least: { length: 150, width: 150, height: 150 },
    most: { length: 6000, width: 3000, height: 1500 },
  },
  case: {
    least: { length: 150, width: 80, height: 120 },
    most: { length: 4000, width: 1200, height: 3200 },
  },
} as const satisfies Record<UseOfPiece['build'], Record<'least' | 'most', StartSize>>;

/** Whether a size can be wished for a start. */
export function canStartSo(start: Start, size: StartSize): boolean {
  const { least, most } = SIZES_TO_START[isCase(start) ? 'case' : 'table'];
  return (['length', 'width', 'height'] as const).every((key) => size[key] >= least[key] && size[key] <= most[key]);
}

/** The usual size of what has one of its own, mm; null where it follows the brief. */
export function usualSize(start: Start): StartSize | null {
  const { start: usual } = USE_OF_PIECE[STARTS[start].use];
  return usual && { length: usual.length, width: usual.width, height: usual.height };
}

/** A round top has so much edge for each who sits at it, and is no smaller than for two, mm; common practice. */
const roundFor = (seats: number): number => Math.max(700, Math.ceil((seats * EDGE_PER_CHAIR) / Math.PI / 10) * 10);

/** A sound first form: what is usual for the use, then of the kind that is meant. Sizes in mm, where they are wished. */
export function formForStart(start: Start, brief: Brief, size: StartSize | null = null): StartedPiece {
  const { use, round, long, fitted, hung, chest, top, base, as }: Beginning = STARTS[start];
  const usual = size ?? usualSize(start);
  if (isCase(start) && usual)
    return {
      use,
      count: 1,
      form: chest
        ? chestForUse(use, usual)
        : caseAs(caseForUse(use, usual, fitted ? 'fitted' : hung ? 'hung' : 'free'), as ?? {}),
    };
  const piece = formForUse(use, brief, size, long ? 'long' : 'by-seats');
  let { form } = piece;
  const change = (changes: readonly Change[]) => {
    form = withChanges({ form }, changes).form as TableForm;
  };
  if (round) {
    const across = roundFor(brief.seats);
    change([
      { path: 'form.top.length', value: across },
      { path: 'form.top.width', value: across },
      { path: 'form.top.outline', value: { kind: 'round' } },
    ]);
  }
  if (top) change(startTopChanges(top, form));
  if (base) change(startBaseChanges(base, form));
  // Nothing was decided before: there is nothing to come back to.
  change([{ path: 'form.aside', value: { tops: [], bases: [], hold: null } }]);
  return { ...piece, form };
}
