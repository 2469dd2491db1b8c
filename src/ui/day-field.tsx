'use client';

import { Popover } from 'radix-ui';
import { type ReactNode, useId, useState } from 'react';
import { plusDays, readDay, sayDay } from '@/core';
import { INPUT, Row, takenBack, typedInput } from './field-row';
import { later } from './later';
import { type Commit, type Reading, useTyped } from './use-typed';

const DayPicker = later(() => import('./day-picker'));

/** A day, written or chosen from a month; shown everywhere as it is said. */
export function DayField({
  label,
  value,
  onCommit,
  hint,
}: {
  label: string;
  value: string;
  onCommit: Commit<string>;
  hint?: ReactNode;
}) {
  const id = useId();
  const [open, setOpen] = useState(false);
  const read = (text: string): Reading<string> => {
    const found = readDay(text);
    return 'day' in found ? { value: found.day } : found;
  };
  const typed = useTyped<string>({ read, onCommit, value });
  const choose = (day: string) => {
    setOpen(false);
    typed.step(day);
  };
  return (
    <Row id={id} label={label} hint={hint} problem={typed.problem}>
      <div className="flex">
        <input
          {...typedInput(id, typed, typed.value ? sayDay(typed.value) : '', hint)}
          className={`${INPUT} text-right`}
          onKeyDown={(event) => {
            takenBack(event, typed);
            if (event.key === 'Enter' && !typed.problem) event.currentTarget.blur();
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            event.preventDefault();
            const days = (event.key === 'ArrowUp' ? 1 : -1) * (event.altKey ? 7 : 1);
            if (typed.value) typed.step(plusDays(typed.value, days));
          }}
        />
        <Popover.Root open={open} onOpenChange={setOpen}>
          <Popover.Trigger
            aria-label={`Choose the day: ${label}`}
            className="-ml-px rounded-r-sm border border-line bg-paper px-2 min-w-[var(--target)] hover:border-ink"
          >
            <CalendarSign />
          </Popover.Trigger>
          <Popover.Portal>
            <Popover.Content
              align="end"
              sideOffset={4}
              aria-label={`A day for ${label}`}
              className="z-[60] rounded-sm border border-ink bg-paper p-2"
            >
              <DayPicker day={typed.value} onDay={choose} />
            </Popover.Content>
          </Popover.Portal>
        </Popover.Root>
      </div>
    </Row>
  );
}

function CalendarSign() {
  return (
    <svg viewBox="0 0 14 14" className="size-3.5 fill-none stroke-ink-2" strokeWidth={1.2} aria-hidden="true">
      <path d="M1.5 2.5h11v10h-11zM1.5 5.5h11M4.5 1v3M9.5 1v3" />
    </svg>
  );
}
