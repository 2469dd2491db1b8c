import * as v from 'valibot';
import { amount, length, whole } from './fields';

export const TaperSchema = v.variant('kind', [
  v.object({ kind: v.literal('straight') }),
  /** From just below the apron to `foot` at the floor. */
  v.object({
    kind: v.literal('tapered'),
    foot: length(10, 250),
    /** The two that look inward, or all four. */
    faces: v.optional(v.picklist(['inside', 'all']), 'inside'),
    /** Curved: how far its middle lies behind the straight line; below 0 it is bellied. */
    hollow: v.optional(length(-60, 60), 0),
  }),
]);

/** How the blank of a leg comes about. */
export const LegMakingSchema = v.variant('kind', [
  v.object({ kind: v.literal('solid') }),
  v.object({ kind: v.literal('staves'), count: whole(2, 8) }),
  v.object({ kind: v.literal('two-at-45') }),
  v.object({ kind: v.literal('faced'), veneer: length(1, 12) }),
]);

export const BaseSchema = v.variant('kind', [
  v.object({
    kind: v.literal('leg-apron'),
    /** Floor to the upper face of the top. */
    height: length(150, 1400),
    leg: v.object({
      section: length(20, 250),
      taper: TaperSchema,
      making: v.optional(LegMakingSchema, { kind: 'solid' }),
      /** Leaning outward from upright: along the table and across it, degrees. */
      splay: v.optional(v.object({ ends: amount(0, 15), sides: amount(0, 15) }), { ends: 0, sides: 0 }),
      /** Up through the top, flush with it; its notches are larger by so much at both sides across the grain. */
      through: v.optional(v.nullable(v.object({ room: length(0, 30) })), null),
    }),
    apron: v.object({
      height: length(20, 400),
      thickness: length(8, 80),
      /** The apron's set-back from the leg's outside face. */
      reveal: length(0, 100),
      /** How far the lower edge is hollowed in its middle; 0 for straight. */
      arch: v.optional(length(0, 200), 0),
    }),
    crossRails: whole(0, 6),
    railJoint: v.optional(v.picklist(['stub', 'dovetail']), 'stub'),
    /** Pairs of legs between the corners, under the long aprons. */
    midLegs: v.optional(whole(0, 2), 0),
    /** Across the corners inside, screwed to both aprons and the leg. */
    cornerBlocks: v.optional(v.boolean(), false),
    /** Low between the legs: at both ends, and with one from end to end in the middle. */
    stretchers: v.optional(
      v.variant('kind', [
        v.object({ kind: v.literal('none') }),
        v.object({
          kind: v.literal('h'),
          height: length(20, 150),
          thickness: length(12, 80),
          /** Floor to their middle. */
          at: length(40, 900),
        }),
        /** At both ends, and boards along the table on them. */
        v.object({
          kind: v.literal('shelf'),
          height: length(20, 150),
          thickness: length(12, 80),
          at: length(40, 900),
          boards: whole(1, 12),
          boardThickness: length(8, 60),
          gap: length(0, 40),
          /** What is to lie on it, N: a design load. */
          load: amount(0, 3000),
        }),
      ]),
      { kind: 'none' },
    ),
  }),
  v.object({
    kind: v.literal('trestle'),
    height: length(150, 1400),
    /** Across the table on the floor; its length follows from the top and its side overhang. */
    foot: v.object({
      height: length(30, 250),
      thickness: length(20, 200),
      /** How far its underside is hollowed, so that it stands on its ends; 0 for flat. */
      hollow: v.optional(length(0, 150), 0),
      /** Glued of so many boards face to face; 1 for one blank. */
      staves: v.optional(whole(1, 6), 1),
    }),
    /** Under each foot at both ends; 0 for none. */
    pads: length(0, 40),
    post: v.object({
      width: length(40, 300),
      thickness: length(20, 200),
      staves: v.optional(whole(1, 6), 1),
    }),
    /** Across under the top. */
    bearer: v.object({ height: length(25, 200), thickness: length(20, 200), shorter: length(0, 800) }),
    /** Tenons side by side at either end of a post. */
    tenons: whole(1, 3),
    stretcher: v.object({
      height: length(30, 300),
      thickness: length(15, 120),
      /** Floor to its middle. */
      at: length(50, 1300),
      joint: v.picklist(['wedged', 'tusk', 'bolted']),
      /** Of a wedged tenon beyond the post. */
      proud: length(0, 100),
      /** How far its middle rises above its ends; 0 for straight. */
      arch: v.optional(length(0, 400), 0),
    }),
    /** Along the table at 45°, from each post down to the stretcher; null for none. */
    buttresses: v.optional(
      v.nullable(v.object({ width: length(25, 150), thickness: length(12, 100), reach: length(60, 500) })),
      null,
    ),
    /** From each post to its bearer at 45°, on both sides; null for none. */
    braces: v.optional(
      v.nullable(
        v.object({
          width: length(25, 150),
          thickness: length(15, 100),
          /** From the corner of post and bearer to the middle of the brace, on both. */
          reach: length(60, 600),
        }),
      ),
      null,
    ),
  }),
  /** Square posts on feet, held by pegs, dovetails and wedges without glue. */
  v.object({
    kind: v.literal('post-brace'),
    height: length(150, 1400),
    /** Across the table on the floor, glued of so many boards side by side. */
    foot: v.object({ height: length(40, 250), thickness: length(40, 300), staves: whole(1, 6) }),
    post: v.object({ section: length(50, 250), staves: whole(1, 6) }),
    bearer: v.object({ height: length(40, 250), thickness: length(30, 250), shorter: length(0, 800) }),
    /** Along the table, flat under the top, dovetailed into both bearers from above; middle to middle. */
    rails: v.object({ width: length(40, 250), thickness: length(18, 120), apart: length(100, 2000) }),
    braces: v.object({
      width: length(25, 150),
      thickness: length(15, 100),
      /** From the posts to the bearers, or along and across at once to the top rails. */
      way: v.picklist(['across', 'diagonal']),
      /** From the corner of post and bearer to their middle, on both; diagonal ones reach to the rails. */
      reach: length(60, 600),
    }),
    /** From post to post. */
    stringer: v.object({
      height: length(40, 350),
      thickness: length(18, 150),
      /** Floor to its middle. */
      at: length(60, 1300),
      hold: v.picklist(['pegs', 'wedge']),
    }),
  }),
  v.object({
    kind: v.literal('x-frame'),
    height: length(150, 1400),
    leg: v.object({ width: length(30, 250), thickness: length(20, 150) }),
    /** Between the outer corners of the crossing legs, at the floor and under the bearer. */
    spread: v.object({ floor: length(150, 2400), head: length(100, 2400) }),
    bearer: v.object({ height: length(25, 200), thickness: length(20, 200) }),
    stretcher: v.object({ height: length(30, 300), thickness: length(15, 120) }),
  }),
  v.object({
    kind: v.literal('splayed'),
    height: length(150, 1400),
    legs: whole(3, 6),
    leg: v.object({ width: length(25, 200), thickness: length(20, 150) }),
    /** From upright, outward. */
    lean: amount(0, 25),
    /** From the middle to the outside of the leg under the top. */
    reach: length(100, 1500),
    arm: v.object({ height: length(30, 200), thickness: length(20, 120) }),
    /** Of an arm and its leg. */
    joint: v.optional(v.picklist(['bridle', 'mitre']), 'bridle'),
  }),
  /** Two sides mitred to the ends of the top: a bench or a stool folded out of one board. */
  v.object({
    kind: v.literal('box'),
    height: length(150, 1400),
    key: v.picklist(['spline', 'dowels']),
    /** Between the sides, floor to its middle; null for none. */
    rail: v.optional(
      v.nullable(v.object({ height: length(30, 300), thickness: length(12, 80), at: length(30, 1200) })),
      null,
    ),
  }),
  /** Bought in. */
  v.object({
    kind: v.literal('steel'),
    height: length(150, 1400),
    /** Four legs under plates of their own, or two frames under flat bars across. */
    shape: v.picklist(['legs', 'frames']),
    tube: v.object({ width: length(12, 150), wall: length(1, 12) }),
    /** Along the table and, for legs, across it. */
    plate: v.object({ length: length(40, 500), width: length(40, 500), thickness: length(2, 20) }),
    /** Outside of the threaded inserts in the top. */
    insert: length(4, 25),
    /** Of each leg or frame, kg, as its seller says. */
    weight: amount(0, 80),
  }),
]);
