'use client';

import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Tooltip,
  XAxis,
  YAxis,
} from 'recharts';
import type { AirOfPlace } from '@/contract/replies';
import {
  CUSTOMARY,
  DAYS_IN_YEAR,
  dayOfYear,
  equilibriumMoisture,
  type Place,
  plusDays,
  sayDayShort,
  yearOfAir,
} from '@/core';
import { LineKey } from '@/ui/line-key';
import { useUnits } from '@/ui/units';

type Reading = AirOfPlace['readings'][number];

const DAY = 86_400_000;

interface Row {
  at: number;
  moisture?: number;
  usual?: number;
  temperature?: number;
  relativeHumidity?: number;
}

/** The last week's readings, or the readings by day over the whole year, beside what the place's months say. */
export function AirChart({
  view,
  place,
  readings,
  today,
}: {
  view: 'week' | 'year';
  place: Place;
  readings: readonly Reading[];
  today: string;
}) {
  const units = useUnits();
  const inches = useUnits().system === 'inch';
  const degree = inches ? CUSTOMARY.celsius.name : '°C';
  const year = yearOfAir(place);
  const usualOn = (at: number) => year.moisture[dayOfYear(new Date(at).toISOString().slice(0, 10)) % DAYS_IN_YEAR] ?? 0;
  const end = Date.parse(`${today}T00:00:00Z`) + DAY;
  const rows: Row[] =
    view === 'week'
      ? readings
          .filter((r) => Date.parse(r.at) > end - 8 * DAY)
          .map((r) => ({
            at: Date.parse(r.at),
            moisture: equilibriumMoisture(r),
            usual: usualOn(Date.parse(r.at)),
            temperature: inches ? CUSTOMARY.celsius.of(r.temperature) : r.temperature,
            relativeHumidity: r.relativeHumidity,
          }))
      : yearRows(readings, year.moisture, today);
  if (view === 'week' && rows.length === 0) {
    return (
      <p className="my-6 max-w-[60ch]">
        No device has read this air in the last week. Add a hygrometer under Devices, or start a simulated one with{' '}
        <code>node bin/stand-in.mjs</code>.
      </p>
    );
  }
  const name = (at: number) => sayDayShort(new Date(at).toISOString().slice(0, 10));
  return (
    <figure className="mt-2" aria-label={view === 'week' ? 'The air of the last week' : 'The air of the year'}>
      <figcaption className="flex flex-wrap gap-x-5">
        <LineKey line="stroke-ink" width={2.2}>
          moisture wood comes to, % (left)
        </LineKey>
        <LineKey line="stroke-wet" dash="4 3">
          usual at this time of year
        </LineKey>
        {view === 'week' ? (
          <>
            <LineKey line="stroke-layout">humidity, % (right)</LineKey>
            <LineKey line="stroke-dry">{`temperature, ${degree} (right)`}</LineKey>
          </>
        ) : null}
      </figcaption>
      <div className="h-64">
        <ResponsiveContainer width="100%" height="100%">
          <ComposedChart
            data={rows}
            margin={{ left: -16, right: view === 'week' ? -16 : 10, top: 8, bottom: 0 }}
            accessibilityLayer={false}
          >
            <CartesianGrid stroke="var(--color-hairline)" vertical={false} />
            <XAxis
              dataKey="at"
              type="number"
              domain={['dataMin', 'dataMax']}
              tickFormatter={name}
              tickCount={8}
              stroke="var(--color-ink-2)"
              fontSize={11.5}
            />
            <YAxis
              yAxisId="moisture"
              domain={[(low: number) => Math.floor(low - 1), (high: number) => Math.ceil(high + 1)]}
              stroke="var(--color-ink-2)"
              fontSize={11.5}
            />
            {view === 'week' ? (
              <YAxis
                yAxisId="air"
                orientation="right"
                domain={[0, 100]}
                ticks={[0, 20, 40, 60, 80, 100]}
                stroke="var(--color-ink-2)"
                fontSize={11.5}
              />
            ) : null}
            <Tooltip
              labelFormatter={(at) => new Date(Number(at)).toISOString().slice(0, 16).replace('T', ' ')}
              formatter={(value, key) => [
                key === 'temperature'
                  ? `${units.number(Number(value), 1)} ${degree}`
                  : `${units.number(Number(value), 1)} %`,
                { moisture: 'wood comes to', usual: 'usual', temperature: 'temperature', relativeHumidity: 'humidity' }[
                  String(key)
                ] ?? key,
              ]}
            />
            {view === 'week' ? (
              <>
                <Line
                  yAxisId="air"
                  dataKey="relativeHumidity"
                  dot={false}
                  stroke="var(--color-layout)"
                  strokeWidth={1.2}
                  isAnimationActive={false}
                />
                <Line
                  yAxisId="air"
                  dataKey="temperature"
                  dot={false}
                  stroke="var(--color-dry)"
                  strokeWidth={1.4}
                  isAnimationActive={false}
                />
              </>
            ) : (
              <ReferenceLine
                yAxisId="moisture"
                x={end - DAY}
                stroke="var(--color-layout)"
                strokeWidth={2}
                label={{ value: 'today', position: 'insideTopLeft', fontSize: 12 }}
              />
            )}
            <Line
              yAxisId="moisture"
              dataKey="usual"
              dot={false}
              stroke="var(--color-wet)"
              strokeDasharray="4 3"
              strokeWidth={1.4}
              isAnimationActive={false}
            />
            <Line
              yAxisId="moisture"
              dataKey="moisture"
              dot={view === 'year' ? { r: 2 } : false}
              connectNulls={false}
              stroke="var(--color-ink)"
              strokeWidth={2.2}
              isAnimationActive={false}
            />
          </ComposedChart>
        </ResponsiveContainer>
      </div>
    </figure>
  );
}

/** A year around today: the usual on every third day, and the mean of what was read on each. */
function yearRows(readings: readonly Reading[], usual: readonly number[], today: string): Row[] {
  const read = new Map<string, number[]>();
  for (const reading of readings) {
    const date = reading.at.slice(0, 10);
    read.set(date, [...(read.get(date) ?? []), equilibriumMoisture(reading)]);
  }
  return Array.from({ length: DAYS_IN_YEAR }, (_, i): Row => {
    const date = plusDays(today, i - 270);
    const values = read.get(date);
    return {
      at: Date.parse(`${date}T00:00:00Z`),
      usual: usual[dayOfYear(date) % DAYS_IN_YEAR] ?? 0,
      ...(values ? { moisture: values.reduce((sum, m) => sum + m, 0) / values.length } : {}),
    };
  });
}
