import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, derived } from '../../../tests/fixtures/constructions';
import { change, type Derived } from '../../../tests/fixtures/demo';
import { read } from '../decision/issues';
import { TableFormSchema, valueAt, withChanges } from '../document/job-document';
import type { TableInJob } from '../document/piece-in-job';

// Whatever the piece: less wood, a wider span and a heavier load never look better; more travel never holds the wood more.

const value = (job: Derived, id: string) => job.checks.find((own) => own.id === id)?.value.amount;
const ids = (job: Derived, what: RegExp) => job.checks.map(({ id }) => id).filter((id) => what.test(id));
const traps = (job: Derived) =>
  job.checks.filter(({ id, level }) => id.startsWith('season.ties-') && level === 'stop').length;

/** The piece with one figure of its form multiplied; null where the form does not take it, or it cannot be built. */
function scaled(document: TableInJob, path: string, times: number): Derived | null {
  const now = valueAt(document, path);
  if (typeof now !== 'number' || now === 0) return null;
  const next = withChanges(document, [{ path, value: Math.round(now * times * 10) / 10 }]);
  if ('problems' in read(TableFormSchema, next.form, 'form')) return null;
  const job = derived(next);
  return job.problems.length > 0 ? null : job;
}

describe.each(CONSTRUCTIONS.map((c) => [c.name, c.document] as const))('%s', (_, document) => {
  const before = derived(document);

  it('a heavier load: no sag, sway or stress is less', () => {
    const heavier = derived(
      change(document, (d) => {
        d.form.loads = {
          edge: d.form.loads.edge * 1.4,
          spread: d.form.loads.spread * 1.4,
          push: d.form.loads.push * 1.4,
        };
      }),
    );
    for (const id of ids(before, /^(stiffness|strength|slides\.(give|strength|crushing))/)) {
      expect(value(heavier, id), id).toBeGreaterThanOrEqual((value(before, id) as number) - 1e-9);
    }
  });

  it('a thinner member: what is asked of it is no less', () => {
    for (const bending of before.piece.bending) {
      const thinner = scaled(document, bending.path, 0.9);
      const id = `stiffness.${bending.id}-sag`;
      if (thinner && value(thinner, id) !== undefined)
        expect(value(thinner, id), id).toBeGreaterThan(value(before, id) as number);
    }
    const top = scaled(document, 'form.top.thickness', 0.9);
    for (const id of ['stiffness.top-sag', 'stiffness.top-end']) {
      if (top && value(top, id) && value(before, id))
        expect(value(top, id), id).toBeGreaterThan(value(before, id) as number);
    }
    for (const path of [
      'form.base.leg.section',
      'form.base.leg.taper.foot',
      'form.base.post.thickness',
      'form.base.stretcher.height',
      'form.base.apron.thickness',
      'form.base.apron.height',
    ]) {
      const less = scaled(document, path, 0.9);
      if (!less) continue;
      for (const id of ids(before, /^stiffness\.(sway|apron-bow|stretcher)/)) {
        // The tenons of a thinner part move too: what sways may only give more.
        expect(value(less, id), `${path}: ${id}`).toBeGreaterThanOrEqual((value(before, id) as number) * 0.98 - 1e-9);
      }
    }
  });

  it('a wider span: its sag is no less', () => {
    const longer = scaled(document, 'form.top.length', 1.1);
    if (!longer) return;
    for (const id of ids(before, /^stiffness\.(apron-sag|top-rail-sag|guide-sag)$/)) {
      expect(value(longer, id), id).toBeGreaterThan(value(before, id) as number);
    }
  });

  it('more travel: the wood is held no more', () => {
    const { hold } = document.form;
    const freer = withChanges(document, [
      { path: 'form.hold.travel', value: Math.min(40, hold.travel + 3) },
      ...(hold.inward === null ? [] : [{ path: 'form.hold.inward', value: Math.min(40, hold.inward + 3) }]),
    ]);
    const after = derived(freer);
    expect(traps(after)).toBeLessThanOrEqual(traps(before));
    const room = (job: Derived, id: string) => {
      const own = job.checks.find((check) => check.id === id);
      return own ? own.limit.amount - own.value.amount : Number.POSITIVE_INFINITY;
    };
    expect(room(after, 'season.top-travel')).toBeGreaterThanOrEqual(room(before, 'season.top-travel') - 1e-6);
  });
});
