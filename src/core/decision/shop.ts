import * as v from 'valibot';
import { OwnSpeciesSchema } from '../wood/species';
import { amount, length, line, whole } from './fields';

/** A bar clamp tightened by hand, N; common practice: light bars 1 000 to 2 000, steel bars and pipes 4 000 to 7 000. */
const CLAMP_FORCE = 5000;

/** What this shop has and how it likes to see lengths. */
export const ShopSchema = v.object({
  name: v.pipe(line(120), v.nonEmpty('the workshop needs a name')),
  units: v.picklist(['metric', 'inch']),
  fraction: v.picklist([8, 16, 32, 64]),
  tools: v.object({
    jointerWidth: length(50, 1500),
    planerWidth: length(50, 2500),
    /** Longest edge that comes straight off the jointer's beds. */
    jointerLength: v.optional(length(0, 6000), 1600),
    /** Shortest piece the planer's rollers hold. */
    planerShortest: v.optional(length(0, 2000), 300),
    /** What one pass over jointer or planer takes. */
    passDepth: v.optional(length(0.1, 5), 0.8),
    /** Blade height of the table saw at 90°. */
    sawDepth: length(10, 500),
    /** The same at 45°. */
    sawDepth45: v.optional(length(5, 500), 52),
    /** Widest piece that is cut square across on the saw. */
    crosscut: v.optional(length(0, 3000), 320),
    kerf: length(0.5, 10),
    /** Widths that the mortiser's chisels or the mortising cutters make, and how deep they go. */
    mortises: v.optional(v.object({ widths: v.pipe(v.array(length(2, 50)), v.maxLength(30)), depth: length(0, 300) }), {
      widths: [6, 8, 10, 12],
      depth: 75,
    }),
    /** Straight router cutters: what they cut wide, and how deep they reach. */
    cutters: v.optional(
      v.pipe(v.array(v.object({ diameter: length(1, 60), reach: length(1, 150) })), v.maxLength(40)),
      [
        { diameter: 6, reach: 20 },
        { diameter: 8, reach: 25 },
        { diameter: 12, reach: 40 },
      ],
    ),
    /** Loose tenons kept in stock. */
    looseTenons: v.optional(
      v.pipe(
        v.array(v.object({ thickness: length(2, 50), width: length(5, 200), length: length(10, 300) })),
        v.maxLength(40),
      ),
      [
        { thickness: 8, width: 22, length: 50 },
        { thickness: 10, width: 28, length: 60 },
      ],
    ),
    /** Bits that bore a clean round hole. */
    borers: v.optional(v.pipe(v.array(length(1, 80)), v.maxLength(60)), [6, 8, 10, 12, 20, 25]),
    /** Dowels kept in stock. */
    dowels: v.optional(
      v.pipe(v.array(v.object({ diameter: length(3, 40), length: length(15, 200) })), v.maxLength(40)),
      [
        { diameter: 8, length: 40 },
        { diameter: 10, length: 60 },
      ],
    ),
    clamps: v.pipe(
      v.array(
        v.object({
          length: length(100, 6000),
          count: whole(1, 200),
          /** What one of them presses with when it is tightened by hand, N. */
          force: v.optional(amount(100, 60_000), CLAMP_FORCE),
        }),
      ),
      v.maxLength(40),
    ),
    /** What one person lifts, kg. */
    lift: amount(5, 100, 'kg'),
    /** Greatest width a board may have to be resawn on edge, and what the band takes away; 0 where there is no band saw. */
    resawHeight: v.optional(length(0, 1000), 0),
    resawKerf: v.optional(length(0.3, 6), 1.5),
  }),
  /** Room to work and to let glue dry. */
  space: v.optional(
    v.object({
      /** The bench's flat face. */
      bench: v.object({ length: length(300, 6000), width: length(200, 3000) }),
      /** Glue-ups that can lie in their clamps at one time. */
      drying: whole(1, 50),
    }),
    { bench: { length: 1900, width: 700 }, drying: 2 },
  ),
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
    /** Taken from a rough board's thickness when it is flattened. */
    flattening: length(0, 20),
    /** Taken from a dressed board's thickness, and from its width where its own edges stay; 0: used as it is. */
    skim: v.optional(length(0, 20), 0),
    /** Over-thickness of each resawn piece, for its cup and for cleaning both faces. */
    resaw: v.optional(length(0, 20), 3),
  }),
  /** What wood and an hour of work count for, when layouts are weighed. */
  prices: v.optional(
    v.object({
      /** As it is written before or after an amount. */
      currency: line(8),
      /** For boards that carry no price of their own, per m³. */
      wood: amount(0, 1_000_000, '/m³'),
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
