import { expect, type Page } from '@playwright/test';
import { deskOn, test } from './desk.ts';

/** Said while what is proposed is worked out, the first time or anew. */
const working = /^Working out what/;

/** What is proposed, once it is worked out: the buttons that say `word`, and the title of the first row that has one. */
async function firstOf(page: Page, word: 'Accept' | 'Decline') {
  const buttons = page.getByRole('button', { name: new RegExp(`^${word} : `) });
  await expect(buttons.first()).toBeVisible({ timeout: 60_000 });
  await expect(page.getByText(working)).toBeHidden({ timeout: 60_000 });
  const row = page.getByRole('listitem').filter({ has: buttons }).first();
  return { buttons, title: await row.getByRole('paragraph').first().innerText() };
}

test('an accepted proposal is gone at once, and comes back when it is taken back', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/proposals');
  const { buttons: accept, title } = await firstOf(page, 'Accept');
  const before = await accept.count();
  const own = page.getByRole('button', { name: `Accept : ${title}`, exact: true });
  await accept.first().press('Enter');
  await expect(own).toHaveCount(0);
  // By keyboard one goes on with the next.
  await expect(accept.first()).toBeFocused();
  await expect.poll(() => desk.unpublished()).toBe(1);
  // What is left is worked out anew; what was accepted does not come back with it.
  await expect(page.getByText(working)).toBeHidden({ timeout: 60_000 });
  await expect(own).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(own).toHaveCount(1, { timeout: 60_000 });
  await expect(accept).toHaveCount(before, { timeout: 60_000 });
});

test('a declined proposal is gone at once, and can be shown again', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/proposals');
  const { buttons: decline, title } = await firstOf(page, 'Decline');
  const own = page.getByRole('button', { name: `Decline : ${title}`, exact: true });
  await decline.first().click();
  await expect(own).toHaveCount(0);
  const again = page.getByRole('button', { name: 'Show 1 declined proposal again' });
  await again.click();
  await expect(own).toHaveCount(1, { timeout: 60_000 });
  await expect(again).toHaveCount(0);
});
