import { MM_PER_INCH } from '../measure/length';
import { count, mm, movement, say } from '../measure/quantity';
import { HOLDS, pilotHole } from '../piece/hold';
import { findPart } from '../piece/piece';
import { type Check, type CheckContext, judge } from './check';

/** Wood left between a screw's point and the show face, 1/4 in; common practice. */
export const LEAST_OVER_SCREW = MM_PER_INCH / 4;
const LEAST_BITE = 10;

/** A slat that nothing lies under is held by nothing; one held once turns about its screw. */
export function everySlatHeld({ piece }: CheckContext): Check[] {
  if (piece.top.gap === undefined) return [];
  const held = (id: string) => piece.fasteners.filter((fastener) => fastener.holds === id).length;
  const loose = piece.top.parts.filter((id) => held(id) < 2);
  const least = Math.min(...piece.top.parts.map(held));
  const [have, them] = loose.length > 1 ? ['have', 'them'] : ['has', 'it'];
  return [
    {
      id: 'fasteners.every-slat',
      step: 'form',
      level: loose.length > 0 ? 'stop' : 'good',
      sentence:
        loose.length > 0
          ? say`${loose.map((id) => findPart(piece, id)?.name ?? id).join(' and ')} ${have} too little under ${them} to be held.`
          : say`Every slat is held at ${`${least}`} places or more, in its middle.`,
      value: count(least),
      limit: count(2),
      where: loose,
      why: 'A slat held once turns about its screw; one held at its edge only cups.',
      school: 'common practice',
      wayOut: {
        say: say`Let the top overhang less at its sides, so that something reaches under every slat`,
        changes: [],
      },
    },
  ];
}

export function screwsThroughTheTop({ document, piece }: CheckContext): Check[] {
  const { hold } = document.form;
  if (!piece.fasteners.some((fastener) => !fastener.own)) return [];
  const what = hold.kind === 'inserts' ? 'inserts' : 'screws';
  const rule = HOLDS[hold.kind];
  const { thickness } = piece.top.size;
  const bite = hold.screwLength - rule.underHead;
  const { screw, pilot } = pilotHole(hold.screwLength);
  const left = thickness - bite;
  const level = judge(left, LEAST_OVER_SCREW, { sense: 'at-least' });
  const fits = Math.floor((thickness - LEAST_OVER_SCREW + rule.underHead) / 5) * 5;
  const shallow = bite < LEAST_BITE;
  return [
    {
      id: 'fasteners.screw',
      step: 'joints',
      level: level === 'good' && shallow ? 'watch' : level,
      sentence:
        left < 0
          ? say`The ${what} come ${mm(-left)} through the top.`
          : shallow
            ? say`The ${what} bite only ${mm(bite)} into the top.`
            : say`The ${what} leave ${mm(left)} of wood under the show face.`,
      value: mm(left),
      limit: mm(LEAST_OVER_SCREW),
      where: [...piece.top.parts, ...piece.fasteners.map((fastener) => fastener.id)],
      why: 'A screw’s point dimples the face before it breaks through. Leave a quarter inch.',
      school: 'common practice',
      figure: {
        id: 'screw',
        label: 'Wood over the screw',
        quantity: mm(left),
        formula: 'top − (screw − what lies under its head)',
        inputs: [
          { label: 'Top', quantity: mm(thickness) },
          { label: 'Screw', quantity: mm(hold.screwLength) },
          { label: `Under the head (${rule.name.toLowerCase()})`, quantity: mm(rule.underHead) },
          { label: 'Screw, thick', quantity: movement(screw) },
          { label: 'Bored for, in hardwood', quantity: movement(pilot) },
        ],
        source: 'geometry; 1/4 in left, common practice',
      },
      ...(level === 'good' && !shallow
        ? {}
        : {
            wayOut:
              fits - rule.underHead >= LEAST_BITE
                ? { say: say`Take ${mm(fits)} ${what}`, changes: [{ path: 'form.hold.screwLength', value: fits }] }
                : {
                    say: say`The top is too thin for screws from below: glue a batten to it, free to move`,
                    changes: [],
                  },
          }),
    },
  ];
}
