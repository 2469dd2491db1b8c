import * as v from 'valibot';
import { length, line } from './fields';

const id = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'small letters, digits and hyphens only'));

/** What on the back wall must be kept clear: a socket, a pipe, a switch; from the left wall at the floor, mm. */
const ClearSchema = v.object({
  id,
  name: v.pipe(line(60), v.nonEmpty('a name is needed')),
  fromLeft: length(0, 6000),
  fromFloor: length(0, 4000),
  width: length(1, 3000),
  height: length(1, 3000),
});

/** The alcove that a case is fitted to, as it is measured. */
export const AlcoveSchema = v.object({
  wide: v.object({ floor: length(100, 6000), middle: length(100, 6000), head: length(100, 6000) }),
  deep: v.object({ left: length(50, 2000), right: length(50, 2000) }),
  lean: length(-300, 300),
  rise: length(-200, 200),
  ceiling: length(300, 6000),
  skirting: v.nullable(v.object({ height: length(5, 400), thickness: length(2, 60) })),
  /** Both sides together, where the walls come nearest. */
  room: length(0, 100),
  /** Scribe strips, thick. */
  strips: length(9, 40),
  clear: v.pipe(v.array(ClearSchema), v.maxLength(20)),
});
export type AlcoveDecided = v.InferOutput<typeof AlcoveSchema>;
