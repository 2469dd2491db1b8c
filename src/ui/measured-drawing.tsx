'use client';

import clsx from 'clsx';
import type { Dimension, View } from '@/core';
import { DimensionGrip, type Draggable } from './dimension-grip';
import { useUnits } from './units';
import { useSize } from './use-size';

/** Figures stand beside the drawing; in inches, with their fractions, they are wider. */
const BESIDE = { metric: 62, imperial: 92 } as const;
const BELOW = 44;
/** From one line of dimensions to the next, and over the outermost its figure. */
const STEP = 22;
const FIGURE = 18;
/** Strips of several woods, from pale to dark. */
const TONES = ['fill-none', 'fill-ink/12', 'fill-ink/28', 'fill-ink/50'] as const;
const PAINTED: readonly string[] = ['seen', 'edge', 'cut'];

/** A space between parts, as it is drawn. */
export interface SpaceOnView {
  id: string;
  name: string;
  chosen: boolean;
  /** Its upper left and its lower right corner. */
  from: readonly [number, number];
  to: readonly [number, number];
}

/** A measured view, its figures readable at any size. Hovering or focusing a part lights it everywhere. */
export function MeasuredDrawing({
  view,
  name,
  lit,
  onLight,
  partNames,
  travel,
  wood,
  drags = {},
  spaces = [],
  onSpace,
}: {
  view: View;
  name: string;
  lit: readonly string[];
  onLight: (ids: readonly string[]) => void;
  partNames: Readonly<Record<string, string>>;
  /** Travel of the sliding fasteners each way, mm. */
  travel?: number;
  /** Ids of the parts drawn in the colour of wood: the top. */
  wood?: readonly string[];
  /** By the ids of dimensions, what of them can be dragged. */
  drags?: Readonly<Record<string, Draggable>>;
  /** Spaces that can be taken in hand, in the axes of the view, mm. */
  spaces?: readonly SpaceOnView[];
  onSpace?: (id: string) => void;
}) {
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const { bounds } = view;
  const beside = units.system === 'metric' ? BESIDE.metric : BESIDE.imperial;
  const above = Math.max(1, ...view.dimensions.filter(({ side }) => side === 'above').map(({ step }) => step));
  const margin = { left: beside, right: beside, top: STEP * above + FIGURE, bottom: BELOW };
  const scale = Math.max(
    0.01,
    Math.min(
      (size.width - margin.left - margin.right) / bounds.width,
      (size.height - margin.top - margin.bottom) / bounds.height,
    ),
  );
  const offset = {
    x: margin.left + (size.width - margin.left - margin.right - bounds.width * scale) / 2,
    y: margin.top + (size.height - margin.top - margin.bottom - bounds.height * scale) / 2,
  };
  const at = ([u, v]: readonly [number, number]): [number, number] => [
    offset.x + (u - bounds.left) * scale,
    offset.y + (v - bounds.top) * scale,
  ];
  const points = (list: readonly (readonly [number, number])[]) =>
    list
      .map((p) =>
        at(p)
          .map((n) => n.toFixed(2))
          .join(','),
      )
      .join(' ');
  const isLit = (id: string) => lit.includes(id);
  const painted = view.shapes.filter((s) => PAINTED.includes(s.style));
  // A part drawn of several shapes is one stop for the keyboard: its first.
  const seen = painted.filter(({ style }) => style === 'seen');
  const stops = new Set(new Map(seen.reverse().map((shape) => [shape.part, shape])).values());

  return (
    <div ref={ref} className="h-full min-h-64 w-full">
      <svg width={size.width} height={size.height} className="block" data-view={name}>
        {painted.map((shape, i) =>
          shape.style !== 'seen' ? (
            <polygon
              // biome-ignore lint/suspicious/noArrayIndexKey: shapes are drawn anew as a whole
              key={i}
              points={points(shape.points)}
              strokeWidth={shape.style === 'cut' ? 1.1 : 0.8}
              className={shape.style === 'cut' ? 'fill-ground stroke-ink' : 'fill-none stroke-ink'}
              pointerEvents="none"
            />
          ) : (
            // biome-ignore lint/a11y/useSemanticElements: there is no button element inside a drawing
            <polygon
              // biome-ignore lint/suspicious/noArrayIndexKey: shapes are drawn anew as a whole
              key={i}
              data-part={shape.part}
              points={points(shape.points)}
              tabIndex={stops.has(shape) ? 0 : -1}
              role="button"
              aria-label={partNames[shape.part] ?? shape.part}
              aria-hidden={stops.has(shape) ? undefined : true}
              strokeWidth={isLit(shape.part) ? 2 : 1.3}
              className={clsx(
                'stroke-ink outline-offset-0',
                isLit(shape.part)
                  ? 'fill-layout-tint stroke-layout'
                  : wood?.includes(shape.part)
                    ? 'fill-wood'
                    : 'fill-paper',
              )}
              onPointerEnter={() => onLight([shape.part])}
              onPointerLeave={() => onLight([])}
              onFocus={() => onLight([shape.part])}
              onBlur={() => onLight([])}
            />
          ),
        )}
        {view.shapes
          .filter(({ style }) => style === 'strip')
          .map((shape, i) => (
            <polygon
              // biome-ignore lint/suspicious/noArrayIndexKey: shapes are drawn anew as a whole
              key={i}
              data-strip={shape.tone}
              points={points(shape.points)}
              strokeWidth={0.6}
              className={clsx('stroke-ink-2', TONES[shape.tone ?? 0])}
              pointerEvents="none"
            />
          ))}
        {view.shapes
          .filter((s) => s.style !== 'strip' && !PAINTED.includes(s.style))
          .map((shape, i) => (
            <polyline
              // biome-ignore lint/suspicious/noArrayIndexKey: shapes are drawn anew as a whole
              key={i}
              data-part={shape.style === 'joint' ? undefined : shape.part}
              points={points(shape.style === 'joint' ? shape.points : [...shape.points, ...shape.points.slice(0, 1)])}
              strokeWidth={isLit(shape.part) && shape.style !== 'joint' ? 2 : shape.style === 'joint' ? 0.6 : 0.9}
              strokeDasharray={shape.style === 'hidden' ? '5 3' : shape.style === 'tenon' ? '2.5 2' : undefined}
              className={clsx(
                isLit(shape.part) && shape.style !== 'joint'
                  ? 'fill-layout-tint/60 stroke-layout'
                  : 'fill-none stroke-ink-2',
              )}
              pointerEvents={shape.style === 'joint' ? 'none' : 'all'}
              onPointerEnter={() => onLight([shape.part])}
              onPointerLeave={() => onLight([])}
            />
          ))}
        {spaces.map(({ id, name, chosen, from, to }) => {
          const [[x, y], [right, low]] = [at(from), at(to)];
          return (
            // biome-ignore lint/a11y/useSemanticElements: there is no button element inside a drawing
            <rect
              key={id}
              {...{ x, y, width: Math.max(0, right - x), height: Math.max(0, low - y) }}
              role="button"
              tabIndex={0}
              data-space={id}
              aria-label={name}
              aria-pressed={chosen}
              className={clsx(
                'cursor-pointer',
                chosen ? 'fill-layout-tint/70 stroke-layout' : 'fill-transparent hover:fill-layout-tint/40',
              )}
              onClick={() => onSpace?.(id)}
              onKeyDown={(event) => {
                if (event.key !== 'Enter' && event.key !== ' ') return;
                event.preventDefault();
                onSpace?.(id);
              }}
            />
          );
        })}
        {view.fasteners.map((fastener) => {
          const [x, y] = at(fastener.at);
          const reach = Math.max(3, (travel ?? 0) * scale);
          const on = isLit(fastener.id);
          return fastener.holdsMiddle ? (
            <circle
              key={fastener.id}
              cx={x}
              cy={y}
              r={on ? 4.5 : 3.2}
              className={on ? 'fill-stop' : 'fill-ink'}
              pointerEvents="none"
            />
          ) : (
            <g key={fastener.id} pointerEvents="none">
              <rect
                x={x - 3}
                y={y - reach - 3}
                width={6}
                height={2 * reach + 6}
                rx={3}
                className={clsx('fill-paper', on ? 'stroke-stop' : 'stroke-layout')}
                strokeWidth={on ? 2 : 1.2}
              />
              <circle cx={x} cy={y} r={2} className={on ? 'fill-stop' : 'fill-layout'} />
            </g>
          );
        })}
        {view.dimensions.map((dimension) => (
          <DimensionLine
            key={dimension.id}
            dimension={dimension}
            at={at}
            text={units.length(dimension.value, dimension.moves)}
            scale={scale}
            drag={drags[dimension.id]}
          />
        ))}
      </svg>
    </div>
  );
}

function DimensionLine({
  dimension,
  at,
  text,
  scale,
  drag,
}: {
  dimension: Dimension;
  at: (p: readonly [number, number]) => [number, number];
  text: string;
  scale: number;
  drag: Draggable | undefined;
}) {
  const { side, step } = dimension;
  const away = STEP * step;
  const shift: [number, number] =
    side === 'above' ? [0, -away] : side === 'below' ? [0, away] : side === 'left' ? [-away, 0] : [away, 0];
  const [a, b] = [at(dimension.from), at(dimension.to)];
  const p: [number, number] = [a[0] + shift[0], a[1] + shift[1]];
  const q: [number, number] = [b[0] + shift[0], b[1] + shift[1]];
  const upright = side === 'left' || side === 'right';
  const middle: [number, number] = [(p[0] + q[0]) / 2, (p[1] + q[1]) / 2];
  const span = Math.hypot(q[0] - p[0], q[1] - p[1]);
  const room = text.length * 6.2 + 10;
  const tight = span < room + 8;
  // A figure that does not fit on its line is written beside it.
  const label: [number, number] = tight
    ? upright
      ? [middle[0] + (side === 'left' ? -10 : 10), middle[1]]
      : [middle[0], middle[1] + (side === 'above' ? -11 : 13)]
    : middle;
  const turn = upright && !tight ? `rotate(-90 ${label[0]} ${label[1]})` : undefined;
  return (
    <g data-dimension={dimension.id}>
      <g pointerEvents="none">
        <line x1={a[0]} y1={a[1]} x2={p[0]} y2={p[1]} className="stroke-line" strokeWidth={0.7} />
        <line x1={b[0]} y1={b[1]} x2={q[0]} y2={q[1]} className="stroke-line" strokeWidth={0.7} />
        <line x1={p[0]} y1={p[1]} x2={q[0]} y2={q[1]} className="stroke-ink-2" strokeWidth={0.8} />
        {[p, q].map(([x, y]) => (
          <line
            key={`${x},${y}`}
            x1={x - 3.5}
            y1={y + 3.5}
            x2={x + 3.5}
            y2={y - 3.5}
            className="stroke-ink"
            strokeWidth={1}
          />
        ))}
        {!tight ? (
          <rect
            x={label[0] - room / 2}
            y={label[1] - 8}
            width={room}
            height={16}
            transform={turn}
            className="fill-paper"
          />
        ) : null}
        <text
          x={label[0]}
          y={label[1]}
          transform={turn}
          textAnchor={tight && upright ? (side === 'left' ? 'end' : 'start') : 'middle'}
          dominantBaseline="central"
          className="figures fill-ink font-semibold text-[13px]"
        >
          {text}
        </text>
      </g>
      {drag && span > 1 ? (
        <DimensionGrip
          drag={drag}
          at={drag.end === 'to' ? q : p}
          away={[
            ((drag.end === 'to' ? 1 : -1) * (q[0] - p[0])) / span,
            ((drag.end === 'to' ? 1 : -1) * (q[1] - p[1])) / span,
          ]}
          scale={scale}
        />
      ) : null}
    </g>
  );
}
