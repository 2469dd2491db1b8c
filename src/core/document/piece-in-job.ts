import type { Change } from '../decision/changes';
import type { Path } from '../decision/form-field';
import { asFitted } from '../piece/case/alcove';
import type { CaseForm } from '../piece/case/form';
import type { TableForm } from '../piece/table/form';
import type { Bench, JobDocument, PieceDecisions } from './job-document';
import type { Spot } from './piece-decisions';
import { seatsAsked } from './seats-asked';
import { OF_THE_PIECE } from './version-1';

/**
 * Everything that was decided of one piece and bears on it: its own decisions, and those of the job it is part of. The
 * groups `season`, `layout` and `plan` hold both.
 */
export interface PieceInJob {
  pieceId: string;
  /** Which of the pieces that are made alike, from 1. */
  instance: number;
  /** Of the job. */
  name: string;
  client: string;
  brief: JobDocument['brief'];
  /** Of the piece. */
  pieceName: string;
  use: PieceDecisions['use'];
  /** Where the maker has put it in the room; null where a place is found for it. */
  spot: Spot | null;
  /** How many it must seat; null where nothing is asked of it. */
  seatsAsked: number | null;
  species: string;
  /** Ids of the species of parts that are of another, by their kind or by their own id. */
  speciesOf: Readonly<Record<string, string>>;
  form: PieceDecisions['form'];
  joints: PieceDecisions['joints'];
  glueUp: PieceDecisions['glueUp'];
  season: JobDocument['season'] & PieceDecisions['season'];
  layout: JobDocument['layout'] & PieceDecisions['layout'];
  plan: JobDocument['plan'] & PieceDecisions['plan'];
  /** What is cut and measured of this instance. */
  bench: Bench;
}

/** What was decided of a table, and of a case. */
export type TableInJob = PieceInJob & { form: TableForm };
export type CaseInJob = PieceInJob & { form: CaseForm };

/** Where a decision of one piece is, as screens and checks of a piece name it. */
export type PiecePath = Path<
  Pick<
    PieceInJob,
    'use' | 'form' | 'joints' | 'glueUp' | 'season' | 'layout' | 'plan' | 'bench' | 'brief' | 'name' | 'client'
  >
>;
/** The same, of the piece's own or of its job. */
export type DecisionPath =
  | PiecePath
  | `pieces.${string}`
  | `woods.${string}`
  | 'pieces'
  | 'woods'
  | 'wood'
  | 'count'
  | 'woodOf'
  | 'spots'
  | `spots.${string}`
  | `woodOf.${string}`;

const NOTHING_CUT: Bench = { cut: [], locks: {} };

/** What was decided of one instance of a piece. */
export function pieceInJob(job: JobDocument, piece: PieceDecisions, instance = 1): PieceInJob {
  const speciesOf = (wood: string) => job.woods.find(({ id }) => id === wood)?.species ?? '';
  return {
    pieceId: piece.id,
    instance,
    name: job.name,
    client: job.client,
    brief: job.brief,
    pieceName: piece.name,
    use: piece.use,
    spot: piece.spots[instance] ?? null,
    seatsAsked: seatsAsked(job, piece),
    species: speciesOf(piece.wood),
    speciesOf: Object.fromEntries(Object.entries(piece.woodOf).map(([of, wood]) => [of, speciesOf(wood)])),
    form: piece.form.build === 'case' ? asFitted(piece.form) : piece.form,
    joints: piece.joints,
    glueUp: piece.glueUp,
    season: { ...job.season, ...piece.season },
    layout: { ...job.layout, ...piece.layout },
    plan: { ...job.plan, ...piece.plan },
    bench: piece.benches[instance] ?? NOTHING_CUT,
  };
}

/** Groups of decisions that are the piece's alone. */
const WHOLE_GROUPS = ['form', 'joints', 'glueUp', 'use', 'count', 'wood', 'woodOf', 'spots'];

/** The path of a decision about a piece in the job's document. Paths of the job are returned unchanged. */
export function pathInJob({ pieceId, instance }: Pick<PieceInJob, 'pieceId' | 'instance'>, path: string): string {
  const [group = '', key = ''] = path.split('.');
  if (group === 'bench') return `pieces.${pieceId}.benches.${instance}${path.slice('bench'.length)}`;
  const shared: readonly string[] = group in OF_THE_PIECE ? OF_THE_PIECE[group as keyof typeof OF_THE_PIECE] : [];
  const ofPiece = WHOLE_GROUPS.includes(group) || shared.includes(key);
  return ofPiece ? `pieces.${pieceId}.${path}` : path;
}

export const changesInJob = (
  piece: Pick<PieceInJob, 'pieceId' | 'instance'>,
  changes: readonly Change[],
): readonly Change[] => changes.map(({ path, value }) => ({ path: pathInJob(piece, path), value }));

/** The name of a part among all parts of a job. */
export const partInJob = ({ pieceId, instance }: Pick<PieceInJob, 'pieceId' | 'instance'>, part: string): string =>
  `${pieceId}.${instance}:${part}`;

/** The piece, its instance and the part that a name among all parts of a job stands for. */
export function partOfPiece(name: string): { pieceId: string; instance: number; part: string } {
  const [, pieceId = '', instance = '1', part = name] = /^([^:]*)\.(\d+):(.*)$/.exec(name) ?? [];
  return { pieceId, instance: Number(instance), part };
}
