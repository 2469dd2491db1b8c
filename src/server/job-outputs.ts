import type { BoardReply, JobReply } from '@/contract/replies';
import {
  type Check,
  composeBoardSheets,
  composeFullSize,
  composeSheet,
  type DerivedJob,
  type DerivedPiece,
  type DerivedWood,
  deriveJob,
  fixedKey,
  formatLength,
  fullSizeDrawings,
  type Layout,
  type LengthStyle,
  labelsBy,
  layoutKey,
  type Paper,
  panelOfTop,
  planLayout,
  type Shop,
  writePhrase,
} from '@/core';
import { boardsOfJobs, usableFor } from './board-store';
import { serverSolver } from './highs';
import { findJob, layoutsOf } from './job-store';
import { printPdf } from './pdf';
import { notFound, Refusal } from './refusal';
import { styleOf } from './style';
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
export async function wholeJob(id: string, withLayout: boolean): Promise<WholeJob> {
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
  return { job, shop, boards, derived, style: styleOf(shop) };
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

/** The job's sheet as a PDF. */
export async function jobSheet(id: string, paper: Paper): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, boards, derived, style } = await wholeJob(id, true);
  const { document } = job;
  const say = (mm: number) => formatLength(mm, style);
  const stopsOf = (checks: readonly Check[]) => checks.filter((check) => check.level === 'stop');
  const shared = [...derived.woods.flatMap(({ checks }) => checks), ...derived.checks];
  const pages = composeSheet({
    name: document.name,
    client: document.client,
    style,
    paper,
    pieces: derived.pieces.map(({ title, mark, species, piece, season, demand, panels, glueUps, glue, checks }, i) => {
      const stops = [...stopsOf(checks), ...(i === 0 ? stopsOf(shared) : [])];
      const size = `${say(piece.overall.length)} × ${say(piece.overall.width)} × ${say(piece.overall.height)}`;
      return {
        title,
        mark,
        facts: [
          `${species.commonName}${i === 0 ? `, for ${document.brief.seats}` : ''} · ${size}`,
          `Top ${say(season.topWidth.driest)} wide at its driest (${season.driest.moisture.toFixed(1)} %), ${say(season.topWidth.wettest)} at its wettest (${season.wettest.moisture.toFixed(1)} %), as if the wood followed the air at once`,
          ...(stops.length > 0
            ? stops.map((check) => `Stop: ${writePhrase(check.sentence, style)}`)
            : ['No check says stop.']),
        ],
        piece,
        demand,
        strips: panelOfTop({ piece, panels })?.laid.map((strip) => strip.width) ?? [],
        glueUps,
        glueName: glue.name,
      };
    }),
    layouts: derived.woods.map(({ species, layout, letters }) => ({
      species: species.commonName,
      layout,
      labelOf: labelsBy(letters),
    })),
    boards,
    dated: derived.schedule.dated,
  });
  return { pdf: await printPdf(pages, document.name), name: document.name };
}

/** The boards for the saw as a PDF, species by species. */
export async function boardSheets(id: string, paper: Paper): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, boards, derived, style } = await wholeJob(id, true);
  const { name } = job.document;
  const pages = derived.woods.flatMap(({ layout, letters, demand, layoutOptions: options }) => {
    const labelOf = labelsBy(letters);
    return layout ? composeBoardSheets({ name, labelOf, layout, boards, demand, options, style, paper }) : [];
  });
  if (pages.length === 0) throw notFound('layout', id);
  return { pdf: await printPdf(pages, `${name}, boards`), name };
}

/** The full-size drawings of a job's pieces, all of them or those asked for by piece and by drawing. */
export async function fullSizeOf(id: string, query: URLSearchParams) {
  const whole = await wholeJob(id, false);
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
export async function fullSizeSheets(
  id: string,
  paper: Paper,
  query: URLSearchParams,
): Promise<{ pdf: Uint8Array<ArrayBuffer>; name: string }> {
  const { job, drawings } = await fullSizeOf(id, query);
  const { name } = job.document;
  return { pdf: await printPdf(composeFullSize(drawings, paper, name), `${name}, full size`), name };
}
