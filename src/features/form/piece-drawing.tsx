'use client';

import { ToggleGroup } from 'radix-ui';
import { useMemo, useState } from 'react';
import { drawView, panelOfTop, sizeAt, type ViewName } from '@/core';
import type { Draggable } from '@/ui/dimension-grip';
import { MeasuredDrawing } from '@/ui/measured-drawing';
import { useDecisions, useDerived, useLook, useShownDay } from '../job/job-context';
import { TakenApart } from './taken-apart';

const VIEWS: readonly { value: ViewName; label: string }[] = [
  { value: 'front', label: 'Front' },
  { value: 'end', label: 'End' },
  { value: 'plan', label: 'Plan' },
  { value: 'apart', label: 'Taken apart' },
];

/** Tabs above a drawing, with a state of their own. */
export function useTabs<T extends string>(tabs: readonly { value: T; label: string }[], first: T) {
  const [value, setValue] = useState<T>(first);
  const bar = (
    <ToggleGroup.Root
      type="single"
      aria-label="What is drawn"
      value={value}
      onValueChange={(next) => {
        if (next) setValue(next as T);
      }}
      className="flex flex-wrap gap-x-5"
    >
      {tabs.map((tab) => (
        <ToggleGroup.Item
          key={tab.value}
          value={tab.value}
          className="border-transparent border-b-2 py-1 text-ink-2 hover:text-ink data-[state=on]:border-layout data-[state=on]:font-semibold data-[state=on]:text-ink"
        >
          {tab.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
  return { value, setValue, bar };
}

export function useViewTabs(first: ViewName) {
  return useTabs(VIEWS, first);
}

/** The piece as it is on the day of the band. */
export function PieceDrawing({ view, drags }: { view: ViewName; drags?: Readonly<Record<string, Draggable>> }) {
  return view === 'apart' ? <TakenApart /> : <MeasuredPiece view={view} {...(drags ? { drags } : {})} />;
}

function MeasuredPiece({ view: name, drags = {} }: { view: ViewName; drags?: Readonly<Record<string, Draggable>> }) {
  const { piece, season, panels } = useDerived();
  const laid = panelOfTop({ piece, panels })?.laid;
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const exaggeration = useLook((look) => look.exaggeration);
  const { moisture } = useShownDay();
  const travel = useDecisions((own) => own.form.hold.travel);
  const view = useMemo(
    () =>
      drawView(piece, name, {
        sizeOf: (part) => sizeAt(part, season, moisture),
        exaggeration,
        ...(laid && laid.length > 0 ? { strips: laid.map((strip) => strip.width) } : {}),
      }),
    [piece, name, season, moisture, exaggeration, laid],
  );
  const names = useMemo(
    () => Object.fromEntries(piece.parts.map((part) => [part.id, `${part.letter}, ${part.name}`])),
    [piece],
  );
  return (
    <MeasuredDrawing
      view={view}
      name={`${VIEWS.find((v) => v.value === name)?.label} view`}
      lit={lit}
      onLight={light}
      partNames={names}
      travel={travel}
      wood={piece.top.parts}
      drags={drags}
    />
  );
}

/** How many times movement is drawn larger than it is; said wherever it is not true to scale. */
export function Exaggeration() {
  const exaggeration = useLook((look) => look.exaggeration);
  const setExaggeration = useLook((look) => look.setExaggeration);
  return (
    <label className="figures flex items-center gap-1.5">
      movement drawn
      <select
        value={exaggeration}
        onChange={(event) => setExaggeration(Number(event.target.value))}
        className="rounded-sm border border-line bg-paper px-1 py-0.5 font-semibold"
      >
        <option value={1}>true</option>
        <option value={5}>× 5</option>
        <option value={20}>× 20</option>
      </select>
    </label>
  );
}
