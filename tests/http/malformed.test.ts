import { describe, expect, it } from 'vitest';
import { CONTRACT } from '@/contract/routes';
import type { JobDocument } from '@/core';
import { ROUTES } from '../fixtures/routes';
import { base, call, newJob } from './api';

const BODIES: [string, string][] = [
  ['nothing', ''],
  ['half an object', '{"revision":'],
  ['an array', '[]'],
  ['null', 'null'],
  ['a number', '7'],
  ['a string', '"x"'],
  ['an empty object', '{}'],
  ['wrong types', '{"revision":"x","document":7,"board":[],"shop":null,"place":"p","name":{},"brief":1}'],
  ['huge numbers', '{"revision":1e308,"length":1e308,"document":{"form":{"top":{"length":1e308}}}}'],
  ['a prototype', '{"__proto__":{"revision":1},"constructor":{"prototype":{}}}'],
  ['null characters', '{"name":"a\\u0000b","tag":"\\u0000","revision":1}'],
  ['raw null characters', 'tag,species,length,width,thickness\n\u0000,oak-white,2000,200,30'],
  ['half a character', '{"name":"a\\ud83d","tag":"\\ude00","revision":1,"document":{"name":"\\ud83d"}}'],
  ['not even text', '\ud800\udfff\ufffe'],
  ['deep nesting', `${'['.repeat(20_000)}${']'.repeat(20_000)}`],
  ['CSV where JSON belongs', 'tag,species\n1,2'],
  ['JSON of another program', '{"openapi":"3.0.0","paths":{}}'],
];
const IDS = ['not-an-id', '00000000-0000-4000-8000-000000000000', "1';drop table job;--", '%00', '..%2f..%2fetc'];

describe('malformed bodies never make the server fail', () => {
  it('finds the routes', () => {
    expect(ROUTES.length).toBeGreaterThan(20);
  });

  it.each(ROUTES)('%s %s', async (method, pattern) => {
    const paths = pattern.includes('[id]')
      ? [(await newJob('Malformed bodies')).id, ...IDS].map((id) =>
          pattern.replace('[id]', id).replace('[file]', 'nothing.xyz'),
        )
      : [pattern];
    for (const path of paths) {
      for (const [name, body] of method === 'GET' || method === 'DELETE'
        ? ([['no body', undefined]] as const)
        : BODIES) {
        const { status, data } = await call<{ problems?: { problem: string; wayOut: string }[] }>(method, path, body);
        expect(status, `${method} ${path} with ${name}: ${JSON.stringify(data).slice(0, 200)}`).toBeLessThan(500);
        if (status >= 400 && data.problems) {
          expect(data.problems[0]!.problem.length).toBeGreaterThan(5);
          expect(data.problems[0]!.wayOut.length).toBeGreaterThan(3);
        }
        // A route that reads no body takes none amiss.
        const reads = CONTRACT[`${method} ${pattern}`]?.body !== undefined;
        if (method !== 'GET' && body !== undefined && reads)
          expect(status, `${method} ${path} with ${name}`).toBeGreaterThanOrEqual(400);
      }
    }
  });

  it('keeps half an emoji as something whole, in every text of a job, and the job goes on being saved', async () => {
    const job = await newJob('Half an emoji');
    const path = `/api/jobs/${job.id}`;
    const half = 'pine \ud83d \u202e \u0000';
    const { document } = job;
    const odd = { ...document, name: half, client: half, brief: { ...document.brief, note: half } };
    const first = await call<{ revision: number; document: JobDocument }>('PUT', path, { revision: 1, document: odd });
    expect(first.status).toBe(200);
    const { name, client, brief } = first.data.document;
    for (const text of [name, client, brief.note]) expect(text).toBe('pine \ufffd');
    expect((await call('PUT', path, { revision: 2, document: first.data.document })).status).toBe(200);
    expect((await call('GET', path)).status).toBe(200);
    expect((await call('GET', '/api/rack?find=%00%ed%a0%bd')).status).toBe(200);
  });

  it('refuses a body of more than 8 MB, and another site’s page', async () => {
    expect((await call('POST', '/api/boards/import', 'x'.repeat(9_000_000))).status).toBe(413);
    const response = await fetch(`${base}/api/boards`, {
      method: 'POST',
      body: '{}',
      headers: { 'sec-fetch-site': 'cross-site' },
    });
    expect(response.status).toBe(403);
  });

  it('answers an unknown page with a page, not a failure', async () => {
    for (const path of ['/jobs/nonsense/brief', '/jobs/00000000-0000-4000-8000-000000000000/brief', '/nowhere']) {
      const response = await fetch(base + path);
      expect(response.status, path).toBe(404);
    }
  });
});
