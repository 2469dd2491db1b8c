'use client';

import { boardFeet, type Layout } from '@/core';
import { Button } from '@/ui/button';
import { LengthField, TextField } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { ProgressBar } from '@/ui/progress-bar';
import { Length, useUnits } from '@/ui/units';
import { Group } from '../form/form-step';
import { useTabs } from '../form/piece-drawing';
import { useChange, useDerived, useJobState, useLook } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { BoardsDrawing } from './boards-drawing';
import { PanelEnd } from './panel-end';
import { useLayoutSearch } from './use-layout-search';

const TABS = [
  { value: 'boards', label: 'Boards' },
  { value: 'pieces', label: 'Pieces' },
] as const;

export function LayoutStep() {
  const { piece, figures, boards, layout: kept, layoutState, demand, species } = useDerived();
  const { state, start, stop } = useLayoutSearch();
  const { lit, light } = useLook();
  const choice = useJobState((s) => s.document.layout);
  const change = useChange();
  const tabs = useTabs(TABS, 'boards');
  const layout = state.searching && state.progress ? state.progress.best : kept;
  const current = state.searching || layoutState === 'current';
  const panel = demand.panels[0];
  return (
    <StepFrame
      step="layout"
      title="Layout"
      views={tabs.bar}
      tools={
        layout ? (
          <span className="figures">
            {layout.boards.length} of {boards.length} {species.commonName} boards
          </span>
        ) : null
      }
      drawing={
        !layout ? (
          <p className="p-6">
            {boards.length === 0
              ? `There is no ${species.commonName} on the rack. Add boards on the Rack page, or choose another wood in the step Form.`
              : 'The first layout is being searched …'}
          </p>
        ) : (
          <div className={current ? '' : 'opacity-50'}>
            {tabs.value === 'boards' ? (
              <BoardsDrawing layout={layout} piece={piece} boards={boards} lit={lit} onLight={light} />
            ) : (
              <PiecesTable layout={layout} />
            )}
            {layout.strips.length > 0 && panel ? (
              <PanelEnd
                strips={layout.strips}
                boards={boards}
                thickness={panel.finished.thickness}
                title="The top, from the end"
              />
            ) : null}
          </div>
        )
      }
      lead={<LayoutLead layout={layout} />}
    >
      <div aria-live="polite">
        {state.searching ? (
          <>
            <ProgressBar label="Search" share={state.progress?.share ?? 0} className="my-2" />
            <p className="mb-2 flex items-center justify-between">
              <span>Searching, {(state.progress?.tried ?? 0).toLocaleString('en')} tried</span>
              <Button onClick={stop}>Stop</Button>
            </p>
          </>
        ) : (
          <p className="my-2 flex items-center justify-between">
            <span>
              {state.failed
                ? `The search failed: ${state.failed}.`
                : layout
                  ? `${layout.tried.toLocaleString('en')} arrangements tried`
                  : ''}
            </span>
            <Button onClick={() => void start()}>Search again</Button>
          </p>
        )}
      </div>
      <FigureLine label="Becomes the piece" figure={figures.yield} />
      <FigureLine label="No layout can yield more than" figure={figures['yield-bound']}>
        {figures['yield-bound'] ? undefined : '–'}
      </FigureLine>
      <FigureLine label="Back to the rack" figure={figures.offcuts}>
        {layout ? `${layout.offcuts.length} pieces` : '–'}
      </FigureLine>
      <FigureLine label="To buy" figure={figures['to-buy']}>
        {layout ? buy(layout) : '–'}
      </FigureLine>
      {layout?.shortfall.length ? <ShortfallList layout={layout} /> : null}
      <Group title="Strips of the top">
        <LengthField
          label="Narrowest"
          mm={choice.leastStrip}
          least={20}
          most={400}
          onCommit={change('layout.leastStrip')}
        />
        <LengthField
          label="Widest"
          mm={choice.greatestStrip}
          least={30}
          most={800}
          onCommit={change('layout.greatestStrip')}
          hint="Narrower strips cup less and waste more."
        />
      </Group>
      <TextField
        label="Leave these boards out"
        value={choice.leaveOut.join(' ')}
        hint="Their tags, with spaces between."
        onCommit={(text) => change('layout.leaveOut')(text.split(/[\s,]+/).filter(Boolean))}
      />
    </StepFrame>
  );
}

function LayoutLead({ layout }: { layout: Layout | null }) {
  const { figures } = useDerived();
  if (!layout) return <p>Which board gives which strip.</p>;
  if (layout.gap === null)
    return (
      <p>
        <span className="figures font-semibold text-[34px] text-stop leading-10">{buy(layout)}</span>{' '}
        <span className="text-ink-2">to buy</span>
      </p>
    );
  return (
    <p>
      <FigureButton figure={figures['layout-gap']} big>
        {(layout.gap * 100).toFixed(1)} %
      </FigureButton>{' '}
      <span className="text-ink-2">at most from the best possible</span>
    </p>
  );
}

const buy = (layout: Layout) =>
  layout.shortfall.length === 0
    ? 'nothing'
    : `${layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0).toFixed(1)} board feet`;

function ShortfallList({ layout }: { layout: Layout }) {
  const units = useUnits();
  return (
    <ul className="my-2">
      {layout.shortfall.map((s, i) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: two parts may want the very same
        <li key={i} className="figures border-hairline border-t py-1">
          {s.name}: {s.quarters ? `${s.quarters}/4 rough` : `over ${units.length(s.thickness)} thick`},{' '}
          {units.length(s.length)} × {units.length(s.width)}, {s.boardFeet.toFixed(1)} board feet
        </li>
      ))}
    </ul>
  );
}

function PiecesTable({ layout }: { layout: Layout }) {
  const { piece, boards } = useDerived();
  const { lit, light } = useLook();
  return (
    <table className="mt-2 w-full">
      <thead>
        <tr className="border-ink border-b text-left">
          <th className="py-1">Piece</th>
          <th>Part</th>
          <th>Board</th>
          <th className="text-right">Rough</th>
          <th className="text-right">Board feet</th>
        </tr>
      </thead>
      <tbody>
        {layout.placements.map((p) => {
          const board = boards.find((b) => b.id === p.board);
          const part = piece.parts.find((q) => q.id === p.part);
          return (
            <tr
              key={`${p.board}${p.x},${p.y}`}
              className={`border-hairline border-b ${lit.includes(p.part) ? 'bg-layout-tint' : ''}`}
              onPointerEnter={() => light([p.part])}
              onPointerLeave={() => light([])}
            >
              <td className="py-1 font-semibold">
                {part?.letter}
                {p.strip === undefined ? '' : p.strip + 1}
              </td>
              <td>{part?.name}</td>
              <td>{board?.tag}</td>
              <td className="text-right">
                <Length mm={p.length} /> × <Length mm={p.width} />
              </td>
              <td className="figures text-right">
                {board
                  ? boardFeet({ length: p.length, width: p.width, roughThickness: board.thickness }).toFixed(2)
                  : ''}
              </td>
            </tr>
          );
        })}
      </tbody>
    </table>
  );
}
