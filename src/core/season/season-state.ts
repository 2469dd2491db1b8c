import type { PieceInJob } from '../document/piece-in-job';
import type { Day } from '../measure/calendar';
import type { Figure } from '../measure/figure';
import type { FinishKind } from '../wood/finish';
import type { PanelStrip } from '../wood/panel-shape';
import type { Species } from '../wood/species';
import type { Correction } from './learning';
import type { LineInput, MoistureLine } from './moisture-line';

export interface SeasonDay {
  /** Days after `start`. */
  index: number;
  day: Day;
  /** % */
  moisture: number;
}

export interface Season {
  /** 1 January of the year of gluing. */
  start: Day;
  /** The moisture reckoned with, % on each of two years' days: the air's at once, or as it was simulated. */
  moistures: readonly number[];
  /** EMC of the air the piece stands in (the shop until delivery, then the home), %. */
  air: readonly number[];
  reckoning: PieceInJob['season']['reckoning'];
  school: PieceInJob['season']['school'];
  /** The day the stock is milled, from which the wood is followed. */
  milled: SeasonDay;
  glued: SeasonDay;
  delivered: SeasonDay;
  /** Extremes the piece meets after gluing, in the shop and at home. */
  driest: SeasonDay;
  wettest: SeasonDay;
  /** The state in which the top's width is known: at gluing, or on the day its real width was measured. */
  reference: { width: number; moisture: number; measuredOn: Day | null };
  ringAngle: number;
  /** Of the top, and of the parts that are of no other. */
  species: Species;
  ofPiece: Species;
  /** The strips of the top: those of the layout, or one of the whole width while there is none. */
  strips: readonly (PanelStrip & { bestHeartUp: boolean })[];
  leadingWidth: { driest: number; wettest: number };
  /** What the widths measured since have taught; null while nothing was measured. */
  learned: Learned | null;
  correction: Correction;
  /** The simulated line, whatever is reckoned with, and what it is made from: again with other luck for the band. */
  line: MoistureLine;
  lineInput: LineInput;
  figures: readonly Figure[];
}

export interface Learned extends Correction {
  /** The measured widths beside the forecast without and with what they taught, mm. */
  points: readonly { on: Day; index: number; width: number; before: number; after: number }[];
  /** Between driest and wettest, mm. */
  swing: { before: number; after: number };
}

/** The finish of the plan, as the wood feels it. */
export const FINISH_OF_PLAN: Record<PieceInJob['plan']['finish'], FinishKind> = {
  'oil-wax': 'oil',
  film: 'varnish',
  shellac: 'shellac',
  lacquer: 'lacquer',
  epoxy: 'epoxy',
  wax: 'wax',
  none: 'none',
};
