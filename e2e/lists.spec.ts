import { expect } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { publishOnce, test } from './desk.ts';

test('shoppers keep a wish list and compare a few products, and find both again', async ({ page, request }) => {
  const { revision, setup } = (await (await request.get('/desk/state')).json()) as {
    revision: number;
    setup: { resultsPage: { card: { pieces: { piece: string; on: boolean }[] } } };
  };
  const { card } = setup.resultsPage;
  const pieces = [
    ...card.pieces.filter(({ piece }) => piece !== 'wish' && piece !== 'compare'),
    { piece: 'wish', on: true },
    { piece: 'compare', on: true },
  ];
  const edits = [{ part: 'resultsPage', key: 'card', value: { ...card, pieces } }];
  expect((await request.post('/desk/edits', { data: { revision, edits } })).ok()).toBe(true);
  await publishOnce(request, 'resultsPage', { card: { pieces } });
  await page.goto('/shop/main?q=easel');
  const marks = (name: RegExp) => page.getByRole('button', { name });
  const [first, second] = [marks(/on the wish list$/).first(), marks(/^Compare /)];
  await first.click();
  await second.nth(0).click();
  await second.nth(1).click();
  await expect(page.getByRole('status', { name: 'Wish list' })).toContainText('1 product');
  await page.getByRole('status', { name: 'Compare' }).getByRole('link').click();
  await expect(page).toHaveURL(/\/lists\/compare/);
  const table = page.getByRole('table');
  await expect(table.getByRole('columnheader')).toHaveCount(2);
  await expect(table.getByRole('row', { name: /^Price £/ })).toBeVisible();
  expect(await seriousProblems(page)).toEqual([]);
  // Kept by the browser: there again when the page is opened anew.
  await page.reload();
  await table
    .getByRole('button', { name: /^Compare / })
    .first()
    .press('Enter');
  await expect(table.getByRole('columnheader')).toHaveCount(1);
  await expect(page.getByRole('region', { name: 'Compare' })).toBeFocused();
  await page.setViewportSize({ width: 360, height: 700 });
  await page.getByRole('status', { name: 'Wish list' }).getByRole('link').click();
  const wishes = page.getByRole('list', { name: 'Wish list' }).getByRole('listitem');
  await expect(wishes).toHaveCount(1);
  await wishes.getByRole('button', { name: /^Put in basket/ }).click();
  await expect(page.getByRole('status', { name: 'Basket' })).toContainText('1 thing');
  expect(await seriousProblems(page)).toEqual([]);
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(360);
  await wishes.getByRole('button', { name: /on the wish list$/ }).click();
  await page.reload();
  await expect(page.getByText('Nothing is here yet.')).toBeVisible();
});
