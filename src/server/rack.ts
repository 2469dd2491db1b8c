import { speciesWith } from '@/core';
import { RACK_SORTS, type RackPart, rackPart } from './board-store';
import { currentWorkshop } from './workshop-store';

/** Boards sent at once. */
const MOST = 200;

/** The part of the rack an address asks for: ?find=&wood=&sort=&from=&count=&bin. */
export async function rackOf(query: URLSearchParams): Promise<RackPart> {
  const workshop = await currentWorkshop();
  const names = new Map(speciesWith(workshop.settings.species).map((s) => [s.id, s.commonName]));
  const whole = (name: string, least: number, most: number, otherwise: number) => {
    const value = Number.parseInt(query.get(name) ?? '', 10);
    return Number.isFinite(value) ? Math.min(most, Math.max(least, value)) : otherwise;
  };
  return rackPart(
    workshop.id,
    {
      bin: query.has('bin'),
      find: (query.get('find') ?? '').slice(0, 200).replaceAll('\u0000', ''),
      wood: (query.get('wood') ?? '').slice(0, 80).replaceAll('\u0000', ''),
      sort: RACK_SORTS.find((sort) => sort === query.get('sort')) ?? 'tag',
      from: whole('from', 0, 1_000_000, 0),
      count: whole('count', 1, MOST, 100),
    },
    (id) => names.get(id) ?? id,
  );
}
