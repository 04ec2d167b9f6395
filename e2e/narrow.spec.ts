import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

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
