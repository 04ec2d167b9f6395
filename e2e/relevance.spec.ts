import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

const prices = (texts: readonly string[]): number[] =>
  texts.filter((text) => text.startsWith('£')).map((text) => Number(text.slice(1).replace(',', '')));

test('a weight shows its effect on the searches made most, and a search named there can be tried', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await expect(page.getByRole('complementary', { name: 'Effect on shoppers’ searches' })).toHaveCount(0);
  const brand = page.getByLabel('Exact weight of Brand');
  await brand.fill('10');
  await brand.press('Enter');
  const strip = page.getByRole('complementary', { name: 'Effect on shoppers’ searches' });
  await expect(strip).toContainText('Brand counts 10 instead of 5.');
  await expect(strip).toContainText(/Changes the first page of \d+ of the 200 most frequent searches/);
  const named = strip.getByRole('list').getByRole('button').first();
  const search = await named.innerText();
  await named.click();
  await expect(desk.shop.getByRole('heading', { level: 1, name: `Results for “${search}”` })).toBeVisible();
  await desk.titles();
  // What the strip says of that search shows in the window: something there has moved.
  await expect(desk.shop.getByRole('button', { name: /^Place \d+, (up|down|new here)/ }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Undo: Brand counts 10/ }).click();
  await expect(strip).toHaveCount(0);
});

test('how words are found in an attribute: only whole values, from the keyboard', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('watercolour');
  // Title alone is read, and only where all of it is said.
  const { revision, setup } = await (await page.request.get('/desk/state')).json();
  const edits = Object.keys(setup.attributes)
    .filter((key) => key !== 'title')
    .map((key) => ({ part: 'attributes', key, value: { ...setup.attributes[key], searchable: false } }));
  await page.request.post('/desk/edits', { data: { revision, edits } });
  await page.reload();
  await desk.titles();
  const before = await desk.total();
  const more = page.getByRole('button', { name: 'How words are found in Title' });
  await more.focus();
  await page.keyboard.press('Enter');
  await page.getByRole('switch', { name: 'Only whole values count in Title' }).focus();
  await page.keyboard.press('Space');
  await expect(page.getByText('whole values only')).toBeVisible();
  await expect.poll(() => desk.total()).toBeLessThan(before);
  for (const title of await desk.titles()) expect(title.toLowerCase()).toMatch(/^watercolours?$/);
});

test('tie-breakers tell which places they decide, here and in the searches made most', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('ultramarine');
  await expect(page.getByText(/^Decides places in \d+ of the 200 most frequent searches\./).first()).toBeVisible();
  await page.getByLabel('Add a tie-breaker').selectOption({ label: 'Margin' });
  await page.getByRole('button', { name: 'Take Units sold off' }).click();
  await page.getByRole('button', { name: 'Take Rating off' }).click();
  const margin = page.locator('dl').filter({ hasText: 'Margin' });
  await expect(margin).toContainText(/places? \d/);
  // The margins that decided are reported with the product itself, in the order in which they stand.
  await desk.choose(2, 'Why here?');
  await expect(page.getByRole('dialog')).toContainText(/Margin \d/);
  await page.keyboard.press('Escape');
  await page.getByLabel('Add a tie-breaker').selectOption({ label: 'Newness by Date added' });
  const half = page.getByLabel('Days in which Newness by Date added halves');
  await half.fill('30');
  await half.press('Enter');
  await expect(page.getByRole('complementary', { name: 'Effect on shoppers’ searches' })).toContainText(
    'Tie-breakers are now: Availability, Margin, Date added.',
  );
});

test('sold out stands after everything in stock, or not at all, place by place', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('brush');
  const before = await desk.total();
  const soldOut = desk.shop.locator('[data-product]').filter({ hasText: 'Sold out' });
  await page.getByLabel('In search results, what is sold out stands').selectOption('after everything in stock');
  await expect(soldOut).toHaveCount(0);
  expect(await desk.total()).toBe(before);
  await page.getByLabel('In search results, what is sold out stands').selectOption('not at all');
  await expect.poll(() => desk.total()).toBeLessThan(before);
});

test('the sorting menu is the merchandiser’s, and sorts by the prices on the cards', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('round brush');
  const name = page.getByLabel('Name of the order Price, low to high');
  await name.fill('Cheapest');
  await name.press('Enter');
  await page.getByRole('button', { name: 'Take the order Newest off the menu' }).click();
  const menu = desk.shop.getByLabel('Sort by');
  await expect(menu.locator('option', { hasText: 'Newest' })).toHaveCount(0);
  await menu.selectOption({ label: 'Cheapest' });
  await expect
    .poll(async () => {
      await desk.titles();
      const shown = prices(await desk.shop.locator('[data-product] b.font-bold').allTextContents());
      return shown.length > 4 && shown.every((price, at) => at === 0 || price >= shown[at - 1]!);
    })
    .toBe(true);
});

test('a shopper’s box offers products while typing; a part number leads straight to its product', async ({ page }) => {
  await page.goto('/shop');
  const box = page.getByRole('combobox', { name: 'Search the shop' });
  await box.fill('kolinsky bru');
  const offered = page.getByRole('listbox').getByRole('group', { name: 'Products' }).getByRole('option');
  await expect(offered.first()).toBeVisible();
  const title = await offered.first().locator('span.font-shop').innerText();
  await expect(async () => {
    await box.press('ArrowDown');
    await expect(offered.first()).toHaveAttribute('aria-selected', 'true', { timeout: 100 });
  }).toPass();
  await box.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();

  const found = await (await page.request.get('/shop/search?q=gouache&limit=1')).json();
  const { sku, title: named } = found.results[0] as { sku: string; title: string };
  await box.fill(sku.replaceAll('-', ' ').toLowerCase());
  await box.press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: named })).toBeVisible();
});

test('every screen whose edits move results shows the effect, and which searches find fewer products', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/vocabulary/values');
  await page.getByLabel('A value of Kind in a search').selectOption('narrows the results');
  const strip = page.getByRole('complementary', { name: 'Effect on shoppers’ searches' });
  await expect(strip).toContainText(/find fewer products/);
  await expect(strip.getByText(/\d+ to \d+ products?$/).first()).toBeVisible();
  await strip.getByRole('button', { name: 'Hide which searches change' }).click();
  await expect(strip.getByRole('list')).toHaveCount(0);
  await page.getByRole('link', { name: 'Hiding' }).click();
  await expect(strip).toBeVisible();
  await page.getByRole('link', { name: 'Releases' }).click();
  await expect(strip).toHaveCount(0);
});
