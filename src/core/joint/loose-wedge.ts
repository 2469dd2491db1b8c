import { fixed } from '../restraint/tie';
import { type Convex, prism } from '../solid/convex';
import { type Frame, solidInPart, solidInPiece } from '../solid/frame';
import { cross, type Vec } from '../solid/vector';
import { asPoint, type Joint, type JointPart } from './joint';

/** The tenon's lower edge and the wedge over it both slope by 1 in 12; common practice. */
const SLOPE = 1 / 12;
/** However thin the part, the tenon drops by so much into its place, mm. */
const LEAST_DROP = 5;
/** Of the lower edge, left under the neck, mm. */
export const LOWER_SHOULDER = 4;
/** The wedge is left so long beyond both faces, mm; common practice. */
const WEDGE_OUT = 20;

/** How far the tenon drops once its shoulder is home, in a part so thick, mm. */
export const dropOf = (intoThickness: number): number => Math.max(LEAST_DROP, intoThickness * SLOPE);

/** Height of the tenon at its shoulder, of a rail so high, mm: its upper edge is the rail's own. */
export const neckOf = (height: number, intoThickness: number): number =>
  height - dropOf(intoThickness) - LOWER_SHOULDER;

export interface LooseWedge {
  /** The rail's tenon in its mortise. */
  joint: Joint;
  wedge: { id: string; name: string; size: { length: number; width: number; thickness: number }; frame: Frame };
  /** The wedge in its own axes. */
  body: Convex;
  /** The wedge in the part the tenon goes through. */
  held: Joint;
}

/**
 * A tenon through an upright part, its lower edge dovetailed: the mortise is higher by the drop, so that the tenon goes in
 * and drops, and a loose wedge over it keeps it down. It holds without glue and cannot draw out while the wedge is in.
 */
export function looseWedge(given: {
  id: string;
  into: JointPart;
  from: JointPart;
  wedge: { id: string; name: string };
  /** Middle of the shoulder's width at the rail's upper edge, and the way the rail runs in, level. */
  at: Vec;
  along: Vec;
  /** Of the part it goes through, along the rail. */
  depth: number;
  tenon: { height: number; thickness: number };
}): LooseWedge {
  const { id, into, from, at, along, depth, tenon } = given;
  const [half, drop] = [tenon.thickness / 2, dropOf(depth)];
  const rise = depth * SLOPE;
  // Length the way in, width up, thickness across: outlines are drawn in the first two.
  const frame: Frame = { at, length: along, width: [0, 0, 1], thickness: cross(along, [0, 0, 1]) };
  const own = (outline: readonly (readonly [number, number])[]) => solidInPiece(frame, prism(outline, -half, half));
  const grown = own([
    [0, -tenon.height],
    [depth, -tenon.height - drop],
    [depth, 0],
    [0, 0],
  ]);
  const room = own([
    [0, 0],
    [depth, 0],
    [depth, drop + rise],
    [0, drop],
  ]);
  const upper = (l: number) => drop + l * SLOPE;
  const body = own([
    [-WEDGE_OUT, 0],
    [depth + WEDGE_OUT, 0],
    [depth + WEDGE_OUT, upper(depth + WEDGE_OUT)],
    [-WEDGE_OUT, upper(-WEDGE_OUT)],
  ]);
  const wide = upper(depth + WEDGE_OUT);
  const middle: Vec = [at[0] + (along[0] * depth) / 2, at[1] + (along[1] * depth) / 2, at[2] + wide / 2];
  const wedgeFrame: Frame = { ...frame, at: middle };
  const open: Vec[] = [[-along[0] + 0, -along[1] + 0, 0], along];
  const name = `${from.name} in ${into.name.toLowerCase()}`;
  const heldId = `${into.id}/${given.wedge.id}`;
  const heldName = `${given.wedge.name} in ${into.name.toLowerCase()}`;
  return {
    joint: {
      id,
      kind: 'loose-wedge',
      name,
      into: into.id,
      from: from.id,
      along,
      removed: [{ part: into.id, what: 'mortise', solid: grown, open }],
      added: [{ part: from.id, solid: grown }],
      ties: [fixed({ id, name, a: into.id, b: from.id, at: asPoint(at) })],
      meets: [heldId],
    },
    wedge: {
      ...given.wedge,
      size: { length: depth + 2 * WEDGE_OUT, width: wide, thickness: tenon.thickness },
      frame: wedgeFrame,
    },
    body: solidInPart(wedgeFrame, body),
    held: {
      id: heldId,
      kind: 'loose-wedge',
      name: heldName,
      into: into.id,
      from: given.wedge.id,
      along,
      removed: [{ part: into.id, what: 'room for the wedge', solid: room, open }],
      added: [],
      ties: [fixed({ id: heldId, name: heldName, a: into.id, b: given.wedge.id, at: asPoint(middle) })],
    },
  };
}
