'use client';

import { boundsOf, type DecisionPath, type FormField, type SchemaLike, valueAt, type WholeForm } from '@/core';
import { AskedFigure } from '@/ui/asked-figure';
import { Choice, Select } from '@/ui/fields';
import { FigureLine } from '@/ui/figure';
import { useChange, useDecisions, useDerived } from '../job/job-context';
import { CaseBelowField } from './case-below-field';
import { CutOutFields } from './cut-out-fields';
import { LiveEdgeField } from './live-edge-field';

/** Whether a field is asked of a form as it is now; what only shows a figure asks nothing. */
export function isAskedNow<F>(field: FormField<F>, own: F, whole: WholeForm, schema: SchemaLike): boolean {
  if (field.ask === 'nothing' || (field.when && !field.when(own, whole))) return false;
  if (field.ask !== 'figure') return true;
  return (
    boundsOf(schema, own, field.at) !== null &&
    (typeof valueAt(own, field.at) === 'number' || field.emptyMeans !== undefined)
  );
}

/** Fields of one part of the form, drawn from what the part says of itself; bounds and units are its schema's. */
export function DecisionFields<F>({
  fields,
  schema,
  at,
}: {
  fields: readonly FormField<F>[];
  schema: SchemaLike;
  /** Where the part is in the decisions of a piece. */
  at: string;
}) {
  const own = useDecisions((decided) => valueAt(decided, at)) as F;
  const whole = useDecisions((decided) => decided.form) as WholeForm;
  const { figures } = useDerived();
  const change = useChange();
  const drawn = (field: FormField<F>) => {
    if (field.ask === 'nothing') {
      const figure = figures[field.figure];
      return figure ? <FigureLine key={field.figure} label={field.label} figure={figure} /> : null;
    }
    if (field.when && !field.when(own, whole)) return null;
    // A field's own path is one of its part's decisions by its type.
    const path = `${at}.${field.at}` as DecisionPath;
    const label = typeof field.label === 'string' ? field.label : field.label(own);
    const value = valueAt(own, field.at);
    switch (field.ask) {
      case 'figure':
        return (
          <AskedFigure
            key={field.at}
            {...{ field, label, value, bounds: boundsOf(schema, own, field.at), onCommit: change(path) }}
          />
        );
      case 'choice': {
        const chosen = field.chosen ? field.chosen(own) : String(value);
        const commit = (next: string) => change(path)(field.start ? field.start(next, own) : next);
        const hint = field.options.find((option) => option.value === chosen)?.reason;
        const shared = { label, value: chosen, options: field.options, onCommit: commit };
        return field.listed ? (
          <Select key={field.at} {...shared} {...(hint ? { hint } : {})} wide />
        ) : (
          <Choice key={field.at} {...shared} />
        );
      }
      case 'cut-outs':
        return <CutOutFields key={field.at} path={path} />;
      case 'case-below':
        return <CaseBelowField key={field.at} label={label} path={path} />;
      case 'live-edge':
        return <LiveEdgeField key={field.at} label={label} path={path} />;
    }
  };
  return fields.map(drawn);
}
