import { describe, expect, it } from 'vitest';
import { CONSTRUCTIONS, thickBoards } from '../../../tests/fixtures/constructions';
import { boards, demoJobs, jobOf, places, shop, sixSeats } from '../../../tests/fixtures/demo';
import type { JobDocument } from '../document/job-document';
import { sharing, withChanges } from '../document/job-document';
import { planLayout } from '../layout/plan-layout';
import { newPiece } from '../start/pieces';
import { type DerivedJob, deriveJob } from './derive-job';
import type { JobInputs } from './inputs';
import { packed, unpacked } from './parcel';

const inputsOf = (document: JobDocument, more: Partial<JobInputs> = {}): JobInputs => ({
  ...{ document, shop, places, boards, layouts: [] },
  ...more,
});
function derived(inputs: JobInputs): DerivedJob {
  const job = deriveJob(inputs);
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return job;
}

describe('a derived job on its way from a worker to its page', () => {
  it.each([
    ...CONSTRUCTIONS.map(({ name, document }) => [name, inputsOf(jobOf(document), { boards: thickBoards })] as const),
    ...demoJobs().map((document) => [document.name, inputsOf(document)] as const),
  ])('arrives as it was: %s', (_, inputs) => {
    const job = derived(inputs);
    expect(unpacked(structuredClone(packed(job, inputs.boards, null)), inputs.boards, null)).toEqual(job);
  });

  it('arrives with its layouts, and its boards are the very boards of the page', () => {
    const first = derived(inputsOf(jobOf(sixSeats())));
    const { demand, boards: own, layoutOptions } = first.woods[0]!;
    const layout = planLayout(demand, own, { ...layoutOptions, effort: 30 });
    const job = derived(inputsOf(jobOf(sixSeats()), { layouts: [layout] }));
    const there = unpacked(structuredClone(packed(job, boards, null)), boards, null);
    expect(there).toEqual(job);
    expect(there.woods[0]!.boards.length).toBeGreaterThan(3);
    for (const board of there.woods[0]!.boards) expect(boards).toContain(board);
  });

  it('arrives where no rack is known', () => {
    const job = derived(inputsOf(jobOf(sixSeats()), { boards: null }));
    expect(unpacked(structuredClone(packed(job, null, null)), null, null)).toEqual(job);
  });

  it('carries only the pieces that have changed', () => {
    const one = jobOf(sixSeats());
    const set = { ...one, pieces: [...one.pieces, { ...newPiece(one, 'stool', 'p2'), count: 3 }] };
    const before = derived(inputsOf(set));
    const changed = sharing(set, withChanges(set, [{ path: 'pieces.p1.form.top.length', value: 1700 }]));
    const job = derived(inputsOf(changed));
    const parcel = packed(job, boards, before);
    expect(parcel.pieces.map((own) => own !== null)).toEqual([true, false, false, false]);
    expect(unpacked(structuredClone(parcel), boards, structuredClone(before))).toEqual(job);
  });
});
