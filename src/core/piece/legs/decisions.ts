import * as v from 'valibot';
import { amount, length, whole } from '../../decision/fields';

/** How a square leg becomes thinner toward the floor. */
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

/** What is low between legs. */
export const StretchersSchema = v.variant('kind', [
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
    load: amount(0, 3000, 'N'),
  }),
]);
export type Stretchers = v.InferOutput<typeof StretchersSchema>;
