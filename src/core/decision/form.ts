import * as v from 'valibot';
import { amount, length, whole } from './fields';

/** The shape of a top seen from above. */
export const OutlineSchema = v.variant('kind', [
  v.object({ kind: v.literal('rectangle') }),
  /** Sides and ends that bulge by a sagitta; length and width are over all. */
  v.object({ kind: v.literal('curved'), side: length(0, 400), end: length(0, 400) }),
  /** Round: the width is the diameter. */
  v.object({ kind: v.literal('round') }),
  v.object({ kind: v.literal('oval') }),
  /** Equal sides; the width is over the flats. */
  v.object({ kind: v.literal('polygon'), sides: v.picklist([6, 8, 10, 12]) }),
]);

/** How the edge of a top is worked. */
export const EdgeSchema = v.variant('kind', [
  v.object({ kind: v.literal('square') }),
  v.object({ kind: v.literal('rounded'), radius: length(1, 60) }),
  v.object({ kind: v.literal('chamfered'), width: length(1, 60) }),
  /** A quarter of an ellipse on the upper edge: so far in, and so far down. */
  v.object({ kind: v.literal('thumbnail'), width: length(3, 80), depth: length(2, 80) }),
  /** From below: so far in from the edge, leaving so much of the thickness at it. */
  v.object({ kind: v.literal('under-bevelled'), width: length(5, 300), left: length(4, 100) }),
]);

const topEntries = {
  length: length(200, 6000),
  width: length(150, 2500),
  thickness: length(8, 120),
  /** From the edge of the top to the outside of the legs. */
  endOverhang: length(0, 1500),
  sideOverhang: length(0, 800),
};

/** A hole through the top, for an outlet or cables. */
export const CutOutSchema = v.object({
  /** To its middle, from the left end and from the front edge. */
  fromEnd: length(0, 6000),
  fromFront: length(0, 2500),
  /** Along the table, and across it. */
  length: length(10, 1000),
  width: length(10, 600),
});

const cutOuts = v.optional(v.pipe(v.array(CutOutSchema), v.maxLength(8)), []);

const liveEdge = v.pipe(v.array(length(60, 2000)), v.minLength(2, 'two widths at least'), v.maxLength(17));

export const TopSchema = v.variant('kind', [
  v.object({
    kind: v.literal('glued-panel'),
    ...topEntries,
    outline: v.optional(OutlineSchema, { kind: 'rectangle' }),
    edge: v.optional(EdgeSchema, { kind: 'square' }),
    cutOuts,
    /** Lifted toward the sitter by a pair of bought-in mechanisms inside the end aprons; null for none. */
    lift: v.optional(
      v.nullable(
        v.object({
          /** What the pair of them lifts, kg, from and to. */
          least: amount(0.5, 80),
          most: amount(0.5, 120),
          /** Screwed under the top to make it heavy enough, kg. */
          ballast: amount(0, 40),
          rise: length(30, 500),
          forward: length(0, 700),
          /** Each of them folded: under the top, front to back, and across the table's length. */
          height: length(20, 250),
          long: length(100, 800),
          thick: length(8, 60),
          /** kg each. */
          weight: amount(0, 15),
        }),
      ),
      null,
    ),
  }),
  v.object({
    kind: v.literal('breadboard'),
    ...topEntries,
    end: v.object({
      /** Of each end, along the table. */
      width: length(40, 300),
      tongue: v.picklist(['long', 'tenons', 'loose']),
      /** Tenons an end, the stub between them being short; not used with one long tongue. */
      tenons: whole(2, 9),
      /** Into the end; null lets the rule choose: half its width. */
      depth: v.nullable(length(10, 200)),
      pegs: v.picklist(['none', 'straight', 'draw-bored']),
      /** Longer than the top is wide on the day it is made, both sides together. */
      proud: length(0, 30),
      /** Its outer edge from above; its width is over all. */
      shape: v.optional(
        v.variant('kind', [
          v.object({ kind: v.literal('straight') }),
          v.object({ kind: v.literal('curved'), sagitta: length(1, 200) }),
          /** Both outer corners cut off at 45°. */
          v.object({ kind: v.literal('chamfered'), corner: length(1, 200) }),
        ]),
        { kind: 'straight' },
      ),
    }),
    cutOuts,
  }),
  v.object({
    kind: v.literal('slatted'),
    ...topEntries,
    slats: whole(2, 40),
    /** Between two slats on the day it is made. */
    gap: length(1, 60),
    edge: v.optional(EdgeSchema, { kind: 'square' }),
  }),
  /** Two slabs, each with a live edge, and between them a channel of glass or of resin. */
  v.object({
    kind: v.literal('channel'),
    ...topEntries,
    /** Each slab's width from its outer edge to its live edge, at even places from the left end to the right. */
    slabs: v.object({ front: liveEdge, back: liveEdge }),
    fill: v.variant('kind', [
      v.object({
        kind: v.literal('glass'),
        thickness: length(4, 19),
        /** How far it lies on each slab. */
        bearing: length(4, 60),
        /** Free between it and the recess, all round. */
        room: length(0.5, 15),
      }),
      /** Poured in goes no deeper than its maker allows. */
      v.object({ kind: v.literal('resin'), pour: length(3, 100) }),
    ]),
  }),
  /** Two panels side by side, drawn together along the grain by bolts from below. */
  v.object({ kind: v.literal('halves'), ...topEntries, bolts: whole(2, 12) }),
  /** Fields one after another along the table, even, with a stripe across the grain in every seam or none. */
  v.object({
    kind: v.literal('pieced'),
    ...topEntries,
    seams: whole(1, 6),
    /** Of each stripe, along the table; 0 for none: end grain against end grain. */
    stripe: length(0, 300),
    seam: v.picklist(['tenons', 'glued']),
  }),
  /** A frame mitred at its corners round a panel. */
  v.object({
    kind: v.literal('framed'),
    ...topEntries,
    border: length(30, 300),
    panel: v.picklist(['floating', 'sheet', 'glued']),
    panelThickness: length(6, 100),
    /** Beyond the panel's field, into the grooves. */
    tongue: length(5, 60),
    /** Free at each side across the grain on the day it is made; not used where the panel is glued. */
    room: length(0, 25),
  }),
  /** Two halves drawn apart on slides, and leaves laid between them; its length is that of the closed table. */
  v.object({
    kind: v.literal('extending'),
    ...topEntries,
    leaves: whole(1, 4),
    /** Of each leaf, along the table. */
    leaf: length(150, 900),
    slides: v.object({
      height: length(25, 100),
      thickness: length(12, 60),
      /** What stays of a runner in its guide when the table is drawn out, at the least. */
      overlap: length(60, 800),
    }),
    /** Under the top in the base, or in a rack of their own. */
    stored: v.picklist(['inside', 'elsewhere']),
  }),
]);

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

export const HoldSchema = v.object({
  kind: v.picklist([
    'buttons',
    'clips',
    'figure-eight',
    'slotted-cleats',
    'oversized-holes',
    'slotted-washers',
    'sliding-blocks',
    'rail-screws',
    'inserts',
  ]),
  /** How far the fastener lets the top move outward, from its middle; and inward, the same where null. */
  travel: length(0, 40),
  inward: v.optional(v.nullable(length(0, 40)), null),
  screwLength: length(5, 200),
});

export const LoadsSchema = v.object({
  /** Somebody leaning on the edge, N. */
  edge: amount(0, 5000),
  /** Spread over the whole top, N. */
  spread: amount(0, 20000),
  /** Somebody pushing at the edge of the top, level, N. */
  push: v.optional(amount(0, 5000), 200),
});

/** What keeps a wide top flat beside the base. */
export const FlatSchema = v.variant('kind', [
  v.object({ kind: v.literal('none') }),
  v.object({
    kind: v.literal('battens'),
    count: whole(1, 6),
    width: length(25, 200),
    thickness: length(10, 60),
    /** Of the outer screws in their slots, each way. */
    travel: length(0, 40),
  }),
  /** Of steel, let in flush with the underside. */
  v.object({
    kind: v.literal('channels'),
    count: whole(1, 6),
    width: length(15, 120),
    depth: length(6, 40),
    travel: length(0, 40),
  }),
]);

/** Another table like it, end to end with this one. */
export const JoinedSchema = v.object({
  connectors: whole(2, 6),
  /** Of their slots, to either side across the table. */
  slot: length(0, 20),
  /** How much drier one top may be than the other, %. */
  apart: amount(0, 8),
});

export const FormSchema = v.object({
  species: v.pipe(v.string(), v.nonEmpty('a species is needed'), v.maxLength(80)),
  top: TopSchema,
  base: BaseSchema,
  hold: HoldSchema,
  flat: v.optional(FlatSchema, { kind: 'none' }),
  /** Null where it stands alone. */
  joined: v.optional(v.nullable(JoinedSchema), null),
  loads: LoadsSchema,
});

export type Form = v.InferOutput<typeof FormSchema>;
export type Hold = Form['hold'];
export type HoldKind = Hold['kind'];
export type TopKind = Form['top']['kind'];
export type BaseKind = Form['base']['kind'];
export type Edge = v.InferOutput<typeof EdgeSchema>;
export type TopOutline = v.InferOutput<typeof OutlineSchema>;
export type CutOut = v.InferOutput<typeof CutOutSchema>;
/** The decisions of one kind of base, and of one kind of top. */
export type BaseOf<Kind extends BaseKind> = Extract<Form['base'], { kind: Kind }>;
export type TopOf<Kind extends TopKind> = Extract<Form['top'], { kind: Kind }>;
