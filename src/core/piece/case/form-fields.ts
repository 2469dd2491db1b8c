import { type FormField, noneOr, optionsOf } from '../../decision/form-field';
import type { PartKind } from '../part';
import type { FormQuestion } from '../table/form-questions';
import { startAlcove } from './alcove';
import type { CaseForm } from './form';
import { GRAIN } from './grain-round';
import { cornerKind } from './kinds';

/** Shelves and pins are of a case that opens to the front. */
const opensToTheFront = ({ opens }: CaseForm): boolean => opens === 'front';

/** Which way a case opens. */
export const OPENS = {
  front: { name: 'To the front', reason: 'A carcass that stands: shelves and bays, a back behind.' },
  above: { name: 'Above', reason: 'A chest or a box: four walls round a bottom, a lid over them.' },
} as const satisfies Record<CaseForm['opens'], { name: string; reason: string }>;

/** Width and depth are what an alcove leaves. */
const standsFree = ({ alcove }: CaseForm): boolean => alcove === null;

/** Sizes over all. */
export const CASE_SIZE_FIELDS: readonly FormField<CaseForm>[] = [
  { ask: 'figure', at: 'width', label: 'Width', when: standsFree },
  { ask: 'figure', at: 'height', label: 'Height, over all' },
  { ask: 'figure', at: 'depth', label: 'Depth', when: standsFree },
];

/** What of an alcove is measured; none where it stands free. */
export const ALCOVE_FIELDS: readonly FormField<CaseForm>[] = [
  {
    at: 'alcove',
    label: 'It stands',
    ...noneOr<CaseForm, CaseForm['alcove']>(
      ({ alcove }) => alcove,
      {
        none: 'Free',
        some: 'In an alcove',
        reason: 'Measured as it is; the case is made to the least of its widths, strips are planed to the walls.',
      },
      startAlcove,
    ),
  },
  { ask: 'figure', at: 'alcove.wide.floor', label: 'Alcove, wide at the floor' },
  { ask: 'figure', at: 'alcove.wide.middle', label: 'Wide half way up' },
  { ask: 'figure', at: 'alcove.wide.head', label: 'Wide at the head' },
  { ask: 'figure', at: 'alcove.deep.left', label: 'Deep at the left' },
  { ask: 'figure', at: 'alcove.deep.right', label: 'Deep at the right' },
  {
    ask: 'figure',
    at: 'alcove.lean',
    label: 'Left wall leans in',
    hint: 'From the floor to the head, by a plumb line; below nought where it leans away.',
  },
  {
    ask: 'figure',
    at: 'alcove.rise',
    label: 'Floor rises to the right',
    hint: 'Below nought where it falls.',
  },
  { ask: 'figure', at: 'alcove.ceiling', label: 'Ceiling over the floor' },
  { ask: 'figure', at: 'alcove.room', label: 'Room beside, both together' },
  { ask: 'figure', at: 'alcove.strips', label: 'Scribe strips, thick' },
  {
    at: 'alcove.skirting',
    label: 'Skirting',
    when: ({ alcove }) => alcove !== null,
    ...noneOr<CaseForm, NonNullable<CaseForm['alcove']>['skirting']>(
      ({ alcove }) => alcove?.skirting ?? null,
      { none: 'None', some: 'Along the back', reason: 'The sides are notched over it.' },
      () => ({ height: 80, thickness: 15 }),
    ),
  },
  { ask: 'figure', at: 'alcove.skirting.height', label: 'Skirting, high' },
  { ask: 'figure', at: 'alcove.skirting.thickness', label: 'Skirting, thick' },
];

/** What it is bolted to. */
export const RUN_FIELDS: readonly FormField<CaseForm>[] = [
  {
    at: 'beside',
    label: 'At its left',
    when: opensToTheFront,
    ...noneOr<CaseForm, CaseForm['beside']>(
      ({ beside }) => beside ?? null,
      {
        none: 'Nothing',
        some: 'Another case',
        reason: 'Side to side as a run, their fronts in one plane, bolted through both sides.',
      },
      () => ({ piece: '', bolts: 4 }),
    ),
  },
  { ask: 'case-below', at: 'beside.piece', label: 'The case at its left', when: ({ beside }) => Boolean(beside) },
  { ask: 'figure', at: 'beside.bolts', label: 'Bolts through both sides' },
];

/** Its four boards. */
export const CARCASS_FIELDS: readonly FormField<CaseForm>[] = [
  { ask: 'figure', at: 'carcass.sides', label: 'Sides, thick' },
  { ask: 'figure', at: 'carcass.across', label: 'Top and bottom, thick' },
  {
    ask: 'choice',
    at: 'carcass.grain',
    label: 'The grain runs',
    listed: true,
    // Posts and legs have rails or nothing between them.
    when: ({ carcass: { corner } }) => !cornerKind(corner.kind).plainInFront,
    options: optionsOf(GRAIN),
    chosen: ({ carcass }) => carcass.grain ?? 'apart',
  },
];

/** What is between the boards, beside the spaces themselves. */
export const INSIDE_FIELDS: readonly FormField<CaseForm>[] = [
  { ask: 'figure', at: 'inside.thickness', label: 'Shelves and uprights, thick' },
  {
    ask: 'figure',
    at: 'inside.rail',
    label: 'Rails, front to back',
    when: ({ inside }) => inside.cells.some(({ divided }) => divided === 'rails'),
  },
  {
    at: 'inside.lip',
    label: 'Under the front of shelves',
    when: opensToTheFront,
    ...noneOr<CaseForm, CaseForm['inside']['lip']>(
      ({ inside }) => inside.lip,
      {
        none: 'Nothing',
        some: 'A lip',
        reason: 'Glued under the front edge: little wood, and a shelf several times as stiff.',
      },
      () => ({ depth: 38, thickness: 20 }),
    ),
  },
  { ask: 'figure', at: 'inside.lip.depth', label: 'Lip, deep', when: opensToTheFront },
  { ask: 'figure', at: 'inside.lip.thickness', label: 'Lip, thick', when: opensToTheFront },
];

/** Asked where shelves lie loose. */
export const PIN_FIELDS: readonly FormField<CaseForm>[] = (
  [
    ['inside.pins.diameter', 'Shelf pins, thick'],
    ['inside.pins.deep', 'Bored, deep'],
    ['inside.pins.fromEdge', 'Rows from the edges'],
    ['inside.pins.apart', 'From bore to bore'],
  ] as const
).map(([at, label]) => ({
  ask: 'figure',
  at,
  label,
  when: (form) => opensToTheFront(form) && form.inside.cells.some(({ loose }) => loose > 0),
}));

export const CASE_LOAD_FIELDS: readonly FormField<CaseForm>[] = [
  {
    ask: 'figure',
    at: 'loads.shelf',
    label: 'On a metre of shelf',
    when: opensToTheFront,
    step: 50,
    hint: 'Books weigh most, china about two thirds of them, linen a third.',
  },
  { ask: 'figure', at: 'loads.push', label: 'Pushing at its upper edge, level', step: 50 },
];

const SHELL: readonly PartKind[] = ['side', 'case-top', 'case-bottom'];

/** What is asked of a case, in a maker's order. */
export const CASE_QUESTIONS = {
  size: { id: 'size', ask: 'How large is it?', of: [], parts: SHELL },
  alcove: { id: 'alcove', ask: 'Does it stand in an alcove?', of: [], parts: ['scribe'] },
  inside: { id: 'inside', ask: 'What is inside?', of: [], parts: ['upright', 'case-shelf', 'case-rail', 'lip'] },
  carcass: { id: 'carcass', ask: 'How is its carcass made?', of: [], parts: SHELL, named: /^(side|post|top|bottom)-/ },
  front: { id: 'front', ask: 'What is on its edges?', of: [], parts: ['lipping'], named: /^front-/ },
  back: { id: 'back', ask: 'What closes it behind?', of: [], parts: ['back', 'back-panel', 'sheet'], named: /^back-/ },
  bottom: { id: 'back', ask: 'What is its bottom?', of: [], parts: ['back', 'back-panel', 'sheet'], named: /^back-/ },
  top: { id: 'top', ask: 'What lies over it?', of: [], parts: ['lid', 'batten', 'breadboard', 'case-top', 'moulding'] },
  stand: {
    id: 'stand',
    ask: 'What does it stand on?',
    of: [],
    parts: ['plinth', 'foot', 'leg', 'stand-rail', 'stretcher'],
  },
  loads: { id: 'loads', ask: 'What must it bear?', of: [], parts: [] },
} as const satisfies Record<string, FormQuestion>;
