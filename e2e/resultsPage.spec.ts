import { expect } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, publishOnce, test } from './desk.ts';

test('articles on a tab, collections between the products and a block within a collection are seen in the window and by shoppers', async ({
  page,
  context,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/content');
  await desk.trial('watercolour');
  await page.getByLabel('Where articles stand').selectOption('tab');
  await page.getByLabel('Where collections stand').selectOption('between');
  await page.getByRole('button', { name: 'Choose a collection' }).click();
  await page.getByRole('dialog').getByRole('option', { name: 'Brushes', exact: true }).click();
  await expect(desk.shop.getByRole('region', { name: 'watercolour in Brushes' })).toBeVisible();
  await desk.shop.getByRole('link', { name: /^Articles/ }).click();
  await expect(desk.shop.getByRole('heading', { name: 'To read' })).toBeVisible();
  await expect(desk.shop.locator('[data-product]')).toHaveCount(0);
  await desk.shop.getByRole('link', { name: /^Products/ }).click();
  await expect(desk.shop.locator('[data-product]').first()).toBeVisible();

  await publishOnce(page.request, 'resultsPage', { besides: { articles: { where: 'tab' } } });
  const shop = await context.newPage();
  await shop.goto('/shop/main?q=watercolour');
  // What stands between the products has their whole width.
  const products = shop.locator('ol > li[data-product]');
  const between = shop.locator('ol > li:not([data-product])').filter({ has: shop.getByRole('navigation') });
  await expect(between).toHaveCount(1);
  const [row, first] = [await between.boundingBox(), await products.first().boundingBox()];
  expect(row!.width).toBeGreaterThan(first!.width * 2);
  expect(await seriousProblems(shop)).toEqual([]);
  await shop.setViewportSize({ width: 360, height: 800 });
  expect(await shop.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await shop.getByRole('link', { name: /^All \d+ in Brushes$/ }).click();
  await expect(shop).toHaveURL(/q=watercolour/);
  await expect(shop).toHaveURL(/collection=brushes/);
  await shop.goBack();
  await shop.getByRole('link', { name: /^Articles/ }).click();
  await expect(shop).toHaveURL(/show=articles/);
  await shop.reload();
  await expect(shop.getByRole('heading', { name: 'To read' })).toBeVisible();
});

test('before any search chosen products stand first, or all are shuffled for the day', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page');
  await desk.trial('');
  const usual = await desk.titles();
  const lead = page.getByLabel('What stands first before any search');
  await lead.selectOption('products');
  await page.getByRole('button', { name: 'Choose the first product' }).click();
  await page.getByPlaceholder('Type what the product is called, or its SKU').fill('easel lamp');
  await page
    .getByRole('option', { name: /Easel lamp/ })
    .first()
    .click();
  await expect.poll(async () => (await desk.titles())[0]).toMatch(/Easel lamp/);
  expect((await desk.titles())[1]).toBe(usual[0]);
  await lead.selectOption('shuffle');
  await expect.poll(async () => (await desk.titles()).join()).not.toMatch(/^Easel lamp/);
  const shuffled = await desk.titles();
  expect(shuffled).not.toEqual(usual);
  await page.reload();
  await expect.poll(() => desk.titles()).toEqual(shuffled);
  // The first products only: no way on to the rest.
  await expect(desk.shop.getByRole('navigation', { name: 'Pages' })).toBeVisible();
  await page.getByLabel('What a search without words does').selectOption('first');
  await expect(desk.shop.getByRole('navigation', { name: 'Pages' })).toBeHidden();
  await lead.selectOption('');
  await expect.poll(() => desk.titles()).toEqual(usual);
});

test('pieces of the page are put in order by keyboard, and taken off it', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page/page');
  await desk.trial('sketchbook');
  const { shop } = desk;
  const sorting = shop.getByRole('combobox', { name: 'Sort by' });
  const firstCard = shop.getByRole('article').or(shop.locator('[part="card"]')).first();
  // A page that is being drawn anew has neither for a moment.
  const isAbove = async (): Promise<boolean | undefined> => {
    const [menu, card] = [await sorting.boundingBox(), await firstCard.boundingBox()];
    return menu && card ? menu.y < card.y : undefined;
  };
  await expect.poll(isAbove).toBe(true);
  const pieces = page.getByRole('list', { name: 'Pieces of the results page, in order' });
  await pieces.getByRole('button', { name: 'Move the sorting menu' }).focus();
  await page.keyboard.press('Space');
  for (let steps = 0; steps < 6; steps++) await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect.poll(isAbove).toBe(false);
  await pieces.getByRole('switch', { name: 'How many products there are on the results page' }).click();
  await expect(shop.getByText('58 products')).toBeHidden();
  // Whoever hears the page still hears what it is about.
  await pieces.getByRole('switch', { name: 'What was searched for on the results page' }).click();
  await expect(shop.locator('h1.sr-only')).toHaveText('Results for “sketchbook”');
  await expect(pieces.getByRole('switch', { name: /^Products/ })).toHaveCount(0);
});

test('a rating is told with how many there are', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page/card');
  await desk.trial('sketchbook');
  await expect(desk.shop.locator('[part="rating"]').first()).toBeVisible();
  await expect(desk.shop.locator('[part="ratings"]')).toHaveCount(0);
  await page.getByRole('switch', { name: 'How many ratings there are' }).click();
  await expect(desk.shop.locator('[part="ratings"]').first()).toHaveText(/^\d+ ratings?\(\d+\)$/);
  await expect(page.getByText('Ratings are told with how many there are').first()).toBeVisible();
});

test('products that meet a condition have a card of their own', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page/card');
  await desk.trial('sketchbook');
  const cards = desk.shop.locator('[part="card"]');
  const rated = cards.filter({ has: desk.shop.locator('[part="rating"]') });
  const ofTheMill = cards.filter({ hasText: 'Coldwater Mill' });
  await expect(ofTheMill.filter({ has: desk.shop.locator('[part="rating"]') }).first()).toBeVisible();
  await page.getByRole('button', { name: 'Another card for some products …' }).click();
  await page.getByLabel('What the new card is called').fill('The mill’s');
  await page.getByLabel('What the new card is called').press('Enter');
  await page.getByLabel('What is asked about').selectOption('Brand');
  await page.getByRole('button', { name: 'Choose a value' }).click();
  await page.getByPlaceholder('Type a value').fill('Coldwater');
  await page.getByRole('option', { name: /Coldwater Mill/ }).click();
  await page.getByRole('button', { name: 'Change The mill’s' }).click();
  await page.getByRole('button', { name: 'Take rating off the card “The mill’s”' }).click();
  await expect(ofTheMill.filter({ has: desk.shop.locator('[part="rating"]') })).toHaveCount(0);
  await expect(rated.first()).toBeVisible();
  // The usual card has its rating still.
  await expect(page.getByRole('button', { name: 'Take rating off cards' })).toBeVisible();
});
