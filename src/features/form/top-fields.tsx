'use client';

import {
  byQuestion,
  FLAT_FIELDS,
  FLAT_QUESTION,
  JOINED_FIELDS,
  JOINED_QUESTION,
  sayKindChange,
  startTopChanges,
  TableFormSchema,
  TOP_KINDS,
  TOP_QUESTION,
  TOP_QUESTIONS,
  topKind,
} from '@/core';
import { useTable } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { FieldsQuestion } from './form-question';
import { KindChoice } from './kind-choice';

const options = TOP_KINDS.map(({ kind, name }) => ({ value: kind, label: name }));

/** The kind of top, its shape, and what is asked of it. */
export function TopFields() {
  const { form } = useTable();
  const { top } = form;
  const { name, reason, schema, shape, fields } = topKind(top.kind);
  const { rest, asked } = byQuestion(fields, TOP_QUESTIONS);
  return (
    <>
      <FieldsQuestion question={TOP_QUESTION} fields={rest} schema={schema} at="form.top" answer={name.toLowerCase()}>
        <KindChoice
          label="Kind of top"
          value={top.kind}
          options={options}
          hint={reason}
          say={(changes) => sayKindChange(changes, form)}
          changesFor={(kind) => startTopChanges(kind, form)}
        />
        {shape ? <DecisionFields fields={shape} schema={schema} at="form.top" /> : null}
      </FieldsQuestion>
      {asked.map((own) => (
        <FieldsQuestion key={own.question.id} {...own} schema={schema} at="form.top" />
      ))}
      {'cutOuts' in top ? (
        <FieldsQuestion question={FLAT_QUESTION} fields={FLAT_FIELDS} schema={TableFormSchema} at="form" />
      ) : null}
      <FieldsQuestion question={JOINED_QUESTION} fields={JOINED_FIELDS} schema={TableFormSchema} at="form" />
    </>
  );
}
