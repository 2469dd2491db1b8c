import {
  composeBoardSheets,
  composeFullSize,
  composeSheet,
  type DerivedJob,
  deriveJob,
  fixedKey,
  formatLength,
  fullSizeDrawings,
  type Layout,
  type LengthStyle,
  layoutKey,
  type Paper,
  planLayout,
  type Shop,
  writePhrase,
} from '@/core';
import { boardsOfJobs, type StoredBoard, usableFor } from './board-store';
import { serverSolver } from './highs';
import { findJob, layoutOf, type StoredJob } from './job-store';
import { printPdf } from './pdf';
import { notFound, Refusal } from './refusal';
import { styleOf } from './style';
import { currentWorkshop, placesOf } from './workshop-store';

export interface WholeJob {
  job: StoredJob;
  shop: Shop;
  boards: StoredBoard[];
  derived: DerivedJob;
  style: LengthStyle;
}

/**
 * A job derived on the server; with `withLayout`, a layout is searched when none that fits is kept. It is not kept then:
 * whoever only reads changes nothing.
 */
export async function wholeJob(id: string, withLayout: boolean): Promise<WholeJob> {
  const workshop = await currentWorkshop();
  const [job, all, places, kept] = await Promise.all([
    findJob(workshop.id, id),
    boardsOfJobs(workshop.id),
    placesOf(workshop.id),
    layoutOf(workshop.id, id),
  ]);
  const boards = usableFor(all, id);
  const shop = workshop.settings;
  const inputs = { document: job.document, shop, places, boards };
  let derived = sound(deriveJob({ ...inputs, layout: kept }));
  if (withLayout && derived.layoutState !== 'current') {
    derived = sound(deriveJob({ ...inputs, layout: await foundLayout(derived) }));
  }
  return { job, shop, boards, derived, style: styleOf(shop) };
}

/** Layouts found here last, by what they rest on: the files of a job are mostly made one after the other. */
const found = new Map<string, Layout>();
const KEPT = 8;

async function foundLayout({ demand, boards, layoutOptions }: DerivedJob): Promise<Layout> {
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
  if ('piece' in result) return result;
  throw new Refusal(422, result.problems);
}

/** The job's sheet as a PDF. */
export async function jobSheet(id: string, paper: Paper): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, boards, derived, style } = await wholeJob(id, true);
  const { document } = job;
  const { piece, season } = derived;
  const say = (mm: number) => formatLength(mm, style);
  const stops = derived.checks.filter((check) => check.level === 'stop');
  const pages = composeSheet({
    name: document.name,
    client: document.client,
    species: derived.species.commonName,
    style,
    paper,
    piece,
    demand: derived.demand,
    layout: derived.layout,
    strips: derived.laid.map((strip) => strip.width),
    boards,
    glueUps: derived.glueUps,
    glueName: derived.glue.name,
    dated: derived.schedule.dated,
    facts: [
      `${derived.species.commonName}, for ${document.brief.seats} · ${say(piece.overall.length)} × ${say(piece.overall.width)} × ${say(piece.overall.height)}`,
      `Top ${say(season.topWidth.driest)} wide at its driest (${season.driest.moisture.toFixed(1)} %), ${say(season.topWidth.wettest)} at its wettest (${season.wettest.moisture.toFixed(1)} %), as if the wood followed the air at once`,
      ...(stops.length > 0
        ? stops.map((check) => `Stop: ${writePhrase(check.sentence, style)}`)
        : ['No check says stop.']),
    ],
  });
  return { pdf: await printPdf(pages, document.name), name: document.name };
}

/** The boards for the saw as a PDF. */
export async function boardSheets(id: string, paper: Paper): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, boards, derived, style } = await wholeJob(id, true);
  const { name } = job.document;
  if (!derived.layout) throw notFound('layout', id);
  const { piece, layout, demand, layoutOptions } = derived;
  const pages = composeBoardSheets({ name, piece, layout, boards, demand, options: layoutOptions, style, paper });
  return { pdf: await printPdf(pages, `${name}, boards`), name };
}

/** The full-size drawings of a job, all of them or one by its id. */
export async function fullSizeOf(id: string, drawing: string | null) {
  const whole = await wholeJob(id, false);
  const all = fullSizeDrawings(whole.derived.piece, whole.style, whole.derived.edges);
  const drawings = drawing === null ? all : all.filter((own) => own.id === drawing || own.group === drawing);
  if (drawings.length === 0) throw notFound('drawing', (drawing ?? '').slice(0, 60));
  return { ...whole, drawings };
}

/** Story sticks, templates and joints at full size on ordinary paper, as a PDF. */
export async function fullSizeSheets(
  id: string,
  paper: Paper,
  drawing: string | null,
): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, drawings } = await fullSizeOf(id, drawing);
  const { name } = job.document;
  return { pdf: await printPdf(composeFullSize(drawings, paper, name), `${name}, full size`), name };
}
