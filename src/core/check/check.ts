import type { Place } from '../climate/place';
import type { Shop } from '../decision/shop';
import type { Change } from '../document/job-document';
import type { Spot } from '../document/piece-decisions';
import type { CaseInJob, PieceInJob, TableInJob } from '../document/piece-in-job';
import type { Figure } from '../measure/figure';
import type { Phrase, Quantity } from '../measure/quantity';
import { isMade } from '../piece/material';
import { woodOf } from '../piece/part';
import type { CasePiece, Piece, TablePiece } from '../piece/piece';
import type { PieceRestraint } from '../season/restraint-of-piece';
import type { Season } from '../season/season-state';
import type { Board } from '../stock/board';
import type { Species } from '../wood/species';

export type Level = 'stop' | 'watch' | 'good';
export type Step = 'brief' | 'form' | 'season' | 'joints' | 'layout' | 'glue-up' | 'plan' | 'bench';

/** Words, and the changes they stand for; without changes it is advice. */
export interface WayOut {
  say: Phrase;
  changes: readonly Change[];
}

/** Something that can go wrong: its number against its limit, where, why, and the way out. */
export interface Check {
  id: string;
  step: Step;
  level: Level;
  sentence: Phrase;
  value: Quantity;
  limit: Quantity;
  /** Ids of the parts or fasteners it is about. */
  where: readonly string[];
  why: string;
  /** What is proposed against it; absent when nothing is wrong. What is shown has been tried, see `waysOut`. */
  wayOut?: WayOut;
  /** What else is tried, in this order, where that does not help. */
  otherWaysOut?: readonly WayOut[];
  /** The practice followed, where makers disagree. */
  school: string;
  /** How the value was come by. */
  figure?: Figure;
}

/** Another piece of the same job, as far as it bears on this one. */
export interface Neighbour {
  title: string;
  document: PieceInJob;
  piece: Piece;
  season: Season;
  species: Species;
}

/** The other pieces of its job that bear on one. */
export interface Around {
  /** What it stands on, or why it cannot; null where it stands on the floor or hangs. */
  below: Neighbour | { problem: string } | null;
  /** What stands on it. */
  above: readonly Neighbour[];
  /** What it is bolted to at its left, or why it cannot be; null where it stands by itself. */
  left: Neighbour | { problem: string } | null;
  /** With all that is bolted to its left, mm. */
  run: number;
}

export interface CheckContext extends Around {
  document: PieceInJob;
  piece: Piece;
  season: Season;
  restraint: PieceRestraint;
  /** Of the parts that are of no other. */
  species: Species;
  /** Where it is judged to stand in the room. */
  spot: Spot;
  /** All that its parts are of. */
  woods: readonly Species[];
  shop: Shop;
  /** Boards of its species that the maker has not left out; null while the rack is not known. */
  boards: readonly Board[] | null;
  /** Ids of those that the layout cuts from; null where there is no layout of the piece as it is. */
  used: readonly string[] | null;
  shopAir: Place;
}

/** The same of a table, and of a case. */
export type TableContext = CheckContext & { document: TableInJob; piece: TablePiece };
export type CaseContext = CheckContext & { document: CaseInJob; piece: CasePiece };

export const isOfTable = (context: CheckContext): context is TableContext =>
  context.document.form.build === 'table' && context.piece.build === 'table';
export const isOfCase = (context: CheckContext): context is CaseContext =>
  context.document.form.build === 'case' && context.piece.build === 'case';

/** Species of some parts of a piece, by their ids; of the piece, where none is named. */
const speciesOf = ({ piece, species }: Pick<CheckContext, 'piece' | 'species'>, ids: readonly string[]): Species[] => {
  const parts = piece.parts.filter((part) => ids.includes(part.id) && isMade(part));
  return parts.length === 0 ? [species] : parts.map((part) => woodOf(part, species));
};

/** Of the species that parts are of, the one that breaks first: what they hold together is no stronger. */
export const weakestOf = (context: Pick<CheckContext, 'piece' | 'species'>, ids: readonly string[]): Species =>
  speciesOf(context, ids).reduce((a, b) => (b.modulusOfRupture < a.modulusOfRupture ? b : a));

/** Of the species that parts are of, the one that gives most. */
export const softestOf = (context: Pick<CheckContext, 'piece' | 'species'>, ids: readonly string[]): Species =>
  speciesOf(context, ids).reduce((a, b) => (b.modulusOfElasticity < a.modulusOfElasticity ? b : a));

/** The source of a stress and of what it may be. */
export const WORKING_STRESS_SCHOOL =
  'Elastic bending; working stress a fraction of the breaking stress, common practice';

/** `stop` when the limit is broken, `watch` when within the margin of it, else `good`. */
export function judge(
  value: number,
  limit: number,
  rule: { sense: 'at-most' | 'at-least'; watchFrom?: number },
): Level {
  const over = rule.sense === 'at-most' ? value > limit + 1e-9 : value < limit - 1e-9;
  if (over) return 'stop';
  if (rule.watchFrom === undefined) return 'good';
  const near = rule.sense === 'at-most' ? value > rule.watchFrom : value < rule.watchFrom;
  return near ? 'watch' : 'good';
}
