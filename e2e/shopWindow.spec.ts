import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

test('desktop and phone stand side by side, light or dark, and both follow every edit', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/results-page');
  await desk.trial('gouache');
  await page.getByRole('radio', { name: 'Desktop and phone' }).click();
  const phone = page.frameLocator('iframe[title="The shop on a phone"]');
  const heading = 'Results for “gouache”';
  await expect(phone.getByRole('heading', { name: heading })).toBeVisible();
  const widthOf = (frame: typeof phone) => frame.locator('html').evaluate(() => innerWidth);
  expect([await widthOf(desk.shop), await widthOf(phone)]).toEqual([1240, 390]);
  const theme = (frame: typeof phone) => frame.locator('html').getAttribute('data-theme');
  await page.getByRole('button', { name: 'See the shop dark' }).click();
  await expect.poll(async () => [await theme(desk.shop), await theme(phone)]).toEqual(['dark', 'dark']);
  await expect(page.locator('html')).toHaveAttribute('data-theme', 'light');
  await page.getByRole('button', { name: 'See the shop light' }).click();
  await expect.poll(async () => [await theme(desk.shop), await theme(phone)]).toEqual(['light', 'light']);
  await page.getByRole('spinbutton', { name: 'Products shown at once' }).fill('5');
  await page.keyboard.press('Tab');
  for (const frame of [desk.shop, phone]) await expect(frame.locator('[data-product]')).toHaveCount(5);
  // A search in one of them is the trial search of all.
  await phone.getByRole('combobox', { name: 'Search the shop' }).fill('easel');
  await phone.getByRole('combobox', { name: 'Search the shop' }).press('Enter');
  await expect(desk.shop.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
});
