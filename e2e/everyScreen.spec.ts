import { expect } from '@playwright/test';
import { type AxeOptions, colourRules, seriousProblems } from './axe.ts';
import { deskOn, test } from './desk.ts';
import { folded, screens } from './screens.ts';

const shopPages = ['/shop/products/p0002', '/shop/articles/a-how-to-choose-a-gouache'];
const everything = [...screens, '/shop', '/shop?q=zebra+xylophone', ...shopPages];
/** Looked at in parts: all of it together takes longer than one test should. */
const parts = 3;

for (const part of Array.from({ length: parts }, (_, at) => at))
  test(`axe finds nothing serious on any screen, part ${part + 1} of ${parts}`, async ({ page }) => {
    test.setTimeout(360_000);
    const problems: string[] = [];
    page.on('pageerror', (error) => problems.push(error.message));
    const look = async (screen: string, theme: 'light' | 'dark', options: AxeOptions): Promise<void> => {
      await page.emulateMedia({ colorScheme: theme, reducedMotion: 'reduce' });
      await expect(page.locator('html')).toHaveAttribute('data-theme', theme);
      for (const problem of await seriousProblems(page, options)) problems.push(`${screen}, ${theme}: ${problem}`);
    };
    const desk = deskOn(page);
    await desk.open('/attributes');
    await desk.trial('brush');
    for (const [at, screen] of everything.filter((_, index) => index % parts === part).entries()) {
      await desk.go(screen);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (folded.includes(screen)) await expect(page.getByRole('heading', { level: 2 }).first()).toBeVisible();
      else if (!screen.startsWith('/shop')) await desk.titles();
      else if (shopPages.includes(screen)) await expect(page.getByRole('article')).toBeVisible();
      else await expect(page.locator('main[aria-busy="false"]')).toBeVisible();
      // What stands around each screen of the desk, and the window beside it, are the same: they are looked at once.
      const where = at > 0 && !screen.startsWith('/shop') ? { within: 'main' } : {};
      await look(screen, 'light', { ...where, rules: { 'target-size': { enabled: true } } });
      // Each of the desk's screens is looked at in the dark on a phone, what stands around them here.
      if (at === 0 || screen.startsWith('/shop')) await look(screen, 'dark', { ...where, only: colourRules });
    }
    expect(problems).toEqual([]);
  });

test.describe('on a phone', () => {
  test.use({ viewport: { width: 390, height: 844 } });

  test('no screen is wider than a phone, and axe finds nothing serious there in the dark', async ({ page }) => {
    test.setTimeout(240_000);
    const problems: string[] = [];
    await page.emulateMedia({ colorScheme: 'dark', reducedMotion: 'reduce' });
    const desk = deskOn(page);
    await desk.open('/attributes', { folded: true });
    await expect(page.locator('html')).toHaveAttribute('data-theme', 'dark');
    for (const [at, screen] of screens.entries()) {
      await desk.go(screen);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      const beyond = await page.evaluate(() => {
        const main = document.querySelector('main')!;
        return Math.max(document.documentElement.scrollWidth - innerWidth, main.scrollWidth - main.clientWidth);
      });
      if (beyond > 0) problems.push(`${screen}: ${beyond} pixels too wide`);
      // What each part is called and is for is looked at on a wide screen, and the colours in the light.
      const where = at > 0 ? { within: 'main', only: [...colourRules, 'scrollable-region-focusable'] } : {};
      for (const problem of await seriousProblems(page, where)) problems.push(`${screen}: ${problem}`);
    }
    expect(problems).toEqual([]);
  });
});

test('the shop works alone at phone, tablet and desktop width, from the keyboard', async ({ page }) => {
  for (const width of [390, 820, 1240]) {
    await page.setViewportSize({ width, height: 800 });
    await page.goto('/shop');
    await page.getByRole('combobox', { name: 'Search the shop' }).focus();
    await page.keyboard.type('watercolour paper');
    await page.keyboard.press('Enter');
    await expect(page.getByRole('heading', { name: 'Results for “watercolour paper”' })).toBeVisible();
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width);
    // The shop alone carries nothing of the desk.
    await expect(page.getByRole('button', { name: /^Place 1/ })).toHaveCount(0);
    await expect(page.getByText('pinned')).toHaveCount(0);
  }
  await page.getByRole('button', { name: 'Page 2' }).click();
  await expect(page).toHaveURL(/page=2/);
  await page.goBack();
  await expect(page).not.toHaveURL(/page=2/);
});

test('hostile words and titles stay words', async ({ page }) => {
  const said: string[] = [];
  page.on('dialog', (dialog) => {
    said.push(dialog.message());
    void dialog.dismiss();
  });
  const desk = deskOn(page);
  await desk.open('/attributes');
  for (const query of ['<img src=x onerror=alert(1)>', '%', '"\'`', '😀', 'مرحبا بالعالم', '../../etc/passwd'])
    await desk.trial(query);
  const long = await page.request.get(`/shop/search?q=${'a'.repeat(10_000)}`);
  expect(long.status()).toBe(400);
  expect(((await long.json()) as { error: { code: string } }).error.code).toBe('invalid-parameter');
  expect(said).toEqual([]);
});

test('a lost server is said in words, and the desk goes on when it is back', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/attributes');
  await page.route('**/desk/**/edits', (route) => route.abort());
  await page.getByRole('switch', { name: 'Show Kind on the card' }).click();
  await expect(page.getByText('Not saved yet')).toBeVisible();
  // What was done stays, and is sent again until it is saved.
  await expect(page.getByRole('switch', { name: 'Show Kind on the card' })).toBeChecked();
  expect(await desk.unpublished()).toBe(0);
  await page.unroute('**/desk/**/edits');
  await expect.poll(() => desk.unpublished()).toBe(1);
  await expect(page.getByText('Not saved yet')).toBeHidden();
  await expect(page.getByRole('switch', { name: 'Show Kind on the card' })).toBeChecked();
});
