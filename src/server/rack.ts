import type { BoardReply, RackPart } from '@/contract/replies';
import { plainText, speciesWith } from '@/core';
import { RACK_SORTS, rackPart, SHELVES } from './board-store';
import { currentWorkshop } from './workshop-store';

/** Boards sent at once. */
const MOST = 200;

/** The part of the rack that a query selects: ?find=&wood=&sort=&from=&count=, and &bin or &used. */
export async function rackOf(query: URLSearchParams): Promise<RackPart> {
  return partOf(query, whole(query, 'from', 0, 1_000_000, 0), whole(query, 'count', 1, MOST, 100));
}

/** All boards that a query selects, in the order of their tags. */
export async function wholeShelf(query: URLSearchParams, most: number): Promise<BoardReply[]> {
  return (await partOf(query, 0, most)).boards;
}

function whole(query: URLSearchParams, name: string, least: number, most: number, otherwise: number): number {
  const value = Number.parseInt(query.get(name) ?? '', 10);
  return Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : otherwise;
}

async function partOf(query: URLSearchParams, from: number, count: number): Promise<RackPart> {
  const workshop = await currentWorkshop();
  const names = new Map(speciesWith(workshop.settings.species).map((s) => [s.id, s.commonName]));
  const text = (name: string, most: number) => plainText(query.get(name) ?? '').slice(0, most);
  return rackPart(
    workshop.id,
    {
      shelf: SHELVES.find((shelf) => query.has(shelf)) ?? 'rack',
      find: text('find', 200),
      wood: text('wood', 80),
      sort: RACK_SORTS.find((sort) => sort === query.get('sort')) ?? 'tag',
      from,
      count,
    },
    (id) => names.get(id) ?? id,
  );
}
