import * as v from 'valibot';
import { amount, day, length, line, name, whole } from './fields';
import { FormSchema } from './form';

export * from './form';

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

/** Who sits there, in what room, by when. */
export const BriefSchema = v.object({
  seats: whole(1, 40),
  seating: v.picklist(['chairs', 'benches']),
  room: v.object({ length: length(500, 50000), width: length(500, 50000) }),
  /** Wall behind the chairs only, or people passing behind them. */
  behindChairs: v.picklist(['wall', 'passing']),
  /** Free under the piece for the knees of who sits there; null: 24 in, 25 better. */
  kneeRoom: v.optional(v.nullable(length(400, 900)), null),
  door: v.object({ width: length(300, 5000), height: length(500, 6000) }),
  dueOn: day,
  note: line(4000),
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
  /** How aprons stand in legs. */
  corner: v.picklist(['mortise-tenon', 'loose-tenon', 'dowels', 'pocket-screws', 'corner-plate']),
  tenonSchool: v.picklist(['third', 'half']),
  meeting: v.picklist(['auto', 'shortened', 'mitred', 'staggered']),
  /** Into the leg, mm; null lets the rule choose. */
  tenonLength: v.nullable(length(5, 200)),
  /** Of a tenon or dowel, mm; null lets the school choose. */
  tenonThickness: v.optional(v.nullable(length(3, 60)), null),
  /** Above a tenon, up to the apron's upper edge. */
  haunch: v.optional(v.picklist(['none', 'square', 'sloped']), 'none'),
  /** Of aprons in legs that lean: in line with the apron, or square to the leg's face. */
  angled: v.optional(v.picklist(['in-line', 'square']), 'in-line'),
  /** Through leg and tenon. */
  pegs: v.optional(v.picklist(['none', 'straight', 'draw-bored']), 'none'),
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
  /** Which leaf of its blank, where that is resawn into a pair. */
  layer: v.optional(whole(0, 1)),
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
  /** So many strips, all of one width, planed at one setting; null: each as wide as its board gives. */
  equalStrips: v.optional(v.nullable(whole(2, 60)), null),
  /** Strips in pairs, two resawn from one blank: opened like a book, or slipped side by side. */
  pairs: v.optional(v.picklist(['none', 'book', 'slip']), 'none'),
  /** Thick boards are resawn where they give more than one piece; otherwise they are planed down, but for pairs. */
  resaw: v.optional(v.boolean(), true),
  /** Kinds of parts whose parts all come from one board, so that they match. */
  oneBoard: v.optional(v.pipe(v.array(v.picklist(['leg', 'apron', 'cross-rail'])), v.maxLength(3)), []),
  /** Kinds of parts that are taken as dressed stock of their own section, and planed no further. */
  asDressed: v.optional(v.pipe(v.array(v.picklist(DRESSED_KINDS)), v.maxLength(DRESSED_KINDS.length)), []),
  /** What a layout is searched for. */
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
  /** What keeps the boards level while they are glued. */
  level: v.optional(v.picklist(['none', 'cauls', 'loose-tenons', 'biscuits', 'dowels']), 'none'),
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
export type Joints = v.InferOutput<typeof JointsSchema>;
export type SeasonChoice = v.InferOutput<typeof SeasonSchema>;
export type Move = v.InferOutput<typeof MoveSchema>;
export type LaidChoice = v.InferOutput<typeof LaidChoiceSchema>;
export type Bench = v.InferOutput<typeof BenchSchema>;
export type Lock = v.InferOutput<typeof LockSchema>;
export type GlueKind = JobDocument['glueUp']['glue'];
export type Staging = JobDocument['glueUp']['staging'];

/** One change of a decision: where in the document, and the new value. */
export interface Change {
  path: string;
  value: unknown;
}

/** A new document with the changes made; paths are dotted, a list's places by number, and what is not touched is shared. */
export function withChanges(document: JobDocument, changes: readonly Change[]): JobDocument {
  return changes.reduce<unknown>(
    (next, { path, value }) => setAt(next, path.split('.'), value),
    document,
  ) as JobDocument;
}

/** What stands at a dotted path; undefined where there is nothing. */
export const valueAt = (document: JobDocument, path: string): unknown =>
  path
    .split('.')
    .reduce<unknown>((node, key) => (node === null || node === undefined ? undefined : (node as never)[key]), document);

function setAt(node: unknown, path: readonly string[], value: unknown): unknown {
  const [key, ...rest] = path;
  if (key === undefined) return value;
  if (Array.isArray(node)) return node.map((own, i) => (i === Number(key) ? setAt(own, rest, value) : own));
  const record = (node ?? {}) as Record<string, unknown>;
  return { ...record, [key]: setAt(record[key], rest, value) };
}
