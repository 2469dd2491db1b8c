import * as v from 'valibot';
import type { Change } from '../../../decision/changes';
import { length, whole } from '../../../decision/fields';
import type { FormField } from '../../../decision/form-field';
import { frameEntries, usualRoom } from '../../frame-fields';
import { rootOf } from '../inside/cells';
import type { RestOfCase, Shell } from '../kind';
import { travelFor } from '../stands/sides';
import { overhanging } from '../tops/overhanging';

/** What is decided of a carcass whose sides, top and bottom are frames; mm. Its posts are as thick as its sides, the frames above and below as top and bottom. */
export const framesEntries = {
  /** Of a post, front to back. */
  post: length(25, 150),
  /** Of the rails in the sides, high. */
  rail: length(40, 250),
  /** Panels of a side beside one another, and over one another. */
  across: whole(1, 4),
  up: whole(1, 8),
  panelThickness: frameEntries.panelThickness,
  tongue: frameEntries.tongue,
  room: frameEntries.room,
  /** Of the rails above and below, front to back. */
  level: length(30, 200),
  floor: v.object({
    thickness: length(4, 30),
    /** Panels beside one another. */
    panels: whole(1, 8),
    tongue: frameEntries.tongue,
    room: frameEntries.room,
  }),
  /** Free behind what is let into the sides over their whole depth. */
  behind: length(0, 20),
};
const schema = v.object(framesEntries);
export type FramesDecided = v.InferOutput<typeof schema>;

export const FRAMES_FIELDS: readonly FormField<FramesDecided>[] = [
  { ask: 'figure', at: 'rail', label: 'Rails of the sides, high' },
  { ask: 'figure', at: 'across', label: 'Panels of a side beside one another' },
  { ask: 'figure', at: 'up', label: 'Panels of a side over one another' },
  { ask: 'figure', at: 'panelThickness', label: 'Panels of the sides, thick' },
  { ask: 'figure', at: 'tongue', label: 'Into the grooves' },
  { ask: 'figure', at: 'room', label: 'Room at each side of a panel' },
  { ask: 'figure', at: 'level', label: 'Rails above and below, front to back' },
  { ask: 'figure', at: 'floor.panels', label: 'Panels of the bottom beside one another' },
  { ask: 'figure', at: 'floor.thickness', label: 'Panels of the bottom, thick' },
  { ask: 'figure', at: 'floor.tongue', label: 'Into the grooves of the bottom' },
  { ask: 'figure', at: 'floor.room', label: 'Room in front of its panels and behind' },
  {
    ask: 'figure',
    at: 'behind',
    label: 'Room behind shelves and uprights',
    hint: 'They are glued in front alone, and grow toward the back.',
  },
];

/** Sound sizes for a case of this width and depth, mm; common practice. */
export function startFrames({ width, depth }: Pick<Shell, 'width' | 'depth'>, post: number): FramesDecided {
  const level = 70;
  const [side, floor] = [usualRoom(depth - 2 * post), usualRoom(depth - 2 * level)];
  return {
    ...{ post, rail: 95, across: 1, up: 1, panelThickness: 8, level },
    ...{ tongue: 2 * side + 5, room: side, behind: travelFor(depth) },
    floor: { thickness: 10, panels: Math.min(8, Math.ceil(width / USUAL_PANEL)), tongue: 2 * floor + 5, room: floor },
  };
}

/** Greatest usual length of a panel of the bottom, mm; common practice. */
const USUAL_PANEL = 300;
/**
 * What else of a case is decided anew where it is made of frames: a top that hides the upper rails, held with travel; plain
 * edges; rows of pins in the posts; rails that bear the load of the bottom.
 */
export function broughtByFrames(form: RestOfCase, own: FramesDecided): Change[] {
  const { inside, top, front, depth, carcass, back } = form;
  const { pins } = inside;
  const most = Math.floor(own.post - own.tongue - pins.diameter / 2 - own.behind - back);
  const across = bearing(form, own);
  return [
    ...(front.kind === 'plain' ? [] : [{ path: 'form.front', value: { kind: 'plain' } }]),
    {
      path: 'form.top',
      value: {
        ...(top.kind === 'overhanging' ? top : overhanging.start(form)),
        travel: travelFor(depth),
      },
    },
    ...(pins.fromEdge > most ? [{ path: 'form.inside.pins.fromEdge', value: Math.max(LEAST_FROM_EDGE, most) }] : []),
    ...(across > carcass.across ? [{ path: 'form.carcass.across', value: across }] : []),
  ];
}

/** A row of pins stands no nearer to an edge, mm; common practice. */
const LEAST_FROM_EDGE = 15;
/** Of soft wood, MPa; what the eye accepts, of a length; twice as much in time. */
const SOFT = 8500;
const ACCEPTED = 0.0016;

/** The thickness at which the rails of the bottom bear its load, mm; 0 where the stand or an upright carries them. */
function bearing({ width, carcass, loads, carried, inside }: RestOfCase, { level }: FramesDecided): number {
  if (carried || rootOf(inside.cells).divided === 'uprights') return 0;
  const span = width - 2 * carcass.sides;
  const each = loads.shelf / 2000;
  // 2 · 5wL⁴ ÷ 384EI, with I = level · t³ ÷ 12.
  return Math.min(60, Math.ceil(Math.cbrt((120 * each * span ** 3) / (384 * SOFT * level * ACCEPTED))));
}
