import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { box } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { BackKind } from '../kind';
import { SHELL } from '../shell';
import { backJoint, backPlace, rabbetsRound } from './in-rabbets';

const schema = v.object({
  kind: v.literal('boards'),
  count: whole(2, 60),
  thickness: length(6, 25),
  /** Each reaches over the next by so much behind it. */
  lap: length(3, 25),
  /** Between two of them on the day they are screwed on. */
  gap: length(0, 12),
});

/** About so wide, mm; common practice. */
const USUAL = 140;

/** Upright boards lapped over one another, each screwed in its middle to top and bottom: every one moves by itself. */
export const boards: BackKind<typeof schema> = {
  name: 'Lapped boards, each fixed in its middle',
  reason:
    'Solid wood behind; gaps follow the year, and the laps keep them shut to the eye. It stiffens the case little.',
  schema,
  fields: [
    { ask: 'figure', at: 'count', label: 'Boards of the back' },
    { ask: 'figure', at: 'thickness', label: 'Back, thick' },
    { ask: 'figure', at: 'lap', label: 'Laps' },
    { ask: 'figure', at: 'gap', label: 'Gaps as it is made' },
  ],
  start: ({ width }) => ({
    kind: 'boards',
    count: Math.max(2, Math.round(width / USUAL)),
    thickness: 12,
    lap: 8,
    gap: 2,
  }),
  depth: ({ thickness }) => thickness,
  plan({ count, thickness, lap, gap }, shell) {
    const place = backPlace(shell, thickness);
    const { half, low, high, over, front, back } = place;
    const [wide, long] = [2 * (half + over), high - low + 2 * over];
    const [y, z] = [(front + back) / 2, (low + high) / 2];
    // Seen from inside each shows so much of its face; the lap of the next lies behind the gap.
    const face = (wide - (count - 1) * gap) / count;
    const most = Math.max(2, Math.floor((wide + gap) / (LEAST_FACE + lap + gap + 1)));
    const problems =
      face - lap > LEAST_FACE
        ? []
        : [
            {
              problem: 'So many boards leave each of them no breadth beside its laps.',
              where: 'form.back.count',
              wayOut: `Take at most ${most} boards.`,
              mends: most,
            },
          ];
    const drafts: Draft[] = [];
    const joints: Joint[] = [];
    const cuts = rabbetsRound(place);
    const half2 = thickness / 2;
    for (let i = 0; i < count; i += 1) {
      const id = `back-${i + 1}`;
      const from = -wide / 2 + i * (face + gap);
      const [first, last] = [i === 0, i === count - 1];
      const reach = last ? 0 : gap + lap;
      const middle = from + (face + reach) / 2;
      const own = (x: number) => x - middle;
      const [l, r] = [first ? -half : from, last ? half : from + face];
      const up = long / 2;
      const solids = [
        // Its face; behind it the half that the lap of the one before lies on is left away.
        ...(first
          ? [
              box([-up, own(l), -half2], [up, own(r), half2]),
              box([-(high - low) / 2, own(from), -half2], [(high - low) / 2, own(l), half2]),
            ]
          : [box([-up, own(l), -half2], [up, own(l) + lap, 0]), box([-up, own(l) + lap, -half2], [up, own(r), half2])]),
        ...(last ? [box([-(high - low) / 2, own(r), -half2], [(high - low) / 2, own(from + face), half2])] : []),
        ...(last ? [] : [box([-up, own(r), 0], [up, own(r) + reach, half2])]),
      ];
      drafts.push({
        id,
        name: `Back board ${i + 1}`,
        kind: 'back',
        grade: 'one-face',
        size: { length: long, width: face + reach, thickness },
        frame: squareFrame([middle, y, z], { length: 'z', width: 'x', thickness: 'y' }),
        body: solids,
      });
      for (const edge of ['top', 'bottom'] as const) {
        const into = SHELL[edge];
        const name = `Back board ${i + 1} on the ${edge}`;
        joints.push(
          backJoint({
            id: `${into}/${id}`,
            name,
            into,
            from: id,
            removed: first ? [cuts[edge]] : [],
            ties: [
              fixed({
                id: `${into}/${id}`,
                name,
                a: into,
                b: id,
                at: { x: middle, y: front, z: edge === 'top' ? high : low },
              }),
            ],
          }),
        );
      }
    }
    for (const [edge, id] of [
      ['left', 'back-1'],
      ['right', `back-${count}`],
    ] as const) {
      joints.push(
        backJoint({
          id: `${SHELL[edge]}/${id}`,
          name: `Back in ${edge} side`,
          into: SHELL[edge],
          from: id,
          removed: [cuts[edge]],
          ties: [],
        }),
      );
    }
    return { drafts, joints, problems, fittings: [{ name: 'Screws for the back', count: 2 * count, size: [3.5, 25] }] };
  },
};

/** mm */
const LEAST_FACE = 20;
