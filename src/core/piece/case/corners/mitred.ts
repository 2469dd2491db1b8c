import * as v from 'valibot';
import type { Cut, Grown, Joint, JointPart } from '../../../joint/joint';
import { mitre, mitrePlane } from '../../../joint/mitre';
import { clip, mapped, type Plane } from '../../../solid/convex';
import { planeInPart } from '../../../solid/frame';
import { times, type Vec } from '../../../solid/vector';
import { blockOf, type Draft } from '../../part';
import type { CornerKind } from '../kind';
import { acrossDraft, SHELL, sideDraft } from '../shell';
import { housedBottom } from './housed-bottom';

const schema = v.object({ kind: v.literal('mitred') });

/** Boards mitred along their whole depth, a spline in each mitre: grain runs on round the corner. */
export const mitred: CornerKind<typeof schema> = {
  name: 'Mitres with splines',
  reason: 'No end grain is seen, and grain runs on round the corner; a spline lines the boards up and holds them.',
  schema,
  fields: [],
  start: () => ({ kind: 'mitred' }),
  plan(_, shell) {
    const { width, depth, sides, across, foot, under, over } = shell;
    const onSides = foot < under;
    const planes = (side: -1 | 1, end: 'top' | 'bottom'): Plane => {
      const plane = mitrePlane({ x: (side * width) / 2, z: end === 'top' ? over : under, side });
      return end === 'top' ? plane : { normal: upsideDown(plane.normal), offset: lowered(plane, under) };
    };
    const cutBack = (draft: Draft, list: readonly Plane[]): Draft => ({
      ...draft,
      body: [
        list.reduce(
          (solid, plane) => clip(solid, planeInPart(draft.frame, plane)),
          blockOf(draft.size.length, draft.size.width, draft.size.thickness),
        ),
      ],
      ends: {
        start: { mitre: 0, bevel: list.length > 1 || draft.kind !== 'side' ? 45 : 0 },
        end: { mitre: 0, bevel: 45 },
      },
    });
    const away = ({ normal, offset }: Plane): Plane => ({ normal: times(normal, -1), offset: -offset });
    const ends = onSides ? (['top'] as const) : (['top', 'bottom'] as const);
    const standing = ([-1, 1] as const).map((side) =>
      cutBack(
        sideDraft(shell, side, foot, over),
        // What lies beyond the mitre is the level board's.
        ends.map((end) => away(planes(side, end))),
      ),
    );
    const level = (end: 'top' | 'bottom') =>
      cutBack({ ...acrossDraft(shell, end, width) }, [planes(-1, end), planes(1, end)]);
    const bottom = onSides ? housedBottom(shell) : { draft: level('bottom'), joints: [] };
    const drafts = [...standing, level('top'), bottom.draft];
    const asPart = (id: string): JointPart => {
      const draft = drafts.find((own) => own.id === id) as Draft;
      return { id, name: draft.name, frame: draft.frame, body: draft.body ?? [] };
    };
    const at = (side: -1 | 1, end: 'top' | 'bottom'): Joint => {
      const stands = side < 0 ? SHELL.left : SHELL.right;
      const joint = mitre({
        id: `${stands}/${SHELL[end]}`,
        name: `${end === 'top' ? 'Top' : 'Bottom'} on ${side < 0 ? 'left' : 'right'} side`,
        standing: asPart(stands),
        lying: asPart(SHELL[end]),
        x: (side * width) / 2,
        z: end === 'top' ? over : -under,
        side,
        thickness: across,
        width: depth,
        key: 'spline',
      });
      return end === 'top' ? joint : turnedOver(joint);
    };
    return {
      drafts,
      joints: [...ends.flatMap((end) => [at(-1, end), at(1, end)]), ...bottom.joints],
      problems:
        sides === across
          ? []
          : [
              {
                problem: 'Mitred boards must be as thick as one another.',
                where: 'form.carcass.across',
                wayOut: 'Make top and bottom as thick as the sides.',
                mends: sides,
              },
            ],
    };
  },
};

const upsideDown = ([x, y, z]: Vec): Vec => [x, y, -z];
/** The plane of an upper corner, mirrored down to a lower one at a height. */
const lowered = ({ normal, offset }: Plane, z: number): number => offset - 2 * normal[2] * z;

/** A joint of an upper corner, mirrored in the floor: what was drawn at minus its height comes to its height. */
function turnedOver(joint: Joint): Joint {
  const over = <T extends Cut | Grown>(own: T): T => ({
    ...own,
    solid: mapped(own.solid, upsideDown, true),
    ...('open' in own ? { open: own.open.map(upsideDown) } : {}),
  });
  return {
    ...joint,
    removed: joint.removed.map(over),
    added: joint.added.map(over),
    ties: joint.ties.map((tie) => ({ ...tie, at: { ...tie.at, z: -tie.at.z } })),
  };
}
