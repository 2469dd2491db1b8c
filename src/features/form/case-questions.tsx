'use client';

import {
  ALCOVE_FIELDS,
  BACK_KINDS,
  backKind,
  CARCASS_FIELDS,
  CASE_LOAD_FIELDS,
  CASE_QUESTIONS,
  CASE_SIZE_FIELDS,
  CASE_TOP_KINDS,
  CaseFormSchema,
  type Change,
  CORNER_KINDS,
  caseTopKind,
  cornerKind,
  FITTED_SIZE_FIELDS,
  FIXING_KINDS,
  fixingKind,
  INSIDE_FIELDS,
  OPENS,
  openingChanges,
  PIN_FIELDS,
  STAND_KINDS,
  sayCaseChange,
  standKind,
  startBackChanges,
  startCaseTopChanges,
  startCornerChanges,
  startFixingChanges,
  startStandChanges,
} from '@/core';
import { useCase } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { FieldsQuestion, Question } from './form-question';
import { KeptClear } from './kept-clear';
import { KindChoice } from './kind-choice';
import { useSizeWords } from './size-words';
import { SpaceFields, spacesInWords } from './space-fields';

const options = <K extends string>(kinds: readonly { kind: K; name: string }[]) =>
  kinds.map(({ kind, name }) => ({ value: kind, label: name }));
const CORNERS = options(CORNER_KINDS);
const BACKS = options(BACK_KINDS);
const STANDS = options(STAND_KINDS);
const TOPS = options(CASE_TOP_KINDS);
const FIXINGS = options(FIXING_KINDS);
const OPENING = (['front', 'above'] as const).map((value) => ({ value, label: OPENS[value].name }));

/** What is asked of a case. */
export function CaseQuestions() {
  const { form } = useCase();
  const size = useSizeWords();
  const { corner } = form.carcass;
  const chest = form.opens === 'above';
  const top = caseTopKind(form.top.kind);
  const fixing = fixingKind(form.inside.fixing.kind);
  const [corners, back, stand] = [cornerKind(corner.kind), backKind(form.back.kind), standKind(form.stand.kind)];
  const say = (changes: readonly Change[]) => sayCaseChange(changes, form);
  return (
    <>
      <FieldsQuestion
        question={CASE_QUESTIONS.size}
        fields={form.alcove ? FITTED_SIZE_FIELDS : CASE_SIZE_FIELDS}
        schema={CaseFormSchema}
        at="form"
        answer={size}
      >
        <KindChoice
          label="Opens"
          value={form.opens}
          options={OPENING}
          hint={OPENS[form.opens].reason}
          say={say}
          changesFor={(opens) => openingChanges(opens, form)}
        />
      </FieldsQuestion>
      {chest ? null : (
        <Question question={CASE_QUESTIONS.alcove} answer={form.alcove ? 'fitted to its walls' : 'it stands free'}>
          <DecisionFields fields={ALCOVE_FIELDS} schema={CaseFormSchema} at="form" />
          {form.alcove ? <KeptClear /> : null}
        </Question>
      )}
      <Question question={CASE_QUESTIONS.inside} answer={spacesInWords(form)}>
        <SpaceFields />
        <KindChoice
          label="Shelves and uprights"
          value={form.inside.fixing.kind}
          options={FIXINGS}
          hint={fixing.reason}
          say={say}
          changesFor={(kind) => startFixingChanges(kind, form)}
        />
        <DecisionFields fields={fixing.fields} schema={fixing.schema} at="form.inside.fixing" />
        <DecisionFields
          fields={chest ? INSIDE_FIELDS.slice(0, 1) : [...INSIDE_FIELDS, ...PIN_FIELDS]}
          schema={CaseFormSchema}
          at="form"
        />
      </Question>
      <FieldsQuestion
        question={CASE_QUESTIONS.carcass}
        fields={corners.fields}
        schema={corners.schema}
        at="form.carcass.corner"
        answer={corners.name.toLowerCase()}
      >
        <DecisionFields fields={CARCASS_FIELDS} schema={CaseFormSchema} at="form" />
        <KindChoice
          label="Corners"
          value={corner.kind}
          options={CORNERS}
          hint={corners.reason}
          say={say}
          changesFor={(kind) => startCornerChanges(kind, form)}
        />
      </FieldsQuestion>
      <FieldsQuestion
        question={chest ? { ...CASE_QUESTIONS.back, ask: 'What is its bottom?' } : CASE_QUESTIONS.back}
        fields={back.fields}
        schema={back.schema}
        at="form.back"
        answer={back.name.toLowerCase()}
      >
        <KindChoice
          label={chest ? 'Bottom' : 'Back'}
          value={form.back.kind}
          options={BACKS}
          hint={back.reason}
          say={say}
          changesFor={(kind) => startBackChanges(kind, form)}
        />
      </FieldsQuestion>
      <FieldsQuestion
        question={CASE_QUESTIONS.top}
        fields={top.fields}
        schema={top.schema}
        at="form.top"
        answer={top.name.toLowerCase()}
      >
        <KindChoice
          label="Over it"
          value={form.top.kind}
          options={TOPS.filter(({ value }) => (caseTopKind(value).only ?? form.opens) === form.opens)}
          hint={top.reason}
          say={say}
          changesFor={(kind) => startCaseTopChanges(kind, form)}
        />
      </FieldsQuestion>
      <FieldsQuestion
        question={CASE_QUESTIONS.stand}
        fields={stand.fields}
        schema={stand.schema}
        at="form.stand"
        answer={stand.name.toLowerCase()}
      >
        <KindChoice
          label="Stands on"
          value={form.stand.kind}
          options={STANDS}
          hint={stand.reason}
          say={say}
          changesFor={(kind) => startStandChanges(kind, form)}
        />
      </FieldsQuestion>
      <FieldsQuestion
        question={CASE_QUESTIONS.loads}
        fields={chest ? CASE_LOAD_FIELDS.slice(1) : CASE_LOAD_FIELDS}
        schema={CaseFormSchema}
        at="form"
      />
    </>
  );
}
