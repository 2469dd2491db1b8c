import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { Cut, Joint } from '../../../joint/joint';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Vec } from '../../../solid/vector';
import { STAYS_IN } from '../../frame-fields';
import type { Draft } from '../../part';
import type { TopKind } from '../kind';
import { DEEPEST, END_PLAY, groovesOf, heldAtEnd, looseAtSide } from '../loose-panel';
import { SHELL } from '../shell';
import { AIR_FIELDS, airEntries, airGaps, boughtForLid } from './lid';

const schema = v.object({
  kind: v.literal('sawn-off'),
  /** From the upper edge to the saw cut, and as wide as that is. */
  lid: length(15, 400),
  kerf: length(1, 8),
  /** The panel in it: how thick, how far into its grooves, how far under the upper edge, and free at its long sides. */
  panel: length(4, 25),
  tongue: length(3, 15),
  inset: length(0, 40),
  room: length(0, 12),
  hinges: whole(2, 6),
  air: airEntries,
});
type SawnOff = v.InferOutput<typeof schema>;

/** So much is left of the lid under its panel, mm; common practice. */
const UNDER_PANEL = 8;
/** Of a panel's depth, a share is left on either side for its movement; what a groove is usually deep. mm; common practice. */
const ROOM = 75;
const USUAL_TONGUE = 6;
/** A chest this large requires air gaps, mm³. */
const HOLDS_A_CHILD = 30e6;

/** A box made closed and glued, its lid sawn off: grain and joints run on over the cut. */
export const sawnOff: TopKind<typeof schema> = {
  name: 'A lid sawn off the closed box',
  reason: 'Glued closed, the panel loose in its grooves, then sawn open: grain and corners run on from box to lid.',
  only: 'above',
  plainInFront: true,
  schema,
  fields: [
    { ask: 'figure', at: 'lid', label: 'Lid, high' },
    { ask: 'figure', at: 'kerf', label: 'Saw cut, with what is planed off', step: 0.5 },
    { ask: 'figure', at: 'panel', label: 'Panel, thick' },
    { ask: 'figure', at: 'tongue', label: 'Into the grooves' },
    { ask: 'figure', at: 'inset', label: 'Under the upper edge' },
    { ask: 'figure', at: 'room', label: 'Room in front and behind', step: 0.5 },
    { ask: 'figure', at: 'hinges', label: 'Hinges' },
    ...(AIR_FIELDS as TopKind<typeof schema>['fields']),
  ],
  start({ width, height, depth, carcass }) {
    const most = carcass ? Math.floor(Math.min(carcass.sides, carcass.across) * DEEPEST) : USUAL_TONGUE;
    // As much as it may grow into its grooves it may shrink out of them.
    const room = Math.max(0.5, Math.min(Math.ceil(depth / ROOM), (most - STAYS_IN) / 2));
    const air = width * height * depth > HOLDS_A_CHILD ? { width: 90, height: 12 } : { width: 0, height: 0 };
    return {
      kind: 'sawn-off',
      ...{
        lid: Math.round(Math.max(40, height / 4)),
        kerf: 3,
        panel: 8,
        tongue: Math.max(3, Math.min(most, Math.ceil(2 * room + STAYS_IN))),
        inset: 6,
        room,
      },
      ...{ hinges: width > 900 ? 3 : 2, air },
    };
  },
  thickness: () => 0,
  reaches: ({ lid, kerf }) => lid + kerf,
  saws: ({ lid, kerf }, upper) => ({ from: upper - lid - kerf, to: upper - lid }),
  plan(own, place) {
    const { width, depth, sides, across, under } = place;
    const { panel, tongue, inset, room } = own;
    const [x, y, high] = [width / 2 - sides, depth / 2 - across, under - inset];
    const [ends, front] = [tongue - END_PLAY, tongue - room];
    const half = panel / 2;
    const lid: Draft = {
      ...{ id: 'lid', name: 'Panel of the lid', kind: 'lid', grade: 'all-faces' },
      size: { length: 2 * (x + ends), width: 2 * (y + front), thickness: panel },
      frame: squareFrame([0, 0, high - half], { length: 'x', width: 'y', thickness: 'z' }),
      // Its corners are cut off: grooves end where the walls meet.
      body: [
        box([-x - ends, -y, -half], [x + ends, y, half]),
        ...(front > 0 ? [box([-x, -y - front, -half], [x, -y, half]), box([-x, y, -half], [x, y + front, half])] : []),
      ],
    };
    return {
      drafts: [lid],
      joints: WALLS.map((wall) => grooved(own, wall, { x, y, low: high - panel, high })),
      problems: groovesOf(own, Math.min(sides, across), 'the panel of the lid', 'form.top'),
      fittings: boughtForLid(own.hinges, width),
      cuts: airGaps(own.air, { inner: x, outer: width / 2, under: under - own.lid - own.kerf, edging: 0 }),
    };
  },
};

/** The walls of a chest: the bottom of a case laid on its back is the front one. */
const WALLS = [
  { id: SHELL.left, words: 'left end', axis: 'x', way: -1 },
  { id: SHELL.right, words: 'right end', axis: 'x', way: 1 },
  { id: SHELL.bottom, words: 'front wall', axis: 'y', way: -1 },
  { id: SHELL.top, words: 'back wall', axis: 'y', way: 1 },
] as const;

function grooved(
  { tongue, room }: SawnOff,
  { id, words, axis, way }: (typeof WALLS)[number],
  { x, y, low, high }: { x: number; y: number; low: number; high: number },
): Joint {
  const [face, along] = axis === 'x' ? [x, y] : [y, x];
  const [near, far] = [way * face, way * (face + tongue)].sort((a, b) => a - b) as [number, number];
  const at = (across: number, length: number, z: number): Vec =>
    axis === 'x' ? [across, length, z] : [length, across, z];
  const removed: Cut = {
    ...{ part: id, what: 'groove', solid: box(at(near, -along, low), at(far, along, high)) },
    open: [at(-way, 0, 0), at(0, 1, 0), at(0, -1, 0)],
  };
  const middle = (low + high) / 2;
  const [px, py] = at(way * face, 0, 0);
  const between = {
    ...{ id: `${id}/lid`, name: `Panel of the lid in the ${words}`, a: id, b: 'lid' },
    at: { x: px, y: py, z: middle },
  };
  return {
    ...{ id: between.id, name: between.name, kind: 'panel-groove', into: id, from: 'lid', added: [] },
    removed: [removed],
    ties: axis === 'x' ? heldAtEnd(between, 'x') : looseAtSide(between, { axis, way }, { tongue, room }, 'form.top'),
  };
}

/** No lid is lower, mm: something must hold its panel. */
export const leastLid = ({ inset, panel }: SawnOff): number => Math.ceil(inset + panel + UNDER_PANEL);
