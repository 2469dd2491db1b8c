'use client';

import { BEHIND_CHAIR, EDGE_ON_BENCH, EDGE_PER_CHAIR } from '@/core';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useDecisions, useDerived, useLook } from '../job/job-context';

/** The room from above with the table in its middle, its seats, and the space a pushed-back chair wants. */
export function RoomDrawing() {
  const { piece } = useDerived();
  const document = useDecisions((own) => own);
  const { brief } = document;
  const lit = useLook((look) => look.lit);
  const units = useUnits();
  const [ref, size] = useSize<HTMLDivElement>();
  const room = {
    length: Math.max(brief.room.length, brief.room.width),
    width: Math.min(brief.room.length, brief.room.width),
  };
  const scale = Math.min((size.width - 120) / room.length, (size.height - 90) / room.width);
  const [cx, cy] = [size.width / 2, size.height / 2];
  const box = (length: number, width: number) => ({
    x: cx - (length * scale) / 2,
    y: cy - (width * scale) / 2,
    width: length * scale,
    height: width * scale,
  });
  // Chairs stand round what is dined at; what is sat on, and what stands at a wall, is drawn by itself.
  const dined = document.use === 'dining';
  const need = dined ? BEHIND_CHAIR[brief.behindChairs] : 0;
  const { length, width } = piece.overall;
  const each = brief.seating === 'benches' ? EDGE_ON_BENCH : EDGE_PER_CHAIR;
  const { polygon } = piece.top;
  const round =
    polygon.length > 4 && document.form.top.kind === 'glued-panel' && document.form.top.outline.kind !== 'curved';
  const seat = 430 * scale;
  const asked = dined ? brief.seats : 0;
  const seats = round ? seatsRound(asked, length, width) : seatsAlong(asked, length, width, each);
  const gap = { side: (room.width - width) / 2, end: (room.length - length) / 2 };
  const roomBox = box(room.length, room.width);
  const table = box(length, width);
  const door = brief.door.width * scale;
  const measure = (x1: number, y1: number, x2: number, y2: number, mm: number, enough: boolean) => (
    <g>
      <line x1={x1} y1={y1} x2={x2} y2={y2} className={enough ? 'stroke-ink-2' : 'stroke-stop'} strokeWidth={1} />
      <text
        x={(x1 + x2) / 2 + (x1 === x2 ? 6 : 0)}
        y={(y1 + y2) / 2 + (x1 === x2 ? 0 : -8)}
        textAnchor={x1 === x2 ? 'start' : 'middle'}
        dominantBaseline="central"
        className={`figures font-semibold text-[13px] ${enough ? 'fill-ink' : 'fill-stop'}`}
      >
        {units.length(mm)}
      </text>
    </g>
  );
  return (
    <div ref={ref} className="h-full min-h-64 w-full">
      <svg
        width={size.width}
        height={size.height}
        role="img"
        aria-label={`The room, ${units.length(room.length)} by ${units.length(room.width)}, with ${dined ? 'the table' : document.pieceName} in its middle`}
      >
        <rect {...roomBox} className="fill-ground stroke-ink" strokeWidth={3} />
        <line
          x1={roomBox.x + 40}
          x2={roomBox.x + 40 + door}
          y1={roomBox.y + roomBox.height}
          y2={roomBox.y + roomBox.height}
          className="stroke-paper"
          strokeWidth={4}
        />
        <path
          d={`M${roomBox.x + 40} ${roomBox.y + roomBox.height}v${-door}a${door} ${door} 0 0 1 ${door} ${door}`}
          className="fill-none stroke-ink-2"
          strokeWidth={0.9}
        />
        {dined ? (
          <rect
            {...box(length + 2 * need, width + 2 * need)}
            className="fill-none stroke-layout"
            strokeDasharray="6 4"
            strokeWidth={1}
          />
        ) : null}
        {seats.map(([x, y]) => (
          <rect
            key={`${x},${y}`}
            x={cx + x * scale - seat / 2}
            y={cy + y * scale - seat / 2}
            width={seat}
            height={seat}
            rx={3}
            className="fill-paper stroke-ink-2"
          />
        ))}
        <polygon
          points={polygon.map(([x, y]) => `${cx + x * scale},${cy - y * scale}`).join(' ')}
          className={`stroke-ink ${piece.top.parts.some((id) => lit.includes(id)) ? 'fill-layout-tint' : 'fill-wood'}`}
          strokeWidth={1.5}
        />
        <text
          x={cx}
          y={cy}
          textAnchor="middle"
          dominantBaseline="central"
          className="figures fill-ink font-semibold text-[14px]"
        >
          {units.length(length)} × {units.length(width)}
        </text>
        {measure(cx + table.width * 0.32, roomBox.y, cx + table.width * 0.32, table.y, gap.side, gap.side >= need)}
        {measure(
          table.x + table.width,
          cy + table.height * 0.3,
          roomBox.x + roomBox.width,
          cy + table.height * 0.3,
          gap.end,
          gap.end >= need,
        )}
        <text x={cx} y={roomBox.y - 14} textAnchor="middle" className="figures fill-ink text-[13px]">
          {units.length(room.length)}
        </text>
        <text
          x={roomBox.x - 12}
          y={cy}
          textAnchor="end"
          dominantBaseline="central"
          className="figures fill-ink text-[13px]"
        >
          {units.length(room.width)}
        </text>
        <text x={cx} y={roomBox.y + roomBox.height + 22} textAnchor="middle" className="fill-ink-2 text-[12px]">
          {dined ? `dashed: what a chair wants behind the table, ${units.length(need)}` : ''}
        </text>
      </svg>
    </div>
  );
}

/** Middles of the chairs, from the middle of the table: along both sides, and one at each end where it is wide enough. */
function seatsAlong(count: number, length: number, width: number, each: number) {
  const atEnds = width >= EDGE_PER_CHAIR ? 2 : 0;
  const side = Math.min(Math.floor((length + 1e-6) / each), Math.ceil(Math.max(0, count - atEnds) / 2));
  const ends = Math.min(atEnds, Math.max(0, count - 2 * side));
  const along = (y: number) =>
    Array.from({ length: side }, (_, i) => [(length * (i + 0.5)) / side - length / 2, y] as const);
  return [
    ...along(-width / 2 - 200),
    ...along(width / 2 + 200),
    ...[[-length / 2 - 200, 0] as const, [length / 2 + 200, 0] as const].slice(0, ends),
  ];
}

/** Even round an edge that has no sides. */
const seatsRound = (count: number, length: number, width: number) =>
  Array.from({ length: count }, (_, i) => {
    const angle = (2 * Math.PI * (i + 0.5)) / count;
    return [(length / 2 + 200) * Math.cos(angle), (width / 2 + 200) * Math.sin(angle)] as const;
  });
