import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { AnswerOf } from '../../api/endpoint.ts';
import type { ruleEndpoints } from '../../api/ruleEndpoints.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const revision = async (): Promise<number> => ((await shelf.get('/desk/state')).body as { revision: number }).revision;
const edit = async (part: string, key: string, value: unknown) =>
  shelf.post('/desk/edits', { revision: await revision(), edits: [{ part, key, value }] });
const plan = { name: 'Brushes', on: true, searches: ['brush'], pins: [], pulls: [] };
const read = async (part: string, text: string) => {
  const { status, body } = await shelf.post('/desk/rules/read', { part, text });
  return { status, body: body as AnswerOf<(typeof ruleEndpoints)['readRules']> };
};

test('a file of plans is read, its changes told in words, and nothing is changed', async () => {
  await edit('plans', 'brushes', plan);
  const before = await revision();
  const csv = [
    'key,name,searches,pins,note',
    'brushes,Brushes,brush,b@1,',
    ',Inks,ink | inks,,"For the ink month, again"',
    ',Broken,ink,b,',
  ].join('\n');
  const { status, body } = await read('plans', csv);
  expect(status).toBe(200);
  expect(body.changes.map(({ key, isNew, sentences }) => [key, isNew, sentences])).toEqual([
    ['brushes', false, ['Shelf plan “Brushes” pins “Flat brush” at place 1']],
    ['inks', true, ['Shelf plan “Inks” is added']],
  ]);
  expect(body).toMatchObject({
    unchanged: 0,
    refused: [{ line: 4, reason: 'pins: “b” is written as product@number.' }],
    refusedInAll: 1,
  });
  expect(await revision()).toBe(before);
});

test('a setup’s JSON gives its entries of one kind, in any format it was ever written in', async () => {
  const hidings = { 'product:b': { what: 'product', product: 'b' } };
  const document = { format: 'clever-shelf-setup', version: 4, plans: { brushes: plan }, hiding: hidings };
  expect((await read('plans', JSON.stringify(document))).body.changes.map(({ key }) => key)).toEqual(['brushes']);
  expect((await read('hiding', JSON.stringify(document))).body.changes[0]!.sentences[0]).toContain('is hidden');
  for (const text of ['{', '{"a":1}', JSON.stringify({ ...document, hiding: {} })])
    expect((await read('hiding', text)).status).toBe(400);
  expect(await read('houseRules', '')).toMatchObject({ status: 400, body: { error: { code: 'empty-file' } } });
});

test('amounts of products are told for putting them in order, and what has none says so', async () => {
  const { body } = await shelf.post('/desk/rules/amounts', { attribute: 'price', products: ['c', 'a', 'nobody'] });
  expect(body).toEqual({
    amounts: [
      { product: 'c', amount: 3 },
      { product: 'a', amount: 4.5 },
      { product: 'nobody', amount: null },
    ],
  });
  expect((await shelf.post('/desk/rules/amounts', { attribute: 'constructor', products: ['a'] })).body).toEqual({
    amounts: [{ product: 'a', amount: null }],
  });
});

test('a strength is worked out for an aim; what the search does not find has none', async () => {
  await edit('plans', 'brushes', { ...plan, whenChosen: [{ filter: 'brand', values: ['Osier'] }] });
  const reached = async (product: string, first: number, id = 'brushes') => {
    const pulled = { of: 'product', plan: id, product };
    return (await shelf.post('/desk/rules/pull', { pulled, search: 'brush', first, many: 1 })).body;
  };
  expect(await reached('b', 1)).toMatchObject({ pull: expect.any(Number), place: 1 });
  expect(await reached('c', 1)).toEqual({ pull: null, place: null });
  expect(await reached('b', 1, 'constructor')).toEqual({ pull: null, place: null });
});

test('the log says which plans hold, change nothing, or lower what is bought', async () => {
  await edit('plans', 'brushes', plan);
  await edit('plans', 'never', { ...plan, searches: ['easel'], pins: [{ product: 'b', place: 1 }] });
  await edit('plans', 'lowering', { ...plan, pulls: [{ product: 'b', pull: 0.5 }] });
  const osier = { match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['Osier'] }] };
  await edit('houseRules', 'down', { name: 'Down', on: true, condition: osier, does: { what: 'pull', pull: 0.5 } });
  const lines = Array.from({ length: 6 }, (_, at) =>
    JSON.stringify({
      ...{ time: `2026-11-0${at + 1}T10:00:00.000Z`, session: `s${at}`, search: 'brush', results: 2 },
      ...{ clicks: [{ product: 'b', place: 1 }], baskets: ['b'], purchases: ['b'] },
    }),
  );
  const sent = await shelf.request('/desk/demand/log', { method: 'POST', body: `${lines.join('\n')}\n` });
  expect(sent.status).toBe(200);
  const use = (await shelf.get('/desk/rules/use')).body as AnswerOf<(typeof ruleEndpoints)['ruleUse']>;
  expect(use.searches).toBe(6);
  const planOf = (id: string) => use.plans.find((each) => each.id === id);
  expect(planOf('brushes')).toMatchObject({ times: 6, isIdle: true, against: [] });
  expect(planOf('never')).toMatchObject({ times: 0, isIdle: null });
  expect(planOf('lowering')).toMatchObject({ times: 6, against: [{ product: 'b', bought: 6, of: 6 }] });
  expect(use.rules).toEqual([{ id: 'down', bought: 6, of: 6 }]);
});

test('a collection and an article made here are listed, read alone and found; unknown ones are refused', async () => {
  const made = { what: 'collection', id: 'blue', title: 'Blue things', condition: undefined };
  const blue = { match: 'all', tests: [{ how: 'is', attribute: 'colour', values: ['blue'] }] };
  await edit('content', 'collection:blue', { ...made, condition: blue });
  await edit('content', 'article:care', {
    what: 'article',
    id: 'care',
    title: 'Care',
    text: '<p>Rinse <b>well</b></p>',
  });
  expect((await shelf.get('/desk/content')).body).toMatchObject({
    collections: [{ id: 'blue', origin: 'here', products: 3, rule: 'Colour is blue', isThere: true }],
    articles: [{ id: 'care', words: 2 }],
  });
  expect((await shelf.get('/desk/content/collection?id=blue')).body).toMatchObject({ condition: blue, chosen: [] });
  expect((await shelf.get('/desk/content/article?id=care')).body).toMatchObject({ markup: '<p>Rinse <b>well</b></p>' });
  for (const path of ['collection?id=nobody', 'article?id=constructor'])
    expect((await shelf.get(`/desk/content/${path}`)).status).toBe(404);
  expect((await shelf.get('/desk/search?q=rinse')).body).toMatchObject({
    articles: [{ id: 'care', extract: 'Rinse well' }],
  });
  expect((await shelf.get('/desk/search?q=&collection=blue')).body).toMatchObject({ total: 3 });
  // Shoppers have none of it before it is published.
  expect((await shelf.get('/shop/search?q=blue')).body).toMatchObject({ collections: [] });
});
