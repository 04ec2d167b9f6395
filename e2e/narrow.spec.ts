import { expect } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, test } from './desk.ts';
import { screens } from './screens.ts';

test.use({ viewport: { width: 390, height: 844 } });

test('on a phone the screens are behind a button, and the shop stands in the editor’s place', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/attributes', { folded: true });
  await page.getByRole('button', { name: 'Screens' }).click();
  await page.getByRole('dialog', { name: 'Screens' }).getByRole('link', { name: 'Relevance' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Relevance' })).toBeVisible();
  await expect(page.getByRole('dialog')).toBeHidden();

  const weight = page.getByLabel('Exact weight of Brand');
  await weight.fill('4');
  await weight.press('Enter');
  await expect.poll(() => desk.unpublished()).toBe(1);

  await page.getByRole('button', { name: 'Show the shop window' }).click();
  await desk.trial('ultramarine');
  expect((await desk.titles())[0]).toContain('Ultramarine');
  await expect(page.getByRole('heading', { level: 1, name: 'Relevance' })).toBeHidden();
  await page.getByRole('button', { name: 'Fold the shop window away' }).click();
  await expect(weight).toHaveValue('4');

  // Whoever goes to another screen from the window sees that screen.
  await page.getByRole('button', { name: 'Show the shop window' }).click();
  await page.getByRole('link', { name: 'Say what “ultramarine” means' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Vocabulary' })).toBeVisible();
});

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
    // In the light colours are those of a wide screen, and are looked at there.
    const where = at > 0 ? { within: 'main' } : {};
    for (const problem of await seriousProblems(page, where)) problems.push(`${screen}: ${problem}`);
  }
  expect(problems).toEqual([]);
});
