'use client';

import { BASE_KINDS, baseKind, FormSchema, HEIGHT_FIELDS, startBaseChanges } from '@/core';
import { Select } from '@/ui/fields';
import { useChanges, useDecisions } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { Group } from './group';

const options = BASE_KINDS.map(({ kind, name }) => ({ value: kind, label: name }));

/** The kind of base and its sizes. */
export function BaseFields() {
  const form = useDecisions((own) => own.form);
  const changeAll = useChanges();
  const { kind } = form.base;
  const { reason, schema, fields } = baseKind(kind);
  return (
    <Group title="Base">
      <Select
        label="Kind of base"
        value={kind}
        options={options}
        hint={reason}
        wide
        onCommit={(next) => changeAll(startBaseChanges(next, form))}
      />
      <DecisionFields fields={HEIGHT_FIELDS} schema={FormSchema} at="form" />
      <DecisionFields fields={fields} schema={schema} at="form.base" />
    </Group>
  );
}
