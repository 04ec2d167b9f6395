import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defineConfig } from '@playwright/test';
import { chromium } from '../server/testing/chromium.ts';
import { freePort } from './freePort.ts';

/** A server for some of the tests, on a folder of its own; workers read this file again, and must come to the same one. */
async function desk(name: string): Promise<{ readonly port: string; readonly shop: string; readonly data: string }> {
  const [port, shop, data] = [`SHELF_E2E_${name}_PORT`, `SHELF_E2E_${name}_SHOP`, `SHELF_E2E_${name}_DATA`];
  process.env[port] ??= String(await freePort());
  // Where the stand-in shop is, whose pages show its search.
  process.env[shop] ??= String(await freePort());
  process.env[data] ??= mkdtempSync(join(tmpdir(), 'clever-shelf-e2e-'));
  return { port: process.env[port], shop: process.env[shop], data: process.env[data] };
}

const jobs = await desk('JOBS');
const shop = await desk('SHOP');
/** Tests that start servers of their own. */
const ownServers = ['crash.spec.ts', 'firmGround.spec.ts', 'together.spec.ts'];
/** Most tests of what shoppers see, all that go to the stand-in shop, and those that change the catalog. */
const ofShop = [
  ...[
    'catalog.spec.ts',
    'embedded.spec.ts',
    'look.spec.ts',
    'ownStyle.spec.ts',
    'randomPages.spec.ts',
    'resultsPage.spec.ts',
  ],
  ...['searchBox.spec.ts', 'slice.spec.ts', 'storefront.spec.ts', 'terminal.spec.ts', 'vocabulary.spec.ts'],
];
const at = (port: string): string => `http://127.0.0.1:${port}`;

/**
 * Each desk's tests walk one after the other through one merchandiser's day. Two such days of about the same length pass
 * side by side, and beside them the tests that have servers of their own: that is what two cores have time for.
 */
export default defineConfig({
  testDir: '.',
  workers: 3,
  projects: [
    { name: 'jobs', testIgnore: [...ownServers, ...ofShop], workers: 1, use: { baseURL: at(jobs.port) } },
    { name: 'shop', testMatch: ofShop, workers: 1, use: { baseURL: at(shop.port) } },
    { name: 'own servers', testMatch: ownServers, workers: 1 },
  ],
  timeout: 200_000,
  expect: { timeout: 30_000 },
  // A test that passes only the second time is told by name at the end; it is a fault to be found, not to be let stand.
  retries: 1,
  reporter: [['list'], ['json']],
  use: {
    viewport: { width: 1280, height: 800 },
    launchOptions: { executablePath: chromium.executablePath, args: [...chromium.args, '--process-per-site'] },
  },
  webServer: [jobs, shop].map(({ port, shop, data }) => ({
    command: `node ../scripts/start.mjs --port ${port} --shop-port ${shop} --data ${data} --fresh --cold`,
    url: `${at(port)}/desk/state`,
    timeout: 240_000,
    gracefulShutdown: { signal: 'SIGTERM' as const, timeout: 5000 },
  })),
});
