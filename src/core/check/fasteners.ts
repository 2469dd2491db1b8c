import { count, mm, movement, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { HOLDS, pilotHole } from '../piece/table/holds/hold';
import { type Check, judge, type TableContext, type WayOut } from './check';
import { LEAST_BITE, LEAST_OVER_SCREW, otherHolds, screwFor } from './hold-changes';

/** A slat that nothing lies under is held by nothing; one held once turns about its screw. */
export function everySlatHeld({ piece }: TableContext): Check[] {
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

export function screwsThroughTheTop(context: TableContext): Check[] {
  const { document, piece, shop } = context;
  const { hold } = document.form;
  if (!piece.fasteners.some((fastener) => !fastener.own)) return [];
  const what = hold.kind === 'inserts' ? 'inserts' : 'screws';
  const rule = HOLDS[hold.kind];
  const { thickness } = piece.top.size;
  const bite = hold.screwLength - rule.underHead;
  const { screw, pilot } = pilotHole(hold.screwLength);
  const left = thickness - bite;
  const level = judge(left, LEAST_OVER_SCREW, { sense: 'at-least' });
  const fits = screwFor(hold.kind, thickness, shop.units);
  const shallow = bite < LEAST_BITE;
  const thicker = Math.ceil(LEAST_OVER_SCREW + Math.max(bite, LEAST_BITE));
  const ways: WayOut[] = [
    ...(fits === null || Math.abs(fits - hold.screwLength) < 1e-6
      ? []
      : [{ say: say`Take ${mm(fits)} ${what}`, changes: [{ path: 'form.hold.screwLength', value: fits }] }]),
    ...otherHolds(context),
    { say: say`Make the top ${mm(thicker)} thick`, changes: [{ path: 'form.top.thickness', value: thicker }] },
    { say: say`The top is too thin for screws from below: glue a batten to it, free to move`, changes: [] },
  ];
  return [
    {
      id: 'fasteners.screw',
      step: 'joints',
      level: level === 'good' && bite <= 0 ? 'stop' : level === 'good' && shallow ? 'watch' : level,
      sentence:
        left < 0
          ? say`The ${what} come ${movement(-left)} through the top.`
          : bite <= 0
            ? say`The ${what} do not reach the top: they end ${movement(-bite)} short of it.`
            : shallow
              ? say`The ${what} bite only ${movement(bite)} into the top; ${movement(LEAST_BITE)} are wanted.`
              : say`The ${what} leave ${movement(left)} of wood under the show face; ${movement(LEAST_OVER_SCREW)} are wanted.`,
      value: movement(left >= LEAST_OVER_SCREW && shallow ? bite : left),
      limit: movement(left >= LEAST_OVER_SCREW && shallow ? LEAST_BITE : LEAST_OVER_SCREW),
      where: [...piece.top.parts, ...piece.fasteners.map((fastener) => fastener.id)],
      why:
        left >= LEAST_OVER_SCREW && shallow
          ? 'So few threads strip when the top moves, or when it is lifted by its edge.'
          : 'A screw’s point dimples the face before it breaks through.',
      school: 'common practice',
      figure: {
        id: 'screw',
        label: 'Wood over the screw',
        quantity: movement(left),
        formula: 'top − (screw − what lies under its head)',
        inputs: [
          { label: 'Top', quantity: mm(thickness) },
          { label: 'Screw', quantity: mm(hold.screwLength) },
          { label: `Under the head (${rule.name.toLowerCase()})`, quantity: mm(rule.underHead) },
          { label: 'Screw, thick', quantity: movement(screw) },
          { label: 'Bored for, in hardwood', quantity: movement(pilot) },
        ],
        source: 'geometry; what is to be left is common practice',
      },
      wayOut: ways[0] as WayOut,
      otherWaysOut: ways.slice(1),
    },
  ];
}
