'use client';

import clsx from 'clsx';
import { useState } from 'react';
import { cutList, madeParts, type Part, sayDay, sayEnds } from '@/core';
import { Button } from '@/ui/button';
import { DayField } from '@/ui/day-field';
import { Dialog } from '@/ui/dialog';
import { LengthField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { Form } from '@/ui/form';
import { Length } from '@/ui/units';
import { useTabs } from '@/ui/use-tabs';
import { PieceDrawing } from '../form/piece-drawing';
import { useChange, useChanges, useDecisions, useDerived, useLook } from '../job/job-context';
import { StepFrame } from '../job/job-desk';

const TABS = [
  { value: 'list', label: 'Cut list' },
  { value: 'plan', label: 'Plan' },
  { value: 'front', label: 'Front' },
] as const;

/** What is looked up at the bench beside the parts. */
const BESIDE = {
  table: [
    ['Overhang, sides', 'overhang-side'],
    ['Overhang, ends', 'overhang-end'],
    ['Base on the floor, long', 'base-length'],
    ['Base on the floor, wide', 'base-width'],
    ['Top, driest to wettest', 'top-swing'],
  ],
  case: [
    ['Inside, wide', 'inside-wide'],
    ['Inside, high', 'inside-high'],
    ['Inside, deep', 'inside-deep'],
    ['A side, driest to wettest', 'top-swing'],
  ],
} as const;

export function BenchStep() {
  const { piece, season, figures, mark } = useDerived();
  const tabs = useTabs(TABS, 'list');
  const [measuring, setMeasuring] = useState<string | null>(null);
  const part = piece.parts.find((p) => p.id === measuring);
  const made = madeParts(piece);
  const cut = made.filter((p) => p.cut).length;
  return (
    <StepFrame
      step="bench"
      title="Bench"
      views={tabs.bar}
      drawing={tabs.value === 'list' ? <CutListTable onMeasure={setMeasuring} /> : <PieceDrawing view={tabs.value} />}
      lead={
        <p>
          <span className="figures font-semibold text-[34px] leading-10">{cut}</span>{' '}
          <span className="text-ink-2">of {made.length} parts cut</span>
        </p>
      }
    >
      <p className="mb-3">
        Tick a part when it is cut. Enter its real size and it is locked: it no longer follows the design, the design
        follows it.
      </p>
      {BESIDE[piece.build].map(([label, figure]) => (
        <FigureLine key={figure} label={label} figure={figures[figure]} />
      ))}
      <FigureLine label="Widest" figure={figures['top-width-wettest']} />
      {season.reference.measuredOn ? (
        <p className="mt-2 text-ink-2">Widths start from the size measured on {sayDay(season.reference.measuredOn)}.</p>
      ) : null}
      {part ? <MeasureDialog part={part} mark={mark} onClose={() => setMeasuring(null)} /> : null}
    </StepFrame>
  );
}

function CutListTable({ onMeasure }: { onMeasure: (id: string) => void }) {
  const { piece, demand, mark } = useDerived();
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const bench = useDecisions((own) => own.bench);
  const change = useChange();
  const rows = cutList(piece.parts, demand);
  return (
    <table className="mt-2 w-full">
      <caption className="sr-only">Cut list</caption>
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1 pr-2">Cut</th>
          <th>Part</th>
          <th className="text-right">Overall</th>
          <th className="text-right">Shoulder</th>
          <th className="text-right">Width</th>
          <th className="text-right">Thick</th>
          <th className="text-right">Rough</th>
          <th>
            <span className="sr-only">Real size</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {madeParts(piece).map((part) => {
          const row = rows.find(({ letter }) => letter === part.letter);
          return (
            <tr
              key={part.id}
              data-row={part.id}
              className={clsx('border-hairline border-b', lit.includes(part.id) && 'bg-layout-tint')}
              onPointerEnter={() => light([part.id])}
              onPointerLeave={() => light([])}
              onFocus={() => light([part.id])}
            >
              <td className="py-1.5">
                <input
                  type="checkbox"
                  aria-label={`${mark}${part.letter}, ${part.name}, is cut`}
                  className="size-4 accent-layout"
                  checked={part.cut}
                  disabled={part.locked}
                  onChange={(event) =>
                    change('bench.cut')(
                      event.target.checked ? [...bench.cut, part.id] : bench.cut.filter((id) => id !== part.id),
                    )
                  }
                />
              </td>
              <td>
                <b className="font-semibold">
                  {mark}
                  {part.letter}
                </b>{' '}
                {part.name}
                {part.wood ? <span className="text-ink-2"> · {part.wood.commonName}</span> : null}
                {part.painted ? <span className="text-ink-2"> · painted</span> : null} {part.locked ? <Notch /> : null}
                {part.ends ? <span className="block text-[12px] text-ink-2">{sayEnds(part.ends)}</span> : null}
              </td>
              <Cell now={part.size.length} designed={part.design.length} locked={part.locked} />
              <td className="text-right text-ink-2">
                {part.shoulderLength === part.size.length ? '–' : <Length mm={part.shoulderLength} />}
              </td>
              <Cell now={part.size.width} designed={part.design.width} locked={part.locked} />
              <Cell now={part.size.thickness} designed={part.design.thickness} locked={part.locked} />
              <td className="text-right text-ink-2">
                {row?.rough ? (
                  <>
                    <Length mm={row.rough.length} /> × <Length mm={row.rough.width} />
                  </>
                ) : (
                  ''
                )}
              </td>
              <td className="text-right">
                <button
                  type="button"
                  className="font-semibold text-layout hover:underline print:hidden"
                  aria-label={`Real size of ${mark}${part.letter}, ${part.name}`}
                  onClick={() => onMeasure(part.id)}
                >
                  {part.locked ? 'Change' : 'Real size'}
                </button>
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Cell({ now, designed, locked }: { now: number; designed: number; locked: boolean }) {
  const off = locked && Math.abs(now - designed) > 0.05;
  return (
    <td className="text-right">
      <span className={off ? 'font-semibold text-watch' : ''}>
        <Length mm={now} fine={locked} />
      </span>
      {off ? (
        <span className="block text-[11.5px] text-ink-2 leading-3">
          drawn <Length mm={designed} />
        </span>
      ) : null}
    </td>
  );
}

/** The mark of a part whose real size is known. */
function Notch() {
  return (
    <svg
      viewBox="0 0 10 8"
      className="ml-1 inline h-2 w-2.5 fill-layout"
      role="img"
      aria-label="locked at its real size"
    >
      <path d="M0 0h10L5 8z" />
    </svg>
  );
}

function MeasureDialog({ part, mark, onClose }: { part: Part; mark: string; onClose: () => void }) {
  const bench = useDecisions((own) => own.bench);
  const deliveredOn = useDecisions((own) => own.season.gluedOn);
  const changeAll = useChanges();
  const known = bench.locks[part.id];
  const [size, setSize] = useState({
    length: known?.length ?? null,
    width: known?.width ?? null,
    thickness: known?.thickness ?? null,
  });
  const [on, setOn] = useState(known?.on ?? deliveredOn);
  const [problem, setProblem] = useState<string>();
  const set = (key: keyof typeof size) => (value: number | null) => {
    setSize((now) => ({ ...now, [key]: value }));
    return undefined;
  };
  const save = () => {
    if (Object.values(size).every((value) => value === null)) {
      setProblem('Enter at least one size, or close.');
      return;
    }
    const problems = changeAll([
      { path: 'bench.locks', value: { ...bench.locks, [part.id]: { ...size, on } } },
      { path: 'bench.cut', value: [...new Set([...bench.cut, part.id])] },
    ]);
    if (problems) setProblem(problems[0]?.problem);
    else onClose();
  };
  const unlock = () => {
    const { [part.id]: _, ...locks } = bench.locks;
    changeAll([{ path: 'bench.locks', value: locks }]);
    onClose();
  };
  return (
    <Dialog title={`${mark}${part.letter}, ${part.name}: its real size`} open onClose={onClose}>
      <Form onSubmit={save}>
        <LengthField
          label="Overall length"
          mm={size.length}
          least={1}
          most={10000}
          allowEmpty="as drawn"
          onCommit={set('length')}
          onEmpty={() => set('length')(null)}
          hint={
            <>
              drawn <Length mm={part.design.length} />, tenons included
            </>
          }
        />
        <LengthField
          label="Width"
          mm={size.width}
          least={1}
          most={5000}
          allowEmpty="as drawn"
          onCommit={set('width')}
          onEmpty={() => set('width')(null)}
          hint={
            <>
              drawn <Length mm={part.design.width} />
            </>
          }
        />
        <LengthField
          label="Thickness"
          mm={size.thickness}
          least={1}
          most={500}
          allowEmpty="as drawn"
          onCommit={set('thickness')}
          onEmpty={() => set('thickness')(null)}
          hint={
            <>
              drawn <Length mm={part.design.thickness} />
            </>
          }
        />
        <DayField
          label="Measured on"
          value={on}
          onCommit={(next) => {
            setOn(next);
            return undefined;
          }}
        />
        {problem ? (
          <p role="alert" className="text-stop">
            {problem}
          </p>
        ) : null}
        <div className="mt-3 flex gap-3">
          <Button look="chief" type="submit">
            Lock it at this size
          </Button>
          {known ? <Button onClick={unlock}>Unlock</Button> : null}
          <Button look="quiet" onClick={onClose}>
            Close
          </Button>
        </div>
      </Form>
    </Dialog>
  );
}
