'use client';

import { Popover, ToggleGroup } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, useId, useState } from 'react';
import { CUSTOMARY, MM_PER_INCH, parseLength, plusDays, type ReaderUnit, readDay, sayDay } from '@/core';
import { later } from './later';
import { useHeld } from './settling';
import { useUnits } from './units';
import { type Commit, type Reading, useTyped } from './use-typed';

const DayPicker = later(() => import('./day-picker'));

const INPUT =
  'figures w-full rounded-sm border border-line bg-paper px-2 py-1 text-ink hover:border-ink-2 aria-invalid:border-stop';

function Row({
  id,
  label,
  unit,
  hint,
  problem,
  children,
  wide,
}: {
  id: string;
  label: string;
  unit?: string;
  hint?: ReactNode;
  problem?: string | undefined;
  children: ReactNode;
  wide?: boolean;
}) {
  return (
    <div className="mb-2">
      <div className={wide ? '' : 'grid grid-cols-[1fr_124px] items-center gap-2'}>
        <label htmlFor={id} className="block">
          {label}
          {unit ? <span className="figures text-ink-2">{`\u00a0${unit}`}</span> : null}
        </label>
        {children}
      </div>
      {hint ? (
        <p id={`${id}-hint`} className="mt-0.5 text-ink-2 text-[12px] leading-4">
          {hint}
        </p>
      ) : null}
      {problem ? (
        <p id={`${id}-problem`} role="alert" className="mt-0.5 text-stop text-[12px] leading-4">
          {problem}
        </p>
      ) : null}
    </div>
  );
}

/** Escape takes back what is being typed; a dialog round the field stays open for that. */
function takenBack(event: KeyboardEvent, { text, takeBack }: { text: string | null; takeBack: () => void }) {
  if (event.key !== 'Escape' || text === null) return;
  event.preventDefault();
  takeBack();
}

/** A length typed the way makers say it; kept as typed while the field has the focus. */
export function LengthField({
  label,
  mm,
  onCommit,
  hint,
  least = 0,
  most = 1e6,
  allowEmpty,
  onEmpty,
  wide,
}: {
  label: string;
  mm: number | null;
  onCommit: Commit<number>;
  hint?: ReactNode;
  least?: number;
  most?: number;
  allowEmpty?: string;
  onEmpty?: () => void;
  wide?: boolean;
}) {
  const id = useId();
  const units = useUnits();
  const read = (text: string): Reading<number | null> => {
    if (text.trim() === '' && allowEmpty !== undefined) return 'nothing';
    const parsed = parseLength(text, units.system);
    if ('problem' in parsed) return parsed;
    if (parsed.mm < least - 1e-9 || parsed.mm > most + 1e-9) {
      return { problem: `Between ${units.length(least)} and ${units.length(most)}, please.` };
    }
    return { value: parsed.mm };
  };
  const typed = useTyped<number | null>({
    read,
    onCommit: (value) => (value === null ? undefined : onCommit(value)),
    onEmpty,
    value: mm,
  });
  const step = (event: KeyboardEvent<HTMLInputElement>) => {
    takenBack(event, typed);
    if (event.key === 'Enter' && !typed.problem) event.currentTarget.blur();
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const fine = units.system === 'metric' ? 1 : MM_PER_INCH / units.fraction;
    const steps = event.altKey ? 10 : 1;
    const now = (typed.value ?? least) / fine;
    const next = event.key === 'ArrowUp' ? Math.floor(now + 1e-6) + steps : Math.ceil(now - 1e-6) - steps;
    typed.step(Math.min(most, Math.max(least, next * fine)));
  };
  return (
    <Row id={id} label={label} hint={hint} problem={typed.problem} {...(wide ? { wide } : {})}>
      <div className="relative">
        <input
          id={id}
          className={`${INPUT} pr-8 text-right`}
          autoComplete="off"
          spellCheck={false}
          data-typing={typed.text === null ? undefined : ''}
          value={typed.text ?? (typed.value === null ? '' : units.length(typed.value, true))}
          placeholder={allowEmpty}
          aria-invalid={typed.problem ? true : undefined}
          aria-describedby={typed.problem ? `${id}-problem` : hint ? `${id}-hint` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => typed.type(event.target.value)}
          onKeyDown={step}
          onBlur={typed.leave}
        />
        <span
          aria-hidden
          className="figures pointer-events-none absolute inset-y-0 right-2 flex items-center text-ink-2"
        >
          {units.system === 'metric' ? 'mm' : ''}
        </span>
      </div>
    </Row>
  );
}

/** Units in which figures are kept and readers of inches do not read them. */
const READ_OTHERWISE: Readonly<Record<string, ReaderUnit>> = {
  N: CUSTOMARY.newton,
  kg: CUSTOMARY.kilogram,
  '°C': CUSTOMARY.celsius,
};

/** A figure's unit for this reader, and the way there and back; to a tenth, as it is shown. */
function useReaderUnit(unit: string | undefined): ReaderUnit {
  const { system } = useUnits();
  const other = system === 'inch' && unit ? READ_OTHERWISE[unit] : undefined;
  return other
    ? { ...other, of: (kept) => Number(other.of(kept).toFixed(1)) }
    : { name: unit ?? '', of: (kept) => kept, back: (shown) => shown };
}

export function NumberField({
  label,
  value,
  onCommit,
  unit,
  hint,
  least,
  most,
  step = 1,
  allowEmpty,
  onEmpty,
}: {
  label: string;
  value: number | null;
  onCommit: Commit<number>;
  unit?: string;
  hint?: ReactNode;
  least: number;
  most: number;
  step?: number;
  allowEmpty?: string;
  onEmpty?: () => void;
}) {
  const id = useId();
  const { name, of, back } = useReaderUnit(unit);
  const [from, to] = [of(least), of(most)];
  const read = (text: string): Reading<number | null> => {
    if (text.trim() === '') return allowEmpty === undefined ? { problem: 'Write a number.' } : 'nothing';
    const number = Number(text.replace(',', '.').replace('−', '-'));
    if (!Number.isFinite(number)) return { problem: `“${text.trim()}” is not a number.` };
    if (number < from || number > to) return { problem: `Between ${from} and ${to}, please.` };
    return { value: Math.min(most, Math.max(least, back(number))) };
  };
  const typed = useTyped<number | null>({
    read,
    onCommit: (next) => (next === null ? undefined : onCommit(next)),
    onEmpty,
    value,
  });
  return (
    <Row id={id} label={label} hint={hint} problem={typed.problem} {...(name ? { unit: name } : {})}>
      <input
        id={id}
        className={`${INPUT} text-right`}
        inputMode="decimal"
        autoComplete="off"
        placeholder={allowEmpty}
        data-typing={typed.text === null ? undefined : ''}
        value={typed.text ?? (typed.value === null ? '' : String(of(typed.value)))}
        aria-invalid={typed.problem ? true : undefined}
        aria-describedby={typed.problem ? `${id}-problem` : hint ? `${id}-hint` : undefined}
        onFocus={(event) => event.target.select()}
        onChange={(event) => typed.type(event.target.value)}
        onKeyDown={(event) => {
          takenBack(event, typed);
          if (event.key === 'Enter' && !typed.problem) event.currentTarget.blur();
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          const next = of(typed.value ?? least) + (event.key === 'ArrowUp' ? 1 : -1) * step * (event.altKey ? 10 : 1);
          typed.step(Math.min(most, Math.max(least, back(Number(next.toFixed(6))))));
        }}
        onBlur={typed.leave}
      />
    </Row>
  );
}

export function TextField({
  label,
  value,
  onCommit,
  hint,
  long,
  required,
}: {
  label: string;
  value: string;
  onCommit: Commit<string>;
  hint?: ReactNode;
  long?: boolean;
  required?: boolean;
}) {
  const id = useId();
  const typed = useTyped<string>({ read: (text) => ({ value: text }), onCommit, value });
  const shared = {
    id,
    value: typed.text ?? typed.value,
    'data-typing': typed.text === null ? undefined : '',
    required,
    'aria-invalid': typed.problem ? (true as const) : undefined,
    'aria-describedby': typed.problem ? `${id}-problem` : hint ? `${id}-hint` : undefined,
    className: `${INPUT} mt-1 [font-stretch:100%]`,
    onBlur: typed.leave,
  };
  return (
    <Row id={id} label={label} hint={hint} problem={typed.problem} wide>
      {long ? (
        <textarea {...shared} rows={3} onChange={(event) => typed.type(event.target.value)} />
      ) : (
        <input
          {...shared}
          autoComplete="off"
          onChange={(event) => typed.type(event.target.value)}
          onKeyDown={(event) => {
            takenBack(event, typed);
            if (event.key === 'Enter') typed.leave();
          }}
        />
      )}
    </Row>
  );
}

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
          id={id}
          className={`${INPUT} text-right`}
          autoComplete="off"
          spellCheck={false}
          data-typing={typed.text === null ? undefined : ''}
          value={typed.text ?? (typed.value ? sayDay(typed.value) : '')}
          aria-invalid={typed.problem ? true : undefined}
          aria-describedby={typed.problem ? `${id}-problem` : hint ? `${id}-hint` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => typed.type(event.target.value)}
          onKeyDown={(event) => {
            takenBack(event, typed);
            if (event.key === 'Enter' && !typed.problem) event.currentTarget.blur();
            if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
            event.preventDefault();
            const days = (event.key === 'ArrowUp' ? 1 : -1) * (event.altKey ? 7 : 1);
            if (typed.value) typed.step(plusDays(typed.value, days));
          }}
          onBlur={typed.leave}
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

export function Select<T extends string>({
  label,
  value,
  options,
  onCommit,
  hint,
  wide,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string }[];
  onCommit: (value: T) => unknown;
  hint?: ReactNode;
  wide?: boolean;
}) {
  const id = useId();
  const [chosen, hold] = useHeld(value);
  return (
    <Row id={id} label={label} hint={hint} {...(wide ? { wide } : {})}>
      <select
        id={id}
        className={`${INPUT} [font-stretch:92%] ${wide ? 'mt-1' : ''}`}
        value={chosen}
        onChange={(event) => {
          onCommit(event.target.value as T);
          hold(event.target.value as T);
        }}
      >
        {options.map((option) => (
          <option key={option.value} value={option.value}>
            {option.label}
          </option>
        ))}
      </select>
    </Row>
  );
}

/** A few options, all shown; the reason of the chosen one below. */
export function Choice<T extends string>({
  label,
  value,
  options,
  onCommit,
  disabled,
}: {
  label: string;
  value: T;
  options: readonly { value: T; label: string; reason?: string }[];
  onCommit: (value: T) => unknown;
  disabled?: boolean;
}) {
  const id = useId();
  const [chosen, hold] = useHeld(value);
  const reason = options.find((option) => option.value === chosen)?.reason;
  return (
    <div className="mb-3">
      <p id={id} className="mb-1">
        {label}
      </p>
      <ToggleGroup.Root
        type="single"
        value={chosen}
        aria-labelledby={id}
        disabled={disabled ?? false}
        className="flex flex-wrap gap-y-1"
        onValueChange={(next) => {
          if (!next) return;
          onCommit(next as T);
          hold(next as T);
        }}
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className="-ml-px border border-line bg-paper px-2.5 py-1 first:ml-0 first:rounded-l-sm last:rounded-r-sm hover:bg-ground data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper"
          >
            {option.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
      {reason ? <p className="mt-1 text-[12px] text-ink-2 leading-4">{reason}</p> : null}
    </div>
  );
}
