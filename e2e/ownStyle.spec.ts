import { expect } from '@playwright/test';
import { stylePieces } from '../core/look/stylePieces.ts';
import { cardPieces } from '../core/setup/terms/cardTerms.ts';
import { deskOn, publishOnce, test } from './desk.ts';
import { standIn, standInServed } from './standIn.ts';

test.beforeAll(({ request }) => standInServed(request));

test('a style sheet of one’s own is seen in the window, mistakes are told by line, and it arrives in a page of another origin', async ({
  page,
  context,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/style');
  await desk.trial('gouache');
  const sheet = page.getByRole('textbox', { name: 'Style sheet' });
  const leftOut = page.getByRole('list', { name: 'Left out' }).getByRole('listitem');
  const title = desk.shop.locator('[part~="title"]').first();
  const colour = () => title.evaluate((text) => getComputedStyle(text).color);
  await page.getByRole('button', { name: 'Begin a rule for title: its title' }).click();
  await expect(sheet).toHaveValue('[part~="title"] {\n  \n}\n');
  await sheet.fill(
    '[part~="title"] { color: #123456 }\n* { background: url(//elsewhere.example/a.png) }\nbody { margin: 9px }',
  );
  await expect.poll(colour).toBe('rgb(18, 52, 86)');
  await expect(leftOut).toHaveText([/^Line 2Nothing may be fetched/, /^Line 3“body” stands around the shop/]);
  // Half a rule takes nothing from what stands before it.
  await sheet.pressSequentially('\n[part~="price"] { color: ');
  await expect.poll(colour).toBe('rgb(18, 52, 86)');
  await sheet.fill('[part~="title"] { color: #654321 }');
  await expect.poll(colour).toBe('rgb(101, 67, 33)');
  await expect(leftOut).toHaveCount(0);
  await publishOnce(page.request, 'look', { style: { css: '[part~="title"] { color: #654321 }' } });

  const shop = await context.newPage();
  const asked: string[] = [];
  shop.on('request', (request) => asked.push(request.url()));
  await shop.goto(`${standIn}/search.html?q=gouache`);
  const there = shop.locator('[part~="title"]').first();
  await expect.poll(() => there.evaluate((text) => getComputedStyle(text).color)).toBe('rgb(101, 67, 33)');
  expect(asked.filter((url) => url.includes('elsewhere'))).toEqual([]);
});

test('every piece that a style sheet may take hold of is there', async ({ page, request }) => {
  const { revision, setup } = (await (await request.get('/desk/state')).json()) as {
    revision: number;
    setup: { attributes: Record<string, object> };
  };
  const card = {
    pieces: cardPieces.map((piece) => ({ piece, on: true })),
    ...{ rating: 'number', stock: 'always', saving: true, labels: true, quantity: true, ratings: true },
  };
  const condition = { match: 'all', tests: [{ how: 'inStock' }] };
  const badges = {
    most: 1,
    list: [{ key: 'there', text: { en: 'There' }, colour: '#205080', place: 'left', on: true, condition }],
  };
  const edits = [
    { part: 'resultsPage', key: 'card', value: card },
    { part: 'badges', key: 'shown', value: badges },
    { part: 'attributes', key: 'category', value: { ...setup.attributes.category, onCard: true } },
    { part: 'attributes', key: 'former_price', value: { ...setup.attributes.former_price, onCard: true } },
  ];
  const edited = await request.post('/desk/edits', { data: { revision, edits } });
  expect(edited.ok(), await edited.text()).toBe(true);
  const { token } = (await (await request.post('/desk/previews/make', { data: { days: 1 } })).json()) as {
    token: string;
  };
  // The cheapest first: what is reduced stands among them.
  await page.goto(`/preview/${token}?q=brush`);
  await expect(page.locator('[data-product]').first()).toBeVisible();
  for (const [name] of stylePieces)
    await expect(page.locator(`[part~="${name}"]`).first(), `there is no piece “${name}”`).toBeAttached();
});
