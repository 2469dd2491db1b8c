import {
  boundsOf,
  CASE_SIZE_FIELDS,
  type CaseForm,
  CaseFormSchema,
  type CasePiece,
  type Change,
  leadingPart,
  nameOfCell,
  partsOf,
  resizeCell,
  type ViewName,
} from '@/core';
import type { Draggable } from '@/ui/dimension-grip';

/** A space is not made smaller than this by hand, mm. */
const LEAST = 40;

const OVER_ALL = {
  front: { across: 'width', height: 'height' },
  end: { across: 'depth', height: 'height' },
  plan: { length: 'width', width: 'depth' },
} as const satisfies Partial<Record<ViewName, Record<string, keyof CaseForm>>>;

/** What a size is called where it is asked. */
const labelOf = (at: string): string => {
  const field = CASE_SIZE_FIELDS.find((own) => own.ask === 'figure' && own.at === at);
  return field?.ask === 'figure' && typeof field.label === 'string' ? field.label : at;
};

const ENDS: Readonly<Record<string, 'from' | 'to'>> = { height: 'from' };

/** Sizes of a case and of its spaces that can be dragged in a view; what is cut follows no drawing any more. */
export function dragsOfCase(
  { form, piece }: { form: CaseForm; piece: CasePiece },
  view: ViewName,
  change: (changes: readonly Change[]) => unknown,
): Readonly<Record<string, Draggable>> {
  if (leadingPart(piece).cut || !(view === 'front' || view === 'end' || view === 'plan')) return {};
  const overAll = Object.entries(OVER_ALL[view]).flatMap(([dimension, at]): [string, Draggable][] => {
    const bounds = boundsOf(CaseFormSchema, form, at);
    // What the alcove gives is not dragged.
    if (!bounds || (form.alcove && at !== 'height')) return [];
    const { least, most } = bounds;
    const label = labelOf(at);
    const onDrop = (mm: number) => change([{ path: `form.${at}`, value: mm }]);
    return [[dimension, { label, end: ENDS[dimension] ?? 'to', value: form[at], least, most, onDrop }]];
  });
  const seen = piece.opens === 'above' ? 'plan' : 'front';
  return Object.fromEntries(view === seen ? [...overAll, ...ofSpaces(form, piece, change)] : overAll);
}

/** The divider after each space: it is drawn to where the space ends. */
function ofSpaces(
  form: CaseForm,
  piece: CasePiece,
  change: (changes: readonly Change[]) => unknown,
): [string, Draggable][] {
  const { cells } = form.inside;
  return piece.spaces.flatMap((space): [string, Draggable][] => {
    const parent = piece.spaces.find(({ id }) => id === space.of);
    const beside = parent ? partsOf(cells, parent.id) : [];
    const at = beside.findIndex(({ id }) => id === space.id);
    // The last of them ends at a board of the case, which no divider moves.
    if (!parent || at < 0 || at === beside.length - 1) return [];
    const across = parent.divided === 'uprights';
    const value = across ? space.right - space.left : space.high - space.low;
    const room = across ? parent.right - parent.left : parent.high - parent.low;
    const others = beside.length - 1;
    const most = room - others * (LEAST + form.inside.thickness);
    const label = `${nameOfCell(cells, space.id)}, clear`;
    const onDrop = (mm: number) =>
      change([{ path: 'form.inside.cells', value: resizeCell(cells, space.id, Number(mm.toFixed(4))) }]);
    const dimension = across ? `wide-${space.id}` : `high-${space.id}`;
    return [[dimension, { label, end: across ? 'to' : 'from', value, least: LEAST, most, onDrop }]];
  });
}
