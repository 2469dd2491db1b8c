import { mm, type Phrase, say } from '../measure/quantity';
import type { Check, CheckContext } from './check';
import { FITS } from './slots';

/** Round holes for wood: their bit is as wide as they are, or nothing holds. */
const FOR_WOOD = /dowel hole|peg hole|hole for a pin/;

/** Bits and dowels for the round holes of all joints but the dowelled corners, which have checks of their own. Common practice. */
export function roundHoles({ piece, shop }: CheckContext): Check[] {
  const holes = piece.joints.flatMap(({ kind, removed }) =>
    kind === 'dowels'
      ? []
      : removed.flatMap(({ part, what, bore }) =>
          bore && FOR_WOOD.test(what) ? [{ part, what, diameter: bore.diameter }] : [],
        ),
  );
  if (holes.length === 0) return [];
  const { borers, dowels } = shop.tools;
  const unbored = holes.filter(({ diameter }) => !borers.some((own) => Math.abs(own - diameter) <= FITS));
  const lacking = holes.filter(
    ({ what, diameter }) => what === 'dowel hole' && !dowels.some((own) => Math.abs(own.diameter - diameter) <= FITS),
  );
  const sizes = (list: typeof holes): Phrase =>
    [...new Set(list.map(({ diameter }) => Math.round(diameter * 10) / 10))]
      .sort((a, b) => a - b)
      .flatMap((diameter, i) => (i === 0 ? [mm(diameter)] : [' and ', mm(diameter)]));
  const partsOf = (list: typeof holes) => [...new Set(list.map(({ part }) => part))];
  const widest = Math.max(...holes.map(({ diameter }) => diameter));
  const checks: Check[] = [
    {
      id: 'machines.bits',
      step: 'joints',
      level: unbored.length > 0 ? 'watch' : 'good',
      sentence:
        unbored.length > 0
          ? ['No bit of the shop bores the holes of ', ...sizes(unbored), '.']
          : say`The shop’s bits bore every hole for a peg, a pin or a dowel.`,
      value: mm(Math.max(0, ...unbored.map(({ diameter }) => diameter)) || widest),
      limit: mm(Math.max(0, ...borers)),
      where: partsOf(unbored),
      why: 'A peg or a dowel in a hole of another size is loose, or splits the part: bore once in waste and try it.',
      school: 'common practice',
      ...(unbored.length > 0
        ? { wayOut: { say: ['Get a bit of ', ...sizes(unbored), ', and try it with what goes in'], changes: [] } }
        : {}),
    },
  ];
  if (holes.some(({ what }) => what === 'dowel hole'))
    checks.push({
      id: 'machines.other-dowels',
      step: 'joints',
      level: lacking.length > 0 ? 'watch' : 'good',
      sentence:
        lacking.length > 0
          ? ['No dowel in stock is ', ...sizes(lacking), ' thick.']
          : say`Dowels as thick as their holes are in stock.`,
      value: mm(Math.max(0, ...lacking.map(({ diameter }) => diameter)) || widest),
      limit: mm(Math.max(0, ...dowels.map(({ diameter }) => diameter))),
      where: partsOf(lacking),
      why: 'What is not on the shelf is not there on the day of the glue-up.',
      school: 'common practice',
      ...(lacking.length > 0
        ? {
            wayOut: {
              say: ['Buy rod of ', ...sizes(lacking), ', or drive split stock through a plate of that size'],
              changes: [],
            },
          }
        : {}),
    });
  return checks;
}
