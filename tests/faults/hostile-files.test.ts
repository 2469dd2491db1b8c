import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { beforeAll, describe, expect, it } from 'vitest';
import { base, call, newJob } from '../http/api';

const rows = readFileSync(join(import.meta.dirname, '../../demo/rack.csv'), 'utf8')
  .trim()
  .split('\n');
const [header, first] = rows as [string, string];
const MB = 1024 * 1024;
const at = (column: string) => header.split(',').indexOf(column);
const withCell = (column: string, text: string, tag: string) =>
  first
    .split(',')
    .map((cell, i) => (i === at(column) ? text : i === at('tag') ? tag : cell))
    .join(',');
const SCRIPT = '<script>document.title="in"</script>';

const RACKS: [string, () => string][] = [
  ['eight megabytes of commas', () => ','.repeat(7.9 * MB)],
  ['a quote that never ends', () => `${header}\n"${'x'.repeat(7 * MB)}`],
  ['nothing but quotes', () => '"'.repeat(7 * MB)],
  ['a hundred thousand columns', () => `${Array.from({ length: 100_000 }, (_, i) => `c${i}`).join(',')}\n1,2`],
  ['a hundred thousand empty lines', () => `${header}\n${'\n'.repeat(100_000)}`],
  ['sixty thousand boards of one tag', () => `${header}\n${`${first}\n`.repeat(60_000)}`],
  ['the same heading twice', () => `${header},tag\n${first},X`],
  ['UTF-16', () => Buffer.from(`\ufeff${rows.join('\n')}`, 'utf16le').toString('latin1')],
  ['old line ends', () => [header, withCell('note', 'cr', 'CR-1')].join('\r')],
  [
    'infinite and foreign numbers',
    () => [header, withCell('length', '1e999', 'F-1'), withCell('width', '١٢٣', 'F-2')].join('\n'),
  ],
  [
    'numbers that run over',
    () => [header, withCell('length', '-5', 'F-3'), withCell('thickness', '0', 'F-4')].join('\n'),
  ],
  [
    'script and a formula',
    () => [header, withCell('note', SCRIPT, 'S-1'), withCell('note', "=1+1';--", 'S-2')].join('\n'),
  ],
  ['a file of another kind', () => '%PDF-1.7\n%âãÏÓ\n1 0 obj'],
];

const JOBS: [string, (sound: string) => string][] = [
  ['a hundred thousand brackets', () => `${'['.repeat(100_000)}${']'.repeat(100_000)}`],
  ['objects in objects', () => `${'{"a":'.repeat(50_000)}1${'}'.repeat(50_000)}`],
  ['a name of seven megabytes', (sound) => sound.replace(/"name":\s*"[^"]*"/, `"name":"${'n'.repeat(7 * MB)}"`)],
  ['script for a name', (sound) => sound.replace(/"name":\s*"[^"]*"/, `"name":${JSON.stringify(SCRIPT)}`)],
  ['a prototype', (sound) => sound.replace('{', '{"__proto__":{"job":1},"constructor":{"prototype":{"x":1}},')],
  ['numbers beyond numbers', (sound) => sound.replace(/"length":\s*[\d.]+/g, '"length":1e999')],
  [
    'hundred thousand cut-outs',
    (sound) =>
      sound.replace(/"cutOuts":\s*\[\]/, `"cutOuts":[${Array.from({ length: 100_000 }, () => '{}').join(',')}]`),
  ],
  ['half of it', (sound) => sound.slice(0, sound.length / 2)],
  ['a later version', (sound) => sound.replace(/"version":\s*\d+/, '"version":999')],
];

describe('hostile files', () => {
  let sound: string;
  beforeAll(async () => {
    const { id } = await newJob('Sound');
    const file = await fetch(`${base}/api/jobs/${id}/files/job.json`);
    sound = file.ok
      ? await file.text()
      : readFileSync(join(import.meta.dirname, '../../demo/jobs/1-square-table.taller.json'), 'utf8');
  });

  /** Sends a file; others are answered meanwhile. */
  async function given(path: string, file: string) {
    let slowest = 0;
    let done = false;
    const asking = (async () => {
      while (!done) {
        const from = performance.now();
        expect((await fetch(`${base}/api/health`)).status).toBe(200);
        slowest = Math.max(slowest, performance.now() - from);
        await new Promise((resolve) => setTimeout(resolve, 20));
      }
    })();
    const reply = await call<{ problems?: { problem: string; wayOut: string }[] }>('POST', path, file);
    done = true;
    await asking;
    return { ...reply, slowest };
  }
  const judge = ({ status, data }: Awaited<ReturnType<typeof given>>) => {
    expect(status, JSON.stringify(data).slice(0, 300)).toBeLessThan(500);
    if (status >= 400) {
      expect(data.problems![0]!.problem.length).toBeGreaterThan(5);
      expect(data.problems![0]!.problem.length).toBeLessThan(400);
      expect(data.problems![0]!.wayOut.length).toBeGreaterThan(3);
    }
  };

  it.each(RACKS)('a rack: %s', async (_, file) => {
    judge(await given('/api/boards/import?try', file()));
    judge(await given('/api/boards/import', file()));
  });

  it.each(JOBS)('a job: %s', async (_, file) => {
    judge(await given('/api/jobs/import', file(sound)));
  });

  it('script stays text on every page and in every file that shows it', async () => {
    const { id } = await newJob(SCRIPT);
    for (const path of ['/rack', '/jobs', `/jobs/${id}/brief`, `/jobs/${id}/bench`]) {
      const page = await (await fetch(base + path)).text();
      expect(page, path).not.toContain(SCRIPT);
    }
    for (const file of ['layout.svg', 'cut-list.csv', 'plan.ics']) {
      const response = await fetch(`${base}/api/jobs/${id}/files/${file}`);
      if (!response.ok) continue;
      expect(response.headers.get('content-type')).not.toMatch(/html/);
      if (file.endsWith('svg')) expect(await response.text()).not.toContain('<script');
    }
  });
});
