import { expect } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, test } from './desk.ts';

/** Storefront filters as the merchandiser makes them and the shopper uses them. */

test('a proposed filter is added, its shades joined into colours, and shoppers narrow by one', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters');
  await desk.trial('acrylic');
  await expect(page.getByText(/Useful in \d+ of the 60 most frequent searches/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Add Colour as a filter' }).click();
  await page.getByRole('link', { name: /^Colour/ }).click();
  await expect(page.getByText(/12 groups proposed/)).toBeVisible();
  await page.getByRole('button', { name: 'Use them' }).click();
  const colour = desk.shop.getByRole('button', { name: 'Colour', exact: true });
  await colour.click();
  const red = desk.shop.getByRole('button', { name: /^Red, \d+ products/ });
  const products = Number((await red.getAttribute('aria-label'))!.match(/\d+/)![0]);
  await red.click();
  await expect(desk.shop.locator('main').getByRole('status')).toHaveText(`${products} products`);
  await page.keyboard.press('Escape');

  // What shoppers see changes with the group, beside the editor.
  await page.getByRole('link', { name: 'Open the groups' }).click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Colour, grouped');
  await page.getByRole('button', { name: 'Remove the group Red' }).click();
  await expect(page.getByRole('heading', { name: /In no group/ })).toBeVisible();
  await expect(page.getByLabel('Group for Red', { exact: true })).toBeVisible();
  await page.getByRole('textbox', { name: 'Name of a new group' }).fill('Warm');
  await page.keyboard.press('Enter');
  await page.getByLabel('Group for Red', { exact: true }).selectOption('Warm');
  await page.getByLabel('Values in no group', { exact: true }).first().selectOption('together');
  await expect(page.getByRole('textbox', { name: 'Name of the group Warm' })).toBeVisible();
  expect(await seriousProblems(page)).toEqual([]);
});

test('a filter’s page: order of values, hidden values, help and what it waits for show at once', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters/brand');
  await desk.trial('brush');
  const values = page.getByRole('region', { name: 'Values', exact: true }).getByRole('listitem');
  await expect(values.first()).toBeVisible();
  const first = (await values.first().locator('span').first().innerText()).trim();
  await page.getByRole('button', { name: `Do not list ${first}`, exact: true }).click();
  await expect(page.getByRole('button', { name: `List ${first} again` })).toBeVisible();
  await desk.shop.getByRole('button', { name: 'Brand', exact: true }).click();
  await expect(desk.shop.getByRole('checkbox', { name: new RegExp(`^${first}`) })).toHaveCount(0);
  await page.keyboard.press('Escape');
  await page.getByRole('textbox', { name: 'Help text' }).fill('Who makes it');
  await page.keyboard.press('Enter');
  await desk.shop.getByRole('button', { name: 'Brand', exact: true }).click();
  await expect(desk.shop.getByText('Who makes it')).toBeVisible();
  await page.keyboard.press('Escape');

  await page.getByLabel('The filter that must have a choice first').selectOption({ label: 'Kind' });
  await expect(page.getByText('it waits for another filter')).toBeVisible();
  await expect(desk.shop.getByRole('button', { name: 'Brand', exact: true })).toHaveCount(0);
  await desk.shop.getByRole('button', { name: 'Kind', exact: true }).click();
  await desk.shop.getByRole('dialog', { name: 'Kind' }).getByRole('checkbox').first().click();
  await expect(desk.shop.getByRole('button', { name: 'Brand', exact: true })).toBeVisible();
});

test('own ranges: proposed at round numbers, moved from the keyboard, counted right', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters/price');
  await desk.trial('brush');
  await page.getByLabel('Kind', { exact: true }).selectOption({ label: 'Own ranges' });
  await page.getByRole('button', { name: 'Round numbers' }).click();
  const end = page.getByRole('slider', { name: /^End 1 of/ });
  const before = Number(await end.getAttribute('aria-valuenow'));
  await end.focus();
  await page.keyboard.press('ArrowRight');
  await expect(end).not.toHaveAttribute('aria-valuenow', String(before));
  const now = Number(await end.getAttribute('aria-valuenow'));
  await desk.shop.getByRole('button', { name: 'Price', exact: true }).click();
  const least = desk.shop.getByRole('checkbox', { name: new RegExp(`^Under £${now}`) });
  await least.click();
  await expect(desk.shop.locator('main').getByRole('status')).not.toHaveText('245 products');
  const prices = await desk.shop.locator('[data-product]').getByText(/^£/).allTextContents();
  expect(prices.length).toBeGreaterThan(0);
});

test('shoppers who choose another language read its names', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters');
  await page.getByRole('checkbox', { name: 'German' }).check();
  await desk.trial('brush');
  await page.getByRole('link', { name: /^Kind/ }).click();
  await page.getByRole('textbox', { name: 'Label in German' }).fill('Art');
  await page.keyboard.press('Enter');
  await page
    .getByRole('textbox', { name: /brush in German$/i })
    .first()
    .fill('Pinsel');
  await page.keyboard.press('Enter');
  await desk.shop.getByLabel('Language').selectOption('German');
  await desk.shop.getByRole('button', { name: 'Art', exact: true }).click();
  await expect(desk.shop.getByRole('checkbox', { name: /^Pinsel/ })).toBeVisible();
});

test('a new search drops what was chosen, or keeps it where the shop says so', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters');
  await desk.trial('brush');
  const chips = desk.shop.getByRole('list', { name: 'Chosen filters' });
  const chooseFirst = async () => {
    await desk.shop.getByRole('button', { name: 'Availability', exact: true }).click();
    await desk.shop.getByRole('radio', { name: /^In stock/ }).click();
    await page.keyboard.press('Escape');
    await expect(chips).toContainText('In stock');
  };
  await chooseFirst();
  await desk.trial('paint');
  await expect(chips).toHaveCount(0);
  await page.getByRole('switch', { name: 'A new search keeps the filters that were chosen' }).click();
  await expect(page.getByText('1 change not published')).toBeVisible();
  await chooseFirst();
  await desk.titles();
  await desk.trial('brush');
  await expect(chips).toContainText('In stock');
});

test('a filter is shown only where most of what is found meets a condition', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters/material');
  await desk.trial('sketchbook');
  const filter = desk.shop.getByRole('button', { name: 'Material' });
  await expect(filter).toBeVisible();
  await page.getByRole('button', { name: 'Say what' }).click();
  await page.getByLabel('What is asked about').selectOption('Category');
  await page.getByRole('button', { name: 'Choose a value' }).click();
  await page.getByPlaceholder('Type a value').fill('Brushes');
  await page
    .getByRole('option', { name: /^Brushes \d/, disabled: false })
    .first()
    .click();
  await page.keyboard.press('Escape');
  await expect(filter).toHaveCount(0);
  await desk.trial('round brush');
  await expect(filter).toBeVisible();
  await desk.trial('sketchbook');
  await expect(filter).toHaveCount(0);
  // Whoever takes it away by keyboard goes on where it is begun again.
  await page.getByRole('button', { name: 'Ask for nothing of the results' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Say what' })).toBeFocused();
  await expect(filter).toBeVisible();
});
