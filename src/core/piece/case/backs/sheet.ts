import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { glued } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { BackKind } from '../kind';
import { SHELL } from '../shell';
import { backJoint, backPlace, rabbetsRound } from './in-rabbets';

const schema = v.object({
  kind: v.literal('sheet'),
  thickness: length(3, 20),
});

/** From one screw to the next round its edge, mm; common practice. */
const SCREWS = 150;

/** A sheet in rabbets, glued and screwed all round: it hardly moves, and stiffens the case against racking. */
export const sheet: BackKind<typeof schema> = {
  name: 'Sheet, glued and screwed',
  reason: 'Hardly moves, so that it may be fixed all round; nothing stiffens a case more.',
  schema,
  fields: [{ ask: 'figure', at: 'thickness', label: 'Back, thick' }],
  start: () => ({ kind: 'sheet', thickness: 6 }),
  depth: ({ thickness }) => thickness,
  plan({ thickness }, shell) {
    const place = backPlace(shell, thickness);
    const { half, low, high, over, front, back } = place;
    const [wide, long] = [2 * (half + over), high - low + 2 * over];
    const z = (low + high) / 2;
    const strip = (from: number, to: number, up: number) => box([-up, from, -thickness / 2], [up, to, thickness / 2]);
    const draft: Draft = {
      id: 'back',
      name: 'Back',
      kind: 'sheet',
      grade: 'one-face',
      material: 'sheet',
      size: { length: long, width: wide, thickness },
      frame: squareFrame([0, (front + back) / 2, z], { length: 'z', width: 'x', thickness: 'y' }),
      body: [
        strip(-half, half, long / 2),
        strip(-half - over, -half, (high - low) / 2),
        strip(half, half + over, (high - low) / 2),
      ],
    };
    const cuts = rabbetsRound(place);
    const joints = (['left', 'right', 'top', 'bottom'] as const).map((edge) => {
      const into = SHELL[edge];
      const name = `Back in ${edge === 'left' || edge === 'right' ? `${edge} side` : edge}`;
      const upright = edge === 'left' || edge === 'right';
      const at = {
        x: edge === 'left' ? -half : edge === 'right' ? half : 0,
        y: front,
        z: edge === 'top' ? high : edge === 'bottom' ? low : z,
      };
      const id = `${into}/back`;
      return backJoint({
        id,
        name,
        into,
        from: 'back',
        removed: [cuts[edge]],
        ties: glued({ id, name, a: into, b: 'back', at }, upright ? { z: high - low } : { x: 2 * half }),
      });
    });
    const screws = 2 * (Math.ceil(wide / SCREWS) + Math.ceil(long / SCREWS));
    return {
      drafts: [draft],
      joints,
      problems: [],
      fittings: [
        { name: 'Sheet, cut to size', count: 1, size: [long, wide, thickness] },
        { name: 'Screws for the back', count: screws, size: [3, 16] },
      ],
    };
  },
};
