import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { type BrowserContext, chromium, type Frame } from '@playwright/test';
import { chromium as debianChromium } from '../server/testing/chromium.ts';
import { startRealServer } from '../server/testing/realServer.ts';
import { median } from './percentile.ts';

const port = 4295;
const screens = ['/attributes', '/catalog/products', '/relevance', '/vocabulary', '/filters', '/proposals'];
const openings = 8;
/** Time the browser has for itself after a page was made, in milliseconds. */
const ownWork = 500;

/** How long after an opening everything has come, in milliseconds. */
const comes = 2500;

/**
 * Runs in the page and in the shop's frame: notes when what each is for is drawn, and adds up what moved by itself until
 * then, as browsers measure it (0.1 is felt). Asked from outside, the asking alone took a fifth of the time.
 */
const watch = `
  shifted = 0;
  stood = null;
  const begin = () => {
    const isThere = () => document.querySelector(top === window ? '#screen h1' : '[data-product]');
    const draw = () => requestAnimationFrame(() => { stood = performance.timeOrigin + performance.now(); });
    const watcher = new MutationObserver(() => {
      if (!isThere()) return;
      watcher.disconnect();
      draw();
    });
    if (isThere()) draw();
    else watcher.observe(document, { childList: true, subtree: true });
  };
  // A frame begins as an empty page, whose window the shop's own page takes over without this being run again.
  const whenFilled = () => (location.href === 'about:blank' ? setTimeout(whenFilled) : begin());
  whenFilled();
  new PerformanceObserver((list) => {
    for (const { hadRecentInput, value } of list.getEntries()) if (!hadRecentInput) shifted += value;
  }).observe({ type: 'layout-shift', buffered: true });
`;

interface Opening {
  /** Milliseconds until the shop window shows products, and until the screen beside it stands. */
  readonly time: number;
  readonly editor: number;
  /** What moved meanwhile. */
  readonly shifted: number;
}

/** Opens an address of the desk and waits until window and screen show what they are for. */
async function open(context: BrowserContext, address: string): Promise<Opening> {
  const page = await context.newPage();
  await page.waitForTimeout(ownWork);
  const begin = performance.timeOrigin + performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await page.waitForTimeout(comes);
  const read = (frame: Frame | undefined): Promise<{ stood: number | null; shifted: number }> =>
    frame!.evaluate('({ stood, shifted })');
  const [screen, shop] = await Promise.all([
    read(page.mainFrame()),
    read(page.frames().find((frame) => frame.url().includes('/shop/'))),
  ]);
  await page.close();
  return {
    time: (shop.stood ?? Number.POSITIVE_INFINITY) - begin,
    editor: (screen.stood ?? Number.POSITIVE_INFINITY) - begin,
    shifted: Math.max(screen.shifted, shop.shifted),
  };
}

/** npm run bench -- opening: from opening an address of the desk to results in the shop window, with the demo store. */
export async function runOpening(): Promise<void> {
  const root = process.cwd();
  const data = mkdtempSync(join(tmpdir(), 'clever-shelf-opening-'));
  const server = await startRealServer({ root, data: join(data, 'folder'), port });
  // With a profile of its own, as a merchandiser's browser has: one without keeps no compiled code.
  const context = await chromium.launchPersistentContext(join(data, 'profile'), {
    ...debianChromium,
    args: [...debianChromium.args],
    viewport: { width: 1280, height: 800 },
  });
  try {
    await context.addInitScript({ content: watch });
    for (const screen of [...screens, ...screens]) await open(context, server.base + screen);
    for (const screen of screens) {
      const seen: Opening[] = [];
      for (let time = 0; time < openings; time++) seen.push(await open(context, server.base + screen));
      const times = seen.map(({ time }) => time);
      console.log(
        `${screen}: results after ${median(times).toFixed(0)} ms (slowest ${Math.max(...times).toFixed(0)}; bound 1000), the screen after ${median(seen.map(({ editor }) => editor)).toFixed(0)} ms, layout shift ${Math.max(...seen.map(({ shifted }) => shifted)).toFixed(4)}`,
      );
    }
  } finally {
    await context.close();
    await server.kill();
    rmSync(data, { recursive: true, force: true });
  }
}
