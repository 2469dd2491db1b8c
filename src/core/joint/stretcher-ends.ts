import { box, type Convex, clip, planeThrough } from '../solid/convex';
import type { Vec } from '../solid/vector';
import { bored, type Cut } from './joint';

/** The end of a stretcher through or in a post that stands upright, the stretcher along x. mm */
export interface StretcherEnd {
  post: string;
  stretcher: string;
  /** +1 or −1: the way its end points. */
  side: 1 | -1;
  /** Of the post's inner and outer face. */
  inner: number;
  outer: number;
  /** Height of the tenon's middle. */
  z: number;
  tenon: { width: number; thickness: number };
}

/** A wedge's kerf, and the hole at its end that keeps it from running on: 1/2 in, less in a low tenon; common practice. */
const KERF = 2;
export const reliefHole = (tenonWidth: number): number => (tenonWidth >= 60 ? 12 : 6);
/** The hole stands so far outside the shoulder, inside the post, mm; common practice. */
const HOLE_FROM_SHOULDER = 12;

/** Two kerfs a third from the tenon's edges, each ending in a bored hole just inside the post. */
export function wedgeKerfs({ stretcher, side, inner, outer, z, tenon }: StretcherEnd, proud: number): Cut[] {
  const diameter = Math.min(reliefHole(tenon.width), tenon.width / 6);
  const stop = inner + side * (HOLE_FROM_SHOULDER + diameter / 2);
  const tip = outer + side * proud;
  const half = tenon.thickness / 2;
  return [-1, 1].flatMap((way): Cut[] => {
    const at = z + (way * tenon.width) / 6;
    const [x0, x1] = [stop + (side * diameter) / 2, tip].sort((a, b) => a - b) as [number, number];
    return [
      {
        part: stretcher,
        what: 'relief hole',
        ...bored([stop, -half, at], [stop, half, at], diameter),
        open: [
          [0, 1, 0],
          [0, -1, 0],
        ],
        late: true,
      },
      {
        part: stretcher,
        what: 'kerf',
        solid: box([x0, -half, at - KERF / 2], [x1, half, at + KERF / 2]),
        open: [
          [side, 0, 0],
          [0, 1, 0],
          [0, -1, 0],
        ],
        late: true,
      },
    ];
  });
}

/** A tusk leans by an eighth of its length on its outer side; common practice. */
const TUSK_SLOPE = 1 / 8;
/** Its mortise reaches so far behind the post's face, so that it never bottoms before the shoulder closes, mm. */
const TUSK_DRAW = 2;
/** It stands so far above and below the tenon, mm; common practice. */
const TUSK_OUT = 30;

export interface Tusk {
  /** In the axes of the piece. */
  body: Convex;
  middle: Vec;
  size: { length: number; width: number; thickness: number };
  mortise: Cut;
}

/** A third of the tenon thick, as wide in its middle as 22 mm, upright through the tenon outside the post. */
export function tusk({ stretcher, side, outer, z, tenon }: StretcherEnd): Tusk {
  const thickness = Math.max(6, Math.round(tenon.thickness / 3));
  const length = tenon.width + 2 * TUSK_OUT;
  const width = TUSK_WIDE + (length / 2) * TUSK_SLOPE;
  const at = (out: number, up: number): Vec => [outer + side * out, 0, z + up];
  const slanted = planeThrough(at(TUSK_WIDE, 0), [side, 0, -TUSK_SLOPE]);
  const block = (from: number, half: number) => {
    const [x0, x1] = [at(from, 0)[0], at(2 * TUSK_WIDE, 0)[0]].sort((a, b) => a - b) as [number, number];
    return clip(box([x0, -thickness / 2, z - half], [x1, thickness / 2, z + half]), slanted);
  };
  return {
    body: block(0, length / 2),
    middle: at(width / 2, 0),
    size: { length, width, thickness },
    mortise: {
      part: stretcher,
      what: 'tusk’s mortise',
      solid: block(-TUSK_DRAW, tenon.width / 2),
      open: [
        [0, 0, 1],
        [0, 0, -1],
      ],
      late: true,
    },
  };
}

/** A tusk's width in its middle, mm; common practice. */
const TUSK_WIDE = 22;

/** A bolt, the cross dowel it screws into, and how far behind the shoulder that stands, mm; common practice. */
const BOLT = 8;
const CROSS_DOWEL = 15;
const DOWEL_BEHIND = 55;

/** A bolt through the post into the stretcher's end, and the hole of its cross dowel from the stretcher's side. */
export function boltHoles(end: StretcherEnd & { stub: number; thickness: number }): Cut[] {
  const { post, stretcher, side, inner, outer, z, stub, thickness } = end;
  const point = (x: number, y: number): Vec => [x, y, z];
  return [
    {
      part: post,
      what: 'bolt hole',
      ...bored(point(outer, 0), point(inner + side * stub, 0), BOLT),
      open: [
        [side, 0, 0],
        [-side, 0, 0],
      ],
    },
    {
      part: stretcher,
      what: 'bolt hole',
      // As far as the cross dowel, which it screws into.
      ...bored(point(inner + side * stub, 0), point(inner - side * (DOWEL_BEHIND - CROSS_DOWEL / 2), 0), BOLT),
      open: [[side, 0, 0]],
      late: true,
    },
    {
      part: stretcher,
      what: 'cross dowel’s hole',
      ...bored(
        point(inner - side * DOWEL_BEHIND, -thickness / 2),
        point(inner - side * DOWEL_BEHIND, Math.min(thickness / 2 - 5, CROSS_DOWEL / 2 + 3)),
        CROSS_DOWEL,
      ),
      open: [[0, -1, 0]],
      late: true,
    },
  ];
}
