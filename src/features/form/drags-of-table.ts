import {
  baseKind,
  boundsOf,
  type Change,
  type FormField,
  HEIGHT_FIELDS,
  leadingPart,
  type Part,
  SIZE_FIELDS,
  type TableForm,
  TableFormSchema,
  type TablePiece,
  type ViewName,
  valueAt,
} from '@/core';
import type { Draggable } from '@/ui/dimension-grip';

type Pulled = readonly [
  dimension: string,
  at: 'top.length' | 'top.width' | 'top.endOverhang' | 'base.height' | 'base.leg.taper.foot' | 'base.stretchers.at',
  end: 'from' | 'to',
];

/** What can be dragged in each view, and by which end of its dimension. */
const IN_VIEW: Readonly<Partial<Record<ViewName, readonly Pulled[]>>> = {
  front: [
    ['across', 'top.length', 'to'],
    ['height', 'base.height', 'from'],
    ['foot', 'base.leg.taper.foot', 'to'],
  ],
  end: [
    ['across', 'top.width', 'to'],
    ['height', 'base.height', 'from'],
    ['foot', 'base.leg.taper.foot', 'to'],
    ['stretcher', 'base.stretchers.at', 'from'],
  ],
  plan: [
    ['length', 'top.length', 'to'],
    ['width', 'top.width', 'to'],
    ['overhang-end', 'top.endOverhang', 'from'],
  ],
};

/** mm; a dimension that shows something else than what is decided is not dragged. */
const SAME = 0.6;

/** Sizes of a table that can be dragged in a view; what is cut follows no drawing any more. */
export function dragsOfTable(
  { form, piece }: { form: TableForm; piece: TablePiece },
  view: ViewName,
  change: (changes: readonly Change[]) => unknown,
): Readonly<Record<string, Draggable>> {
  const leg = piece.parts.find(({ kind, taper }) => kind === 'leg' && taper?.faces === 'inside');
  const stretcher = piece.parts.find(({ kind, frame }) => kind === 'stretcher' && Math.abs(frame.length[1]) > 0.99);
  const isCut = (kind: Part['kind']) => piece.parts.some((part) => part.kind === kind && part.cut);
  const cut = leadingPart(piece).cut;
  const labelOf = (at: string) =>
    askedAs([...SIZE_FIELDS, ...HEIGHT_FIELDS], form, at, form) ??
    askedAs(baseKind(form.base.kind).fields, form.base, at.replace(/^base\./, ''), form);
  const shown = {
    'top.length': piece.overall.length,
    'top.width': piece.top.size.width,
    'top.endOverhang': piece.overhang.end,
    'base.height': piece.overall.height,
    'base.leg.taper.foot': isCut('leg') ? undefined : leg?.taper?.foot,
    'base.stretchers.at': isCut('stretcher') ? undefined : stretcher?.frame.at[2],
  };
  return Object.fromEntries(
    (IN_VIEW[view] ?? []).flatMap(([dimension, at, end]) => {
      const bounds = boundsOf(TableFormSchema, form, at);
      const value = valueAt(form, at);
      const label = labelOf(at);
      const isShown = typeof value === 'number' && Math.abs(value - (shown[at] ?? Number.NaN)) < SAME;
      if (cut || label === null || !bounds || !isShown) return [];
      const { least, most } = bounds;
      const onDrop = (mm: number) => void change([{ path: `form.${at}`, value: mm }]);
      return [[dimension, { label, end, value, least, most, onDrop }]];
    }),
  );
}

/** What a figure is called among some fields, where it is asked; null where it is not. */
function askedAs<F>(fields: readonly FormField<F>[], own: F, at: string, whole: TableForm): string | null {
  const field = fields.find((one) => one.ask === 'figure' && `${one.at}` === at);
  if (field?.ask !== 'figure' || !(field.when?.(own, whole) ?? true)) return null;
  return typeof field.label === 'string' ? field.label : field.label(own);
}
