import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { type Browser, expect, type Page, test } from '@playwright/test';
import { type RealServer, startRealServer } from '../server/testing/realServer.ts';
import { smallDemo } from '../server/testing/smallDemo.ts';
import { freePort } from './freePort.ts';

/** Two people at two browsers, at one desk: at different things and at the same, in one draft and in several. */
const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const demo = smallDemo(join(root, 'demo', 'store'), ['setup.json', 'storefronts.json']);
let data: string;
let server: RealServer;
test.beforeAll(async () => {
  data = mkdtempSync(join(tmpdir(), 'clever-shelf-together-'));
  server = await startRealServer({ root, data, demo, port: await freePort(), arguments: ['--cold'] });
});
test.afterAll(async () => {
  await server.kill();
  for (const folder of [data, demo]) rmSync(folder, { recursive: true, force: true });
});

/** Somebody at a browser of their own, at a screen of the desk. */
async function person(browser: Browser, name: string, path: string): Promise<Page> {
  const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
  const url = server.base;
  await context.addCookies([{ name: 'clever-shelf-person', value: encodeURIComponent(name), url }]);
  const page = await context.newPage();
  await page.goto(server.base + path);
  await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
  return page;
}
const weight = (page: Page, attribute: string) =>
  page.getByRole('spinbutton', { name: `Exact weight of ${attribute}`, exact: true });
async function weigh(page: Page, attribute: string, value: number): Promise<void> {
  await weight(page, attribute).fill(String(value));
  await page.keyboard.press('Enter');
}

test('what one does shows with the other, each undoes their own, and what both changed is asked about', async ({
  browser,
}) => {
  const ada = await person(browser, 'Ada', '/main/main/relevance');
  const ben = await person(browser, 'Ben', '/main/main/relevance');
  await expect(ada.getByRole('list', { name: 'Also here' })).toHaveText(/Ben is on Relevance/);
  await weigh(ben, 'Title', 7);
  await expect(ada.getByText('Ben changed this draft')).toBeVisible();
  await expect(weight(ada, 'Title')).toHaveValue('7');
  await weight(ben, 'Brand').focus();
  await expect(ada.getByText('Ben is in “Exact weight of Brand”.')).toBeVisible();
  const [mark, field] = await Promise.all([
    ada.locator('[data-typing=Ben]').boundingBox(),
    weight(ada, 'Brand').boundingBox(),
  ]);
  expect(Math.abs(mark!.y - field!.y) + Math.abs(mark!.x - field!.x)).toBeLessThan(4);
  await weigh(ada, 'Brand', 3);
  await expect(weight(ben, 'Brand')).toHaveValue('3');
  await ada.getByRole('button', { name: /^Undo/ }).click();
  await expect(weight(ben, 'Brand')).toHaveValue('5');
  await expect(weight(ben, 'Title')).toHaveValue('7');
  await expect(ada.getByRole('button', { name: 'Nothing to undo' })).toBeDisabled();
  // The same thing: what Ben did was changed again by Ada.
  await weigh(ada, 'Title', 4);
  await expect(weight(ben, 'Title')).toHaveValue('4');
  await ben.getByRole('button', { name: /^Undo/ }).click();
  const asked = ben.getByRole('alertdialog', { name: 'Ada changed this since' });
  await expect(asked).toContainText('Title counts 4 instead of 10');
  await asked.getByRole('button', { name: 'Leave it' }).click();
  await expect(weight(ben, 'Title')).toHaveValue('4');
  await ada.getByRole('button', { name: /^Undo/ }).click();
  await expect(weight(ben, 'Title')).toHaveValue('7');
  // Published under the other's feet.
  await ada.getByRole('button', { name: 'Publish…' }).click();
  await ben.getByRole('button', { name: 'Publish…' }).click();
  await ben.getByRole('button', { name: 'Publish to shoppers' }).click();
  await expect(ada.getByText('Ben published release 2')).toBeVisible();
  await expect(ada.getByRole('button', { name: 'Publish to shoppers' })).toBeDisabled();
  for (const page of [ada, ben]) await page.context().close();
});

test('a season is prepared in a draft of its own, brought up to what was published meanwhile, and merged in one step', async ({
  browser,
}) => {
  const ada = await person(browser, 'Ada', '/main/main/drafts');
  await ada.getByRole('button', { name: 'Begin a draft' }).click();
  await ada.getByLabel('Name').fill('Winter season');
  await ada.getByRole('button', { name: 'Begin it' }).click();
  await expect(ada).toHaveURL(/\/main\/winter-season\/attributes/);
  await expect(ada.getByRole('button', { name: 'The draft: Winter season' })).toBeVisible();
  await ada.getByRole('link', { name: 'Relevance' }).click();
  await weigh(ada, 'Brand', 9);
  await weigh(ada, 'Shade', 2);
  await expect(ada.getByText('2 changes not published')).toBeVisible();
  const ben = await person(browser, 'Ben', '/main/main/relevance');
  await expect(weight(ben, 'Brand')).toHaveValue('5');
  await weigh(ben, 'Brand', 4);
  await weigh(ben, 'Kind', 8);
  await ben.getByRole('button', { name: 'Publish…' }).click();
  await ben.getByRole('button', { name: 'Publish to shoppers' }).click();
  await ada.getByRole('button', { name: 'Bring up to date' }).click();
  await expect(ada.getByRole('heading', { name: 'Merge', level: 1 })).toBeVisible();
  await expect(ada.getByText('Kind counts 8 instead of 6.')).toBeVisible();
  await expect(ada.getByRole('button', { name: 'Merge, after 1 answer' })).toBeDisabled();
  await ada.getByRole('radio', { name: /Winter season Brand counts 9 instead of 5/ }).check();
  await ada.getByRole('button', { name: 'Merge', exact: true }).click();
  await expect(ada.getByText('Merged into Winter season')).toBeVisible();
  await ada.getByRole('link', { name: 'Relevance' }).click();
  await expect(weight(ada, 'Kind')).toHaveValue('8');
  await expect(weight(ada, 'Brand')).toHaveValue('9');
  // Into the other draft, in one step; then the draft has had its day.
  await ben.goto(`${server.base}/main/main/drafts`);
  await ben.getByRole('link', { name: /^Merge into yours.*Winter season/ }).click();
  await ben.getByRole('button', { name: 'Merge', exact: true }).click();
  await expect(ben.getByText('2 changes not published')).toBeVisible();
  await ben.getByRole('button', { name: 'Take out Winter season' }).click();
  // Taken out under the other's feet: nothing is edited into the void.
  await expect(ada.getByRole('heading', { name: 'The desk cannot be opened' })).toBeVisible();
  await ada.getByRole('link', { name: 'Go to another draft' }).click();
  await expect(ada).toHaveURL(/\/main\/main/);
  await ben.getByRole('button', { name: 'Put back Winter season' }).click();
  await expect(ben.getByRole('button', { name: 'Take out Winter season' })).toBeVisible();
  for (const page of [ada, ben]) await page.context().close();
});

test('another draft shows in the shop that stands in the window already, and what was done there acts on that draft', async ({
  browser,
}) => {
  const page = await person(browser, 'Ada', '/main/main/relevance');
  const { results } = (await server.get('/shop/main/search?q=sketchbook')).body as { results: { familyId: string }[] };
  const product = results[0]!.familyId;
  await server.post('/desk/main/main/drafts/begin', { name: 'Spring titles', from: 'release:live' });
  const value = { product, variant: null, attribute: 'title', act: 'set', value: 'Spring sketchbook' };
  const edits = [{ part: 'products', key: `${product}//title`, value }];
  expect((await server.post('/desk/main/spring-titles/edits', { revision: 1, edits })).status).toBe(200);
  await page.getByLabel('Trial search', { exact: true }).fill('sketchbook');
  await page.keyboard.press('Enter');
  const shop = page.frameLocator('iframe[title="The shop as shoppers see it"]');
  const card = shop.locator(`[data-product="${product}"]`);
  await expect(card).toBeVisible();
  await expect(shop.getByText('Spring sketchbook')).toHaveCount(0);
  await shop.locator('html').evaluate((root) => root.setAttribute('data-stands', ''));
  await page.getByRole('button', { name: /^The draft:/ }).click();
  await page.getByRole('menuitem', { name: /^Spring titles/ }).click();
  await expect(card.getByText('Spring sketchbook')).toBeVisible();
  await expect(page.getByRole('button', { name: 'The draft: Spring titles' })).toBeVisible();
  await expect(shop.locator('html[data-stands]')).toHaveCount(1);
  // What is done there is done in the draft whose desk it is.
  await card.getByRole('button', { name: /What to do with it$/ }).click();
  await shop.getByRole('menuitem', { name: /^Boost (?!everywhere)/ }).click();
  await expect(page.getByText('2 changes not published')).toBeVisible();
  await page.goBack();
  await expect(page.getByRole('button', { name: 'The draft: Main draft' })).toBeVisible();
  await expect(shop.getByText('Spring sketchbook')).toHaveCount(0);
  await expect(card).toBeVisible();
  await expect(shop.locator('html[data-stands]')).toHaveCount(1);
  await page.context().close();
});

test('a second storefront answers its shoppers at once, an empty one as soon as it has a catalog, and one is removed by its name', async ({
  browser,
}) => {
  const ada = await person(browser, 'Ada', '/main/main/storefronts');
  await ada.getByRole('button', { name: 'Make a storefront' }).click();
  await ada.getByLabel('Called here').fill('Austria');
  await ada.getByLabel('Its catalog').selectOption({ label: 'A copy of that of Wren & Umber' });
  await ada.getByRole('button', { name: 'Make it' }).click();
  await expect(ada).toHaveURL(/\/austria\/main\/attributes/);
  await expect(ada.getByRole('button', { name: 'The shop: Austria' })).toBeVisible();
  expect((await server.get('/shop/austria/search?q=brush')).status).toBe(200);
  await ada.goto(`${server.base}/austria/main/storefronts?make`);
  await ada.getByLabel('Called here').fill('Market stall');
  await ada.getByLabel('Begins with').selectOption({ label: 'Nothing' });
  await ada.getByRole('button', { name: 'Make it' }).click();
  await expect(ada).toHaveURL(/\/market-stall\/main\/catalog\/bring-in/);
  await expect(ada.getByText('Market stall has no catalog yet')).toBeVisible();
  await ada.locator('input[type=file]').setInputFiles({
    name: 'stall.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from('id,title,price\n1,Honey jar,4\n2,Plum jam,3\n3,Apple juice,2\n'),
  });
  await ada.getByRole('button', { name: 'Read the file' }).click();
  await ada.getByRole('button', { name: /Bring it in|Make it live|Replace/ }).click();
  await expect(ada.getByText('has no catalog yet')).toBeHidden();
  await expect
    .poll(async () => ((await server.get('/shop/market-stall/search?q=jam')).body as { total: number }).total)
    .toBe(1);
  expect(((await server.get('/shop/search?q=jam')).body as { total: number }).total).not.toBe(1);
  await ada.goto(`${server.base}/main/main/storefronts`);
  await ada.getByRole('button', { name: 'Close Austria' }).click();
  await expect(ada.getByText('Austria is closed')).toBeVisible();
  expect((await server.get('/shop/austria/search?q=brush')).status).toBe(410);
  await ada.getByRole('button', { name: 'Remove … Austria' }).click();
  await expect(ada.getByRole('button', { name: 'Remove it for good' })).toBeDisabled();
  await ada.getByLabel('Type “Austria” to remove it').fill('Austria');
  await ada.getByRole('button', { name: 'Remove it for good' }).click();
  await expect(ada.getByRole('button', { name: 'Remove … Austria' })).toBeHidden();
  await expect.poll(async () => (await server.get('/shop/austria/search?q=brush')).status).toBe(404);
  expect((await server.get('/shop/main/search?q=brush')).status).toBe(200);
  await ada.context().close();
});

test('a storefront shares records in its own language and money, and follows parts until it makes them its own', async ({
  browser,
}) => {
  const found = async (storefront: string, query: string) =>
    (await server.get(`/shop/${storefront}/search?q=${encodeURIComponent(query)}`)).body as {
      total: number;
      results?: { title: string; currency: string; price: number }[];
    };
  // A server that has only just begun says first that the storefront is being made ready.
  await expect
    .poll(async () => (await found('germany', 'kadmiumrot')).results?.[0], { timeout: 120_000 })
    .toMatchObject({ title: expect.stringContaining('Kadmiumrot'), currency: 'EUR' });
  const ben = await person(browser, 'Ben', '/germany/main/relevance');
  const width = (page: Page) => page.getByRole('spinbutton', { name: 'Width of a close call, in points' });
  await expect(ben.getByText('Rules of relevance follow Wren & Umber')).toBeVisible();
  // Declined, the field shows what holds.
  await width(ben).pressSequentially('7');
  await ben.keyboard.press('Enter');
  await ben.getByRole('alertdialog').getByRole('button', { name: 'Cancel' }).click();
  await expect(width(ben)).toHaveValue('3');

  const ada = await person(browser, 'Ada', '/main/main/relevance');
  await width(ada).fill('5');
  await ada.keyboard.press('Enter');
  await ada.getByRole('button', { name: 'Publish…' }).click();
  await expect(ada.getByRole('checkbox', { name: /^Germany follows this one in rules of relevance/ })).toBeChecked();
  await ada.getByRole('button', { name: 'Publish to shoppers' }).click();
  await expect(ben.getByText('Ada published what this storefront follows')).toBeVisible();
  await expect(width(ben)).toHaveValue('5');
  await expect(ben.getByText('All published')).toBeVisible();
  // Held back, it keeps what it has, and says so.
  await width(ada).fill('6');
  await ada.keyboard.press('Enter');
  await ada.getByRole('button', { name: 'Publish…' }).click();
  await ada.getByRole('checkbox', { name: /^Germany/ }).uncheck();
  await ada.getByRole('button', { name: 'Publish to shoppers' }).click();
  await expect(ben.getByText('What it published last was held back')).toBeVisible();
  await ben.getByRole('button', { name: 'Make them this storefront’s own' }).click();
  await expect(ben.getByText('Rules of relevance follow Wren & Umber')).toBeHidden();
  await width(ben).fill('8');
  await ben.keyboard.press('Enter');
  await expect(width(ben)).toHaveValue('8');
  await expect(ben.getByText(/changes not published/)).toBeVisible();
  await expect(width(ada)).toHaveValue('6');
  for (const page of [ada, ben]) await page.context().close();
});
