// Measures Jobs, Form and Rack of a running Taller with Lighthouse (desktop): TALLER_URL=… CHROMIUM=… npm run lighthouse.
// Lighthouse is fetched from the npm registry when it is first run: it is larger than all else that Taller is built with.
import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

/** The last that runs on Node 20. */
const LIGHTHOUSE = 'lighthouse@12.8.2';
/** Of 100. */
const LEAST = 90;

const base = process.env.TALLER_URL ?? 'http://127.0.0.1:3000';
const { jobs } = (await (await fetch(`${base}/api/jobs`)).json()) as { jobs: readonly { id: string }[] };
const [job] = jobs;
if (!job) throw new Error('There is no job to look at. Start Taller with its demo.');

const folder = mkdtempSync(join(tmpdir(), 'taller-lighthouse-'));
let worst = 100;
for (const [name, path] of [
  ['Jobs', '/jobs'],
  ['Form', `/jobs/${job.id}/form`],
  ['Rack', '/rack'],
] as const) {
  const report = join(folder, `${name}.json`);
  execFileSync(
    'npx',
    [
      '--yes',
      LIGHTHOUSE,
      base + path,
      '--preset=desktop',
      '--only-categories=performance',
      '--output=json',
      `--output-path=${report}`,
      '--quiet',
      `--chrome-flags=--headless --no-sandbox --disable-quic --no-first-run --disable-background-networking --disable-component-update --disable-sync --user-data-dir=${join(folder, name)}`,
    ],
    {
      stdio: ['ignore', 'ignore', 'inherit'],
      env: { ...process.env, CHROME_PATH: process.env.CHROMIUM ?? '/usr/bin/chromium', CI: '1' },
    },
  );
  const { categories, audits } = JSON.parse(readFileSync(report, 'utf8'));
  const score = Math.round(categories.performance.score * 100);
  worst = Math.min(worst, score);
  const said = ['first-contentful-paint', 'largest-contentful-paint', 'total-blocking-time', 'cumulative-layout-shift']
    .map((id) => `${audits[id].title} ${audits[id].displayValue}`)
    .join(', ');
  console.log(`${name}: ${score} (bound ${LEAST}); ${said}`);
}
rmSync(folder, { recursive: true, force: true });
if (worst < LEAST) process.exitCode = 1;
