import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

const working = 'Working out what the others would change now';

test('an accepted proposal is gone at once, and comes back when it is taken back', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/proposals');
  const accept = page.getByRole('button', { name: /^Accept : / });
  await expect(accept.first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(working)).toBeHidden({ timeout: 30_000 });
  const title = await page
    .getByRole('listitem')
    .filter({ has: accept })
    .first()
    .getByRole('paragraph')
    .first()
    .innerText();
  const before = await accept.count();
  const own = page.getByRole('button', { name: `Accept : ${title}`, exact: true });
  await accept.first().press('Enter');
  await expect(own).toHaveCount(0);
  // By keyboard one goes on with the next.
  await expect(accept.first()).toBeFocused();
  await expect.poll(() => desk.unpublished()).toBe(1);
  // What is left is worked out anew; what was accepted does not come back with it.
  await expect(page.getByText(working)).toBeHidden({ timeout: 30_000 });
  await expect(own).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: / }).click();
  await expect(own).toHaveCount(1, { timeout: 30_000 });
  await expect(accept).toHaveCount(before, { timeout: 30_000 });
});

test('a declined proposal is gone at once, and can be shown again', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/proposals');
  const decline = page.getByRole('button', { name: /^Decline : / });
  await expect(decline.first()).toBeVisible({ timeout: 30_000 });
  await expect(page.getByText(working)).toBeHidden({ timeout: 30_000 });
  const title = await page
    .getByRole('listitem')
    .filter({ has: decline })
    .first()
    .getByRole('paragraph')
    .first()
    .innerText();
  const own = page.getByRole('button', { name: `Decline : ${title}`, exact: true });
  await decline.first().click();
  await expect(own).toHaveCount(0);
  const again = page.getByRole('button', { name: 'Show 1 declined proposal again' });
  await again.click();
  await expect(own).toHaveCount(1, { timeout: 30_000 });
  await expect(again).toHaveCount(0);
});
