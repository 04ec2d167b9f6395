import { type APIRequestContext, expect, type Page } from '@playwright/test';
import { seriousProblems } from './axe.ts';
import { deskOn, publishOnce, test } from './desk.ts';
import { freePort } from './freePort.ts';
import { openOtherSite } from './otherSite.ts';
import { standIn, standInServed } from './standIn.ts';

/** The shop's search within pages of other origins: the stand-in shop's, and bare ones that the tests write. */
let site: Awaited<ReturnType<typeof openOtherSite>>;
test.beforeAll(async ({ request }) => {
  site = await openOtherSite();
  await standInServed(request);
});
test.afterAll(() => site.close());

async function makeKey(request: APIRequestContext, origins = [site.origin]): Promise<string> {
  const made = await request.post('/desk/shop-keys/make', { data: { name: 'Bare pages', origins } });
  return ((await made.json()) as { key: string }).key;
}
const withdraw = (request: APIRequestContext, key: string, withdrawn = true) =>
  request.post('/desk/shop-keys/withdraw', { data: { key, withdrawn } });
/** The script, and parts of a page with their attributes. */
const script = (server: string): string => `<script type="module" src="${server}/embed/clever-shelf.js"></script>`;
const part = (key: string, more = '', inside = ''): string =>
  `<clever-shelf storefront="main" shop-key="${key}" ${more}>${inside}</clever-shelf>`;
const ownForm = '<form action="/own"><input name="q" aria-label="Our own search"></form>';

const box = (page: Page) => page.getByRole('combobox', { name: 'Search the shop' });
const ownSearch = (page: Page) => page.getByRole('textbox', { name: 'Our own search' });
const titles = (page: Page) => page.locator('[data-product] h2').allTextContents();
const found = (page: Page) => page.locator('[data-product] h2').first();
const serverOf = (baseURL: string | undefined): string => baseURL!.replace(/\/$/, '');

test('a shopper goes through the stand-in shop: box, results, filters, product and back, in two languages', async ({
  page,
}) => {
  await page.goto(standIn);
  await box(page).fill('ultramarine gouache');
  await page.getByRole('option', { name: /^Show all/ }).click();
  await expect(page).toHaveURL(`${standIn}/search.html?shelf.q=ultramarine+gouache`);
  await expect(page.getByRole('heading', { name: 'Results for “ultramarine gouache”' })).toBeVisible();
  expect((await titles(page))[0]).toBe('Ultramarine gouache');
  await page.getByRole('checkbox', { name: /^Larkspur/ }).check();
  await expect(page).toHaveURL(/shelf\.f\.brand=Larkspur/);
  await expect(page.locator('[data-product]').first()).toContainText('Larkspur');
  // Whoever is sent this address sees the same.
  const shared = page.url();
  const first = await found(page).innerText();
  await found(page).getByRole('button').click();
  await expect(page).toHaveURL(/\/product\.html\?shelf\.product=/);
  await expect(page.getByRole('article').getByRole('heading', { level: 2, name: first })).toBeVisible();
  await page.getByRole('button', { name: 'Put in basket' }).click();
  await expect(page.getByText('1 in your basket')).toBeVisible();
  // The basket counts in the page's head, and has a page of its own.
  await page.getByRole('link', { name: '1 thing in your basket' }).click();
  await expect(page).toHaveURL(
    `${standIn}/basket.html?shelf.basket=all&shelf.q=ultramarine+gouache&shelf.f.brand=Larkspur`,
  );
  await expect(page.getByRole('list', { name: 'Basket' })).toContainText(first);
  await expect(page.getByRole('region', { name: 'Goes well with it' })).toBeVisible();
  await page.goBack();
  await page.getByRole('link', { name: 'Back to the results' }).click();
  await expect(page).toHaveURL(/search\.html\?shelf\.q=ultramarine/);
  await page.goto(shared);
  expect(await found(page).innerText()).toBe(first);

  // A collection's page searches within it, and has a way out.
  await page.goto(`${standIn}/papers.html`);
  await expect(page.getByRole('heading', { level: 2, name: 'Papers' })).toBeVisible();
  await box(page).fill('cold press');
  await box(page).press('Enter');
  await expect(page).toHaveURL(`${standIn}/papers.html?shelf.q=cold+press`);
  await page.getByRole('button', { name: 'Look everywhere' }).click();
  await expect(page).toHaveURL(`${standIn}/search.html?shelf.q=cold+press`);

  await page.goto(`${standIn}/de/suche.html?shelf.q=gouache`);
  await expect(page.getByRole('heading', { name: 'Ergebnisse für „gouache“' })).toBeVisible();
  expect(await seriousProblems(page)).toEqual([]);
});

test('what is published arrives in the stand-in shop, and nothing before', async ({ page, context }) => {
  const desk = deskOn(page);
  await desk.open('/hiding');
  const shop = await context.newPage();
  await shop.goto(`${standIn}/search.html?shelf.q=masking+fluid`);
  const first = await found(shop).innerText();
  const id = await shop.locator('[data-product]').first().getAttribute('data-product');
  const { revision } = (await (await page.request.get('/desk/state')).json()) as { revision: number };
  await page.request.post('/desk/edits', {
    data: { revision, edits: [{ part: 'hiding', key: `product:${id}`, value: { what: 'product', product: id } }] },
  });
  await shop.reload();
  expect(await found(shop).innerText()).toBe(first);
  await page.request.post('/desk/publish', { data: { revision: revision + 1, note: '' } });
  await shop.reload();
  await expect(shop.locator(`[data-product="${id}"]`)).toHaveCount(0);
  await expect(shop.getByRole('heading', { name: /masking fluid/ })).toBeVisible();
});

test.describe('in a browser that has not been here', () => {
  test.use({ ownContext: true });

  test('nothing moves in sight when results come, on a slow line', async ({ page }) => {
    const client = await page.context().newCDPSession(page);
    await client.send('Network.enable');
    await client.send('Network.emulateNetworkConditions', {
      ...{ offline: false, latency: 200, downloadThroughput: 200_000, uploadThroughput: 100_000 },
    });
    await page.addInitScript(() => {
      const moved = { sum: 0 };
      Object.assign(window, { moved });
      new PerformanceObserver((list) => {
        for (const entry of list.getEntries() as (PerformanceEntry & { value: number })[]) moved.sum += entry.value;
      }).observe({ type: 'layout-shift', buffered: true });
    });
    await page.goto(`${standIn}/search.html?shelf.q=gouache`);
    await expect(found(page)).toBeVisible();
    await page.waitForLoadState('networkidle');
    expect(await page.evaluate(() => (window as unknown as { moved: { sum: number } }).moved.sum)).toBe(0);
  });

  test('a page with the box alone is sent little, and no more before the box is entered', async ({
    page,
    baseURL,
    request,
  }) => {
    const key = await makeKey(request);
    const server = serverOf(baseURL);
    site.pages.set('/box', { head: script(server), body: part(key, 'show="box"') });
    const sent: string[] = [];
    page.on('request', (request) => {
      const url = request.url();
      if (url.startsWith(`${server}/embed/`)) sent.push(url.slice(server.length));
    });
    await page.goto(`${site.origin}/box`);
    await expect(box(page)).toHaveAttribute('placeholder', /./);
    expect(sent.filter((path) => path.endsWith('.js'))).toEqual(['/embed/clever-shelf.js']);
    const sizeOf = async (path: string): Promise<number> =>
      Number((await fetch(server + path, { headers: { 'accept-encoding': 'br' } })).headers.get('content-length'));
    const alone = await sizeOf('/embed/clever-shelf.js');
    expect(alone).toBeGreaterThan(10_000);
    expect(alone).toBeLessThan(35_000);

    // Its lines come as it is entered; where they do not, it searches all the same.
    await page.route(/\/embed\/parts\/BoxLines/, (route) => route.abort());
    await box(page).fill('easel');
    await expect(box(page)).toHaveAttribute('aria-expanded', 'false');
    await box(page).press('Enter');
    await expect(page).toHaveURL(/shelf\.q=easel/);

    site.pages.set('/all', { head: script(server), body: part(key) });
    sent.length = 0;
    await page.goto(`${site.origin}/all`);
    await expect(found(page)).toBeVisible();
    const scripts = [...new Set(sent.filter((path) => path.endsWith('.js')))];
    const sizes = await Promise.all(scripts.map(sizeOf));
    expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(90_000);
  });
});

test('two searches on one bare page have states of their own; the page hears what comes to pass', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  site.pages.set('/two', {
    head: script(serverOf(baseURL)),
    body: `${part(key, 'id="beside" show="sorting"')}${part(key, 'id="one" show="box count"')}${part(key, 'id="other" scope="other" show="box results"')}
      <script>
        window.heard = [];
        for (const name of ['shelf-search', 'shelf-click', 'shelf-basket'])
          addEventListener(name, (event) => {
            heard.push([name, event.target.id, event.detail.query ?? event.detail.product]);
            if (name === 'shelf-click') event.preventDefault();
          });
      </script>`,
  });
  await page.goto(`${site.origin}/two?utm=x`);
  const [one, other] = [page.locator('#one'), page.locator('#other')];
  await expect(other.locator('[data-product]').first()).toBeVisible();
  const count = one.getByText(/^[\d,]+ products$/);
  const everything = await count.innerText();
  await other.getByRole('combobox').fill('easel');
  await other.getByRole('combobox').press('Enter');
  await expect(page).toHaveURL(`${site.origin}/two?utm=x&shelf-other.q=easel`);
  await expect(other.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
  await expect(count).toHaveText(everything);
  await one.getByRole('combobox').fill('gouache');
  await one.getByRole('combobox').press('Enter');
  await expect(count).not.toHaveText(everything);
  await expect(page).toHaveURL(/shelf-other\.q=easel.*shelf\.q=gouache/);
  // The page takes the click upon itself.
  const id = await other.locator('[data-product]').first().getAttribute('data-product');
  await other.locator('[data-product] h2 button').first().click();
  const heard = await page.evaluate(() => (window as unknown as { heard: unknown[] }).heard);
  expect(heard).toContainEqual(['shelf-search', 'other', 'easel']);
  // Two parts show this one, and it is told once.
  expect(heard.filter((event) => (event as string[])[2] === 'gouache')).toEqual([
    ['shelf-search', 'beside', 'gouache'],
  ]);
  expect(heard.at(-1)).toEqual(['shelf-click', 'other', id]);
  await expect(page).not.toHaveURL(/product/);
  await page.goBack();
  await expect(count).toHaveText(everything);
  await expect(other.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
  await withdraw(request, key);
});

test('a key that is withdrawn or for other sites, a pause, and a server that is gone show the page’s own search', async ({
  page,
  baseURL,
  request,
}) => {
  const server = serverOf(baseURL);
  const [key, foreign] = [await makeKey(request), await makeKey(request, ['https://elsewhere.example'])];
  site.pages.set('/own', { head: script(server), body: part(key, 'show="box"', ownForm) });
  site.pages.set('/foreign', { head: script(server), body: part(foreign, 'show="box"', ownForm) });
  site.pages.set('/gone', {
    head: script(server),
    body: part(key, `show="box" server="http://127.0.0.1:${await freePort()}"`, ownForm),
  });
  site.pages.set('/scriptless', { body: part(key, 'show="box"', ownForm) });
  const shows = async (path: string, isOurs: boolean): Promise<void> => {
    await page.goto(site.origin + path);
    await expect(isOurs ? box(page) : ownSearch(page)).toBeVisible();
    await expect(isOurs ? ownSearch(page) : box(page)).toBeHidden();
  };
  await shows('/own', true);
  await expect(box(page)).toHaveAttribute('placeholder', /.+/);
  await shows('/foreign', false);
  await shows('/gone', false);
  await shows('/scriptless', false);
  await withdraw(request, key);
  await shows('/own', false);
  await withdraw(request, key, false);
  await shows('/own', true);

  // The desk's switch, and the way back.
  const desk = deskOn(page);
  await desk.open('/storefronts/embedding');
  await page.getByRole('switch', { name: 'Pages show this search' }).click();
  await expect(page.getByText(/^Paused since/)).toBeVisible();
  await shows('/own', false);
  await desk.open('/storefronts/embedding');
  await page.getByRole('switch', { name: 'Pages show this search' }).click();
  await expect(page.getByText(/^Paused since/)).toBeHidden();
  await shows('/own', true);
  for (const each of [key, foreign]) await withdraw(request, each);
});

test('a key is made and changed at the desk, and what is copied from there works', async ({ page, request }) => {
  const desk = deskOn(page);
  await desk.open('/storefronts/embedding');
  await page.getByRole('button', { name: 'Make a key' }).click();
  const form = page.getByRole('form', { name: 'Make a key' });
  await form.getByLabel('What it is called here').fill('Our pages');
  const sites = form.getByLabel('Sites whose pages show it, one a line');
  await sites.fill('shop.example');
  await expect(form.getByRole('alert')).toContainText('“shop.example” is no site.');
  await expect(form.getByRole('button', { name: 'Make the key' })).toBeDisabled();
  await sites.fill(`${site.origin}/papers\nhttps://shop.example`);
  await form.getByRole('button', { name: 'Make the key' }).click();
  const row = page.getByRole('list', { name: 'Keys' }).getByRole('listitem').filter({ hasText: 'Our pages' });
  await expect(row).toContainText(`For pages of ${site.origin}, https://shop.example`);
  const key = await row.locator('code').innerText();
  await page.getByLabel('The key in it').selectOption({ label: 'Our pages' });
  const copied = await page.getByRole('region', { name: 'The text to copy' }).innerText();
  expect(copied).toContain(key);
  site.pages.set('/copied', { body: copied });
  await page.goto(`${site.origin}/copied?shelf.q=easel`);
  await expect(page.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();

  await desk.open('/storefronts/embedding');
  await row.getByRole('button', { name: 'Withdraw' }).click();
  await expect(row).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(row).toHaveCount(1);
  await withdraw(request, key);
});

test('a page hears what goes on the wish list, and shows the list where its results are', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  site.pages.set('/wish', {
    head: script(serverOf(baseURL)),
    body: `${part(key, 'id="all"')}
      <script>
        window.heard = [];
        addEventListener('shelf-wish', ({ detail }) => heard.push([detail.product, detail.isOn]));
      </script>`,
  });
  const { revision, setup } = (await (await request.get('/desk/state')).json()) as {
    revision: number;
    setup: { resultsPage: { card: { pieces: { piece: string; on: boolean }[] } } };
  };
  const { card } = setup.resultsPage;
  const pieces = [...card.pieces.filter(({ piece }) => piece !== 'wish'), { piece: 'wish', on: true }];
  const edits = [{ part: 'resultsPage', key: 'card', value: { ...card, pieces } }];
  expect((await request.post('/desk/edits', { data: { revision, edits } })).ok()).toBe(true);
  await publishOnce(request, 'resultsPage', { card: { pieces } });
  await page.goto(`${site.origin}/wish?shelf.q=easel`);
  const first = page.locator('[data-product]').first();
  const id = await first.getAttribute('data-product');
  const wish = first.getByRole('button', { name: /on the wish list$/ });
  await wish.click();
  await expect(wish).toHaveAttribute('aria-pressed', 'true');
  expect(await page.evaluate(() => (window as unknown as { heard: unknown[] }).heard)).toEqual([[id, true]]);
  await page.goto(`${site.origin}/wish?shelf.q=easel&shelf.list=wish`);
  await expect(page.getByRole('list', { name: 'Wish list' }).getByRole('listitem')).toHaveCount(1);
  await page.getByRole('link', { name: 'Back to the results' }).click();
  await expect(page.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
  await withdraw(request, key);
});

test('filters stand by the room that the part has in the page, not by the window', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  site.pages.set('/column', {
    head: script(serverOf(baseURL)),
    body: `<div style="width: 420px">${part(key, 'show="results filters"')}</div>`,
  });
  await page.goto(`${site.origin}/column?shelf.q=gouache`);
  await expect(found(page)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Filters' })).toBeVisible();
  await page
    .locator('div')
    .first()
    .evaluate((place) => place.style.setProperty('width', '1100px'));
  await expect(page.getByRole('group', { name: 'Brand' })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Filters' })).toBeHidden();
  await withdraw(request, key);
});

test('a button follows the page on the devices it is for, and opens the whole search over it', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  const text = Array.from({ length: 60 }, (_, n) => `<p>Line ${n}</p>`).join('');
  site.pages.set('/long', {
    head: script(serverOf(baseURL)),
    body: `${part(key, 'show="button" devices="phone"')}<h1>A long page</h1>${text}`,
  });
  await page.goto(`${site.origin}/long`);
  const button = page.getByRole('button', { name: 'Search the shop' });
  await expect(page.locator('clever-shelf')).toBeAttached();
  await expect(button).toBeHidden();
  await page.setViewportSize({ width: 390, height: 844 });
  await page.getByText('Line 59').scrollIntoViewIfNeeded();
  await expect(button).toBeInViewport();
  await button.click();
  const over = page.getByRole('dialog', { name: 'Search the shop' });
  await expect(over.locator('[data-product]').first()).toBeVisible();
  const boxOver = over.getByRole('combobox', { name: 'Search the shop' });
  await expect(boxOver).toBeFocused();
  await boxOver.fill('easel');
  await boxOver.press('Enter');
  await expect(over.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
  expect(await seriousProblems(page)).toEqual([]);
  await over.getByRole('button', { name: 'Close the search' }).click();
  await expect(over).toBeHidden();
  await expect(button).toBeFocused();
  // Whoever is sent the address sees the search.
  await page.reload();
  await expect(over.getByRole('heading', { name: 'Results for “easel”' })).toBeVisible();
  await expect(boxOver).not.toBeFocused();
  await page.keyboard.press('Escape');
  await expect(over).toBeHidden();
  await withdraw(request, key);
});

test('a hostile page does not break it, nor it the page', async ({ page, baseURL, request }) => {
  const key = await makeKey(request);
  const server = serverOf(baseURL);
  site.pages.set('/hostile', {
    head: `<style>* { display: none; font-size: 40px !important; color: red !important } html, head, body, h1 { display: block !important } html { font-size: 4px }</style>
      <script>
        Array.prototype.extra = 'x'; Object.prototype.more = 'y'; window.$ = window.React = null;
        addEventListener('load', () => { window.fetch = () => Promise.reject(new Error('taken')); });
      </script>${script(server)}`,
    body: `<h1>Still here</h1>${part(key)}`,
    policy: `default-src 'none'; script-src 'unsafe-inline' ${server}; style-src 'unsafe-inline'; connect-src ${server}; img-src ${server}`,
  });
  const mistakes: string[] = [];
  page.on('pageerror', (error) => mistakes.push(error.message));
  await page.goto(`${site.origin}/hostile?shelf.q=gouache`);
  await expect(found(page)).toBeVisible();
  await box(page).fill('easel');
  await expect(page.getByRole('option', { name: /^Show all/ })).toBeVisible();
  const looks = await found(page).evaluate((title) => {
    const { fontSize, color } = getComputedStyle(title);
    return { fontSize, color };
  });
  expect(looks.fontSize).toBe('15.5px');
  expect(looks.color).not.toBe('rgb(255, 0, 0)');
  await expect(page.getByRole('heading', { level: 1, name: 'Still here' })).toBeVisible();
  expect(await page.evaluate(() => Object.keys(window).filter((name) => /shelf|tailwind|preact/i.test(name)))).toEqual(
    [],
  );
  expect(await page.evaluate(() => document.querySelectorAll('head style').length)).toBe(1);
  expect(mistakes).toEqual([]);
  await withdraw(request, key);
});

test('markup in a catalog stays text within the element, and runs nothing in the page', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  const { results } = (await (await request.get('/shop/search?q=easel')).json()) as { results: { familyId: string }[] };
  const product = results[0]!.familyId;
  const { revision } = (await (await request.get('/desk/state')).json()) as { revision: number };
  const title = 'Wobblefrost <img src=x onerror="window.hacked=1"><script>window.hacked=2</script> {q} </h2>';
  const values = { title, description: `<b>Stands</b>${title}`, brand: '"><svg onload="window.hacked=3">' };
  const edits = Object.entries(values).map(([attribute, value]) => ({
    part: 'products',
    key: JSON.stringify([product, attribute]),
    value: { act: 'set', product, variant: null, attribute, value },
  }));
  const edited = await request.post('/desk/edits', { data: { revision, edits } });
  expect(edited.ok(), await edited.text()).toBe(true);
  await publishOnce(request, 'resultsPage', {});
  site.pages.set('/marked', { head: script(serverOf(baseURL)), body: part(key) });
  await page.goto(`${site.origin}/marked?shelf.q=wobblefrost`);
  const hostile = page.locator('[data-product] h2').filter({ hasText: 'window.hacked=1' });
  await expect(hostile).toHaveText(title);
  await box(page).fill('wobblefros');
  await expect(page.getByRole('option').filter({ hasText: 'window.hacked=1' }).first()).toBeVisible();
  await box(page).press('Enter');
  await hostile.getByRole('button').click();
  await expect(page.getByRole('heading', { name: title })).toBeVisible();
  expect(await page.evaluate(() => (window as { hacked?: unknown }).hacked)).toBeUndefined();
  await withdraw(request, key);
});

test('on a phone filters come in a drawer, an endless list is gone back to where it was left', async ({
  page,
  baseURL,
  request,
}) => {
  const key = await makeKey(request);
  const { revision } = (await (await request.get('/desk/state')).json()) as {
    revision: number;
  };
  const state = (await (await request.get('/desk/state')).json()) as {
    setup: { resultsPage: { layout: Record<string, unknown> } };
  };
  const layout = { ...state.setup.resultsPage.layout, way: 'endless' };
  const edited = await request.post('/desk/edits', {
    data: { revision, edits: [{ part: 'resultsPage', key: 'layout', value: layout }] },
  });
  expect(edited.ok()).toBe(true);
  await request.post('/desk/publish', { data: { revision: revision + 1, note: '' } });
  site.pages.set('/phone', { head: script(serverOf(baseURL)), body: part(key) });
  await page.setViewportSize({ width: 390, height: 844 });
  await page.goto(`${site.origin}/phone?shelf.q=brush`);
  await page.getByRole('button', { name: 'Filters' }).click();
  const drawer = page.getByRole('dialog', { name: 'Filters' });
  await drawer.getByRole('checkbox').first().check();
  await drawer.getByRole('button', { name: /^Show \d+ products/ }).click();
  await expect(drawer).toBeHidden();
  await expect(page).toHaveURL(/shelf\.f\./);
  await page.goto(`${site.origin}/phone?shelf.q=gouache`);
  await expect(found(page)).toBeVisible();
  const cards = page.locator('[data-product]');
  await cards.last().scrollIntoViewIfNeeded();
  await expect.poll(() => cards.count()).toBeGreaterThan(30);
  const far = cards.nth(30);
  await far.scrollIntoViewIfNeeded();
  const title = await far.locator('h2').innerText();
  await far.locator('h2 button').click();
  await expect(page.getByRole('article').getByRole('heading', { level: 2, name: title })).toBeVisible();
  await page.goBack();
  await expect(far.locator('h2')).toHaveText(title);
  await expect(far).toBeInViewport();
  expect(await page.evaluate(() => document.documentElement.scrollWidth - innerWidth)).toBe(0);
  await withdraw(request, key);
});
