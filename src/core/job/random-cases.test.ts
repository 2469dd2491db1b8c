import { describe, expect, it } from 'vitest';
import { boards, jobOf, places, shop } from '../../../tests/fixtures/demo';
import { randomCases } from '../../../tests/fixtures/random-cases';
import { drawView } from '../drawing/drawing';
import { fullSizeDrawings } from '../format/full-size';
import { deriveJob } from './derive-job';

/** How many a run can afford. */
const COUNT = Number(process.env.RANDOM_CASES ?? 150);

/** Where in plain data a number is no number or has no end. */
function notFinite(thing: unknown, path = ''): string[] {
  if (typeof thing === 'number') return Number.isFinite(thing) ? [] : [path];
  if (thing === null || typeof thing !== 'object') return [];
  return Object.entries(thing).flatMap(([key, own]) => notFinite(own, `${path}.${key}`));
}

describe(`${COUNT} random valid cases`, () => {
  const faults = { thrown: [] as string[], numbers: [] as string[], ids: [] as string[], places: [] as string[] };
  let buildable = 0;
  for (const document of randomCases(23, COUNT)) {
    try {
      const job = deriveJob({ document: jobOf(document), shop, places, boards, layouts: [] });
      if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
      const own = job.pieces[0];
      if (!own) throw new Error('nothing is derived');
      const { piece, season, restraint, checks, figures, glueUps } = own;
      for (const [name, part] of Object.entries({ piece, season, restraint, checks, figures, glueUps }))
        faults.numbers.push(...notFinite(part, name));
      const ids = checks.map(({ id }) => id);
      faults.ids.push(...ids.filter((id, i) => ids.indexOf(id) !== i));
      for (const view of ['plan', 'front', 'section', 'above'] as const)
        faults.numbers.push(...notFinite(drawView(piece, view).bounds, view));
      if (piece.problems.length > 0) continue;
      buildable += 1;
      fullSizeDrawings(piece, { system: 'metric' });
      const known = new Set([...piece.parts, ...piece.joints, ...own.demand.panels].map(({ id }) => id));
      for (const { id, where } of checks)
        faults.places.push(...where.filter((place) => !known.has(place)).map((place) => `${id} at ${place}`));
    } catch (error) {
      faults.thrown.push(`${error instanceof Error ? error.stack : error}\n${JSON.stringify(document.form)}`);
    }
  }

  it('never throw', () => expect(faults.thrown.slice(0, 2)).toEqual([]));
  it('carry no number that is none', () => expect(faults.numbers.slice(0, 10)).toEqual([]));
  it('have every check once', () => expect([...new Set(faults.ids)].slice(0, 10)).toEqual([]));
  it('name parts and joints that are there', () => expect([...new Set(faults.places)].slice(0, 10)).toEqual([]));
  it('can be built, half of them and more', () => expect(buildable).toBeGreaterThan(COUNT / 2));
});
