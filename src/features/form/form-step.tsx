'use client';

import { FormSchema, LOAD_FIELDS, madeParts, speciesIn, woodChanges } from '@/core';
import { Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { Length } from '@/ui/units';
import { useChanges, useDecisions, useDerived, useJobInputs, useJobState } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { BaseFields } from './base-fields';
import { DecisionFields } from './decision-fields';
import { Group } from './group';
import { OtherWoods } from './other-woods';
import { PieceDrawing, useViewTabs } from './piece-drawing';
import { TopFields } from './top-fields';

export function FormStep() {
  const { piece, figures, species } = useDerived();
  const { solid } = useSpecies();
  const own = useDecisions((decided) => decided);
  const { document: job } = useJobInputs();
  const changeAll = useChanges();
  const rack = useJobState((state) => state.boards);
  const views = useViewTabs('front');
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
      drawing={<PieceDrawing view={views.value} />}
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
      <TopFields />
      <BaseFields />
      <Group title="Design loads, yours to choose">
        <DecisionFields fields={LOAD_FIELDS} schema={FormSchema} at="form" />
      </Group>
      <FigureLine label={`Free under ${piece.knees.words}`} figure={figures['knee-height']} />
      <FigureLine label="Base on the floor, long" figure={figures['base-length']} />
      <FigureLine label="Base on the floor, wide" figure={figures['base-width']} />
    </StepFrame>
  );
}
