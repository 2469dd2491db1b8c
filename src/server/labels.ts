import { composeLabels, speciesWith } from '@/core';
import { openedBoard } from './board-store';
import { printPages } from './paper/print-pages';
import { wholeShelf } from './rack';
import { notFound, Refusal } from './refusal';
import { paperOf, styleOf } from './style';
import { currentWorkshop } from './workshop-store';

/** Labels printed at once. */
const MOST = 1000;

/** Labels of one board (?board=), or of those the rack shows (?find=&wood=). */
export async function labelsOf(query: URLSearchParams, origin: string): Promise<Uint8Array<ArrayBuffer>> {
  const { id, settings } = await currentWorkshop();
  const one = query.get('board');
  const board = one === null ? null : await openedBoard(id, one);
  if (one !== null && !board) throw notFound('board', one.slice(0, 60));
  const boards = board ? [board] : await wholeShelf(query, MOST);
  if (boards.length === 0) {
    throw new Refusal(404, [
      { problem: 'No board is like that.', where: 'the rack', wayOut: 'Clear the search, then print the labels.' },
    ]);
  }
  const names = new Map(speciesWith(settings.species).map((s) => [s.id, s.commonName]));
  const paper = paperOf(query);
  const pages = composeLabels(boards, {
    paper,
    style: styleOf(settings, query),
    woodOf: (species) => names.get(species) ?? species,
    address: ({ id: own }) => `${origin}/rack?board=${own}`,
  });
  return printPages(pages, 'Labels');
}
