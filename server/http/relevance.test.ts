import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { AnswerOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import type { DeskState } from '../../api/stateSchema.ts';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

const catalog = `id,family,sku,title,colour,price,cost,stock,units_sold
a1,a,WU-1A,Round brush,Red,4.50,1,0,90
a2,a,WU-1B,Round brush,Blue,5.50,1,0,90
b1,b,WU-2A,Round brush,Blue,6.00,5,5,10
c1,c,WU-3A,Round brush,Blue,3.00,1,9,20
d1,d,WU-4A,Brush cleaner,,9.00,1,0,70
`;
let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(catalog);
});
afterEach(() => shelf.remove());

const state = async (): Promise<DeskState> => (await shelf.get('/desk/state')).body;
const edit = async (key: string, value: unknown) =>
  shelf.post('/desk/edits', { revision: (await state()).revision, edits: [{ part: 'relevance', key, value }] });
const answer = async (path: string): Promise<SearchAnswer> => (await shelf.get(`/desk/search?${path}`)).body;
const order = async (path: string): Promise<string> =>
  (await answer(path)).results.map(({ familyId }) => familyId).join('');

describe('sold out', () => {
  const asItIs = { results: 'asItIs', box: 'asItIs', collections: 'asItIs' };
  beforeEach(() => edit('tieBreakers', { signals: [{ attribute: 'units_sold', direction: 'high' }] }));
  test('is left where it is, stands after everything in stock, or does not show', async () => {
    expect(await order('q=brush')).toBe('adcb');
    await edit('soldOut', { ...asItIs, results: 'last' });
    const { results } = await answer('q=brush&explain=1');
    expect(results.map(({ familyId }) => familyId).join('')).toBe('cbad');
    expect(results.map(({ why }) => why!.afterStock)).toEqual([false, false, true, true]);
    expect(results[2]!.why!.closeCall!.decidedBy).toBeNull();
    await edit('soldOut', { ...asItIs, results: 'notAtAll' });
    expect(await answer('q=brush')).toMatchObject({ total: 2 });
    // Its part number does not lead to it either.
    expect(await answer('q=WU-4A')).toMatchObject({ leadsTo: null });
  });
  test('is decided place by place', async () => {
    await edit('soldOut', { ...asItIs, box: 'notAtAll' });
    expect(await answer('q=brush&box=1')).toMatchObject({ total: 2 });
    expect(await answer('q=brush')).toMatchObject({ total: 4 });
  });
  test('keeps the place of a pin, unless it does not show at all', async () => {
    const plan = { name: 'P', on: true, searches: ['brush'], pins: [{ product: 'd', place: 1 }], pulls: [] };
    const { revision } = await state();
    await shelf.post('/desk/edits', { revision, edits: [{ part: 'plans', key: 'p', value: plan }] });
    await edit('soldOut', { ...asItIs, results: 'last' });
    expect(await order('q=brush')).toBe('dcba');
    await edit('soldOut', { ...asItIs, results: 'notAtAll' });
    expect(await order('q=brush')).toBe('cb');
  });
});

describe('the sorting menu', () => {
  test('is told with what is chosen, and sorts by what the cards show', async () => {
    const { sorting, results } = await answer('q=brush&sort=price-up');
    expect(sorting.find(({ chosen }) => chosen)).toEqual({
      key: 'price-up',
      label: 'Price, low to high',
      chosen: true,
    });
    const prices = results.map(({ price }) => price!);
    expect(prices).toEqual([...prices].sort((a, b) => a - b));
    expect((await answer('q=brush')).sorting[0]).toMatchObject({ key: 'relevance', chosen: true });
    expect((await answer('q=brush&sort=nonsense')).sorting[0]).toMatchObject({ chosen: true });
  });
  test('an order chosen is kept to: neither pins nor part numbers stand before it, and all is still there', async () => {
    const plan = { name: 'P', on: true, searches: ['brush'], pins: [{ product: 'd', place: 1 }], pulls: [] };
    const { revision } = await state();
    await shelf.post('/desk/edits', { revision, edits: [{ part: 'plans', key: 'p', value: plan }] });
    expect((await order('q=brush'))[0]).toBe('d');
    expect(await order('q=brush&sort=price-up')).toBe('cabd');
  });
  test('why here says the place in the order chosen', async () => {
    const sorted = await answer('q=brush&sort=price-up');
    const last = sorted.results.at(-1)!;
    const why = (await shelf.get(`/desk/why?q=brush&sort=price-up&product=${last.familyId}`)).body as {
      result: SearchAnswer['results'][number];
    };
    expect(why.result).toMatchObject({ place: sorted.total, why: { sorted: { label: 'Price, low to high' } } });
  });
  test('must keep the order by relevance, once; a misspelt setting is named', async () => {
    const price = { key: 'p', label: 'Price', signals: [{ attribute: 'price', direction: 'low' }] };
    expect(await edit('sorting', { orders: [price] })).toMatchObject({ status: 400 });
    const relevance = { key: 'r', label: 'Best', signals: [] };
    expect(await edit('sorting', { orders: [relevance, { ...price, key: 'r' }] })).toMatchObject({ status: 400 });
    expect(await edit('sorting', { orders: [price, relevance] })).toMatchObject({ status: 200 });
    const { body } = await edit('tieBreakers', { signals: [{ attribute: 'stock', direction: 'hihg' }] });
    expect(JSON.stringify(body)).toContain('signals.0.direction');
  });
});

test('a part number leads to its product, or is searched for like any word', async () => {
  expect(await answer('q=wu+2+a')).toMatchObject({ leadsTo: 'b' });
  await edit('partNumbers', { lead: false });
  const { leadsTo, results } = await answer('q=wu+2+a');
  expect([leadsTo, results[0]!.familyId]).toEqual([null, 'b']);
});

describe('the effect of the draft', () => {
  type Effect = AnswerOf<(typeof endpoints)['effect']>;
  const effect = async (): Promise<Effect> => (await shelf.get('/desk/effect')).body;
  const note = (search: string) =>
    shelf.post('/shop/log/search', { session: 's', search, filters: {}, results: 4, inDesk: false });
  test('without a log says that there is nothing to look through', async () => {
    expect(await effect()).toMatchObject({ looked: 0, changed: 0, moves: [] });
  });
  test('names the searches that change with their largest moves, and what each tie-breaker decides', async () => {
    for (const search of ['round brush', 'round brush', 'cleaner']) await note(search);
    expect(await effect()).toMatchObject({ looked: 2, changed: 0, ofTimes: 3 });
    await edit('tieBreakers', { signals: [{ attribute: 'price', direction: 'low' }] });
    const answered = await effect();
    expect(answered).toMatchObject({ changed: 1, times: 2, decides: [1] });
    expect(answered.moves[0]).toMatchObject({ search: 'round brush', title: 'Round brush', to: expect.any(Number) });
    const { revision } = await state();
    await shelf.post('/desk/publish', { revision });
    expect(await effect()).toMatchObject({ changed: 0 });
  });
});
