import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import type { Joint } from '../../../joint/joint';
import { fixed } from '../../../restraint/tie';
import { box, type Convex } from '../../../solid/convex';
import { squareFrame } from '../../../solid/frame';
import type { Draft } from '../../part';
import type { BackKind } from '../kind';
import { SHELL } from '../shell';
import { backJoint, backPlace, rabbetsRound } from './in-rabbets';

const schema = v.object({
  kind: v.literal('boards'),
  count: whole(2, 60),
  thickness: length(6, 25),
  /** How one meets the next. */
  edges: v.optional(v.picklist(['lapped', 'tongued']), 'lapped'),
  /** Each reaches over the next by so much behind it, or into its groove. */
  lap: length(3, 25),
  /** Between two of them on the day they are screwed on. */
  gap: length(0, 12),
});

/** About so wide, mm; common practice. */
const USUAL = 140;

/** Upright boards lapped over one another or tongued, each screwed in its middle to top and bottom: every one moves by itself. */
export const boards: BackKind<typeof schema> = {
  name: 'Boards, each fixed in its middle',
  reason:
    'Solid wood behind; gaps follow the year, laps or tongues keep them shut to the eye. It stiffens the case little.',
  schema,
  fields: [
    { ask: 'figure', at: 'count', label: 'Boards of the back' },
    { ask: 'figure', at: 'thickness', label: 'Back, thick' },
    {
      ask: 'choice',
      at: 'edges',
      label: 'Their edges',
      options: [
        { value: 'lapped', label: 'Lapped', reason: 'Half of each lies behind the next: quick, and forgives.' },
        {
          value: 'tongued',
          label: 'Tongued and grooved',
          reason: 'Each is in the groove of the next: they hold each other level, and nothing is seen through.',
        },
      ],
    },
    { ask: 'figure', at: 'lap', label: 'Laps or tongues' },
    { ask: 'figure', at: 'gap', label: 'Gaps as it is made' },
  ],
  start: ({ width }) => ({
    kind: 'boards',
    count: Math.max(2, Math.round(width / USUAL)),
    thickness: 12,
    edges: 'lapped',
    lap: 8,
    gap: 2,
  }),
  depth: ({ thickness }) => thickness,
  plan({ count, thickness, edges, lap, gap }, shell) {
    const place = backPlace(shell, thickness);
    const { half, low, high, over, front, back } = place;
    const [wide, long] = [2 * (half + over), high - low + 2 * over];
    const [y, z] = [(front + back) / 2, (low + high) / 2];
    // Seen from inside each shows so much of its face; the lap of the next lies behind the gap.
    const face = (wide - (count - 1) * gap) / count;
    const most = Math.max(2, Math.floor((wide + gap) / (LEAST_FACE + lap + 2 * gap + 1)));
    const problems =
      face - (edges === 'tongued' ? gap + lap : lap) > LEAST_FACE
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
    for (let i = 0; i < count; i += 1) {
      const id = `back-${i + 1}`;
      const from = -wide / 2 + i * (face + gap);
      const reach = i === count - 1 ? 0 : gap + lap;
      const middle = from + (face + reach) / 2;
      const solids = bodyOf(
        {
          edges,
          thickness,
          long,
          between: high - low,
          reach: gap + lap,
          lap,
          first: i === 0,
          last: i === count - 1,
        },
        { from: from - middle, face, clear: [-half - middle, half - middle] },
      );
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
            removed: i === 0 ? [cuts[edge]] : [],
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

/** A board between its edges, in its own axes: what lies behind the next or in its groove is left out of it there. */
function bodyOf(
  board: {
    edges: 'lapped' | 'tongued';
    thickness: number;
    long: number;
    /** From the bottom's face to the top's: so long are the outer edges of the outermost, in the sides' rabbets. */
    between: number;
    /** Over the gap and into the next, or behind it. */
    reach: number;
    lap: number;
    first: boolean;
    last: boolean;
  },
  at: { from: number; face: number; clear: readonly [left: number, right: number] },
): Convex[] {
  const { edges, thickness, long, between, reach, lap, first, last } = board;
  const [half, up] = [thickness / 2, long / 2];
  const block = (left: number, right: number, back = -half, front = half, high = up) =>
    box([-high, left, back], [high, right, front]);
  const to = at.from + at.face;
  const [l, r] = [first ? at.clear[0] : at.from, last ? at.clear[1] : to];
  const outer = [
    ...(first ? [block(at.from, l, -half, half, between / 2)] : []),
    ...(last ? [block(r, to, -half, half, between / 2)] : []),
  ];
  if (edges === 'lapped')
    return [
      ...(first ? [block(l, r)] : [block(l, l + lap, -half, 0), block(l + lap, r)]),
      ...outer,
      ...(last ? [] : [block(r, r + reach, 0, half)]),
    ];
  const tongue = thickness / 6;
  return [
    ...(first
      ? [block(l, r)]
      : [block(l, l + reach, -half, -tongue), block(l, l + reach, tongue), block(l + reach, r)]),
    ...outer,
    ...(last ? [] : [block(r, r + reach, -tongue, tongue)]),
  ];
}
