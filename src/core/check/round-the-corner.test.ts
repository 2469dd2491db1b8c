import { describe, expect, it } from 'vitest';
import { CASE_CONSTRUCTIONS } from '../../../tests/fixtures/case-constructions';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, demoJob, jobOf, level, places, shop } from '../../../tests/fixtures/demo';
import type { PieceInJob } from '../document/piece-in-job';
import { deriveJob } from '../job/derive-job';

const named = (name: string) => CONSTRUCTIONS.find((c) => c.name.includes(name))!.document;
const corner = (wide: number, high = 2300) => ({ before: wide, after: wide, high });

describe('round the corner on the way', () => {
  it('nothing is said where the way is straight', () => {
    expect(level(derived(named('a breadboarded table on legs')), 'people.corner')).toBeUndefined();
  });

  it('a table goes whole, with its top taken off, or not at all, as the passages get narrower', () => {
    const table = named('a breadboarded table on legs');
    const round = (wide: number) =>
      level(
        derived(
          change(table, (d) => {
            d.brief.corner = corner(wide);
          }),
        ),
        'people.corner',
      );
    const found = [2600, 1800, 1400, 1100, 900, 700, 500, 300].map(round);
    expect(found[0]).toBe('good');
    expect(found.at(-1)).toBe('stop');
    // Never better where it is narrower.
    const rank = { good: 0, watch: 1, stop: 2 } as const;
    const order = found.map((own) => rank[own ?? 'stop']);
    expect([...order].sort((a, b) => a - b)).toEqual(order);
  });

  it('a tall case goes upright where the ceiling lets it, and not where it must be laid down', () => {
    const form = CASE_CONSTRUCTIONS.find(({ name }) => name.includes('bays and loose shelves'))!.form;
    const checked = (high: number) => {
      const own: PieceInJob = { ...demoJob('2-long-table'), use: 'bookcase', seatsAsked: null, form };
      const brief = { ...own.brief, corner: corner(800, high) };
      const job = deriveJob({ document: jobOf({ ...own, brief }), shop, places, boards: null, layouts: [] });
      if (!('pieces' in job)) throw new Error('nothing is derived');
      return job.pieces[0]?.checks.find(({ id }) => id === 'people.corner')?.level;
    };
    expect(checked(form.height + 100)).toBe('good');
    // 1.1 m wide: on edge it is as long as it is high.
    expect(checked(form.width - 100)).toBe('stop');
  });
});
