import * as v from 'valibot';
import { length } from './fields';

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

/** Sizes that every kind of top has. */
export const topEntries = {
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

export const cutOuts = v.optional(v.pipe(v.array(CutOutSchema), v.maxLength(8)), []);

export type Edge = v.InferOutput<typeof EdgeSchema>;
export type TopOutline = v.InferOutput<typeof OutlineSchema>;
export type CutOut = v.InferOutput<typeof CutOutSchema>;

type Sizes = v.InferOutput<v.ObjectSchema<typeof topEntries, undefined>>;
export type SizeOfTop = keyof Sizes;

/** What is known of a top of whatever kind. mm */
export interface AnyTop extends Sizes {
  kind: string;
  outline?: TopOutline;
  edge?: Edge;
  cutOuts?: readonly CutOut[];
}
