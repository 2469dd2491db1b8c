import { kilogram, mm, say } from '../measure/quantity';
import type { Part } from '../piece/part';
import type { CasePiece } from '../piece/piece';
import { weightOf } from '../piece/weight';
import { boundsOf } from '../solid/convex';
import type { CaseContext, Check } from './check';
import { doorFigure, HAND_ROOM, WALL, wayThroughDoor } from './door';
import { LIFT_CONSTANT } from './stability';

/** A case is carried by two; by more it is a day to be planned. Common practice. */
const CARRIERS = 2;

const WITHIN: ReadonlySet<Part['kind']> = new Set([
  'upright',
  'case-shelf',
  'case-rail',
  'lip',
  'cleat',
  'back',
  'back-panel',
  'sheet',
  'stile',
  'rail',
  'muntin',
  'panel',
]);

/** How a case comes to its place: through the door by its real outline, and by how many it is carried. Loose shelves are carried by themselves. */
export function caseCarried(context: CaseContext): Check[] {
  const { whole, body } = carriedParts(context.piece);
  return [throughDoor(context, whole, body), carried(context, whole, body)];
}

/** All of it but its loose shelves, and without what it stands on. */
function carriedParts(piece: CasePiece) {
  const loose = new Set(piece.spans.flatMap(({ part, onPins }) => (onPins ? [part, `lip-${part}`] : [])));
  const whole = piece.parts.filter(({ id }) => !loose.has(id));
  return { whole, body: whole.filter(({ id }) => !piece.stand.includes(id)) };
}

/** What is inside takes no more room than what is round it. */
const round = (parts: readonly Part[]) => parts.filter(({ kind }) => !WITHIN.has(kind)).flatMap(({ placed }) => placed);

/** What of a case is carried: all of it, or its body and what it stands on by themselves. */
export function loadsOfCase(piece: CasePiece) {
  const { whole, body } = carriedParts(piece);
  const stand = whole.filter((part) => !body.includes(part)).flatMap(({ placed }) => placed);
  return { whole: round(whole), apart: stand.length > 0 ? [round(body), stand] : null };
}

function throughDoor({ document }: CaseContext, whole: readonly Part[], body: readonly Part[]): Check {
  const { door } = document.brief;
  const solids = round(whole);
  const comesOff = body.length < whole.length;
  const together = wayThroughDoor(solids, door);
  const apart = together || !comesOff ? null : wayThroughDoor(round(body), door);
  const way = together ?? apart;
  const straight = way?.passage.kind === 'straight';
  const { from, to } = boundsOf(solids);
  const least = way?.width ?? Math.min(to[0] - from[0], to[1] - from[1], to[2] - from[2]);
  return {
    id: 'people.door',
    step: 'brief',
    level: together && straight ? 'good' : way ? 'watch' : 'stop',
    sentence: way
      ? straight
        ? say`The case goes through the door of ${mm(door.width)} ${way.posture.words}, ${mm(way.width)} wide and ${mm(way.height)} high${apart ? ', without what it stands on' : ''}.`
        : say`The case, ${mm(way.width)} at its narrowest, goes through the door of ${mm(door.width)} ${way.posture.words}, turned round the jamb as it goes.`
      : say`The case does not go through the door of ${mm(door.width)} × ${mm(door.height)}.`,
    value: mm(least),
    limit: mm(door.width - HAND_ROOM),
    where: body.map(({ id }) => id),
    why: `On the level, through a wall of ${WALL} mm, the floor free on both sides; stairs are not counted.`,
    school: 'Room for hands, common practice',
    figure: doorFigure(least, door),
    wayOut: way
      ? {
          say: [
            ...say`Carry it `,
            way.posture.words,
            apart ? ', and fasten it to what it stands on there' : ', one end first and then round',
          ],
          changes: [],
        }
      : { say: say`Make it of two cases side by side, or glue it up where it is to stand`, changes: [] },
  };
}

function carried({ species, season, shop }: CaseContext, whole: readonly Part[], body: readonly Part[]): Check {
  const [all, heavy] = [whole, body].map((parts) => weightOf(parts, species, season.glued.moisture)) as [
    number,
    number,
  ];
  const each = Math.min(shop.tools.lift, LIFT_CONSTANT);
  const people = Math.max(1, Math.ceil(heavy / each));
  const onStand = body.length < whole.length ? say`, ${kilogram(all)} with what it stands on` : [];
  return {
    id: 'stability.lifting',
    step: 'form',
    level: people > CARRIERS ? 'watch' : 'good',
    sentence: [
      ...say`The case weighs ${kilogram(heavy)} without its loose shelves`,
      ...onStand,
      ...say`; ${people === 1 ? 'one carries it' : `${people} carry it`}, ${kilogram(each)} each.`,
    ],
    value: kilogram(heavy),
    limit: kilogram(CARRIERS * each),
    where: body.map(({ id }) => id),
    why: 'A case is turned on its face and its back many times while it is made, and carried up stairs at the end.',
    school: 'The shop’s own figure, at most the load constant of the NIOSH lifting equation (from memory)',
    figure: {
      id: 'weight-case',
      label: 'Weight of the case, its loose shelves taken out',
      quantity: kilogram(heavy),
      formula: 'volume · 1000 · G₁₂ · (1 + M/100)',
      inputs: [
        { label: 'With what it stands on', quantity: kilogram(all) },
        { label: 'Moisture', quantity: { amount: season.glued.moisture, unit: 'percent-moisture' } },
      ],
      source: 'Wood Handbook ch. 4; NIOSH revised lifting equation, 23 kg under ideal conditions',
    },
    ...(people > CARRIERS
      ? { wayOut: { say: say`Plan ${people.toFixed(0)} people for carrying it`, changes: [] } }
      : {}),
  };
}
