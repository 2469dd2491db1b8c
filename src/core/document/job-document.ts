import * as v from 'valibot';
import { amount, day, length, line, name, whole } from '../decision/fields';
import { id, PieceSchema } from './piece-decisions';
import { upgraded } from './version-1';

export * from '../decision/changes';
export * from './piece-decisions';

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
  /** A corner on the way to it, at a right angle; none where the way is straight. */
  corner: v.optional(
    v.nullable(v.object({ before: length(300, 6000), after: length(300, 6000), high: length(500, 6000) })),
  ),
  dueOn: day,
  note: line(4000),
});

/** A species in a role of the job. */
export const WoodSchema = v.object({
  id,
  name,
  species: v.pipe(v.string(), v.nonEmpty('a species is needed'), v.maxLength(80)),
});

/** Where the job is made and delivered, when, and how its movement is computed. */
export const SeasonSchema = v.object({
  shopPlaceId: v.string(),
  homePlaceId: v.string(),
  gluedOn: day,
  deliveredOn: day,
  /** %, measured; null takes the shop's air of the day. */
  moistureAtGluing: v.nullable(amount(2, 30)),
  /** How movement is reckoned. */
  school: v.optional(v.picklist(['coefficients', 'swelling']), 'coefficients'),
  /** Whether sizes follow the air at once, or as moisture really gets in and out. */
  reckoning: v.optional(v.picklist(['equilibrium', 'simulated']), 'equilibrium'),
  /** How the strips of a panel are laid. */
  ringSchool: v.optional(v.picklist(['alternate', 'best-face', 'all-one-way']), 'alternate'),
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

/** What is decided of the boards of the job. */
export const LayoutChoiceSchema = v.object({
  /** Thick boards are resawn where they give more than one piece; otherwise they are planed down, but for pairs. */
  resaw: v.optional(v.boolean(), true),
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
});

export const PlanChoiceSchema = v.object({
  startOn: day,
  hoursPerDay: amount(0.5, 16),
});

const jobEntries = {
  format: v.literal('taller.job', 'this is not a Taller job: “format” must be “taller.job”'),
  version: v.literal(2, 'this job file is of another version; this Taller reads versions 1 and 2'),
  name,
  client: line(120),
  brief: BriefSchema,
  woods: v.pipe(v.array(WoodSchema), v.minLength(1, 'a job needs a wood'), v.maxLength(12)),
  pieces: v.pipe(v.array(PieceSchema), v.minLength(1, 'a job needs a piece'), v.maxLength(40)),
  season: SeasonSchema,
  layout: LayoutChoiceSchema,
  plan: PlanChoiceSchema,
};

/** The same as it is written, before anything is judged across its entries. */
export const WrittenJobSchema = v.object(jobEntries);

const apart = (ids: readonly string[]) => new Set(ids).size === ids.length;

/** The decisions of one job: everything a maker chose, and nothing that can be computed from it. Version 1 is read as well. */
export const JobDocumentSchema = v.pipe(
  v.unknown(),
  v.transform(upgraded),
  WrittenJobSchema,
  v.forward(
    v.partialCheck(
      [['season']],
      ({ season }) => season.deliveredOn >= season.gluedOn,
      'the piece cannot be delivered before it is glued',
    ),
    ['season', 'deliveredOn'],
  ),
  v.forward(
    v.partialCheck([['pieces']], ({ pieces }) => apart(pieces.map((own) => own.id)), 'two pieces have one id'),
    ['pieces'],
  ),
  v.forward(
    v.partialCheck([['woods']], ({ woods }) => apart(woods.map((own) => own.id)), 'two woods have one id'),
    ['woods'],
  ),
  v.forward(
    v.partialCheck(
      [['pieces'], ['woods']],
      ({ pieces, woods }) =>
        pieces.every(({ wood, woodOf }) =>
          [wood, ...Object.values(woodOf)].every((id) => woods.some((own) => own.id === id)),
        ),
      'a piece is of a wood that the job has not',
    ),
    ['pieces'],
  ),
);

export type JobDocument = v.InferOutput<typeof JobDocumentSchema>;
export type Brief = v.InferOutput<typeof BriefSchema>;
export type Wood = v.InferOutput<typeof WoodSchema>;
export type Move = v.InferOutput<typeof MoveSchema>;
export type LaidChoice = v.InferOutput<typeof LaidChoiceSchema>;
