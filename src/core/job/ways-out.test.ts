import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, thickBoards } from '../../../tests/fixtures/constructions';
import { change, type Derived, derive as deriveAny, shop, waysOutOf } from '../../../tests/fixtures/demo';
import { randomDocuments } from '../../../tests/fixtures/random-documents';
import { withChanges } from '../document/job-document';
import type { TableInJob } from '../document/piece-in-job';
import { writePhrase } from '../measure/write-quantity';
import type { ProvenWayOut } from './ways-out';

/** How many a run can afford; `npm run documents:random` tries five hundred. */
const COUNT = Number(process.env.RANDOM_WAYS_OUT ?? 30);
const RANK = { stop: 0, watch: 1, good: 2 };

const derive = (document: TableInJob): Derived => deriveAny(document, { boards: thickBoards });
const found = (document: TableInJob, more = {}): ProvenWayOut[] =>
  waysOutOf(document, { boards: thickBoards, ...more });

const numbered = (id: string) => id.replace(/-\d+$/, '');
const stops = (job: Derived) => {
  const counts = new Map<string, number>();
  for (const { id, level } of job.checks)
    if (level === 'stop') counts.set(numbered(id), (counts.get(numbered(id)) ?? 0) + 1);
  return counts;
};

/** Checks that are reported when all is well, too: of these none is cured by its going away. */
const reported = new Set(
  CONSTRUCTIONS.flatMap(({ document }) => derive(document).checks)
    .filter(({ level }) => level === 'good')
    .map(({ id }) => numbered(id)),
);

/** Presses every button that is offered, and says what is wrong with it. */
function faultsOf(document: TableInJob, name: string): string[] {
  const before = derive(document);
  return found(document).flatMap(({ check, wayOut }) => {
    if (wayOut.changes.length === 0) return [];
    const words = `${name}: ${check}: “${writePhrase(wayOut.say, { system: 'metric' })}”`;
    const mended = withChanges(document, wayOut.changes);
    if (JSON.stringify(mended) === JSON.stringify(document)) return [`${words} changes nothing`];
    const after = derive(mended);
    const was = before.checks.find(({ id }) => id === check);
    const now = after.checks.find(({ id }) => id === check);
    const [had, has] = [stops(before), stops(after)];
    const fewer = (has.get(numbered(check)) ?? 0) < (had.get(numbered(check)) ?? 0);
    const better = !now || (was && RANK[now.level] > RANK[was.level]) || (numbered(check) !== check && fewer);
    const more = [...has].filter(([id, count]) => count > (had.get(id) ?? 0)).map(([id]) => id);
    const isFigure = wayOut.changes.every(({ value }) => typeof value === 'number');
    return [
      ...(!now && isFigure && reported.has(numbered(check)) ? [`${words} has it no longer reported`] : []),
      ...(better ? [] : [`${words} leaves it as it is`]),
      ...(more.length > 0 ? [`${words} makes ${more.join(', ')} stop`] : []),
    ];
  });
}

describe('every way out that is offered cures, and stops nothing else', () => {
  it.each(CONSTRUCTIONS.map((c) => [c.name, c] as const))('%s, as it is and made wrong', (name, { document, bad }) => {
    expect(faultsOf(document, name)).toEqual([]);
    expect(faultsOf(change(document, bad.edit), bad.how)).toEqual([]);
  });

  it(`${COUNT} random documents`, () => {
    const faults = [...randomDocuments(23, COUNT)].flatMap((document, i) => faultsOf(document, `document ${i}`));
    expect(faults).toEqual([]);
  }, 600_000);

  it('a figure is round in the units of the shop: sixteenths where inches are shown', () => {
    const low = CONSTRUCTIONS.find(({ name }) => name.includes('a square table on tapered legs'))!;
    const thin = change(low.document, (d) => {
      d.form.top.thickness = 12;
      d.form.top.length = 1300;
    });
    const inch = found(thin, { shop: { ...shop, units: 'inch' as const } });
    const figures = inch.flatMap(({ wayOut }) =>
      wayOut.changes.flatMap(({ path, value }) =>
        typeof value === 'number' && /thickness|height|Overhang/.test(path) ? [value] : [],
      ),
    );
    expect(figures.length).toBeGreaterThan(0);
    for (const value of figures) expect((value / 25.4) * 16).toBeCloseTo(Math.round((value / 25.4) * 16), 6);
  });
});
