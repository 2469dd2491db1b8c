import * as v from 'valibot';
import { amount, length, whole } from '../../../../decision/fields';
import { StretchersSchema, TaperSchema } from '../../../legs/decisions';

/** How the blank of a leg comes about. */
export const LegMakingSchema = v.variant('kind', [
  v.object({ kind: v.literal('solid') }),
  v.object({ kind: v.literal('staves'), count: whole(2, 8) }),
  v.object({ kind: v.literal('two-at-45') }),
  v.object({ kind: v.literal('faced'), veneer: length(1, 12) }),
]);

export const schema = v.object({
  kind: v.literal('leg-apron'),
  /** Floor to the upper face of the top. */
  height: length(150, 1400),
  leg: v.object({
    section: length(20, 250),
    taper: TaperSchema,
    making: v.optional(LegMakingSchema, { kind: 'solid' }),
    /** Leaning outward from upright: along the table and across it, degrees. */
    splay: v.optional(v.object({ ends: amount(0, 15, '°'), sides: amount(0, 15, '°') }), { ends: 0, sides: 0 }),
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
  stretchers: v.optional(StretchersSchema, { kind: 'none' }),
});

export type LegApron = v.InferOutput<typeof schema>;
