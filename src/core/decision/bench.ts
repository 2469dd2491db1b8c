import * as v from 'valibot';
import { day, length, line } from './fields';

/** The real size of a part that is cut; null leaves a dimension to the design. */
export const LockSchema = v.object({
  length: v.nullable(length(1, 10000)),
  width: v.nullable(length(1, 5000)),
  thickness: v.nullable(length(1, 500)),
  /** The day it was measured. */
  on: day,
});

export const BenchSchema = v.object({
  /** Ids of the parts that are cut. */
  cut: v.optional(v.pipe(v.array(line(40)), v.maxLength(500)), []),
  locks: v.optional(v.record(v.pipe(v.string(), v.maxLength(40)), LockSchema), {}),
});

export type Bench = v.InferOutput<typeof BenchSchema>;
export type Lock = v.InferOutput<typeof LockSchema>;
