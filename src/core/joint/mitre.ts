import { fixed } from '../restraint/tie';
import { box, type Convex, type Plane, planeThrough, rod } from '../solid/convex';
import { type Frame, solidInPiece } from '../solid/frame';
import { plus, times, type Vec } from '../solid/vector';
import { asPoint, bored, type Cut, type Grown, type Joint, type JointPart } from './joint';

/** How the mitre of two boards is kept together, where makers differ. Common practice. */
export const MITRE_KEYS: Readonly<Record<MitreKey, { name: string; reason: string }>> = {
  spline: {
    name: 'Spline',
    reason: 'A strip in a groove across the mitre, its grain across the joint: lines the boards up and holds them.',
  },
  dowels: {
    name: 'Cross dowels',
    reason: 'Bored through the outer face after the mitre is glued: nothing to line up, and their ends are seen.',
  },
};
export type MitreKey = 'spline' | 'dowels';

/** A spline is a quarter of the board thick, a third of it deep in each, nearer to the inside of the corner; common practice. */
export const splineSize = (thickness: number): { thickness: number; deep: number; fromInside: number } => ({
  thickness: Math.max(3, Math.round(thickness / 4)),
  deep: Math.max(5, Math.round(thickness / 3)),
  fromInside: 0.36 * thickness * Math.SQRT2,
});

/** Cross dowels: a third of the board thick, at most so far apart, so deep in the board whose end they go into. mm, common practice. */
const DOWEL_APART = 70;
const DOWEL_DEEP = 2.2;
const FROM_EDGE = 25;
export const crossDowels = (thickness: number, width: number): { diameter: number; count: number; deep: number } => ({
  diameter: Math.max(6, Math.round(thickness / 3)),
  count: Math.max(3, Math.ceil((width - 2 * FROM_EDGE) / DOWEL_APART) + 1),
  deep: DOWEL_DEEP * thickness,
});

export interface MitreGiven {
  id: string;
  name: string;
  /** The board that stands, and the one that lies on it; both as thick and as wide as told. */
  standing: JointPart;
  lying: JointPart;
  /** The corner's outer line: where along the piece and how high. */
  x: number;
  z: number;
  /** Which end of the lying board it is at. */
  side: 1 | -1;
  thickness: number;
  width: number;
  key: MitreKey;
}

/** The plane in which both boards meet, looking from the lying one to the standing one. */
export const mitrePlane = ({ x, z, side }: Pick<MitreGiven, 'x' | 'z' | 'side'>): Plane =>
  planeThrough([x, 0, z], [side, 0, -1]);

/** Two boards mitred along their whole width, keyed by a spline or by dowels across it. */
export function mitre(given: MitreGiven): Joint {
  const { id, name, standing, lying, x, z, side, thickness, key } = given;
  const inside: Vec = [x - side * thickness, 0, z - thickness];
  const { removed, added } = key === 'spline' ? splined(given, inside) : dowelled(given);
  const middle: Vec = [x - (side * thickness) / 2, 0, z - thickness / 2];
  return {
    id,
    kind: key === 'spline' ? 'mitre-spline' : 'mitre-dowels',
    name,
    into: standing.id,
    from: lying.id,
    removed,
    added,
    // Grain runs on round the corner: both grow alike across their width.
    ties: [fixed({ id, name, a: standing.id, b: lying.id, at: asPoint(middle) })],
  };
}

type Keyed = { removed: Cut[]; added: Grown[] };

function splined({ standing, lying, side, thickness, width }: MitreGiven, inside: Vec): Keyed {
  const spline = splineSize(thickness);
  // Along the mitre from its inside out, and square to it into the standing board.
  const out: Vec = [side * Math.SQRT1_2, 0, Math.SQRT1_2];
  const into: Vec = [side * Math.SQRT1_2, 0, -Math.SQRT1_2];
  const frame: Frame = {
    at: plus(inside, times(out, spline.fromInside)),
    length: into,
    width: out,
    thickness: [0, 1, 0],
  };
  const strip = (from: number, to: number): Convex =>
    solidInPiece(frame, box([from, -spline.thickness / 2, -width / 2], [to, spline.thickness / 2, width / 2]));
  const ends: Vec[] = [
    [0, 1, 0],
    [0, -1, 0],
  ];
  return {
    removed: [
      {
        part: standing.id,
        what: 'groove for a spline',
        solid: strip(0, spline.deep),
        open: [times(into, -1), ...ends],
      },
      { part: lying.id, what: 'groove for a spline', solid: strip(-spline.deep, 0), open: [into, ...ends] },
    ],
    added: [{ part: standing.id, solid: strip(-spline.deep, spline.deep) }],
  };
}

function dowelled(given: MitreGiven): Keyed {
  const { standing, lying, x, z, side, thickness, width } = given;
  const { diameter, count, deep } = crossDowels(thickness, width);
  const plane = mitrePlane(given);
  const level = z - thickness / 2;
  const reach = width / 2 - FROM_EDGE;
  const removed: Cut[] = [];
  const added: Grown[] = [];
  for (let i = 0; i < count; i += 1) {
    const y = -reach + (2 * reach * i) / (count - 1);
    const [outer, mid, end]: [Vec, Vec, Vec] = [
      [x, y, level],
      [x - (side * thickness) / 2, y, level],
      [x - (side * thickness) / 2 - side * deep, y, level],
    ];
    removed.push(
      {
        part: standing.id,
        what: 'dowel hole',
        solid: rod(outer, mid, diameter, { to: plane }),
        bore: { from: outer, to: mid, diameter },
        open: [
          [side, 0, 0],
          [-side * Math.SQRT1_2, 0, Math.SQRT1_2],
        ],
      },
      {
        part: lying.id,
        what: 'dowel hole',
        solid: rod(mid, end, diameter, { from: plane }),
        bore: { from: mid, to: end, diameter },
        open: [[side * Math.SQRT1_2, 0, -Math.SQRT1_2]],
      },
    );
    added.push({ part: standing.id, solid: bored(outer, end, diameter).solid });
  }
  return { removed, added };
}
