import * as v from 'valibot';
import { OwnSpeciesSchema } from '../wood/species';
import { amount, length, line, whole } from './fields';

/** What this shop has and how it likes to see lengths. */
export const ShopSchema = v.object({
  name: v.pipe(line(120), v.nonEmpty('the workshop needs a name')),
  units: v.picklist(['metric', 'inch']),
  fraction: v.picklist([8, 16, 32, 64]),
  tools: v.object({
    jointerWidth: length(50, 1500),
    planerWidth: length(50, 2500),
    /** Shortest piece the planer's rollers hold. */
    planerShortest: v.optional(length(0, 2000), 300),
    /** What one pass over jointer or planer takes. */
    passDepth: v.optional(length(0.1, 5), 0.8),
    /** Blade height of the table saw at 90°. */
    sawDepth: length(10, 500),
    kerf: length(0.5, 10),
    clamps: v.pipe(v.array(v.object({ length: length(100, 6000), count: whole(1, 200) })), v.maxLength(40)),
    /** What one person lifts, kg. */
    lift: amount(5, 100),
    /** Greatest width a board may have to be resawn on edge, and what the band takes away; 0 where there is no band saw. */
    resawHeight: v.optional(length(0, 1000), 0),
    resawKerf: v.optional(length(0.3, 6), 1.5),
  }),
  allowances: v.object({
    /** Cut off each rough end before anything is taken. */
    endTrim: length(0, 300),
    /** Over-length of a solid part until its final cut. */
    partLength: length(0, 200),
    /** Over-width of a solid part for jointing and planing. */
    partWidth: length(0, 50),
    /** Over-length of panel strips, trimmed after gluing. */
    panelLength: length(0, 300),
    /** Over-width of the glued panel, trimmed after. */
    panelWidth: length(0, 100),
    /** Taken from each strip's width by jointing both its edges. */
    stripJointing: length(0, 30),
    /** Taken from a dressed or measured board's thickness when it is flattened. */
    flattening: length(0, 20),
    /** Over-thickness of each resawn piece, for its cup and for cleaning both faces. */
    resaw: v.optional(length(0, 20), 3),
  }),
  /** What wood and an hour of work count for, when layouts are weighed. */
  prices: v.optional(
    v.object({
      /** As it is written before or after an amount. */
      currency: line(8),
      /** For boards that carry no price of their own, per m³. */
      wood: amount(0, 1_000_000),
      hour: amount(0, 10_000),
    }),
    { currency: '€', wood: 2500, hour: 40 },
  ),
  /** Woods the table does not have, and own values for those it has. */
  species: v.optional(v.pipe(v.array(OwnSpeciesSchema), v.maxLength(200)), []),
  /** What the shop's pin meter reads wrong for a wood, % added; by species id. */
  meterCorrections: v.optional(v.record(v.pipe(v.string(), v.maxLength(80)), amount(-10, 10)), {}),
  /** An offcut at least this long and wide goes back to the rack. */
  usefulOffcut: v.object({ length: length(50, 5000), width: length(20, 1000) }),
});

export type Shop = v.InferOutput<typeof ShopSchema>;
