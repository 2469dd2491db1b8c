import * as v from 'valibot';
import { amount, length, whole } from './fields';

/** What holds the top to its base. */
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
  edge: amount(0, 5000, 'N'),
  /** Spread over the whole top, N. */
  spread: amount(0, 20000, 'N'),
  /** Somebody pushing at the edge of the top, level, N. */
  push: v.optional(amount(0, 5000, 'N'), 200),
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
  apart: amount(0, 8, '%'),
});

export type Hold = v.InferOutput<typeof HoldSchema>;
export type HoldKind = Hold['kind'];
