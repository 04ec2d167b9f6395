import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { freePort } from './freePort.ts';

// Workers read this file again, and must come to the same server.
process.env.SHELF_E2E_PORT ??= String(await freePort());
const port = Number(process.env.SHELF_E2E_PORT);
const data = process.env.SHELF_E2E_DATA ?? mkdtempSync(join(tmpdir(), 'clever-shelf-e2e-'));
process.env.SHELF_E2E_DATA = data;

/** Tests that start servers of their own, on folders of their own: they may run beside the others. */
const ownServers = ['crash.spec.ts', 'firmGround.spec.ts'];

/** One worker and one server for the desk: its tests walk through one merchandiser's day on one data folder. */
export default defineConfig({
  testDir: '.',
  workers: 2,
  projects: [
    { name: 'desk', testIgnore: ownServers, workers: 1 },
    { name: 'own servers', testMatch: ownServers, workers: 1 },
  ],
  timeout: 150_000,
  expect: { timeout: 20_000 },
  // A test that passes only the second time is told by name at the end; it is a fault to be found, not to be let stand.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    baseURL: `http://127.0.0.1:${port}`,
    viewport: { width: 1280, height: 800 },
    launchOptions: {
      executablePath: '/usr/bin/chromium',
      args: [
        '--headless',
        '--no-sandbox',
        '--disable-gpu',
        '--disable-background-networking',
        '--disable-component-update',
        '--disable-sync',
        '--no-first-run',
      ],
    },
  },
  webServer: {
    command: `node ../scripts/start.mjs --port ${port} --data ${data} --fresh`,
    url: `http://127.0.0.1:${port}/desk/state`,
    timeout: 240_000,
    gracefulShutdown: { signal: 'SIGTERM', timeout: 5000 },
  },
});
