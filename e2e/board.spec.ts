import { expect, type Page } from '@playwright/test';
import { deskOn, test } from './desk.ts';

const cards = (page: Page) => page.locator('main [data-product]');
const order = (page: Page): Promise<string[]> =>
  cards(page).evaluateAll((all) => all.map((card) => (card as HTMLElement).dataset.product!));

test('on a plan’s board several cards are put in place by mouse, by keyboard, sorted and taken off', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans/christmas/board', { folded: true });
  await page.goto('/plans');
  await page.getByRole('button', { name: /^(Plan for|New plan)/ }).click();
  await page.getByRole('textbox', { name: 'Searches of this plan' }).fill('easel');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Board' }).click();
  await page.getByRole('button', { name: 'easel', exact: true }).click();
  await expect.poll(() => cards(page).count()).toBeGreaterThan(8);
  const before = await order(page);

  // With the mouse: the sixth card to the second place.
  const [from, to] = [await cards(page).nth(5).boundingBox(), await cards(page).nth(1).boundingBox()];
  await page.mouse.move(from!.x + 50, from!.y + 60);
  await page.mouse.down();
  await page.mouse.move(from!.x + 40, from!.y + 50, { steps: 4 });
  await page.mouse.move(to!.x + 50, to!.y + 60, { steps: 8 });
  await page.mouse.up();
  await expect.poll(() => order(page)).toEqual([before[0], before[5], ...before.slice(1, 5), ...before.slice(6)]);
  await expect(cards(page).nth(1)).toContainText('pinned');

  // With the keyboard: two chosen, and put where the field says.
  const moved = await order(page);
  await cards(page).nth(3).getByRole('button').focus();
  for (const key of ['Space', 'ArrowRight', 'Space']) await page.keyboard.press(key);
  await expect(page.getByText('2 products chosen')).toBeVisible();
  await page.getByRole('button', { name: 'Put at place 1' }).click();
  await expect.poll(async () => (await order(page)).slice(0, 2)).toEqual([moved[3], moved[4]]);
  // And with the alt key a card goes along.
  await page.getByRole('button', { name: 'Choose none' }).click();
  const third = (await order(page))[2]!;
  await page.locator(`main [data-product="${third}"] button`).focus();
  await page.keyboard.press('Alt+ArrowLeft');
  await expect.poll(async () => (await order(page))[1]).toBe(third);

  // Sorted among their places, by price.
  await cards(page).nth(0).getByRole('button').click();
  await cards(page)
    .nth(2)
    .getByRole('button')
    .click({ modifiers: ['Shift'] });
  await page.getByLabel('What to sort by').selectOption('price');
  await page.getByRole('button', { name: 'Sort them' }).click();
  const prices = async (): Promise<number[]> =>
    (await cards(page).allInnerTexts()).slice(0, 3).map((text) => Number(/£(\d+\.\d\d)/.exec(text)![1]));
  await expect.poll(async () => (await prices()).join()).toBe([...(await prices())].sort((a, b) => b - a).join());
  await page.getByRole('button', { name: 'Take off' }).click();
  await expect(cards(page).nth(0)).not.toContainText('pinned');
});

test('a pinned product that is sold out leaves a gap that says so', async ({ page }) => {
  await page.goto('/plans/gift-set/board');
  await expect(page.getByText('is sold out, and waits.')).toBeVisible();
  await expect(page.getByText(/stands there\./)).toBeVisible();
});

test('a collection’s own order is made on its board, and filled by an amount', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/content/collections/papers/board', { folded: true });
  await expect.poll(() => cards(page).count()).toBeGreaterThan(20);
  await page.getByLabel('What to sort by').selectOption('price');
  await page.getByLabel('Last place to fill').fill('3');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Fill', exact: true }).click();
  await expect(cards(page).nth(2)).toContainText('first');
  const made = await order(page);
  await page.getByRole('link', { name: 'Beside the shop' }).click();
  await expect(desk.shop.locator('[data-product]').nth(2)).toHaveAttribute('data-product', made[2]!);
});

test.describe('by touch', () => {
  test.use({ hasTouch: true, ownContext: true });
  test('a card is taken up with a finger and put in its place', async ({ page }) => {
    const desk = deskOn(page);
    await desk.open('/content/collections/papers/board', { folded: true });
    await expect.poll(() => cards(page).count()).toBeGreaterThan(8);
    const before = await order(page);
    const [from, to] = [(await cards(page).nth(5).boundingBox())!, (await cards(page).nth(1).boundingBox())!];
    const session = await page.context().newCDPSession(page);
    const touch = (type: 'touchStart' | 'touchMove', along: number) =>
      session.send('Input.dispatchTouchEvent', {
        type,
        touchPoints: [{ x: from.x + 50 + (to.x - from.x) * along, y: from.y + 60 + (to.y - from.y) * along }],
      });
    await touch('touchStart', 0);
    // A finger that rests takes the card up; one that goes on scrolls.
    await expect(page.getByText(/ is (taken up|over place 6)\.$/)).toBeAttached();
    for (let step = 1; step <= 12; step++) await touch('touchMove', step / 12);
    await session.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    await expect.poll(() => order(page)).toEqual([before[0], before[5], ...before.slice(1, 5), ...before.slice(6)]);
  });
});
