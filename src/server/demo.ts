import { readdir, readFile } from 'node:fs/promises';
import { join } from 'node:path';
import * as v from 'valibot';
import { type Place, PlaceSchema, read, readJobFile, readRackCsv, type Shop, ShopSchema } from '@/core';
import { addBoards } from './board-store';
import { addJob } from './job-store';
import { inTransaction } from './pool';
import { addPlace } from './workshop-store';

/**
 * Loads the demo workshop when the database has none, by the same readers a maker's own files go through.
 *
 * @returns whether it was loaded now
 */
export async function loadDemoOnce(folder: string): Promise<boolean> {
  const text = (name: string) => readFile(join(folder, name), 'utf8');
  return inTransaction(async (db) => {
    const { rows } = await db.query('select 1 from workshop limit 1');
    if (rows.length > 0) return false;

    const shop = sound<Shop>(read(ShopSchema, JSON.parse(await text('shop.json')), 'shop.json'));
    const made = await db.query('insert into workshop (settings) values ($1) returning id', [shop]);
    const workshopId: string = made.rows[0].id;

    const PlaceFile = v.array(v.object({ ...PlaceSchema.entries, id: v.optional(v.string(), ''), key: v.string() }));
    const places = sound<(Place & { key: string })[]>(
      read(PlaceFile, JSON.parse(await text('places.json')), 'places.json'),
    );
    const idOf = new Map<string, string>();
    for (const place of places) idOf.set(place.key, (await addPlace(workshopId, place, db)).id);

    const rack = readRackCsv(await text('rack.csv'), shop.units);
    const faults = [...rack.problems, ...rack.rows.flatMap((row) => row.problems)];
    if (faults.length > 0) throw new Error(`demo/rack.csv: ${JSON.stringify(faults)}`);
    await addBoards(
      workshopId,
      rack.rows.flatMap((row) => row.board ?? []),
      db,
    );

    const names = (await readdir(join(folder, 'jobs'))).filter((name) => name.endsWith('.taller.json')).sort();
    for (const name of names) {
      const file = sound(readJobFile(await text(join('jobs', name))));
      const { season } = file.job;
      const at = (id: string) => idOf.get(id) ?? id;
      await addJob(
        workshopId,
        {
          ...file.job,
          season: { ...season, shopPlaceId: at(season.shopPlaceId), homePlaceId: at(season.homePlaceId) },
        },
        db,
      );
    }
    return true;
  });
}

function sound<T>(result: { value: T } | { problems: unknown }): T {
  if ('value' in result) return result.value;
  throw new Error(`demo file: ${JSON.stringify(result.problems)}`);
}
