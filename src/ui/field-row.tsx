import type { ChangeEvent, FocusEvent, KeyboardEvent, ReactNode } from 'react';

/** Looks of what is written in. */
export const INPUT =
  'figures w-full rounded-sm border border-line bg-paper px-2 py-1 text-ink hover:border-ink-2 aria-invalid:border-stop';

/** A field with its label and unit, its hint, and what is wrong with what is written in it. */
export function Row({
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
export function takenBack(event: KeyboardEvent, { text, takeBack }: { text: string | null; takeBack: () => void }) {
  if (event.key !== 'Escape' || text === null) return;
  event.preventDefault();
  takeBack();
}

/** What an input needs of what is being typed in it. */
export const typedInput = (
  id: string,
  typed: {
    text: string | null;
    problem: string | undefined;
    type: (text: string) => void;
    leave: () => void;
  },
  shown: string,
  hint: ReactNode,
) => ({
  id,
  autoComplete: 'off',
  spellCheck: false,
  'data-typing': typed.text === null ? undefined : '',
  value: typed.text ?? shown,
  'aria-invalid': typed.problem ? (true as const) : undefined,
  'aria-describedby': typed.problem ? `${id}-problem` : hint ? `${id}-hint` : undefined,
  onFocus: (event: FocusEvent<HTMLInputElement>) => event.target.select(),
  onChange: (event: ChangeEvent<HTMLInputElement>) => typed.type(event.target.value),
  onBlur: typed.leave,
});
