'use client';

import { useMemo, useState } from 'react';
import { drawJoint, drawView, jointFamilies, jointFigures, wordsOfJoint } from '@/core';
import { Select } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { PhraseText } from '@/ui/units';
import { useTabs } from '@/ui/use-tabs';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { LitDrawing } from '../job/lit-drawing';
import { CornerChoices, CornerFigures, leadOf } from './corner-choices';
import { CornerDrawing } from './corner-drawing';
import { FullSizeView } from './full-size-view';
import { JointCard } from './joint-card';

const CORNER = { value: 'corner', label: 'Corner from above' } as const;
const TABS = [
  { value: 'face', label: 'Joint, face on' },
  { value: 'section', label: 'Cut open' },
  { value: 'front', label: 'Front' },
  { value: 'plan', label: 'Plan' },
  { value: 'full-size', label: 'Full size' },
] as const;

export function JointsStep() {
  const { piece, figures } = useDerived();
  const travel = useDecisions(({ form }) => (form.build === 'table' ? form.hold.travel : undefined));
  const _change = useChange();
  const corner = piece.build === 'table' ? piece.corner : null;
  const tabs = useTabs(corner ? [CORNER, ...TABS] : TABS, corner ? 'corner' : 'face');
  const shown = tabs.value === 'corner' && !corner ? 'face' : tabs.value;
  const families = useMemo(() => jointFamilies(piece), [piece]);
  const [chosen, setChosen] = useState<string | null>(null);
  const family = families.find(({ id }) => id === chosen) ?? families[0];
  const view = useMemo(() => {
    if (shown === 'front' || shown === 'plan') return drawView(piece, shown);
    return family && (shown === 'face' || shown === 'section') ? drawJoint(piece, family.id, shown) : null;
  }, [piece, shown, family]);
  const names = useMemo(
    () => Object.fromEntries(piece.parts.map((part) => [part.id, `${part.letter}, ${part.name}`])),
    [piece],
  );
  const sizes = useMemo(() => (family ? jointFigures(piece, family.id) : []), [piece, family]);
  const deep = sizes.find(({ id }) => id === 'joint-deep');
  return (
    <StepFrame
      step="joints"
      title="Joints"
      views={tabs.bar}
      drawing={
        shown === 'corner' ? (
          <CornerDrawing />
        ) : shown === 'full-size' ? (
          <FullSizeView />
        ) : view ? (
          <LitDrawing
            view={view}
            name={shown}
            partNames={names}
            {...(travel === undefined ? {} : { travel })}
            wood={piece.over}
          />
        ) : (
          <p className="p-6 text-ink-2">Nothing is cut out for this joint; how its ends are cut stands beside.</p>
        )
      }
      lead={
        corner && shown === 'corner' ? (
          <>
            <p>
              <FigureButton figure={figures[leadOf(corner).figure]} big />{' '}
              <span className="text-ink-2">{leadOf(corner).words}</span>
            </p>
            <p>
              <PhraseText of={corner.reason} />
            </p>
          </>
        ) : (
          <>
            {deep ? (
              <p>
                <FigureButton figure={deep} big /> <span className="text-ink-2">deep</span>
              </p>
            ) : null}
            {family?.joints[0] ? (
              <p>
                <PhraseText of={wordsOfJoint(family.joints[0]).rule} />
              </p>
            ) : null}
          </>
        )
      }
    >
      {families.length > 0 ? (
        <Select
          label="Joint"
          value={family?.id ?? ''}
          options={families.map(({ id, words, joints }) => ({
            value: id,
            label: `${words} · ${joints.length}`,
          }))}
          onCommit={(id) => {
            setChosen(id);
            if (shown !== 'face' && shown !== 'section') tabs.setValue('face');
          }}
          wide
        />
      ) : null}
      {corner ? <CornerChoices /> : null}
      {piece.fasteners.length > 0 ? <DecisionFigure at="form.hold.screwLength" label="Screws into the top" /> : null}
      {corner ? <CornerFigures /> : null}
      {sizes.map((figure) => (
        <FigureLine key={figure.id} label={figure.label} figure={figure} />
      ))}
      {figures.screw ? <FigureLine label="Wood over the screws" figure={figures.screw} /> : null}
      {family ? <JointCard family={family} /> : null}
    </StepFrame>
  );
}
