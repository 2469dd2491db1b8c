'use client';

import { ToggleGroup } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, useId } from 'react';
import { MM_PER_INCH, parseLength, READ_OTHERWISE, type ReaderUnit, withMark } from '@/core';
import { INPUT, Row, takenBack, typedInput } from './field-row';
import { useHeld } from './settling';
import { useUnits } from './units';
import { type Commit, type Reading, useTyped } from './use-typed';

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
          {...typedInput(id, typed, typed.value === null ? '' : units.length(typed.value, true), hint)}
          className={`${INPUT} pr-8 text-right`}
          placeholder={allowEmpty}
          onKeyDown={step}
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

/** A figure's unit for this reader, and the way there and back; rounded as it is shown. */
function useReaderUnit(unit: string | undefined): ReaderUnit {
  const { system } = useUnits();
  const other = system === 'inch' && unit ? READ_OTHERWISE[unit] : undefined;
  return other
    ? { ...other, of: (kept) => Number(other.of(kept).toFixed(Math.max(1, other.digits))) }
    : { name: unit ?? '', digits: 0, of: (kept) => kept, back: (shown) => shown };
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
  const { decimal } = useUnits().style;
  const written = (number: number) => withMark(String(number), decimal);
  const [from, to] = [of(least), of(most)];
  const read = (text: string): Reading<number | null> => {
    if (text.trim() === '') return allowEmpty === undefined ? { problem: 'Write a number.' } : 'nothing';
    const number = Number(text.replace(',', '.').replace('−', '-'));
    if (!Number.isFinite(number)) return { problem: `“${text.trim()}” is not a number.` };
    if (number < from || number > to) return { problem: `Between ${written(from)} and ${written(to)}, please.` };
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
        {...typedInput(id, typed, typed.value === null ? '' : written(of(typed.value)), hint)}
        className={`${INPUT} text-right`}
        inputMode="decimal"
        placeholder={allowEmpty}
        onKeyDown={(event) => {
          takenBack(event, typed);
          if (event.key === 'Enter' && !typed.problem) event.currentTarget.blur();
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          const next = of(typed.value ?? least) + (event.key === 'ArrowUp' ? 1 : -1) * step * (event.altKey ? 10 : 1);
          typed.step(Math.min(most, Math.max(least, back(Number(next.toFixed(6))))));
        }}
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
