'use client';

import { usePathname, useRouter } from 'next/navigation';
import { type Layout, speciesOfDemand } from '@/core';
import { Button } from '@/ui/button';
import { Select } from '@/ui/fields';
import { FigureButton } from '@/ui/figure';
import { later } from '@/ui/later';
import { ProgressBar } from '@/ui/progress-bar';
import { useUnits } from '@/ui/units';
import { usePanZoom } from '@/ui/use-pan-zoom';
import { useTabs } from '@/ui/use-tabs';
import { useChange, useChanges, useDecisions, useDerived, useJobState } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { useLightInJob } from '../job/use-light-in-job';
import { BoardsDrawing } from './boards-drawing';
import { CompareTools, CompareView } from './compare-view';
import { CutsTable } from './cuts-table';
import { useLayoutSearch } from './layout-search';
import { buy, LayoutSide } from './layout-side';
import { MoveTools } from './move-tools';
import { PanelEnd } from './panel-end';
import { PanelTools } from './panel-tools';
import { PiecesTable } from './pieces-table';
import { useKeptLayouts } from './use-kept-layouts';
import { useMoves } from './use-moves';
import { usePanel } from './use-panel';
import { useWood } from './use-wood';

const TABS = [
  { value: 'boards', label: 'Boards' },
  { value: 'panel', label: 'Panel' },
  { value: 'pieces', label: 'Pieces' },
  { value: 'cuts', label: 'Cuts' },
  { value: 'compare', label: 'Compare' },
] as const;
const WITHOUT_PANEL = TABS.filter(({ value }) => value !== 'panel');

const PanelView = later(() => import('./panel-view'));

export function LayoutStep() {
  const { boards, layout: standing, layoutState, species, labelOf } = useWood();
  const hands = usePanel();
  const { state, start, stop } = useLayoutSearch();
  const { lit, light } = useLightInJob();
  const choice = useDecisions((own) => own.layout);
  const change = useChange();
  const rackKnown = useJobState((s) => s.rackKnown);
  const changeAll = useChanges();
  const tabs = useTabs(hands ? TABS : WITHOUT_PANEL, 'boards');
  const kept = useKeptLayouts(layoutState === 'current', tabs.value === 'compare');
  const layout = state.searching && state.progress ? state.progress.best : standing;
  const current = state.searching || layoutState === 'current';
  const moves = useMoves(state.searching || layoutState !== 'current' ? null : layout);
  const { ref, zoom, bar } = usePanZoom<HTMLDivElement>();
  const drawn = tabs.value === 'boards' || tabs.value === 'panel';
  return (
    <StepFrame
      step="layout"
      title="Layout"
      views={tabs.bar}
      tools={
        layout ? (
          <span className="flex items-center gap-4">
            <span className="figures">
              {layout.boards.length} of {boards.length} {species.commonName} boards
            </span>
            {drawn ? bar : null}
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
          <div ref={ref} className={current ? '' : 'opacity-50'}>
            {tabs.value === 'boards' ? (
              <BoardsDrawing
                layout={layout}
                labelOf={labelOf}
                boards={boards}
                zoom={zoom}
                hands={state.searching || !current ? null : moves}
                lit={lit}
                onLight={light}
                pinned={choice.pinned}
                onPin={(tag) =>
                  void change('layout.pinned')(
                    choice.pinned.includes(tag) ? choice.pinned.filter((t) => t !== tag) : [...choice.pinned, tag],
                  )
                }
                onLeaveOut={(tag) =>
                  void changeAll([
                    { path: 'layout.pinned', value: choice.pinned.filter((t) => t !== tag) },
                    { path: 'layout.leaveOut', value: [...choice.leaveOut, tag] },
                  ])
                }
              />
            ) : tabs.value === 'panel' && hands ? (
              <PanelView hands={hands} zoom={zoom} />
            ) : tabs.value === 'pieces' ? (
              <PiecesTable layout={layout} />
            ) : tabs.value === 'cuts' ? (
              <CutsTable layout={layout} />
            ) : (
              <CompareView kept={kept} />
            )}
            {hands && hands.panel.laid.length > 0 && tabs.value === 'boards' ? (
              <PanelEnd
                strips={hands.panel.laid}
                thickness={hands.panel.demand.finished.thickness}
                title={`${hands.panel.demand.name}, from the end`}
              />
            ) : null}
          </div>
        )
      }
      lead={
        tabs.value === 'panel' && hands && hands.panel.laid.length > 1 ? (
          <PanelLead place={hands.place} />
        ) : (
          <LayoutLead layout={layout} />
        )
      }
    >
      <WhichWood />
      {tabs.value === 'panel' && hands ? <PanelTools hands={hands} /> : null}
      {tabs.value === 'compare' ? <CompareTools kept={kept} /> : null}
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
              {rackKnown ? '' : 'Reading the rack …'}
              {state.failed
                ? `The search failed: ${state.failed}.`
                : layout
                  ? `${layout.tried.toLocaleString('en')} changes tried`
                  : ''}
            </span>
            {rackKnown ? <Button onClick={() => void start()}>Search again</Button> : null}
          </p>
        )}
      </div>
      {tabs.value === 'boards' && layout ? <MoveTools hands={moves} /> : null}
      {tabs.value === 'panel' || tabs.value === 'compare' ? null : <LayoutSide layout={layout} />}
    </StepFrame>
  );
}

/** Which of the species that a piece is made of is looked at; nothing where there is but one. */
function WhichWood() {
  const router = useRouter();
  const path = usePathname();
  const { demand, wood, job, pieceId, instance } = useDerived();
  const here = speciesOfDemand(demand);
  if (here.length === 1) return null;
  const name = (id: string) => job.woods.find(({ species }) => species.id === id)?.species.commonName ?? id;
  return (
    <Select
      label="Boards of"
      value={wood.species.id}
      options={here.map((id) => ({ value: id, label: name(id) }))}
      onCommit={(id) => router.push(`${path}?piece=${pieceId}&number=${instance}&wood=${id}`)}
    />
  );
}

function PanelLead({ place }: { place: string }) {
  const { figures } = useDerived();
  return (
    <p>
      <FigureButton figure={figures[`panel-match${place}`]} big />{' '}
      <span className="text-ink-2">of a perfect run from strip to strip</span>
    </p>
  );
}

function LayoutLead({ layout }: { layout: Layout | null }) {
  const currency = useJobState((state) => state.shop.prices.currency);
  const units = useUnits();
  const { figures } = useDerived();
  if (!layout) return <p>Which board gives which strip.</p>;
  if (layout.gap === null)
    return (
      <p>
        <span className="figures font-semibold text-[34px] text-stop leading-10">{buy(layout, units.style)}</span>{' '}
        <span className="text-ink-2">to buy</span>
      </p>
    );
  // A layout that is searched for is there a moment before its figures.
  if (!figures['layout-over']) return <p>Which board gives which strip.</p>;
  return (
    <p>
      <FigureButton figure={figures['layout-over']} big>
        {units.number(figures['layout-over'].quantity.amount, 2)} {currency}
      </FigureButton>{' '}
      <span className="text-ink-2">
        or <FigureButton figure={figures['layout-gap']} />, at most from the best possible
      </span>
    </p>
  );
}
