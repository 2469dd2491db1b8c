'use client';

import Link from 'next/link';
import type { ReactNode } from 'react';
import { type AirToday, writeQuantity } from '@/core';
import { useUnits } from './units';

/** The line along the top: where one is, finding, units, the air of the shop. */
export function Strip({ trail, find, air }: { trail: ReactNode; find: ReactNode; air: AirToday | null }) {
  const { system, setSystem, style } = useUnits();
  return (
    <header className="flex h-full min-h-11 items-center gap-6 border-line border-b px-5 max-md:gap-3 max-md:px-3">
      <Link href="/jobs" className="target wide flex items-center font-bold text-[16px]" aria-label="Taller, all jobs">
        Taller
        <svg viewBox="0 0 12 14" className="ml-1.5 h-3.5 w-3 fill-layout" aria-hidden="true">
          <path d="M4 0h8L8 14H0z" />
        </svg>
      </Link>
      <div className="mr-auto min-w-0 truncate">{trail}</div>
      {find}
      <fieldset aria-label="Units" className="flex">
        {(['metric', 'inch'] as const).map((option) => (
          <button
            key={option}
            type="button"
            aria-pressed={system === option}
            onClick={() => setSystem(option)}
            className="border border-ink px-2.5 py-0.5 first:rounded-l-sm last:rounded-r-sm aria-pressed:bg-ink aria-pressed:text-paper"
          >
            {option === 'metric' ? 'mm' : 'in'}
          </button>
        ))}
      </fieldset>
      <p className="figures whitespace-nowrap max-lg:hidden" title="The shop’s air for today, from its monthly means">
        {air
          ? `shop ${writeQuantity({ amount: air.temperature, unit: 'celsius' }, style)} ${air.relativeHumidity.toFixed(0)} % → ${air.moisture.toFixed(1)} %`
          : 'shop air not known'}
      </p>
    </header>
  );
}
