import { type FormField, noneOr, optionsOf } from '../../decision/form-field';
import type { TableForm, Top } from './form';
import { baseKind, topKind } from './form';
import { FLATNESS } from './holds/battens';

const hasOneSize = ({ top }: { top: Top }) =>
  top.kind === 'glued-panel' && (top.outline.kind === 'round' || top.outline.kind === 'polygon');

/** Sizes that every top has. */
export const SIZE_FIELDS: readonly FormField<TableForm>[] = [
  {
    ask: 'figure',
    at: 'top.length',
    label: ({ top }) => topKind(top.kind).lengthIs ?? 'Length',
    when: (form) => !hasOneSize(form),
  },
  {
    ask: 'figure',
    at: 'top.width',
    label: (form) =>
      hasOneSize(form)
        ? form.top.kind === 'glued-panel' && form.top.outline.kind === 'round'
          ? 'Diameter'
          : 'Over the flats'
        : 'Width',
  },
  { ask: 'figure', at: 'top.thickness', label: 'Thickness' },
  {
    ask: 'figure',
    at: 'top.endOverhang',
    label: 'Overhang, ends',
    when: ({ base }) => !baseKind(base.kind).standsByItself,
  },
  {
    ask: 'figure',
    at: 'top.sideOverhang',
    label: 'Overhang, sides',
    when: ({ base }) => !baseKind(base.kind).standsByItself,
  },
];

/** What keeps a wide panel flat beside the base. */
export const FLAT_FIELDS: readonly FormField<TableForm>[] = [
  {
    ask: 'choice',
    at: 'flat',
    label: 'Kept flat by',
    options: optionsOf(FLATNESS),
    chosen: ({ flat }) => flat.kind,
    start: (kind) =>
      kind === 'none'
        ? { kind }
        : kind === 'battens'
          ? { kind, count: 2, width: 60, thickness: 22, travel: 8 }
          : { kind, count: 2, width: 38, depth: 12, travel: 8 },
  },
  { ask: 'figure', at: 'flat.count', label: ({ flat }) => (flat.kind === 'battens' ? 'Battens' : 'Channels') },
  {
    ask: 'figure',
    at: 'flat.width',
    label: ({ flat }) => (flat.kind === 'channels' ? 'Channel, wide' : 'Batten, wide'),
  },
  { ask: 'figure', at: 'flat.depth', label: 'Channel, deep' },
  { ask: 'figure', at: 'flat.thickness', label: 'Batten, thick' },
  { ask: 'figure', at: 'flat.travel', label: 'Slots, travel each way' },
];

const mayBeJoined = ({ top, base }: TableForm) =>
  !topKind(top.kind).drawsOut &&
  !baseKind(base.kind).foldedWithTop &&
  !('outline' in top && top.outline.kind !== 'rectangle');

/** Another table like it at the right end, and what holds the two together. */
export const JOINED_FIELDS: readonly FormField<TableForm>[] = [
  {
    at: 'joined',
    label: 'The table',
    when: (form) => form.joined !== null || mayBeJoined(form),
    ...noneOr<TableForm, TableForm['joined']>(
      ({ joined }) => joined,
      {
        none: 'Stands alone',
        some: 'One of two, end to end',
        reason: 'A very long top as two tables that each go through the door; plates in slots hold them together.',
      },
      ({ top }) => ({ connectors: top.width > 900 ? 4 : 3, slot: 4, apart: 2 }),
    ),
  },
  { ask: 'figure', at: 'joined.connectors', label: 'Connectors' },
  { ask: 'figure', at: 'joined.slot', label: 'Their slots, to either side' },
  {
    ask: 'figure',
    at: 'joined.apart',
    label: 'One drier than the other by',
    step: 0.5,
    hint: 'Moisture of the two tops: one by a window, one by the stove.',
  },
];

export const HEIGHT_FIELDS: readonly FormField<TableForm>[] = [
  { ask: 'figure', at: 'base.height', label: 'Table height' },
];

/** What it is to carry and to stand against. */
export const LOAD_FIELDS: readonly FormField<TableForm>[] = [
  { ask: 'figure', at: 'loads.edge', label: 'Leaning on the edge', step: 50 },
  { ask: 'figure', at: 'loads.spread', label: 'Spread on the top', step: 100 },
  { ask: 'figure', at: 'loads.push', label: 'Pushing at its edge, level', step: 50 },
];
