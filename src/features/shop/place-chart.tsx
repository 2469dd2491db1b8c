'use client';

import { CartesianGrid, Line, LineChart, ResponsiveContainer, Tooltip, XAxis, YAxis } from 'recharts';
import { equilibriumMoisture, type Month } from '@/core';
import { useUnits } from '@/ui/units';

export const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** Moisture that wood comes to in each month of a place. */
export function PlaceChart({ months, name }: { months: readonly Month[]; name: string }) {
  const units = useUnits();
  const rows = months.map((m, i) => ({ month: MONTHS[i]?.charAt(0), key: i, moisture: equilibriumMoisture(m) }));
  return (
    <div className="h-32" role="img" aria-label={`Moisture of wood through the year in ${name}`}>
      <ResponsiveContainer width="100%" height="100%">
        <LineChart data={rows} margin={{ left: -22, right: 6, top: 8, bottom: 0 }} accessibilityLayer={false}>
          <CartesianGrid stroke="var(--color-hairline)" vertical={false} />
          <XAxis
            dataKey="key"
            tickFormatter={(i: number) => MONTHS[i]?.charAt(0) ?? ''}
            interval={0}
            stroke="var(--color-ink-2)"
            fontSize={11}
          />
          <YAxis domain={[4, 20]} ticks={[4, 8, 12, 16, 20]} stroke="var(--color-ink-2)" fontSize={11} />
          <Tooltip
            formatter={(v) => [`${units.number(Number(v), 1)} %`, 'moisture of wood']}
            labelFormatter={(i) => MONTHS[Number(i)]}
          />
          <Line
            dataKey="moisture"
            type="monotone"
            dot={false}
            stroke="var(--color-wet)"
            strokeWidth={2}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
