import * as v from 'valibot';
import { length, whole } from '../../../../decision/fields';

export const schema = v.object({
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
});

export type Trestle = v.InferOutput<typeof schema>;
