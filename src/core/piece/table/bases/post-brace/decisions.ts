import * as v from 'valibot';
import { length, whole } from '../../../../decision/fields';

export const schema = v.object({
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
});

export type PostBrace = v.InferOutput<typeof schema>;
