'use client';

import { BASES, type BaseKind, startBaseChanges } from '@/core';
import { Select } from '@/ui/fields';
import { useChanges, useDecisions } from '../job/job-context';
import { BoxFields, SplayedFields, SteelFields, XFrameFields } from './frame-fields';
import { Group } from './group';
import { LegApronFields } from './leg-apron-fields';
import { LengthRows } from './length-rows';
import { PostBraceFields } from './post-brace-fields';
import { TrestleFields } from './trestle-fields';

const kinds = Object.entries(BASES).map(([value, { name }]) => ({ value: value as BaseKind, label: name }));

/** The kind of base and its sizes. */
export function BaseFields() {
  const form = useDecisions((own) => own.form);
  const changeAll = useChanges();
  const { base } = form;
  return (
    <Group title="Base">
      <Select
        label="Kind of base"
        value={base.kind}
        options={kinds}
        hint={BASES[base.kind].reason}
        wide
        onCommit={(kind) => changeAll(startBaseChanges(kind, form))}
      />
      <LengthRows rows={[{ label: 'Table height', path: 'form.base.height', least: 150, most: 1400 }]} />
      <Fields kind={base.kind} />
    </Group>
  );
}

/** A new kind of base is one more line here. */
function Fields({ kind }: { kind: BaseKind }) {
  switch (kind) {
    case 'leg-apron':
      return <LegApronFields />;
    case 'trestle':
      return <TrestleFields />;
    case 'post-brace':
      return <PostBraceFields />;
    case 'x-frame':
      return <XFrameFields />;
    case 'splayed':
      return <SplayedFields />;
    case 'steel':
      return <SteelFields />;
    case 'box':
      return <BoxFields />;
  }
}
