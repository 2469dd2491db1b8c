'use client';

import { FLAT_FIELDS, FormSchema, JOINED_FIELDS, SIZE_FIELDS, startTopChanges, TOP_KINDS, topKind } from '@/core';
import { Select } from '@/ui/fields';
import { useChanges, useDecisions } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { Group } from './group';

const options = TOP_KINDS.map(({ kind, name }) => ({ value: kind, label: name }));

/** The kind of top and its sizes. */
export function TopFields() {
  const form = useDecisions((own) => own.form);
  const changeAll = useChanges();
  const { top } = form;
  const { reason, schema, shape, fields } = topKind(top.kind);
  const panel = 'cutOuts' in top;
  return (
    <Group title="Top">
      <Select
        label="Kind of top"
        value={top.kind}
        options={options}
        hint={reason}
        wide
        onCommit={(kind) => changeAll(startTopChanges(kind, form))}
      />
      {shape ? <DecisionFields fields={shape} schema={schema} at="form.top" /> : null}
      <DecisionFields fields={SIZE_FIELDS} schema={FormSchema} at="form" />
      <DecisionFields fields={fields} schema={schema} at="form.top" />
      {panel ? <DecisionFields fields={FLAT_FIELDS} schema={FormSchema} at="form" /> : null}
      <DecisionFields fields={JOINED_FIELDS} schema={FormSchema} at="form" />
    </Group>
  );
}
