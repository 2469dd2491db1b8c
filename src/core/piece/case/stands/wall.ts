import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { StandKind } from '../kind';
import { SHELL } from '../shell';
import { cornersOf } from './sides';

const schema = v.object({
  kind: v.literal('wall'),
  /** Floor to its underside, where it hangs. */
  over: length(0, 2500),
  /** Under the top, before the back: it is screwed through the back into the wall. */
  rail: v.object({ height: length(30, 200), thickness: length(12, 40) }),
  screws: whole(2, 20),
});

/** Hung on a wall by a rail under its top: the rail carries all of it, and keeps its length while the case moves in depth. */
export const wall: StandKind<typeof schema> = {
  name: 'A rail on the wall',
  reason: 'Hung: nothing on the floor. The rail between the sides is screwed through the back into what the wall has.',
  only: 'front',
  schema,
  fields: [
    { ask: 'figure', at: 'over', label: 'Floor to its underside' },
    { ask: 'figure', at: 'rail.height', label: 'Rail, high' },
    { ask: 'figure', at: 'rail.thickness', label: 'Rail, thick' },
    { ask: 'figure', at: 'screws', label: 'Screws into the wall' },
  ],
  start: ({ width }) => ({
    kind: 'wall',
    over: 1400,
    rail: { height: 70, thickness: 20 },
    screws: Math.max(2, Math.ceil(width / WALL_SCREWS)),
  }),
  plan({ rail, screws }, { width, depth, sides, inside }) {
    const inner = width / 2 - sides;
    const y = inside.back - rail.thickness / 2;
    const z = inside.high - rail.height / 2;
    const joints = ([-1, 1] as const).map((side): Joint => {
      const into = side < 0 ? SHELL.left : SHELL.right;
      const own = { id: `${into}/wall-rail`, name: `Rail on the ${side < 0 ? 'left' : 'right'} side` };
      return {
        ...{ ...own, kind: 'screwed', into, from: 'wall-rail', removed: [], added: [] },
        ties: [fixed({ ...own, a: into, b: 'wall-rail', at: { x: side * inner, y, z } })],
      };
    });
    return {
      drafts: [
        {
          id: 'wall-rail',
          name: 'Wall rail',
          kind: 'wall-rail',
          grade: 'one-face',
          size: { length: 2 * inner, width: rail.height, thickness: rail.thickness },
          frame: squareFrame([0, y, z], { length: 'x', width: 'z', thickness: 'y' }),
        },
      ],
      joints,
      problems: [],
      through: {
        part: 'wall-rail',
        solid: box(
          [-inner, y - rail.thickness / 2, z - rail.height / 2],
          [inner, y + rail.thickness / 2, z + rail.height / 2],
        ),
      },
      lift: 0,
      sidesDown: false,
      hung: true,
      feet: cornersOf(width, depth),
      fittings: [
        { name: 'Screws for the rail', count: 8, size: [5, 60] },
        { name: 'Screws and plugs for the wall, by what the wall is', count: screws, size: [] },
      ],
    };
  },
};

/** From one to the next, mm; common practice. */
export const WALL_SCREWS = 300;
