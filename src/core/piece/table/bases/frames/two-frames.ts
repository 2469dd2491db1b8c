import type { Bench } from '../../../../decision/bench';
import type { AnyTop } from '../../../../decision/top-shapes';
import { squareFrame } from '../../../../solid/frame';
import type { Flat } from '../../../../solid/outline';
import type { Draft } from '../../../part';
import type { BasePlan, Rest, TopSize } from '../../../plans';
import { drawnSize, measured } from '../../../settle-locks';

/** What bases of two frames have in common, one under each end of the table, a bearer across on both. */
export const SIDES = [
  { side: -1, word: 'left' },
  { side: 1, word: 'right' },
] as const;

export const onBothSides = (part: string, end = ''): string[] => SIDES.map(({ word }) => `${part}-${word}${end}`);

/** From the middle of the table to the middle of a frame, from the top as it is drawn and its overhang at the ends. mm */
export const middleOfFrame = (length: number, overhang: number, thickest: number): number =>
  Math.max(thickest, length / 2 - overhang - thickest / 2);

/** Across under the top, on one frame. mm */
export const bearerOn = (given: {
  word: string;
  x: number;
  long: number;
  underside: number;
  bearer: { height: number; thickness: number };
}): Draft => {
  const { word, x, long, underside, bearer } = given;
  return {
    id: `bearer-${word}`,
    name: `Bearer, ${word}`,
    kind: 'bearer',
    grade: 'one-face',
    size: { length: long, width: bearer.height, thickness: bearer.thickness },
    frame: squareFrame([x, 0, underside - bearer.height / 2], { length: 'y', width: 'z', thickness: 'x' }),
  };
};

/** Upright between its foot and its bearer, with a tenon in both. @param z of the foot's upper face; mm */
export function postOn(given: {
  word: string;
  x: number;
  z: number;
  /** From shoulder to shoulder. */
  long: number;
  section: { width: number; thickness: number };
  tenons: { foot: { length: number }; bearer: { length: number } };
}): Draft {
  const { word, x, z, long, section, tenons } = given;
  const { foot, bearer } = tenons;
  return {
    id: `post-${word}`,
    name: `Post, ${word}`,
    kind: 'post',
    grade: 'all-faces',
    size: { length: long + foot.length + bearer.length, width: section.width, thickness: section.thickness },
    beyond: { start: foot.length, end: bearer.length },
    frame: squareFrame([x, 0, z + long / 2], { length: 'z', width: 'y', thickness: 'x' }),
  };
}

/** Across the table on the floor, or on pads. @param z of its underside; mm */
export function footUnder(given: {
  word: string;
  x: number;
  z: number;
  long: number;
  foot: { height: number; thickness: number };
}): Draft {
  const { word, x, z, long, foot } = given;
  return {
    id: `foot-${word}`,
    name: `Foot, ${word}`,
    kind: 'foot',
    grade: 'all-faces',
    size: { length: long, width: foot.height, thickness: foot.thickness },
    frame: squareFrame([x, 0, z + foot.height / 2], { length: 'y', width: 'z', thickness: 'x' }),
  };
}

/** Along the table from frame to frame, its ends in both. @param z of its middle; mm */
export function barBetween(given: {
  id: string;
  name: string;
  z: number;
  /** From shoulder to shoulder, and what is beyond each. */
  long: number;
  beyond: number;
  bar: { height: number; thickness: number };
}): Draft {
  const { id, name, z, long, beyond, bar } = given;
  return {
    id,
    name,
    kind: 'stretcher',
    grade: 'all-faces',
    size: { length: long + 2 * beyond, width: bar.height, thickness: bar.thickness },
    beyond: { start: beyond, end: beyond },
    frame: squareFrame([0, 0, z], { length: 'x', width: 'z', thickness: 'y' }),
  };
}

/**
 * How high and how far apart two frames of posts stand, and how long what lies across them is: as drawn, or as it was cut.
 * Posts that are cut make the table as high as they are, a bar between the frames sets them as far apart. mm
 */
export function settleFrames(given: {
  bench: Bench;
  whole: { top: AnyTop };
  top: TopSize;
  /** Floor to the upper face of the top, and to that of the feet. */
  height: number;
  footTop: number;
  bearer: { height: number; shorter: number };
  /** Across the table; and how long the tenons of both its ends are together. */
  post: { width: number; tenons: number };
  /** What of a frame is thickest along the table. */
  thickest: number;
  /** From one frame's middle to the other's as a bar was cut; undefined where none was. */
  apart: number | undefined;
}): { underside: number; middle: number; across: number; bearerLong: number; postLong: number } {
  const { bench, whole, top, height, footTop, bearer, post, thickest, apart } = given;
  const cutTo = (ids: readonly string[]) => measured(bench, ids, 'length');
  const drawn = drawnSize(whole.top);
  const cutPost = cutTo(onBothSides('post'));
  const underside = cutPost === undefined ? height - top.thickness : footTop + cutPost - post.tenons + bearer.height;
  const wide = Math.max(post.width, drawn.width - 2 * whole.top.sideOverhang);
  return {
    underside,
    middle:
      apart === undefined
        ? middleOfFrame(drawn.length, whole.top.endOverhang, thickest)
        : Math.max(thickest, apart / 2),
    across: cutTo(onBothSides('foot')) ?? wide,
    bearerLong: cutTo(onBothSides('bearer')) ?? Math.max(post.width, wide - 2 * bearer.shorter),
    postLong: Math.max(20, underside - bearer.height - footTop),
  };
}

type Under = 'rests' | 'underside' | 'clearAcross' | 'feet' | 'knees' | 'span' | 'corner';

/** How a top lies on two bearers, and where the frames stand. mm */
export function onTwoBearers(given: {
  middle: number;
  underside: number;
  /** Along the bearer; how thick it is along the table. */
  bearer: { long: number; thickness: number };
  /** What stands on the floor: across the table, and along it. */
  foot: { long: number; thickness: number };
  top: TopSize;
}): Pick<BasePlan, Under> {
  const { middle, underside, bearer, foot, top } = given;
  return {
    rests: SIDES.map(
      ({ side, word }): Rest => ({
        part: `bearer-${word}`,
        from: [side * middle, -bearer.long / 2],
        to: [side * middle, bearer.long / 2],
        held: [side * middle, 0],
        slides: true,
      }),
    ),
    underside,
    clearAcross: null,
    feet: SIDES.flatMap(({ side }) =>
      [-1, 1].flatMap((sx) =>
        [-1, 1].map((sy): Flat => [side * middle + (sx * foot.thickness) / 2, (sy * foot.long) / 2]),
      ),
    ),
    knees: { height: underside, parts: [], words: 'the top' },
    span: {
      along: 2 * middle - bearer.thickness,
      beyond: Math.max(0, top.length / 2 - middle - bearer.thickness / 2),
      across: null,
    },
    corner: null,
  };
}

/**
 * Sway along the table times E over the push, 1/mm: uprights resting on the floor, held upright by a bar between them
 * alone, F/6E·(a³ + (h − a)³)/I_upright + F·h²·L/12E·I_bar. Of both uprights of a frame together, the second moment.
 */
export function swayHeldByBar(given: {
  height: number;
  /** Floor to the bar, and its length from frame to frame. mm */
  at: number;
  span: number;
  /** mm⁴ */
  upright: number;
  bar: { height: number; thickness: number };
}): number {
  const { height, at, span, upright, bar } = given;
  const ofBar = (bar.thickness * bar.height ** 3) / 12;
  return (at ** 3 + (height - at) ** 3) / (6 * upright) + (height ** 2 * span) / (12 * ofBar);
}
