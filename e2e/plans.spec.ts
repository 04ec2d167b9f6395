import { expect, type Page } from '@playwright/test';
import { deskOn, test } from './desk.ts';

async function pick(page: Page, button: string, typed: string): Promise<string> {
  const field = page.getByPlaceholder('Type what the product is called, or its SKU');
  // A list that grows above the button moves it from under a click.
  await expect(async () => {
    if (!(await field.isVisible())) await page.getByRole('button', { name: button, exact: true }).click();
    await expect(field).toBeVisible({ timeout: 2000 });
  }).toPass();
  await field.fill(typed);
  const option = page
    .getByRole('option', { disabled: false })
    .filter({ hasText: new RegExp(typed, 'i') })
    .first();
  const title = (await option.locator('span').nth(1).innerText()).trim();
  await option.click();
  return title;
}

test('three chosen products first, then only those, moved by the keyboard; contradictions are told', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('easel');
  const before = await desk.total();
  await page.getByRole('button', { name: 'Plan for “easel”' }).click();
  const contradictions = page.getByRole('list', { name: 'What contradicts itself' });
  await expect(contradictions).toHaveText('It does nothing yet.');
  for (const typed of ['Table easel', 'Linen canvas', 'Display easel']) await pick(page, 'Put a product first', typed);
  await expect
    .poll(async () => (await desk.titles()).slice(0, 3))
    .toEqual(['Table easel', 'Linen canvas', 'Display easel']);
  await expect.poll(() => desk.total()).toBe(before + 1);
  await expect(contradictions).toBeHidden();

  // The second goes up with the keyboard.
  await page
    .getByRole('list', { name: 'Products that stand first' })
    .getByRole('button', { name: /Linen canvas/ })
    .first()
    .focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect.poll(async () => (await desk.titles()).slice(0, 2)).toEqual(['Linen canvas', 'Table easel']);

  await page.getByRole('switch', { name: 'Only these show' }).click();
  await expect.poll(() => desk.total()).toBe(3);
  await pick(page, 'Pin a product', 'Studio easel');
  await expect(contradictions).toContainText('only the products named first show, and it is not among them');
  await desk.choose(1, 'Why here?');
  await expect(page.getByRole('dialog')).toContainText('The shelf plan “easel” puts it first.');
  await page.keyboard.press('Escape');
});

test('a product brought in by words it does not have, what meets a condition boosted and hidden, another search answered', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('easel');
  const before = await desk.total();
  await page.getByRole('button', { name: 'Plan for “easel”' }).click();
  const title = await pick(page, 'Bring in a product', 'Linen canvas');
  await expect.poll(() => desk.total()).toBe(before + 1);
  const label = desk.shop.getByRole('button', { name: /^Place \d+, new here, brought in: Linen canvas/ });
  await expect(label).toBeVisible();
  await label.click();
  await desk.shop.getByRole('menuitem', { name: 'Why here?' }).click();
  await expect(page.getByRole('dialog')).toContainText('it counts as if its title had been searched for');
  await page.keyboard.press('Escape');
  expect(title).toContain('Linen canvas');

  await page.getByRole('button', { name: 'Hide by a condition' }).click();
  await page.getByLabel('What is asked about').selectOption('Brand');
  await page.getByRole('button', { name: 'Choose a value' }).click();
  await page.getByPlaceholder('Type a value').fill('Osier');
  await page.getByRole('option', { name: /^Osier/ }).click();
  await expect(page.getByRole('list', { name: 'Hidden by a condition' })).toContainText('Brand is Osier');
  await expect.poll(() => desk.total()).toBeLessThan(before);
  await expect(desk.shop.locator('[data-product]').filter({ hasText: 'Osier' })).toHaveCount(0);

  await page.getByLabel('Search it is taken for').fill('gouache');
  await page.getByLabel('Search it is taken for').press('Enter');
  await expect(desk.shop.getByText('instead of “easel”')).toBeVisible();
  await expect.poll(async () => (await desk.titles()).join()).toContain('gouache');
});

test('a banner stands among the results; shoppers are sent to a page of the shop, offered one elsewhere, and never sent to what would run', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('easel');
  await page.getByRole('button', { name: 'Plan for “easel”' }).click();
  const field = page.getByLabel('Page shoppers are sent to');
  await field.fill('javascript:alert(1)');
  await field.press('Enter');
  await expect(page.getByText('Shoppers can be sent to a page of the web or of the shop only')).toBeVisible();
  await page.getByRole('button', { name: 'Add a banner' }).click();
  await page.getByLabel('Text of banner 1').fill('Easels are mended here on Mondays');
  await page.getByLabel('Text of banner 1').press('Enter');
  await page.getByLabel('Link of banner 1').fill('/pages/mending');
  await page.getByLabel('Link of banner 1').press('Enter');
  await page.getByLabel('Where banner 1 stands').selectOption('among them, at place');
  await page.getByLabel('Picture of banner 1, from a file').setInputFiles({
    name: 'notes.txt',
    mimeType: 'text/plain',
    buffer: Buffer.from('no picture'),
  });
  await expect(page.getByText('This file is no picture that can be shown')).toBeVisible();
  await page.getByLabel('Picture of banner 1, from a file').setInputFiles({
    name: 'easel.gif',
    mimeType: 'image/gif',
    buffer: Buffer.from('R0lGODlhAQABAAAAACwAAAAAAQABAAA7', 'base64'),
  });
  await expect(page.getByText('brought in as a file')).toBeVisible();
  await expect(desk.shop.getByRole('link', { name: 'Easels are mended here on Mondays' })).toBeVisible();
  await field.fill('https://easels.example/care');
  await field.press('Enter');
  await expect(desk.shop.getByText('Shoppers are sent to https://easels.example/care')).toBeVisible();
  const publish = async (): Promise<void> => {
    const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
    await page.request.post('/desk/publish', { data: { revision, note: 'Elsewhere' } });
  };
  await publish();
  const shop = await page.context().newPage();
  await shop.goto('/shop/main?q=easel');
  await expect(shop.getByRole('link', { name: 'https://easels.example/care' })).toBeVisible();
  const banner = shop.getByRole('link', { name: 'Easels are mended here on Mondays' });
  await expect(banner).toHaveAttribute('href', '/pages/mending');
  const width = () => banner.locator('img').evaluate((picture) => (picture as HTMLImageElement).naturalWidth);
  await expect.poll(width).toBe(1);
  await expect(shop.locator('[data-product]').first()).toBeVisible();

  await field.fill('/shop/main?q=gouache');
  await field.press('Enter');
  await expect(desk.shop.getByText('Shoppers are sent to /shop/main?q=gouache')).toBeVisible();
  await publish();
  await shop.goto('/shop/main?q=easel');
  await expect(shop.getByRole('heading', { level: 1, name: 'Results for “gouache”' })).toBeVisible();
  await shop.close();
});

test('a product that is not there is found and added from the window, at the first place', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('easel');
  const before = await desk.total();
  await pick(page, 'Add a product here', 'Linen canvas');
  await expect(page.getByText('“Linen canvas” is pinned at place 1 for “easel”')).toBeVisible();
  await expect.poll(async () => (await desk.titles())[0]).toBe('Linen canvas');
  expect(await desk.total()).toBe(before + 1);
  // One that is among the results already only changes its place.
  const third = (await desk.titles())[2]!;
  await pick(page, 'Add a product here', third);
  await expect.poll(async () => (await desk.titles())[0]).toContain(third);
  expect(await desk.total()).toBe(before + 1);
  // Where a pinned product is hidden, the window says so, and what stands there.
  await desk.choose(2, 'Hide everywhere');
  const gaps = desk.shop.getByRole('list', { name: 'Pinned, and not there' });
  await expect(gaps).toContainText('Place 2: Linen canvas is hidden.');
});

test('a plan of a December to come is seen as of then, and not before', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('easel');
  const before = await desk.titles();
  await page.getByRole('button', { name: 'Plan for “easel”' }).click();
  await page.getByLabel('First day of the plan', { exact: true }).fill('2098-12-01');
  await page.getByLabel('First day of the plan, hour').fill('08:00');
  await expect(page.getByText('Not in force yet.')).toBeVisible();
  await pick(page, 'Put a product first', 'Linen canvas');
  await page.getByRole('button', { name: 'See the shop as of another day' }).click();
  await page.getByRole('button', { name: '2098-12-01 08:00 Shelf plan “easel” begins' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByText('Seen as of 2098-12-01 08:00')).toBeVisible();
  await expect.poll(async () => (await desk.titles())[0]).toBe('Linen canvas');
  await desk.choose(1, 'Why here?');
  await expect(page.getByRole('dialog')).toContainText('The shelf plan “easel” puts it first.');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'See the shop as of now' }).click();
  await expect.poll(async () => (await desk.titles()).join()).toBe(before.join());
});

test('a product is pinned by putting it at a place in the window, with the mouse and from the keyboard', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('easel');
  const before = await desk.titles();
  const grip = (place: number) => desk.shop.getByRole('button', { name: new RegExp(`, at place ${place}$`) });
  const [from, to] = [await grip(3).boundingBox(), await grip(1).boundingBox()];
  await page.mouse.move(from!.x + 5, from!.y + 5);
  await page.mouse.down();
  await page.mouse.move(from!.x - 20, from!.y + 5, { steps: 5 });
  await page.mouse.move(to!.x + 5, to!.y + 5, { steps: 15 });
  await page.mouse.up();
  await expect.poll(async () => (await desk.titles())[0]).toBe(before[2]);
  await expect(desk.shop.getByRole('button', { name: /^Place 1, up 2, pinned/ })).toBeVisible();

  await grip(2).focus();
  for (const key of ['Space', 'ArrowDown', 'Space']) await page.keyboard.press(key);
  await expect(desk.shop.getByRole('button', { name: /^Place 5, down \d+, pinned/ })).toBeVisible();
  await expect.poll(async () => (await desk.titles())[4]).toBe(before[0]);
  await desk.undoAll();
  await expect.poll(async () => (await desk.titles()).slice(0, 5)).toEqual(before.slice(0, 5));
});

test('a plan shows other filters beside its results, in its own order', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('sketchbook');
  const filter = (name: string) => desk.shop.getByRole('button', { name, exact: true });
  await expect(filter('Category')).toBeVisible();
  await page.getByRole('button', { name: 'Plan for “sketchbook”' }).click();
  for (const [button, label] of [
    ['Show other filters', 'Material'],
    ['Add a filter', 'Brand'],
  ] as const) {
    await page.getByRole('button', { name: button }).click();
    await page.getByPlaceholder('Type a filter').fill(label);
    await page.getByRole('listbox').getByRole('option', { name: label, exact: true }).click();
  }
  await expect(filter('Category')).toHaveCount(0);
  const left = async (name: string) => (await filter(name).boundingBox())?.x ?? 0;
  await expect.poll(async () => (await left('Material')) < (await left('Brand'))).toBe(true);
  await page.getByRole('button', { name: 'Move Brand' }).focus();
  for (const key of ['Space', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect.poll(async () => (await left('Brand')) < (await left('Material'))).toBe(true);
  await page.getByRole('button', { name: 'Take Brand off' }).click();
  await page.getByRole('button', { name: 'Take Material off' }).click();
  await expect(filter('Category')).toBeVisible();
});

test('several products of the window are pinned, boosted and hidden together, by mouse and by keys', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('gouache');
  const before = await desk.titles();
  const ids = await desk.shop.locator('[data-product]').evaluateAll((all) => all.map((one) => one.dataset.product!));
  const shelf = (at: number) => desk.shop.locator(`[data-product="${ids[at]}"]`);
  const tick = (at: number) => shelf(at).getByRole('checkbox');
  await tick(3).check();
  await tick(5).check();
  const bar = desk.shop.getByRole('toolbar');
  await expect(bar).toHaveAccessibleName('2 products chosen');
  await bar.getByRole('button', { name: 'Pin at the top' }).click();
  await expect.poll(async () => (await desk.titles()).slice(0, 2)).toEqual([before[3], before[5]]);
  await expect(page.getByText('2 products are pinned from place 1 for “gouache”')).toBeVisible();
  await bar.getByRole('button', { name: 'Take the pins off' }).click();
  await expect.poll(() => desk.titles()).toEqual(before);

  // With shift all between; a key does it to all that are chosen, and the focus goes to what stands there then.
  await bar.getByRole('button', { name: 'Choose none' }).click();
  await expect(bar).toBeHidden();
  await tick(0).check();
  await tick(2).click({ modifiers: ['Shift'] });
  await expect(bar).toHaveAccessibleName('3 products chosen');
  await desk.shop.getByRole('button', { name: /^Place 1\b/ }).focus();
  await page.keyboard.press('h');
  await expect.poll(async () => (await desk.titles())[0]).toBe(before[3]);
  // The plan stays when its pins are off.
  await expect.poll(() => desk.unpublished()).toBe(4);
  await expect(bar).toBeHidden();
  await expect(desk.shop.locator('[aria-keyshortcuts]:focus')).toHaveCount(1);

  // A key on one that is not chosen is for it alone, and it keeps the focus where it moves.
  await desk.shop.getByRole('button', { name: /^Place 6\b/ }).focus();
  const raised = ids[8];
  await page.keyboard.press('+');
  await expect(desk.shop.locator(`[data-product="${raised}"]`).getByText('boosted')).toBeVisible();
  await expect(desk.shop.locator(`[data-product="${raised}"] [aria-keyshortcuts]:focus`)).toBeVisible();
  await page.keyboard.press('0');
  await expect(desk.shop.locator(`[data-product="${raised}"]`).getByText('boosted')).toBeHidden();
});
