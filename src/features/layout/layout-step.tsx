'use client';

import { Fragment } from 'react';
import { boardFeet, LAYOUT_AIMS, type Layout, ownerOf, pieceLabel } from '@/core';
import { Button } from '@/ui/button';
import { Choice, LengthField, NumberField, Select, TextField } from '@/ui/fields';
import { FigureButton, FigureLine } from '@/ui/figure';
import { ProgressBar } from '@/ui/progress-bar';
import { Length, useUnits } from '@/ui/units';
import { usePanZoom } from '@/ui/use-pan-zoom';
import { Group } from '../form/form-step';
import { useTabs } from '../form/piece-drawing';
import { useChange, useDerived, useJobState, useLook } from '../job/job-context';
import { StepFrame } from '../job/job-desk';
import { AIM_WORDS } from './aim-words';
import { BoardTools } from './board-tools';
import { BoardsDrawing } from './boards-drawing';
import { CompareTools, CompareView } from './compare-view';
import { CutsTable } from './cuts-table';
import { MoveTools } from './move-tools';
import { PanelEnd } from './panel-end';
import { PanelTools } from './panel-tools';
import { PanelView } from './panel-view';
import { useKeptLayouts } from './use-kept-layouts';
import { useLayoutSearch } from './use-layout-search';
import { useMoves } from './use-moves';
import { usePanel } from './use-panel';

const TABS = [
  { value: 'boards', label: 'Boards' },
  { value: 'panel', label: 'Panel' },
  { value: 'pieces', label: 'Pieces' },
  { value: 'cuts', label: 'Cuts' },
  { value: 'compare', label: 'Compare' },
] as const;

export function LayoutStep() {
  const { piece, boards, layout: standing, layoutState, demand, species, laid } = useDerived();
  const hands = usePanel();
  const { state, start, stop } = useLayoutSearch();
  const { lit, light } = useLook();
  const choice = useJobState((s) => s.document.layout);
  const change = useChange();
  const changeAll = useJobState((s) => s.change);
  const tabs = useTabs(TABS, 'boards');
  const kept = useKeptLayouts(layoutState === 'current', tabs.value === 'compare');
  const layout = state.searching && state.progress ? state.progress.best : standing;
  const current = state.searching || layoutState === 'current';
  const panel = demand.panels[0];
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
                piece={piece}
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
            ) : tabs.value === 'panel' ? (
              <PanelView hands={hands} zoom={zoom} />
            ) : tabs.value === 'pieces' ? (
              <PiecesTable layout={layout} />
            ) : tabs.value === 'cuts' ? (
              <CutsTable layout={layout} />
            ) : (
              <CompareView kept={kept} />
            )}
            {laid.length > 0 && panel && tabs.value === 'boards' ? (
              <PanelEnd strips={laid} thickness={panel.finished.thickness} title="The top, from the end" />
            ) : null}
          </div>
        )
      }
      lead={tabs.value === 'panel' && laid.length > 1 ? <PanelLead /> : <LayoutLead layout={layout} />}
    >
      {tabs.value === 'panel' ? <PanelTools hands={hands} /> : null}
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
              {state.failed
                ? `The search failed: ${state.failed}.`
                : layout
                  ? `${layout.tried.toLocaleString('en')} changes tried`
                  : ''}
            </span>
            <Button onClick={() => void start()}>Search again</Button>
          </p>
        )}
      </div>
      {tabs.value === 'boards' && layout ? <MoveTools hands={moves} /> : null}
      {tabs.value === 'panel' || tabs.value === 'compare' ? null : <LayoutSide layout={layout} />}
    </StepFrame>
  );
}

/** What the layout comes to, and what it is searched for. */
function LayoutSide({ layout }: { layout: Layout | null }) {
  const { figures, demand } = useDerived();
  const units = useUnits();
  const currency = useJobState((s) => s.shop.prices.currency);
  const money = (amount: number) => `${amount.toFixed(2)} ${currency}`;
  const choice = useJobState((s) => s.document.layout);
  const change = useChange();
  return (
    <>
      <FigureLine label="Becomes the piece" figure={figures.yield} />
      <FigureLine label="Counts as" figure={figures['layout-cost']}>
        {layout ? money(layout.cost.total) : '–'}
      </FigureLine>
      <FigureLine label="No layout can cost less than" figure={figures['cost-bound']}>
        {layout?.bound ? money(layout.bound) : '–'}
      </FigureLine>
      <FigureLine label="Back to the rack" figure={figures.offcuts}>
        {layout ? `${layout.offcuts.length} pieces` : '–'}
      </FigureLine>
      <FigureLine label="To buy" figure={figures['to-buy']}>
        {layout ? buy(layout) : '–'}
      </FigureLine>
      {layout?.shortfall.length ? <ShortfallList layout={layout} /> : null}
      <Group title="Strips of the top">
        <Choice
          label="Widths"
          value={choice.equalStrips === null ? 'free' : 'equal'}
          onCommit={(widths) =>
            change('layout.equalStrips')(
              widths === 'free'
                ? null
                : Math.max(2, Math.min(60, Math.ceil((demand.panels[0]?.rough.width ?? 0) / choice.greatestStrip))),
            )
          }
          options={[
            { value: 'free', label: 'As boards give' },
            {
              value: 'equal',
              label: 'All equal',
              reason: 'Ripped over by the jointing allowance and planed on edge at one setting.',
            },
          ]}
        />
        {choice.equalStrips === null ? (
          <>
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
            <NumberField
              label="At most so many"
              value={choice.mostStrips}
              least={1}
              most={100}
              allowEmpty="any"
              onCommit={change('layout.mostStrips')}
              onEmpty={() => void change('layout.mostStrips')(null)}
            />
          </>
        ) : (
          <NumberField
            label="So many strips"
            value={choice.equalStrips}
            least={2}
            most={60}
            onCommit={change('layout.equalStrips')}
            hint={`Each ${units.length((demand.panels[0]?.rough.width ?? 0) / choice.equalStrips)} wide as glued.`}
          />
        )}
        <Choice
          label="From"
          value={choice.oneLot ? 'one' : 'any'}
          onCommit={(lots) => change('layout.oneLot')(lots === 'one')}
          options={[
            { value: 'any', label: 'Any lot' },
            { value: 'one', label: 'One lot' },
          ]}
        />
      </Group>
      <Group title="All from one board">
        {SETS.map(({ kind, label }) => (
          <label key={kind} className="mb-1 flex items-center gap-2">
            <input
              type="checkbox"
              className="size-[24px]"
              checked={choice.oneBoard.includes(kind)}
              onChange={(event) =>
                void change('layout.oneBoard')(
                  event.target.checked ? [...choice.oneBoard, kind] : choice.oneBoard.filter((own) => own !== kind),
                )
              }
            />
            {label}
          </label>
        ))}
      </Group>
      {layout ? <BoardTools layout={layout} /> : null}
      <Aim />
      <TextField
        label="Leave these boards out"
        value={choice.leaveOut.join(' ')}
        hint="Their tags, with spaces between."
        onCommit={(text) => change('layout.leaveOut')(text.split(/[\s,]+/).filter(Boolean))}
      />
    </>
  );
}

/** What may be asked to match: one board's grain and colour all round. */
const SETS = [
  { kind: 'leg', label: 'The legs' },
  { kind: 'apron', label: 'The aprons' },
] as const;

const WEIGHTS = [
  { key: 'offcutWorth', label: 'A useful offcut keeps, %', most: 100 },
  { key: 'board', label: 'One more board, min', most: 1000 },
  { key: 'cut', label: 'One more cut, min', most: 1000 },
  { key: 'joint', label: 'One more joint line, min', most: 1000 },
  { key: 'lot', label: 'One more lot in a panel, min', most: 1000 },
  { key: 'ring', label: 'One more kind of ring, min', most: 1000 },
] as const;

/** What the search is for, and what that makes everything count for. */
function Aim() {
  const { aim, weights } = useJobState((s) => s.document.layout);
  const change = useChange();
  const counted = aim === 'own' ? weights : LAYOUT_AIMS[aim];
  return (
    <Group title="What counts">
      <Select
        label="Aim"
        value={aim}
        onCommit={(next) => {
          // The maker's own begin as what counted before.
          if (next === 'own' && aim !== 'own') void change('layout.weights')(LAYOUT_AIMS[aim]);
          return change('layout.aim')(next);
        }}
        options={Object.entries(AIM_WORDS).map(([value, { label }]) => ({ value: value as typeof aim, label }))}
      />
      <p className="mb-2 text-ink-2 text-[12px] leading-4">{AIM_WORDS[aim].says}</p>
      {aim === 'own' ? (
        WEIGHTS.map(({ key, label, most }) => (
          <NumberField
            key={key}
            label={label}
            value={weights[key]}
            least={0}
            most={most}
            onCommit={change(`layout.weights.${key}`)}
          />
        ))
      ) : (
        <dl className="mb-2 grid grid-cols-[1fr_auto] gap-x-2">
          {WEIGHTS.map(({ key, label }) => (
            <Fragment key={key}>
              <dt>{label}</dt>
              <dd className="figures text-right">{counted[key]}</dd>
            </Fragment>
          ))}
        </dl>
      )}
    </Group>
  );
}

function PanelLead() {
  const { figures } = useDerived();
  return (
    <p>
      <FigureButton figure={figures['panel-match']} big />{' '}
      <span className="text-ink-2">of a perfect run from strip to strip</span>
    </p>
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
          const owner = ownerOf(p.part);
          const part = piece.parts.find((q) => q.id === owner);
          return (
            <tr
              key={`${p.board}${p.x},${p.y},${p.layer ?? 0}`}
              className={`border-hairline border-b ${lit.includes(owner) ? 'bg-layout-tint' : ''}`}
              onPointerEnter={() => light([owner])}
              onPointerLeave={() => light([])}
            >
              <td className="py-1 font-semibold">{pieceLabel(piece, p)}</td>
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
