'use client';

import { CartesianGrid, Line, LineChart, ReferenceLine, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { plusDays, sayDayShort, topWidthAt } from '@/core';
import { useUnits } from '@/ui/units';
import { useDerived, useShownDay } from '../job/job-context';

/** Width of the top in equilibrium through the two years, from gluing on. */
export function YearChart() {
  const { season } = useDerived();
  const { index: day } = useShownDay();
  const units = useUnits();
  const rows = season.moistures.flatMap((moisture, index) =>
    index >= season.glued.index && index % 3 === 0 ? [{ index, width: topWidthAt(season, moisture) }] : [],
  );
  const name = (index: number) => sayDayShort(plusDays(season.start, index));
  return (
    <figure className="flex h-full flex-col pt-2" aria-label="Width of the top through the year">
      <figcaption className="pb-2 text-ink-2">
        Width of the top, {units.system === 'metric' ? 'mm' : 'inches'}, if the wood followed the air at once
      </figcaption>
      <ResponsiveContainer width="100%" height="88%">
        <LineChart data={rows} margin={{ left: 14, right: 20, top: 8, bottom: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-hairline)" vertical={false} />
          <XAxis
            dataKey="index"
            type="number"
            domain={[season.glued.index, season.moistures.length - 1]}
            tickFormatter={name}
            stroke="var(--color-ink-2)"
          />
          <YAxis
            domain={[(least: number) => Math.floor(least / 5) * 5, (most: number) => Math.ceil(most / 5) * 5]}
            tickFormatter={(mm: number) => units.length(mm)}
            width={70}
            stroke="var(--color-ink-2)"
          />
          <Tooltip
            formatter={(mm) => [units.length(Number(mm), true), 'width']}
            labelFormatter={(index) => name(Number(index))}
          />
          <ReferenceLine
            x={season.delivered.index}
            stroke="var(--color-ink-2)"
            strokeDasharray="2 3"
            label={{ value: 'delivered', position: 'insideTopLeft' }}
          />
          <ReferenceLine x={day} stroke="var(--color-layout)" strokeWidth={2} />
          <Line dataKey="width" dot={false} stroke="var(--color-ink)" strokeWidth={1.8} isAnimationActive={false} />
        </LineChart>
      </ResponsiveContainer>
    </figure>
  );
}
