import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { fixed, glued, sliding, type Tie } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { BackKind } from '../kind';
import { SHELL } from '../shell';
import { backJoint, backPlace, rabbetsRound } from './in-rabbets';

const schema = v.object({
  kind: v.literal('panel'),
  thickness: length(6, 25),
  /** Screwed in its middle to top and bottom, with room at both sides; or fixed all round. */
  hold: v.picklist(['middle', 'all-round']),
  /** Free at each side on the day it is made. */
  room: length(0, 9),
});

/** One glued panel of solid wood, its grain upright: its whole breadth moves at its two sides. */
export const panel: BackKind<typeof schema> = {
  name: 'A solid panel',
  reason: 'Quiet to look at; its whole breadth moves, so that it is held in its middle and needs room at both sides.',
  schema,
  fields: [
    { ask: 'figure', at: 'thickness', label: 'Back, thick' },
    {
      ask: 'choice',
      at: 'hold',
      label: 'Held',
      options: [
        {
          value: 'middle',
          label: 'In its middle',
          reason: 'Screwed to top and bottom there alone; its sides move in their rabbets.',
        },
        {
          value: 'all-round',
          label: 'All round',
          reason: 'Glued in: nothing moves, until it splits or pushes the case apart.',
        },
      ],
    },
    { ask: 'figure', at: 'room', label: 'Room at each side', when: ({ hold }) => hold === 'middle' },
  ],
  start: () => ({ kind: 'panel', thickness: 12, hold: 'middle', room: 5 }),
  depth: ({ thickness }) => thickness,
  plan({ thickness, hold, room }, shell) {
    const place = backPlace(shell, thickness);
    const { half, low, high, over, front, back } = place;
    const free = hold === 'middle' ? room : 0;
    const [wide, long] = [2 * (half + over - free), high - low + 2 * over];
    const z = (low + high) / 2;
    // Its corners are cut off where top and bottom reach behind it.
    const edge = Math.min(half, wide / 2);
    const solid = (from: number, to: number, up: number) => box([-up, from, -thickness / 2], [up, to, thickness / 2]);
    const draft: Draft = {
      id: 'back',
      name: 'Back',
      kind: 'back-panel',
      grade: 'one-face',
      size: { length: long, width: wide, thickness },
      frame: squareFrame([0, (front + back) / 2, z], { length: 'z', width: 'x', thickness: 'y' }),
      body: [
        solid(-edge, edge, long / 2),
        ...(wide / 2 > half
          ? [solid(-wide / 2, -half, (high - low) / 2), solid(half, wide / 2, (high - low) / 2)]
          : []),
      ],
    };
    const cuts = rabbetsRound(place);
    const tiesOf = (at: 'left' | 'right' | 'top' | 'bottom'): readonly Tie[] => {
      const into = SHELL[at];
      const level = at === 'top' || at === 'bottom';
      const between = {
        id: `${into}/back`,
        name: `Back in ${level ? at : `${at} side`}`,
        a: into,
        b: 'back',
        at: {
          x: at === 'left' ? -half : at === 'right' ? half : 0,
          y: front,
          z: at === 'top' ? high : at === 'bottom' ? low : z,
        },
      };
      if (hold === 'all-round') return level ? glued(between, { x: 2 * half }) : glued(between, { z: high - low });
      if (level) return [fixed(between)];
      // Outward until the rabbet is full, inward until its edge is out of it.
      const [outward, inward] = [free, over - free];
      const right = at === 'right';
      return [
        {
          ...sliding(between, { x: right ? { plus: outward, minus: inward } : { plus: inward, minus: outward } }),
          sets: { path: 'form.back.room', ways: right ? 'plus' : 'minus' },
        },
      ];
    };
    const joints = (['left', 'right', 'top', 'bottom'] as const).map((at) =>
      backJoint({
        id: `${SHELL[at]}/back`,
        name: `Back in ${at === 'left' || at === 'right' ? `${at} side` : at}`,
        into: SHELL[at],
        from: 'back',
        removed: [cuts[at]],
        ties: tiesOf(at),
      }),
    );
    const problems =
      free < over
        ? []
        : [
            {
              problem: 'The room at its sides is as wide as its rabbets: it does not reach into them.',
              where: 'form.back.room',
              wayOut: `Leave at most ${over - 2} mm.`,
              mends: Math.max(0, over - 2),
            },
          ];
    return {
      drafts: [draft],
      joints,
      problems,
      fittings: [{ name: 'Screws for the back', count: 6, size: [3.5, 25] }],
    };
  },
};
