import { mm, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import type { Check, TableContext } from './check';
import { byHand, makerOf, type Slot, slotsOf } from './slots';

/** How deep a slot is for the tool that makes it. */
const depthOf = ({ fork, deep }: Slot): number => fork?.deep ?? deep;

/** Mortises, slots, grooves and forks of all other joints against the cutters and the saw on hand; the deepest that none makes is reported. Common practice. */
export function otherMortises({ piece, shop }: TableContext): Check[] {
  const slots = slotsOf(piece);
  if (slots.length === 0) return [];
  const unmade = slots.filter((slot) => makerOf(slot, shop) === null);
  const worst = unmade.reduce<Slot | null>((a, b) => (!a || depthOf(b) > depthOf(a) ? b : a), null);
  const name = worst ? (findPart(piece, worst.cut.part)?.name.toLowerCase() ?? worst.cut.part) : '';
  const { sawDepth } = shop.tools;
  return [
    {
      id: 'machines.other-mortises',
      step: 'joints',
      level: worst ? 'watch' : 'good',
      sentence: !worst
        ? say`Chisels, cutters and saw of the shop make every mortise and slot.`
        : worst.fork === null
          ? say`For the ${worst.cut.what} in ${name}, ${mm(worst.wide)} wide and ${mm(worst.deep)} deep, no chisel fits and no cutter reaches.`
          : say`The ${worst.cut.what} in ${name} is ${mm(worst.fork.deep)} deep; the saw cuts ${mm(sawDepth)}.`,
      value: mm(worst ? depthOf(worst) : 0),
      limit: mm(worst?.fork == null ? shop.tools.mortises.depth : sawDepth),
      where: worst ? [worst.cut.part, worst.joint.from] : [],
      why: 'A mortise that the machine does not make is an hour by hand, and is better known before the tenon is cut.',
      school: 'Through ones from both sides, common practice',
      ...(worst ? { wayOut: { say: byHand(worst, shop), changes: [] } } : {}),
    },
  ];
}
