import * as v from 'valibot';
import {
  BoardReadingSchema,
  BoardSchema,
  BriefSchema,
  canStartSo,
  JobDocumentSchema,
  KeptLayoutSchema,
  LayoutSchema,
  PlaceSchema,
  RACK_FIELDS,
  ShopSchema,
  START_NAMES,
} from '@/core';
import { day, length, line, name } from '@/core/decision/fields';

/** Bodies that the browser sends, each with the revision it was made from. */
const revision = v.pipe(
  v.number('the revision is a whole number'),
  v.integer(),
  v.minValue(0),
  v.maxValue(2_000_000_000),
);
const uuid = v.pipe(v.string(), v.uuid('this is not the id of a place'));

export const NewJobRequest = v.pipe(
  v.object({
    name,
    client: line(120),
    brief: BriefSchema,
    /** Null: the wood that the rack gives all of it of. */
    species: v.optional(v.nullable(v.pipe(line(80), v.nonEmpty('a species is needed'))), null),
    homePlaceId: uuid,
    startOn: day,
    start: v.optional(v.picklist(START_NAMES), 'dining'),
    /** How many alike. */
    count: v.optional(v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(60)), 1),
    /** In round figures of these. */
    units: v.optional(v.picklist(['metric', 'inch']), 'metric'),
    /** Of what has a size of its own, mm; null: the usual one. */
    size: v.optional(
      v.nullable(v.object({ length: length(150, 6000), width: length(80, 3000), height: length(120, 3200) })),
      null,
    ),
  }),
  v.forward(
    v.partialCheck(
      [['start'], ['size']],
      ({ start, size }) => size === null || canStartSo(start, size),
      'a table is 150 to 6000 mm long, 150 to 3000 wide and 150 to 1500 high, a case 150 to 4000 wide, 80 to 1200 deep and 120 to 3200 high',
    ),
    ['size'],
  ),
);

export const ExampleRequest = v.object({ example: line(200) });
export const SaveJobRequest = v.object({ revision, document: JobDocumentSchema });
export const StepJobRequest = v.object({ revision });
export const KeepLayoutRequest = LayoutSchema;
export const KeepAsideRequest = KeptLayoutSchema;
const boardIds = v.pipe(v.array(v.pipe(v.string(), v.uuid('this is not the id of a board'))), v.maxLength(500));
export const ReserveBoardsRequest = v.object({ boards: boardIds });
export const ReserveBoardRequest = v.object({
  job: v.nullable(v.pipe(v.string(), v.uuid('this is not the id of a job'))),
});
export const TakeBoardsRequest = v.object({
  boards: v.pipe(boardIds, v.nonEmpty('no board is named')),
  offcuts: v.pipe(
    v.array(
      v.object({
        board: v.pipe(v.string(), v.uuid('this is not the id of a board')),
        x: v.pipe(v.number(), v.finite()),
        y: v.pipe(v.number(), v.finite()),
        tag: BoardSchema.entries.tag,
        storedAt: line(60),
      }),
    ),
    v.maxLength(500),
  ),
});
/** A rack file with what its columns are. */
export const ImportRackRequest = v.object({
  text: v.string(),
  fields: v.pipe(v.array(v.nullable(v.picklist(RACK_FIELDS))), v.maxLength(200)),
});
export const SaveBoardRequest = v.object({ revision, board: BoardSchema });
export const SaveShopRequest = v.object({ revision, shop: ShopSchema });

const placeEntries = {
  name: PlaceSchema.entries.name,
  kind: PlaceSchema.entries.kind,
  months: PlaceSchema.entries.months,
  room: PlaceSchema.entries.room,
  logged: PlaceSchema.entries.logged,
  note: PlaceSchema.entries.note,
};
export const NewPlaceRequest = v.object(placeEntries);
export const SavePlaceRequest = v.object({ revision, place: v.object(placeEntries) });

export const NewDeviceRequest = v.object({
  name,
  kind: v.picklist(['hygrometer', 'moisture-meter']),
  placeId: v.nullable(uuid),
});
export const EnterReadingRequest = v.omit(BoardReadingSchema, ['board']);
