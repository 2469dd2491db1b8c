import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

const resolve = { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } };

const setupFiles = ['tests/one-seed.ts'];

const OWN_TALLERS = ['tests/http/backup.test.ts', 'tests/http/killed.test.ts'];

export default defineConfig({
  test: {
    projects: [
      // The core has no state of its own: files share the modules that a worker has loaded.
      {
        resolve,
        test: { name: 'unit', include: ['src/**/*.test.ts'], setupFiles, testTimeout: 60_000, isolate: false },
      },
      {
        resolve,
        test: {
          name: 'published',
          include: ['tests/published/**/*.test.ts'],
          setupFiles,
          testTimeout: 60_000,
          isolate: false,
        },
      },
      {
        resolve,
        test: {
          name: 'http',
          include: ['tests/http/**/*.test.ts'],
          setupFiles,
          exclude: OWN_TALLERS,
          fileParallelism: false,
          testTimeout: 30_000,
        },
      },
      // These make Tallers of their own, beside the others that share one.
      { resolve, test: { name: 'own-tallers', include: OWN_TALLERS, fileParallelism: false } },
      {
        resolve,
        test: {
          name: 'browser',
          include: ['tests/browser/**/*.test.ts'],
          globalSetup: 'tests/browser/one-browser.ts',
          maxWorkers: process.env.TALLER_URLS?.split(' ').length ?? 1,
          testTimeout: 300_000,
          expect: { poll: { timeout: 20_000 } },
          hookTimeout: 60_000,
        },
      },
      {
        resolve,
        test: {
          name: 'faults',
          include: ['tests/faults/**/*.test.ts', 'tests/http/backup.test.ts'],
          globalSetup: ['tests/browser/one-browser.ts', 'tests/faults/one-taller.ts'],
          fileParallelism: false,
          // Minutes, and as many of them as a round takes.
          testTimeout: 3_600_000,
          hookTimeout: 900_000,
          expect: { poll: { timeout: 20_000 } },
        },
      },
      {
        resolve,
        test: { name: 'served', include: ['tests/bench/**/*.test.ts'], testTimeout: 3_600_000, hookTimeout: 900_000 },
      },
      { resolve, test: { name: 'bench', include: [], benchmark: { include: ['tests/bench/**/*.bench.ts'] } } },
    ],
  },
});
