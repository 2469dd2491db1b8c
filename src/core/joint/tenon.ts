import { glued } from '../restraint/tie';
import { box, type Convex, clipAll, type Plane, planeThrough } from '../solid/convex';
import { type Frame, inPiece, solidInPiece } from '../solid/frame';
import { cross, dot, plus, times, unit, type Vec } from '../solid/vector';
import { asPoint, type Joint, type JointKind, type JointPart, nearestAxis } from './joint';

/** A tenon on the end of a part, in a mortise of another. mm, directions in the axes of the piece. */
export interface TenonGiven {
  id: string;
  kind: JointKind;
  into: JointPart;
  from: JointPart;
  /** Middle of the tenon in the shoulder. */
  at: Vec;
  /** The way it goes in, and the way its width lies; the thickness is square to both. */
  along: Vec;
  wide: Vec;
  size: { length: number; width: number; thickness: number };
  /** How far it is let into the part it comes from too; 0 where it grows from it. */
  back?: number;
  /** The face of the mortised part it goes in by, as an outward direction; against the way in where it is not said. */
  face?: Vec;
  /** It comes out on the other side; the mortise is open there too. */
  through?: { face: Vec };
  /** What of its end is cut off, a mitre for instance. */
  ends?: readonly Plane[];
  /** How it is held, beyond being glued over its width. */
  ties?: Joint['ties'];
  ruled?: Joint['ruled'];
}

/** Without a nought below nought, which does not come through JSON. */
const plain = ([x, y, z]: Vec): Vec => [x + 0, y + 0, z + 0];

const NAMES: Partial<Record<JointKind, string>> = { 'loose-tenon': 'slot' };

/** A tenon's own axes: its length the way it goes in, from the middle of its shoulder. */
export function tenonFrame(at: Vec, along: Vec, wide: Vec): Frame {
  const length = unit(along);
  const across = unit(cross(length, wide));
  return { at, length, width: cross(across, length), thickness: across };
}

/**
 * A mortise and its tenon as solids, and what they tie: glued over the tenon's width, whose fibres run across those of the
 * mortised part.
 */
export function tenonJoint(given: TenonGiven): Joint {
  const { id, kind, into, from, at, along, wide, size, back = 0, through } = given;
  const frame = tenonFrame(at, along, wide);
  const piece = (start: number, end: number): Convex =>
    clipAll(
      solidInPiece(
        frame,
        box([start, -size.width / 2, -size.thickness / 2], [end, size.width / 2, size.thickness / 2]),
      ),
      given.ends ?? [],
    );
  const entry = given.face ?? times(frame.length, -1);
  const what = NAMES[kind] ?? 'mortise';
  const inner = piece(0, size.length);
  const middle = inPiece(frame, [size.length / 2, 0, 0]);
  const name = `${from.name} in ${into.name.toLowerCase()}`;
  const slot = { along: plain(frame.length), wide: plain(frame.width), width: size.width, thickness: size.thickness };
  return {
    id,
    kind,
    name,
    into: into.id,
    from: from.id,
    along: frame.length,
    removed: [
      { part: into.id, what, solid: inner, open: through ? [entry, through.face] : [entry], slot },
      ...(back > 0 ? [{ part: from.id, what, solid: piece(-back, 0), open: [frame.length], slot }] : []),
    ],
    added: [
      back > 0 ? { part: from.id, solid: piece(-back, size.length), inside: true } : { part: from.id, solid: inner },
    ],
    ties:
      given.ties ??
      glued({ id, name, a: into.id, b: from.id, at: asPoint(middle) }, { [nearestAxis(frame.width)]: size.width }),
    ...(given.ruled ? { ruled: given.ruled } : {}),
  };
}

/**
 * A tenon that goes in through a face which does not stand square to its way, or not to its shoulder: what of it lies
 * between that face and so deep behind it.
 *
 * @param depth square to the face, mm
 */
export function slantedTenon(
  given: Omit<TenonGiven, 'ends' | 'face' | 'size'> & {
    face: Vec;
    size: { width: number; thickness: number };
    depth: number;
  },
): Joint {
  const { face, depth, at, along, size } = given;
  const outward = unit(face);
  const way = unit(along);
  // How far along its way it must begin before the face and end behind it, so that the two planes cut all of it.
  const cosine = Math.abs(dot(way, outward));
  const spare = (size.width + size.thickness) / Math.max(0.2, cosine);
  return tenonJoint({
    ...given,
    at: plus(at, times(way, -spare)),
    size: { ...size, length: depth / cosine + 2 * spare },
    face,
    ends: [planeThrough(at, outward), planeThrough(plus(at, times(outward, -depth)), times(outward, -1))],
  });
}

/** The plane that mitres a tenon's end at 45° toward a neighbour that comes in from the side `toward`. */
export const mitre = (corner: Vec, along: Vec, toward: Vec): Plane => planeThrough(corner, unitSum(along, toward));

const unitSum = (a: Vec, b: Vec): Vec => unit([a[0] + b[0], a[1] + b[1], a[2] + b[2]]);
