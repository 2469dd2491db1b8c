import type { Check } from '../check/check';
import { inOrder } from '../check/in-order';
import { speciesOfDemand } from '../layout/demand';
import type { Figure } from '../measure/figure';
import type { Schedule } from '../plan/schedule';
import { drawnWith } from '../room/cases-together';
import type { OtherPiece } from '../room/in-room';
import type { DerivedJob, DerivedPiece, DerivedWood } from './derive-job';
import { namesOfPiece } from './names-in-job';
import type { Airs } from './piece-stages';

/** A check with what it is about: an instance of a piece, the boards of a species, or the job. */
export interface OwnedCheck {
  owner: string;
  check: Check;
}

/** All that is judged of a job: of its pieces, its boards and its calendar. */
export const ownedChecks = (job: DerivedJob): readonly OwnedCheck[] => [
  ...job.pieces.flatMap((own) => own.checks.map((check) => ({ owner: ownerOfPiece(own), check }))),
  ...job.woods.flatMap((own) => own.checks.map((check) => ({ owner: own.species.id, check }))),
  ...job.checks.map((check) => ({ owner: 'job', check })),
];

export const ownerOfPiece = ({ pieceId, instance }: Pick<DerivedPiece, 'pieceId' | 'instance'>): string =>
  `${pieceId}.${instance}`;

/** One instance of a piece as it is looked at, with what it shares with the others of its job. */
export interface ShownPiece extends Omit<DerivedPiece, 'figures'>, Airs {
  job: DerivedJob;
  wood: DerivedWood;
  /** Boards of its species, those left out taken away. */
  boards: DerivedWood['boards'];
  layoutState: DerivedWood['layoutState'];
  schedule: Schedule;
  /** Of the piece, of the boards it comes from and of the calendar; what stops the work first. */
  checks: readonly Check[];
  /** The same, by their ids. */
  figures: Readonly<Record<string, Figure>>;
  problems: DerivedPiece['piece']['problems'];
  /** What stands under it, on it and beside it. */
  others: readonly OtherPiece[];
}

/** A piece of a job as it is looked at, beside the boards of one of its species; the first one where there is none of that name. */
export function shownPiece(job: DerivedJob, pieceId?: string, instance = 1, species?: string): ShownPiece {
  const own =
    job.pieces.find((piece) => piece.pieceId === pieceId && piece.instance === instance) ??
    job.pieces.find((piece) => piece.pieceId === pieceId) ??
    (job.pieces[0] as DerivedPiece);
  const here = speciesOfDemand(own.demand);
  const chosen = species !== undefined && here.includes(species) ? species : here[0];
  const wood = (job.woods.find((one) => one.species.id === chosen) ?? job.woods[0]) as DerivedWood;
  const ofBoards = job.woods
    .filter((one) => here.includes(one.species.id))
    .flatMap((one) => one.checks)
    .map((check) => ({ ...check, where: namesOfPiece(own, check.where) }));
  const checks = inOrder([...own.checks, ...ofBoards, ...job.checks]);
  return {
    ...own,
    job,
    wood,
    shopAir: job.shopAir,
    homeAir: job.homeAir,
    boards: wood.boards,
    layoutState: wood.layoutState,
    schedule: job.schedule,
    checks,
    figures: byId([...own.figures, ...wood.figures, ...job.figures, ...checks.flatMap(({ figure }) => figure ?? [])]),
    problems: own.piece.problems,
    others: drawnWith(own, job.pieces),
  };
}

const byId = (figures: readonly Figure[]): Record<string, Figure> =>
  Object.fromEntries(figures.map((own) => [own.id, own]));
