'use client';

import type { ReactNode } from 'react';
import { type Change, type FormField, type FormQuestion, type SchemaLike, sayCaseChange } from '@/core';
import { useCase } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { Question } from './form-question';
import { KindChoice } from './kind-choice';

/** A question of a case that a kind answers, with what is asked of that kind. */
export function KindQuestion<K extends string, F>({
  question,
  answer,
  label,
  kinds,
  kind,
  own,
  at,
  changesFor,
  before,
  children,
}: {
  question: FormQuestion;
  /** What a closed question says, where that is not the name of the kind. */
  answer?: string;
  label: string;
  kinds: readonly { kind: K; name: string }[];
  kind: K;
  /** The kind that is chosen. */
  own: { name: string; reason: string; schema: SchemaLike; fields: readonly FormField<F>[] };
  /** Where what is decided of it is. */
  at: string;
  changesFor: (kind: K) => readonly Change[];
  /** Fields before the kind, and after what is asked of it. */
  before?: ReactNode;
  children?: ReactNode;
}) {
  const { form } = useCase();
  return (
    <Question question={question} answer={answer ?? own.name.toLowerCase()}>
      {before}
      <KindChoice
        label={label}
        value={kind}
        options={kinds.map((one) => ({ value: one.kind, label: one.name }))}
        hint={own.reason}
        say={(changes) => sayCaseChange(changes, form)}
        changesFor={changesFor}
      />
      <DecisionFields fields={own.fields} schema={own.schema} at={at} />
      {children}
    </Question>
  );
}
