import { type Bounds, boundsOf } from '../decision/schema-at';
import { type Change, type JobDocument, PieceSchema, withChanges } from '../document/job-document';
import { MM_PER_INCH } from '../measure/length';

/** What a maker who reads inches proposes: half inches of what is long, sixteenths of what is small (common practice). mm → in. */
const STEPS: readonly [from: number, step: number][] = [
  [400, 1 / 2],
  [100, 1 / 4],
  [12, 1 / 8],
  [0, 1 / 16],
];

/** The round figures beside a length, the nearest first, as far as it may be them. */
function roundBeside(mm: number, { least, most }: Bounds): number[] {
  if (mm === 0) return [];
  const step = (STEPS.find(([from]) => mm >= from)?.[1] ?? 1 / 16) * MM_PER_INCH;
  const near = Math.round(mm / step);
  const all = [near, near * step > mm ? near - 1 : near + 1].map((steps) => Number((steps * step).toFixed(4)));
  return all.filter((own) => own > 0 && own >= least && own <= most);
}

/** For each length of a job's forms, or of one of them, that is not round yet: the changes that make it so, the nearest figure first. */
export function roundChoices({ pieces }: JobDocument, only?: string): Change[][][] {
  const asked = pieces.filter(({ id }) => only === undefined || id === only);
  return asked.flatMap((piece) =>
    lengthsOf(piece.form, 'form').flatMap((path) => {
      const bounds = boundsOf(PieceSchema, piece, path);
      if (bounds?.unit !== 'mm') return [];
      const own = numberAt(piece, path);
      const choices = roundBeside(own, bounds);
      // Once it is one of them it stays.
      if (choices.length === 0 || choices.includes(Number(own.toFixed(4)))) return [];
      return [choices.map((value) => [{ path: `pieces.${piece.id}.${path}`, value }])];
    }),
  );
}

/** The forms of a job with every length the round figure nearest to it. */
export const inRoundInches = (document: JobDocument, only?: string): JobDocument =>
  withChanges(
    document,
    roundChoices(document, only).flatMap(([nearest = []]) => nearest),
  );

/** Paths of all numbers in a form; lists have none that is proposed. */
function lengthsOf(value: unknown, path: string): string[] {
  if (typeof value === 'number') return [path];
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return [];
  return Object.entries(value).flatMap(([key, own]) => lengthsOf(own, `${path}.${key}`));
}

const numberAt = (piece: object, path: string): number =>
  path.split('.').reduce<unknown>((own, key) => (own as Record<string, unknown>)[key], piece) as number;
