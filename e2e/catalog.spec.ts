import { expect, type Page } from '@playwright/test';
import { deskOn, test } from './desk.ts';

async function choose(page: Page, name: string, content: string | Buffer): Promise<void> {
  const buffer = typeof content === 'string' ? Buffer.from(content) : content;
  // As long as another file is sent or read, none can be chosen.
  await expect(page.getByRole('button', { name: 'Choose a file' })).toBeEnabled();
  await page.getByLabel('Catalog file').setInputFiles({ name, mimeType: 'text/csv', buffer });
}
async function readAndPut(page: Page, name: string): Promise<void> {
  await page.getByRole('button', { name: 'Read the file' }).click();
  await page.getByRole('button', { name: 'Replace the live catalog' }).click({ timeout: 60_000 });
  // A catalog of which shoppers would miss something is asked about.
  const confirm = page.getByRole('dialog').getByRole('button', { name: 'Replace the live catalog' });
  const done = page.getByText(`${name}: In the shop`);
  await expect(confirm.or(done)).toBeVisible({ timeout: 60_000 });
  if (await confirm.isVisible()) await confirm.click();
  await expect(done).toBeVisible({ timeout: 60_000 });
}
/** Puts the demo's catalog back, which was live before, in one step. */
async function putBack(page: Page): Promise<void> {
  const before = page.getByRole('region', { name: 'Earlier catalogs' }).getByRole('listitem').first();
  await expect(before).toContainText('catalog.csv');
  await before.getByRole('button', { name: 'Put back' }).click();
  await expect(page.getByText('is live again')).toBeVisible({ timeout: 60_000 });
  const found = (await (await page.request.get('/shop/search?q=gouache')).json()) as { total: number };
  expect(found.total).toBeGreaterThan(10);
}

test('a file with foreign columns is mapped by itself, put right by hand, compared, and found when it is put in', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/catalog/bring-in', { folded: true });
  const rows = [
    'Artikelnummer;Vaterartikel;Bezeichnung;Hersteller;VK Preis;Papiergewicht;Notiz',
    ...Array.from(
      { length: 30 },
      (_, n) => `FM-${n};F-${n >> 1};Aquarellblock ${n >> 1};Amsel;${n},50;${n % 2 ? '300' : '300 gsm'};x`,
    ),
    'FM-90;F-90;;Amsel;4,50;300;x',
    'FM-91;F-91;Block;Amsel;viele;300;x',
  ];
  await choose(page, 'katalog.csv', Buffer.from(rows.join('\r\n'), 'latin1'));
  await expect(page.getByRole('heading', { name: 'What the columns of katalog.csv are' })).toBeVisible();
  await expect(page.getByLabel('What “Artikelnummer” is')).toHaveValue('sku');
  await expect(page.getByLabel('What “Bezeichnung” is')).toHaveValue('title');
  await expect(page.getByLabel('What “VK Preis” is')).toHaveValue('price');
  await expect(page.getByLabel(/bare number in “Papiergewicht”/)).toHaveValue('{value} gsm');
  // What is wrong is reported before anything is read.
  await page.getByLabel('What “Bezeichnung” is').selectOption('skip');
  await expect(page.getByText('Choose the column that holds the title.')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Read the file' })).toBeDisabled();
  await page.getByLabel('What “Bezeichnung” is').selectOption('title');
  await page.getByLabel('What “Notiz” is').selectOption('skip');
  await page.getByRole('button', { name: 'Read the file' }).click();
  await expect(page.getByRole('heading', { name: 'What katalog.csv changes' })).toBeVisible({ timeout: 60_000 });
  const refused = page.getByRole('region', { name: 'Refused rows' });
  await expect(refused).toContainText('The row has no title.');
  await expect(refused).toContainText('"viele" is not a number.');
  // Shoppers have the old catalog until it is put in.
  const before = (await (await page.request.get('/shop/search?q=aquarellblock')).json()) as { total: number };
  expect(before.total).toBe(0);
  await page.getByRole('button', { name: 'Replace the live catalog' }).click();
  // It has nothing of what shoppers find now: that is said, and changes nothing until it is confirmed.
  const question = page.getByRole('dialog', { name: 'Replace the live catalog?' });
  await expect(question).toContainText('variants are not in the new catalog');
  await expect(question).toContainText('on the first page of frequent searches');
  await question.getByRole('button', { name: 'Cancel' }).click();
  expect(((await (await page.request.get('/shop/search?q=aquarellblock')).json()) as { total: number }).total).toBe(0);
  await page.getByRole('button', { name: 'Replace the live catalog' }).click();
  await question.getByRole('button', { name: 'Replace the live catalog' }).click();
  await expect(page.getByText('katalog.csv: In the shop')).toBeVisible({ timeout: 60_000 });
  const after = (await (await page.request.get('/shop/search?q=aquarellblock')).json()) as { total: number };
  expect(after.total).toBe(15);
  // Another file of the same shape is read as decided before.
  await choose(page, 'katalog2.csv', Buffer.from(rows.slice(0, 9).join('\r\n'), 'latin1'));
  await expect(page.getByText('You imported a file with these columns before')).toBeVisible();
  await expect(page.getByLabel('What “Notiz” is')).toHaveValue('skip');
  await page.getByRole('button', { name: 'Cancel import' }).click();
  await expect(page.getByRole('button', { name: 'Choose a file' })).toBeVisible();
  await putBack(page);
});

test('bad files are told in a sentence and change nothing', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/catalog/bring-in', { folded: true });
  await choose(page, 'table.xlsx', Buffer.from('PK\u0003\u0004rest of it'));
  await expect(page.getByText(/spreadsheet or an archive/)).toBeVisible();
  await choose(page, 'empty.csv', '');
  await expect(page.getByText(/The file is empty/)).toBeVisible();
  await choose(page, 'mine.csv', 'id,title,price\na1,"<script>alert(1)</script> easel",12.50\na2,Other,1,2\n');
  await readAndPut(page, 'mine.csv');
  const found = (await (await page.request.get('/shop/search?q=easel')).json()) as { results: { title: string }[] };
  // Markup is taken out as it is read: what is left is text.
  expect(found.results.map(({ title }) => title)).toEqual(['easel']);
  await putBack(page);
});

test('a cell is typed into, a stretch is pasted, many products are tagged: seen in the window, undone', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/catalog/products');
  await desk.trial('alizarin crimson');
  await page.getByLabel('Search the catalog').fill('alizarin crimson watercolour');
  const grid = page.getByRole('grid', { name: 'Catalog' });
  const row = grid.getByRole('row').nth(1);
  await expect(row).toContainText('Alizarin Crimson watercolour');
  await grid.focus();
  await page.keyboard.type('Zebra wash');
  await page.keyboard.press('Enter');
  await expect(row).toContainText('Zebra wash');
  await desk.trial('zebra');
  expect(await desk.titles()).toEqual(['Zebra wash']);
  const live = (await (await page.request.get('/shop/search?q=zebra')).json()) as { total: number };
  expect(live.total).toBe(0);
  await page.getByRole('button', { name: /^Undo: Title is set/ }).click();
  await expect.poll(() => desk.total()).toBe(0);

  const all = page.getByLabel('Choose every product the list shows');
  await all.check();
  const status = page.getByRole('region', { name: 'What to do with the products chosen' }).getByRole('status');
  const amount = Number.parseInt(await status.innerText(), 10);
  await row.getByRole('checkbox').uncheck();
  await expect(status).toHaveText(`${amount - 1} products chosen`);
  await expect(all).not.toBeChecked();
  await page.getByRole('button', { name: 'Add a tag' }).click();
  await page.getByPlaceholder('A tag, known or new').fill('zebra range');
  await page.getByText('A new tag: “zebra range”').click();
  await expect(page.getByText(`Tagged “zebra range”: ${amount - 1} products`)).toBeVisible();
  await expect.poll(() => desk.total()).toBeGreaterThan(1);
  expect(await desk.unpublished()).toBe(1);
  await page.getByRole('button', { name: /^Undo: Tagged/ }).click();
  await expect.poll(() => desk.total()).toBe(0);
});

test('what is pasted from a spreadsheet falls on the cells from where one is; a wrong one changes none', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/catalog/products');
  await page.getByLabel('Search the catalog').fill('vermilion gouache');
  const grid = page.getByRole('grid', { name: 'Catalog' });
  await expect(grid.getByRole('row').nth(1)).toContainText('Vermilion');
  await grid.focus();
  await page.keyboard.press('ArrowRight');
  const paste = (text: string) =>
    grid.evaluate((element, pasted) => {
      const data = new DataTransfer();
      data.setData('text/plain', pasted);
      element.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true, cancelable: true }));
    }, text);
  await paste('7.25\t12');
  await expect(grid.getByRole('row').nth(1)).toContainText('7.25');
  await expect(grid.getByRole('row').nth(1)).toContainText('12');
  await paste('1.00\tmany');
  await expect(page.getByText('“many” is not a number.')).toBeVisible();
  await expect(grid.getByRole('row').nth(1)).toContainText('7.25');
});

test('a product’s page says where a value comes from, which source wins, and discards it', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/catalog/products/p0002');
  await page.getByLabel('Brand', { exact: true }).fill('Zebra & Sons');
  await page.getByLabel('Brand', { exact: true }).press('Enter');
  await expect(page.getByText('Set here; the file says “Larkspur”.')).toBeVisible();
  await desk.trial('zebra sons');
  expect(await desk.total()).toBe(1);
  await page.getByLabel('Which Brand counts where both have one').selectOption('file');
  await expect(page.getByText('Set here, but the file wins; the file says “Larkspur”.')).toBeVisible();
  await expect.poll(() => desk.total()).toBe(0);
  await page.getByRole('button', { name: 'Discard my value' }).click();
  await expect(page.getByText('the file says “Larkspur”')).toHaveCount(0);
});

test('a changed price is in the window within seconds, without a reload', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/catalog/feed');
  await desk.trial('alizarin crimson watercolour larkspur');
  const records = [1, 2, 3].map((variant) => ({ id: `p0002-${variant}`, price: 99.95 }));
  const answer = await page.request.post('/desk/catalog/facts', { data: { records } });
  expect(((await answer.json()) as { changed: number }).changed).toBe(3);
  await expect(desk.shop.getByText('£99.95').first()).toBeVisible({ timeout: 10_000 });
  await expect(page.getByText(/Prices and stock: .* ago/)).toBeVisible();
});

test('collections and articles stand beside the products, and can be left out', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/content');
  await desk.trial('gouache');
  await expect(desk.shop.getByRole('button', { name: 'Gouaches' })).toBeVisible();
  // Only the rows in sight are there.
  await page.getByRole('region', { name: 'Collections', exact: true }).evaluate((list) => list.scrollTo(0, 480));
  await page.getByRole('switch', { name: '“Gouaches” may be found' }).click();
  await expect(desk.shop.getByRole('button', { name: 'Gouaches' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Undo: The collection/ }).click();
  await desk.shop.getByRole('button', { name: 'Gouaches' }).click();
  await expect(desk.shop.getByRole('heading', { level: 1, name: 'Gouaches' })).toBeVisible();
});

test('what shoppers search for is counted, and goes on being written by the shop', async ({ page }) => {
  const count = async () =>
    (
      (await (await page.request.get('/desk/demand?limit=1')).json()) as {
        summary: { searches: number; clicks: number };
      }
    ).summary;
  const before = await count();
  await page.goto('/shop?q=sketchbook');
  await page.locator('[data-product] h2 button').first().click();
  await page.getByRole('button', { name: 'Put in basket' }).click();
  await expect(page.getByText('1 in your basket', { exact: true })).toBeVisible();
  await expect.poll(async () => (await count()).clicks).toBe(before.clicks + 1);
  expect((await count()).searches).toBe(before.searches + 1);
  const desk = deskOn(page);
  await desk.open('/demand');
  await page.getByRole('button', { name: 'sketchbook', exact: true }).click();
  await expect(desk.shop.getByRole('heading', { level: 1, name: 'Results for “sketchbook”' })).toBeVisible();
});

test('what is taken away comes in again without a change', async ({ page }) => {
  const csv = await (await page.request.get('/desk/catalog/export?format=csv')).body();
  await page.goto('/catalog/bring-in');
  await choose(page, 'out.csv', csv);
  await page.getByRole('button', { name: 'Read the file' }).click();
  await expect(page.getByRole('heading', { name: 'What out.csv changes' })).toBeVisible({ timeout: 60_000 });
  await expect(page.getByRole('radio', { name: /^0 ?changed/ })).toBeVisible();
  await expect(page.getByRole('radio', { name: /^5,883 ?unchanged/ })).toBeVisible();
  await page.getByRole('button', { name: 'Cancel import' }).click();
});
