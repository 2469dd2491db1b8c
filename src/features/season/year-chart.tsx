'use client';

import {
  Area,
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceDot,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import { leadingWidthAt, plusDays, sayDayShort } from '@/core';
import { LineKey } from '@/ui/line-key';
import { ProgressBar } from '@/ui/progress-bar';
import { useUnits } from '@/ui/units';
import { useDerived, useShownDay } from '../job/job-context';
import { DRAWS, useForecastBand } from './use-forecast-band';

const EVERY = 4;

/** Width of the top from milling on: as the air would have it at once, as it was simulated, in 500 draws, and as measured. */
export default function YearChart() {
  const { season } = useDerived();
  const { index: day } = useShownDay();
  const { band, state, stop, again } = useForecastBand();
  const units = useUnits();
  const first = Math.min(season.milled.index, season.glued.index);
  const { mean: simulated } = season.line;
  const rows = season.moistures.flatMap((_, index) => {
    if (index < first || (index - first) % EVERY !== 0) return [];
    const at = band ? index - band.from : -1;
    const low = band && at >= 0 ? band.low[at] : undefined;
    const high = band && at >= 0 ? band.high[at] : undefined;
    return [
      {
        index,
        air: leadingWidthAt(season, season.air[index] ?? 0),
        wood: leadingWidthAt(season, simulated[index] ?? 0),
        ...(low !== undefined && high !== undefined ? { band: [low, high] } : {}),
      },
    ];
  });
  const measured = (season.learned?.points ?? []).map((point) => ({ index: point.index, measured: point.width }));
  const name = (index: number) => sayDayShort(plusDays(season.start, index));
  const event = (index: number, text: string, line = 0) => (
    <ReferenceLine
      key={text}
      x={index}
      stroke="var(--color-ink-2)"
      strokeDasharray="2 3"
      label={{ value: text, position: 'insideTopLeft', dy: 15 * line, fontSize: 12, fill: 'var(--color-ink)' }}
    />
  );
  return (
    <figure className="flex h-full min-h-72 flex-col pt-1" aria-label="Width of a panel through the year">
      <figcaption className="flex flex-wrap items-center gap-x-5 gap-y-1 pb-1">
        <LineKey line="stroke-ink" width={2}>
          simulated
        </LineKey>
        <LineKey line="stroke-wet" dash="4 3">
          if it followed the air at once
        </LineKey>
        <span className="flex items-center gap-1.5">
          <svg width="18" height="10" aria-hidden="true">
            <rect width="18" height="10" className="fill-layout-tint" />
          </svg>
          {band ? `nine in ten of ${band.draws} draws of wood, air and finish` : 'draws of wood, air and finish'}
        </span>
        {measured.length > 0 ? (
          <span className="flex items-center gap-1.5">
            <svg width="10" height="10" aria-hidden="true">
              <circle cx="5" cy="5" r="4" className="fill-paper stroke-layout" strokeWidth="2" />
            </svg>
            measured
          </span>
        ) : null}
        <span role="status" className="ml-auto flex items-center gap-2" data-band={band ? 'drawn' : 'none'}>
          {state.drawing ? (
            <>
              <ProgressBar label="Drawing" share={state.share} className="w-24" />
              {Math.round(state.share * DRAWS)} of {DRAWS}{' '}
              <button type="button" className="font-semibold text-layout hover:underline" onClick={stop}>
                Stop
              </button>
            </>
          ) : state.failed ? (
            <span className="text-stop">{state.failed}</span>
          ) : state.stopped && !band ? (
            <button type="button" className="font-semibold text-layout hover:underline" onClick={again}>
              Draw the band
            </button>
          ) : null}
        </span>
      </figcaption>
      <div className="min-h-0 flex-1">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart data={rows} margin={{ left: 6, right: 20, top: 8, bottom: 4 }} accessibilityLayer={false}>
            <CartesianGrid stroke="var(--color-hairline)" vertical={false} />
            <XAxis
              dataKey="index"
              type="number"
              domain={[first, season.moistures.length - 1]}
              tickFormatter={name}
              tickCount={9}
              stroke="var(--color-ink-2)"
            />
            <YAxis
              domain={[(least: number) => Math.floor(least / 5) * 5, (most: number) => Math.ceil(most / 5) * 5]}
              tickFormatter={(mm: number) => units.length(mm)}
              width={66}
              stroke="var(--color-ink-2)"
            />
            <Tooltip
              labelFormatter={(index) => name(Number(index))}
              formatter={(value, label) =>
                Array.isArray(value)
                  ? [value.map((mm) => units.length(Number(mm), true)).join(' – '), 'nine in ten']
                  : [
                      units.length(Number(value), true),
                      label === 'air' ? 'at once' : label === 'wood' ? 'simulated' : 'measured',
                    ]
              }
            />
            <Area dataKey="band" stroke="none" fill="var(--color-layout-tint)" isAnimationActive={false} />
            {event(season.glued.index, 'glued')}
            {event(season.delivered.index, 'delivered', 1)}
            <ReferenceLine x={day} stroke="var(--color-layout)" strokeWidth={2} />
            <Line
              dataKey="air"
              dot={false}
              stroke="var(--color-wet)"
              strokeDasharray="4 3"
              strokeWidth={1.2}
              isAnimationActive={false}
            />
            <Line dataKey="wood" dot={false} stroke="var(--color-ink)" strokeWidth={2} isAnimationActive={false} />
            {(
              [
                [
                  'dry',
                  season.driest,
                  season.leadingWidth.driest,
                  season.driest.index - first < 60 ? 'right' : 'bottom',
                ],
                ['wet', season.wettest, season.leadingWidth.wettest, 'top'],
              ] as const
            )
              .filter(([, at]) => at.index < season.moistures.length)
              .map(([end, at, width, position]) => (
                <ReferenceDot
                  key={end}
                  x={at.index}
                  y={width}
                  r={4}
                  fill={`var(--color-${end})`}
                  stroke="var(--color-ink)"
                  label={{
                    value: `${end} ${units.length(width, true)}`,
                    position,
                    fontSize: 12,
                    fill: 'var(--color-ink)',
                  }}
                />
              ))}
            <Scatter
              data={measured}
              dataKey="measured"
              fill="var(--color-paper)"
              stroke="var(--color-layout)"
              strokeWidth={2}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}
