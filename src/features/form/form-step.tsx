'use client';

import {
  BASE_QUESTION,
  BASE_QUESTIONS,
  FLAT_QUESTION,
  HEIGHT_FIELDS,
  JOINED_QUESTION,
  LOAD_FIELDS,
  LOAD_QUESTION,
  madeParts,
  SIZE_FIELDS,
  SIZE_QUESTION,
  speciesIn,
  TableFormSchema,
  TOP_QUESTION,
  TOP_QUESTIONS,
  woodChanges,
} from '@/core';
import { Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { Length, useUnits } from '@/ui/units';
import { useChanges, useDecisions, useDerived, useJobInputs, useJobState, useLook, useTable } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { BaseFields } from './base-fields';
import { FieldsQuestion } from './form-question';
import { OtherWoods } from './other-woods';
import { PieceDrawing, useViewTabs } from './piece-drawing';
import { TopFields } from './top-fields';
import { useDrags } from './use-drags';

/** The questions of the form, in their order. */
const QUESTIONS = [
  SIZE_QUESTION,
  TOP_QUESTION,
  ...TOP_QUESTIONS,
  FLAT_QUESTION,
  JOINED_QUESTION,
  BASE_QUESTION,
  ...BASE_QUESTIONS,
  LOAD_QUESTION,
].map(({ id }) => id);

export function FormStep() {
  const { figures, species } = useDerived();
  const { piece } = useTable();
  const { solid } = useSpecies();
  const own = useDecisions((decided) => decided);
  const { document: job } = useJobInputs();
  const changeAll = useChanges();
  const rack = useJobState((state) => state.boards);
  const views = useViewTabs('front');
  const drags = useDrags(views.value);
  const units = useUnits();
  const size = [piece.overall.length, piece.overall.width, piece.overall.height]
    .map((mm) => units.length(mm))
    .join(' × ');
  const allOpen = useLook((look) => look.openQuestions.length >= QUESTIONS.length);
  const showQuestions = useLook((look) => look.showQuestions);
  const openAll = (open: boolean) => showQuestions(open ? QUESTIONS : [SIZE_QUESTION.id]);
  const made = madeParts(piece).flatMap(({ wood }) => speciesIn(wood ?? species));
  const named = (made.length > 0 ? made : [species]).map(({ commonName }) => commonName);
  const woods = new Intl.ListFormat('en-GB').format(new Set(named));
  const onRack = (id: string) => rack.filter((board) => board.species === id).length;
  const options = [...solid]
    .map((s) => ({
      value: s.id,
      label: onRack(s.id) > 0 ? `${s.commonName} · ${onRack(s.id)} boards` : s.commonName,
      boards: onRack(s.id),
    }))
    .sort((a, b) => b.boards - a.boards || a.label.localeCompare(b.label));
  return (
    <StepFrame
      step="form"
      title="Form"
      views={views.bar}
      drawing={<PieceDrawing view={views.value} drags={drags} />}
      lead={
        <>
          <span className="figures block font-semibold text-[34px] leading-10">
            <FigureButton figure={figures['top-length']} big>
              <Length mm={piece.overall.length} />
            </FigureButton>{' '}
            ×{' '}
            <FigureButton figure={figures['top-width']} big>
              <Length mm={piece.overall.width} />
            </FigureButton>
          </span>
          {woods}, <FigureButton figure={figures.weight} />
        </>
      }
    >
      <Select
        label="Wood"
        value={own.species}
        options={options}
        onCommit={(species) => changeAll(woodChanges(job, own.pieceId, species))}
        wide
      />
      <OtherWoods woods={options} />
      <div className="mt-4 border-line border-b">
        <FieldsQuestion
          question={SIZE_QUESTION}
          fields={[...SIZE_FIELDS, ...HEIGHT_FIELDS]}
          schema={TableFormSchema}
          at="form"
          answer={size}
        />
        <TopFields />
        <BaseFields />
        <FieldsQuestion question={LOAD_QUESTION} fields={LOAD_FIELDS} schema={TableFormSchema} at="form" />
      </div>
      <button
        type="button"
        className="my-2 min-h-[var(--target)] font-semibold text-layout hover:underline"
        onClick={() => openAll(!allOpen)}
      >
        {allOpen ? 'Close all but the size' : 'Open all questions'}
      </button>
      <FigureLine label={`Free under ${piece.knees.words}`} figure={figures['knee-height']} />
      <FigureLine label="Base on the floor, long" figure={figures['base-length']} />
      <FigureLine label="Base on the floor, wide" figure={figures['base-width']} />
    </StepFrame>
  );
}
