import { kilogram, mm, newton, say } from '../measure/quantity';
import { findPart } from '../piece/piece';
import { GRAVITY, weightOf } from '../piece/weight';
import { type Check, judge, type TableContext } from './check';
import { pieceWeight } from './stability';

/** Lifted, somebody works or eats at it: the height of a low desk, mm; common practice. */
const WORKED_AT = { least: 600, most: 760 };
/** Nearer than this to either end of what it lifts a mechanism creeps or slams, as a share of its window; common practice. */
const NEAR = 0.1;

/** A top on a lifting mechanism: its weight in the window, the mechanism in the base, the table with its top forward. */
export function liftedTop(context: TableContext): Check[] {
  const { document, piece, species, season } = context;
  const { top } = document.form;
  if (top.kind !== 'glued-panel' || !top.lift || !findPart(piece, 'lift-left')) return [];
  const { lift } = top;
  const own = weightOf(
    piece.parts.filter(({ id }) => piece.top.parts.includes(id)),
    species,
    season.glued.moisture,
  );
  const load = own + lift.ballast;
  const window = lift.most - lift.least;
  const off = Math.min(load - lift.least, lift.most - load);
  const middle = (lift.least + lift.most) / 2;
  const light = load < middle;
  const ballast = Math.max(0, Math.ceil((lift.least + NEAR * window - own) * 2) / 2);
  const thinner = Math.floor((top.thickness * (lift.most - NEAR * window)) / own);
  const apron = findPart(piece, 'apron-left');
  const room = (apron?.size.width ?? 0) - lift.height;
  const parts = ['lift-left', 'lift-right'];
  const whole = pieceWeight(context) + lift.ballast;
  // The top and what hangs on it have gone forward; the load stands on its front edge.
  const edge = piece.top.size.width / 2 + lift.forward;
  const foot = -piece.ground.low;
  const rights = whole * GRAVITY * foot - load * GRAVITY * lift.forward;
  const tips = edge > foot ? Math.max(0, rights / (edge - foot)) : Number.POSITIVE_INFINITY;
  const design = document.form.loads.edge;
  const up = piece.overall.height + lift.rise;
  return [
    {
      id: 'lift.window',
      step: 'form',
      level: judge(off, 0, { sense: 'at-least', watchFrom: NEAR * window }),
      sentence: say`The top weighs ${kilogram(load)} on a mechanism that lifts ${kilogram(lift.least)} to ${kilogram(lift.most)}.`,
      value: kilogram(load),
      limit: kilogram(light ? lift.least : lift.most),
      where: [...piece.top.parts, ...parts],
      why: 'Too light, it flies up and does not stay down; too heavy, it sinks on the knees of whoever sits there.',
      school: 'The maker’s window comes first, common practice',
      figure: {
        id: 'lift-load',
        label: 'On the mechanism',
        quantity: kilogram(load),
        formula: 'top + ballast',
        inputs: [
          { label: 'Top', quantity: kilogram(own) },
          { label: 'Ballast', quantity: kilogram(lift.ballast) },
          { label: 'Lifts from', quantity: kilogram(lift.least) },
          { label: 'Lifts to', quantity: kilogram(lift.most) },
        ],
        source: 'weights of the parts at their moisture',
      },
      wayOut: light
        ? {
            say: say`Screw ${kilogram(ballast)} of ballast under the top`,
            changes: ballast <= 40 ? [{ path: 'form.top.lift.ballast', value: ballast }] : [],
          }
        : lift.ballast > 0
          ? { say: say`Take the ballast away`, changes: [{ path: 'form.top.lift.ballast', value: 0 }] }
          : {
              say: say`Make the top ${mm(thinner)} thick, or take a stronger pair`,
              changes: thinner >= 16 ? [{ path: 'form.top.thickness', value: thinner }] : [],
            },
    },
    {
      id: 'lift.room',
      step: 'form',
      level: judge(room, 0, { sense: 'at-least', watchFrom: 5 }),
      sentence:
        room < 0
          ? say`Folded, the mechanism hangs ${mm(-room)} below the aprons.`
          : say`Folded, the mechanism stands ${mm(room)} above the aprons’ lower edges.`,
      value: mm(room),
      limit: mm(0),
      where: [...parts, 'apron-left', 'apron-right'],
      why: 'What hangs below the apron is seen, and knees find it.',
      school: 'geometry',
      wayOut: {
        say: say`Make the aprons ${mm(Math.ceil(lift.height + 5))} high`,
        changes: [{ path: 'form.base.apron.height', value: Math.ceil(lift.height + 5) }],
      },
    },
    {
      id: 'lift.tipping',
      step: 'form',
      level: judge(tips, design, { sense: 'at-least', watchFrom: 1.25 * design }),
      sentence: Number.isFinite(tips)
        ? say`With its top forward, ${newton(tips)} on the front edge would tip it; the design load is ${newton(design)}.`
        : say`With its top forward its front edge still stands over the feet.`,
      value: newton(Number.isFinite(tips) ? tips : design),
      limit: newton(design),
      where: piece.top.parts,
      why: 'The top hangs out over the sitter, and elbows lie on it.',
      school: 'common practice',
      figure: {
        id: 'lift-tipping',
        label: 'Load that tips it with its top forward',
        quantity: newton(Number.isFinite(tips) ? tips : design),
        formula: '(weight · middle to the front feet − top · forward) ÷ front edge beyond the feet',
        inputs: [
          { label: 'Weight', quantity: kilogram(whole) },
          { label: 'Middle to the front feet', quantity: mm(foot) },
          { label: 'Top goes forward', quantity: mm(lift.forward) },
          { label: 'Front edge beyond the feet', quantity: mm(Math.max(0, edge - foot)) },
        ],
        source: 'statics about the line of the front feet',
      },
      wayOut: { say: say`Take a heavier base, a mechanism that goes less far, or a smaller edge load`, changes: [] },
    },
    {
      id: 'lift.height',
      step: 'form',
      level: up < WORKED_AT.least || up > WORKED_AT.most ? 'watch' : 'good',
      sentence: say`Lifted, the top stands ${mm(up)} above the floor.`,
      value: mm(up),
      limit: mm(up > WORKED_AT.most ? WORKED_AT.most : WORKED_AT.least),
      where: piece.top.parts,
      why: 'It is lifted to eat or to write at it from a low seat.',
      school: 'common practice',
      wayOut: { say: say`Take a mechanism that rises otherwise, or another height of table`, changes: [] },
    },
  ];
}
