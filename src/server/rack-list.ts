import type { BoardReply } from '@/contract/replies';
import { formatLength, sayDay, speciesWith, writeNumber } from '@/core';
import { jobNames } from './job-store';
import { type Column, titledTable, unitsNote } from './paper/blocks';
import { printDocument } from './paper/print-document';
import { wholeShelf } from './rack';
import { notFound } from './refusal';
import { paperOf, styleOf } from './style';
import { currentWorkshop } from './workshop-store';

/** Boards listed at once. */
const MOST = 5000;

/** The boards that the rack shows (?find=&wood=), as a list on paper to go along the shelves with. */
export async function rackListOf(query: URLSearchParams): Promise<Uint8Array<ArrayBuffer>> {
  const { id, settings } = await currentWorkshop();
  const [boards, jobs] = await Promise.all([wholeShelf(query, MOST), jobNames(id)]);
  if (boards.length === 0) throw notFound('board', 'the rack');
  const woods = new Map(speciesWith(settings.species).map((s) => [s.id, s.commonName]));
  const style = styleOf(settings, query);
  const say = (mm: number) => formatLength(mm, style);
  const keptFor = new Map(jobs.map((job) => [job.id, job.name]));
  const columns: [Column, (board: BoardReply) => string][] = [
    [{ title: '', width: 12 }, () => '☐'],
    [{ title: 'Tag', width: 'auto' }, (board) => board.tag],
    [{ title: 'Wood', width: '*' }, (board) => woods.get(board.species) ?? board.species],
    [{ title: 'Length', width: 'auto', right: true }, (board) => say(board.length)],
    [
      { title: 'Width', width: 'auto', right: true },
      ({ width, farWidth }) => (farWidth && farWidth !== width ? `${say(width)} to ${say(farWidth)}` : say(width)),
    ],
    [
      { title: 'Thick', width: 'auto', right: true },
      ({ quarters, thickness }) => (quarters ? `${quarters}/4` : say(thickness)),
    ],
    [
      { title: 'Moisture', width: 'auto', right: true },
      ({ moisture, moistureOn }) =>
        moisture === null ? '–' : `${writeNumber(moisture, 1, style)} %${moistureOn ? `, ${sayDay(moistureOn)}` : ''}`,
    ],
    [{ title: 'Lot', width: '*' }, (board) => board.lot],
    [{ title: 'Lies at', width: '*' }, (board) => board.storedAt],
    [{ title: 'Kept for', width: '*' }, (board) => keptFor.get(board.reservedFor ?? '') ?? ''],
  ];
  // A column in which nothing is said is left out.
  const said = columns.filter(([, write]) => boards.some((board) => write(board) !== ''));
  return printDocument({
    title: 'Rack',
    heading: `${settings.name}  ·  rack`,
    paper: paperOf(query),
    content: [
      titledTable(
        `${boards.length} ${boards.length === 1 ? 'board' : 'boards'}`,
        unitsNote(style),
        said.map(([column]) => column),
        boards.map((board) => said.map(([, write]) => write(board))),
      ),
    ],
  });
}
