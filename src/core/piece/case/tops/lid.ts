import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { FormField } from '../../../decision/form-field';
import { EdgeSchema } from '../../../decision/top-shapes';
import type { Cut, Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import { EDGE_FIELDS } from '../../edge-fields';
import type { Draft, Fitting } from '../../part';
import type { TopKind, UnderTop } from '../kind';
import { SHELL } from '../shell';
import { shapeOf } from './shaped-board';

/** Cut into the upper edge of each end, so that the closed chest lets air in. */
export const airEntries = v.object({ width: length(0, 300), height: length(0, 40) });

/** What is asked of it. */
export const AIR_FIELDS: readonly FormField<{ air: v.InferOutput<typeof airEntries> }>[] = [
  { ask: 'figure', at: 'air.width', label: 'Air gap in each end, wide' },
  { ask: 'figure', at: 'air.height', label: 'Air gap, high', hint: 'A child that climbs in must be able to breathe.' },
];

const schema = v.object({
  kind: v.literal('lid'),
  thickness: length(9, 60),
  front: length(0, 100),
  ends: length(0, 100),
  /** Worked in front and at its ends. */
  edge: v.optional(EdgeSchema, { kind: 'square' }),
  battens: v.object({
    count: whole(0, 8),
    width: length(20, 120),
    thickness: length(9, 50),
    /** How far their outer screws may travel in their slots, each way. */
    travel: length(0, 25),
  }),
  hinges: whole(2, 6),
  air: airEntries,
});

const STRAIGHT = { front: 0, ends: 0, back: 0 };

/** From the edges of the lid to the outer screws of its battens, and from the walls to what hangs under it, mm; common practice. */
const SCREW = 35;
const CLEAR = 8;

/** A lid on hinges along the back: one panel, kept flat by battens that are held in their middle. */
export const lid: TopKind<typeof schema> = {
  name: 'A lid on hinges',
  reason:
    'One panel, kept flat by battens under it: held in their middle, in slots toward its edges. A stay holds it open.',
  only: 'above',
  schema,
  fields: [
    { ask: 'figure', at: 'thickness', label: 'Lid, thick' },
    { ask: 'figure', at: 'front', label: 'Overhang, front' },
    { ask: 'figure', at: 'ends', label: 'Overhang, ends' },
    ...(EDGE_FIELDS as TopKind<typeof schema>['fields']),
    { ask: 'figure', at: 'battens.count', label: 'Battens' },
    { ask: 'figure', at: 'battens.width', label: 'Batten, wide', when: ({ battens }) => battens.count > 0 },
    { ask: 'figure', at: 'battens.thickness', label: 'Batten, thick', when: ({ battens }) => battens.count > 0 },
    { ask: 'figure', at: 'battens.travel', label: 'Slots, travel each way', when: ({ battens }) => battens.count > 0 },
    { ask: 'figure', at: 'hinges', label: 'Hinges' },
    ...(AIR_FIELDS as TopKind<typeof schema>['fields']),
  ],
  start: ({ width }) => ({
    kind: 'lid',
    thickness: 22,
    front: 20,
    ends: 20,
    edge: { kind: 'square' },
    battens: { count: width > 900 ? 3 : 2, width: 60, thickness: 20, travel: 8 },
    hinges: width > 900 ? 3 : 2,
    air: { width: 90, height: 12 },
  }),
  thickness: ({ thickness }) => thickness,
  plan(own, { width, depth, sides, across, under, edging }) {
    const { thickness, front, ends, battens, hinges, air } = own;
    const [from, to] = [-depth / 2 - front, depth / 2];
    const y = (from + to) / 2;
    const size = { length: width + 2 * ends, width: to - from, thickness };
    const panel: Draft = {
      id: 'lid',
      name: 'Lid',
      kind: 'lid',
      grade: 'all-faces',
      size,
      ...shapeOf({ ...own, bulge: STRAIGHT }, size, false),
      frame: squareFrame([0, y, under + thickness / 2], { length: 'x', width: 'y', thickness: 'z' }),
    };
    const inner = { x: width / 2 - sides, front: -depth / 2 + across + CLEAR, back: depth / 2 - across - CLEAR };
    const long = inner.back - inner.front;
    const places = Array.from({ length: battens.count }, (_, i) => ((i + 0.5) / battens.count - 0.5) * 2 * inner.x);
    const held = places.map((x, i) => battenAt(battens, { x, i, under, front: inner.front, back: inner.back }));
    const hung = hingesOfLid(hinges, { width, depth, under });
    const cuts = airGaps(air, { inner: inner.x, outer: width / 2, under, edging });
    return {
      drafts: [panel, ...held.map(({ draft }) => draft)],
      joints: [...held.map(({ joint }) => joint), ...hung],
      problems:
        battens.count > 0 && long < 2 * SCREW + 20
          ? [
              {
                problem: 'There is no room for battens between the walls.',
                where: 'form.top.battens.count',
                wayOut: 'Leave them away, or make the chest deeper.',
                mends: 0,
              },
            ]
          : [],
      fittings: [
        ...boughtForLid(hinges, width),
        ...(battens.count > 0
          ? [
              {
                name: 'Screws for battens',
                count: 3 * battens.count,
                size: [4, Math.floor(battens.thickness + thickness * 0.6)],
              },
            ]
          : []),
      ],
      cuts,
    };
  },
};

/** Along the back wall, even. mm */
export const hingesOfLid = (
  count: number,
  { width, depth, under }: Pick<UnderTop, 'width' | 'depth' | 'under'>,
): Joint[] =>
  Array.from({ length: count }, (_, i): Joint => {
    const x = ((i + 0.5) / count - 0.5) * width;
    const own = { id: `${SHELL.top}/lid-hinge-${i + 1}`, name: `Hinge ${i + 1} of the lid` };
    return {
      ...{ ...own, kind: 'hinged', into: SHELL.top, from: 'lid', removed: [], added: [] },
      ties: [fixed({ ...own, a: SHELL.top, b: 'lid', at: { x, y: depth / 2, z: under } })],
    };
  });

export const boughtForLid = (hinges: number, width: number): Fitting[] => [
  { name: 'Hinges for the lid', count: hinges, size: [60, 35] },
  { name: 'Lid stay that holds in any place', count: width > 800 ? 2 : 1, size: [] },
];

/** A gap in the upper edge of each end; through a lipping it continues into the end. mm */
export function airGaps(
  air: { width: number; height: number },
  at: { inner: number; outer: number; under: number; edging: number },
): Cut[] {
  if (air.width === 0 || air.height === 0) return [];
  const [edge, low] = [at.under - at.edging, at.under - air.height];
  return ([-1, 1] as const).flatMap((side) => {
    const [a, b] = [side * at.inner, side * at.outer].sort((p, q) => p - q) as [number, number];
    const part = side < 0 ? SHELL.left : SHELL.right;
    const gap = (of: string, from: number, to: number, through: boolean): Cut[] =>
      to > from
        ? [
            {
              part: of,
              what: 'air gap',
              solid: box([a, -air.width / 2, from], [b, air.width / 2, to]),
              open: [[0, 0, 1], ...(through ? [[0, 0, -1] as Vec] : []), [1, 0, 0], [-1, 0, 0]],
            },
          ]
        : [];
    return [
      ...gap(part, low, edge, false),
      ...(at.edging > 0 ? gap(`lipping-${part}`, Math.max(edge, low), at.under, low < edge) : []),
    ];
  });
}

/** A batten under the lid: screwed fast in its middle, in slots toward both edges. */
function battenAt(
  battens: v.InferOutput<typeof schema>['battens'],
  at: { x: number; i: number; under: number; front: number; back: number },
): { draft: Draft; joint: Joint } {
  const { x, under } = at;
  const id = `batten-${at.i + 1}`;
  const name = `Batten ${at.i + 1}`;
  const middle = (at.front + at.back) / 2;
  const screw = (place: string, y: number) => ({
    ...{ id: `lid/${id}-${place}`, name: `${name} under the lid, ${place}`, a: id, b: 'lid' },
    at: { x, y, z: under },
  });
  const slot = (place: string, y: number) => ({
    ...sliding(screw(place, y), { y: battens.travel }),
    sets: { path: 'form.top.battens.travel', ways: 'both' as const },
  });
  const between = { id: `lid/${id}`, name: `${name} under the lid` };
  return {
    draft: {
      ...{ id, name, kind: 'batten', grade: 'one-face' },
      size: { length: at.back - at.front, width: battens.width, thickness: battens.thickness },
      frame: squareFrame([x, middle, under - battens.thickness / 2], { length: 'y', width: 'x', thickness: 'z' }),
    },
    joint: {
      ...{ ...between, kind: 'screwed', into: 'lid', from: id, removed: [], added: [] },
      ties: [fixed(screw('middle', middle)), slot('front', at.front + SCREW), slot('back', at.back - SCREW)],
    },
  };
}
