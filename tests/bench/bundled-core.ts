import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';

/**
 * The core bundled as a browser gets it. Vitest itself reads every import through a getter, which more than doubles the
 * time of many small functions; what a maker feels is the bundle.
 */
export async function bundledCore(): Promise<typeof import('@/core')> {
  const outfile = join(mkdtempSync(join(tmpdir(), 'taller-bench-')), 'core.mjs');
  await build({
    entryPoints: [join(import.meta.dirname, '../../src/core/index.ts')],
    bundle: true,
    format: 'esm',
    platform: 'node',
    target: 'es2022',
    banner: { js: "import { createRequire } from 'node:module'; const require = createRequire(import.meta.url);" },
    outfile,
    logLevel: 'error',
  });
  return import(/* @vite-ignore */ pathToFileURL(outfile).href);
}
