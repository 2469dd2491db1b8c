import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, sixSeats } from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { withChanges } from '../document/job-document';
import type { TableInJob } from '../document/piece-in-job';
import { drawView } from '../drawing/drawing';
import { fullSizeDrawings } from '../format/full-size';
import { startBase, startTop } from '../start/start-form';
import { derivePiece } from './derive-piece';
import { TableFormSchema } from './table/form';

/** Every number among the decisions of the form, by its path. */
function* numbers(thing: unknown, path: string[] = []): Generator<string[]> {
  if (typeof thing === 'number') yield path;
  else if (thing && typeof thing === 'object')
    for (const [key, value] of Object.entries(thing)) yield* numbers(value, [...path, key]);
}
const withNumber = (document: TableInJob, path: readonly string[], value: number): TableInJob => {
  const draft = structuredClone(document);
  let at = draft.form as unknown as Record<string, unknown>;
  for (const key of path.slice(0, -1)) at = at[key] as Record<string, unknown>;
  at[path.at(-1) as string] = value;
  return draft;
};
const notANumber = (thing: unknown): boolean =>
  typeof thing === 'number'
    ? Number.isNaN(thing)
    : Array.isArray(thing)
      ? thing.some(notANumber)
      : thing !== null && typeof thing === 'object' && Object.values(thing).some(notANumber);

describe('decisions as far off as they are let', () => {
  it.each(CONSTRUCTIONS.map(({ name, document }, i) => [name, document, i] as const))(
    '%s: derived, drawn and told, never broken',
    (_, document, n) => {
      for (const [i, path] of [...numbers(document.form)].entries()) {
        // By turns: with so many constructions every figure has its turn at both.
        for (const value of [(i + n) % 2 === 0 ? 0 : 6000]) {
          const odd = withNumber(document, path, value);
          // What the form itself refuses never comes to be derived.
          if ('problems' in read(TableFormSchema, odd.form, 'form')) continue;
          const words = `${path.join('.')} = ${value}`;
          const job = derived(odd);
          expect(notANumber(job.checks.map((c) => [c.value, c.limit])), words).toBe(false);
          expect(notANumber(job.piece.parts.map((part) => [part.size, part.volume])), words).toBe(false);
          for (const view of ['plan', 'front', 'end'] as const) drawView(job.piece, view);
          fullSizeDrawings(job.piece, { system: 'metric' });
        }
      }
    },
    60_000,
  );

  // A figure that a problem offers mends it: what is pressed leads out, whatever else may then be wrong.
  it.each(CONSTRUCTIONS.map(({ name, document }, i) => [name, document, i] as const))(
    '%s: a figure offered where it cannot be built mends that',
    (_, document, n) => {
      for (const [i, path] of [...numbers(document.form)].entries()) {
        const value = path.reduce<unknown>((at, key) => (at as Record<string, unknown>)[key], document.form) as number;
        // Much smaller or much larger by turns: with so many constructions every figure has its turn at both.
        for (const far of [(i + n) % 2 === 0 ? 0.4 * value : 2.5 * value]) {
          const odd = withNumber(document, path, Math.round(far * 10) / 10);
          if ('problems' in read(TableFormSchema, odd.form, 'form')) continue;
          if (derivePiece(odd).problems.every(({ mends }) => mends === undefined)) continue;
          const words = `${path.join('.')} = ${far}`;
          for (const { id, wayOut } of derived(odd).checks) {
            if (!id.startsWith('form.impossible.') || !wayOut || wayOut.changes.length === 0) continue;
            const mended = derived(withChanges(odd, wayOut.changes));
            expect(
              mended.checks.filter((c) => c.id === id && c.level === 'stop').map((c) => c.sentence),
              `${words}: ${JSON.stringify(wayOut.changes)}`,
            ).toEqual([]);
          }
        }
      }
    },
    60_000,
  );
});

it('a top of fields between mitred sides so near to one another that a field is cut away is told, and has a size', () => {
  const document = change(sixSeats() as TableInJob, (d) => {
    d.form.base = startBase('box', d.form.top, 450);
    d.form.top = { ...startTop('pieced', d.form.top), length: 240, width: 150, thickness: 40, stripe: 123, seams: 1 };
  });
  const { piece, checks } = derived(document);
  for (const part of piece.parts)
    expect(part.placed.every(({ bounds }) => bounds.from.every(Number.isFinite))).toBe(true);
  expect(checks.some(({ id, level }) => id.startsWith('form.impossible.form.top') && level === 'stop')).toBe(true);
});
