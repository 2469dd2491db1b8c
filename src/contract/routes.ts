import * as v from 'valibot';
import { BoardSchema, ReadingsSchema, WrittenJobSchema } from '@/core';
import * as reply from './replies';
import * as request from './requests';

/** One way of asking the server: what is sent, and what is answered. */
export interface Route {
  summary: string;
  /** Of the address, each with what it says. */
  query?: Readonly<Record<string, string>>;
  /** Of a request; nothing where none is sent. A text is a file of that kind. */
  body?: v.GenericSchema | string;
  status: number;
  /** JSON by its schema, or a file of a kind. */
  answers: v.GenericSchema | string;
  /** With the token of a device, instead of from a page. */
  device?: true;
}

const done = (word: string) => v.object({ [word]: v.literal(true) });
const PDF = 'application/pdf';
const boards = v.array(reply.BoardReplySchema);
const rackQuery = {
  find: 'Words that must all be in tag, wood, lot, place, note or defects.',
  wood: 'Id of a wood.',
  sort: 'tag, species, length, width, thickness or moisture.',
  bin: 'Those in the bin.',
  used: 'Those that a job has used up.',
};

/** Every route, by its method and its path; `[id]` stands for an id. */
export const CONTRACT: Readonly<Record<string, Route>> = {
  'GET /api/health': {
    summary: 'Whether the server and its database answer.',
    status: 200,
    answers: v.object({ taller: v.literal('ready') }),
  },
  'GET /api/job-file.schema.json': {
    summary: 'JSON Schema of a job file.',
    status: 200,
    answers: 'application/schema+json',
  },
  'GET /api/highs.wasm': {
    summary: 'The solver that pages search layouts with.',
    status: 200,
    answers: 'application/wasm',
  },
  'GET /api/manifold.wasm': { summary: 'What pages make solids with.', status: 200, answers: 'application/wasm' },

  'GET /api/terms': {
    summary: 'The glossary, term by term.',
    status: 200,
    answers: v.array(v.object({ term: v.string(), meaning: v.string() })),
  },
  'GET /api/starts': {
    summary: 'What a job or a piece can begin with, drawn.',
    status: 200,
    answers: v.array(reply.DrawnStartSchema),
  },
  'GET /api/jobs': {
    summary: 'The list of jobs, a page of it.',
    query: {
      find: 'Letters that the name or the client has.',
      order: 'changed (last first), due or name.',
      after: 'Where the page before ended, in the same order.',
      count: 'At most so many.',
      bin: 'Those in the bin.',
    },
    status: 200,
    answers: reply.JobPageSchema,
  },
  'POST /api/jobs': {
    summary: 'A new job, drawn up from its brief.',
    body: request.NewJobRequest,
    status: 201,
    answers: reply.JobReplySchema,
  },
  'POST /api/jobs/proposal': {
    summary: 'What a new job would begin with; nothing is kept of it.',
    body: request.NewJobRequest,
    status: 200,
    answers: reply.ProposalSchema,
  },
  'POST /api/jobs/import': {
    summary: 'A job from a job file, of version 1 or 2.',
    body: 'application/json',
    status: 201,
    answers: reply.JobReplySchema,
  },
  'POST /api/jobs/example': {
    summary: 'A job like one that ships with Taller, by its name.',
    body: request.ExampleRequest,
    status: 201,
    answers: reply.JobReplySchema,
  },
  'GET /api/jobs/[id]': { summary: 'A job with its current revision.', status: 200, answers: reply.JobReplySchema },
  'PUT /api/jobs/[id]': {
    summary: 'Decisions made from a revision; refused with 409 and what is there now where another was in between.',
    body: v.object({ revision: v.number(), document: WrittenJobSchema }),
    status: 200,
    answers: reply.JobReplySchema,
  },
  'DELETE /api/jobs/[id]': { summary: 'To the bin.', status: 200, answers: done('binned') },
  'POST /api/jobs/[id]/copy': {
    summary: 'A new job with the same decisions, nothing of it cut or measured yet.',
    status: 201,
    answers: reply.JobReplySchema,
  },
  'POST /api/jobs/[id]/restore': { summary: 'Out of the bin.', status: 200, answers: done('restored') },
  'POST /api/jobs/[id]/undo': {
    summary: 'The decisions before the last change, as a new revision.',
    body: request.StepJobRequest,
    status: 200,
    answers: reply.JobReplySchema,
  },
  'POST /api/jobs/[id]/redo': {
    summary: 'The decisions that were undone, as a new revision.',
    body: request.StepJobRequest,
    status: 200,
    answers: reply.JobReplySchema,
  },
  'GET /api/jobs/[id]/boards': { summary: 'Boards that the job may use.', status: 200, answers: boards },
  'PUT /api/jobs/[id]/layout': {
    summary: 'The layout of one species, as it was found.',
    body: request.KeepLayoutRequest,
    status: 200,
    answers: done('kept'),
  },
  'GET /api/jobs/[id]/kept-layouts': {
    summary: 'Layouts put aside to be compared.',
    status: 200,
    answers: v.array(reply.KeptLayoutReplySchema),
  },
  'POST /api/jobs/[id]/kept-layouts': {
    summary: 'A layout put aside under a name.',
    body: request.KeepAsideRequest,
    status: 201,
    answers: reply.KeptLayoutReplySchema,
  },
  'DELETE /api/jobs/[id]/kept-layouts/[layout]': {
    summary: 'Forgets a layout that was put aside.',
    status: 200,
    answers: done('forgotten'),
  },
  'PUT /api/jobs/[id]/reserved': {
    summary: 'Keeps boards for the job; those it no longer names are let go.',
    body: request.ReserveBoardsRequest,
    status: 200,
    answers: boards,
  },
  'POST /api/jobs/[id]/taken': {
    summary: 'The job has used boards up; named rests of them go back to the rack.',
    body: request.TakeBoardsRequest,
    status: 200,
    answers: boards,
  },
  'GET /api/jobs/[id]/files/[file]': {
    summary: 'A file of the job: sheets, boards, full size, cut list, cuts, layout, piece, job file.',
    query: {
      units: 'metric or inch.',
      decimal: 'point or comma.',
      paper: 'a4 or letter.',
      piece: 'Id of a piece.',
      number: 'Which of those made alike.',
    },
    status: 200,
    answers: 'application/octet-stream',
  },

  'GET /api/rack': {
    summary: 'A part of the rack, searched and sorted.',
    query: { ...rackQuery, from: 'Of those that match, the first.', count: 'At most so many.' },
    status: 200,
    answers: reply.RackPartSchema,
  },
  'GET /api/boards': {
    summary: 'All boards on the rack.',
    query: { bin: rackQuery.bin },
    status: 200,
    answers: boards,
  },
  'POST /api/boards': { summary: 'A new board.', body: BoardSchema, status: 201, answers: reply.BoardReplySchema },
  'POST /api/boards/import': {
    summary: 'Boards from a CSV file; one with faults is only looked at, unless they were seen before.',
    query: { try: 'Only looks.' },
    body: 'text/csv',
    status: 200,
    answers: reply.RackImportSchema,
  },
  'GET /api/boards/export': { summary: 'The rack as a CSV file.', status: 200, answers: 'text/csv' },
  'GET /api/boards/labels.pdf': {
    summary: 'Labels of boards.',
    query: { ...rackQuery, board: 'Id of one board.', paper: 'a4 or letter.', units: 'metric or inch.' },
    status: 200,
    answers: PDF,
  },
  'GET /api/boards/list.pdf': {
    summary: 'Boards of the rack as a list on paper.',
    query: { ...rackQuery, paper: 'a4 or letter.', units: 'metric or inch.' },
    status: 200,
    answers: PDF,
  },
  'PUT /api/boards/[id]': {
    summary: 'A board as it is now, made from a revision.',
    body: request.SaveBoardRequest,
    status: 200,
    answers: reply.BoardReplySchema,
  },
  'DELETE /api/boards/[id]': { summary: 'To the bin.', status: 200, answers: done('binned') },
  'POST /api/boards/[id]/restore': { summary: 'Out of the bin.', status: 200, answers: reply.BoardReplySchema },
  'POST /api/boards/[id]/put-back': {
    summary: 'A board that was used up is whole again; what was cut from it is removed.',
    status: 200,
    answers: done('putBack'),
  },
  'PUT /api/boards/[id]/reserved': {
    summary: 'Keeps a board for a job, or for any.',
    body: request.ReserveBoardRequest,
    status: 200,
    answers: v.object({ reserved: v.nullable(v.string()) }),
  },
  'POST /api/boards/[id]/readings': {
    summary: 'A moisture reading of a board, typed in.',
    body: request.EnterReadingRequest,
    status: 201,
    answers: v.object({ taken: v.number(), duplicates: v.number() }),
  },

  'GET /api/air': {
    summary: 'The shop’s air, its devices and its limits.',
    status: 200,
    answers: reply.AirReplySchema,
  },
  'GET /api/air/boards': {
    summary: 'Boards with their moisture, for their waits.',
    status: 200,
    answers: v.array(reply.BoardInAirSchema),
  },
  'POST /api/readings': {
    summary: 'Readings of a device, by its token.',
    body: ReadingsSchema,
    status: 200,
    answers: reply.TakenReadingsSchema,
    device: true,
  },
  'GET /api/devices': {
    summary: 'Hygrometers and moisture meters.',
    status: 200,
    answers: v.array(reply.DeviceSchema),
  },
  'POST /api/devices': {
    summary: 'A new device; its token is in the answer, and nowhere else.',
    body: request.NewDeviceRequest,
    status: 201,
    answers: reply.NewDeviceReplySchema,
  },
  'DELETE /api/devices/[id]': { summary: 'Its token no longer counts.', status: 200, answers: done('binned') },

  'GET /api/shop': {
    summary: 'Units, tools, allowances, prices, places.',
    status: 200,
    answers: reply.ShopAndPlacesSchema,
  },
  'PUT /api/shop': {
    summary: 'The shop as it is now, made from a revision.',
    body: request.SaveShopRequest,
    status: 200,
    answers: reply.ShopReplySchema,
  },
  'POST /api/places': {
    summary: 'A new place.',
    body: request.NewPlaceRequest,
    status: 201,
    answers: reply.PlaceReplySchema,
  },
  'PUT /api/places/[id]': {
    summary: 'A place as it is now, made from a revision.',
    body: request.SavePlaceRequest,
    status: 200,
    answers: reply.PlaceReplySchema,
  },
  'DELETE /api/places/[id]': { summary: 'To the bin.', status: 200, answers: done('binned') },
};
