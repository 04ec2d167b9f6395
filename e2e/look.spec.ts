import { expect } from '@playwright/test';
import { presets } from '../core/look/presets.ts';
import { colourRules, seriousProblems } from './axe.ts';
import { deskOn, publishOnce, test } from './desk.ts';
import { standIn, standInServed } from './standIn.ts';

test.beforeAll(({ request }) => standInServed(request));

test('a whole look, a colour that is too faint and corners are seen in the window, undone, and published into pages of another origin', async ({
  page,
  context,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/look');
  const ground = () =>
    desk.shop.locator('html').evaluate((root) => getComputedStyle(root).getPropertyValue('--surface').trim());
  const before = await ground();
  await page.getByRole('button', { name: 'Linen' }).click();
  await expect.poll(ground).toBe('#fbf6ec');
  const title = desk.shop.locator('[data-product] h2').first();
  await expect.poll(() => title.evaluate((text) => getComputedStyle(text).fontFamily)).toContain('Newsreader');
  const accent = page.getByLabel('Links and buttons, as #rrggbb');
  await accent.fill('fc0');
  await accent.press('Enter');
  await expect(page.getByText(/below 4.5: shoppers get #[0-9a-f]{6} instead/)).toBeVisible();
  await accent.fill('no colour');
  await accent.press('Enter');
  await expect(page.getByText(/below 4.5/)).toBeVisible();
  await page.getByRole('button', { name: /^Undo/ }).click();
  await expect(page.getByText(/below 4.5/)).toBeHidden();
  // The colours of a picture: a sheet of paper with a little ink on it.
  const drawn = await page.evaluate(() => {
    const canvas = document.createElement('canvas');
    const [pen] = [canvas.getContext('2d')!];
    pen.fillStyle = '#fff4dd';
    pen.fillRect(0, 0, 300, 150);
    pen.fillStyle = '#205a3c';
    pen.fillRect(0, 0, 60, 60);
    return canvas.toDataURL('image/png').split(',')[1]!;
  });
  const file = { name: 'sign.png', mimeType: 'image/png', buffer: Buffer.from(drawn, 'base64') };
  await page.getByLabel('File to take colours from').setInputFiles(file);
  await expect.poll(ground).toBe('#fff4dd');
  await expect(accent).toHaveValue('#205a3c');
  await page.getByLabel('File to take colours from').setInputFiles({ ...file, buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('No colours can be seen in “sign.png”');
  const css = ':root { --ground: oklch(0.97 0.02 90) } body { background: var(--ground) } .btn { background: teal }';
  await page
    .getByLabel('File to take colours from')
    .setInputFiles({ name: 'shop.css', mimeType: 'text/css', buffer: Buffer.from(css) });
  await expect(accent).toHaveValue('#008080');
  await expect.poll(ground).toMatch(/^#f[0-9a-f]{3}e[0-9a-f]$/);
  await expect(page.getByRole('alert')).toBeHidden();
  // A page of a private network is not asked; one of the web colours the shop by those of its style sheets that can be read.
  const from = page.getByLabel('Page to take colours from');
  await from.fill(standIn);
  await from.press('Enter');
  await expect(page.getByRole('alert')).toContainText('It leads into a private network');
  const styles = ['no style } at { all', 'body { background: #f4ead8 } a { color: #7a1f5c }'];
  await page.route('**/pictures/style', (route) => route.fulfill({ json: { styles } }));
  await from.fill('paints.example/home');
  await page.getByRole('button', { name: 'Take its colours' }).click();
  await expect.poll(ground).toBe('#f4ead8');
  await expect(accent).toHaveValue('#7a1f5c');
  await expect(page.getByRole('alert')).toBeHidden();
  await page.getByRole('button', { name: /^Undo/ }).click();
  // What is done to a look in one go is one step: it is taken again.
  await page.getByRole('button', { name: 'Linen' }).click();
  await expect.poll(ground).toBe('#fbf6ec');

  const shop = await context.newPage();
  const boxOf = () => shop.getByRole('combobox', { name: 'Search the shop' });
  const groundThere = () => boxOf().evaluate((box) => getComputedStyle(box).getPropertyValue('--surface').trim());
  await shop.goto(standIn);
  await expect(boxOf()).toHaveAttribute('placeholder', /.+/);
  expect(await groundThere()).toBe(before);
  await publishOnce(page.request, 'look', { shop: { corners: 4 } });
  await shop.reload();
  await expect.poll(groundThere).toBe('#fbf6ec');
});

test('axe finds nothing serious in the shop, whichever look it begins with, light or dark', async ({
  page,
  context,
}) => {
  test.setTimeout(240_000);
  const desk = deskOn(page);
  await desk.open('/results-page/look');
  const names = await page.getByRole('region', { name: 'Begin with' }).getByRole('button').allInnerTexts();
  expect(names.length).toBeGreaterThan(4);
  const problems: string[] = [];
  const shop = await context.newPage();
  for (const name of names) {
    await page.getByRole('button', { name, exact: true }).click();
    await expect(page.getByRole('button', { name, exact: true })).toHaveAttribute('aria-pressed', 'true');
    const preset = presets.find((each) => each.name === name)!;
    await publishOnce(page.request, 'look', { shop: { corners: preset.corners } });
    await shop.goto('/shop?q=gouache');
    await expect(shop.locator('[data-product]').first()).toBeVisible();
    for (const colorScheme of ['light', 'dark'] as const) {
      await shop.emulateMedia({ colorScheme });
      await expect(shop.locator('html')).toHaveAttribute('data-theme', colorScheme);
      // Looks differ in their colours; everything else is looked at with the first.
      const isFirst = name === names[0] && colorScheme === 'light';
      const found = await seriousProblems(shop, isFirst ? {} : { only: colourRules });
      for (const problem of found) problems.push(`${name}, ${colorScheme}: ${problem}`);
    }
  }
  expect(problems).toEqual([]);
});

test('a card is arranged from the keyboard, a button on it puts into the basket, and the order before any search is chosen', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/card');
  await desk.trial('gouache');
  const card = desk.shop.locator('[data-product]').first();
  await page.getByRole('button', { name: 'Put a button into the basket on cards' }).click();
  await expect(card.getByRole('button', { name: /^Put in basket/ })).toBeVisible();
  await page.getByRole('button', { name: 'Take brand off cards' }).press('Enter');
  await expect(page.getByRole('button', { name: 'Put brand on cards' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('button', { name: 'Take brand off cards' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(card.locator('[part="brand"]')).toHaveCount(0);
  await page.getByLabel('When availability is told').selectOption('always');
  await expect(card).toContainText('In stock');
  await page.getByRole('button', { name: 'Move price' }).focus();
  await page.keyboard.press('Space');
  // Over the attributes and the title.
  for (let step = 0; step < 2; step++) await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Space');
  await expect(
    page.getByRole('list', { name: 'Pieces of a card, in order' }).getByRole('listitem').first(),
  ).toContainText('price');
  await expect.poll(() => card.innerText()).toMatch(/^£[\d.]+[\s\S]*ouache/);

  await desk.open('/results-page');
  await desk.trial('');
  const before = await desk.titles();
  await page.getByLabel('Order before any search').selectOption('price-up');
  await expect.poll(() => desk.titles()).not.toEqual(before);
  await expect(desk.shop.getByLabel('Sort by')).toHaveValue('price-up');
  await page.getByLabel('What a search without words does').selectOption('nothing');
  await publishOnce(page.request, 'resultsPage', { begin: { emptySearch: 'nothing' } });

  await page.goto('/shop?q=gouache');
  const live = page.locator('[data-product]').first();
  await live.getByRole('button', { name: /^Put in basket/ }).click();
  await expect(live.getByText('1 in your basket')).toBeVisible();
  await expect(page).toHaveURL(/\/shop\?q=gouache$/);
  const box = page.getByRole('combobox', { name: 'Search the shop' });
  await box.fill('');
  await box.press('Enter');
  await expect(page.getByRole('heading', { name: 'Results for “gouache”' })).toBeVisible();
});

test('on a card a variant is chosen, goes into the basket as often as is said, and its page begins with it', async ({
  page,
  request,
}) => {
  const { revision, setup } = (await (await request.get('/desk/state')).json()) as {
    revision: number;
    setup: { resultsPage: { card: { pieces: { piece: string }[] } } };
  };
  const { card } = setup.resultsPage;
  const pieces = ['title', 'variants', 'price', 'basket'].map((piece) => ({ piece, on: true }));
  const edits = [{ part: 'resultsPage', key: 'card', value: { ...card, pieces, quantity: true } }];
  expect((await request.post('/desk/edits', { data: { revision, edits } })).ok()).toBe(true);
  await publishOnce(request, 'resultsPage', { card: { quantity: true } });
  await page.goto('/shop?q=viridian watercolour tube');
  const first = page.locator('[data-product]').first();
  const sizes = first.getByRole('list', { name: 'Size' }).getByRole('button');
  await expect(sizes.first()).toHaveAttribute('aria-pressed', 'true');
  const price = first.locator('[part~="price"]');
  const before = await price.innerText();
  const other = first.getByRole('button', { name: '37 ml', exact: true });
  await other.click();
  await expect(price).not.toHaveText(before);
  await first.getByRole('spinbutton', { name: /^How many of/ }).fill('3');
  await first.getByRole('button', { name: /^Put in basket/ }).click();
  await expect(first.getByText('3 in your basket')).toBeVisible();
  await first.locator('[part~="title"] button').click();
  await expect(page.getByRole('radio', { name: '37 ml' })).toBeChecked();
  // A level of its category leads to all of it.
  await page.getByRole('navigation', { name: 'Where it belongs' }).getByRole('button', { name: 'Watercolour' }).click();
  await expect(page).toHaveURL(/category/);
  await expect(page.locator('[data-product]').first()).toBeVisible();
});
