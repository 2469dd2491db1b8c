'use client';

import { woodChanges } from '@/core';
import { NumberField, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { Length } from '@/ui/units';
import { useChange, useChanges, useDecisions, useDerived, useJobState } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { BaseFields } from './base-fields';
import { Group } from './group';
import { OtherWoods } from './other-woods';
import { PieceDrawing, useViewTabs } from './piece-drawing';
import { TopFields } from './top-fields';

export function FormStep() {
  const { piece, figures, species } = useDerived();
  const { all } = useSpecies();
  const own = useDecisions((decided) => decided);
  const job = useJobState((state) => state.document);
  const changeAll = useChanges();
  const { form } = own;
  const rack = useJobState((state) => state.boards);
  const change = useChange();
  const views = useViewTabs('front');
  const named = [species, ...piece.parts.flatMap(({ wood }) => wood ?? [])].map(({ commonName }) => commonName);
  const woods = [...new Set(named)].join(' and ');
  const { loads } = form;
  const onRack = (id: string) => rack.filter((board) => board.species === id).length;
  const options = [...all]
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
        <NumberField
          label="Leaning on the edge"
          unit="N"
          value={loads.edge}
          least={0}
          most={5000}
          step={50}
          onCommit={change('form.loads.edge')}
        />
        <NumberField
          label="Spread on the top"
          unit="N"
          value={loads.spread}
          least={0}
          most={20000}
          step={100}
          onCommit={change('form.loads.spread')}
        />
        <NumberField
          label="Pushing at its edge, level"
          unit="N"
          value={loads.push}
          least={0}
          most={5000}
          step={50}
          onCommit={change('form.loads.push')}
        />
      </Group>
      <FigureLine label={`Free under ${piece.knees.words}`} figure={figures['knee-height']} />
      <FigureLine label="Base on the floor, long" figure={figures['base-length']} />
      <FigureLine label="Base on the floor, wide" figure={figures['base-width']} />
    </StepFrame>
  );
}
