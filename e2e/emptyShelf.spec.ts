import { expect } from '@playwright/test';
import { deskOn, test } from './desk.ts';

test('steps are switched and moved from the keyboard; a shopper is told what was done, and can search for just that', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/empty-shelf/steps');
  const steps = page.getByRole('list', { name: 'Steps, in order' }).getByRole('listitem');
  await expect(steps.first()).toContainText('Synonyms');
  await expect(steps.filter({ hasText: 'Nearest in meaning' })).toContainText(/Helps \d+ search/, { timeout: 30_000 });

  // Corrected spelling is the step needed; the shopper can have just what was typed.
  await desk.trial('sketchboook');
  await expect(desk.shop.getByText('Showing results for sketchbook instead of “sketchboook”.')).toBeVisible();
  await desk.shop.getByRole('button', { name: 'Search only for “sketchboook”' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “sketchboook”')).toBeVisible();
  await desk.shop.getByRole('button', { name: 'Search as usual' }).click();
  await expect.poll(() => desk.total()).toBeGreaterThan(0);

  // Words nothing has, dropped; and not any more.
  await desk.trial('brush xylophonist');
  await expect(desk.shop.getByText('Nothing has all these words; “xylophonist” left out.')).toBeVisible();
  await page.getByRole('switch', { name: 'Dropped words on' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “brush xylophonist”')).toBeVisible();
  const grip = steps
    .filter({ hasText: 'Nearest in meaning' })
    .getByRole('button', { name: /Nearest in meaning/ })
    .first();
  await grip.focus();
  await page.keyboard.press('Space');
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Space');
  await expect(steps.nth(3)).toContainText('Nearest in meaning');
  const live = (await (await page.request.get('/shop/main/search?q=brush+xylophonist')).json()) as {
    dropped: string[];
  };
  expect(live.dropped).toEqual(['xylophonist']);
});

test('a synonym counts as long as its step is on; a value that was a filter counts as a word where nothing fits', async ({
  page,
}) => {
  const desk = deskOn(page);
  const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
  const sayings = { what: 'oneWay', from: ['quolliwog'], to: ['sketchbook'], on: true };
  const values = { what: 'recognised', price: true, attributes: { brand: 'filter' } };
  const edits = [
    { part: 'vocabulary', key: 'way-quolliwog', value: sayings },
    { part: 'vocabulary', key: 'recognised', value: values },
  ];
  expect((await page.request.post('/desk/edits', { data: { revision, edits } })).ok()).toBe(true);
  await desk.open('/empty-shelf/steps');
  await desk.trial('quolliwog');
  await expect.poll(() => desk.total()).toBeGreaterThan(0);
  await page.getByRole('switch', { name: 'Synonyms on' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “quolliwog”')).toBeVisible();

  await desk.trial('harrow easel');
  await expect(desk.shop.getByText('Nothing fits with “harrow” as a filter; it counts as plain words.')).toBeVisible();
  await page.getByRole('switch', { name: 'Loosened filters on' }).click();
  await expect(desk.shop.getByText('Nothing on our shelves matches “harrow easel”')).toBeVisible();
});

test('what shoppers tried next stands in for a word nobody carries, in a collection the whole shop does', async ({
  page,
}) => {
  const desk = deskOn(page);
  // Made with the searches that may be offered.
  await page.request.get('/desk/main/main/suggest?q=b');
  await desk.open('/attributes');
  await desk.trial('aquarelle');
  await expect(desk.shop.getByText('Showing results for watercolour, which is close to it.')).toBeVisible();

  await page.goto('/shop/main/?collection=papers&q=easel');
  await expect(page.getByText('Showing what the whole shop has.')).toBeVisible();
  await page.getByRole('button', { name: 'Search only for “easel”' }).click();
  await expect(page.getByText('Nothing on our shelves matches “easel”')).toBeVisible();
});

test('a dead end is mended from the work list, several together, and taken back in one step', async ({ page }) => {
  const desk = deskOn(page);
  await desk.open('/dead-ends');
  const carried = page.getByRole('list', { name: 'Not carried' });
  await expect(carried.getByRole('listitem').first()).toContainText('clay', { timeout: 30_000 });
  await page.getByRole('button', { name: 'What would mend clay' }).click();
  const remedies = page.getByRole('list', { name: 'What would mend clay' });
  await expect(remedies).toContainText('We do not carry “clay”', { timeout: 30_000 });
  await remedies.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'What would mend glitter' }).click();
  const others = page.getByRole('list', { name: 'What would mend glitter' });
  await expect(others).toContainText('We do not carry “glitter”', { timeout: 30_000 });
  await others.getByRole('checkbox').first().check();
  await page.getByRole('button', { name: 'Mend 2 searches' }).click();
  await expect(page.getByText('2 dead ends mended')).toBeVisible();
  await expect(page.getByRole('button', { name: 'What would mend clay' })).toHaveCount(0, { timeout: 30_000 });
  await desk.trial('clay');
  await expect(desk.shop.getByText('We do not carry “clay”. This is what others buy from us.')).toBeVisible();
  await expect(desk.shop.getByRole('list', { name: 'Best sellers' }).getByRole('listitem')).toHaveCount(4);
  expect(await desk.unpublished()).toBe(2);
  await desk.undoAll();
  await expect(page.getByRole('button', { name: 'What would mend clay' })).toBeVisible({ timeout: 30_000 });
});

test('a special page stands for its words, with tips, products and a link; redirects stand in one list', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/empty-shelf/special');
  await page.getByLabel('Words of a new special page').fill('pottery');
  await page.getByLabel('Words of a new special page').press('Enter');
  await page.getByLabel('Message of pottery').fill('No <i>{search}</i> here.');
  await page.getByLabel('Tips of pottery').fill('Ask a potter\nLook for clay');
  await desk.trial('pottery wheel');
  await expect(desk.shop.getByText('No <i>pottery wheel</i> here.')).toBeVisible();
  await expect(desk.shop.getByRole('list', { name: 'Tips' }).getByRole('listitem')).toHaveText([
    ...['Ask a potter', 'Look for clay'],
  ]);
  await page.getByLabel('Page that pottery sends shoppers to').fill('/articles/nowhere');
  await page.getByLabel('Page that pottery sends shoppers to').press('Enter');
  await expect(desk.shop.getByText('Shoppers are sent to /articles/nowhere')).toBeVisible();

  await page.getByRole('link', { name: 'Redirects' }).click();
  const row = page.getByRole('listitem').filter({ hasText: '“pottery”' });
  await expect(row).toContainText('It leads to an article of the shop that is not there.', { timeout: 30_000 });
  await expect(row).toContainText('Caught', { timeout: 30_000 });
  const text = 'searches,redirect\nopening times,/pages/hours\n,/nowhere\n';
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import' }).click();
  await (await chooser).setFiles({ name: 'redirects.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('sends shoppers to /pages/hours');
  await expect(dialog).toContainText('Say which searches are sent elsewhere.');
  await dialog.getByRole('button', { name: /^Take/ }).click();
  await desk.trial('opening times');
  await expect(desk.shop.getByText('/pages/hours')).toBeVisible();
});

test('the shopper log is switched off and on again at the desk', async ({ page }) => {
  const desk = deskOn(page);
  const noted = async (): Promise<unknown> =>
    (
      await page.request.post('/shop/main/log/search', { data: { session: 's', search: 'nothing noted', results: 0 } })
    ).json();
  await desk.open('/demand');
  const toggle = page.getByRole('switch', { name: 'Write what shoppers do' });
  await toggle.click();
  await expect(toggle).not.toBeChecked();
  expect(await noted()).toEqual({ id: null });
  await toggle.click();
  await expect(toggle).toBeChecked();
});
