import * as v from 'valibot';
import { amount, day, length, line, name, whole } from './fields';

/** Who sits there, in what room, by when. */
export const BriefSchema = v.object({
  seats: whole(1, 40),
  seating: v.picklist(['chairs', 'benches']),
  room: v.object({ length: length(500, 50000), width: length(500, 50000) }),
  /** Wall behind the chairs only, or people passing behind them. */
  behindChairs: v.picklist(['wall', 'passing']),
  door: v.object({ width: length(300, 5000), height: length(500, 6000) }),
  dueOn: day,
  note: line(4000),
});

/** The shape of a top seen from above. */
export const OutlineSchema = v.variant('kind', [
  v.object({ kind: v.literal('rectangle') }),
  /** Sides and ends that bulge by a sagitta; length and width are over all. */
  v.object({ kind: v.literal('curved'), side: length(0, 400), end: length(0, 400) }),
  /** Round: the width is the diameter. */
  v.object({ kind: v.literal('round') }),
  v.object({ kind: v.literal('oval') }),
  /** Equal sides; the width is over the flats. */
  v.object({ kind: v.literal('polygon'), sides: v.picklist([6, 8, 10, 12]) }),
]);

/** How the edge of a top is worked. */
export const EdgeSchema = v.variant('kind', [
  v.object({ kind: v.literal('square') }),
  v.object({ kind: v.literal('rounded'), radius: length(1, 60) }),
  v.object({ kind: v.literal('chamfered'), width: length(1, 60) }),
  /** From below: so far in from the edge, leaving so much of the thickness at it. */
  v.object({ kind: v.literal('under-bevelled'), width: length(5, 300), left: length(4, 100) }),
]);

const topEntries = {
  length: length(200, 6000),
  width: length(150, 2500),
  thickness: length(8, 120),
  /** From the edge of the top to the outside of the legs. */
  endOverhang: length(0, 1500),
  sideOverhang: length(0, 800),
};

export const TopSchema = v.variant('kind', [
  v.object({
    kind: v.literal('glued-panel'),
    ...topEntries,
    outline: v.optional(OutlineSchema, { kind: 'rectangle' }),
    edge: v.optional(EdgeSchema, { kind: 'square' }),
  }),
  v.object({
    kind: v.literal('breadboard'),
    ...topEntries,
    end: v.object({
      /** Of each end, along the table. */
      width: length(40, 300),
      tongue: v.picklist(['long', 'tenons', 'loose']),
      /** Tenons an end, the stub between them being short; not used with one long tongue. */
      tenons: whole(2, 9),
      /** Into the end; null lets the rule choose: half its width. */
      depth: v.nullable(length(10, 200)),
      pegs: v.picklist(['none', 'straight', 'draw-bored']),
      /** Longer than the top is wide on the day it is made, both sides together. */
      proud: length(0, 30),
    }),
  }),
  v.object({
    kind: v.literal('slatted'),
    ...topEntries,
    slats: whole(2, 40),
    /** Between two slats on the day it is made. */
    gap: length(1, 60),
    edge: v.optional(EdgeSchema, { kind: 'square' }),
  }),
]);

export const TaperSchema = v.variant('kind', [
  v.object({ kind: v.literal('straight') }),
  /** Tapered on the two inside faces, from just below the apron to `foot` at the floor. */
  v.object({ kind: v.literal('tapered'), foot: length(10, 250) }),
]);

/** How the blank of a leg comes about. */
export const LegMakingSchema = v.variant('kind', [
  v.object({ kind: v.literal('solid') }),
  v.object({ kind: v.literal('staves'), count: whole(2, 8) }),
  v.object({ kind: v.literal('two-at-45') }),
  v.object({ kind: v.literal('faced'), veneer: length(1, 12) }),
]);

export const BaseSchema = v.variant('kind', [
  v.object({
    kind: v.literal('leg-apron'),
    /** Floor to the upper face of the top. */
    height: length(150, 1400),
    leg: v.object({
      section: length(20, 250),
      taper: TaperSchema,
      making: v.optional(LegMakingSchema, { kind: 'solid' }),
    }),
    apron: v.object({
      height: length(20, 400),
      thickness: length(8, 80),
      /** The apron's set-back from the leg's outside face. */
      reveal: length(0, 100),
    }),
    crossRails: whole(0, 6),
    /** Low between the legs: at both ends, and with one from end to end in the middle. */
    stretchers: v.optional(
      v.variant('kind', [
        v.object({ kind: v.literal('none') }),
        v.object({
          kind: v.literal('h'),
          height: length(20, 150),
          thickness: length(12, 80),
          /** Floor to their middle. */
          at: length(40, 900),
        }),
      ]),
      { kind: 'none' },
    ),
  }),
  v.object({
    kind: v.literal('trestle'),
    height: length(150, 1400),
    /** Across the table on the floor; its length follows from the top and its side overhang. */
    foot: v.object({ height: length(30, 250), thickness: length(20, 200) }),
    /** Under each foot at both ends; 0 for none. */
    pads: length(0, 40),
    post: v.object({ width: length(40, 300), thickness: length(20, 200) }),
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
    }),
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
  }),
  v.object({
    kind: v.literal('x-frame'),
    height: length(150, 1400),
    leg: v.object({ width: length(30, 250), thickness: length(20, 150) }),
    /** Between the outer corners of the crossing legs, at the floor and under the bearer. */
    spread: v.object({ floor: length(150, 2400), head: length(100, 2400) }),
    bearer: v.object({ height: length(25, 200), thickness: length(20, 200) }),
    stretcher: v.object({ height: length(30, 300), thickness: length(15, 120) }),
  }),
  v.object({
    kind: v.literal('splayed'),
    height: length(150, 1400),
    legs: whole(3, 6),
    leg: v.object({ width: length(25, 200), thickness: length(20, 150) }),
    /** From upright, outward. */
    lean: amount(0, 25),
    /** From the middle to the outside of the leg under the top. */
    reach: length(100, 1500),
    arm: v.object({ height: length(30, 200), thickness: length(20, 120) }),
  }),
]);

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
  ]),
  /** How far the fastener lets the top move, each way. */
  travel: length(0, 40),
  screwLength: length(5, 200),
});

export const LoadsSchema = v.object({
  /** Somebody leaning on the edge, N. */
  edge: amount(0, 5000),
  /** Spread over the whole top, N. */
  spread: amount(0, 20000),
  /** Somebody pushing at the edge of the top, level, N. */
  push: v.optional(amount(0, 5000), 200),
});

export const FormSchema = v.object({
  species: v.pipe(v.string(), v.nonEmpty('a species is needed'), v.maxLength(80)),
  top: TopSchema,
  base: BaseSchema,
  hold: HoldSchema,
  loads: LoadsSchema,
});

export const SeasonSchema = v.object({
  shopPlaceId: v.string(),
  homePlaceId: v.string(),
  /** Ring tangent to face: 0 flat, 45 rift, 90 quarter. */
  ringAngle: amount(0, 90),
  gluedOn: day,
  deliveredOn: day,
  /** %, measured; null takes the shop's air of the day. */
  moistureAtGluing: v.nullable(amount(2, 30)),
  /** How movement is reckoned. */
  school: v.optional(v.picklist(['coefficients', 'swelling']), 'coefficients'),
  /** Whether sizes follow the air at once, or as moisture really gets in and out. */
  reckoning: v.optional(v.picklist(['equilibrium', 'simulated']), 'equilibrium'),
  /** Which faces of the top get the finish of the plan. */
  coated: v.optional(v.picklist(['both', 'show', 'neither']), 'both'),
  /** How the strips of a panel are laid. */
  ringSchool: v.optional(v.picklist(['alternate', 'best-face', 'all-one-way']), 'alternate'),
  /** Widths of the top measured after it was glued. */
  measured: v.optional(
    v.pipe(v.array(v.object({ on: day, width: length(50, 5000), note: v.optional(line(200), '') })), v.maxLength(200)),
    [],
  ),
});

export const JointsSchema = v.object({
  corner: v.picklist(['mortise-tenon', 'loose-tenon']),
  tenonSchool: v.picklist(['third', 'half']),
  meeting: v.picklist(['auto', 'shortened', 'mitred', 'staggered']),
  /** Into the leg, mm; null lets the rule choose. */
  tenonLength: v.nullable(length(5, 200)),
});

const WeightsSchema = v.object({
  offcutWorth: amount(0, 100),
  board: amount(0, 1000),
  cut: amount(0, 1000),
  joint: amount(0, 1000),
  lot: amount(0, 1000),
  ring: amount(0, 1000),
});

/** How one strip is laid in its panel; told by where it is sawn from. */
export const LaidChoiceSchema = v.object({
  /** Tag of the board. */
  board: line(40),
  /** Of its corner on the board, mm. */
  x: length(0, 20000),
  y: length(0, 5000),
  /** Null: by the school of rings. */
  heartUp: v.nullable(v.boolean()),
  /** End for end; null: so that it planes like the others. */
  reversed: v.nullable(v.boolean()),
});

/** Where the maker has put a piece that the search had put elsewhere. */
export const MoveSchema = v.object({
  /** Id of the part or panel. */
  part: v.pipe(v.string(), v.maxLength(80)),
  /** Number of the strip in its panel. */
  strip: v.nullable(whole(0, 2000)),
  /** Tag of the board. */
  board: line(40),
  x: length(0, 20000),
  y: length(0, 5000),
  /** The show face is the one under the tagged face. */
  turned: v.boolean(),
});

export const LayoutChoiceSchema = v.object({
  leastStrip: length(20, 400),
  greatestStrip: length(30, 800),
  /** At most so many strips in the top; null: as many as it takes. */
  mostStrips: v.optional(v.nullable(whole(1, 100)), null),
  /** All strips from boards of one lot. */
  oneLot: v.optional(v.boolean(), false),
  /** What a layout is searched for. */
  /** So many strips, all of one width, planed at one setting; null: each as wide as its board gives. */
  equalStrips: v.optional(v.nullable(whole(2, 60)), null),
  /** Kinds of parts whose parts all come from one board, so that they match. */
  oneBoard: v.optional(v.pipe(v.array(v.picklist(['leg', 'apron', 'cross-rail'])), v.maxLength(3)), []),
  aim: v.optional(v.picklist(['save-wood', 'fewest-boards', 'best-match', 'own']), 'save-wood'),
  /** What counts besides the wood, where the aim is the maker's own: offcuts in % of their price, the rest in minutes. */
  weights: v.optional(WeightsSchema, {
    offcutWorth: 70,
    board: 12,
    cut: 1,
    joint: 4,
    lot: 2,
    ring: 1,
  }),
  /** Tags of boards the maker keeps out. */
  leaveOut: v.pipe(v.array(line(40)), v.maxLength(5000)),
  /** Tags of boards whose pieces stay as they are laid out. */
  pinned: v.optional(v.pipe(v.array(line(40)), v.maxLength(5000)), []),
  /** Pieces put elsewhere by hand; they stay there through every search. */
  moved: v.optional(v.pipe(v.array(MoveSchema), v.maxLength(2000)), []),
  /** The strips of the panels from one side to the other, as far as the maker has laid them. */
  laid: v.optional(v.pipe(v.array(LaidChoiceSchema), v.maxLength(500)), []),
  /** Between a joint line of the top and anything driven into it. */
  jointMargin: v.optional(length(0, 100), 12),
});

export const GlueUpChoiceSchema = v.object({
  glue: v.picklist(['pva', 'pva-slow', 'hide', 'epoxy']),
  staging: v.picklist(['planer-width', 'in-halves', 'all-at-once']),
});

export const PlanChoiceSchema = v.object({
  startOn: day,
  hoursPerDay: amount(0.5, 16),
  finish: v.picklist(['oil-wax', 'film', 'shellac', 'lacquer', 'epoxy', 'wax', 'none']),
});

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
  cut: v.pipe(v.array(line(40)), v.maxLength(500)),
  locks: v.record(v.pipe(v.string(), v.maxLength(40)), LockSchema),
});

const jobEntries = {
  format: v.literal('taller.job', 'this is not a Taller job: “format” must be “taller.job”'),
  version: v.literal(1, 'this job file is of another version; this Taller reads version 1'),
  name,
  client: line(120),
  brief: BriefSchema,
  form: FormSchema,
  season: SeasonSchema,
  joints: JointsSchema,
  layout: LayoutChoiceSchema,
  glueUp: GlueUpChoiceSchema,
  plan: PlanChoiceSchema,
  bench: BenchSchema,
};

/** The decisions of one job: everything a maker chose, and nothing that can be computed from it. */
export const JobDocumentSchema = v.pipe(
  v.object(jobEntries),
  v.forward(
    v.partialCheck(
      [['layout']],
      ({ layout }) => layout.leastStrip <= layout.greatestStrip,
      'the widest strip must be at least as wide as the narrowest',
    ),
    ['layout', 'greatestStrip'],
  ),
  v.forward(
    v.partialCheck(
      [['season']],
      ({ season }) => season.deliveredOn >= season.gluedOn,
      'the piece cannot be delivered before it is glued',
    ),
    ['season', 'deliveredOn'],
  ),
);

export type JobDocument = v.InferOutput<typeof JobDocumentSchema>;
export type Brief = v.InferOutput<typeof BriefSchema>;
export type Form = v.InferOutput<typeof FormSchema>;
export type Joints = v.InferOutput<typeof JointsSchema>;
export type SeasonChoice = v.InferOutput<typeof SeasonSchema>;
export type Move = v.InferOutput<typeof MoveSchema>;
export type LaidChoice = v.InferOutput<typeof LaidChoiceSchema>;
export type Bench = v.InferOutput<typeof BenchSchema>;
export type Lock = v.InferOutput<typeof LockSchema>;
export type GlueKind = JobDocument['glueUp']['glue'];
export type Staging = JobDocument['glueUp']['staging'];
export type HoldKind = Form['hold']['kind'];
export type TopKind = Form['top']['kind'];
export type BaseKind = Form['base']['kind'];
export type Edge = v.InferOutput<typeof EdgeSchema>;
export type TopOutline = v.InferOutput<typeof OutlineSchema>;

/** One change of a decision: where in the document, and the new value. */
export interface Change {
  path: string;
  value: unknown;
}

/** A new document with the changes made; paths are dotted, and what is not touched is shared. */
export function withChanges(document: JobDocument, changes: readonly Change[]): JobDocument {
  return changes.reduce<unknown>(
    (next, { path, value }) => setAt(next, path.split('.'), value),
    document,
  ) as JobDocument;
}

function setAt(node: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  const record = (node ?? {}) as Record<string, unknown>;
  return { ...record, [key]: setAt(record[key], rest, value) };
}
