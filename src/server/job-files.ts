import {
  curveTables,
  cutList,
  cutSteps,
  fileName,
  partMeshes,
  sawStep,
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
import { boardSheets, fullSizeOf, fullSizeSheets, jobSheet, wholeJob } from './job-outputs';
import { findJob } from './job-store';
import { notFound } from './refusal';
import { serverSolids } from './solids';
import { currentWorkshop, placesOf } from './workshop-store';

/** A file to be sent. */
export interface FileOut {
  body: string | Uint8Array<ArrayBuffer>;
  type: string;
  name: string;
}

const fileOut = (body: FileOut['body'], type: string, name: string): FileOut => ({ body, type, name });

/** The files a job goes out as. A new one is one line here. */
const FILES: Record<string, (id: string, query: URLSearchParams) => Promise<FileOut>> = {
  'cut-list.csv': async (id) => {
    const { job, derived, style } = await wholeJob(id, false);
    const csv = writeCutListCsv(cutList(derived.piece.parts, derived.demand), style);
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-cut-list.csv'));
  },
  'layout.svg': async (id) => {
    const { job, derived, boards, style } = await wholeJob(id, true);
    if (!derived.layout) throw notFound('layout', id);
    const svg = writeLayoutSvg(derived.layout, derived.piece, boards, style, job.document.name);
    return fileOut(svg, 'image/svg+xml', fileName(job.document.name, '-layout.svg'));
  },
  'layout.dxf': async (id) => {
    const { job, derived, boards } = await wholeJob(id, true);
    if (!derived.layout) throw notFound('layout', id);
    const dxf = writeLayoutDxf(derived.layout, derived.piece, boards);
    return fileOut(dxf, 'image/vnd.dxf', fileName(job.document.name, '-layout.dxf'));
  },
  'cuts.csv': async (id) => {
    const { job, derived, boards, style } = await wholeJob(id, true);
    if (!derived.layout) throw notFound('layout', id);
    const steps = cutSteps(derived.layout, boards, derived.demand, {
      ...derived.layoutOptions,
      step: sawStep(style.system),
    });
    const csv = writeCutsCsv(steps, derived.piece, style);
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-cuts.csv'));
  },
  'sheet.pdf': async (id, query) => {
    const { pdf, name } = await jobSheet(id, query.get('paper') === 'letter' ? 'letter' : 'a4');
    return fileOut(pdf, 'application/pdf', fileName(name, '-sheet.pdf'));
  },
  'boards.pdf': async (id, query) => {
    const { pdf, name } = await boardSheets(id, query.get('paper') === 'letter' ? 'letter' : 'a4');
    return fileOut(pdf, 'application/pdf', fileName(name, '-boards.pdf'));
  },
  'full-size.pdf': async (id, query) => {
    const { pdf, name } = await fullSizeSheets(
      id,
      query.get('paper') === 'letter' ? 'letter' : 'a4',
      query.get('drawing'),
    );
    return fileOut(pdf, 'application/pdf', fileName(name, '-full-size.pdf'));
  },
  'full-size.dxf': async (id, query) => {
    const { job, drawings } = await fullSizeOf(id, query.get('drawing'));
    return fileOut(writeFullSizeDxf(drawings), 'image/vnd.dxf', fileName(job.document.name, '-full-size.dxf'));
  },
  'full-size.svg': async (id, query) => {
    const { job, drawings } = await fullSizeOf(id, query.get('drawing'));
    const [drawing] = drawings;
    if (!drawing) throw notFound('drawing', query.get('drawing') ?? '');
    return fileOut(writeFullSizeSvg(drawing), 'image/svg+xml', fileName(job.document.name, `-${drawing.id}.svg`));
  },
  'offsets.csv': async (id) => {
    const { job, derived, style } = await wholeJob(id, false);
    const csv = writeOffsetsCsv(curveTables(derived.piece), style);
    return fileOut(csv, 'text/csv; charset=utf-8', fileName(job.document.name, '-offsets.csv'));
  },
  'piece.glb': async (id) => {
    const { job, derived } = await wholeJob(id, false);
    const { parts } = derived.piece;
    const glb = await writePieceGltf(parts, partMeshes(parts, await serverSolids()), job.document.name);
    return fileOut(new Uint8Array(glb), 'model/gltf-binary', fileName(job.document.name, '.glb'));
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
