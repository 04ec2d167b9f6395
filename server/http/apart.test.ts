import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { endpoints } from '../../api/endpoints.ts';
import { pathFor } from '../../api/paths.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

/**
 * Two storefronts that share ids of products and three drafts, each with a word of its own in everything that is kept of
 * it: whatever is answered about one must not have another's.
 */
let shelf: TestShelf;
const marks = { main: 'aardvark', second: 'bullfinch', winter: 'caribou', decided: 'dormouse' } as const;

const edit = (place: string, part: string, key: string, value: unknown) =>
  shelf.get(`/desk/${place}/state`).then(({ body }) =>
    shelf.post(`/desk/${place}/edits`, {
      revision: (body as { revision: number }).revision,
      edits: [{ part, key, value }],
    }),
  );
const plan = (name: string) => ({ name, on: true, searches: [name], pins: [{ product: 'b', place: 1 }], pulls: [] });

async function open(): Promise<void> {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog.replaceAll('brush', `brush ${marks.main}`));
  const made = await shelf.post('/desk/storefronts/make', {
    name: marks.second,
    shop: { name: marks.second, currency: 'EUR' },
    from: null,
  });
  expect(made).toMatchObject({ status: 200, body: { id: marks.second, draft: 'main' } });
  await shelf.bringIn(smallCatalog.replaceAll('brush', `brush ${marks.second}`), 'replace', undefined, marks.second);
  const begun = await shelf.post('/desk/main/main/drafts/begin', { name: marks.winter, from: 'release:live' });
  expect(begun).toMatchObject({ status: 200, body: { id: marks.winter } });
  for (const [place, mark] of [
    ['main/main', marks.decided],
    [`${marks.second}/main`, marks.second],
    [`main/${marks.winter}`, marks.winter],
  ] as const) {
    expect(await edit(place, 'plans', mark, plan(mark))).toMatchObject({ status: 200 });
    await edit(place, 'vocabulary', mark, { what: 'synonyms', words: [mark, 'brush'], on: true });
    await edit(place, 'emptyShelf', 'content', { message: mark, searches: [mark], products: [] });
  }
  for (const storefront of ['main', marks.second]) {
    const mark = storefront === 'main' ? marks.main : marks.second;
    await shelf.post(`/shop/${storefront}/log/search`, { session: mark, search: mark, results: 1 });
    await shelf.writer.bringInContent(storefront, 'article', await articleOf(mark));
  }
}

async function articleOf(mark: string): Promise<string> {
  const { writeFileSync } = await import('node:fs');
  const { join } = await import('node:path');
  const path = join(shelf.root, 'articles.jsonl');
  writeFileSync(path, JSON.stringify({ id: mark, title: mark, link: `/${mark}`, text: mark }));
  return path;
}

/** What each question needs to be answered at all. */
const queries: Readonly<Record<string, string>> = {
  why: 'q=brush&product=b',
  words: 'q=brush',
  values: 'attribute=brand',
  products: 'id=b',
  product: 'id=b',
  vocabularyNotes: 'key=aardvark',
  attributeValues: 'attribute=brand&q=',
  differences: 'kind=added',
  // Of the whole storefront it is about all its drafts.
  history: 'of=draft',
  mergePreview: 'from=release:live',
  shopProduct: 'id=b',
  deskShopProduct: 'id=b',
  shopArticle: 'id=aardvark',
  deskShopArticle: 'id=aardvark',
};
/** Lists of everything there is say everybody's name, and are about nobody in particular. */
const aboutAll = new Set([
  'storefronts',
  'previewSearch',
  'previewSuggest',
  'previewProduct',
  'previewArticle',
  'previewBeside',
]);

describe('addresses of one storefront or draft never answer with another’s data', () => {
  // Whoever reads writes nothing, so that one shop is enough for all of them.
  beforeAll(open);
  afterAll(() => shelf.remove());
  const asked = Object.entries(endpoints).filter(([name, { method }]) => method === 'get' && !aboutAll.has(name));
  test.each(asked.map(([name, { path }]) => [name, path] as const))('%s', async (name, path) => {
    const ask = async (storefront: string, draft: string): Promise<string> => {
      const query = queries[name] ?? (path.endsWith('/search') ? 'q=brush' : '');
      const { body } = await shelf.get(`${pathFor(path, { storefront, draft })}?${query}`);
      return JSON.stringify(body);
    };
    const [first, second] = [await ask('main', 'main'), await ask(marks.second, 'main')];
    const winter = await ask('main', marks.winter);
    expect(first).not.toContain(marks.second);
    // The article asked for by the first one's id is named in its refusal.
    if (!queries[name]?.includes(marks.main)) expect(second).not.toContain(marks.main);
    expect(second).not.toContain(marks.winter);
    if (!path.includes('{draft}') || name === 'drafts') return;
    expect(first).not.toContain(marks.winter);
    // What it shares with the other draft of its storefront is the catalog and the log, and not what was decided.
    expect(winter).not.toContain(marks.second);
    expect(winter).not.toContain(marks.decided);
    expect(second).not.toContain(marks.decided);
  });
});

describe('what is changed in one', () => {
  beforeEach(open);
  afterEach(() => shelf.remove());

  test('what is written about one leaves the others as they are', async () => {
    const state = async (place: string) => JSON.stringify((await shelf.get(`/desk/${place}/state`)).body);
    const others = [`${marks.second}/main`, `main/${marks.winter}`];
    const before = await Promise.all(others.map(state));
    const { body } = await shelf.get('/desk/main/main/state');
    await shelf.post('/desk/main/main/undo', { revision: (body as { revision: number }).revision });
    const published = (await shelf.get('/desk/main/main/state')).body as { revision: number };
    await shelf.post('/desk/main/main/publish', { revision: published.revision, note: '' });
    await shelf.post('/desk/main/main/catalog/facts', { records: [{ id: 'b1', price: 77 }] });
    await shelf.post('/desk/main/main/proposals/decline', { id: 'filter:x' });
    await shelf.bringIn('id,title\nz,Zebra\n');
    const after = await Promise.all(others.map(state));
    expect(after[0]).toBe(before[0]);
    // The other draft is told that another release is live by now, and of the new catalog; what it holds stays.
    expect(JSON.parse(after[1]!)).toMatchObject({ draft: { isBehind: true }, catalog: { records: 1 } });
    expect(JSON.parse(after[1]!)).toMatchObject({ setup: (JSON.parse(before[1]!) as { setup: object }).setup });
    const found = (await shelf.get(`/shop/${marks.second}/search?q=brush`)).body as { results: { price: number }[] };
    expect(found.results.map(({ price }) => price)).not.toContain(77);
  });

  test('a storefront that is closed says so to its shoppers alone; one that is removed leaves nothing and nobody else without', async () => {
    await shelf.post('/desk/storefronts/archive', { id: marks.second, archived: true });
    expect(await shelf.get(`/shop/${marks.second}/search?q=brush`)).toMatchObject({
      status: 410,
      body: { error: { code: 'closed' } },
    });
    expect(await shelf.get(`/desk/${marks.second}/main/search?q=brush`)).toMatchObject({ status: 200 });
    expect(await shelf.get('/shop/search?q=brush')).toMatchObject({ status: 200 });
    const wrong = await shelf.post('/desk/storefronts/remove', { id: marks.second, typed: 'something' });
    expect(wrong).toMatchObject({ status: 400, body: { error: { code: 'not-the-name' } } });
    const removed = await shelf.post('/desk/storefronts/remove', { id: marks.second, typed: marks.second });
    expect(removed.status).toBe(200);
    expect(await shelf.get(`/desk/${marks.second}/main/state`)).toMatchObject({ status: 404 });
    expect(await shelf.get('/shop/search?q=brush')).toMatchObject({ status: 200 });
    const tables = shelf.db.prepare("SELECT name FROM sqlite_master WHERE type = 'table'").pluck().all() as string[];
    for (const table of tables) {
      const rows = JSON.stringify(shelf.db.prepare(`SELECT * FROM ${table}`).all());
      expect([table, rows.includes(marks.second)]).toEqual([table, false]);
    }
    const last = await shelf.post('/desk/storefronts/remove', { id: 'main', typed: 'Your shop' });
    expect(last).toMatchObject({ status: 409, body: { error: { code: 'last-storefront' } } });
  });

  test('a draft that is taken out is not found, and is as it was when it is put back', async () => {
    const before = (await shelf.get(`/desk/main/${marks.winter}/state`)).body;
    await shelf.post('/desk/main/main/drafts/take-out', { draft: marks.winter });
    const gone = { status: 404, body: { error: { code: 'unknown-draft' } } };
    expect(await shelf.get(`/desk/main/${marks.winter}/state`)).toMatchObject(gone);
    expect(await shelf.get(`/desk/main/main/search?q=x&from=draft:${marks.winter}`)).toMatchObject(gone);
    await shelf.post('/desk/main/main/drafts/put-back', { draft: marks.winter });
    expect((await shelf.get(`/desk/main/${marks.winter}/state`)).body).toEqual(before);
    await shelf.post(`/desk/main/${marks.winter}/drafts/take-out`, { draft: 'main' });
    const last = await shelf.post(`/desk/main/${marks.winter}/drafts/take-out`, { draft: marks.winter });
    expect(last).toMatchObject({ status: 409, body: { error: { code: 'last-draft' } } });
    expect(await shelf.get('/desk/state')).toMatchObject({ status: 200, body: { draft: { id: marks.winter } } });
  });
});
