import {
  curveTables,
  cutList,
  cutSteps,
  fileName,
  labelsBy,
  partMeshes,
  sawStep,
  wholeLayout,
  writeCutListCsv,
  writeCutsCsv,
  writeFullSizeDxf,
  writeFullSizeSvg,
  writeJobFile,
  writeLayoutDxf,
  writeLayoutSvg,
  writeOffsetsCsv,
} from '@/core';
// Not through the core's door, which every page loads.
import { writePieceGltf } from '@/core/format/piece-gltf';
import { boardSheets, fullSizeOf, fullSizeSheets, jobSheet, piecesAsked, wholeJob } from './job-outputs';
import { findJob } from './job-store';
import { notFound } from './refusal';
import { serverSolids } from './solids';
import { csvStyleOf } from './style';
import { currentWorkshop, placesOf } from './workshop-store';

/** A file to be sent. */
export interface FileOut {
  body: string | Uint8Array<ArrayBuffer>;
  type: string;
  name: string;
}

const fileOut = (body: FileOut['body'], type: string, name: string): FileOut => ({ body, type, name });

function noLayout(id: string): never {
  throw notFound('layout', id);
}

/** The files that are written of a job. A new one is one line here. */
const FILES: Record<string, (id: string, query: URLSearchParams) => Promise<FileOut>> = {
  'cut-list.csv': async (id, query) => {
    const { job, derived, shop } = await wholeJob(id, false, query);
    const rows = derived.pieces.flatMap(({ piece, demand, mark, title }) =>
      cutList(piece.parts, demand).map((row) =>
        mark === '' ? row : { ...row, letter: `${mark}${row.letter}`, name: `${title}: ${row.name}` },
      ),
    );
    const csv = writeCutListCsv(rows, csvStyleOf(shop, query));
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-cut-list.csv'));
  },
  'layout.svg': async (id, query) => {
    const { job, derived, boards, style } = await wholeJob(id, true, query);
    const { layout, letters } = wholeLayout(derived) ?? noLayout(id);
    const svg = writeLayoutSvg(layout, labelsBy(letters), boards, style, job.document.name);
    return fileOut(svg, 'image/svg+xml', fileName(job.document.name, '-layout.svg'));
  },
  'layout.dxf': async (id, query) => {
    const { job, derived, boards } = await wholeJob(id, true, query);
    const { layout, letters } = wholeLayout(derived) ?? noLayout(id);
    const dxf = writeLayoutDxf(layout, labelsBy(letters), boards);
    return fileOut(dxf, 'image/vnd.dxf', fileName(job.document.name, '-layout.dxf'));
  },
  'cuts.csv': async (id, query) => {
    const { job, derived, boards, shop, style } = await wholeJob(id, true, query);
    const { letters } = wholeLayout(derived) ?? noLayout(id);
    const step = sawStep(style.system);
    const steps = derived.woods.flatMap(({ layout, demand, layoutOptions }) =>
      layout ? cutSteps(layout, boards, demand, { ...layoutOptions, step }) : [],
    );
    const csv = writeCutsCsv(steps, labelsBy(letters), csvStyleOf(shop, query));
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-cuts.csv'));
  },
  'sheet.pdf': async (id, query) => {
    const { pdf, name } = await jobSheet(id, query);
    return fileOut(pdf, 'application/pdf', fileName(name, '-sheet.pdf'));
  },
  'boards.pdf': async (id, query) => {
    const { pdf, name } = await boardSheets(id, query);
    return fileOut(pdf, 'application/pdf', fileName(name, '-boards.pdf'));
  },
  'full-size.pdf': async (id, query) => {
    const { pdf, name } = await fullSizeSheets(id, query);
    return fileOut(pdf, 'application/pdf', fileName(name, '-full-size.pdf'));
  },
  'full-size.dxf': async (id, query) => {
    const { job, drawings } = await fullSizeOf(id, query);
    return fileOut(writeFullSizeDxf(drawings), 'image/vnd.dxf', fileName(job.document.name, '-full-size.dxf'));
  },
  'full-size.svg': async (id, query) => {
    const { job, drawings } = await fullSizeOf(id, query);
    const [drawing] = drawings;
    if (!drawing) throw notFound('drawing', query.get('drawing') ?? '');
    return fileOut(writeFullSizeSvg(drawing), 'image/svg+xml', fileName(job.document.name, `-${drawing.id}.svg`));
  },
  'offsets.csv': async (id, query) => {
    const { job, derived, shop } = await wholeJob(id, false, query);
    const pieces = piecesAsked(derived, query);
    const tables = pieces.flatMap(({ piece, title }) =>
      curveTables(piece).map((table) => (pieces.length === 1 ? table : { ...table, name: `${title}: ${table.name}` })),
    );
    const csv = writeOffsetsCsv(tables, csvStyleOf(shop, query));
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-offsets.csv'));
  },
  'piece.glb': async (id, query) => {
    const { job, derived } = await wholeJob(id, false, query);
    const [own] = piecesAsked(derived, query);
    if (!own) throw notFound('piece', '');
    const name = derived.pieces.length === 1 ? job.document.name : `${job.document.name}, ${own.title}`;
    const { parts } = own.piece;
    const glb = await writePieceGltf(parts, partMeshes(parts, await serverSolids()), name);
    return fileOut(new Uint8Array(glb), 'model/gltf-binary', fileName(name, '.glb'));
  },
  'job.taller.json': async (id) => {
    const workshop = await currentWorkshop();
    const [job, places] = await Promise.all([findJob(workshop.id, id), placesOf(workshop.id)]);
    return fileOut(
      writeJobFile(job.document, places, workshop.settings.species),
      'application/json',
      fileName(job.document.name, '.taller.json'),
    );
  },
};

export async function jobFileOut(id: string, file: string, query: URLSearchParams): Promise<FileOut> {
  const write = Object.hasOwn(FILES, file) ? FILES[file] : undefined;
  if (!write) throw notFound('file', file.slice(0, 60));
  return write(id, query);
}
