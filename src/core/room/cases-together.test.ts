import { describe, expect, it } from 'vitest';
import { bookcase, sideboard } from '../../../tests/fixtures/cases';
import { demoJob, jobOf, places, shop } from '../../../tests/fixtures/demo';
import { deriveJob } from '../job/derive-job';
import type { CaseForm } from '../piece/case/form';
import { drawnWith } from './cases-together';

/** A job of cases, each by its id. */
function jobWith(forms: Readonly<Record<string, CaseForm>>) {
  const document = jobOf({ ...demoJob('2-long-table'), use: 'bookcase', seatsAsked: null, form: bookcase });
  const [own] = document.pieces;
  if (!own) throw new Error('no piece');
  const pieces = Object.entries(forms).map(([id, form]) => ({ ...own, id, name: id, form }));
  const job = deriveJob({ document: { ...document, pieces }, shop, places, boards: null, layouts: [] });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
}
const beside = (piece: string): CaseForm => ({ ...bookcase, beside: { piece, bolts: 4 } });
const level = (job: ReturnType<typeof jobWith>, id: string, check: string) =>
  job.pieces.find((own) => own.pieceId === id)?.checks.find((own) => own.id === check)?.level;

describe('a run of cases', () => {
  it('stands side to side, fronts in one plane, and is measured as one', () => {
    const deep = { ...bookcase, depth: bookcase.depth + 60 };
    const job = jobWith({ a: deep, b: beside('a'), c: beside('b') });
    const [a, b, c] = job.standings;
    expect((b?.spot.x ?? 0) - (a?.spot.x ?? 0)).toBeCloseTo(bookcase.width, 6);
    expect((c?.spot.x ?? 0) - (b?.spot.x ?? 0)).toBeCloseTo(bookcase.width, 6);
    // The deeper one reaches farther back: so much farther back is its middle.
    expect((a?.spot.y ?? 0) - (b?.spot.y ?? 0)).toBeCloseTo(30, 6);
    const long = job.pieces[2]?.checks.find(({ id }) => id === 'run.long');
    expect(long?.value).toMatchObject({ amount: 3 * bookcase.width });
    expect(level(job, 'b', 'run.line')).toBe('watch');
    expect(level(job, 'c', 'run.line')).toBe('good');
    // Each is drawn with its neighbours.
    const middle = job.pieces[1];
    if (!middle) throw new Error('no b');
    expect(drawnWith(middle, job.pieces).map(({ aside }) => aside)).toEqual([-bookcase.width, bookcase.width]);
  });

  it('that goes round in a ring is stopped, and still has places in the room', () => {
    const job = jobWith({ a: beside('b'), b: beside('a') });
    expect([level(job, 'a', 'run.beside'), level(job, 'b', 'run.beside')]).toEqual(['stop', 'stop']);
    for (const { spot } of job.standings) expect(Number.isFinite(spot.x + spot.y)).toBe(true);
  });
});

describe('a case on another', () => {
  const upper: CaseForm = {
    ...{ ...bookcase, width: 1400, height: 900, depth: 280 },
    stand: { kind: 'on-case', lower: 'a', setBack: 100, screws: 4, travel: 5 },
  };

  it('adds to what the lower one sags', () => {
    const sag = (job: ReturnType<typeof jobWith>) =>
      job.pieces[0]?.checks.find(({ id }) => id === 'stiffness.case-sags')?.value as { amount: number };
    const onFeet: CaseForm = { ...sideboard, stand: { kind: 'feet', height: 90, section: 60, setBack: 10 } };
    const [alone, under] = [sag(jobWith({ a: onFeet })), sag(jobWith({ a: onFeet, b: upper }))];
    expect(under.amount).toBeGreaterThan(alone.amount * 1.1);
  });

  it('tips with it at what statics say: m·g·(reach − slope·height of the middle) ÷ height of both', () => {
    const job = jobWith({ a: sideboard, b: upper });
    const check = job.pieces[1]?.checks.find(({ id }) => id === 'stability.stack-tips');
    const given = new Map(check?.figure?.inputs.map(({ label, quantity }) => [label, quantity as { amount: number }]));
    const of = (label: string) => given.get(label)?.amount ?? Number.NaN;
    const push =
      (of('Weight of both') *
        9.81 *
        (of('Their middle to the edge they stand on') - 0.05 * of('Their middle over the floor'))) /
      of('Height of both');
    expect(check?.value).toMatchObject({ amount: expect.closeTo(push, 6) });
    expect(of('Height of both')).toBeCloseTo(sideboard.height + 900, 6);
  });
});
