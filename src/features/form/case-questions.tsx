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
  CLOSING_FIELDS,
  CORNER_KINDS,
  caseTopKind,
  cornerKind,
  FIXING_KINDS,
  FRONT_KINDS,
  fixingKind,
  frontKind,
  INSIDE_FIELDS,
  MOULDING_FIELDS,
  OPENS,
  openingChanges,
  PIN_FIELDS,
  RUN_FIELDS,
  STAND_KINDS,
  sayCaseChange,
  standKind,
  startBackChanges,
  startCaseTopChanges,
  startCornerChanges,
  startFixingChanges,
  startFrontChanges,
  startStandChanges,
} from '@/core';
import { useCase } from '../job/job-context';
import { DecisionFields } from './decision-fields';
import { FieldsQuestion, Question } from './form-question';
import { KeptClear } from './kept-clear';
import { KindChoice } from './kind-choice';
import { KindQuestion } from './kind-question';
import { useSizeWords } from './size-words';
import { SpaceFields, spacesInWords } from './space-fields';

const OPENING = (['front', 'above'] as const).map((value) => ({ value, label: OPENS[value].name }));

/** What is asked of a case. */
export function CaseQuestions() {
  const { form } = useCase();
  const size = useSizeWords();
  const chest = form.opens === 'above';
  const tops = CASE_TOP_KINDS.filter(({ kind }) => (caseTopKind(kind).only ?? form.opens) === form.opens);
  const corners = CORNER_KINDS.filter(({ kind }) => (cornerKind(kind).only ?? form.opens) === form.opens);
  const stands = STAND_KINDS.filter(({ kind }) => (standKind(kind).only ?? form.opens) === form.opens);
  const fronts = FRONT_KINDS.filter(({ kind }) => (frontKind(kind).only ?? form.opens) === form.opens);
  const say = (changes: readonly Change[]) => sayCaseChange(changes, form);
  return (
    <>
      <FieldsQuestion
        question={CASE_QUESTIONS.size}
        fields={CASE_SIZE_FIELDS}
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
      <KindQuestion
        question={CASE_QUESTIONS.inside}
        answer={spacesInWords(form)}
        label="Shelves and uprights"
        kinds={FIXING_KINDS}
        kind={form.inside.fixing.kind}
        own={fixingKind(form.inside.fixing.kind)}
        at="form.inside.fixing"
        changesFor={(kind) => startFixingChanges(kind, form)}
        before={<SpaceFields />}
      >
        <DecisionFields
          fields={[...INSIDE_FIELDS, ...PIN_FIELDS, ...CLOSING_FIELDS]}
          schema={CaseFormSchema}
          at="form"
        />
      </KindQuestion>
      <KindQuestion
        question={CASE_QUESTIONS.carcass}
        label="Carcass"
        kinds={corners}
        kind={form.carcass.corner.kind}
        own={cornerKind(form.carcass.corner.kind)}
        at="form.carcass.corner"
        changesFor={(kind) => startCornerChanges(kind, form)}
        before={<DecisionFields fields={CARCASS_FIELDS} schema={CaseFormSchema} at="form" />}
      />
      <KindQuestion
        question={CASE_QUESTIONS.front}
        label={chest ? 'Upper edges' : 'Front edges'}
        kinds={fronts}
        kind={form.front.kind}
        own={frontKind(form.front.kind)}
        at="form.front"
        changesFor={(kind) => startFrontChanges(kind, form)}
      />
      <KindQuestion
        question={chest ? CASE_QUESTIONS.bottom : CASE_QUESTIONS.back}
        label={chest ? 'Bottom' : 'Back'}
        kinds={BACK_KINDS}
        kind={form.back.kind}
        own={backKind(form.back.kind)}
        at="form.back"
        changesFor={(kind) => startBackChanges(kind, form)}
      />
      <KindQuestion
        question={CASE_QUESTIONS.top}
        label="Over it"
        kinds={tops}
        kind={form.top.kind}
        own={caseTopKind(form.top.kind)}
        at="form.top"
        changesFor={(kind) => startCaseTopChanges(kind, form)}
      >
        {chest ? null : <DecisionFields fields={MOULDING_FIELDS} schema={CaseFormSchema} at="form" />}
      </KindQuestion>
      <KindQuestion
        question={CASE_QUESTIONS.stand}
        label="Stands on"
        kinds={stands}
        kind={form.stand.kind}
        own={standKind(form.stand.kind)}
        at="form.stand"
        changesFor={(kind) => startStandChanges(kind, form)}
      >
        {chest ? null : <DecisionFields fields={RUN_FIELDS} schema={CaseFormSchema} at="form" />}
      </KindQuestion>
      <FieldsQuestion question={CASE_QUESTIONS.loads} fields={CASE_LOAD_FIELDS} schema={CaseFormSchema} at="form" />
    </>
  );
}
