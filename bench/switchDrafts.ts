import { chromium, type Page } from '@playwright/test';
import { chromium as debianChromium } from '../server/testing/chromium.ts';
import { percentile } from './percentile.ts';

/** How long somebody looks for the draft in the menu before the press, and at its page after it, in milliseconds. */
const looksFor = 350;
const looksAt = 1500;

/** A draft to go to, and words that only its first page has. */
export interface SwitchedTo {
  readonly name: string;
  readonly shows: string;
}

/** Runs in the page: notes when the mouse is pressed, and when the shop's window has drawn some words. */
const watchFor = (words: string): string => `{
  pressed = 0;
  drawn = 0;
  addEventListener('mousedown', () => { pressed = performance.now(); }, { once: true, capture: true });
  const look = () => {
    const text = document.querySelector('iframe')?.contentDocument?.body?.textContent ?? '';
    if (pressed && text.includes(${JSON.stringify(words)})) drawn = performance.now();
    else requestAnimationFrame(look);
  };
  requestAnimationFrame(look);
}`;

async function switchTo(page: Page, { name, shows }: SwitchedTo): Promise<number> {
  await page.getByRole('button', { name: /^The draft:/ }).click();
  const item = page.getByRole('menuitem', { name: new RegExp(`^${name}\\b`) });
  await item.hover();
  await page.waitForTimeout(looksFor);
  await page.evaluate(watchFor(shows));
  await item.click();
  await page.waitForTimeout(looksAt);
  const [pressed, drawn] = (await page.evaluate('[pressed, drawn]')) as [number, number];
  return drawn === 0 ? Number.POSITIVE_INFINITY : drawn - pressed;
}

/** From the press in the desk's menu of drafts to the first page drawn in the shop's window, for each draft in turn. */
export async function switchDrafts(
  base: string,
  {
    search,
    screen,
    drafts,
  }: { readonly search: string; readonly screen: string; readonly drafts: readonly SwitchedTo[] },
): Promise<{ readonly median: number; readonly slowest: number }> {
  const browser = await chromium.launch({ ...debianChromium, args: [...debianChromium.args] });
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(`${base}/main/main${screen}`);
    const field = page.getByLabel('Trial search', { exact: true });
    await field.fill(search);
    await field.press('Enter');
    await page.waitForTimeout(2 * looksAt);
    const times: number[] = [];
    for (const draft of drafts) times.push(await switchTo(page, draft));
    return { median: percentile(times, 0.5), slowest: Math.max(...times) };
  } finally {
    await browser.close();
  }
}
