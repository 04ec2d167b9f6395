import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { chromium } from '@playwright/test';
import { chromium as debianChromium } from '../server/testing/chromium.ts';
import { startRealServer } from '../server/testing/realServer.ts';
import { median } from './percentile.ts';

const port = 4293;
const shopPort = 4294;
const times = 5;
/** A middling phone on a middling line, as those who measure pages have it: a processor four times as slow, 1.6 Mbit/s, 150 ms. */
const slowed = { processor: 4, latency: 150, bytesASecond: 200_000 };

const pages = [
  ['results of a search', '/search.html?shelf.q=gouache'],
  ['a collection', '/papers.html'],
  ['a page with the box alone', '/'],
] as const;

const require = createRequire(import.meta.url);
/** Runs in the page: keeps the last value of each vital. */
const watch = `
  vitals = {};
  for (const name of ['onLCP', 'onCLS', 'onINP', 'onFCP', 'onTTFB'])
    webVitals[name](({ name, value }) => { vitals[name] = value; }, { reportAllChanges: true });
`;

/** npm run bench -- vitals: the web vitals of the stand-in shop's pages, on a slowed processor and line. */
export async function runVitals(): Promise<void> {
  const root = process.cwd();
  const data = mkdtempSync(join(tmpdir(), 'clever-shelf-vitals-'));
  const script = join(dirname(require.resolve('web-vitals')), 'web-vitals.iife.js');
  const server = await startRealServer({
    ...{ root, data: join(data, 'folder'), port },
    arguments: ['--shop-port', String(shopPort)],
  });
  const shop = `http://127.0.0.1:${shopPort}`;
  const isServed = (): Promise<boolean> =>
    fetch(shop).then(
      ({ ok }) => ok,
      () => false,
    );
  while (!(await isServed())) await new Promise((resolve) => setTimeout(resolve, 200));
  const browser = await chromium.launch({ ...debianChromium, args: [...debianChromium.args] });
  try {
    for (const [what, path] of pages) {
      const seen: Record<string, number>[] = [];
      const sent: number[] = [];
      for (let time = 0; time < times; time++) {
        // A browser that was never here: nothing of it is kept.
        const page = await browser.newPage({ viewport: { width: 412, height: 823 } });
        const session = await page.context().newCDPSession(page);
        await session.send('Network.enable');
        await session.send('Network.emulateNetworkConditions', {
          ...{ offline: false, latency: slowed.latency },
          ...{ downloadThroughput: slowed.bytesASecond, uploadThroughput: slowed.bytesASecond / 2 },
        });
        await session.send('Emulation.setCPUThrottlingRate', { rate: slowed.processor });
        let bytes = 0;
        session.on('Network.loadingFinished', ({ encodedDataLength }) => {
          bytes += encodedDataLength;
        });
        await page.addInitScript({ content: `${readFileSync(script, 'utf8')};${watch}` });
        await page.goto(shop + path);
        await page.waitForLoadState('networkidle');
        const box = page.getByRole('combobox', { name: 'Search the shop' });
        await box.click();
        await box.pressSequentially('bru', { delay: 120 });
        await page.getByRole('option').first().waitFor();
        seen.push(await page.evaluate('vitals'));
        sent.push(bytes);
        await page.close();
      }
      const of = (name: string): number => median(seen.map((each) => each[name] ?? 0));
      console.log(
        `${what}: largest thing after ${of('LCP').toFixed(0)} ms (good below 2500), first after ${of('FCP').toFixed(0)} ms, moved ${Math.max(...seen.map((each) => each.CLS ?? 0)).toFixed(4)} (good below 0.1), answer to a touch ${of('INP').toFixed(0)} ms (good below 200); ${(median(sent) / 1000).toFixed(0)} kB`,
      );
    }
  } finally {
    await browser.close();
    await server.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
