import * as v from 'valibot';
import { length } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed, sliding } from '../../../restraint/tie';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { StandKind } from '../kind';
import { cornersOf, travelFor } from './sides';

const schema = v.object({
  kind: v.literal('plinth'),
  height: length(30, 300),
  thickness: length(12, 50),
  /** Behind the front and the sides of the case. */
  setBack: length(0, 150),
  /** How far the screws at its back may travel in their slots, each way. */
  travel: length(0, 25),
});

/**
 * A frame of four boards under the case. Its sides run from front to back along their grain and keep their length, while
 * the case moves in its depth: it is screwed fast at the front and in slots at the back.
 */
export const plinth: StandKind<typeof schema> = {
  name: 'A plinth of its own',
  reason: 'Levelled on the floor before the case is put on it; the case moves over it, fixed at the front alone.',
  carries: true,
  schema,
  fields: [
    { ask: 'figure', at: 'height', label: 'Plinth, high' },
    { ask: 'figure', at: 'thickness', label: 'Plinth, thick' },
    { ask: 'figure', at: 'setBack', label: 'Set back' },
    { ask: 'figure', at: 'travel', label: 'Slots at the back, travel each way' },
  ],
  start: ({ depth }) => ({ kind: 'plinth', height: 80, thickness: 20, setBack: 20, travel: travelFor(depth) }),
  plan({ height, thickness, setBack, travel }, outside) {
    const width = outside.width - 2 * setBack;
    // Flush behind, so that it stands against the wall like the case.
    const [front, back] = [-outside.depth / 2 + setBack, outside.depth / 2];
    const long = back - front - 2 * thickness;
    const z = height / 2;
    const board = (id: string, name: string, size: number, at: readonly [number, number], along: 'x' | 'y'): Draft => ({
      id,
      name,
      kind: 'plinth',
      grade: id === 'plinth-back' ? 'hidden' : 'one-face',
      size: { length: size, width: height, thickness },
      frame: squareFrame([at[0], at[1], z], { length: along, width: 'z', thickness: along === 'x' ? 'y' : 'x' }),
    });
    const middle = (front + back) / 2;
    const x = width / 2 - thickness / 2;
    const drafts = [
      board('plinth-front', 'Plinth, front', width, [0, front + thickness / 2], 'x'),
      board('plinth-back', 'Plinth, back', width, [0, back - thickness / 2], 'x'),
      board('plinth-left', 'Plinth, left', long, [-x, middle], 'y'),
      board('plinth-right', 'Plinth, right', long, [x, middle], 'y'),
    ];
    const corners = (['left', 'right'] as const).flatMap((side) =>
      (['front', 'back'] as const).map((end): Joint => {
        const [into, from] = [`plinth-${end}`, `plinth-${side}`];
        const id = `${into}/${from}`;
        const name = `Plinth, ${side} on ${end}`;
        const at = { x: side === 'left' ? -x : x, y: end === 'front' ? front + thickness : back - thickness, z };
        return {
          id,
          kind: 'screwed',
          name,
          into,
          from,
          removed: [],
          added: [],
          ties: [fixed({ id, name, a: into, b: from, at })],
        };
      }),
    );
    const under = (['front', 'back'] as const).map((end): Joint => {
      const into = `plinth-${end}`;
      const seat = outside.seats[end];
      const id = `${into}/${seat}`;
      const name = `Case on the plinth’s ${end}`;
      const at = { x: 0, y: end === 'front' ? front + thickness / 2 : back - thickness / 2, z: height };
      const between = { id, name, a: into, b: seat, at };
      const tie =
        end === 'front' || !outside.moves
          ? fixed(between)
          : { ...sliding(between, { y: travel }), sets: { path: 'form.stand.travel', ways: 'both' as const } };
      return { id, kind: 'screwed', name, into, from: seat, removed: [], added: [], ties: [tie] };
    });
    return {
      drafts,
      joints: [...corners, ...under],
      problems: [],
      lift: height,
      sidesDown: false,
      feet: cornersOf(width, back - front).map(([fx, fy]) => [fx, fy + middle] as const),
      fittings: [{ name: 'Screws for the plinth', count: 14, size: [4, 50] }],
    };
  },
};
