import type { Draft } from '../part';
import type { Unbuildable } from '../unbuildable';
import type { CaseForm } from './form';
import { SHELL } from './shell';

/** How the grain runs from one board of a carcass to the next. */
export const GRAIN = {
  apart: { name: 'Each board by itself' },
  over: {
    name: 'On over three of them',
    reason:
      'Up one side, over the top and down the other, or from end to end round the front: crosscut from one panel.',
  },
  round: {
    name: 'All the way round',
    reason: 'All four crosscut from one panel, in their order; the ends meet at the last corner.',
  },
} as const;

/** The boards that are crosscut from one panel, in their order from its left end. */
const orderOf = ({ opens, carcass: { grain } }: CaseForm): readonly string[] => {
  if (grain === undefined || grain === 'apart') return [];
  // A chest is seen from before its front wall, which is the bottom of a case laid on its back.
  const [seen, other] = opens === 'above' ? [SHELL.bottom, SHELL.top] : [SHELL.top, SHELL.bottom];
  return [SHELL.left, seen, SHELL.right, ...(grain === 'round' ? [other] : [])];
};

/** Sides and top of one panel, so that the grain runs on round the corners; they stand, and are lettered, in the order in which it is crosscut. */
export function grainRound(form: CaseForm, drafts: readonly Draft[]): Draft[] {
  const order = orderOf(form);
  const [first] = order;
  if (first === undefined) return [...drafts];
  return [
    ...order.flatMap((id) =>
      drafts.filter((draft) => draft.id === id).map((draft) => (id === first ? draft : { ...draft, oneWith: first })),
    ),
    ...drafts.filter(({ id }) => !order.includes(id)),
  ];
}

/** Boards of two thicknesses are not crosscut from one panel. */
export function grainOfTwo({ carcass }: CaseForm): Unbuildable[] {
  const { grain, sides, across } = carcass;
  if (grain === undefined || grain === 'apart' || sides === across) return [];
  return [
    {
      problem: 'Boards of two thicknesses are not crosscut from one panel.',
      where: 'form.carcass.across',
      wayOut: 'Make them all as thick as the sides.',
      mends: sides,
    },
  ];
}
