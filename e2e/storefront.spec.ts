import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';
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

test('a phone’s drawer, a slider by keyboard, the way back, and what was chosen beforehand', async ({ page }) => {
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
  const { violations } = await new AxeBuilder({ page }).analyze();
  expect(violations.filter(({ impact }) => impact === 'serious' || impact === 'critical')).toEqual([]);
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
  await page.getByRole('checkbox', { name: /^Watercolour brushes/ }).check();
  await expect(page.getByRole('list', { name: 'Chosen filters' })).toContainText('Watercolour brushes');
  await page.getByRole('button', { name: 'Clear all' }).click();
  await expect(status).toHaveText(everything);
  await page.request.post('/desk/releases/again', { data: { number: 1 } });
  await desk.undoAll();
});
