'use client';

import {
  BASE_QUESTION,
  BASE_QUESTIONS,
  CASE_QUESTIONS,
  FLAT_QUESTION,
  JOINED_QUESTION,
  LOAD_QUESTION,
  madeParts,
  type Piece,
  SIZE_QUESTION,
  speciesIn,
  TOP_QUESTION,
  TOP_QUESTIONS,
  woodChanges,
} from '@/core';
import { Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { Length } from '@/ui/units';
import { useChanges, useDecisions, useDerived, useJobInputs, useJobState, useLook } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { CaseQuestions } from './case-questions';
import { OtherWoods } from './other-woods';
import { PieceDrawing, useViewTabs } from './piece-drawing';
import { TableQuestions } from './table-questions';
import { useDrags } from './use-drags';

/** The questions of each build, in their order. */
const QUESTIONS = {
  table: [
    SIZE_QUESTION,
    TOP_QUESTION,
    ...TOP_QUESTIONS,
    FLAT_QUESTION,
    JOINED_QUESTION,
    BASE_QUESTION,
    ...BASE_QUESTIONS,
    LOAD_QUESTION,
  ].map(({ id }) => id),
  case: Object.values(CASE_QUESTIONS).map(({ id }) => id),
} as const satisfies Record<Piece['build'], readonly string[]>;

/** What is said first of each: of a table the top, of a case all three. */
const OVER_ALL = {
  table: [
    { figure: 'top-length', of: 'length' },
    { figure: 'top-width', of: 'width' },
  ],
  case: [
    { figure: 'case-width', of: 'length' },
    { figure: 'case-depth', of: 'width' },
    { figure: 'case-height', of: 'height' },
  ],
} as const;

export function FormStep() {
  const { figures, species, piece } = useDerived();
  const { solid } = useSpecies();
  const own = useDecisions((decided) => decided);
  const { document: job } = useJobInputs();
  const changeAll = useChanges();
  const rack = useJobState((state) => state.boards);
  const views = useViewTabs('front');
  const drags = useDrags(views.value);
  const questions = QUESTIONS[piece.build];
  const allOpen = useLook((look) => questions.every((id) => look.openQuestions.includes(id)));
  const showQuestions = useLook((look) => look.showQuestions);
  const openAll = (open: boolean) => showQuestions(open ? questions : [SIZE_QUESTION.id]);
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
            {OVER_ALL[piece.build].map(({ figure, of }, i) => (
              <span key={figure}>
                {i === 0 ? '' : ' × '}
                <FigureButton figure={figures[figure]} big>
                  <Length mm={piece.overall[of]} />
                </FigureButton>
              </span>
            ))}
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
        {piece.build === 'table' ? <TableQuestions /> : <CaseQuestions />}
      </div>
      <button
        type="button"
        className="my-2 min-h-[var(--target)] font-semibold text-layout hover:underline"
        onClick={() => openAll(!allOpen)}
      >
        {allOpen ? 'Close all but the size' : 'Open all questions'}
      </button>
      {piece.build === 'table' ? (
        <>
          <FigureLine label={`Free under ${piece.knees.words}`} figure={figures['knee-height']} />
          <FigureLine label="Base on the floor, long" figure={figures['base-length']} />
          <FigureLine label="Base on the floor, wide" figure={figures['base-width']} />
        </>
      ) : (
        <>
          <FigureLine label="Inside, wide" figure={figures['inside-wide']} />
          <FigureLine label="Inside, high" figure={figures['inside-high']} />
          <FigureLine label="Inside, deep" figure={figures['inside-deep']} />
        </>
      )}
    </StepFrame>
  );
}
