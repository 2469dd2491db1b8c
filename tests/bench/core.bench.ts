import { bench, describe } from 'vitest';
import { deriveJob, drawView, planLayout } from '@/core';
import { demoJob, derive, inputs } from '../fixtures/demo';

// A fresh document every time, as a keystroke makes one.
describe('deriveJob without the layout search (bound: p95 under 5 ms)', () => {
  for (const name of ['1-square-table', '2-long-table', '3-small-table'] as const) {
    const given = inputs(demoJob(name));
    let n = 0;
    bench(
      name,
      () => {
        n += 1;
        deriveJob({
          ...given,
          document: {
            ...given.document,
            form: { ...given.document.form, top: { ...given.document.form.top, length: 1500 + (n % 50) } },
          },
        });
      },
      { time: 1500 },
    );
  }
});

describe('drawing', () => {
  const { piece } = derive(demoJob('2-long-table'));
  bench('three views', () => {
    for (const view of ['plan', 'front', 'end'] as const) drawView(piece, view);
  });
});

describe('layout search', () => {
  const job = derive(demoJob('1-square-table'));
  bench(
    '1 000 arrangements of the square table',
    () => {
      planLayout(job.demand, job.boards, { ...job.layoutOptions, effort: 1000 });
    },
    { iterations: 5, time: 500 },
  );
});
