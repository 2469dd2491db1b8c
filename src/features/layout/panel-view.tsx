'use client';

import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import clsx from 'clsx';
import {
  type Fastener,
  type Flat,
  findPart,
  jointMatch,
  type LaidStrip,
  outlineOfPanel,
  type PanelTrim,
  type Part,
  partnerOf,
  type TablePiece,
  type WorkedPanel,
} from '@/core';
import { EndGrain } from '@/ui/end-grain';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useDerived, useLook } from '../job/job-context';
import { PanelEnd } from './panel-end';
import type { PanelHands } from './use-panel';

/** Room for the ends of the strips at the left and for the joints' figures at the right, px. */
const ENDS = 46;
const JOINTS = 40;
const PAIR = 28;
/** Narrower than this the strips run out of the window rather than out of letters, px. */
const LEAST = 200;
/** On shorter strips fewer words have room, px; all of them are in the strip's name. */
const WORDY = 260;
/** How strongly a tone darkens its strip. */
const SHADE = [0, 0.05, 0.1, 0.16, 0.23];

/** The strips of the top from above, in their order: to be dragged, turned over and turned end for end. */
export default function PanelView({ hands, zoom }: { hands: PanelHands; zoom: number }) {
  const { piece } = useDerived();
  const { demand: panel, laid, trim, edges } = hands.panel;
  const part = findPart(piece, panel.id);
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  if (laid.length === 0 || !trim || !part)
    return <p className="p-6">The strips lie here as soon as a layout is found for all of the piece.</p>;
  const driven = piece.fasteners.filter(({ holds }) => holds === part.id);
  const drawn = zoom * Math.max(LEAST, size.width - ENDS - JOINTS - (panel.pairs ? PAIR : 0) - 8);
  const scale = drawn / panel.rough.length;
  const height = laid.reduce((sum, strip) => sum + strip.width, 0) * scale;
  const drop = ({ active, over }: DragEndEvent) => {
    if (!over || active.id === over.id) return;
    hands.move(String(active.id), String(over.id));
  };
  return (
    <div ref={ref} className="pt-1">
      <p className="mb-2 max-w-[80ch] text-ink-2">
        Show face up, drawn {units.length(panel.rough.length)} × {units.length(height / scale)} as glued; inside it the
        finished panel, what is screwed into it, and the triangle to chalk across the strips. Drag a strip to its place,
        or press space on it and use the arrows.
        {panel.pairs
          ? ' A pair goes as one; where one of its leaves comes to the place of the other, it is joined at the other edge.'
          : ''}
      </p>
      <DndContext id="panel" sensors={sensors} collisionDetection={closestCenter} onDragEnd={drop}>
        <SortableContext items={laid.map((strip) => strip.label)} strategy={verticalListSortingStrategy}>
          <div className="relative" style={{ height: height + 2 }}>
            <ul aria-label={`Strips of ${panel.letter}, ${panel.name}`} className="relative">
              {laid.map((strip) => (
                <StripRow
                  key={strip.label}
                  strip={strip}
                  scale={scale}
                  thickness={panel.finished.thickness}
                  indent={((panel.rough.length - strip.placement.length) / 2) * scale}
                  edge={((panel.rough.length - panel.finished.length) / 2) * scale}
                  hands={hands}
                />
              ))}
            </ul>
            <Overlay
              {...{ scale, drawn, height, trim, edges, part, driven }}
              holes={part.id === piece.leading && piece.build === 'table' ? (piece.top.holes ?? []) : []}
              outline={outlineOfPanel(piece, part)}
              rough={panel.rough.length}
            />
            <ol aria-label="How the joints match">
              {laid.slice(1).map((right, i) => {
                const left = laid[i] as LaidStrip;
                const y = laid.slice(0, i + 1).reduce((sum, strip) => sum + strip.width, 0) * scale;
                const match = Math.round(100 * (1 - jointMatch(left, right).total));
                const pair = partnerOf(laid, left) === right;
                return (
                  <li
                    key={right.label}
                    aria-label={`${left.label} to ${right.label}: ${pair ? 'a pair, ' : ''}${match} of 100`}
                    className="figures absolute text-[12px] leading-4"
                    style={{ left: ENDS + drawn + 8, top: y - 8 }}
                  >
                    {match}
                    {pair ? <b className="ml-1">pair</b> : null}
                  </li>
                );
              })}
            </ol>
          </div>
        </SortableContext>
      </DndContext>
      <PanelEnd
        strips={laid}
        thickness={panel.finished.thickness}
        title={`From the near end, as laid; ${driven.length} fasteners, ${trim.left === trim.right ? `${units.length(trim.left)} off each side` : `${units.length(trim.left)} off the left and ${units.length(trim.right)} off the right`}`}
      />
    </div>
  );
}

function StripRow({
  strip,
  scale,
  thickness,
  indent,
  edge,
  hands,
}: {
  strip: LaidStrip;
  scale: number;
  thickness: number;
  /** Shorter strips of a round panel lie in the middle of its length, px. */
  indent: number;
  /** Where the finished top begins, from the end of the longest strip, px: letters keep off it. */
  edge: number;
  hands: PanelHands;
}) {
  const lit = useLook((look) => look.lit);
  const light = useLook((look) => look.light);
  const units = useUnits();
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id: strip.label });
  const chosen = hands.chosen === strip.label;
  const on = chosen || lit.includes(strip.label);
  const h = strip.width * scale;
  const length = strip.placement.length * scale;
  const grainHeight = Math.min(h - 3, thickness * scale * 2.2);
  return (
    <li
      className={clsx('relative', isDragging && 'z-20')}
      style={{
        height: h,
        width: ENDS + length,
        marginLeft: indent,
        transform: CSS.Transform.toString(transform ? { ...transform, x: 0, scaleX: 1, scaleY: 1 } : null),
        transition,
      }}
    >
      <button
        type="button"
        ref={setNodeRef}
        {...attributes}
        {...listeners}
        aria-label={`${strip.label}, ${units.length(strip.width)} wide, from ${strip.board.tag}, heart ${strip.heartUp ? 'up' : 'down'}${strip.reversed ? ', end for end' : ''}`}
        data-strip={strip.label}
        className="relative block h-full min-h-0! cursor-grab touch-none"
        onFocus={() => hands.choose(strip.label)}
        onPointerEnter={() => light([strip.label])}
        onPointerLeave={() => light([])}
        onKeyDown={(event) => {
          if (event.key === 't' || event.key === 'e') {
            event.preventDefault();
            (event.key === 't' ? hands.turnOver : hands.endForEnd)(strip);
          } else listeners?.onKeyDown?.(event);
        }}
      >
        <svg width={ENDS + length} height={h} className="block" aria-hidden>
          <EndGrain
            x={0.5}
            y={(h - grainHeight) / 2}
            width={ENDS - 6}
            height={grainHeight}
            rings={strip.rings}
            boardWidth={strip.width}
            heartUp={strip.heartUp}
            lit={on}
          />
          <g transform={`translate(${ENDS} 0)`}>
            <rect
              x={0}
              y={0.5}
              width={length}
              height={Math.max(1, h - 1)}
              className={clsx(on ? 'fill-layout-tint stroke-layout' : 'fill-wood stroke-ink')}
              strokeWidth={on ? 1.8 : 0.9}
            />
            {strip.board.tone === null || on ? null : (
              <rect
                x={0}
                y={0.5}
                width={length}
                height={Math.max(1, h - 1)}
                className="fill-ink"
                opacity={SHADE[strip.board.tone - 1]}
              />
            )}
            {strip.showing.map((d) => (
              <rect
                key={`${d.x},${d.y}`}
                x={
                  (strip.reversed
                    ? strip.placement.length - (d.x - strip.placement.x) - d.length
                    : d.x - strip.placement.x) * scale
                }
                y={2}
                width={d.length * scale}
                height={Math.max(1, h - 4)}
                className="fill-none stroke-stop"
                strokeWidth={1.2}
              />
            ))}
            <text
              x={Math.max(16, edge - indent + 8)}
              y={h / 2}
              dominantBaseline="central"
              className="figures fill-ink text-[12px]"
            >
              <tspan className="font-bold text-[13px]">{strip.label}</tspan>
              <tspan dx={8}>{units.length(strip.width)}</tspan>
              <tspan dx={10}>{strip.board.tag}</tspan>
              <tspan dx={10} className="fill-ink-2">
                {[
                  strip.heartUp ? 'heart up' : 'heart down',
                  strip.reversed && length > WORDY ? 'end for end' : '',
                  strip.board.tone === null || length <= WORDY ? '' : `tone ${strip.board.tone}`,
                  strip.showing.length > 0 ? `shows ${strip.showing[0]?.kind}` : '',
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </tspan>
            </text>
            {strip.planes ? (
              <path
                d={strip.planes === 'away' ? 'M0 0h26m-6 -4l6 4l-6 4' : 'M26 0h-26m6 -4l-6 4l6 4'}
                transform={`translate(${length - 36} ${h / 2})`}
                className="fill-none stroke-ink"
                strokeWidth={1.2}
              />
            ) : null}
          </g>
        </svg>
      </button>
    </li>
  );
}

/** What is drawn over the strips: the finished panel, what is driven into it, the carpenter's triangle. */
function Overlay({
  scale,
  drawn,
  height,
  rough,
  part,
  outline,
  driven,
  holes,
  trim,
  edges,
}: {
  scale: number;
  drawn: number;
  height: number;
  /** Length of the longest strip, mm. */
  rough: number;
  part: Part;
  /** From the panel's own middle, mm. */
  outline: readonly Flat[];
  driven: readonly Fastener[];
  holes: NonNullable<TablePiece['top']['holes']>;
} & Pick<WorkedPanel, 'edges'> & { trim: PanelTrim }) {
  const { length, width } = { length: part.size.length, width: part.size.width };
  const x0 = ((rough - length) / 2) * scale;
  const middle = (trim.left + width / 2) * scale;
  const tip = drawn * 0.72;
  const half = Math.min(height * 0.55, drawn * 0.14);
  return (
    <svg
      width={drawn + 2}
      height={height + 2}
      className="pointer-events-none absolute top-0"
      style={{ left: ENDS }}
      aria-hidden
    >
      <polygon
        points={outline.map(([x, y]) => `${x0 + (length / 2 + x) * scale},${middle - y * scale}`).join(' ')}
        className="fill-none stroke-ink"
        strokeWidth={1.6}
      />
      {driven.map((fastener) => (
        <path
          key={fastener.id}
          d="M-4 0h8M0 -4v8"
          transform={`translate(${x0 + (length / 2 + fastener.x - part.frame.at[0]) * scale} ${middle - (fastener.y - part.frame.at[1]) * scale})`}
          className="fill-none stroke-stop"
          strokeWidth={1.3}
        />
      ))}
      {edges?.joints.flatMap(({ y, places }) =>
        places.map((x) => (
          <rect
            key={`${x} ${y}`}
            x={x0 + (length / 2 + x - edges.size.along / 2) * scale}
            y={middle - (y + edges.size.deep) * scale}
            width={Math.max(2, edges.size.along * scale)}
            height={2 * edges.size.deep * scale}
            className="fill-none stroke-ink-2"
            strokeOpacity={0.7}
          />
        )),
      )}
      {holes.map(({ left, right, low, high }) => (
        <rect
          key={`${left} ${low}`}
          x={x0 + (length / 2 + left - part.frame.at[0]) * scale}
          y={middle - (high - part.frame.at[1]) * scale}
          width={(right - left) * scale}
          height={(high - low) * scale}
          className="fill-paper stroke-ink"
        />
      ))}
      <path
        d={`M${tip} 4L${tip + half} ${height - 4}H${tip - half}Z`}
        className="fill-none stroke-layout"
        strokeWidth={2}
        strokeLinejoin="round"
      />
    </svg>
  );
}
