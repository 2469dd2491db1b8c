import * as v from 'valibot';
import { BoardSchema, KeptLayoutSchema, PlaceSchema, ShopSchema, START_NAMES, WrittenJobSchema } from '@/core';

/*
 * What the server answers, once for itself and for its pages. Schemas are strict where a page leans on them; a test sends
 * each request to a running server and holds its answer against its schema.
 */

const id = v.pipe(v.string(), v.uuid());
const revision = v.pipe(v.number(), v.integer(), v.minValue(0));
const day = v.pipe(v.string(), v.isoDate());
const time = v.string();

/** Something that is wrong: what, where, and the way out. */
export const ProblemSchema = v.object({ problem: v.string(), where: v.string(), wayOut: v.string() });
/** A refusal; with a write that came late, what is there now. */
export const RefusalSchema = v.object({ problems: v.array(ProblemSchema), current: v.optional(v.unknown()) });

export const JobReplySchema = v.object({
  id,
  revision,
  document: WrittenJobSchema,
  canUndo: v.boolean(),
  canRedo: v.boolean(),
});
export type JobReply = v.InferOutput<typeof JobReplySchema>;

/** What the list says of a job; `pieces` counts those that are alike one by one, sizes are of the first, `next` is what is to be done. */
export const JobSummarySchema = v.object({
  species: v.string(),
  pieces: v.number(),
  length: v.number(),
  width: v.number(),
  cut: v.number(),
  parts: v.number(),
  stops: v.number(),
  next: v.nullable(v.string()),
  finishedOn: v.nullable(day),
});
export type JobSummary = v.InferOutput<typeof JobSummarySchema>;
/** A job in the list; its summary is null while it is being computed. */
export const JobLineSchema = v.object({
  id,
  name: v.string(),
  client: v.string(),
  dueOn: v.string(),
  summary: v.nullable(JobSummarySchema),
});
export type JobLine = v.InferOutput<typeof JobLineSchema>;
/** A page of the list, and where the next begins; null on the last. */
export const JobPageSchema = v.object({ jobs: v.array(JobLineSchema), more: v.nullable(v.string()) });
export type JobPage = v.InferOutput<typeof JobPageSchema>;

/** A drawing of pieces beside each other, of paths in the order they are painted. */
export const SmallDrawingSchema = v.object({
  width: v.number(),
  height: v.number(),
  shapes: v.array(v.object({ path: v.string(), top: v.boolean() })),
});
/** What a job or a piece can begin with. */
export const DrawnStartSchema = v.object({
  start: v.picklist(START_NAMES),
  name: v.string(),
  built: v.string(),
  drawing: SmallDrawingSchema,
});
const PhraseSchema = v.array(v.union([v.string(), v.object({ amount: v.number(), unit: v.string() })]));
/** What a job would begin with: its piece drawn, its size in mm, and what would stop it. */
export const ProposalSchema = v.object({
  drawing: SmallDrawingSchema,
  length: v.number(),
  width: v.number(),
  height: v.number(),
  stops: v.array(PhraseSchema),
  /** Of what wood it is. */
  species: v.string(),
});
export type Proposal = v.InferOutput<typeof ProposalSchema>;

export const BoardReplySchema = v.object({
  ...BoardSchema.entries,
  id,
  revision,
  binned: v.boolean(),
  reservedFor: v.nullable(id),
  takenFor: v.nullable(id),
  takenOn: v.nullable(day),
});
export type BoardReply = v.InferOutput<typeof BoardReplySchema>;
/** A part of the rack, and of how many and what; the sums are of all that match. */
export const RackPartSchema = v.object({
  boards: v.array(BoardReplySchema),
  total: v.number(),
  boardFeet: v.number(),
  woods: v.array(v.string()),
});
export type RackPart = v.InferOutput<typeof RackPartSchema>;
/** What a rack file held: boards that can be, or were, taken in. */
export const RackImportSchema = v.object({
  sound: v.number(),
  added: v.number(),
  problems: v.array(ProblemSchema),
  tags: v.array(v.string()),
});
export type RackImport = v.InferOutput<typeof RackImportSchema>;

export const KeptLayoutReplySchema = v.object({ ...KeptLayoutSchema.entries, id, keptAt: time });

export const PlaceReplySchema = v.object({ ...PlaceSchema.entries, revision });
export type PlaceReply = v.InferOutput<typeof PlaceReplySchema>;
export const ShopReplySchema = v.object({ revision, shop: ShopSchema });
export type ShopReply = v.InferOutput<typeof ShopReplySchema>;
export const ShopAndPlacesSchema = v.object({ ...ShopReplySchema.entries, places: v.array(PlaceReplySchema) });

export const DeviceSchema = v.object({
  id,
  name: v.string(),
  kind: v.picklist(['hygrometer', 'moisture-meter']),
  placeId: v.nullable(id),
  /** Null before it has sent anything. */
  lastSeenAt: v.nullable(time),
});
export type Device = v.InferOutput<typeof DeviceSchema>;
/** A new device, and its token: it is shown this once. */
export const NewDeviceReplySchema = v.object({ ...DeviceSchema.entries, token: v.string() });

const AirReading = v.object({ at: time, temperature: v.number(), relativeHumidity: v.number() });
/** Oldest first, at most one an hour. */
export const AirOfPlaceSchema = v.object({ readings: v.array(AirReading), latest: v.nullable(AirReading) });
export type AirOfPlace = v.InferOutput<typeof AirOfPlaceSchema>;
export const AirReplySchema = v.object({
  today: day,
  place: v.nullable(v.object({ ...PlaceReplySchema.entries })),
  air: AirOfPlaceSchema,
  devices: v.array(DeviceSchema),
  /** Reads otherwise when the boards are worth fetching anew. */
  boardsChanged: v.string(),
  shop: ShopSchema,
  shopRevision: revision,
});
export type AirReply = v.InferOutput<typeof AirReplySchema>;

/** A board with its moisture, and what a meter last said of it. */
export const BoardInAirSchema = v.object({
  id,
  tag: v.string(),
  species: v.string(),
  thickness: v.number(),
  moisture: v.nullable(v.number()),
  moistureOn: v.nullable(day),
  last: v.nullable(v.object({ reading: v.number(), woodTemperature: v.number() })),
});
export type BoardInAir = v.InferOutput<typeof BoardInAirSchema>;

/** What became of readings: taken, here already from the same device at the same time, or refused with the reason. */
export const TakenReadingsSchema = v.object({
  taken: v.number(),
  duplicates: v.number(),
  refused: v.array(ProblemSchema),
});
export type TakenReadings = v.InferOutput<typeof TakenReadingsSchema>;
