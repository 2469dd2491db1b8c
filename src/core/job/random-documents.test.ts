import { describe, expect, it } from 'vitest';
import { derived } from '../../../tests/fixtures/constructions';
import { allChoices, choicesOf, randomDocuments } from '../../../tests/fixtures/random-documents';

/** How many a run can afford; `npm run documents:random` takes twenty thousand. */
const COUNT = Number(process.env.RANDOM_DOCUMENTS ?? 2_000);

/** Where in plain data a number is no number or has no end. */
function notFinite(thing: unknown): string[] {
  if (typeof thing === 'number') return Number.isFinite(thing) ? NONE : [''];
  if (thing === null || typeof thing !== 'object') return NONE;
  let found = NONE;
  for (const key in thing) {
    const own = notFinite((thing as Record<string, unknown>)[key]);
    if (own.length > 0) found = [...found, ...own.map((path) => `.${key}${path}`)];
  }
  return found;
}
const NONE: string[] = [];

describe(`${COUNT} random valid documents`, () => {
  const faults = { thrown: [] as string[], numbers: [] as string[], ids: [] as string[], places: [] as string[] };
  const missing = allChoices();
  let buildable = 0;
  let at = 0;
  for (const document of randomDocuments(17, COUNT)) {
    at += 1;
    for (const choice of choicesOf(document)) missing.delete(choice);
    try {
      const { piece, season, restraint, checks, figures, schedule, glueUps, demand, problems } = derived(document);
      if (problems.length === 0) buildable += 1;
      if (problems.length === 0) {
        const known = new Set(
          [...piece.parts, ...piece.fasteners, ...piece.joints, ...piece.seats, ...demand.panels].map(({ id }) => id),
        );
        for (const { id, where } of checks)
          for (const place of where) if (!known.has(place)) faults.places.push(`document ${at}: ${id} at ${place}`);
      }
      const told = Object.entries({ piece, season, restraint, checks, figures, schedule, glueUps });
      for (const [name, part] of told)
        for (const path of notFinite(part)) faults.numbers.push(`document ${at}: ${name}${path}`);
      const ids = checks.map(({ id }) => id);
      for (const [i, id] of ids.entries()) if (ids.indexOf(id) !== i) faults.ids.push(`document ${at}: ${id}`);
    } catch (error) {
      faults.thrown.push(
        `document ${at}: ${error instanceof Error ? error.message : error}\n${JSON.stringify(document.form)}`,
      );
    }
  }

  it('never throw', () => expect(faults.thrown.slice(0, 3)).toEqual([]));
  it('carry no number that is none', () => expect(faults.numbers.slice(0, 10)).toEqual([]));
  it('have every check once', () => expect(faults.ids.slice(0, 10)).toEqual([]));
  it('name parts and joints that are there', () => expect(faults.places.slice(0, 10)).toEqual([]));
  it('can be built, half of them and more', () => expect(buildable).toBeGreaterThan(COUNT / 2));
  it('meet every kind and every option', () => expect([...missing]).toEqual([]));
});
