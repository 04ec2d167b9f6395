import { expect } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, publishOnce, test } from './desk.ts';

test('companions are chosen, kept and barred for a product, seen on its page at once, and by shoppers when published', async ({
  page,
  context,
}) => {
  const desk = deskOn(page);
  await desk.open('/companions');
  await page.getByRole('button', { name: 'Choose a product' }).click();
  await page.getByPlaceholder('Type what the product is called, or its SKU').fill('easel lamp');
  await page
    .getByRole('option', { name: /Easel lamp/ })
    .first()
    .click();
  await expect(page).toHaveURL(/\/companions\/p\d+/);
  const product = decodeURIComponent(new URL(page.url()).pathname.split('/').at(-1)!);
  const inWindow = desk.shop.getByRole('region', { name: 'Goes well with it' });
  const inShop = (of: typeof inWindow) => of.getByRole('listitem').getByRole('heading');

  await page.getByRole('button', { name: 'Choose a companion' }).click();
  await page.getByPlaceholder('Type what the product is called, or its SKU').fill('masking fluid');
  await page
    .getByRole('option', { name: /^Masking fluid/ })
    .first()
    .click();
  const byHand = page.getByRole('list', { name: 'Companions chosen by hand, in order' });
  await expect(byHand.getByRole('listitem')).toHaveCount(1);
  await expect(inShop(inWindow).first()).toContainText('Masking fluid');

  // The first of those that are worked out is kept, and stands behind it.
  const workedOut = page.getByRole('list', { name: 'Alternatives worked out' });
  await expect(workedOut).toBeVisible();
  const first = workedOut.getByRole('listitem').first();
  const nameOfFirst = async (): Promise<string> =>
    (await first.getByRole('button', { name: /by hand$/ }).getAttribute('aria-label'))!.replace(
      /^Choose (.*) by hand$/,
      '$1',
    );
  const kept = await nameOfFirst();
  await first.getByRole('button', { name: /by hand$/ }).click();
  await expect(page.getByRole('list', { name: 'Alternatives chosen by hand, in order' })).toContainText(kept);
  const next = await nameOfFirst();
  await first.getByRole('button', { name: /^Never/ }).click();
  await expect(page.getByRole('region', { name: 'Never beside it' })).toContainText(next);
  await page
    .getByRole('region', { name: 'Never beside it' })
    .getByRole('button', { name: `Let ${next} show again` })
    .click();
  await expect(page.getByRole('region', { name: 'Never beside it' })).toBeHidden();

  const shop = await context.newPage();
  await shop.goto(`/shop/main/products/${product}`);
  await expect(shop.getByRole('button', { name: 'Put in basket' })).toBeVisible();
  await expect(shop.getByRole('main')).not.toContainText('Masking fluid');
  await publishOnce(page.request, 'companions', { [product]: { never: [] } });
  await shop.reload();
  await expect(inShop(shop.getByRole('region', { name: 'Goes well with it' })).first()).toContainText('Masking fluid');

  // What goes with it stands under the basket too, and where a search finds nothing.
  await shop.getByRole('button', { name: 'Put in basket' }).click();
  await shop.getByRole('link', { name: '1 thing in your basket' }).click();
  await expect(shop).toHaveURL(/\/shop\/main\/basket/);
  await expect(shop.getByRole('region', { name: 'Goes well with it' })).toContainText('Masking fluid');
  expect(await seriousProblems(shop)).toEqual([]);
  await shop.getByRole('button', { name: /^One less of/ }).click();
  await shop.getByRole('button', { name: /^Put .* back$/ }).click();
  await shop.getByRole('combobox', { name: 'Search the shop' }).fill('qqzzxx');
  await shop.getByRole('combobox', { name: 'Search the shop' }).press('Enter');
  await expect(shop.getByRole('region', { name: 'Goes well with what you looked at' })).toContainText('Masking fluid');
  await shop.goBack();
  await expect(shop.getByRole('heading', { level: 1, name: 'Basket' })).toBeVisible();
});

test('why a product is worked out to go with another one is told, and where companions show is decided', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/companions/p0001');
  await expect(page.getByText(/^In \d+ of \d+ visits with others of its kind \(Tubes\)/).first()).toBeVisible();
  await expect(page.getByText('From the catalog: both say “watercolour”').first()).toBeVisible();
  await desk.open('/companions');
  const most = page.getByRole('spinbutton', { name: 'Companions on a product’s page, at most' });
  await most.fill('0');
  await most.press('Enter');
  await desk.open('/companions/p0001');
  await expect(page.getByText('Shoppers see none of these: the page shows 0.')).toBeVisible();
  await expect(desk.shop.getByRole('region', { name: 'Similar products' })).toBeVisible();
  await expect(desk.shop.getByRole('region', { name: 'Goes well with it' })).toBeHidden();
});
