import * as v from 'valibot';
import { length } from '../../decision/fields';
import type { FormField } from '../../decision/form-field';
import { noneOr } from '../../decision/form-field';
import type { Joint } from '../../joint/joint';
import { fixed, glued, sliding } from '../../restraint/tie';
import { clip, planeThrough } from '../../solid/convex';
import { planeInPart, squareFrame } from '../../solid/frame';
import type { Vec } from '../../solid/vector';
import { blockOf, type Draft } from '../part';
import type { Shell, ShellPlan } from './kind';
import { SHELL } from './shell';

/** A moulding round the upper edge of a case, mitred at its front corners; mm. */
export const MouldingSchema = v.object({
  height: length(8, 120),
  thickness: length(5, 60),
  /** How those at its sides are held: fast at their mitre and in slots behind, or glued over their whole length. */
  held: v.picklist(['slots', 'glued']),
  /** How far a screw in a slot may travel, each way. */
  travel: length(0, 25),
});

interface Moulded {
  moulding: v.InferOutput<typeof MouldingSchema> | null;
}

/** What is asked of it. */
export const MOULDING_FIELDS: readonly FormField<Moulded>[] = [
  {
    at: 'moulding',
    label: 'Moulding round its upper edge',
    ...noneOr<Moulded, Moulded['moulding']>(
      ({ moulding }) => moulding,
      {
        none: 'None',
        some: 'Applied',
        reason: 'Mitred in front. Its own length does not change, while a solid side moves under it.',
      },
      () => ({ height: 30, thickness: 20, held: 'slots' as const, travel: 10 }),
    ),
  },
  { ask: 'figure', at: 'moulding.height', label: 'Moulding, high' },
  { ask: 'figure', at: 'moulding.thickness', label: 'Moulding, thick' },
  {
    ask: 'choice',
    at: 'moulding.held',
    label: 'At the sides it is',
    when: ({ moulding }) => moulding !== null,
    options: [
      {
        value: 'slots',
        label: 'Fast in front, in slots behind',
        reason: 'Glued at the mitre, screwed from inside in slots: the side moves.',
      },
      {
        value: 'glued',
        label: 'Glued along its length',
        reason: 'For sides of sheet, which hardly move; a solid one splits, or throws it off.',
      },
    ],
  },
  {
    ask: 'figure',
    at: 'moulding.travel',
    label: 'Slots, travel each way',
    when: ({ moulding }) => moulding?.held === 'slots',
  },
];

/** At the sides: glued length from the mitre, and distance of the screw from the rear end, mm; common practice. */
const GLUED = 50;
const SCREW = 40;

/** Along the front and both sides, its upper edge flush with the carcass's. */
export function mouldingRound(own: v.InferOutput<typeof MouldingSchema>, { width, depth, over }: Shell): ShellPlan {
  const { height, thickness, held, travel } = own;
  const [half, front] = [width / 2, -depth / 2];
  const z = over - height / 2;
  const long = width + 2 * thickness;
  const corner = (side: -1 | 1): Vec => [side * half, front, 0];
  const body = (frame: Draft['frame'], size: number, mitres: readonly { at: Vec; away: Vec }[]) => [
    mitres.reduce(
      (solid, { at, away }) => clip(solid, planeInPart(frame, planeThrough(at, away))),
      blockOf(size, height, thickness),
    ),
  ];
  const inFront = squareFrame([0, front - thickness / 2, z], { length: 'x', width: 'z', thickness: 'y' });
  const beside = depth + thickness;
  const mitred = { mitre: 0, bevel: 45 };
  const drafts: Draft[] = [
    {
      ...{ id: 'moulding-front', name: 'Moulding, front', kind: 'moulding', grade: 'one-face' },
      size: { length: long, width: height, thickness },
      frame: inFront,
      body: body(inFront, long, [
        { at: corner(-1), away: [-1, 1, 0] },
        { at: corner(1), away: [1, 1, 0] },
      ]),
      ends: { start: mitred, end: mitred },
    },
    ...([-1, 1] as const).map((side): Draft => {
      const which = side < 0 ? 'left' : 'right';
      const frame = squareFrame([side * (half + thickness / 2), -thickness / 2, z], {
        length: 'y',
        width: 'z',
        thickness: 'x',
      });
      return {
        ...{ id: `moulding-${which}`, name: `Moulding, ${which}`, kind: 'moulding', grade: 'one-face' },
        size: { length: beside, width: height, thickness },
        frame,
        body: body(frame, beside, [{ at: corner(side), away: [-side, -1, 0] }]),
        ends: { start: mitred, end: { mitre: 0, bevel: 0 } },
      };
    }),
  ];
  const along: Joint = joint('glued-edge', SHELL.top, 'moulding-front', 'Moulding on the front edge', (between) =>
    glued({ ...between, at: { x: 0, y: front, z } }, { x: width }),
  );
  const sides = ([-1, 1] as const).flatMap((side): Joint[] => {
    const which = side < 0 ? 'left' : 'right';
    const [into, from] = [SHELL[which], `moulding-${which}`];
    const x = side * half;
    const onSide = joint('screwed', into, from, `Moulding on the ${which} side`, (between) =>
      held === 'glued'
        ? glued({ ...between, at: { x, y: 0, z } }, { y: depth })
        : [
            ...glued({ ...between, at: { x, y: front + GLUED / 2, z } }, { y: GLUED }),
            {
              ...sliding({ ...between, id: `${between.id}-slot`, at: { x, y: depth / 2 - SCREW, z } }, { y: travel }),
              sets: { path: 'form.moulding.travel', ways: 'both' as const },
            },
          ],
    );
    const mitre = joint('frame-mitre', 'moulding-front', from, `Mitre of the moulding, ${which}`, (between) => [
      fixed({ ...between, at: { x, y: front, z } }),
    ]);
    return [onSide, mitre];
  });
  return { drafts, joints: [along, ...sides], problems: [] };
}

function joint(
  kind: Joint['kind'],
  into: string,
  from: string,
  name: string,
  ties: (between: { id: string; name: string; a: string; b: string }) => Joint['ties'],
): Joint {
  const id = `${into}/${from}`;
  return { ...{ id, kind, name, into, from, removed: [], added: [] }, ties: ties({ id, name, a: into, b: from }) };
}
