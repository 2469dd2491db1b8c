import { expect, it } from 'vitest';
import { demoJob, demoJobs, inputs, jobInputs } from '../../../tests/fixtures/demo';
import type { JobDocument } from '../document/job-document';
import { alikePieces, titleOfAlike } from './alike-pieces';
import { deriveJob } from './derive-job';

const given = jobInputs(inputs(demoJob('1-square-table')));
const four = (edit: (job: JobDocument) => void = () => {}) => {
  const document = structuredClone(given.document);
  document.pieces[0]!.count = 4;
  edit(document);
  const job = deriveJob({ ...given, document });
  if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
  return alikePieces(job.pieces);
};
const titles = (groups: ReturnType<typeof four>) => groups.map(titleOfAlike);

it('instances that are made alike are one group, named from the first to the last', () => {
  expect(titles(four())).toEqual([expect.stringMatching(/ 1 to 4$/)]);
});

it('one of which something is cut is a group of its own, and the others are named one by one', () => {
  const groups = four((job) => {
    job.pieces[0]!.benches['3'] = { cut: ['top'], locks: {} };
  });
  expect(groups.map((group) => group.map(({ instance }) => instance))).toEqual([[1, 2, 4], [3]]);
  expect(titles(groups)[0]).toMatch(/ 1, 2, 4$/);
  expect(titles(groups)[1]).toMatch(/ 3$/);
});

it('different pieces are never one group', () => {
  for (const document of demoJobs()) {
    const job = deriveJob({ ...given, document });
    if (!('pieces' in job)) throw new Error(JSON.stringify(job.problems));
    for (const group of alikePieces(job.pieces)) expect(new Set(group.map(({ pieceId }) => pieceId)).size).toBe(1);
  }
});
