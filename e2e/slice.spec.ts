import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

/** The whole job once, thinly: every step changes what the shopper sees beside it, before anything is published. */

test('a new shop opens on the demo store, with everything published', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/');
  await expect(page.getByText('All published')).toBeVisible();
  await desk.trial('ultramarine');
  expect((await desk.titles())[0]).toContain('Ultramarine');
  await expect(page.getByRole('search').getByRole('status')).toHaveText(/\d+ products/);
});

test('the shop is named, and its prices are in the money chosen, in the window at once and for shoppers when published', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/attributes');
  await desk.trial('ink');
  await page.getByRole('button', { name: 'The shop: Wren & Umber' }).click();
  const name = page.getByLabel('Name of the shop');
  await name.fill('Reed & Rush');
  await name.press('Enter');
  await expect(desk.shop.getByRole('link', { name: 'Reed & Rush' })).toBeVisible();
  await page.getByLabel('Currency of its prices').selectOption('EUR');
  await expect(desk.shop.getByText(/€\d/).first()).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: '1 change not published' }).click();
  await expect(page.getByText('The shop is called “Reed & Rush”.')).toBeVisible();
  await expect(page.getByText('Prices are in EUR.')).toBeVisible();
  const live = await page.context().newPage();
  await live.goto('/shop');
  await expect(live).toHaveTitle('Wren & Umber');
  await expect(live.getByText(/£\d/).first()).toBeVisible();
});

test('a part of the desk whose code does not come says so, and comes when it can; all around it stays', async ({
  page,
}) => {
  const desk = deskOn(page);
  const parts = /\/assets\/(ShopSettings|Relevance)-/;
  await page.route(parts, (route) => route.abort());
  await desk.open('/attributes');
  await page.getByRole('button', { name: 'The shop: Wren & Umber' }).click();
  const panel = page.getByRole('dialog', { name: 'The shop' });
  await expect(panel.getByRole('alert')).toContainText('This part of the desk has not come');
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Attributes');
  await page.keyboard.press('Escape');
  await page.getByRole('link', { name: 'Relevance', exact: true }).click();
  const again = page.getByRole('main').getByRole('button', { name: 'Try again' });
  await expect(again).toBeVisible();
  await page.unroute(parts);
  await again.click();
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Relevance');
  await page.getByRole('button', { name: 'The shop: Wren & Umber' }).click();
  await expect(page.getByLabel('Name of the shop')).toHaveValue('Wren & Umber');
});

test('the shop as shoppers have it is sent nothing of what the desk begins with', async ({ page }) => {
  const scripts: string[] = [];
  page.on('request', (request) => {
    if (request.url().endsWith('.js')) scripts.push(new URL(request.url()).pathname);
  });
  await page.goto('/shop/main?q=gouache');
  await page.locator('[data-product]').first().getByRole('button').first().click();
  await expect(page.getByRole('button', { name: 'Put in basket' }).first()).toBeVisible();
  await page.getByRole('combobox', { name: 'Search the shop' }).fill('brush');
  await expect(page.getByRole('option').first()).toBeVisible();
  expect(scripts.filter((path) => /BoxLines/.test(path))).toHaveLength(1);
  expect(scripts.filter((path) => /desk/.test(path))).toEqual([]);
});

test('attributes: a weight typed, a switch and a place change the results at once', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/attributes');
  await desk.trial('kolinsky');
  expect((await desk.titles()).length).toBeGreaterThan(0);
  await page.getByRole('switch', { name: 'Search reads Material' }).click();
  await page.getByRole('switch', { name: 'Search reads Description' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches')).toBeVisible();
  await page.getByRole('switch', { name: 'Search reads Material' }).click();
  await expect(desk.shop.locator('[data-product]').first()).toBeVisible();

  const weight = page.getByLabel('Weight of Brand');
  await weight.fill('25.5');
  await weight.press('Enter');
  const rows = page
    .getByRole('list', { name: 'Attributes read by the search, most important first' })
    .getByRole('listitem');
  await expect(rows.first()).toContainText('Brand');
  await weight.press('ArrowDown');
  await expect(weight).toHaveValue('25.4');

  // From the keyboard: take Brand up, move it one down, put it down.
  await page.getByRole('button', { name: 'Move Brand' }).focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('Space');
  await expect(rows.nth(1)).toContainText('Brand');
  // However fast the keys come, none is lost: two down and one up, and escape puts it back where it was.
  for (const key of ['Space', 'ArrowDown', 'ArrowDown', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect(rows.nth(2)).toContainText('Brand');
  for (const key of ['Space', 'ArrowUp', 'ArrowUp', 'Escape']) await page.keyboard.press(key);
  await expect(rows.nth(2)).toContainText('Brand');
  for (const key of ['Space', 'ArrowUp', 'Space']) await page.keyboard.press(key);
  await expect(rows.nth(1)).toContainText('Brand');

  await page.getByRole('switch', { name: 'Show Size on the card' }).click();
  await desk.trial('kolinsky round brush');
  await expect(desk.shop.locator('[data-product] dl').first()).toContainText(/^Size\s*(10\/0|000|0|2|4)/);
  await expect(page.getByText(/\d+ changes not published/)).toBeVisible();
});

test('attributes: a row dragged to another place takes a weight between its neighbours', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/attributes');
  const rows = page
    .getByRole('list', { name: 'Attributes read by the search, most important first' })
    .getByRole('listitem');
  const from = await page.getByRole('button', { name: 'Move Kind' }).boundingBox();
  const to = await rows.nth(1).boundingBox();
  await page.mouse.move(from!.x + 5, from!.y + 5);
  await page.mouse.down();
  await page.mouse.move(to!.x + 20, to!.y + to!.height + 10, { steps: 12 });
  await page.mouse.move(to!.x + 20, to!.y + 10, { steps: 6 });
  // The list makes room before the row is let go.
  await expect(page.getByText('Kind is over place 2.')).toBeAttached();
  await page.mouse.up();
  await expect(rows.nth(1)).toContainText('Kind');
});

test('undo and redo go step by step, from the bar and the keyboard', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/attributes');
  const before = await desk.unpublished();
  await page.getByRole('switch', { name: 'Show Material on the card' }).click();
  await expect.poll(() => desk.unpublished()).toBe(before + 1);
  await page.getByRole('button', { name: /^Undo: Material is now shown on the card/ }).click();
  await expect(page.getByRole('switch', { name: 'Show Material on the card' })).not.toBeChecked();
  await page.getByRole('heading', { name: 'Attributes', level: 1 }).click();
  await page.keyboard.press('Control+Shift+Z');
  await expect(page.getByRole('switch', { name: 'Show Material on the card' })).toBeChecked();
  await desk.undoAll();
  await page.reload();
  await expect(page.getByText('All published')).toBeVisible();
});

test('relevance: a weight drawn, spelling tolerance and tie-breakers', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('ultramarne');
  await expect(desk.shop.getByText('instead of “ultramarne”')).toBeVisible();
  await page.getByRole('switch', { name: 'Correct typos' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “ultramarne”')).toBeVisible();
  await page.getByRole('switch', { name: 'Correct typos' }).click();

  await desk.trial('gouache');
  await expect(page.getByText(/What decided each place for “gouache”/)).toBeVisible();
  await page.getByLabel('Add a tie-breaker').selectOption({ label: 'Price' });
  await page.getByRole('button', { name: 'Take In stock off' }).click();
  await page.getByRole('button', { name: 'Take Units sold off' }).click();
  await page.getByRole('button', { name: 'Take Rating off' }).click();
  const width = page.getByLabel('Width of a close call, in points');
  await width.fill('100');
  await width.press('Enter');
  await expect
    .poll(async () => {
      await desk.titles();
      const prices = await desk.shop.locator('[data-product] b.font-bold').allTextContents();
      const amounts = prices.filter((text) => text.startsWith('£')).map((text) => Number(text.slice(1)));
      return amounts.length > 4 && amounts.every((amount, at) => at === 0 || amount >= amounts[at - 1]!);
    })
    .toBe(true);
  await page.getByRole('slider', { name: 'Weight of Kind' }).focus();
  await page.keyboard.press('Home');
  await expect(page.getByLabel('Exact weight of Kind')).toHaveValue('0');
});

test('filters: added, renamed, put in order and used by the shopper with right counts', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/filters');
  await desk.trial('brush');
  await page.getByRole('button', { name: 'Add Colour as a filter' }).click();
  await page.getByRole('button', { name: 'Remove the filter Size' }).click();
  await page.getByRole('link', { name: /^Kind/ }).click();
  const label = page.getByRole('textbox', { name: 'Label', exact: true });
  await label.fill('What it is');
  await label.press('Enter');
  await page.setViewportSize({ width: 1280, height: 800 });
  await expect(desk.shop.getByRole('button', { name: 'What it is' })).toBeVisible();
  await expect(desk.shop.getByRole('button', { name: 'Size', exact: true })).toHaveCount(0);

  await desk.shop.getByRole('button', { name: 'Material' }).click();
  const option = desk.shop.getByRole('dialog', { name: 'Material' }).getByRole('listitem').first();
  const value = await option.locator('span').first().innerText();
  const products = Number((await option.innerText()).match(/([\d,]+)\s*products/)![1]);
  await option.getByRole('checkbox').click();
  await expect(desk.shop.locator('main').getByRole('status')).toHaveText(`${products} products`);
  await page.keyboard.press('Escape');
  await desk.shop.getByRole('list', { name: 'Chosen filters' }).getByRole('button', { name: value }).click();

  await desk.shop.getByRole('button', { name: 'Price' }).click();
  await desk.shop.getByRole('spinbutton', { name: 'To' }).fill('6');
  await desk.shop.getByRole('button', { name: 'Set Price' }).click();
  await expect(desk.shop.getByText('Price: Up to £6', { exact: true })).toBeVisible();
});

test('shelf plans: pin, boost and lower from the window and from the plan’s screen', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/plans');
  await desk.trial('sketchbook');
  const before = await desk.titles();
  const place = before.lastIndexOf(before.find((title, at) => at >= 4 && title !== before[1])!) + 1;
  await desk.choose(place, 'Pin at place 1');
  await expect(desk.shop.getByRole('button', { name: /^Place 1, up \d+, pinned/ })).toBeVisible();
  expect((await desk.titles())[0]).toBe(before[place - 1]);
  await desk.choose(3, 'Boost for this search');
  await expect(desk.shop.getByRole('button', { name: /boosted/ })).toBeVisible();

  await page.getByRole('link', { name: /^(?!Say what).*sketchbook/ }).click();
  const pinned = page.getByLabel(/^Place of /);
  await expect(pinned).toHaveValue('1');
  await pinned.fill('3');
  await pinned.press('Enter');
  await expect.poll(async () => (await desk.titles())[2]).toBe(before[place - 1]);
  await page.getByRole('button', { name: 'Lower a product' }).click();
  await page.getByPlaceholder('Type what the product is called, or its SKU').fill('concertina sketch');
  await page
    .getByRole('option', { name: /Concertina/ })
    .first()
    .click();
  await expect(page.getByText('clearly down')).toBeVisible();
  // For searches that contain its words it holds too, and says so where somebody takes off there what it does.
  await desk.trial('linen sketchbook');
  const title = before[place - 1]!;
  expect((await desk.titles())[2]).not.toBe(title);
  await page.getByLabel('How a search is compared').selectOption({ label: 'Containing these' });
  await expect.poll(async () => (await desk.titles())[2]).toBe(title);
  // On days that are over it does nothing.
  await page.getByLabel('Last day of the plan', { exact: true }).fill('2020-01-06');
  await expect(page.getByText('Its time is over.')).toBeVisible();
  await expect.poll(async () => (await desk.titles())[2]).not.toBe(title);
  await page.getByLabel('Last day of the plan', { exact: true }).fill('');
  await expect.poll(async () => (await desk.titles())[2]).toBe(title);
  await desk.choose(3, 'Take the pin off');
  await expect(page.getByText('That is done by the shelf plan')).toBeVisible();
  expect((await desk.titles())[2]).toBe(title);
  await page.getByRole('button', { name: 'Change it there' }).click();
  await expect.poll(async () => (await desk.titles())[2]).not.toBe(title);
  await desk.trial('sketchbook');
  await page.getByRole('switch', { name: 'The plan is in force' }).click();
  await expect.poll(async () => (await desk.titles()).join()).toBe(before.join());
});

test('hiding: one product from the window, all with a tag from the screen', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/hiding');
  await desk.trial('easel');
  const [first] = await desk.titles();
  const before = await desk.total();
  await desk.choose(1, 'Hide everywhere');
  await expect.poll(() => desk.total()).toBe(before - 1);
  await expect(page.getByRole('button', { name: `Show ${first} again` })).toBeVisible();
  await page.getByRole('button', { name: 'Hide a tag' }).click();
  await page.getByPlaceholder('Type a tag').fill('studio');
  await page.getByRole('option', { name: /^studio/ }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “easel”')).toBeVisible();
  await page.getByRole('button', { name: 'Show products tagged studio again' }).click();
  await expect.poll(() => desk.total()).toBe(before - 1);
});

test('empty shelf: message, searches and products for a search that finds nothing', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/empty-shelf');
  await page.getByRole('button', { name: 'Try a search that finds nothing' }).click();
  await page.getByLabel('Message of the empty shelf').fill('No “{search}” here. <b>Ask</b> us.');
  await expect(desk.shop.getByText('No “zebra xylophone” here. <b>Ask</b> us.')).toBeVisible();
  await page.getByLabel('Add to suggested searches').fill('round brush');
  await page.getByLabel('Add to suggested searches').press('Enter');
  await page.getByRole('button', { name: 'Choose a product' }).click();
  await page.getByPlaceholder('Type what the product is called, or its SKU').fill('table easel');
  await page
    .getByRole('option', { name: /Table easel/ })
    .first()
    .click();
  await expect(desk.shop.getByRole('list', { name: 'Products to look at instead' })).toContainText('Table easel');
  await desk.shop.getByRole('button', { name: 'round brush' }).click();
  await expect(page.getByLabel('Trial search', { exact: true })).toHaveValue('round brush');
});

test('publish: the list in words, one step, and shoppers get it; the release before can be made live again', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/empty-shelf');
  await page.getByLabel('Message of the empty shelf').fill('No “{search}” here. <b>Ask</b> us.');
  await expect.poll(() => desk.unpublished()).toBe(1);
  await desk.open('/releases');
  const live = await page.request.get('/shop/search?q=zebra+xylophone');
  expect(JSON.stringify(await live.json())).not.toContain('Ask</b> us');
  await page.getByRole('button', { name: 'Publish…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('The empty shelf has a new message');
  await dialog.getByRole('button', { name: 'Publish to shoppers' }).click();
  await expect(page.getByText('All published')).toBeVisible();
  const after = await page.request.get('/shop/search?q=zebra+xylophone');
  expect(JSON.stringify(await after.json())).toContain('Ask</b> us');
  await expect(
    page
      .getByRole('listitem')
      .filter({ hasText: /Release \d/ })
      .first(),
  ).toContainText('live');

  await page
    .getByRole('listitem')
    .filter({ has: page.getByText('Release 1', { exact: true }) })
    .getByRole('button', { name: 'Make live again' })
    .click();
  await page.getByRole('button', { name: 'Make it live' }).click();
  await expect(page.getByText('Release 1 is live again')).toBeVisible();
  const back = await page.request.get('/shop/search?q=zebra+xylophone');
  expect(JSON.stringify(await back.json())).not.toContain('Ask</b> us');
  expect(await desk.unpublished()).toBe(1);
});

test('why here: every product opens its arithmetic, and the lines add up', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/relevance');
  await desk.trial('cadmium red gouache');
  await desk.choose(1, 'Why here?');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('Place 1');
  const amounts = await dialog.locator('tbody tr').evaluateAll((rows) =>
    rows.map((row) => ({
      text: row.textContent ?? '',
      amount: Number(row.lastElementChild!.textContent!.replace(/[^\d.]/g, '')),
    })),
  );
  const total = amounts.find(({ text }) => text.startsWith('Match, out of 100 points'))!.amount;
  const lines = amounts.filter(({ text }) => !text.startsWith('Match')).reduce((sum, { amount }) => sum + amount, 0);
  expect(lines).toBeCloseTo(total, 3);
});
