import { glued } from '../restraint/tie';
import { type Convex, prism } from '../solid/convex';
import { solidInPiece } from '../solid/frame';
import type { DovetailLayout, Joint } from './joint';

/** From the middle of one tail to the next, as a share of the thickness, and never closer, mm; common practice. */
const PITCH = 2.5;
const LEAST_PITCH = 25;

/** As many tails as a corner so wide and so thick has by common practice. */
export const usualTails = (width: number, thickness: number): number =>
  Math.max(2, Math.round(width / Math.max(LEAST_PITCH, PITCH * thickness)));

/**
 * Lays dovetails out over a width, from half pin to half pin, through a thickness: equal tails, equal pins between them.
 *
 * @returns null where figures leave a tail no neck
 */
export function layOutDovetails(given: {
  width: number;
  /** Of the board that has the pins: the tails are so long. */
  thickness: number;
  tails: number;
  pin: number;
  slope: number;
}): DovetailLayout | null {
  const { width, thickness, tails, pin, slope } = given;
  const wide = (width - (tails + 1) * pin) / tails;
  const narrow = wide - 2 * thickness * slope;
  return narrow > LEAST_NECK ? { tails, tail: { wide, narrow }, pin, slope } : null;
}

/** A tail thinner than this at its baseline breaks off when the joint is driven home, mm; common practice. */
const LEAST_NECK = 5;

/**
 * A corner of a case in through dovetails: the tails stand on the upright board and hold it down and up, the pins on the
 * level one. Both boards end at the shoulder of the corner; tails and pins fill it.
 */
export function caseDovetails(given: {
  id: string;
  name: string;
  layout: DovetailLayout;
  tails: string;
  pins: string;
  /** The corner's block: from the inner face out along x, and from the shoulder out along z; y is from front to back. */
  x: readonly [inner: number, outer: number];
  z: readonly [shoulder: number, end: number];
  y: readonly [front: number, back: number];
}): Joint {
  const { id, name, layout, tails, pins, x, y, z } = given;
  const { tail, pin } = layout;
  const [left, right] = [Math.min(...x), Math.max(...x)];
  const across = (corners: readonly (readonly [number, number])[]): Convex => {
    // Read from the other side, a corner at the bottom is one at the top.
    const outline = z[1] > z[0] ? corners : [...corners].reverse();
    return solidInPiece(ACROSS, prism(outline, left, right));
  };
  const pitch = tail.wide + pin;
  const middleOf = (i: number) => y[0] + pin + tail.wide / 2 + i * pitch;
  const tailAt = (middle: number) =>
    across([
      [middle - tail.narrow / 2, z[0]],
      [middle + tail.narrow / 2, z[0]],
      [middle + tail.wide / 2, z[1]],
      [middle - tail.wide / 2, z[1]],
    ]);
  const middles = Array.from({ length: layout.tails }, (_, i) => middleOf(i));
  // From the edge of one tail to that of the next; at the ends, from the edge of the board.
  const gaps = Array.from({ length: layout.tails + 1 }, (_, i): [number, number, number, number] => {
    const [before, after] = [middles[i - 1], middles[i]];
    return [
      before === undefined ? y[0] : before + tail.narrow / 2,
      after === undefined ? y[1] : after - tail.narrow / 2,
      after === undefined ? y[1] : after - tail.wide / 2,
      before === undefined ? y[0] : before + tail.wide / 2,
    ];
  });
  const breadth = y[1] - y[0];
  const at = { x: (left + right) / 2, y: (y[0] + y[1]) / 2, z: (z[0] + z[1]) / 2 };
  return {
    id,
    kind: 'case-dovetails',
    name,
    into: pins,
    from: tails,
    dovetails: layout,
    removed: [],
    added: [
      ...middles.map((middle) => ({ part: tails, solid: tailAt(middle) })),
      ...gaps.map(([a, b, c, d]) => ({
        part: pins,
        solid: across([
          [a, z[0]],
          [b, z[0]],
          [c, z[1]],
          [d, z[1]],
        ]),
      })),
    ],
    ties: glued({ id, name, a: tails, b: pins, at }, { y: breadth }),
  };
}

/** Outlines in depth and height, along the width of the case. */
const ACROSS = { at: [0, 0, 0], length: [0, 1, 0], width: [0, 0, 1], thickness: [1, 0, 0] } as const;
