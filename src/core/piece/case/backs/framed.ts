import * as v from 'valibot';
import { length } from '../../../decision/fields';
import { fixed, sliding, type Tie } from '../../../restraint/tie';
import { frameAndPanels } from '../../frame-and-panels';
import { FRAME_FIELDS, frameEntries, startFrame } from '../../frame-fields';
import type { BackKind } from '../kind';
import { SHELL } from '../shell';
import { backJoint, backPlace, rabbetsRound } from './in-rabbets';

const schema = v.object({
  kind: v.literal('framed'),
  ...frameEntries,
  /** Free in the rabbets beside each stile and over the upper rail, on the day it is made. */
  beside: length(0, 6),
});

/** From one screw to the next along its rails, mm; common practice. */
const SCREWS = 200;

/** A frame whose panels float: it moves by the breadth of its two stiles alone, and keeps the case square. */
export const framed: BackKind<typeof schema> = {
  name: 'Frame and panels',
  reason:
    'Solid wood that hardly moves: panels float in their grooves, the frame is screwed in and stiffens the case. Good to look at from behind.',
  schema,
  fields: [
    ...(FRAME_FIELDS as BackKind<typeof schema>['fields']),
    { ask: 'figure', at: 'beside', label: 'Room beside it in the rabbets' },
  ],
  start: ({ width, height }) => ({ kind: 'framed', ...startFrame(width, height), beside: 2 }),
  depth: ({ thickness }) => thickness,
  plan(own, shell) {
    const place = backPlace(shell, own.thickness);
    const { half, low, high, over, front, back } = place;
    const free = Math.min(own.beside, over - 1);
    const plan = frameAndPanels(own, {
      ...{ id: 'back', name: 'the back', toward: 'x', path: 'form.back' },
      along: [-half - over + free, half + over - free],
      up: [low - over, high + over - free],
      through: [front, back],
      corner: { along: over - free, up: over },
    });
    const cuts = rabbetsRound(place);
    const [lowest = '', highest = ''] = [plan.rails[0], plan.rails.at(-1)];
    // Screwed fast to the bottom, to the top in slots: its rails swell upward.
    const level = (['top', 'bottom'] as const).map((at) => {
      const [into, from] = [SHELL[at], at === 'top' ? highest : lowest];
      const tie = { id: `${into}/${from}`, name: `Back on the ${at}` };
      const between = { ...tie, a: into, b: from, at: { x: 0, y: front, z: at === 'top' ? high : low } };
      const slotted: readonly Tie[] = [
        fixed(between, ['x', 'y']),
        {
          ...sliding({ ...between, id: `${tie.id}-slots` }, { z: { plus: free, minus: over - free } }),
          sets: { path: 'form.back.beside', ways: 'plus' },
        },
      ];
      return backJoint({
        ...{ ...tie, into, from, removed: [cuts[at]], passes: Object.values(plan.stiles) },
        ties: at === 'top' ? slotted : [fixed(between)],
      });
    });
    const upright = (['left', 'right'] as const).map((at) => {
      const [into, from] = [SHELL[at], plan.stiles[at]];
      const tie = { id: `${into}/${from}`, name: `Back in ${at} side` };
      const [outward, inward] = [free, over - free];
      const right = at === 'right';
      return backJoint({
        ...{ ...tie, into, from, removed: [cuts[at]] },
        ties: [
          {
            ...sliding(
              { ...tie, a: into, b: from, at: { x: right ? half : -half, y: front, z: (low + high) / 2 } },
              { x: right ? { plus: outward, minus: inward } : { plus: inward, minus: outward } },
            ),
            sets: { path: 'form.back.beside', ways: right ? 'plus' : 'minus' },
          },
        ],
      });
    });
    const across = 2 * (Math.ceil((2 * half) / SCREWS) + 1);
    return {
      drafts: plan.drafts,
      joints: [...plan.joints, ...level, ...upright],
      problems: [
        ...plan.problems,
        ...(own.beside < over - 1
          ? []
          : [
              {
                problem: 'The room beside it is as wide as the rabbets.',
                where: 'form.back.beside',
                wayOut: 'Leave less.',
                mends: Math.max(0, over - 3),
              },
            ]),
      ],
      fittings: [{ name: 'Screws for the back', count: across, size: [3.5, 30] }],
    };
  },
};
