import { plus, times, type Vec } from '../solid/vector';
import { DRAW_BORE } from './breadboard';
import { bored, type Joint, type JointPart } from './joint';

/** An eighth of the leg thick, to whole millimetres, 6 to 12; common practice. mm */
export const legPeg = (section: number): number => Math.max(6, Math.min(12, Math.round(section / 8)));

/** A tenon so high has two pegs, a lower one has one; mm, common practice. */
const TWO_PEGS = 55;
/** A blind peg goes so far on beyond its tenon, mm; common practice. */
const BEYOND_TENON = 10;

/** From the shoulder to the peg's middle: a third of the tenon, but half as much again as the peg is thick. mm */
export const pegSetBack = (tenonLength: number, diameter: number): number =>
  Math.round(Math.max(1.5 * diameter, tenonLength / 3));

/** Heights of the pegs from the tenon's middle. mm */
export const pegHeights = (tenonWidth: number): readonly number[] =>
  tenonWidth >= TWO_PEGS ? [-tenonWidth / 4, tenonWidth / 4] : [0];

export interface PegGiven {
  id: string;
  /** The joint they hold. */
  holds: Joint;
  into: JointPart;
  from: JointPart;
  /** Middle of the tenon in its shoulder, and the way it goes in. */
  at: Vec;
  along: Vec;
  tenon: { length: number; width: number; thickness: number };
  /** The way the tenon's width lies; upright where it is not said. */
  wide?: Vec;
  /** From the tenon's middle to the face the pegs come in by, and the way they go. */
  wall: number;
  inward: Vec;
  diameter: number;
  drawBored: boolean;
}

/**
 * Pegs through a tenon from the outside, blind: their holes in the mortised part on both sides of the tenon, and in the
 * tenon itself, there nearer to the shoulder where they are to draw.
 */
export function pegs(given: PegGiven): Joint {
  const { id, holds, into, from, at, along, tenon, wall, inward, diameter, drawBored, wide = [0, 0, 1] } = given;
  const back = pegSetBack(tenon.length, diameter);
  const cheek = tenon.thickness / 2;
  const removed = pegHeights(tenon.width).flatMap((height) => {
    const line = (deep: number, across: number) =>
      plus(plus(plus(at, times(along, deep)), times(inward, across)), times(wide, height));
    const hole = (deep: number, a: number, b: number) => bored(line(deep, a), line(deep, b), diameter);
    const outward: Vec = [-inward[0] + 0, -inward[1] + 0, -inward[2] + 0];
    return [
      { part: into.id, what: 'peg hole', ...hole(back, -wall, -cheek), open: [outward, inward] },
      { part: into.id, what: 'peg hole', ...hole(back, cheek, cheek + BEYOND_TENON), open: [outward] },
      {
        part: from.id,
        what: 'peg hole',
        ...hole(back - (drawBored ? DRAW_BORE : 0), -cheek, cheek),
        open: [inward, outward],
        late: true as const,
      },
    ];
  });
  return {
    id,
    kind: 'pegs',
    name: `pegs in ${holds.name.toLowerCase()}`,
    into: into.id,
    from: from.id,
    removed,
    added: [],
    ties: [],
    meets: [holds.id],
  };
}
