'use client';

import type { ReactNode } from 'react';
import {
  boundsOf,
  type FormField,
  type FormQuestion,
  formatLength,
  type LengthStyle,
  READ_OTHERWISE,
  type SchemaLike,
  valueAt,
  type WholeForm,
  withMark,
  writeNumber,
} from '@/core';
import { useUnits } from '@/ui/units';
import { useDecisions, useDerived, useLook } from '../job/job-context';
import { DecisionFields, isAskedNow } from './decision-fields';

/** Answers that a closed question says at the most. */
const SAID = 3;
/** Letters of a label that is said beside its figure. */
const SHORT = 8;

/** A question with what is decided of it; it opens to its fields, and lights its parts while one of them has the focus. */
export function Question({
  question,
  answer,
  children,
}: {
  question: FormQuestion;
  answer: string;
  children: ReactNode;
}) {
  const { piece } = useDerived();
  const light = useLook((look) => look.light);
  const open = useLook((look) => look.openQuestions.includes(question.id));
  const openQuestion = useLook((look) => look.openQuestion);
  const parts = () =>
    piece.parts.filter(({ id, kind }) => question.parts.includes(kind) || question.named?.test(id)).map(({ id }) => id);
  return (
    <details
      data-question={question.id}
      className="group border-line border-t"
      open={open}
      onToggle={(event) => openQuestion(question.id, event.currentTarget.open)}
      onFocus={(event) => {
        if (event.target.closest('summary') === null) light(parts());
      }}
      onBlur={() => light([])}
    >
      <summary className="flex cursor-pointer list-none items-center gap-2 py-1.5 hover:bg-layout-tint">
        <span aria-hidden className="w-2.5 text-ink-2 group-open:rotate-90">
          ▸
        </span>
        <span className="shrink-0 font-semibold">{question.ask}</span>
        <span className="figures ml-auto truncate text-right text-ink-2 group-open:invisible" title={answer}>
          {answer}
        </span>
      </summary>
      <div className="pb-2 pl-4.5">{children}</div>
    </details>
  );
}

/** A question that is answered by fields of one part of the form; nothing where none of them is asked now. */
export function FieldsQuestion<F>({
  question,
  fields,
  schema,
  at,
  answer,
  children,
}: {
  question: FormQuestion;
  fields: readonly FormField<F>[];
  schema: SchemaLike;
  at: string;
  /** What a closed question says, where that is not what is decided field by field. */
  answer?: string;
  /** Fields beside, before these. */
  children?: ReactNode;
}) {
  const own = useDecisions((decided) => valueAt(decided, at)) as F;
  const whole = useDecisions((decided) => decided.form) as WholeForm;
  const { style } = useUnits();
  const now = fields.filter((field) => isAskedNow(field, own, whole, schema));
  if (now.length === 0 && !children) return null;
  return (
    <Question question={question} answer={answer ?? answerOf(now, own, schema, style)}>
      {children}
      <DecisionFields fields={fields} schema={schema} at={at} />
    </Question>
  );
}

/** What is decided, in a few words: choices by their names, figures in the reader's units. */
function answerOf<F>(fields: readonly FormField<F>[], own: F, schema: SchemaLike, style: LengthStyle): string {
  const words = fields.flatMap((field): string[] => {
    if (field.ask === 'choice') {
      const chosen = field.chosen ? field.chosen(own) : String(valueAt(own, field.at));
      return field.options.filter(({ value }) => value === chosen).map(({ label }) => label.toLowerCase());
    }
    if (field.ask === 'cut-outs') {
      const list = valueAt(own, field.at);
      return [Array.isArray(list) && list.length > 0 ? `${list.length}` : 'nothing'];
    }
    if (field.ask !== 'figure') return [];
    const value = valueAt(own, field.at);
    if (typeof value !== 'number') return [];
    const label = typeof field.label === 'string' ? field.label : field.label(own);
    return [named(label, figureIn(boundsOf(schema, own, field.at)?.unit ?? '', value, style))];
  });
  return words.slice(0, SAID).join(', ');
}

/** A figure with as much of its label as says which it is: 105 high, leg 65. */
function named(label: string, figure: string): string {
  const [thing, way] = label.split(', ');
  if (way) return `${figure} ${way}`;
  return thing && thing.length <= SHORT ? `${thing.toLowerCase()} ${figure}` : figure;
}

function figureIn(unit: string, amount: number, style: LengthStyle): string {
  if (unit === 'mm') return formatLength(amount, style);
  const other = style.system === 'inch' ? READ_OTHERWISE[unit] : undefined;
  if (other) return `${writeNumber(other.of(amount), other.digits, style)} ${other.name}`;
  const figure = withMark(`${amount}`, style.decimal);
  return unit === '°' ? `${figure}°` : unit ? `${figure} ${unit}` : figure;
}
