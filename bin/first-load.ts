import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';

/**
 * What of scripts each page asks for when it is opened first, kB as sent: `TALLER_URL=… npm run first-load`, against a running
 * Taller with the demo in it. What workers load is counted apart. Fails where a page is over its bound.
 */
const base = process.env.TALLER_URL ?? 'http://127.0.0.1:3000';
const executablePath = process.env.CHROMIUM ?? '/usr/bin/chromium';
const STEPS = ['brief', 'form', 'season', 'joints', 'layout', 'glue-up', 'plan', 'bench'];
const BOUNDS: [path: string, most: number][] = [
  ['/jobs', 180],
  ['/rack', 230],
  ['/air', 230],
  ['/shop', 230],
  ['/quick-season', 230],
  ['/methods', 180],
];

const { jobs } = (await (await fetch(`${base}/api/jobs`)).json()) as { jobs: { id: string; name: string }[] };
const job = jobs.find(({ name }) => name.startsWith('Square table')) ?? jobs[0];
if (!job) throw new Error('there is no job to open');
const browser = await puppeteer.launch({
  executablePath,
  userDataDir: mkdtempSync(join(tmpdir(), 'taller-first-load-')),
  args: [
    ...['--headless', '--no-sandbox', '--disable-quic', '--no-first-run', '--disable-background-networking'],
    ...['--disable-component-update', '--disable-sync'],
  ],
});
let over = 0;
for (const [path, most] of [...BOUNDS, ...STEPS.map((step) => [`/jobs/${job.id}/${step}`, 360] as [string, number])]) {
  const context = await browser.createBrowserContext();
  const page = await context.newPage();
  const devtools = await page.createCDPSession();
  await devtools.send('Network.enable');
  const scripts = new Set<string>();
  let sent = 0;
  let files = 0;
  devtools.on('Network.responseReceived', ({ requestId, type }) => {
    if (type === 'Script') scripts.add(requestId);
  });
  devtools.on('Network.loadingFinished', ({ requestId, encodedDataLength }) => {
    if (!scripts.has(requestId)) return;
    sent += encodedDataLength;
    files += 1;
  });
  await page.goto(base + path, { waitUntil: 'networkidle0' });
  const kilobytes = sent / 1000;
  if (kilobytes > most) over += 1;
  const name = path.replace(job.id, 'JOB').padEnd(20);
  console.log(
    `${name} ${kilobytes.toFixed(0).padStart(5)} kB in ${files} files, bound ${most}${kilobytes > most ? '  OVER' : ''}`,
  );
  await context.close();
}
await browser.close();
process.exitCode = over > 0 ? 1 : 0;
