import * as v from 'valibot';
import type { Problem } from '../measure/problem';
import { plainData } from './plain-text';

/** What Valibot found, in a maker's words: every failure, each with its place. */
export function problemsOf(issues: readonly v.BaseIssue<unknown>[], subject: string): Problem[] {
  return issues.slice(0, 50).map((issue) => ({
    problem: sentence(issue),
    where: v.getDotPath(issue) ?? subject,
    wayOut: issue.received === 'undefined' ? 'Add it.' : `It was ${issue.received}. Change it and send it again.`,
  }));
}

function sentence(issue: v.BaseIssue<unknown>): string {
  if (issue.received === 'undefined') return 'This is missing.';
  const text = issue.message;
  return `${text.charAt(0).toUpperCase()}${text.slice(1)}${/[.!?]$/.test(text) ? '' : '.'}`;
}

/** Reads an unknown value with a schema, its texts made plain: the value, or all that is wrong with it. */
export function read<S extends v.GenericSchema>(
  schema: S,
  input: unknown,
  subject: string,
): { value: v.InferOutput<S> } | { problems: Problem[] } {
  const result = v.safeParse(schema, plainData(input));
  return result.success ? { value: result.output } : { problems: problemsOf(result.issues, subject) };
}
