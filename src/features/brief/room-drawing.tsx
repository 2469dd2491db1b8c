'use client';

import { useRouter } from 'next/navigation';
import { type KeyboardEvent, type PointerEvent, useRef, useState } from 'react';
import {
  BEHIND_CHAIR,
  CHAIR,
  chairsOf,
  type DerivedPiece,
  type Flat,
  inRoom,
  insideBy,
  outlineInRoom,
  roomOf,
  type Spot,
  type Standing,
  seenFromAbove,
  writeRule,
} from '@/core';
import { useHeld } from '@/ui/settling';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useChanges, useDecisions, useDerived, useJobState, useLook } from '../job/job-context';

/** A place is chosen to so many mm. */
const STEP = 10;
/** What is drawn smaller has its name, or its figure, nowhere but under the pointer, px. */
const SMALL = 26;
/** Half of what is written below a piece is so wide at the most, px: it keeps within the room. */
const WORDS = 64;
/** A pointer that has come so far drags; before, it only chooses. px */
const DRAGS = 4;

/** From mm in the room, its middle the origin, to px of the drawing. */
interface Scale {
  px: number;
  at: (point: Flat) => Flat;
  mm: (dx: number, dy: number) => Flat;
}

/** The room from above with every piece where it stands, its chairs, and the space a pushed-back chair wants. */
export function RoomDrawing() {
  const { job, pieceId, instance } = useDerived();
  const brief = useDecisions((own) => own.brief);
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  /** What is being dragged, and where it would stand. */
  const [moving, setMoving] = useState<{ standing: Standing; spot: Spot } | null>(null);
  const room = roomOf(brief);
  // What stands beyond the walls is drawn all the same.
  const reach = (axis: 0 | 1, least: number) =>
    Math.max(least, ...job.standings.flatMap(({ outline }) => outline.map((point) => 2 * Math.abs(point[axis]))));
  const [across, down] = [(size.width - 64) / reach(0, room.length), (size.height - 90) / reach(1, room.width)];
  const px = Math.max(0.001, Math.min(across, down));
  const scale: Scale = {
    px,
    at: ([x, y]) => [size.width / 2 + x * px, size.height / 2 - y * px],
    mm: (dx, dy) => [dx / px, -dy / px],
  };
  const placed = job.standings.map((own, i) => ({
    standing: own,
    spot: moving && moving.standing === own ? moving.spot : own.spot,
    own: job.pieces[i] as DerivedPiece,
    shown: own.pieceId === pieceId && own.instance === instance,
  }));
  // What is lower is drawn first: a bench may stand under a table.
  const inOrder = [...placed].sort((a, b) => a.standing.height - b.standing.height);
  const shown = placed.find((one) => one.shown);
  const benches = job.standings.filter(({ use }) => use === 'bench' || use === 'stool');
  return (
    <div ref={ref} className="h-full min-h-64 w-full">
      {/* biome-ignore lint/a11y/useSemanticElements: there are no fields in a drawing */}
      <svg
        width={size.width}
        height={size.height}
        role="group"
        aria-label={`The room, ${units.length(room.length)} by ${units.length(room.width)}, from above`}
        className="touch-none select-none"
      >
        <Walls room={room} door={brief.door.width} scale={scale} />
        {placed
          .filter(({ standing }) => standing.use === 'dining')
          .map(({ standing, spot, own }) => (
            <Chairs
              key={`${standing.pieceId}.${standing.instance}`}
              {...{ spot, own, scale }}
              taken={benches.map(({ outline }) => outline)}
            />
          ))}
        {job.standings.some(({ use }) => use === 'dining') ? (
          <text
            x={size.width / 2}
            y={scale.at([0, -room.width / 2])[1] + 22}
            textAnchor="middle"
            className="fill-ink-2 text-[12px]"
          >
            dashed: a chair wants {writeRule(BEHIND_CHAIR[brief.behindChairs], units.style)} behind it
          </text>
        ) : null}
        {shown ? <ToTheWalls spot={shown.spot} own={shown.own} room={room} scale={scale} /> : null}
        {inOrder
          .filter(({ standing }) => !standing.stacked && !standing.beside)
          .map(({ standing, spot, own, shown }) => (
            <PieceInRoom
              key={`${standing.pieceId}.${standing.instance}`}
              {...{ standing, spot, own, shown, scale, room }}
              onMoving={(to) => setMoving(to && { standing, spot: to })}
            />
          ))}
        {moving
          ? null
          : inOrder
              .filter(({ standing }) => standing.stacked || standing.beside)
              .map(({ standing: { outline, title, pieceId, instance } }) => (
                <polygon
                  key={`${pieceId}.${instance}`}
                  aria-label={title}
                  points={outline.map((point) => scale.at(point).join()).join(' ')}
                  className="pointer-events-none fill-none stroke-ink"
                  strokeWidth={0.9}
                />
              ))}
      </svg>
    </div>
  );
}

function Walls({ room, door, scale }: { room: { length: number; width: number }; door: number; scale: Scale }) {
  const units = useUnits();
  const [left, top] = scale.at([-room.length / 2, room.width / 2]);
  const [right, bottom] = scale.at([room.length / 2, -room.width / 2]);
  const wide = door * scale.px;
  return (
    <>
      <rect
        x={left}
        y={top}
        width={right - left}
        height={bottom - top}
        className="fill-ground stroke-ink"
        strokeWidth={3}
      />
      <line x1={left + 40} x2={left + 40 + wide} y1={bottom} y2={bottom} className="stroke-paper" strokeWidth={4} />
      <path
        d={`M${left + 40} ${bottom}v${-wide}a${wide} ${wide} 0 0 1 ${wide} ${wide}`}
        className="fill-none stroke-ink-2"
        strokeWidth={0.9}
      />
      <text x={(left + right) / 2} y={top - 14} textAnchor="middle" className="figures fill-ink text-[13px]">
        {units.length(room.length)}
      </text>
      <text
        transform={`translate(${left - 14} ${(top + bottom) / 2}) rotate(-90)`}
        textAnchor="middle"
        className="figures fill-ink text-[13px]"
      >
        {units.length(room.width)}
      </text>
    </>
  );
}

/** Chairs round a table that is dined at, where no bench stands, and what they want behind them. */
function Chairs({
  spot,
  own: { document, piece },
  scale,
  taken,
}: {
  spot: Spot;
  own: DerivedPiece;
  scale: Scale;
  taken: readonly (readonly Flat[])[];
}) {
  const { length, width } = piece.overall;
  const need = BEHIND_CHAIR[document.brief.behindChairs];
  const free = chairsOf(piece, document).filter((chair) =>
    taken.every((outline) => insideBy(outline, inRoom(spot, chair)) < 0),
  );
  const [half, deep] = [length / 2 + need, width / 2 + need];
  const corners: Flat[] = [
    [-half, -deep],
    [half, -deep],
    [half, deep],
    [-half, deep],
  ];
  const side = CHAIR * scale.px;
  return (
    <>
      <polygon
        points={corners.map((corner) => scale.at(inRoom(spot, corner)).join(',')).join(' ')}
        className="fill-none stroke-layout"
        strokeDasharray="6 4"
        strokeWidth={1}
      />
      {free.map((seat) => {
        const [sx, sy] = scale.at(inRoom(spot, seat));
        return (
          <rect
            key={seat.join()}
            x={sx - side / 2}
            y={sy - side / 2}
            width={side}
            height={side}
            rx={3}
            transform={`rotate(${-spot.turn} ${sx} ${sy})`}
            className="fill-paper stroke-ink-2"
          />
        );
      })}
    </>
  );
}

/** One piece, moved by dragging or by the arrows; a press chooses it. */
function PieceInRoom({
  standing,
  spot: stood,
  own,
  shown,
  scale,
  room,
  onMoving,
}: {
  standing: Standing;
  spot: Spot;
  own: DerivedPiece;
  shown: boolean;
  scale: Scale;
  room: { length: number; width: number };
  onMoving: (spot: Spot | null) => void;
}) {
  const router = useRouter();
  const units = useUnits();
  const change = useChanges();
  const id = useJobState((state) => state.id);
  const lit = useLook((look) => look.lit);
  const [spot, hold] = useHeld(stood);
  const grip = useRef<{ x: number; y: number; from: Spot; drags: boolean } | null>(null);
  const { pieceId, instance, title } = standing;
  const within = (value: number, size: number) =>
    Math.round(Math.min(size / 2, Math.max(-size / 2, value)) / STEP) * STEP;
  const to = (x: number, y: number): Spot => ({
    x: within(x, room.length),
    y: within(y, room.width),
    turn: spot.turn,
  });
  const keep = (next: Spot) => {
    change([{ path: `pieces.${pieceId}.spots.${instance}`, value: next }]);
    hold(next);
  };
  const choose = () => router.push(`/jobs/${id}/brief?piece=${pieceId}&number=${instance}`);
  const moved = (event: PointerEvent): Spot | null => {
    const held = grip.current;
    if (!held) return null;
    const [dx, dy] = [event.clientX - held.x, event.clientY - held.y];
    held.drags ||= Math.hypot(dx, dy) >= DRAGS;
    const [mx, my] = scale.mm(dx, dy);
    return held.drags ? to(held.from.x + mx, held.from.y + my) : null;
  };
  const keys = (event: KeyboardEvent) => {
    const by = event.shiftKey ? 10 * STEP : STEP;
    const way = ({ ArrowLeft: [-by, 0], ArrowRight: [by, 0], ArrowUp: [0, by], ArrowDown: [0, -by] } as const)[
      event.key as 'ArrowLeft'
    ];
    if (way) keep(to(spot.x + way[0], spot.y + way[1]));
    else if (event.key === 'Enter' && !shown) choose();
    else return;
    event.preventDefault();
  };
  const [cx, cy] = scale.at([spot.x, spot.y]);
  const [[first], [last]] = [scale.at([-room.length / 2, 0]), scale.at([room.length / 2, 0])];
  const { length, width } = own.piece.overall;
  const words = shown ? `${units.length(length)} × ${units.length(width)}` : length * scale.px < SMALL ? '' : title;
  // What does not hold its words has them below it.
  const below = length * scale.px < (shown ? 100 : 44) ? (Math.max(length, width) / 2) * scale.px + 12 : 0;
  return (
    // biome-ignore lint/a11y/useSemanticElements: there is no button in a drawing
    <g
      role="button"
      tabIndex={0}
      aria-label={`${title}${words && shown ? `, ${words}` : ''}, in the room; the arrows move it`}
      aria-pressed={shown}
      data-spot={`${spot.x} ${spot.y} ${spot.turn}`}
      className="cursor-move"
      onKeyDown={keys}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        grip.current = { x: event.clientX, y: event.clientY, from: spot, drags: false };
      }}
      onPointerMove={(event) => {
        const next = moved(event);
        if (next) onMoving(next);
      }}
      onPointerUp={(event) => {
        const next = moved(event);
        grip.current = null;
        onMoving(null);
        if (next) keep(next);
        else if (!shown) choose();
      }}
      onPointerCancel={() => {
        grip.current = null;
        onMoving(null);
      }}
    >
      <polygon
        points={seenFromAbove(own.piece)
          .map((point) => scale.at(inRoom(spot, point)).join(','))
          .join(' ')}
        className={`stroke-ink ${
          !shown ? 'fill-paper' : own.piece.over.some((part) => lit.includes(part)) ? 'fill-layout-tint' : 'fill-wood'
        }`}
        strokeWidth={shown ? 1.5 : 1}
      />
      <title>{title}</title>
      <text
        x={below > 0 ? Math.min(last - WORDS, Math.max(first + WORDS, cx)) : cx}
        y={cy + below}
        textAnchor="middle"
        dominantBaseline="central"
        className={shown ? 'figures fill-ink font-semibold text-[14px]' : 'fill-ink text-[12px]'}
      >
        {words}
      </text>
    </g>
  );
}

/** What a piece leaves to the nearest wall either way. */
function ToTheWalls({
  spot,
  own,
  room,
  scale,
}: {
  spot: Spot;
  own: DerivedPiece;
  room: { length: number; width: number };
  scale: Scale;
}) {
  const units = useUnits();
  const { document, piece } = own;
  const need = document.use === 'dining' ? BEHIND_CHAIR[document.brief.behindChairs] : 0;
  const all = outlineInRoom(piece, spot);
  const ends = (axis: 0 | 1) => [Math.min(...all.map((p) => p[axis])), Math.max(...all.map((p) => p[axis]))] as const;
  const [[left, right], [front, back]] = [ends(0), ends(1)];
  const toRight = room.length / 2 - right <= left + room.length / 2;
  const toBack = room.width / 2 - back <= front + room.width / 2;
  const [alongAt, acrossAt] = [front + (back - front) * 0.2, left + (right - left) * 0.82];
  const lines: { from: Flat; to: Flat; upright: boolean; mm: number }[] = [
    {
      from: [toRight ? right : left, alongAt],
      to: [((toRight ? 1 : -1) * room.length) / 2, alongAt],
      upright: false,
      mm: toRight ? room.length / 2 - right : left + room.length / 2,
    },
    {
      from: [acrossAt, toBack ? back : front],
      to: [acrossAt, ((toBack ? 1 : -1) * room.width) / 2],
      upright: true,
      mm: toBack ? room.width / 2 - back : front + room.width / 2,
    },
  ];
  // What stands at a wall needs no figure there.
  const long = lines.filter(({ mm }) => mm * scale.px >= SMALL);
  return long.map(({ from, to, upright, mm }) => {
    const [[x1, y1], [x2, y2]] = [scale.at(from), scale.at(to)];
    const enough = mm >= need - 1e-6;
    return (
      <g key={String(upright)} pointerEvents="none">
        <line x1={x1} y1={y1} x2={x2} y2={y2} className={enough ? 'stroke-ink-2' : 'stroke-stop'} strokeWidth={1} />
        <text
          x={(x1 + x2) / 2 + (upright ? 6 : 0)}
          y={(y1 + y2) / 2 + (upright ? 0 : -8)}
          textAnchor={upright ? 'start' : 'middle'}
          dominantBaseline="central"
          className={`figures font-semibold text-[13px] ${enough ? 'fill-ink' : 'fill-stop'}`}
        >
          {units.length(mm)}
        </text>
      </g>
    );
  });
}
