import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import puppeteer from 'puppeteer-core';
import type { TestProject } from 'vitest/node';

declare module 'vitest' {
  export interface ProvidedContext {
    browser: string;
  }
}

/** One Chromium for the whole suite; every test file connects to it. */
export default async function oneBrowser(project: TestProject) {
  const userDataDir = mkdtempSync(join(tmpdir(), 'taller-chromium-'));
  const browser = await puppeteer.launch({
    executablePath: process.env.CHROMIUM ?? '/usr/bin/chromium',
    userDataDir,
    defaultViewport: { width: 1280, height: 800 },
    args: [
      '--headless',
      '--no-sandbox',
      '--disable-quic',
      '--no-first-run',
      '--disable-background-networking',
      '--disable-component-update',
      '--disable-sync',
      '--enable-unsafe-swiftshader',
    ],
  });
  project.provide('browser', browser.wsEndpoint());
  return async () => {
    await browser.close();
    rmSync(userDataDir, { recursive: true, force: true });
  };
}
