import { type Change, type JobDocument, type PieceDecisions, withChanges } from '../document/job-document';
import { FIRST_CHOICES } from './first-choices';
import { formForStart, STARTS, type Start } from './starts';

/** One more piece for a job, of the wood that most of its pieces are of. */
export function newPiece(job: JobDocument, start: Start, id: string): PieceDecisions {
  const woods = job.pieces.map(({ wood }) => wood);
  const often = (wood: string) => woods.filter((own) => own === wood).length;
  const [wood = ''] = [...woods].sort((a, b) => often(b) - often(a));
  return { ...formForStart(start, job.brief), ...FIRST_CHOICES, id, name: nameFor(job, STARTS[start].name), wood };
}

/** A piece like another, with nothing of it cut or measured yet. */
export function copyOfPiece(job: JobDocument, piece: PieceDecisions, id: string): PieceDecisions {
  const season = { ...piece.season, measured: [] };
  return { ...piece, id, name: nameFor(job, withoutNumber(piece.name)), season, benches: {}, spots: {} };
}

/**
 * A job like another, with nothing of it cut or measured yet and no board chosen for it by hand.
 *
 * @param taken names that it does not get
 */
export function copyOfJob(job: JobDocument, taken: ReadonlySet<string>): JobDocument {
  return {
    ...job,
    name: freeName(withoutNumber(job.name), taken),
    pieces: job.pieces.map((piece) => ({
      ...piece,
      season: { ...piece.season, measured: [] },
      benches: {},
    })),
    layout: { ...job.layout, pinned: [], moved: [], laid: [], leaveOut: [] },
  };
}

/** A name that no piece of the job has. */
const nameFor = (job: JobDocument, name: string): string =>
  freeName(name, new Set(job.pieces.map((piece) => piece.name)));

/** A copy of a copy counts on; what is longer is not a number of copies. */
const withoutNumber = (name: string) => name.replace(/ \d{1,2}$/, '');

function freeName(name: string, taken: ReadonlySet<string>): string {
  for (let i = 1; ; i += 1) {
    const own = i === 1 ? name : `${name} ${i}`;
    if (!taken.has(own)) return own;
  }
}

/** What makes a piece one of another species; parts that are of a wood of their own stay so. */
export function woodChanges(job: JobDocument, pieceId: string, species: string): Change[] {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const known = job.woods.some((wood) => wood.species === species);
  const alone = job.pieces.every(({ id, wood, woodOf }) =>
    [id === pieceId ? '' : wood, ...Object.values(woodOf)].every((own) => own !== piece.wood),
  );
  // Alone in its wood, it takes the wood along.
  if (!known && alone) return [{ path: `woods.${piece.wood}.species`, value: species }];
  return tidied(
    job,
    inWood(job, species, (wood) => ({ path: `pieces.${pieceId}.wood`, value: wood })),
  );
}

/** What makes some parts of a piece, by their kind or one by its id, of another species; as the rest of it, where none is named. */
export function partWoodChanges(job: JobDocument, pieceId: string, of: string, species: string | null): Change[] {
  const piece = job.pieces.find(({ id }) => id === pieceId);
  if (!piece) return [];
  const { [of]: _, ...others } = piece.woodOf;
  const path = `pieces.${pieceId}.woodOf`;
  if (species === null) return tidied(job, [{ path, value: others }]);
  return tidied(
    job,
    inWood(job, species, (wood) => ({ path, value: { ...others, [of]: wood } })),
  );
}

/** A change to a wood of a species: one that the job has, or a new one. */
function inWood(job: JobDocument, species: string, change: (wood: string) => Change): Change[] {
  const known = job.woods.find((wood) => wood.species === species);
  if (known) return [change(known.id)];
  const taken = job.woods.map((wood) => wood.id);
  const id = Array.from({ length: taken.length + 1 }, (_, i) => `w${i + 1}`).find((own) => !taken.includes(own)) ?? 'w';
  return [{ path: `woods.${id}`, value: { id, name: 'Another wood', species } }, change(id)];
}

/** The changes, and woods that nothing is of any more taken out. */
function tidied(job: JobDocument, changes: Change[]): Change[] {
  const after = withChanges(job, changes);
  const used = new Set(after.pieces.flatMap(({ wood, woodOf }) => [wood, ...Object.values(woodOf)]));
  const left = job.woods.filter(({ id }) => !used.has(id));
  return [...changes, ...left.map(({ id }) => ({ path: `woods.${id}`, value: undefined }))];
}
