import * as v from 'valibot';
import { BenchSchema } from '../decision/bench';
import { amount, day, length, line, name, whole } from '../decision/fields';
import { JointsSchema } from '../decision/joints';
import { USE_OF_PIECE, USES } from '../decision/use';
import { FormSchema } from '../piece/form';

export * from '../decision/bench';
export * from '../decision/hold';
export * from '../decision/joints';
export * from '../decision/top-shapes';
export * from '../piece/form';
export * from '../piece/table/form';

/** Kinds of parts that may be taken as dressed stock, and planed no further. */
export const DRESSED_KINDS = [
  'leg',
  'apron',
  'cross-rail',
  'slat',
  'stretcher',
  'foot',
  'post',
  'top-rail',
  'bearer',
  'brace',
  'batten',
] as const;

/** Kinds of parts of a base that may be painted: what is under paint need not match, and may have sound knots. */
export const PAINTED_KINDS = [
  'leg',
  'apron',
  'cross-rail',
  'stretcher',
  'foot',
  'post',
  'top-rail',
  'bearer',
  'brace',
  'shelf',
] as const;

/** What is assumed and measured of the panels of a piece through the year. */
export const PieceSeasonSchema = v.object({
  /** Ring tangent to face: 0 flat, 45 rift, 90 quarter. */
  ringAngle: amount(0, 90),
  /** Which faces of the top get the finish of the plan. */
  coated: v.optional(v.picklist(['both', 'show', 'neither']), 'both'),
  /** Widths of the top measured after it was glued. */
  measured: v.optional(
    v.pipe(v.array(v.object({ on: day, width: length(50, 5000), note: v.optional(line(200), '') })), v.maxLength(200)),
    [],
  ),
});

/** How the panels of a piece are divided into strips, and which of its parts match. */
export const PieceLayoutSchema = v.object({
  leastStrip: length(20, 400),
  greatestStrip: length(30, 800),
  /** At most so many strips in the top; null: as many as it takes. */
  mostStrips: v.optional(v.nullable(whole(1, 100)), null),
  /** All strips from boards of one lot. */
  oneLot: v.optional(v.boolean(), false),
  /** So many strips, all of one width, planed at one setting; null: each as wide as its board gives. */
  equalStrips: v.optional(v.nullable(whole(2, 60)), null),
  /** Strips in pairs, two resawn from one blank: opened like a book, or slipped side by side. */
  pairs: v.optional(v.picklist(['none', 'book', 'slip']), 'none'),
  /** Kinds of parts whose parts all come from one board, so that they match. */
  oneBoard: v.optional(v.pipe(v.array(v.picklist(['leg', 'apron', 'cross-rail'])), v.maxLength(3)), []),
  /** Kinds of parts that are taken as dressed stock of their own section, and planed no further. */
  asDressed: v.optional(v.pipe(v.array(v.picklist(DRESSED_KINDS)), v.maxLength(DRESSED_KINDS.length)), []),
  /** Between a joint line of the top and anything driven into it. */
  jointMargin: v.optional(length(0, 100), 12),
});

export const GlueUpChoiceSchema = v.object({
  glue: v.picklist(['pva', 'pva-slow', 'hide', 'epoxy']),
  staging: v.picklist(['planer-width', 'in-halves', 'all-at-once']),
  /** What keeps the boards level while they are glued. */
  level: v.optional(v.picklist(['none', 'cauls', 'loose-tenons', 'biscuits', 'dowels']), 'none'),
});

export const PiecePlanSchema = v.object({
  finish: v.picklist(['oil-wax', 'film', 'shellac', 'lacquer', 'epoxy', 'wax', 'none']),
  /** Kinds of parts that are painted in its place. */
  painted: v.optional(v.pipe(v.array(v.picklist(PAINTED_KINDS)), v.maxLength(PAINTED_KINDS.length)), []),
});

/** Letters and digits that name a piece, a wood or an instance in its job; they last as long as it does. */
export const id = v.pipe(v.string(), v.regex(/^[a-z0-9-]{1,40}$/, 'small letters, digits and hyphens only'));

/** Where one of them stands in the room: its middle from the room's, along the longer side and across; turned anticlockwise. */
export const SpotSchema = v.object({ x: length(-25000, 25000), y: length(-25000, 25000), turn: amount(0, 360, '°') });
export type Spot = v.InferOutput<typeof SpotSchema>;

/** Which of those that are made alike. */
const numberFrom1 = v.pipe(v.string(), v.regex(/^[1-9]\d?$/, 'a number from 1'));

/** One thing that is built, so many times alike: everything that was decided of it. */
export const PieceSchema = v.pipe(
  v.object({
    id,
    name,
    use: v.picklist(USES),
    count: whole(1, 60),
    /** Id of the wood of the job that it is made of. */
    wood: id,
    /** Ids of the woods of parts that are of another, by their kind or by their own id. */
    woodOf: v.optional(v.record(line(40), id), {}),
    form: FormSchema,
    season: PieceSeasonSchema,
    joints: JointsSchema,
    layout: PieceLayoutSchema,
    glueUp: GlueUpChoiceSchema,
    plan: PiecePlanSchema,
    /** What is cut and measured of each of them, by its number from 1. */
    benches: v.record(numberFrom1, BenchSchema),
    /** Where the maker has put them in the room, by the same numbers; null or nothing where a place is found. */
    spots: v.optional(v.record(numberFrom1, v.nullable(SpotSchema)), {}),
  }),
  v.forward(
    v.partialCheck(
      [['form'], ['use']],
      ({ form, use }) => USE_OF_PIECE[use].build === form.build,
      'a table is for one of the uses of tables, and a case for one of those of cases',
    ),
    ['use'],
  ),
  v.forward(
    v.partialCheck(
      [['layout']],
      ({ layout }) => layout.leastStrip <= layout.greatestStrip,
      'the widest strip must be at least as wide as the narrowest',
    ),
    ['layout', 'greatestStrip'],
  ),
);

export type PieceDecisions = v.InferOutput<typeof PieceSchema>;
export type GlueKind = PieceDecisions['glueUp']['glue'];
export type Staging = PieceDecisions['glueUp']['staging'];
export type FinishOfPlan = PieceDecisions['plan']['finish'];
