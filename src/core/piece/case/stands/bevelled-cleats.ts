import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { type Convex, clip, planeThrough } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import { blockOf, type Draft } from '../../part';
import type { StandKind } from '../kind';
import { SHELL } from '../shell';
import { cornersOf } from './sides';
import { WALL_SCREWS } from './wall';

const schema = v.object({
  kind: v.literal('bevelled-cleats'),
  /** Floor to its underside, where it hangs. */
  over: length(0, 2500),
  /** Of the cleat on the case, and of the one on the wall. */
  rail: v.object({ height: length(30, 200), thickness: length(12, 40) }),
  screws: whole(2, 20),
});

/** Between the two where they meet, and at both ends of the one on the wall, so that it is hung and pushed sideways; mm. */
const PLAY = 1;
const SHORTER = 20;
/** Keeps its lower edge as far off the wall, mm high; common practice. */
const SPACER = 40;

/** Two strips with one bevel, one behind the back under the top and one on the wall: it is lifted over it and drops tight. */
export const bevelledCleats: StandKind<typeof schema> = {
  name: 'Bevelled cleats on the wall',
  reason:
    'Hung over a strip on the wall that is easily set level; it draws itself to the wall, and is lifted off again.',
  only: 'front',
  schema,
  fields: [
    { ask: 'figure', at: 'over', label: 'Floor to its underside' },
    { ask: 'figure', at: 'rail.height', label: 'Cleats, high' },
    { ask: 'figure', at: 'rail.thickness', label: 'Cleats, thick' },
    { ask: 'figure', at: 'screws', label: 'Screws into the wall' },
  ],
  start: ({ width }) => ({
    kind: 'bevelled-cleats',
    over: 1400,
    rail: { height: 70, thickness: 18 },
    screws: Math.max(2, Math.ceil(width / WALL_SCREWS)),
  }),
  recess: ({ rail }) => rail.thickness,
  plan({ rail, screws }, { width, depth, sides, inside }) {
    const inner = width / 2 - sides;
    const { height, thickness } = rail;
    const y = depth / 2 - thickness / 2;
    const strip = (
      id: string,
      name: string,
      long: number,
      z: readonly [number, number],
      body: readonly Convex[],
    ): Draft => ({
      ...{ id, name, kind: 'wall-rail', grade: 'hidden' },
      size: { length: long, width: z[1] - z[0], thickness },
      frame: squareFrame([0, y, (z[0] + z[1]) / 2], { length: 'x', width: 'z', thickness: 'y' }),
      body,
    });
    // Half a right angle: across their thickness the edges rise by as much. In their own axes width is up and thickness to the wall.
    const up = [0, 1, 1] as const;
    const upper: readonly [number, number] = [inside.high - height, inside.high];
    const lower: readonly [number, number] = [upper[0] + thickness - height - PLAY, upper[0] + thickness - PLAY];
    const long = 2 * inner;
    const cut = (size: number, keep: 'above' | 'below') => {
      const edge = (keep === 'above' ? -1 : 1) * (height / 2);
      const at = [0, edge, keep === 'above' ? thickness / 2 : -thickness / 2] as const;
      const way = keep === 'above' ? up.map((n) => -n) : up;
      return [clip(blockOf(size, height, thickness), planeThrough(at, [way[0] ?? 0, way[1] ?? 0, way[2] ?? 0]))];
    };
    const spacer: readonly [number, number] = [inside.low, inside.low + SPACER];
    const drafts = [
      strip('wall-rail', 'Cleat of the case', long, upper, cut(long, 'above')),
      strip('wall-cleat', 'Cleat on the wall', long - SHORTER, lower, cut(long - SHORTER, 'below')),
      strip('wall-spacer', 'Spacer behind its lower edge', long, spacer, [blockOf(long, SPACER, thickness)]),
    ];
    const screwed = (from: string, into: string, name: string, z: number): Joint => ({
      ...{ id: `${into}/${from}`, kind: 'screwed', name, into, from, removed: [], added: [] },
      ties: [fixed({ id: `${into}/${from}`, name, a: into, b: from, at: { x: 0, y, z } })],
    });
    return {
      drafts,
      joints: [
        screwed('wall-rail', SHELL.top, 'Cleat under the top', inside.high),
        screwed('wall-spacer', SHELL.bottom, 'Spacer on the bottom', inside.low),
      ],
      problems:
        lower[0] < spacer[1]
          ? [
              {
                problem: 'There is no room for two cleats behind its back.',
                where: 'form.stand.rail.height',
                wayOut: 'Make them lower, or the case higher.',
                mends: Math.max(30, Math.floor((inside.high - inside.low - SPACER) / 2 - thickness)),
              },
            ]
          : [],
      lift: 0,
      sidesDown: false,
      hung: true,
      feet: cornersOf(width, depth),
      fittings: [
        { name: 'Screws for the cleat', count: Math.max(4, 2 * Math.ceil(long / WALL_SCREWS)), size: [5, 50] },
        { name: 'Screws and plugs for the wall, by what the wall is', count: screws, size: [] },
      ],
    };
  },
};
