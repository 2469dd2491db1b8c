'use client';

import { useDraggable, useDroppable } from '@dnd-kit/core';
import clsx from 'clsx';
import type { ReactNode } from 'react';
import { type Blank, type Board, blankLabel, blanksOf, type LabelOf, type Layout, ownerOf } from '@/core';
import { BoardEnd } from '@/ui/board-end';
import { useUnits } from '@/ui/units';
import type { MoveHands, Trial } from './use-moves';

/** Room for the end of the board before it, px: a maker reads a board by its end first. */
export const END = 54;
/** Pieces drawn less high, px, would hold only a letter that nobody can read: there the zoom helps. */
const LEAST_LETTER = 8;

const SEEN = { through: '', tagged: ', tagged face only', under: ', under face only' };

/** The board's own outline, its near edge above; a taper at its far edge. */
function outline(board: Board, scale: number): string {
  const far = board.farWidth ?? board.width;
  return `0,0 ${board.length * scale},0 ${board.length * scale},${far * scale} 0,${board.width * scale}`;
}

/** How deep the live edges go. */
function liveEdges(board: Board, scale: number): string[] {
  const { near, far } = board.liveEdges;
  const other = board.farWidth ?? board.width;
  const length = board.length * scale;
  return [
    ...(near > 0 ? [`0,${near * scale} ${length},${near * scale}`] : []),
    ...(far > 0 ? [`0,${(board.width - far) * scale} ${length},${(other - far) * scale}`] : []),
  ];
}

/** One board to scale: its pieces, its offcuts for the rack, its defects, its end; pieces can be dragged onto it. */
export function BoardFigure({
  board,
  layout,
  labelOf,
  scale,
  lit,
  onLight,
  pinned,
  hands,
  actions,
}: {
  board: Board;
  layout: Layout;
  labelOf: LabelOf;
  /** px per mm. */
  scale: number;
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
  pinned: boolean;
  /** Absent where nothing can be moved. */
  hands: MoveHands | null;
  actions?: ReactNode;
}) {
  const units = useUnits();
  const { setNodeRef } = useDroppable({ id: board.id, data: { board, scale } });
  const here = layout.placements.filter((placement) => placement.board === board.id);
  const height = Math.max(board.width, board.farWidth ?? 0) * scale;
  const ends = Math.min(46, board.width * scale * 1.1);
  // Drawn thicker than to scale, so that its rings can be read.
  const thick = Math.max(10, Math.min(30, board.thickness * scale * 2.6));
  const trial = hands?.trial?.board.id === board.id ? hands.trial : null;
  return (
    <figure
      data-board={board.tag}
      aria-label={`Board ${board.tag}: ${here.map((p) => labelOf(p)).join(', ') || 'nothing yet'}`}
      className="mb-2"
    >
      <figcaption className="mb-0.5 flex items-baseline gap-1">
        <b className="font-semibold">{board.tag}</b>{' '}
        <span className="figures text-ink-2">
          {units.length(board.length)} × {units.length(board.width)} ×{' '}
          {board.quarters ? `${board.quarters}/4` : units.length(board.thickness)}
          {board.lot ? ` · ${board.lot}` : ''}
          {board.takenFor ? ' · used up' : board.reservedFor ? ' · kept for this job' : ''}
        </span>
        {trial ? <Answer trial={trial} /> : null}
        <span className="ml-auto flex gap-3 pr-2">{actions}</span>
      </figcaption>
      <svg width={board.length * scale + END + 20} height={height + 2} className="block overflow-visible">
        <g transform={`translate(${1 + END} 1)`}>
          <polygon
            ref={(element) => setNodeRef(element as unknown as HTMLElement | null)}
            points={outline(board, scale)}
            className={clsx('fill-paper', pinned || trial ? 'stroke-layout' : 'stroke-ink')}
            strokeWidth={pinned || trial ? 2 : 1.3}
          />
          {liveEdges(board, scale).map((points) => (
            <polyline
              key={points}
              points={points}
              className="fill-none stroke-ink-2"
              strokeDasharray="1.5 3"
              strokeWidth={1}
            />
          ))}
          {layout.offcuts
            .filter((offcut) => offcut.board === board.id)
            .map((offcut) => (
              <rect
                key={`${offcut.x},${offcut.y}`}
                x={offcut.x * scale}
                y={offcut.y * scale}
                width={offcut.length * scale}
                height={offcut.width * scale}
                className="fill-ground stroke-ink-2"
                strokeDasharray="3 3"
                strokeWidth={0.8}
              >
                <title>{`back to the rack: ${units.length(offcut.length)} × ${units.length(offcut.width)}`}</title>
              </rect>
            ))}
          {blanksOf(here).map((blank) => {
            const label = blankLabel(labelOf, blank);
            const parts = blank.placements.map((p) => ownerOf(p.part));
            return (
              <BlankShape
                key={label}
                blank={blank}
                label={label}
                scale={scale}
                on={parts.some((id) => lit.includes(id)) || hands?.chosen === label}
                held={hands?.trial?.label === label}
                onLight={(lights) => onLight(lights ? parts : [])}
                hands={hands}
              />
            );
          })}
          {board.defects.map((d) => {
            const [dx, dy, dw, dh] = [d.x * scale, d.y * scale, d.length * scale, d.width * scale];
            return (
              <g key={`${d.kind},${d.x},${d.y}`} className="pointer-events-none fill-none stroke-stop" strokeWidth={1}>
                <title>{`${d.kind}${SEEN[d.face]}`}</title>
                <rect x={dx} y={dy} width={dw} height={dh} />
                <path d={`M${dx} ${dy}l${dw} ${dh}M${dx} ${dy + dh}l${dw} ${-dh}`} strokeWidth={0.7} />
              </g>
            );
          })}
          {trial ? <TrialShape trial={trial} scale={scale} /> : null}
          <BoardEnd
            x={-8 - ends}
            y={(height - thick) / 2}
            width={ends}
            height={thick}
            board={board}
            lit={here.some((p) => lit.includes(ownerOf(p.part)))}
          />
        </g>
      </svg>
    </figure>
  );
}

/** What the checker says of the piece as it is held. */
function Answer({ trial }: { trial: Trial }) {
  const units = useUnits();
  const [first] = trial.wrong;
  return (
    <span role="status" className={clsx('figures ml-3 font-semibold', first ? 'text-stop' : 'text-layout')}>
      {first ??
        `${trial.label} fits, ${units.length(trial.at.x)} from the tagged end, ${units.length(trial.at.y)} from the near edge`}
    </span>
  );
}

function TrialShape({ trial, scale }: { trial: Trial; scale: number }) {
  const { at } = trial;
  const bad = trial.wrong.length > 0;
  return (
    <g className="pointer-events-none">
      <rect
        x={at.x * scale}
        y={at.y * scale}
        width={at.length * scale}
        height={at.width * scale}
        strokeWidth={2}
        className={bad ? 'fill-stop-tint stroke-stop' : 'fill-layout-tint stroke-layout'}
        opacity={0.85}
      />
      <text
        x={at.x * scale + 6}
        y={(at.y + at.width / 2) * scale}
        dominantBaseline="central"
        className="figures fill-ink font-bold text-[13px]"
      >
        {trial.label}
      </text>
    </g>
  );
}

/** What is sawn out as one: to be chosen, and dragged. */
function BlankShape({
  blank,
  label,
  scale,
  on,
  held,
  onLight,
  hands,
}: {
  blank: Blank;
  label: string;
  scale: number;
  on: boolean;
  held: boolean;
  onLight: (lights: boolean) => void;
  hands: MoveHands | null;
}) {
  const units = useUnits();
  const { attributes, listeners, setNodeRef } = useDraggable({ id: label, disabled: !hands, data: { blank } });
  const [w, h] = [blank.length * scale, blank.width * scale];
  const words = `${units.length(blank.length)} × ${units.length(blank.width)}`;
  const turned = blank.placements[0]?.turned ? ' ↻' : '';
  const own = hands
    ? {
        ...attributes,
        ...listeners,
        'aria-label': `${label} ${words}${turned}`,
        'aria-pressed': hands.chosen === label,
        onClick: () => hands.choose(hands.chosen === label ? null : label),
        onKeyDown: (event: React.KeyboardEvent) => {
          if (event.key !== 'Enter' && event.key !== ' ') return;
          event.preventDefault();
          hands.choose(hands.chosen === label ? null : label);
        },
      }
    : {};
  return (
    <g
      ref={(element) => setNodeRef(element as unknown as HTMLElement | null)}
      {...own}
      data-part={blank.placements.map((p) => ownerOf(p.part)).join(' ')}
      className={hands ? 'cursor-grab outline-offset-2' : undefined}
      opacity={held ? 0.35 : 1}
      onPointerEnter={() => onLight(true)}
      onPointerLeave={() => onLight(false)}
    >
      <rect
        x={blank.x * scale}
        y={blank.y * scale}
        width={w}
        height={h}
        strokeWidth={on ? 1.8 : 0.9}
        className={clsx(on ? 'fill-layout-tint stroke-layout' : 'fill-wood stroke-ink')}
      />
      {h > LEAST_LETTER ? (
        <text
          x={blank.x * scale + 6}
          y={blank.y * scale + h / 2}
          dominantBaseline="central"
          className="figures pointer-events-none fill-ink text-[12px]"
        >
          <tspan className="font-bold" fontSize={Math.min(13, h)}>
            {label}
          </tspan>
          {h > 13 && w > 34 + words.length * 6 ? <tspan dx={5}>{` ${words}`}</tspan> : null}
          {turned ? (
            <tspan className="font-bold" fontSize={Math.min(13, h)}>
              {turned}
            </tspan>
          ) : null}
        </text>
      ) : null}
    </g>
  );
}
