import * as v from 'valibot';
import { length, whole } from '../../../decision/fields';
import { type BreadboardGiven, breadboard, breadboardPegs, tongueDepth } from '../../../joint/breadboard';
import { squareFrame } from '../../../solid/frame';
import { type Draft, forJoint } from '../../part';
import type { TopKind } from '../kind';
import { behind, turned } from '../turned';
import { AIR_FIELDS, airEntries, airGaps, boughtForLid, hingesOfLid } from './lid';

const schema = v.object({
  kind: v.literal('breadboard-lid'),
  thickness: length(12, 60),
  front: length(0, 100),
  ends: length(0, 100),
  /** Of the boards across its ends. */
  endWidth: length(30, 150),
  tenons: whole(2, 8),
  hinges: whole(2, 6),
  air: airEntries,
});

/** mm; a tongue behind which an end keeps less than this splits. */
const LEAST_PANEL = 120;

/** A lid kept flat by a board across each end, glued in its middle alone, its pegs in slots. */
export const breadboardLid: TopKind<typeof schema> = {
  name: 'A lid with breadboard ends',
  reason: 'Nothing hangs under it: boards across its ends keep it flat, glued in their middle, pegged in slots beyond.',
  only: 'above',
  schema,
  fields: [
    { ask: 'figure', at: 'thickness', label: 'Lid, thick' },
    { ask: 'figure', at: 'front', label: 'Overhang, front' },
    { ask: 'figure', at: 'ends', label: 'Overhang, ends' },
    { ask: 'figure', at: 'endWidth', label: 'Boards across its ends, wide' },
    { ask: 'figure', at: 'tenons', label: 'Tenons in each' },
    { ask: 'figure', at: 'hinges', label: 'Hinges' },
    ...(AIR_FIELDS as TopKind<typeof schema>['fields']),
  ],
  start: ({ width, depth }) => ({
    kind: 'breadboard-lid',
    ...{ thickness: 22, front: 20, ends: 20, endWidth: 60, hinges: width > 900 ? 3 : 2 },
    tenons: Math.min(8, Math.max(3, Math.round(depth / 160))),
    air: { width: 90, height: 12 },
  }),
  thickness: ({ thickness }) => thickness,
  plan(own, { width, depth, sides, under, edging }) {
    const { thickness, endWidth, tenons } = own;
    const [from, to] = [-depth / 2 - own.front, depth / 2];
    const [wide, long] = [to - from, width + 2 * own.ends];
    const between = Math.max(long - 2 * endWidth, 1);
    const tongue = tongueDepth(endWidth);
    const z = under + thickness / 2;
    const panel: Draft = {
      ...{ id: 'lid', name: 'Lid', kind: 'lid', grade: 'all-faces' },
      size: { length: between + 2 * tongue, width: wide, thickness },
      beyond: { start: tongue, end: tongue },
      frame: squareFrame([0, 0, z], { length: 'x', width: 'y', thickness: 'z' }),
    };
    const across = ([-1, 1] as const).map((side) => {
      const which = side < 0 ? 'left' : 'right';
      const end: Draft = {
        ...{ id: `lid-end-${which}`, name: `End of the lid, ${which}`, kind: 'breadboard', grade: 'all-faces' },
        size: { length: wide, width: endWidth, thickness },
        frame: squareFrame([side * (between / 2 + endWidth / 2), 0, z], { length: 'y', width: 'x', thickness: 'z' }),
      };
      const given: BreadboardGiven = {
        ...{
          id: `lid/lid-end-${which}`,
          panel: forJoint(panel),
          end: forJoint(end),
          shoulder: (side * between) / 2,
          side,
        },
        ...{ z, width: wide, thickness, endWidth, tongue: 'tenons', tenons, depth: tongue, pegs: 'straight' },
      };
      const held = breadboard(given);
      const pegs = breadboardPegs(given, held);
      return { end, joints: pegs ? [held, pegs] : [held] };
    });
    const moved = turned(
      {
        drafts: [panel, ...across.map(({ end }) => end)],
        joints: across.flatMap(({ joints }) => joints),
        problems: [],
      },
      behind((from + to) / 2),
    );
    return {
      drafts: moved.drafts,
      joints: [...moved.joints, ...hingesOfLid(own.hinges, { width, depth, under })],
      problems:
        between < LEAST_PANEL
          ? [
              {
                problem: 'The boards across its ends leave no lid between them.',
                where: 'form.top.endWidth',
                wayOut: 'Make them narrower, or the chest longer.',
                mends: Math.max(30, Math.floor((long - LEAST_PANEL) / 2)),
              },
            ]
          : [],
      fittings: boughtForLid(own.hinges, width),
      cuts: airGaps(own.air, { inner: width / 2 - sides, outer: width / 2, under, edging }),
    };
  },
};
