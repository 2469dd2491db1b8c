import { kilogram, mm, newton, say } from '../measure/quantity';
import { GRAVITY, weightOf } from '../piece/weight';
import { loadInCase } from './case-load';
import { type CaseContext, type Check, judge } from './check';

/** What a screw in sound masonry or a stud is asked to bear by common practice, N, across it and drawn; the wall decides. */
const BEARS = { always: 250, most: 500 };
/** A shelf is leaned on, N; common practice. */
const LEANED = 300;

/** What the screws of a case that hangs bear: across themselves, and drawn out by its depth. */
export function hungOnTheWall({ piece, document, species, season }: CaseContext): Check[] {
  const { form } = document;
  const { stand } = form;
  if (stand.kind !== 'wall' && stand.kind !== 'bevelled-cleats') return [];
  const weight = weightOf(piece.parts, species, season.glued.moisture) * GRAVITY;
  const { shelves, bottom } = loadInCase(piece, form);
  const load = shelves + bottom;
  const whole = weight + load + LEANED;
  const arm = Math.max(1, form.height - form.carcass.across - stand.rail.height / 2);
  const drawn = (whole * form.depth) / 2 / arm;
  const each = Math.hypot(whole, drawn) / stand.screws;
  const more = Math.min(20, Math.ceil(Math.hypot(whole, drawn) / BEARS.always));
  return [
    {
      id: 'strength.wall-screws',
      step: 'form',
      level: judge(each, BEARS.most, { sense: 'at-most', watchFrom: BEARS.always }),
      sentence: say`Loaded, with somebody leaning on it, each of ${stand.screws.toFixed(0)} screws into the wall bears ${newton(each)}; ${newton(BEARS.always)} to ${newton(BEARS.most)} are asked of one in a sound wall.`,
      value: newton(each),
      limit: newton(BEARS.most),
      where: ['wall-rail'],
      why: 'The wall decides: brick, stud or board. Who knows the wall chooses plugs and screws; where that is uncertain, licensed advice. A design check, not an approval.',
      school: 'Statics; what a screw bears is common practice',
      figure: {
        id: 'strength.wall-screws',
        label: 'On each screw',
        quantity: newton(each),
        formula: '√(load² + (load · depth ÷ 2 ÷ rail over its lower edge)²) ÷ screws',
        inputs: [
          { label: 'Its own weight', quantity: kilogram(weight / GRAVITY) },
          { label: 'On its shelves and its bottom', quantity: newton(load) },
          { label: 'Leaned on', quantity: newton(LEANED) },
          { label: 'Depth', quantity: mm(form.depth) },
          { label: 'Rail over its lower edge', quantity: mm(arm) },
        ],
        source: 'statics',
      },
      wayOut: { say: say`Take ${more.toFixed(0)} screws`, changes: [{ path: 'form.stand.screws', value: more }] },
    },
  ];
}
