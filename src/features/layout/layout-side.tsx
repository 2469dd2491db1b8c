'use client';

import { Fragment } from 'react';
import {
  DRESSED_KINDS,
  KIND_PLURALS,
  LAYOUT_AIMS,
  type Layout,
  type LengthStyle,
  PAIR_SCHOOLS,
  type PanelDemand,
  type PartKind,
  PROPOSAL,
  shoppingList,
  whyToBuy,
  withMark,
  writeQuantity,
} from '@/core';
import { Choice, Select, TextField } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { PhraseText, useUnits } from '@/ui/units';
import { Group } from '../form/group';
import { KindBoxes } from '../form/kind-boxes';
import { DecisionFigure } from '../job/decision-figure';
import { useChange, useDecisions, useDerived, useJobState } from '../job/job-context';
import { AIM_WORDS } from './aim-words';
import { BoardTools } from './board-tools';

/** What the layout comes to, and what it is searched for. */
export function LayoutSide({ layout }: { layout: Layout | null }) {
  const units = useUnits();
  const { style } = useUnits();
  const { figures, demand, checks, piece } = useDerived();
  const inOrder = checks.find((check) => check.id === 'layout.sequence-apron');
  const currency = useJobState((s) => s.shop.prices.currency);
  const resawHeight = useJobState((s) => s.shop.tools.resawHeight);
  const money = (amount: number) => `${units.number(amount, 2)} ${currency}`;
  const choice = useDecisions((own) => own.layout);
  const change = useChange();
  const [panel] = demand.panels;
  const isMade = (kind: PartKind) => piece.parts.some((part) => part.kind === kind && !part.material);
  const [sets, dressable] = [SETS.filter(isMade), DRESSED_KINDS.filter(isMade)];
  return (
    <>
      <FigureLine label="Becomes the piece" figure={figures.yield} />
      <FigureLine label="Cost, weighted" figure={figures['layout-cost']}>
        {layout ? money(layout.cost.total) : '–'}
      </FigureLine>
      <FigureLine label="No layout can cost less than" figure={figures['cost-bound']}>
        {layout?.bound ? money(layout.bound) : '–'}
      </FigureLine>
      <FigureLine label="Back to the rack" figure={figures.offcuts}>
        {layout ? `${layout.offcuts.length} pieces` : '–'}
      </FigureLine>
      <FigureLine label="To buy" figure={figures['to-buy']}>
        {layout ? buy(layout, style) : '–'}
      </FigureLine>
      {layout?.shortfall.length ? <ShortfallList layout={layout} /> : null}
      {panel ? <StripChoices panel={panel} /> : null}
      {resawHeight > 0 && (!panel || choice.pairs === 'none') ? (
        <Choice
          label="Thick boards"
          value={choice.resaw ? 'resawn' : 'planed'}
          onCommit={(how) => change('layout.resaw')(how === 'resawn')}
          options={[
            { value: 'resawn', label: 'Resawn', reason: 'Where one gives more than one strip or part.' },
            { value: 'planed', label: 'Planed down', reason: 'Less work at the band saw, more wood to shavings.' },
          ]}
        />
      ) : null}
      {sets.length > 0 ? (
        <Group title="All from one board">
          <KindBoxes
            kinds={sets}
            chosen={choice.oneBoard}
            label={(kind) => `The ${KIND_PLURALS[kind]}`}
            onCommit={change('layout.oneBoard')}
          />
          {choice.oneBoard.includes('apron') ? (
            <p className="text-ink-2">
              {inOrder ? (
                <PhraseText of={inOrder.sentence} />
              ) : (
                'Those that lie end to end come in their order round the piece, so that the grain runs on at the corners.'
              )}
            </p>
          ) : null}
        </Group>
      ) : null}
      {dressable.length > 0 ? (
        <Group title="Planed no further">
          <KindBoxes
            kinds={dressable}
            chosen={choice.asDressed}
            label={(kind) => `The ${KIND_PLURALS[kind]}, as dressed`}
            onCommit={change('layout.asDressed')}
          />
          <p className="text-ink-2">From dressed boards of their own section, faces and edges as they are.</p>
        </Group>
      ) : null}
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
const SETS = ['leg', 'apron'] as const;

/** A box for each of some kinds of parts. */

/** How the strips of a panel are found from the boards. */
function StripChoices({ panel }: { panel: PanelDemand }) {
  const { figures } = useDerived();
  const choice = useDecisions((own) => own.layout);
  const change = useChange();
  const units = useUnits();
  return (
    <Group title="Strips of panels">
      <Choice
        label="Widths"
        value={choice.equalStrips === null ? 'free' : 'equal'}
        onCommit={(widths) =>
          change('layout.equalStrips')(
            widths === 'free' ? null : Math.max(2, Math.min(60, Math.ceil(panel.rough.width / choice.greatestStrip))),
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
          <DecisionFigure at="layout.leastStrip" label="Narrowest" />
          <DecisionFigure at="layout.greatestStrip" label="Widest" hint="Narrower strips cup less and waste more." />
          <DecisionFigure at="layout.mostStrips" label="At most so many" emptyMeans="any" />
        </>
      ) : (
        <DecisionFigure
          at="layout.equalStrips"
          label="So many strips"
          hint={`Each ${units.length(panel.leastStrip)} wide as glued.`}
        />
      )}
      <Choice
        label="Pairs"
        value={choice.pairs}
        onCommit={change('layout.pairs')}
        options={[
          { value: 'none', label: 'None' },
          ...(['book', 'slip'] as const).map((value) => ({
            value,
            label: PAIR_SCHOOLS[value].name,
            reason: PAIR_SCHOOLS[value].reason,
          })),
        ]}
      />
      {choice.pairs === 'none' ? null : (
        <div className="mb-2">
          <FigureLine label="Two leaves from a flat blank of" figure={figures['pair-blank']} />
        </div>
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
  );
}

const WEIGHTS = [
  { key: 'offcutWorth', label: 'A useful offcut keeps, %' },
  { key: 'board', label: 'One more board, min' },
  { key: 'cut', label: 'One more cut, min' },
  { key: 'joint', label: 'One more joint line, min' },
  { key: 'lot', label: 'One more lot in a panel, min' },
  { key: 'ring', label: 'One more kind of ring, min' },
] as const;

/** What the search is for, and what that makes everything count for. */
function Aim() {
  const { style } = useUnits();
  const { aim, weights } = useDecisions((own) => own.layout);
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
        WEIGHTS.map(({ key, label }) => <DecisionFigure key={key} at={`layout.weights.${key}`} label={label} />)
      ) : (
        <dl className="mb-2 grid grid-cols-[1fr_auto] gap-x-2">
          {WEIGHTS.map(({ key, label }) => (
            <Fragment key={key}>
              <dt>{label}</dt>
              <dd className="figures text-right">{withMark(`${counted[key]}`, style.decimal)}</dd>
            </Fragment>
          ))}
        </dl>
      )}
    </Group>
  );
}

/** What is to be bought, all of it together. */
export const buy = (layout: Layout, style: LengthStyle) =>
  layout.shortfall.length === 0
    ? 'nothing'
    : writeQuantity({ amount: layout.shortfall.reduce((sum, s) => sum + s.boardFeet, 0), unit: 'board-foot' }, style);

function ShortfallList({ layout }: { layout: Layout }) {
  const units = useUnits();
  return (
    <>
      <p className="my-2 text-watch">{PROPOSAL}. Glue-up and season wait for it.</p>
      <ul className="my-2">
        {shoppingList(layout.shortfall).map((line) => (
          <li
            key={`${line.thickness} ${line.length} ${line.width} ${line.noBoard}`}
            className="figures border-hairline border-t py-1"
          >
            {line.count} × {units.length(line.length)} × {units.length(line.width)},{' '}
            {line.dressed
              ? `dressed ${units.length(line.thickness)}`
              : line.quarters
                ? `${line.quarters}/4 rough`
                : `over ${units.length(line.thickness)} thick`}
            , {writeQuantity({ amount: line.boardFeet, unit: 'board-foot' }, units.style)}: {line.names.join(', ')};{' '}
            {whyToBuy(line)}
          </li>
        ))}
      </ul>
    </>
  );
}
