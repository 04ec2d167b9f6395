import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { deskOn } from './desk.ts';

test('a broad idea finds its kinds, one way, and tells what it does', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/vocabulary');
  await desk.trial('drawing media');
  await page.getByLabel('Kind of the new synonym').selectOption('one way');
  await page.getByLabel('What shoppers say', { exact: true }).fill('drawing media');
  await page.getByLabel('What it finds', { exact: true }).fill('charcoal, soft pastel');
  await page.getByRole('button', { name: 'Add' }).first().click();
  const row = page.getByRole('list', { name: 'Synonyms' }).getByRole('listitem').first();
  await expect(row).toContainText(/No search in the log says|Said in/);
  await expect.poll(async () => (await desk.titles()).join(' ').toLowerCase()).toMatch(/charcoal|pastel/);
  await desk.choose(1, 'Why here?');
  await expect(page.getByRole('dialog')).toContainText('by a word that means the same');
  await page.keyboard.press('Escape');
  await page.getByRole('switch', { name: 'drawing media finds charcoal, soft pastel, in force' }).click();
  await expect(row).toContainText('Switched off.');
  await desk.undoAll();
});

test('synonyms go to a file and come from one, with a look at what changes', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/vocabulary');
  const csv =
    'kind,words,finds,on,name\nsame,rubber|eraser,,on,Rubbers\none way,aquarelle,watercolour,on,\nsame,alone,,on,\n';
  const file = { name: 'synonyms.csv', mimeType: 'text/csv', buffer: Buffer.from(csv) };
  await page.getByLabel('A CSV file of synonyms').setInputFiles(file);
  const dialog = page.getByRole('dialog', { name: 'Synonyms from a file' });
  await expect(dialog).toContainText('2 entries added, 0 changed, 0 as they are, 1 refused.');
  await expect(dialog).toContainText('Line 4');
  await dialog.getByRole('button', { name: 'Take 2 entries into the draft' }).click();
  await expect(page.getByRole('list', { name: 'Synonyms' }).getByRole('listitem')).toHaveCount(2);
  await desk.trial('aquarelle');
  await expect.poll(() => desk.total()).toBeGreaterThan(10);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'To a file' }).click(),
  ]);
  const out = readFileSync((await download.path())!, 'utf8');
  expect(out).toContain('same,rubber|eraser,,on,Rubbers');
  expect(out).toContain('one way,aquarelle,watercolour,on,');
  await desk.undoAll();
});

test('a correction by hand, words passed over, and the usual ones of the language', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/vocabulary');
  await page.getByLabel('What the shopper types').fill('aquarela');
  await page.getByLabel('What is meant').fill('watercolour');
  await page.getByLabel('What is meant').press('Enter');
  await desk.trial('aquarela');
  await expect(desk.shop.getByText('instead of “aquarela”')).toBeVisible();
  await page.getByRole('button', { name: /^Add the \d+ usual English ones/ }).click();
  await expect(page.getByRole('list', { name: 'Words to pass over' }).getByRole('listitem').first()).toBeVisible();
  await expect.poll(() => desk.unpublished()).toBe(2);
  await desk.undoAll();
});

test('a price said in a search narrows it, is told, and can be taken off', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/vocabulary');
  await desk.trial('brush under 5');
  await page.getByRole('switch', { name: 'Limits of price narrow the results' }).click();
  await expect(desk.shop.getByText('Only what costs up to £5.00.')).toBeVisible();
  await desk.titles();
  const shown = await desk.shop.locator('[data-product] b.font-bold').allTextContents();
  const prices = shown.filter((text) => text.startsWith('£')).map((text) => Number(text.slice(1)));
  expect(prices.length).toBeGreaterThan(4);
  expect(prices.every((price) => price <= 5)).toBe(true);
  await desk.shop.getByRole('button', { name: 'Look for “under 5” as words' }).click();
  await expect(desk.shop.getByText('Only what costs')).toHaveCount(0);
  await desk.undoAll();
});
