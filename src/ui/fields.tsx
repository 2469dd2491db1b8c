'use client';

import { ToggleGroup } from 'radix-ui';
import { type KeyboardEvent, type ReactNode, useEffect, useId, useState } from 'react';
import { MM_PER_INCH, type Problem, parseLength } from '@/core';
import { useUnits } from './units';

/** Tries a new value; what is wrong with it comes back and stands under the field. */
type Commit<T> = (value: T) => readonly Problem[] | undefined;

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
          {unit ? <span className="text-ink-2 figures"> {unit}</span> : null}
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

const sayProblem = (problems: readonly Problem[] | undefined) => problems?.[0]?.problem;

/** A length typed the way makers say it; kept as typed while the field has the focus, taken over as soon as it reads. */
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
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const shown = mm === null ? '' : units.length(mm, true);

  const take = (value: number) => {
    if (value < least - 1e-9 || value > most + 1e-9) {
      setProblem(`Between ${units.length(least)} and ${units.length(most)}, please.`);
      return;
    }
    setProblem(sayProblem(onCommit(value)));
  };
  const read = (text: string) => {
    setTyped(text);
    if (text.trim() === '' && allowEmpty !== undefined) {
      setProblem(undefined);
      onEmpty?.();
      return;
    }
    const parsed = parseLength(text, units.system);
    if ('mm' in parsed) take(parsed.mm);
    else setProblem(parsed.problem);
  };
  const step = (event: KeyboardEvent) => {
    if (event.key === 'Enter') (event.target as HTMLElement).blur();
    if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
    event.preventDefault();
    const one = (units.system === 'metric' ? 1 : MM_PER_INCH / units.fraction) * (event.altKey ? 10 : 1);
    const now = (mm ?? least) / one;
    const next = event.key === 'ArrowUp' ? Math.floor(now + 1e-6) + 1 : Math.ceil(now - 1e-6) - 1;
    setTyped(null);
    take(Math.min(most, Math.max(least, next * one)));
  };
  return (
    <Row id={id} label={label} hint={hint} problem={problem} {...(wide ? { wide } : {})}>
      <div className="relative">
        <input
          id={id}
          className={`${INPUT} pr-8 text-right`}
          inputMode="text"
          autoComplete="off"
          spellCheck={false}
          value={typed ?? shown}
          placeholder={allowEmpty}
          aria-invalid={problem ? true : undefined}
          aria-describedby={problem ? `${id}-problem` : hint ? `${id}-hint` : undefined}
          onFocus={(event) => event.target.select()}
          onChange={(event) => read(event.target.value)}
          onKeyDown={step}
          onBlur={() => {
            setTyped(null);
            setProblem(undefined);
          }}
        />
        <span aria-hidden className="figures pointer-events-none absolute top-1 right-2 text-ink-2">
          {units.system === 'metric' ? 'mm' : ''}
        </span>
      </div>
    </Row>
  );
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
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const take = (next: number) => {
    if (!Number.isFinite(next)) setProblem('Write a number.');
    else if (next < least || next > most) setProblem(`Between ${least} and ${most}, please.`);
    else setProblem(sayProblem(onCommit(next)));
  };
  const read = (text: string) => {
    setTyped(text);
    if (text.trim() === '') {
      setProblem(allowEmpty === undefined ? 'Write a number.' : undefined);
      if (allowEmpty !== undefined) onEmpty?.();
    } else take(Number(text.replace(',', '.')));
  };
  return (
    <Row id={id} label={label} hint={hint} problem={problem} {...(unit ? { unit } : {})}>
      <input
        id={id}
        className={`${INPUT} text-right`}
        inputMode="decimal"
        autoComplete="off"
        placeholder={allowEmpty}
        value={typed ?? (value === null ? '' : String(value))}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : hint ? `${id}-hint` : undefined}
        onFocus={(event) => event.target.select()}
        onChange={(event) => read(event.target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key !== 'ArrowUp' && event.key !== 'ArrowDown') return;
          event.preventDefault();
          setTyped(null);
          const next = (value ?? least) + (event.key === 'ArrowUp' ? 1 : -1) * step * (event.altKey ? 10 : 1);
          take(Math.min(most, Math.max(least, Number(next.toFixed(6)))));
        }}
        onBlur={() => {
          setTyped(null);
          setProblem(undefined);
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
  const [typed, setTyped] = useState<string | null>(null);
  const [problem, setProblem] = useState<string>();
  const read = (text: string) => {
    setTyped(text);
    setProblem(sayProblem(onCommit(text)));
  };
  const shared = {
    id,
    value: typed ?? value,
    required,
    'aria-invalid': problem ? (true as const) : undefined,
    'aria-describedby': problem ? `${id}-problem` : hint ? `${id}-hint` : undefined,
    onBlur: () => {
      setTyped(null);
      setProblem(undefined);
    },
  };
  return (
    <Row id={id} label={label} hint={hint} problem={problem} wide>
      {long ? (
        <textarea
          {...shared}
          rows={3}
          className={`${INPUT} mt-1 [font-stretch:100%]`}
          onChange={(event) => read(event.target.value)}
        />
      ) : (
        <input
          {...shared}
          className={`${INPUT} mt-1 [font-stretch:100%]`}
          autoComplete="off"
          onChange={(event) => read(event.target.value)}
        />
      )}
    </Row>
  );
}

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
  const [problem, setProblem] = useState<string>();
  const [typed, setTyped] = useState(value);
  useEffect(() => setTyped(value), [value]);
  return (
    <Row id={id} label={label} hint={hint} problem={problem}>
      <input
        id={id}
        type="date"
        className={`${INPUT} text-right`}
        value={typed}
        aria-invalid={problem ? true : undefined}
        aria-describedby={problem ? `${id}-problem` : undefined}
        onChange={(event) => {
          setTyped(event.target.value);
          if (/^\d{4}-\d\d-\d\d$/.test(event.target.value)) setProblem(sayProblem(onCommit(event.target.value)));
        }}
        onBlur={() => {
          setTyped(value);
          setProblem(undefined);
        }}
      />
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
  return (
    <Row id={id} label={label} hint={hint} {...(wide ? { wide } : {})}>
      <select
        id={id}
        className={`${INPUT} [font-stretch:92%] ${wide ? 'mt-1' : ''}`}
        value={value}
        onChange={(event) => onCommit(event.target.value as T)}
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

/** A few ways to go, all in sight; the reason of the chosen one stands below. */
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
  const reason = options.find((option) => option.value === value)?.reason;
  return (
    <div className="mb-3">
      <p id={id} className="mb-1">
        {label}
      </p>
      <ToggleGroup.Root
        type="single"
        value={value}
        aria-labelledby={id}
        disabled={disabled ?? false}
        className="flex flex-wrap gap-y-1"
        onValueChange={(next) => {
          if (next) onCommit(next as T);
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
