'use client';

import { area, curveMonotoneX, line } from 'd3-shape';
import { usePathname } from 'next/navigation';
import { type KeyboardEvent, type PointerEvent, useRef } from 'react';
import { dayOfYear, leadingWidthAt, plusDays, type Season, sayDay, sayDayShort } from '@/core';
import { useUnits } from '@/ui/units';
import { useSize } from '@/ui/use-size';
import { useDerived, useLook, useShownDay } from '../job/job-context';

/** Tall where the year is the matter, px. */
const [TALL, LOW] = [150, 116];
const PLOT = { left: 4, right: 34, top: 34, bottom: 24 };
const INITIALS = 'JFMAMJJASOND';

/** Places of days and moistures in the band, px. */
interface Plot {
  width: number;
  height: number;
  days: number;
  low: number;
  high: number;
  x: (day: number) => number;
  y: (moisture: number) => number;
}

function plotOf({ air, moistures }: Pick<Season, 'air' | 'moistures'>, wide: number, height: number): Plot {
  const all = [...air, ...moistures];
  const low = Math.floor(Math.min(...all) - 0.8);
  const high = Math.ceil(Math.max(...all) + 0.8);
  const width = Math.max(200, wide);
  const days = moistures.length;
  return {
    width,
    height,
    days,
    low,
    high,
    x: (d) => PLOT.left + (d / (days - 1)) * (width - PLOT.left - PLOT.right),
    y: (m) => height - PLOT.bottom - ((m - low) / (high - low)) * (height - PLOT.top - PLOT.bottom),
  };
}

/** The year under every drawing; folded it is a line with the day that is shown. */
export function YearBand() {
  const folded = useLook((look) => look.yearFolded);
  const fold = useLook((look) => look.foldYear);
  return (
    <div className="relative">
      <button
        type="button"
        aria-expanded={!folded}
        onClick={() => fold(!folded)}
        className="absolute right-9 bottom-full z-10 bg-paper px-1 text-[12px] text-ink-2 leading-4 hover:text-ink hover:underline max-md:static"
      >
        {folded ? 'Show the year' : 'Fold the year'}
      </button>
      {folded ? <FoldedYear /> : <YearDrawn />}
    </div>
  );
}

function FoldedYear() {
  const units = useUnits();
  const { season } = useDerived();
  const { index, moisture } = useShownDay();
  const [ref, size] = useSize<HTMLDivElement>();
  const day = (index / Math.max(1, season.moistures.length - 1)) * size.width;
  return (
    <div ref={ref} className="relative mb-1 h-[22px] overflow-hidden border-line border-t">
      <span className="absolute top-0 h-full w-[3px] bg-layout" style={{ left: day }} />
      <span
        className="figures absolute top-[3px] px-1.5 font-semibold text-[12.5px]"
        style={day > size.width - 130 ? { right: size.width - day } : { left: day + 4 }}
      >
        {sayDayShort(plusDays(season.start, index))} · {units.number(moisture, 1)} %
      </span>
    </div>
  );
}

/**
 * Two years of moisture, dry to wet: the broad band is that of the air, the line that of the wood. The day that every
 * drawing shows is dragged, or moved by the arrows.
 */
function YearDrawn() {
  const { season } = useDerived();
  const setDay = useLook((look) => look.setDay);
  const [ref, size] = useSize<HTMLDivElement>();
  const svg = useRef<SVGSVGElement>(null);
  const plot = plotOf(season, size.width, usePathname().endsWith('/season') ? TALL : LOW);
  const { width, height, days } = plot;
  const drag = (event: PointerEvent) => {
    const box = svg.current?.getBoundingClientRect();
    if (!box || (event.type === 'pointermove' && event.buttons === 0)) return;
    const share = (event.clientX - box.left - PLOT.left) / (width - PLOT.left - PLOT.right);
    setDay(Math.round(Math.min(1, Math.max(0, share)) * (days - 1)));
  };
  return (
    <div ref={ref} className="w-full select-none overflow-hidden pb-1">
      <svg
        ref={svg}
        width={width}
        height={height}
        className="block touch-none"
        onPointerDown={drag}
        onPointerMove={drag}
      >
        <defs>
          <linearGradient
            id="dry-to-wet"
            gradientUnits="userSpaceOnUse"
            x1="0"
            x2="0"
            y1={height - PLOT.bottom}
            y2={PLOT.top}
          >
            <stop offset="0" stopColor="var(--color-dry)" />
            <stop offset="0.5" stopColor="var(--color-middle)" />
            <stop offset="1" stopColor="var(--color-wet)" />
          </linearGradient>
        </defs>
        <Moistures plot={plot} />
        <AirAndWood season={season} plot={plot} />
        <Measured season={season} plot={plot} />
        <Months start={season.start} plot={plot} />
        <Marks season={season} plot={plot} />
        <DayShown season={season} plot={plot} onDay={setDay} />
      </svg>
    </div>
  );
}

function Moistures({ plot: { width, low, high, y } }: { plot: Plot }) {
  const lines = Array.from({ length: high - low + 1 }, (_, i) => low + i).filter((m) => m % 2 === 0);
  return lines.map((m) => (
    <g key={m}>
      <line x1={PLOT.left} x2={width - PLOT.right} y1={y(m)} y2={y(m)} className="stroke-hairline" />
      <text
        x={width - 2}
        y={y(m)}
        textAnchor="end"
        dominantBaseline="central"
        className="figures fill-ink-2 text-[11px]"
      >
        {m} %
      </text>
    </g>
  ));
}

function AirAndWood({ season, plot: { days, x, y } }: { season: Season; plot: Plot }) {
  const sampled = Array.from({ length: Math.ceil(days / 5) }, (_, i) => Math.min(days - 1, i * 5));
  const { mean: simulated } = season.line;
  const at = (d: number) => season.air[d] ?? 0;
  const band =
    area<number>()
      .x(x)
      .y0((d) => y(at(d)) + 7)
      .y1((d) => y(at(d)) - 7)
      .curve(curveMonotoneX)(sampled) ?? '';
  const path =
    line<number>()
      .x(x)
      .y((d) => y(simulated[d] ?? 0))
      .curve(curveMonotoneX)(sampled.filter((d) => d >= season.milled.index)) ?? '';
  return (
    <>
      <path d={band} fill="url(#dry-to-wet)" opacity={0.6} />
      <path d={path} className="fill-none stroke-ink" strokeWidth={1.6} />
    </>
  );
}

function Measured({ season, plot: { height, days, x } }: { season: Season; plot: Plot }) {
  const units = useUnits();
  const measured = season.learned?.points.filter((point) => point.index >= 0 && point.index < days) ?? [];
  return measured.map((point) => (
    <path
      key={`${point.on}${point.width}`}
      d={`M${x(point.index)} ${height - PLOT.bottom}l-4 -7h8z`}
      className="fill-layout"
    >
      <title>
        {point.on}: measured {units.length(point.width, true)}
      </title>
    </path>
  ));
}

function Months({ start, plot: { height, x } }: { start: Season['start']; plot: Plot }) {
  const months = Array.from({ length: 25 }, (_, i) => Math.round((i * 365) / 12));
  return months.map((d, i) => (
    <g key={d}>
      <line x1={x(d)} x2={x(d)} y1={height - PLOT.bottom + 2} y2={height - PLOT.bottom + 7} className="stroke-line" />
      {i < 24 ? (
        <text
          x={x(d + 15)}
          y={height - 8}
          textAnchor="middle"
          className={`figures text-[11px] ${i % 12 === 0 ? 'fill-ink font-bold' : 'fill-ink-2'}`}
        >
          {INITIALS[(i + Math.round(dayOfYear(start) / 30)) % 12]}
        </text>
      ) : null}
    </g>
  ));
}

function Marks({ season, plot: { width, height, days, x } }: { season: Season; plot: Plot }) {
  const units = useUnits();
  const marks = [
    { at: season.glued.index, text: 'glued' },
    { at: season.delivered.index, text: 'delivered' },
    { at: season.driest.index, text: `dry ${units.length(season.leadingWidth.driest, true)}` },
    { at: season.wettest.index, text: `wet ${units.length(season.leadingWidth.wettest, true)}` },
  ]
    .filter((mark) => mark.at >= 0 && mark.at < days)
    .sort((a, b) => a.at - b.at);
  return marks.map((mark, i) => {
    // Words that would run into the one before stand a line lower.
    const near = marks.slice(0, i).filter((before) => Math.abs(x(before.at) - x(mark.at)) < 74).length;
    const end = x(mark.at) > width - 110;
    return (
      <g key={mark.text}>
        <line
          x1={x(mark.at)}
          x2={x(mark.at)}
          y1={10 + near * 11}
          y2={height - PLOT.bottom}
          className="stroke-ink-2"
          strokeDasharray="2 3"
          strokeWidth={0.9}
        />
        <text
          x={x(mark.at) + (end ? -4 : 4)}
          y={14 + near * 11}
          textAnchor={end ? 'end' : 'start'}
          className="figures fill-ink text-[11.5px]"
        >
          {mark.text}
        </text>
      </g>
    );
  });
}

/** How far the keys move the day. */
const BY = { ArrowLeft: -1, ArrowDown: -1, ArrowRight: 1, ArrowUp: 1, PageUp: 30, PageDown: -30 } as const;

function DayShown({ season, plot, onDay }: { season: Season; plot: Plot; onDay: (day: number) => void }) {
  const units = useUnits();
  const { index: day, moisture } = useShownDay();
  const { width, height, days, x, y } = plot;
  const keys = (event: KeyboardEvent) => {
    const by = BY[event.key as keyof typeof BY];
    const moved = by === undefined ? undefined : day + by * (event.altKey ? 10 : 1);
    const to = event.key === 'Home' ? 0 : event.key === 'End' ? days - 1 : moved;
    if (to === undefined) return;
    event.preventDefault();
    onDay(Math.min(days - 1, Math.max(0, to)));
  };
  const iso = plusDays(season.start, day);
  const flagLeft = x(day) > width - 150;
  const flag = { x: flagLeft ? x(day) - 118 : x(day) + 8, y: y(moisture) > 70 ? y(moisture) - 30 : y(moisture) + 10 };
  return (
    <>
      <g pointerEvents="none">
        <line
          x1={x(day)}
          x2={x(day)}
          y1={PLOT.top - 14}
          y2={height - PLOT.bottom + 4}
          className="stroke-layout"
          strokeWidth={2}
        />
        <circle cx={x(day)} cy={y(moisture)} r={4.5} className="fill-paper stroke-layout" strokeWidth={2} />
        <rect x={flag.x} y={flag.y} width={110} height={19} className="fill-layout" />
        <text x={flag.x + 6} y={flag.y + 13.5} className="figures fill-paper font-semibold text-[13px]">
          {`${sayDayShort(iso)} · ${units.number(moisture, 1)} %`}
        </text>
      </g>
      <g
        role="slider"
        tabIndex={0}
        aria-label="Day shown"
        aria-valuemin={0}
        aria-valuemax={days - 1}
        aria-valuenow={day}
        data-day={iso}
        aria-valuetext={`${sayDay(iso)}, ${units.number(moisture, 1)} percent, ${units.length(leadingWidthAt(season, moisture), true)} wide`}
        onKeyDown={keys}
        className="cursor-ew-resize"
      >
        <path d={`M${x(day) - 8} ${height - PLOT.bottom}h16v11l-8 7l-8-7z`} className="fill-layout" />
      </g>
    </>
  );
}
