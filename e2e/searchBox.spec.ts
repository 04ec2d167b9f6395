import { expect, type FrameLocator, type Page } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, test } from './desk.ts';

const box = (shop: Page | FrameLocator) => shop.getByRole('combobox', { name: 'Search the shop' });
const block = (shop: Page | FrameLocator, name: string) => shop.getByRole('listbox').getByRole('group', { name });
const searches = (shop: Page | FrameLocator, name: string) => block(shop, name).getByRole('option');

test('a shopper goes through the three moments of the box by keyboard, and finds a search again', async ({ page }) => {
  await page.goto('/shop/main');
  await box(page).focus();
  // Those made most may not be counted yet when the server has just begun.
  await expect(async () => {
    await page.reload();
    await box(page).focus();
    await expect(searches(page, 'Often searched').first()).toBeVisible({ timeout: 2000 });
  }).toPass();
  await expect(block(page, 'Searched before')).toHaveCount(0);

  await box(page).pressSequentially('watercolour p');
  await expect(searches(page, 'Suggestions').first()).toHaveText('watercolour paper');
  await expect(block(page, 'Products').getByRole('option').first()).toBeVisible();
  expect(await seriousProblems(page, { within: 'search' })).toEqual([]);
  await box(page).press('ArrowDown');
  await box(page).press('Enter');
  await expect(page.getByRole('heading', { level: 1, name: 'Results for “watercolour paper”' })).toBeVisible();
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(0);

  // Within a kind: the search as typed, with its filter chosen.
  await box(page).fill('brush');
  const within = searches(page, 'Look in').first();
  await expect(within).toContainText('“brush” in ');
  await within.click();
  await expect(page.getByRole('heading', { level: 1, name: 'Results for “brush”' })).toBeVisible();
  await expect(page).toHaveURL(/f\.[a-z]+=/);

  await box(page).fill('xylophonist');
  await expect(page.getByText('Nothing on our shelves matches “xylophonist”')).toBeVisible();
  await box(page).press('Escape');
  await box(page).fill('');
  await expect(searches(page, 'Searched before').first()).toHaveText('brush');
  await expect(searches(page, 'Searched before').nth(1)).toHaveText('watercolour paper');
});

test('on a phone the open box takes the whole window, with a way back', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 800 });
  await page.goto('/shop/main');
  await box(page).fill('ink');
  await expect(block(page, 'Products').getByRole('option').first()).toBeVisible();
  expect((await page.getByRole('search').boundingBox())!.height).toBeGreaterThanOrEqual(800);
  await page.getByRole('button', { name: 'Back' }).click();
  await expect(page.getByRole('listbox').getByRole('option')).toHaveCount(0);
  await expect(page.getByRole('heading', { level: 1, name: 'Everything in the shop' })).toBeVisible();
});

test('blocks are renamed, limited, put in another order and switched off, with the box open beside it', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/search-box/typing');
  await page.getByRole('textbox', { name: 'Typed so far' }).fill('brus');
  await page.keyboard.press('Enter');
  await expect(searches(desk.shop, 'Suggestions').first()).toBeVisible();
  const heads = () =>
    desk.shop
      .getByRole('listbox')
      .getByRole('group')
      .evaluateAll((all) =>
        all.map((each) => document.getElementById(each.getAttribute('aria-labelledby') ?? '')?.textContent),
      );
  expect(await heads()).toEqual(['Suggestions', 'Look in', 'Articles', 'Products', 'Collections']);

  await page.getByRole('textbox', { name: 'Heading of Products' }).fill('Our goods');
  await page.keyboard.press('Enter');
  await page.getByRole('spinbutton', { name: 'Lines of Products at most' }).fill('2');
  await page.keyboard.press('Enter');
  await expect(searches(desk.shop, 'Our goods')).toHaveCount(2);
  // By keyboard: the articles to the top of their column.
  await page.getByRole('button', { name: 'Move Articles' }).focus();
  for (const key of ['Space', 'Home', 'Space']) await page.keyboard.press(key);
  await page.getByRole('switch', { name: 'Look in shown' }).click();
  await expect.poll(heads).toEqual(['Articles', 'Suggestions', 'Our goods', 'Collections']);
  await page.getByRole('combobox', { name: 'Column of Products' }).selectOption('1');
  await expect.poll(heads).toEqual(['Articles', 'Suggestions', 'Our goods', 'Collections']);
  // What shoppers get is as it was.
  const live = await (await page.request.get('/shop/main/suggest?q=brus')).json();
  expect((live as { blocks: { title: string }[] }).blocks.map(({ title }) => title)).toContain('Products');
});

test('products stand in a grid with badges, and go into the basket from the box by keyboard and by mouse', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/results-page/badges');
  await page.getByRole('button', { name: 'The last few' }).click();
  await desk.trial('rose watercolour');
  await expect(desk.shop.getByText(/^Last [1-5]$/).first()).toBeVisible();
  await page.getByRole('link', { name: 'Search box' }).click();
  await page.getByRole('link', { name: 'While typing' }).click();
  // The screen is whole once the box that it is about is held open beside it.
  await expect(block(desk.shop, 'Products').getByRole('option').first()).toBeVisible();
  const sideBySide = page.getByLabel('Products side by side');
  await sideBySide.fill('3');
  await sideBySide.press('Enter');
  await expect.poll(() => desk.unpublished()).toBe(2);
  await expect(sideBySide).toHaveValue('3');
  await page.getByRole('button', { name: 'badges', exact: true }).click();
  await page.getByRole('button', { name: 'a way into the basket' }).click();
  await page.getByLabel('What the button says').fill('Find');
  await page.getByLabel('What the button says').press('Enter');
  await expect(desk.shop.getByRole('button', { name: 'Find' })).toBeVisible();
  await page.getByRole('button', { name: 'Publish…' }).click();
  await page.getByRole('button', { name: 'Publish to shoppers' }).click();
  // Shoppers have it once the dialog is gone.
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect.poll(() => desk.unpublished()).toBe(0);

  await page.goto('/shop/main');
  await box(page).pressSequentially('rose watercolour');
  const products = block(page, 'Products').getByRole('option');
  await expect(products.first()).toHaveAttribute('aria-keyshortcuts', 'Shift+Enter');
  await expect(async () => {
    const [first, second] = [await products.nth(0).boundingBox(), await products.nth(1).boundingBox()];
    expect(first!.y).toBe(second!.y);
  }).toPass();
  while ((await products.first().getAttribute('aria-selected')) !== 'true') await box(page).press('ArrowDown');
  await box(page).press('Shift+Enter');
  await products.nth(1).getByTitle('Put in basket (Shift+Enter)').click();
  await expect(page.getByRole('status', { name: 'Basket' })).toContainText('2 things in your basket');
  await expect(products.first()).toBeVisible();
  expect(await seriousProblems(page, { within: 'search' })).toEqual([]);
  await page.reload();
  await expect(page.getByRole('status', { name: 'Basket' })).toContainText('2 things in your basket');
});

test('searches of one’s own come from a file, stand first, and what is never to be offered is gone', async ({
  page,
}) => {
  const desk = deskOn(page);
  await desk.open('/search-box/suggested');
  const text = 'text,priority,always\nautumn sketchbook,20,\ngift set,90,on\nzebra crossing,99,on\n';
  const chooser = page.waitForEvent('filechooser');
  await page.getByRole('button', { name: 'Import' }).click();
  await (await chooser).setFiles({ name: 'suggested.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('The search “gift set” is suggested');
  await dialog.getByRole('button', { name: /^Take/ }).click();
  await expect(page.getByRole('list', { name: 'Searches of your own' }).getByRole('listitem')).toHaveCount(3);
  // A search that finds nothing stands in the list and is offered to nobody.
  await expect(searches(desk.shop, 'Often searched').first()).toHaveText('gift set');
  await expect(searches(desk.shop, 'Often searched').filter({ hasText: 'zebra' })).toHaveCount(0);

  const second = await searches(desk.shop, 'Often searched').nth(1).innerText();
  await page.getByRole('link', { name: 'Before typing' }).click();
  await page.getByRole('button', { name: `Never offer ${second}`, exact: true }).click();
  await expect(searches(desk.shop, 'Often searched').getByText(second, { exact: true })).toHaveCount(0);
});

test('on a slow line the box asks once the hand pauses, keeps what it shows, and ends with what was typed last', async ({
  page,
}) => {
  await page.goto('/shop/main');
  await box(page).focus();
  await expect(page.getByRole('listbox').getByRole('option').first()).toBeVisible();
  // A third generation phone line: 400 ms there and back, 400 kbit a second.
  const line = await page.context().newCDPSession(page);
  await line.send('Network.emulateNetworkConditions', {
    ...{ offline: false, latency: 400, downloadThroughput: 50_000, uploadThroughput: 50_000 },
  });
  const asked: string[] = [];
  const underWay = new Set<unknown>();
  page.on('request', (request) => {
    const address = new URL(request.url());
    if (!address.pathname.endsWith('/suggest')) return;
    asked.push(address.searchParams.get('q') ?? '');
    underWay.add(request);
  });
  for (const end of ['requestfinished', 'requestfailed'] as const)
    page.on(end as 'requestfinished', (request) => underWay.delete(request));
  await box(page).pressSequentially('waterc', { delay: 40 });
  await expect(searches(page, 'Suggestions').first()).toHaveText(/^waterc/, { timeout: 10_000 });
  // How often there is nothing under the box from now on.
  await page.evaluate(() => {
    const state = window as unknown as { gone: number };
    state.gone = 0;
    new MutationObserver(() => {
      if (document.querySelectorAll('[role="listbox"] [role="option"]').length === 0) state.gone++;
    }).observe(document.querySelector('search')!, { childList: true, subtree: true, attributes: true });
  });
  await box(page).pressSequentially('olour pap', { delay: 40 });
  await expect(searches(page, 'Suggestions').first()).toHaveText('watercolour paper', { timeout: 10_000 });
  // No late answer takes its place.
  await expect.poll(() => underWay.size).toBe(0);
  await expect(searches(page, 'Suggestions').first()).toHaveText('watercolour paper');
  expect(await page.evaluate(() => (window as unknown as { gone: number }).gone)).toBe(0);
  // One question for each pause, not one for each letter; on a slow machine there are more pauses.
  expect(asked.length).toBeLessThan('watercolour pap'.length);
  expect(asked.at(-1)).toBe('watercolour pap');
});
