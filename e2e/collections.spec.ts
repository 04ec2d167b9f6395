import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

test('a collection is made by a rule, put in order, given dates, and found; then made by hand', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/content');
  await page.getByRole('button', { name: 'New collection' }).click();
  await page.getByLabel('What is it called?').fill('Cheap brushes');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Collection Cheap brushes' })).toBeAttached();
  await expect(desk.shop.getByRole('heading', { level: 1, name: 'Cheap brushes' })).toBeVisible();

  await page.getByLabel('How the collection is made').selectOption('rule');
  await page.getByLabel('What is asked about').selectOption('kind');
  await page.getByRole('button', { name: 'Choose a value' }).click();
  await page.getByPlaceholder('Type a value').fill('Brush');
  // Another option of that name is in the list of collections.
  await page
    .locator('[cmdk-item]')
    .filter({ hasText: /^Brush/ })
    .first()
    .click();
  await expect.poll(() => desk.total()).toBeGreaterThan(20);
  await page.getByLabel('What its page is ordered by').selectOption('price');
  await page.getByLabel('Which end comes first').selectOption('low');
  await expect(desk.shop.locator('[data-product]').first()).toBeVisible();
  const prices = async (): Promise<number[]> =>
    (await desk.shop.locator('[data-product] b').allInnerTexts())
      .filter((text) => text.startsWith('£'))
      .map((text) => Number(text.slice(1)));
  const isSorted = (list: readonly number[]): boolean =>
    list.length > 2 && list.every((amount, at) => at === 0 || list[at - 1]! <= amount);
  await expect.poll(async () => isSorted(await prices())).toBe(true);

  await desk.trial('cheap brushes');
  await expect(desk.shop.getByText('In the collection Cheap brushes.')).toBeVisible();
  await page.getByRole('button', { name: 'Leave the collection Cheap brushes' }).click();
  await expect(desk.shop.getByRole('button', { name: 'Cheap brushes', exact: true })).toBeVisible();
  await page.getByLabel('First day of the collection', { exact: true }).fill('2031-05-01');
  await expect(desk.shop.getByRole('button', { name: 'Cheap brushes', exact: true })).toHaveCount(0);
  await page.getByLabel('First day of the collection', { exact: true }).fill('');
  await expect(desk.shop.getByRole('button', { name: 'Cheap brushes', exact: true })).toBeVisible();

  await page.getByLabel('How the collection is made').selectOption('hand');
  await expect(page.getByText(/more, which the board shows/)).toBeVisible();
  const list = page.getByRole('list', { name: 'Products of the collection' });
  await expect(list.getByRole('listitem').nth(1)).toContainText('variant');
  const second = await list.getByRole('listitem').nth(1).innerText();
  await list
    .getByRole('button', { name: /^Move / })
    .nth(1)
    .focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect(list.getByRole('listitem').first()).toHaveText(second, { useInnerText: true });
});

test('an imported collection keeps what is decided here, and is given back as it was imported', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/content/collections/papers');
  await page.getByLabel('Title of the collection').fill('Fine papers');
  await page.keyboard.press('Enter');
  await expect(desk.shop.getByRole('heading', { level: 1, name: 'Fine papers' })).toBeVisible();
  await page.getByLabel('The collection it stands below').selectOption('sketchbooks');
  await expect(desk.shop.getByRole('navigation', { name: 'Where this collection belongs' })).toContainText(
    'Sketchbooks',
  );
  await page.getByLabel('Picture of the collection', { exact: true }).fill('javascript:alert(1)');
  await page.keyboard.press('Enter');
  await expect(page.getByText('An address begins with https:// or with a slash').first()).toBeVisible();
  await page.getByRole('button', { name: 'As imported again' }).click();
  await expect(desk.shop.getByRole('heading', { level: 1, name: 'Papers' })).toBeVisible();
  expect(await desk.unpublished()).toBe(0);
});

test('an article is written with headings and lists, found by its words, and read as it was written', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/content');
  await page.getByRole('button', { name: 'New article' }).click();
  await page.getByLabel('What is it called?').fill('Washing brushes');
  await page.keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Text of “Washing brushes”' }).click();
  await page.keyboard.type('Never in hot water.');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'List', exact: true }).click();
  await page.keyboard.type('Olive soap');
  // The window shows its page while it is written, goes to the search that is asked for, and comes back.
  await expect(desk.shop.getByRole('heading', { name: 'Washing brushes' })).toBeVisible();
  await expect(desk.shop.getByRole('listitem').filter({ hasText: 'Olive soap' })).toBeVisible();
  await page.getByRole('button', { name: 'Search for its title' }).click();
  await expect(desk.shop.getByRole('heading', { name: 'Results for “Washing brushes”' })).toBeVisible();
  await page.getByRole('button', { name: 'Show its page' }).click();
  await expect(desk.shop.getByRole('heading', { name: 'Washing brushes', exact: true })).toBeVisible();
  await page.getByRole('link', { name: 'All collections and articles' }).click();
  await expect(desk.shop.getByRole('heading', { name: 'Results for “Washing brushes”' })).toBeVisible();
  await desk.trial('olive soap');
  await desk.shop.getByRole('link', { name: 'Washing brushes' }).click();
  await expect(desk.shop.getByRole('listitem').filter({ hasText: 'Olive soap' })).toBeVisible();
});
