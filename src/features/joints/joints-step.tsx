'use client';

import { useMemo } from 'react';
import { drawView } from '@/core';
import { Choice, LengthField } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { MeasuredDrawing } from '@/ui/measured-drawing';
import { Length, PhraseText } from '@/ui/units';
import { useTabs } from '../form/piece-drawing';
import { useChange, useDerived, useJobState, useLook } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { CornerDrawing } from './corner-drawing';

const TABS = [
  { value: 'corner', label: 'Corner from above' },
  { value: 'front', label: 'Front' },
  { value: 'plan', label: 'Plan' },
] as const;

export function JointsStep() {
  const { piece, figures } = useDerived();
  const joints = useJobState((state) => state.document.joints);
  const hold = useJobState((state) => state.document.form.hold);
  const change = useChange();
  const { lit, light } = useLook();
  const tabs = useTabs(TABS, 'corner');
  const { corner } = piece;
  const view = useMemo(() => drawView(piece, tabs.value === 'plan' ? 'plan' : 'front'), [piece, tabs.value]);
  const names = useMemo(
    () => Object.fromEntries(piece.parts.map((part) => [part.id, `${part.letter}, ${part.name}`])),
    [piece],
  );
  return (
    <StepFrame
      step="joints"
      title="Joints"
      views={tabs.bar}
      drawing={
        tabs.value === 'corner' ? (
          <CornerDrawing />
        ) : (
          <MeasuredDrawing
            view={view}
            name={tabs.value}
            lit={lit}
            onLight={light}
            partNames={names}
            travel={hold.travel}
          />
        )
      }
      lead={
        <>
          <p>
            <FigureButton figure={figures['tenon-length']} big>
              <Length mm={corner.tenon.length} />
            </FigureButton>{' '}
            <span className="text-ink-2">into the leg</span>
          </p>
          <p>
            <PhraseText of={corner.reason} />
          </p>
        </>
      }
    >
      <Choice
        label="Leg and apron"
        value={joints.corner}
        onCommit={change('joints.corner')}
        options={[
          {
            value: 'mortise-tenon',
            label: 'Mortise and tenon',
            reason: 'The tenon grows from the apron: its overall length is longer than its shoulder length.',
          },
          {
            value: 'loose-tenon',
            label: 'Loose tenon',
            reason: 'The apron is cut to its shoulder length; a separate tenon goes into leg and apron alike.',
          },
        ]}
      />
      <Choice
        label="Tenon thickness"
        value={joints.tenonSchool}
        onCommit={change('joints.tenonSchool')}
        options={[
          {
            value: 'third',
            label: 'A third',
            reason: 'A third of the thinner part: the walls left are as strong as the tenon. The default.',
          },
          {
            value: 'half',
            label: 'Half',
            reason: 'Half of the apron where the leg is at least twice as thick: more tenon, the leg can spare it.',
          },
        ]}
      />
      <Choice
        label="Two tenons in one leg"
        value={joints.meeting}
        onCommit={change('joints.meeting')}
        options={[
          { value: 'auto', label: 'By rule' },
          { value: 'shortened', label: 'Shortened' },
          { value: 'mitred', label: 'Mitred' },
          { value: 'staggered', label: 'Staggered' },
        ]}
      />
      <LengthField
        label="Tenon length"
        mm={joints.tenonLength}
        least={5}
        most={200}
        allowEmpty="by rule"
        onCommit={change('joints.tenonLength')}
        onEmpty={() => change('joints.tenonLength')(null)}
        hint="Empty: two thirds of the leg, less where they would meet."
      />
      <LengthField
        label="Screws into the top"
        mm={hold.screwLength}
        least={5}
        most={200}
        onCommit={change('form.hold.screwLength')}
      />
      <FigureLine label="Tenon thickness" figure={figures['tenon-thickness-used']} />
      <FigureLine
        label={corner.tenon.count > 1 ? `Tenon height, each of ${corner.tenon.count}` : 'Tenon height'}
        figure={figures['tenon-height']}
      />
      <FigureLine label="Set down from the upper edge" figure={figures['tenon-set-down']} />
      <FigureLine label="Long apron, overall" figure={figures['apron-overall']} />
      <FigureLine label="Long apron, between shoulders" figure={figures['apron-shoulder']} />
      <FigureLine label="Wood over the screws" figure={figures.screw} />
    </StepFrame>
  );
}
