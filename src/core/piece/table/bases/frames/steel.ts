import * as v from 'valibot';
import { amount, length } from '../../../../decision/fields';
import type { HoldKind } from '../../../../decision/hold';
import { drawnReach } from '../../../../joint/hold-strength';
import { box, type Convex } from '../../../../solid/convex';
import { squareFrame } from '../../../../solid/frame';
import type { Flat } from '../../../../solid/outline';
import { MATERIALS } from '../../../material';
import type { Draft } from '../../../part';
import type { BasePlan, BuildDecisions, Racking, Rest, TopSize } from '../../../plans';
import { drawnSize } from '../../../settle-locks';
import { atFigure, type Unbuildable } from '../../../unbuildable';
import type { BaseKind } from '../../kind';
import { SIDES } from './two-frames';

const schema = v.object({
  kind: v.literal('steel'),
  height: length(150, 1400),
  /** Four legs under plates of their own, or two frames under flat bars across. */
  shape: v.picklist(['legs', 'frames']),
  tube: v.object({ width: length(12, 150), wall: length(1, 12) }),
  /** Along the table and, for legs, across it. */
  plate: v.object({ length: length(40, 500), width: length(40, 500), thickness: length(2, 20) }),
  /** Outside of the threaded inserts in the top. */
  insert: length(4, 25),
  /** Of each leg or frame, kg, as its seller says. */
  weight: amount(0, 80, 'kg'),
});
type Steel = v.InferOutput<typeof schema>;

/** Middle of a plate's holes to its edge, mm; common practice. */
const HOLE_IN = 12;
/** What goes through a plate of steel; everything else wants a rail of wood. */
export const THROUGH_STEEL: readonly HoldKind[] = ['inserts', 'oversized-holes', 'rail-screws'];

/** A leg or frame seen from its own place: where its tubes stand and where its plate lies. */
interface Stand {
  id: string;
  name: string;
  /** Middle of its plate. */
  at: Flat;
  plate: { long: number; wide: number };
  /** Middles of its tubes. */
  tubes: readonly Flat[];
}

/**
 * Bought-in steel: four legs, each under a plate of its own, or two frames, each under a flat bar across. They are held to
 * the top by their holes; the outer ones are slots.
 */
export function steelBase(form: Steel, { form: whole }: BuildDecisions, top: TopSize): BasePlan {
  const { tube, plate, shape } = form;
  const drawn = drawnSize(whole.top);
  const underside = form.height - top.thickness;
  const x = Math.max(tube.width, drawn.length / 2 - whole.top.endOverhang - tube.width / 2);
  const y = Math.max(tube.width, drawn.width / 2 - whole.top.sideOverhang - tube.width / 2);
  const stands: Stand[] =
    shape === 'legs'
      ? SIDES.flatMap(({ side, word }) =>
          [-1, 1].map((s): Stand => {
            const place = s < 0 ? 'front' : 'back';
            const at: Flat = [side * x, s * y];
            return {
              id: `steel-leg-${place}-${word}`,
              name: `Steel leg, ${place} ${word}`,
              at,
              plate: { long: plate.length, wide: plate.width },
              tubes: [at],
            };
          }),
        )
      : SIDES.map(
          ({ side, word }): Stand => ({
            id: `steel-frame-${word}`,
            name: `Steel frame, ${word}`,
            at: [side * x, 0],
            plate: { long: plate.length, wide: 2 * y + tube.width },
            tubes: [-1, 1].map((s): Flat => [side * x, s * y]),
          }),
        );
  const drafts = stands.map((stand): Draft => {
    const [sx, sy] = stand.at;
    const size = { length: underside, width: stand.plate.long, thickness: stand.plate.wide };
    return {
      id: stand.id,
      name: stand.name,
      kind: 'steel-leg',
      grade: 'all-faces',
      material: 'steel',
      weighs: form.weight,
      size,
      frame: squareFrame([sx, sy, underside / 2], { length: 'z', width: 'x', thickness: 'y' }),
      body: solidsOf(stand, form, underside),
    };
  });
  const across = (stand: Stand): Rest[] =>
    [-1, 1].map((side): Rest => {
      const at = stand.at[0] + side * (stand.plate.long / 2 - HOLE_IN);
      const reach = stand.plate.wide / 2 - (shape === 'legs' ? 0 : HOLE_IN);
      return {
        part: stand.id,
        id: `${stand.id.replace('steel-', '')}-${side < 0 ? 'a' : 'b'}`,
        from: [at, stand.at[1] - reach],
        to: [at, stand.at[1] + reach],
        held: shape === 'frames' ? [at, 0] : null,
        slides: true,
      };
    });
  const half = tube.width / 2;
  const feet = stands.flatMap(({ tubes }) =>
    tubes.flatMap(([tx, ty]): Flat[] => [
      [tx - half, ty - half],
      [tx + half, ty - half],
      [tx + half, ty + half],
      [tx - half, ty + half],
    ]),
  );
  return {
    drafts,
    joints: [],
    rests: stands.flatMap(across),
    underside,
    clearAcross: null,
    feet,
    knees: { height: underside, parts: [], words: 'the top' },
    span: {
      along: Math.max(10, 2 * x - plate.length),
      beyond: Math.max(0, top.length / 2 - x - plate.length / 2),
      across: shape === 'legs' ? Math.max(10, 2 * y - plate.width) : null,
    },
    bending: [],
    leaned: [],
    racking: racking(form, stands.length, underside, whole.hold.screwLength),
    corner: null,
    fittings: [
      { name: shape === 'legs' ? 'Steel legs' : 'Steel frames', count: stands.length, size: [tube.width, underside] },
    ],
    problems: impossible(form, whole.hold.kind, underside),
  };
}

/** In the stand's own axes: length upward, width along the table, thickness across it. */
function solidsOf({ plate, tubes, at }: Stand, form: Steel, underside: number): Convex[] {
  const half = form.tube.width / 2;
  const [floor, under] = [-underside / 2, underside / 2 - form.plate.thickness];
  const places = tubes.map(([, y]) => y - at[1]);
  const upright = places.map((y) => box([floor, -half, y - half], [under, half, y + half]));
  const [first = 0, last = 0] = [Math.min(...places), Math.max(...places)];
  const foot =
    places.length > 1 ? [box([floor, -half, first + half], [floor + form.tube.width, half, last - half])] : [];
  return [
    ...upright,
    ...foot,
    box([under, -plate.long / 2, -plate.wide / 2], [underside / 2, plate.long / 2, plate.wide / 2]),
  ];
}

/**
 * Every leg stands by its plate alone: the push, shared among them, at the height of the top. Bolts are drawn about the
 * plate's edge. Sway of tubes held above: F/n · h³/3E·I each.
 */
function racking(form: Steel, count: number, height: number, insert: number): Racking[] {
  const { tube, plate, shape } = form;
  const inner = Math.max(0, tube.width - 2 * tube.wall);
  const tubes = shape === 'legs' ? count : 2 * count;
  const second = (tube.width ** 4 - inner ** 4) / 12;
  const ways = [
    { way: 'along', reach: plate.length },
    // A frame does not rack in its own plane: its corners are welded.
    ...(shape === 'legs' ? [{ way: 'across', reach: plate.width } as const] : []),
  ] as const;
  return ways.map(({ way, reach }) => ({
    way,
    joint: 'the plates’ bolts',
    parts: [],
    lever: height / count,
    resists: {
      kind: 'drawn',
      what: 'bolt',
      // Two bolts at either edge of a plate.
      reach: drawnReach([HOLE_IN, HOLE_IN, reach - HOLE_IN, reach - HOLE_IN]),
      diameter: form.insert,
      bite: insert,
    },
    sway: height ** 3 / (3 * tubes * second),
    modulus: MATERIALS.steel.modulus,
    formula: `push ÷ ${count} plates · height under the top`,
  }));
}

function impossible(form: Steel, hold: HoldKind, underside: number): Unbuildable[] {
  const { tube, plate, shape } = form;
  const problems: Unbuildable[] = [];
  if (!THROUGH_STEEL.includes(hold)) {
    problems.push({
      problem: 'A plate of steel takes nothing that wants a rail of wood.',
      where: 'form.hold.kind',
      wayOut: 'Take bolts into inserts, oversized holes or screws, in the step Season.',
    });
  }
  const least = tube.width + 2 * (2 * HOLE_IN);
  if (plate.length < least || (shape === 'legs' && plate.width < least)) {
    problems.push({
      problem: 'The plate leaves no room beside the tube for its holes.',
      where: plate.length < least ? 'form.base.plate.length' : 'form.base.plate.width',
      ...atFigure('Take one of at least', Math.ceil(least), ', or a thinner tube.'),
    });
  }
  if (2 * tube.wall >= tube.width) {
    problems.push({
      problem: 'The walls of the tube fill it.',
      where: 'form.base.tube.wall',
      wayOut: 'Make the wall thinner than half the tube.',
    });
  }
  if (underside < 100) {
    problems.push({
      problem: 'Under the top no room is left for legs.',
      where: 'form.base.height',
      wayOut: 'Make the table higher or the top thinner.',
    });
  }
  return problems;
}

const isLegs = ({ shape }: Steel) => shape === 'legs';

export const steel: BaseKind<typeof schema> = {
  name: 'Bought-in steel',
  reason: 'Legs or frames of steel tube, bolted under the top through slots.',
  schema,
  onFrames: true,
  boughtIn: true,
  heldBy: THROUGH_STEEL,
  fields: [
    {
      ask: 'choice',
      at: 'shape',
      label: 'Shape',
      options: [
        {
          value: 'frames',
          label: 'Two frames',
          reason: 'Each under a flat bar across the table: its outer holes are slots.',
        },
        {
          value: 'legs',
          label: 'Four legs',
          reason: 'Each under a plate of its own: nothing ties them to one another.',
        },
      ],
    },
    { ask: 'figure', at: 'tube.width', label: 'Tube, wide' },
    { ask: 'figure', at: 'tube.wall', label: 'Tube, its wall' },
    {
      ask: 'figure',
      at: 'plate.length',
      label: (own) => (isLegs(own) ? 'Plate, along the table' : 'Bar, wide along the table'),
    },
    { ask: 'figure', at: 'plate.width', label: 'Plate, across it', when: isLegs },
    { ask: 'figure', at: 'plate.thickness', label: (own) => (isLegs(own) ? 'Plate, thick' : 'Bar, thick') },
    { ask: 'figure', at: 'insert', label: 'Inserts in the top, thick' },
    {
      ask: 'figure',
      at: 'weight',
      label: (own) => (isLegs(own) ? 'Each leg weighs' : 'Each frame weighs'),
      step: 0.1,
    },
  ],
  start: () => ({
    shape: 'frames',
    tube: { width: 50, wall: 2 },
    plate: { length: 100, width: 100, thickness: 5 },
    insert: 12,
    weight: 8,
  }),
  plan: steelBase,
};
