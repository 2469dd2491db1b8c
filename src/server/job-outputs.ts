import type { BoardReply, JobReply } from '@/contract/replies';
import {
  type DerivedJob,
  type DerivedPiece,
  type DerivedWood,
  deriveJob,
  fixedKey,
  fullSizeDrawings,
  type Layout,
  type LengthStyle,
  layoutKey,
  planLayout,
  type Shop,
} from '@/core';
import { boardsOfJobs, usableFor } from './board-store';
import { serverSolver } from './highs';
import { findJob, layoutsOf } from './job-store';
import { composeBoardSheets } from './paper/boards';
import { composeFullSize } from './paper/full-size';
import { printDocument } from './paper/print-document';
import { composeSheet } from './paper/sheet';
import { notFound, Refusal } from './refusal';
import { paperOf, styleOf } from './style';
import { currentWorkshop, placesOf } from './workshop-store';

export interface WholeJob {
  job: JobReply;
  shop: Shop;
  boards: BoardReply[];
  derived: DerivedJob;
  style: LengthStyle;
}

/**
 * A job derived on the server; with `withLayout`, a layout is searched when none that fits is kept. It is not kept then:
 * whoever only reads changes nothing.
 */
export async function wholeJob(id: string, withLayout: boolean, query?: URLSearchParams): Promise<WholeJob> {
  const workshop = await currentWorkshop();
  const [job, all, places, kept] = await Promise.all([
    findJob(workshop.id, id),
    boardsOfJobs(workshop.id),
    placesOf(workshop.id),
    layoutsOf(workshop.id, id),
  ]);
  const boards = usableFor(all, id);
  const shop = workshop.settings;
  const inputs = { document: job.document, shop, places, boards };
  let derived = sound(deriveJob({ ...inputs, layouts: kept }));
  const missing = derived.woods.filter(({ layoutState }) => layoutState !== 'current');
  if (withLayout && missing.length > 0) {
    const standing = derived.woods.flatMap(({ layout, layoutState }) =>
      layout && layoutState === 'current' ? layout : [],
    );
    const layouts = [...standing];
    for (const wood of missing) layouts.push(await foundLayout(wood));
    derived = sound(deriveJob({ ...inputs, layouts }));
  }
  return { job, shop, boards, derived, style: styleOf(shop, query) };
}

/** Layouts found here last, by what they rest on: the files of a job are mostly made one after the other. */
const found = new Map<string, Layout>();
const KEPT = 8;

async function foundLayout({ demand, boards, layoutOptions }: DerivedWood): Promise<Layout> {
  const key = layoutKey(demand, boards, layoutOptions) + fixedKey(layoutOptions);
  const before = found.get(key);
  if (before) return before;
  const options = { ...layoutOptions, effort: EFFORT_ON_SERVER };
  const layout = planLayout(demand, boards, options, await serverSolver());
  found.set(key, layout);
  for (const oldest of found.keys()) if (found.size > KEPT) found.delete(oldest);
  return layout;
}

/** Changes tried where nobody waits at a screen that shows them. */
const EFFORT_ON_SERVER = 2000;

function sound(result: ReturnType<typeof deriveJob>): DerivedJob {
  if ('pieces' in result) return result;
  throw new Refusal(422, result.problems);
}

/** The pieces that a file is about: one that is asked for by its id and its number, or the first of each. */
export function piecesAsked(derived: DerivedJob, query: URLSearchParams): readonly DerivedPiece[] {
  const piece = query.get('piece');
  if (piece === null) return derived.pieces.filter(({ instance }) => instance === 1);
  const instance = Number(query.get('number') ?? 1);
  const found = derived.pieces.filter((own) => own.pieceId === piece && own.instance === instance);
  if (found.length === 0) throw notFound('piece', piece.slice(0, 60));
  return found;
}

interface PaperOut {
  pdf: Uint8Array<ArrayBuffer>;
  /** Of the job. */
  name: string;
}

/** The job's sheet as a PDF. */
export async function jobSheet(id: string, query: URLSearchParams): Promise<PaperOut> {
  const paper = paperOf(query);
  const { job, boards, derived, style } = await wholeJob(id, true, query);
  const { document } = job;
  return { pdf: await printDocument(composeSheet({ document, derived, boards, style, paper })), name: document.name };
}

/** The boards for the saw as a PDF, species by species. */
export async function boardSheets(id: string, query: URLSearchParams): Promise<PaperOut> {
  const paper = paperOf(query);
  const { job, boards, derived, style } = await wholeJob(id, true, query);
  const { name } = job.document;
  const { woods } = derived;
  if (woods.every(({ layout }) => !layout?.boards.length)) throw notFound('layout', id);
  return { pdf: await printDocument(composeBoardSheets({ name, woods, boards, style, paper })), name };
}

/** The full-size drawings of a job's pieces, all of them or those asked for by piece and by drawing. */
export async function fullSizeOf(id: string, query: URLSearchParams) {
  const whole = await wholeJob(id, false, query);
  const drawing = query.get('drawing');
  const pieces = piecesAsked(whole.derived, query);
  const all = pieces.flatMap((own) =>
    fullSizeDrawings(own.piece, whole.style, own.panels).map((drawn) =>
      pieces.length === 1
        ? drawn
        : { ...drawn, id: `${own.pieceId}-${drawn.id}`, title: `${own.title}: ${drawn.title}` },
    ),
  );
  const drawings = drawing === null ? all : all.filter((own) => own.id === drawing || own.group === drawing);
  if (drawings.length === 0) throw notFound('drawing', (drawing ?? '').slice(0, 60));
  return { ...whole, drawings };
}

/** Story sticks, templates and joints at full size on ordinary paper, as a PDF. */
export async function fullSizeSheets(id: string, query: URLSearchParams): Promise<PaperOut> {
  const paper = paperOf(query);
  const { job, drawings } = await fullSizeOf(id, query);
  const { name } = job.document;
  return { pdf: await printDocument(composeFullSize(drawings, paper, name)), name };
}
