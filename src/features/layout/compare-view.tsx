'use client';

import { boardsUsed, type Figure, type LayoutMerits, labelsBy, MORE_IS_BETTER, meritFigure } from '@/core';
import { Button } from '@/ui/button';
import { Select } from '@/ui/fields';
import { FigureButton } from '@/ui/figure';
import { ProblemList } from '@/ui/problem-list';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useJobState } from '../job/job-context';
import { useLightInJob } from '../job/use-light-in-job';
import { BoardFigure, END } from './board-figure';
import type { Compared, KeptLayouts } from './use-kept-layouts';

/** The current layout and one put aside, side by side: their figures, and their boards. */
export function CompareView({ kept }: { kept: KeptLayouts }) {
  const [ref, size] = useSize<HTMLDivElement>();
  const { now, beside } = kept;
  const sides = [now, beside].flatMap((side) => side ?? []);
  const longest = Math.max(1, ...sides.flatMap((side) => usedBoards(side).map((board) => board.length)));
  const half = (Math.max(400, size.width) - 24) / 2;
  return (
    <div ref={ref}>
      {now && beside ? (
        <>
          <MeritsTable now={now} beside={beside} />
          <div className="mt-3 grid grid-cols-2 gap-6">
            {sides.map((side) => (
              <SideBoards key={side.id ?? 'now'} side={side} scale={(half - END - 24) / longest} />
            ))}
          </div>
        </>
      ) : (
        <p className="max-w-[70ch] p-6">
          {kept.others
            ? 'Put the layout aside, change the aim or move something, and the two stand here side by side.'
            : 'The layouts are compared …'}
        </p>
      )}
    </div>
  );
}

const usedBoards = ({ wood }: Compared) => (wood.layout ? boardsUsed(wood.layout, wood.boards) : []);

function SideBoards({ side, scale }: { side: Compared; scale: number }) {
  const { lit, light } = useLightInJob();
  const { layout, letters } = side.wood;
  if (!layout) return null;
  return (
    <section aria-label={side.name}>
      <h2 className="mb-1 font-semibold">{side.name}</h2>
      {usedBoards(side).map((board) => (
        <BoardFigure
          key={board.id}
          board={board}
          layout={layout}
          labelOf={labelsBy(letters)}
          scale={scale}
          lit={lit}
          onLight={light}
          pinned={false}
          hands={null}
        />
      ))}
    </section>
  );
}

function MeritsTable({ now, beside }: { now: Compared; beside: Compared }) {
  const units = useUnits();
  const currency = useJobState((state) => state.shop.prices.currency);
  const money = (amount: number) => `${units.number(amount, 2)} ${currency}`;
  const whole = (amount: number) => String(amount);
  const rows: { key: keyof LayoutMerits; label: string; say: (amount: number) => string }[] = [
    { key: 'counts', label: 'Cost, weighted by the present aim', say: money },
    { key: 'wood', label: 'Wood, less what goes back', say: money },
    { key: 'boards', label: 'Boards to open', say: whole },
    { key: 'yield', label: 'Becomes the piece', say: (share) => `${units.number(share * 100, 1)} %` },
    { key: 'leftover', label: 'Pieces back to the rack', say: whole },
    { key: 'leftoverArea', label: 'Their faces together', say: (area) => `${units.number(area, 2)} m²` },
    { key: 'longest', label: 'The longest of them', say: (mm) => units.length(mm) },
    { key: 'cuts', label: 'Saw cuts', say: whole },
    { key: 'jointLines', label: 'Joint lines in the panels', say: whole },
    { key: 'lots', label: 'Lots in the panels', say: whole },
  ];
  return (
    <table className="w-full max-w-[640px]">
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1" aria-label="What is compared" />
          <th className="w-40 text-right">{now.name}</th>
          <th className="w-40 text-right">{beside.name}</th>
        </tr>
      </thead>
      <tbody>
        {rows.map(({ key, label, say }) => {
          const [a, b] = [now.merits[key], beside.merits[key]];
          const more = MORE_IS_BETTER[key];
          const better = more === null || Math.abs(a - b) < 1e-6 ? null : a > b === more ? 'now' : 'beside';
          return (
            <tr key={key} data-merit={key} className="border-hairline border-b">
              <th scope="row" className="py-1 text-left font-normal">
                {label}
              </th>
              <Merit text={say(a)} figure={meritFigure(key, now.merits, currency)} better={better === 'now'} />
              <Merit text={say(b)} figure={meritFigure(key, beside.merits, currency)} better={better === 'beside'} />
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}

function Merit({ text, figure, better }: { text: string; figure: Figure; better: boolean }) {
  return (
    <td className={`figures text-right ${better ? 'font-semibold' : 'text-ink-2'}`}>
      <FigureButton figure={figure}>{text}</FigureButton>
      {better ? <span className="sr-only"> (better)</span> : null}
    </td>
  );
}

/** Putting layouts aside, and taking one of them. */
export function CompareTools({ kept }: { kept: KeptLayouts }) {
  const { now, beside } = kept;
  const taken = beside?.id;
  return (
    <>
      <ProblemList problems={kept.problems} />
      <p className="mb-3">
        <Button onClick={kept.putAside} disabled={!now}>
          Put this layout aside
        </Button>
      </p>
      {beside && taken ? (
        <>
          <Select
            label="Beside it"
            value={taken}
            options={(kept.others ?? []).map((one) => ({ value: one.id ?? '', label: one.name }))}
            onCommit={kept.look}
          />
          {beside.fits ? null : (
            <p className="mb-2 text-stop">It was made for other sizes, or another rack: it can be looked at only.</p>
          )}
          <p className="flex gap-3">
            <Button look="chief" disabled={!beside.fits} onClick={() => kept.take(taken)}>
              Take this one
            </Button>
            <Button onClick={() => kept.forget(taken)}>Forget it</Button>
          </p>
        </>
      ) : null}
    </>
  );
}
