'use client';

import { useMemo } from 'react';
import { drawView, nameOfCell, type Piece, panelOfTop, sizeAt, type ViewName } from '@/core';
import type { Draggable } from '@/ui/dimension-grip';
import { MeasuredDrawing, type SpaceOnView } from '@/ui/measured-drawing';
import { useTabs } from '@/ui/use-tabs';
import { useDecisions, useDerived, useLook, useShownDay } from '../job/job-context';
import { TakenApart } from './taken-apart';

const VIEWS: Readonly<Record<Piece['build'], readonly { value: ViewName; label: string }[]>> = {
  table: [
    { value: 'front', label: 'Front' },
    { value: 'end', label: 'End' },
    { value: 'plan', label: 'Plan' },
    { value: 'apart', label: 'Taken apart' },
  ],
  case: [
    { value: 'front', label: 'Front' },
    { value: 'end', label: 'Side' },
    { value: 'section', label: 'Cut open' },
    { value: 'plan', label: 'Plan' },
    { value: 'apart', label: 'Taken apart' },
  ],
};

export function useViewTabs(first: ViewName) {
  const { piece } = useDerived();
  return useTabs(VIEWS[piece.build], first);
}

/** The piece as it is on the day of the band. */
export function PieceDrawing({ view, drags }: { view: ViewName; drags?: Readonly<Record<string, Draggable>> }) {
  return view === 'apart' ? <TakenApart /> : <MeasuredPiece view={view} {...(drags ? { drags } : {})} />;
}

function MeasuredPiece({ view: name, drags }: { view: ViewName; drags?: Readonly<Record<string, Draggable>> }) {
  const { piece, season, panels, others } = useDerived();
  const laid = panelOfTop({ piece, panels })?.laid;
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const exaggeration = useLook((look) => look.exaggeration);
  const { moisture } = useShownDay();
  const travel = useDecisions(({ form }) => (form.build === 'table' ? form.hold.travel : undefined));
  const view = useMemo(
    () =>
      drawView(piece, name, {
        sizeOf: (part) => sizeAt(part, season, moisture),
        exaggeration,
        others,
        ...(laid && laid.length > 0 ? { strips: laid.map((strip) => strip.width) } : {}),
      }),
    [piece, name, season, moisture, exaggeration, laid, others],
  );
  const names = useMemo(
    () => Object.fromEntries(piece.parts.map((part) => [part.id, `${part.letter}, ${part.name}`])),
    [piece],
  );
  const spaces = useSpaces(drags ? name : null);
  const takeSpace = useLook((look) => look.takeSpace);
  return (
    <MeasuredDrawing
      view={view}
      name={`${VIEWS[piece.build].find((v) => v.value === name)?.label} view`}
      lit={lit}
      onLight={light}
      partNames={names}
      {...(travel === undefined ? {} : { travel })}
      wood={piece.over}
      drags={drags ?? {}}
      spaces={spaces}
      onSpace={takeSpace}
    />
  );
}

/** The spaces of a case that are not divided further, where its form is asked and it is seen from the front. */
function useSpaces(view: ViewName | null): readonly SpaceOnView[] {
  const { piece } = useDerived();
  const form = useDecisions((own) => own.form);
  const taken = useLook((look) => look.space);
  if (piece.build !== 'case' || form.build !== 'case') return [];
  if (view !== (piece.opens === 'above' ? 'plan' : 'front')) return [];
  return piece.spaces
    .filter(({ divided }) => divided === 'not')
    .map(({ id, left, right, low, high }) => ({
      id,
      name: nameOfCell(form.inside.cells, id),
      chosen: taken === id,
      from: [left, -high],
      to: [right, -low],
    }));
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
