'use client';

import { CORNERS, type TablePiece } from '@/core';
import { Choice, Select } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useDecisions, useDerived, useTable } from '../job/job-context';

type Corner = NonNullable<TablePiece['corner']>;

const kinds = Object.entries(CORNERS).map(([value, { name }]) => ({
  value: value as keyof typeof CORNERS,
  label: name,
}));

/** How aprons stand in legs: the choices where makers differ. */
export function CornerChoices() {
  const joints = useDecisions((own) => own.joints);
  const change = useChange();
  const tenoned = joints.corner === 'mortise-tenon' || joints.corner === 'loose-tenon';
  return (
    <>
      <Select
        label="Leg and apron"
        value={joints.corner}
        options={kinds}
        hint={CORNERS[joints.corner].reason}
        wide
        onCommit={change('joints.corner')}
      />
      {tenoned ? <TenonChoices /> : null}
      {joints.corner === 'dowels' ? <DowelChoices /> : null}
    </>
  );
}

function TenonChoices() {
  const joints = useDecisions((own) => own.joints);
  const { base } = useTable().form;
  const leaning = base.kind === 'leg-apron' && base.leg.splay.ends + base.leg.splay.sides > 0;
  const change = useChange();
  return (
    <>
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
      <DecisionFigure
        at="joints.tenonThickness"
        label="Thickness of your own"
        emptyMeans="by rule"
        hint="Empty: by the practice chosen above."
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
      <DecisionFigure
        at="joints.tenonLength"
        label="Tenon length"
        emptyMeans="by rule"
        hint="Empty: two thirds of the leg, less where they would meet."
      />
      {joints.corner === 'mortise-tenon' ? (
        <Choice
          label="Haunch"
          value={joints.haunch}
          onCommit={change('joints.haunch')}
          options={[
            { value: 'none', label: 'None' },
            {
              value: 'square',
              label: 'Square',
              reason: 'As deep as the tenon is thick, up to the upper edge: keeps the apron from twisting.',
            },
            { value: 'sloped', label: 'Sloped', reason: 'Runs out at the upper edge: nothing shows on the leg’s end.' },
          ]}
        />
      ) : null}
      {leaning ? (
        <Choice
          label="In legs that lean"
          value={joints.angled}
          onCommit={change('joints.angled')}
          options={[
            {
              value: 'in-line',
              label: 'In line with the apron',
              reason: 'The tenon keeps its fibres whole; its mortise is chopped askew, along a block at the splay.',
            },
            {
              value: 'square',
              label: 'Square to the leg',
              reason: 'The mortise is made like any other; the tenon leans in its apron and loses some of its fibres.',
            },
          ]}
        />
      ) : null}
      <Choice
        label="Pegs"
        value={joints.pegs}
        onCommit={change('joints.pegs')}
        options={[
          { value: 'none', label: 'None' },
          { value: 'straight', label: 'Straight' },
          {
            value: 'draw-bored',
            label: 'Draw-bored',
            reason: 'The tenon’s hole is nearer to the shoulder: the peg draws it home where no clamp reaches.',
          },
        ]}
      />
    </>
  );
}

function DowelChoices() {
  const joints = useDecisions((own) => own.joints);
  const change = useChange();
  return (
    <>
      <DecisionFigure
        at="joints.tenonThickness"
        label="Dowel, thick"
        emptyMeans="by rule"
        hint="Empty: the one nearest to two fifths of the apron."
      />
      <Choice
        label="Where they would meet"
        value={joints.meeting === 'mitred' ? 'auto' : joints.meeting}
        onCommit={change('joints.meeting')}
        options={[
          { value: 'auto', label: 'By rule' },
          { value: 'shortened', label: 'Shortened' },
          { value: 'staggered', label: 'Between', reason: 'Those of one apron stand between those of the other.' },
        ]}
      />
      <DecisionFigure
        at="joints.tenonLength"
        label="Into the leg"
        emptyMeans="by rule"
        hint="Empty: three and a half times the dowel, less where they would meet."
      />
    </>
  );
}

/** In the order in which a corner is marked out; those that a kind does not have are not there. */
const LINES = [
  'screw-length',
  'screw-bite',
  'screw-seat',
  'screw-pitch',
  'plate-kerf',
  'bolt-bite',
  'bolt-flat',
  'tenon-thickness-used',
  'tenon-height',
  'tenon-pitch',
  'tenon-into-apron',
  'tenon-set-down',
  'haunch',
  'peg-relish',
  'apron-overall',
  'apron-shoulder',
];

/** The first figure beside the drawing of a corner. */
export const leadOf = (corner: Corner): { figure: string; words: string } => {
  switch (corner.kind) {
    case 'pocket-screws':
      return { figure: 'screw-bite', words: 'of screw in the leg' };
    case 'corner-plate':
      return { figure: 'bolt-bite', words: 'of bolt in the leg' };
    default:
      return { figure: 'tenon-length', words: 'into the leg' };
  }
};

export function CornerFigures() {
  const { figures } = useDerived();
  return LINES.flatMap((id) => {
    const figure = figures[id];
    return figure ? [<FigureLine key={id} label={figure.label} figure={figure} />] : [];
  });
}
