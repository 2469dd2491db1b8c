'use client';

import { LEG_MAKING } from '@/core';
import { Choice, LengthField, NumberField, Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { useSpecies } from '@/ui/species';
import { Length } from '@/ui/units';
import { useChange, useDerived, useJobState } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { PieceDrawing, useViewTabs } from './piece-drawing';

export function FormStep() {
  const { piece, figures, species } = useDerived();
  const { all } = useSpecies();
  const { form } = useJobState((state) => state.document);
  const rack = useJobState((state) => state.boards);
  const changeAll = useJobState((state) => state.change);
  const change = useChange();
  const views = useViewTabs('front');
  const { top, base, loads } = form;
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
          {species.commonName}, <FigureButton figure={figures.weight} />
        </>
      }
    >
      <Select label="Wood" value={form.species} options={options} onCommit={change('form.species')} wide />
      <Group title="Top, glued panel">
        <LengthField label="Length" mm={top.length} least={200} most={6000} onCommit={change('form.top.length')} />
        <LengthField label="Width" mm={top.width} least={150} most={2500} onCommit={change('form.top.width')} />
        <LengthField
          label="Thickness"
          mm={top.thickness}
          least={8}
          most={120}
          onCommit={change('form.top.thickness')}
        />
        <LengthField
          label="Overhang, ends"
          mm={top.endOverhang}
          least={0}
          most={1500}
          onCommit={change('form.top.endOverhang')}
        />
        <LengthField
          label="Overhang, sides"
          mm={top.sideOverhang}
          least={0}
          most={800}
          onCommit={change('form.top.sideOverhang')}
        />
      </Group>
      <Group title="Base, legs and aprons">
        <LengthField
          label="Table height"
          mm={base.height}
          least={150}
          most={1400}
          onCommit={change('form.base.height')}
        />
        <LengthField
          label="Leg"
          mm={base.leg.section}
          least={20}
          most={250}
          onCommit={change('form.base.leg.section')}
        />
        <Select
          label="Legs made of"
          value={base.leg.making.kind}
          options={Object.entries(LEG_MAKING).map(([value, { name }]) => ({
            value: value as keyof typeof LEG_MAKING,
            label: name,
          }))}
          hint={LEG_MAKING[base.leg.making.kind].reason}
          wide
          onCommit={(kind) =>
            changeAll([
              {
                path: 'form.base.leg.making',
                value: kind === 'staves' ? { kind, count: 2 } : kind === 'faced' ? { kind, veneer: 4 } : { kind },
              },
            ])
          }
        />
        {base.leg.making.kind === 'staves' ? (
          <NumberField
            label="Staves"
            value={base.leg.making.count}
            least={2}
            most={8}
            onCommit={change('form.base.leg.making.count')}
          />
        ) : null}
        {base.leg.making.kind === 'faced' ? (
          <LengthField
            label="Veneers, thick"
            mm={base.leg.making.veneer}
            least={1}
            most={12}
            onCommit={change('form.base.leg.making.veneer')}
          />
        ) : null}
        <Choice
          label="Leg shape"
          value={base.leg.taper.kind}
          options={[
            { value: 'straight', label: 'Straight' },
            { value: 'tapered', label: 'Tapered', reason: 'On the two inside faces, from just below the apron.' },
          ]}
          onCommit={(kind) =>
            changeAll([
              {
                path: 'form.base.leg.taper',
                value:
                  kind === 'straight' ? { kind } : { kind, foot: Math.max(10, Math.round(base.leg.section * 0.65)) },
              },
            ])
          }
        />
        {base.leg.taper.kind === 'tapered' ? (
          <LengthField
            label="Foot"
            mm={base.leg.taper.foot}
            least={10}
            most={250}
            onCommit={change('form.base.leg.taper.foot')}
          />
        ) : null}
        <LengthField
          label="Apron, high"
          mm={base.apron.height}
          least={20}
          most={400}
          onCommit={change('form.base.apron.height')}
        />
        <LengthField
          label="Apron, thick"
          mm={base.apron.thickness}
          least={8}
          most={80}
          onCommit={change('form.base.apron.thickness')}
        />
        <LengthField
          label="Reveal"
          mm={base.apron.reveal}
          least={0}
          most={100}
          onCommit={change('form.base.apron.reveal')}
          hint="How far the apron stands back from the leg’s face: no flush surface to keep flush."
        />
        <NumberField
          label="Cross rails"
          value={base.crossRails}
          least={0}
          most={6}
          onCommit={change('form.base.crossRails')}
        />
      </Group>
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
      </Group>
      <FigureLine label="Free under the apron" figure={figures['knee-height']} />
      <FigureLine label="Base over the legs, long" figure={figures['base-length']} />
      <FigureLine label="Base over the legs, wide" figure={figures['base-width']} />
    </StepFrame>
  );
}

export function Group({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <fieldset className="mt-4 border-line border-t pt-2">
      <legend className="pr-2 text-ink-2">{title}</legend>
      {children}
    </fieldset>
  );
}
