'use client';

import {
  BASE_KINDS,
  BASE_QUESTION,
  BASE_QUESTIONS,
  baseKind,
  byQuestion,
  sayKindChange,
  startBaseChanges,
} from '@/core';
import { useTable } from '../job/job-context';
import { FieldsQuestion } from './form-question';
import { KindChoice } from './kind-choice';

const options = BASE_KINDS.map(({ kind, name }) => ({ value: kind, label: name }));

/** The kind of base, and what is asked of it. */
export function BaseFields() {
  const { form } = useTable();
  const { kind } = form.base;
  const { name, reason, schema, fields } = baseKind(kind);
  const { rest, asked } = byQuestion(fields, BASE_QUESTIONS);
  return (
    <>
      <FieldsQuestion question={BASE_QUESTION} fields={rest} schema={schema} at="form.base" answer={name.toLowerCase()}>
        <KindChoice
          label="Kind of base"
          value={kind}
          options={options}
          hint={reason}
          say={(changes) => sayKindChange(changes, form)}
          changesFor={(next) => startBaseChanges(next, form)}
        />
      </FieldsQuestion>
      {asked.map((own) => (
        <FieldsQuestion key={own.question.id} {...own} schema={schema} at="form.base" />
      ))}
    </>
  );
}
