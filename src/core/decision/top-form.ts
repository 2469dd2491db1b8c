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
