'use client';

import type { Piece } from '@/core';
import { Choice, LengthField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useChange, useDerived, useJobState } from '../job/job-context';

type Corner = NonNullable<Piece['corner']>;

/** How aprons stand in legs: the choices where makers differ. */
export function CornerChoices() {
  const joints = useJobState((state) => state.document.joints);
  const change = useChange();
  return (
    <>
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
    </>
  );
}

export function CornerFigures({ corner }: { corner: Corner }) {
  const { figures } = useDerived();
  return (
    <>
      <FigureLine label="Tenon thickness" figure={figures['tenon-thickness-used']} />
      <FigureLine
        label={corner.tenon.count > 1 ? `Tenon height, each of ${corner.tenon.count}` : 'Tenon height'}
        figure={figures['tenon-height']}
      />
      <FigureLine label="Set down from the upper edge" figure={figures['tenon-set-down']} />
      <FigureLine label="Long apron, overall" figure={figures['apron-overall']} />
      <FigureLine label="Long apron, between shoulders" figure={figures['apron-shoulder']} />
    </>
  );
}
