import * as v from 'valibot';
import { FormSchema, JointsSchema, withChanges } from '../document/job-document';
import type { PieceInJob } from '../document/piece-in-job';
import { count, type Phrase, say } from '../measure/quantity';
import { derivePiece } from '../piece/derive-piece';
import type { Unbuildable } from '../piece/unbuildable';
import type { Check } from './check';

const nothing = { value: count(0), limit: count(0) };

/** What cannot be built: a problem found twice is reported once, several at one place are numbered. */
export function impossibilities(problems: readonly Unbuildable[], document: PieceInJob): Check[] {
  const told = new Map<string, string[]>();
  return problems.flatMap((problem) => {
    const [words, known] = [JSON.stringify(problem.problem), told.get(problem.where) ?? []];
    if (known.includes(words)) return [];
    told.set(problem.where, [...known, words]);
    const check = impossibility(problem, document);
    return [known.length === 0 ? check : { ...check, id: `${check.id}-${known.length + 1}` }];
  });
}

function impossibility({ problem, where, wayOut, mends }: Unbuildable, document: PieceInJob): Check {
  const phrase = (words: string | Phrase) => (typeof words === 'string' ? say`${words}` : words);
  const changes = mends === undefined ? [] : [{ path: where, value: mends }];
  // A figure that no form takes, or that does not mend it by itself, is reported and not offered.
  const mended = withChanges(document, changes);
  const taken =
    changes.length > 0 &&
    v.is(FormSchema, mended.form) &&
    v.is(JointsSchema, mended.joints) &&
    derivePiece(mended).problems.every((other) => other.where !== where);
  return {
    id: `form.impossible.${where}`,
    step: 'form',
    level: 'stop',
    sentence: phrase(problem),
    ...nothing,
    where: [],
    why: 'It cannot be built as it is drawn.',
    school: 'Geometry; least sizes are common practice',
    wayOut: { say: phrase(wayOut), changes: taken ? changes : [] },
  };
}
