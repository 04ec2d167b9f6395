import { expect, type Page } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, test } from './desk.ts';

/** Filters on the shopper's side, in a shop of its own: what is tried here is published, so it comes after the others. */
async function edit(page: Page, ...edits: { part: string; key: string; value: unknown }[]): Promise<void> {
  const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
  const answer = await page.request.post('/desk/edits', { data: { revision, edits } });
  expect(answer.ok()).toBe(true);
}
const filter = (attribute: string, to: Record<string, unknown>) => ({
  part: 'filters',
  key: `try-${attribute}-${String(to.kind)}`,
  value: { attribute, label: `Try ${String(to.kind)}`, order: 0, counts: true, valueOrder: 'count', ...to },
});

test('a phone’s drawer, a slider by keyboard, the way back, and what was preselected', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters');
  await edit(
    page,
    filter('price', { kind: 'slider' }),
    filter('category', { kind: 'tree' }),
    filter('rating', { kind: 'rating' }),
    filter('availability', {
      kind: 'yesNo',
      yes: 'In stock',
      chosen: [{ collection: null, values: ['In stock'] }],
    }),
  );
  const state = (await (await page.request.get('/desk/state')).json()) as { revision: number };
  await page.request.post('/desk/publish', { data: { revision: state.revision, note: '' } });

  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto('/shop?q=brush');
  const status = page.locator('main').getByRole('status').first();
  await expect(page.getByRole('button', { name: /Try yesNo/ })).toBeVisible();
  const inStock = await status.innerText();
  await page.getByRole('button', { name: 'Filters (1)' }).click();
  const drawer = page.getByRole('dialog', { name: 'Filters' });
  await drawer.getByRole('slider', { name: 'Try slider, from' }).focus();
  for (let press = 0; press < 5; press++) await page.keyboard.press('ArrowRight');
  await expect(drawer.getByRole('status')).not.toHaveText(`Show ${inStock}`);
  // Each press asks anew: what an answer in between promises is not what the last one does.
  await expect(drawer.locator('[aria-busy="true"]')).toHaveCount(0);
  const promised = await drawer.getByRole('status').innerText();
  expect(await seriousProblems(page)).toEqual([]);
  await drawer.getByRole('button', { name: /^Show \d+ products/ }).click();
  await expect(status).toHaveText(promised.replace('Show ', ''));
  await page.goBack();
  await expect(status).not.toHaveText(promised.replace('Show ', ''));

  await page.setViewportSize({ width: 1240, height: 800 });
  await page.goto('/shop?q=brush');
  await expect(status).toHaveText(inStock);
  await page.getByRole('button', { name: /Try yesNo/ }).click();
  await expect(page).toHaveURL(/f\.try-availability-yesNo=(&|$)/);
  await expect(status).not.toHaveText(inStock);
  const everything = await status.innerText();
  await page.reload();
  await expect(status).toHaveText(everything);
  await page.getByRole('radio', { name: /4 stars and more/ }).check();
  await expect(page.getByRole('radio', { name: 'Any try rating' })).toBeVisible();
  await page
    .getByRole('checkbox', { name: /^Watercolour brushes/ })
    .first()
    .check();
  await expect(page.getByRole('list', { name: 'Chosen filters' })).toContainText('Watercolour brushes');
  await page.getByRole('button', { name: 'Clear all' }).click();
  await expect(status).toHaveText(everything);
  await page.request.post('/desk/releases/again', { data: { number: 1 } });
});

test('a product has an address of its own: its variants, its description, and the way back to where one was', async ({
  page,
}) => {
  await page.goto('/shop?q=watercolour');
  const tenth = page.locator('[data-product] h2 button').nth(15);
  const title = await tenth.innerText();
  await tenth.scrollIntoViewIfNeeded();
  const place = await page.evaluate(() => window.scrollY);
  expect(place).toBeGreaterThan(0);
  await tenth.click();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  expect(await page.evaluate(() => window.scrollY)).toBe(0);
  const variants = page.getByRole('article').getByRole('radio');
  expect(await variants.count()).toBeGreaterThan(1);
  await variants.last().check();
  // The address alone shows the same, to anybody.
  const address = page.url();
  expect(address).toContain('/shop/products/');
  await page.reload();
  await expect(page.getByRole('heading', { level: 1, name: title })).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('heading', { level: 1, name: 'Results for “watercolour”' })).toBeVisible();
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBe(place);
  await page.goto('/shop/products/nobody');
  await expect(page.getByRole('alert')).toContainText('This product is not in the shop.');
  await page.getByRole('link', { name: 'Back to the results' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Everything in the shop' })).toBeVisible();
});

test('an article opens; a search on a collection’s page stays in it, with a way out', async ({ page }) => {
  await page.goto('/shop?q=how to choose a gouache');
  await page.getByRole('region', { name: 'To read' }).getByRole('link').first().click();
  await expect(page).toHaveURL(/\/shop\/articles\//);
  await expect(page.getByRole('article')).toContainText('Start with one good thing');
  await page.goto('/shop?q=brushes');
  await page.getByRole('navigation', { name: 'Collections' }).getByRole('button', { name: 'Brushes' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Brushes' })).toBeVisible();
  await page.getByRole('combobox', { name: 'Search the shop' }).fill('round');
  await page.getByRole('combobox', { name: 'Search the shop' }).press('Enter');
  await expect(page.getByText('In the collection Brushes.')).toBeVisible();
  const inside = await page.getByRole('status').filter({ hasText: 'product' }).innerText();
  await page.getByRole('button', { name: 'Look everywhere' }).click();
  await expect(page.getByText('In the collection Brushes.')).toHaveCount(0);
  await expect(page.getByRole('status').filter({ hasText: 'product' })).not.toHaveText(inside);
});

test('a shopper reads the shop in the language of its choice, with the merchandiser’s own words in it', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/words');
  const own = page.getByLabel('Your own words for: Sort by');
  await own.fill('Order {by}');
  await own.press('Enter');
  await expect(page.getByText('Not saved. There is no {by} here.')).toBeVisible();
  await own.fill('In the order');
  await own.press('Enter');
  await expect(desk.shop.getByText('In the order')).toBeVisible();
  expect(await desk.unpublished()).toBe(1);

  await page.goto('/shop/germany/?q=pinsel');
  await expect(page.getByRole('heading', { level: 1, name: 'Ergebnisse für „pinsel“' })).toBeVisible();
  await expect(page.locator('html')).toHaveAttribute('lang', 'de');
  await expect(page.getByText(/^\d+,\d\d\s€$/).first()).toBeVisible();
  await expect(page.getByText('Preise enthalten 19 % Steuer.')).toBeVisible();
});

test('results stand in rows and go on below each other; the way back leads to the place one left', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page');
  await page.getByRole('combobox', { name: 'Products stand as' }).selectOption('list');
  await page.getByRole('spinbutton', { name: 'Products shown at once' }).fill('12');
  await page.getByRole('spinbutton', { name: 'Products shown at once' }).press('Enter');
  await page.getByRole('combobox', { name: 'What follows the products shown at once' }).selectOption('button');
  await desk.trial('brush');
  const products = desk.shop.locator('[data-product]');
  await expect(products).toHaveCount(12);
  const [first, second] = [await products.nth(0).boundingBox(), await products.nth(1).boundingBox()];
  expect(second!.y).toBeGreaterThan(first!.y);
  await desk.shop.getByRole('button', { name: 'Show more' }).click();
  await expect(products).toHaveCount(24);
  await page.getByRole('button', { name: 'Publish…' }).click();
  await page.getByRole('button', { name: 'Publish to shoppers' }).click();
  // Shoppers have it once the dialog is gone.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(() => desk.unpublished()).toBe(0);

  await page.goto('/shop/main/?q=brush');
  // A picture is whole within its place, however wide that is.
  const picture = page.locator('[data-product] img').first();
  const [shown, room] = [await picture.boundingBox(), await picture.locator('..').boundingBox()];
  expect(shown!.y + shown!.height).toBeLessThanOrEqual(room!.y + room!.height);
  await page.getByRole('button', { name: 'Show more' }).click();
  await expect(page.locator('[data-product]')).toHaveCount(24);
  const last = page.locator('[data-product]').nth(20);
  await last.scrollIntoViewIfNeeded();
  const place = await page.evaluate(() => window.scrollY);
  await last.getByRole('heading').getByRole('button').click();
  await expect(page.getByRole('button', { name: 'Put in basket' })).toBeVisible();
  await page.goBack();
  await expect(page.locator('[data-product]')).toHaveCount(24);
  await expect.poll(() => page.evaluate(() => window.scrollY)).toBe(place);
  await page.goto('/shop/main/?q=brush&page=2');
  await expect(page.getByText(/^24 of \d+ products$/)).toBeVisible();
});
