import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { HouseRule } from '../../core/setup/parts/houseRules.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

const catalog = `id,family,title,brand,tags,price,stock
a1,a,Round brush,Osier,new,4.00,3
a2,a,Round brush,Osier,,5.50,0
b1,b,Flat brush,Harrow,old,6.00,5
c1,c,Fan brush,OSIER,old,7.00,0
d1,d,Blue ink,Osier,,3.00,9
`;
let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(catalog);
});
afterEach(() => shelf.remove());

const revision = async (): Promise<number> => ((await shelf.get('/desk/state')).body as { revision: number }).revision;
const edit = async (part: string, key: string, value: unknown) =>
  shelf.post('/desk/edits', { revision: await revision(), edits: [{ part, key, value }] });
const order = async (query = 'brush'): Promise<string> => {
  const { results } = (await shelf.get(`/desk/search?q=${query}`)).body as { results: { familyId: string }[] };
  return results.map(({ familyId }) => familyId).join('');
};
const osier: HouseRule = {
  name: 'Osier up',
  on: true,
  condition: { match: 'all', tests: [{ how: 'is', attribute: 'brand', values: ['Osier'] }] },
  does: { what: 'pull', pull: 0.2 },
};
const hide = { ...osier, does: { what: 'hide' as const } };

test('a condition is counted before anything is saved, and says what it asks in vain', async () => {
  const condition = { match: 'any', tests: [...osier.condition.tests, { how: 'hasValue', attribute: 'mood' }] };
  const { status, body } = await shelf.post('/desk/rules/condition', { condition });
  expect([status, body]).toMatchObject([
    200,
    { products: 3, ofProducts: 4, variants: 4, missing: ['mood'], examples: [{ title: 'Round brush' }, {}, {}] },
  ]);
});

describe('a house rule', () => {
  test('orders every search, and the product’s page names it with what it does', async () => {
    expect((await order()).at(-1)).not.toBe('a');
    expect(await edit('houseRules', 'osier', osier)).toMatchObject({ status: 200 });
    expect((await order())[0]).toBe('b');
    const rulesOf = async () =>
      ((await shelf.get('/desk/catalog/product?id=a')).body as { rules: { text: string; isInForce: boolean }[] }).rules;
    expect(await rulesOf()).toMatchObject([
      { rule: 'osier', isInForce: true, text: 'The house rule “Osier up” lowers it (strength ×0.2).' },
    ]);
    const inStock = { how: 'soldOut' as const };
    const condition = { match: 'all' as const, tests: [inStock] };
    await edit('houseRules', 'osier', { ...hide, condition, places: ['results'], until: '1969-12-31' });
    expect(await rulesOf()).toMatchObject([
      {
        isInForce: false,
        text: 'The house rule “Osier up” hides 1 of its variants in search results until 1969-12-31 (over).',
      },
    ]);
  });
  test('hides in the places it names, and figures tell what it is about and whether its time is', async () => {
    await edit('houseRules', 'osier', { ...hide, places: ['results'] });
    expect([await order(), await order('brush&box=1')]).toEqual(['b', expect.stringContaining('a')]);
    await edit('houseRules', 'late', { ...osier, from: '2099-01-01' });
    await edit('hiding', 'tag:old', { what: 'tag', tag: 'old', places: ['collections'] });
    await edit('hiding', 'tag:gone', { what: 'tag', tag: 'gone' });
    const { body } = await shelf.get('/desk/rules/figures');
    expect(body).toMatchObject({
      rules: expect.arrayContaining([
        { id: 'osier', products: 3, missing: [], state: 'holds' },
        { id: 'late', products: 3, missing: [], state: 'early' },
      ]),
      hidings: expect.arrayContaining([
        { key: 'tag:old', products: 2, state: 'holds' },
        { key: 'tag:gone', products: 0, state: 'holds' },
      ]),
    });
  });
  test('is tried before it is saved, as if its time had come', async () => {
    const entry = (at: number) => ({
      time: `2026-10-0${at}T10:00:00Z`,
      session: `s${at}`,
      search: 'brush',
      results: 3,
    });
    await shelf.request('/desk/demand/log', {
      method: 'POST',
      body: [1, 2, 3].map((at) => JSON.stringify(entry(at))).join('\n'),
    });
    const value = { ...osier, on: false, from: '2099-01-01', does: { what: 'pull', pull: 0.1 } };
    const { body } = await shelf.post('/desk/rules/effect', { part: 'houseRules', key: 'new', value });
    const effect = body as { looked: number; changed: number; up: number; down: number };
    expect(effect.looked).toBeGreaterThan(0);
    expect(effect.changed).toBeGreaterThan(0);
    expect([effect.up, effect.down > 0]).toEqual([0, true]);
    expect((await shelf.get('/desk/state')).body).not.toMatchObject({ setup: { houseRules: { new: {} } } });
  });
});

test('a product’s page tells everything plans do to it, and a search only what its own plans hide', async () => {
  const base = { on: true, pins: [], pulls: [] };
  const brand = osier.condition;
  await edit('plans', 'p', {
    ...{ ...base, name: 'Front', searches: ['brush'], first: ['b', 'a'], collections: ['x'], until: '2099-01-01' },
    conditionPulls: [{ condition: brand, pull: 2 }],
  });
  await edit('plans', 'q', { ...base, name: 'Away', searches: ['round'], hides: ['a'], bringIn: ['d'], on: false });
  await edit('plans', 'r', { ...base, name: 'Alone', searches: ['flat'], first: ['b'], only: true });
  const { rules } = (await shelf.get('/desk/catalog/product?id=a')).body as { rules: { text: string }[] };
  expect(rules.map(({ text }) => text)).toEqual([
    '“Front” puts it first, as number 2 of 2, for “brush” and on 1 collection page until 2099-01-01.',
    '“Front” boosts it (strength ×2) for “brush” and on 1 collection page until 2099-01-01.',
    '“Away” hides it for “round” (switched off).',
    '“Alone” leaves it out for “flat”.',
  ]);
  await edit('hiding', 'product:c', { what: 'product', product: 'c' });
  const told = async (query: string) =>
    ((await shelf.get(`/desk/words?q=${query}`)).body as { hidden: { product: string; rules: string[] }[] }).hidden;
  expect(await told('fan')).toMatchObject([{ product: 'c', rules: ['It is hidden.'] }]);
});

test('a plan is tried on its own searches', async () => {
  const plan = { name: 'Brushes', on: true, searches: ['brush'], pins: [{ product: 'd', place: 1 }], pulls: [] };
  const { body } = await shelf.post('/desk/rules/effect', { part: 'plans', key: 'p', value: plan });
  expect(body).toMatchObject({ looked: 1, changed: 1, up: 1, down: 0, areMadeUp: false });
});

test('a list of ids is hidden in one step, those of variants too; what is of no product is left out', async () => {
  const which = { ids: ['a2', 'c', 'nowhere'] };
  const what = { act: 'hide', places: ['results', 'box'], note: 'Recalled' };
  const { body } = await shelf.post('/desk/catalog/products', { revision: await revision(), which, what });
  expect(body).toMatchObject({ products: 2 });
  expect(await order()).toBe('b');
});

test.each([
  ['houseRules', { ...osier, condition: { match: 'all', tests: [] } }, 'Say what a product must be.'],
  ['houseRules', { ...osier, from: '2026-12-24', until: '2026-12-01' }, 'It ends before it begins.'],
  ['houseRules', { ...osier, places: [] }, 'Choose at least one place.'],
  ['houseRules', { ...osier, yearly: { from: '02-30', until: '03-01' } }, 'A day of the year is written as 12-24.'],
  ['hiding', { what: 'tag', tag: 'x', until: '1 May' }, 'A moment is written as 2026-12-01 or 2026-12-01T08:00.'],
])('what cannot be is refused with a sentence: %s %j', async (part, value, message) => {
  expect(await edit(part, 'r', value)).toMatchObject({
    status: 400,
    body: { error: { message: expect.stringContaining(message) } },
  });
});

test('pages that redirects lead to are asked for, those of the site at its address, and no others', async () => {
  const asked: string[] = [];
  shelf.remove();
  shelf = openTestShelf({
    askPage: async (address) => {
      asked.push(address);
      return address.endsWith('/gone') ? { is: 'gone', statusCode: 404 } : { is: 'there' };
    },
  });
  await shelf.bringIn(catalog);
  const plan = { name: 'Away', on: true, searches: ['away'], pins: [], pulls: [] };
  await edit('plans', 'away', { ...plan, redirect: 'https://help.example/gone' });
  await edit('plans', 'site', { ...plan, redirect: '/returns' });
  const links = ['https://help.example/gone', '/returns', 'https://unnamed.example/'];
  const ask = async () => (await shelf.post('/desk/rules/redirects/ask', { links })).body;
  expect(await ask()).toEqual({
    pages: [
      { link: links[0], found: { is: 'gone', statusCode: 404 } },
      { link: links[1], found: { is: 'no-address' } },
      { link: links[2], found: { is: 'not-named' } },
    ],
  });
  await edit('storefront', 'shop', { name: 'Shop', currency: 'GBP', address: 'https://wren.example/shop' });
  expect(await ask()).toMatchObject({ pages: [{}, { found: { is: 'there' } }, {}] });
  expect(asked).toEqual(['https://help.example/gone', 'https://help.example/gone', 'https://wren.example/returns']);
});
