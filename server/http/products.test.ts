import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { z } from 'zod';
import type { ProductAct, productEndpoints, Which } from '../../api/productEndpoints.ts';
import type { DeskState } from '../../api/stateSchema.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

type Rows = z.infer<(typeof productEndpoints)['rows']['answer']>;
type Product = z.infer<(typeof productEndpoints)['product']['answer']>;
const rows = async (query = ''): Promise<Rows> => (await shelf.get(`/desk/catalog/rows?${query}`)).body as Rows;
const ids = async (query = '') => (await rows(query)).rows.map(({ id }) => id);
const act = async (which: Which, what: ProductAct) =>
  shelf.post('/desk/catalog/products', { revision: shelf.setups.revision(), which, what }) as Promise<{
    status: number;
    body: { products: number; state: DeskState } & { error: { message: string } };
  }>;
const cells = (...list: { product: string; variant?: string; attribute: string; text: string }[]) =>
  shelf.post('/desk/catalog/cells', {
    revision: shelf.setups.revision(),
    cells: list.map((cell) => ({ variant: null, ...cell })),
  }) as Promise<{ status: number; body: DeskState & { error: { message: string; field: string } } }>;
const product = async (id: string): Promise<Product> =>
  (await shelf.get(`/desk/catalog/product?id=${id}`)).body as Product;

describe('the catalog’s table', () => {
  test('lists products or variants, in catalog order or by any attribute, what lacks it last', async () => {
    expect(await ids()).toEqual(['a', 'b', 'c']);
    expect(await ids('kind=variants')).toEqual(['a1', 'a2', 'b1', 'c1']);
    expect(await ids('sort=price')).toEqual(['c', 'a', 'b']);
    expect(await ids('sort=price&direction=down')).toEqual(['b', 'a', 'c']);
    expect(await ids('sort=title')).toEqual(['c', 'b', 'a']);
    expect((await ids('sort=tags')).at(-1)).toBe('b');
  });
  test('searches, filters, and finds what is missing, hidden, sold out or decided', async () => {
    expect(await ids('q=brush')).toEqual(['a', 'b']);
    expect(await ids('q=WU-3A')).toEqual(['c']);
    expect(await ids('f.colour=Blue')).toEqual(['a', 'b', 'c']);
    expect(await ids('f.price=5..')).toEqual(['a', 'b']);
    expect(await ids('missing=tags')).toEqual(['b']);
    // One of two variants is sold out, so the product is not.
    expect(await ids('state=soldOut')).toEqual([]);
    expect(await ids('state=soldOut&kind=variants')).toEqual(['a2']);
    await act({ ids: ['b'] }, { act: 'hide' });
    expect(await ids('state=hidden')).toEqual(['b']);
    expect((await rows()).rows.map(({ isHidden }) => isHidden)).toEqual([false, true, false]);
    await act({ ids: ['c'] }, { act: 'addTag', tag: 'gift' });
    expect(await ids('state=decided')).toEqual(['c']);
  });
  test('gives a stretch at a time, with the columns asked for, and says what differs among variants', async () => {
    const answer = await rows('columns=price&columns=brand&offset=0&count=1');
    expect(answer).toMatchObject({ total: 3, products: 3 });
    expect(answer.rows).toMatchObject([
      {
        id: 'a',
        variants: 2,
        cells: {
          price: { text: '4.5', shown: '4.50 – 5.50', different: 2, from: 'file', contested: false },
          brand: { text: 'Osier', different: 1 },
        },
      },
    ]);
    expect(await ids('offset=2&count=5')).toEqual(['c']);
    expect((await shelf.get('/desk/catalog/rows?count=301')).status).toBe(400);
  });
});

describe('cells', () => {
  test('typed into, they are decisions: seen in the table, in the draft, and dropped by typing the file’s value', async () => {
    expect(
      (
        await cells(
          { product: 'b', attribute: 'colour', text: 'Green' },
          { product: 'a', variant: 'a2', attribute: 'price', text: '£9' },
        )
      ).status,
    ).toBe(200);
    expect((await rows('columns=colour&kind=variants')).rows[2]!.cells.colour).toEqual({
      text: 'Green',
      shown: 'Green',
      different: 1,
      from: 'here',
      contested: true,
    });
    const { variants } = await product('a');
    expect(variants.map(({ values }) => values.price)).toEqual([
      { text: '4.5', fact: '4.5', from: 'file', contested: false },
      { text: '9', fact: '5.5', from: 'here', contested: true },
    ]);
    const { body } = await cells({ product: 'b', attribute: 'colour', text: 'Blue' });
    expect(body.decisions).toBe(1);
  });
  test('all or none: one that cannot be read refuses the whole paste and names itself', async () => {
    const { status, body } = await cells(
      { product: 'b', attribute: 'colour', text: 'Green' },
      { product: 'b', attribute: 'price', text: 'cheap' },
    );
    expect(status).toBe(400);
    expect(body.error).toMatchObject({ field: 'price', message: '“cheap” is not a number.' });
    expect(shelf.setups.draft().products).toEqual({});
  });
  test('of an unknown product or attribute are refused with the name probably meant', async () => {
    expect((await cells({ product: 'zz', attribute: 'colour', text: 'x' })).body.error.message).toContain('zz');
    expect((await cells({ product: 'a', attribute: 'color', text: 'x' })).body.error.message).toContain(
      'Did you mean “colour”?',
    );
  });
});

describe('many products at once', () => {
  test('chosen by a list, in one step for undo, told as one change and dropped as one', async () => {
    const { body } = await act(
      { list: { q: '', filters: { colour: ['Blue'] }, missing: [], state: 'all', except: [] } },
      { act: 'addTag', tag: 'ocean' },
    );
    expect(body.products).toBe(3);
    expect(body.state.changes.map(({ sentences }) => sentences[0])).toEqual(['Tagged “ocean” for 3 products']);
    expect(body.state.canUndo).toBe('Tagged “ocean” for 3 products');
    expect(body.state.setup.products).toEqual({});
    expect(await ids('f.tags=ocean')).toHaveLength(3);
    const { group } = body.state.changes[0]!;
    const after = await shelf.post('/desk/catalog/discard', { revision: shelf.setups.revision(), group: group!.name });
    expect((after.body as DeskState).changes).toEqual([]);
    shelf.setups.undo(shelf.setups.revision(), 'Merchandiser', 1);
    expect(await ids('f.tags=ocean')).toHaveLength(3);
  });
  test('all of a list but for some, which stay as they are', async () => {
    const list = { q: '', filters: { colour: ['Blue'] }, missing: [], state: 'all' as const, except: ['b'] };
    expect((await act({ list }, { act: 'addTag', tag: 'lagoon' })).body.products).toBe(2);
    const tagged = await ids('f.tags=lagoon');
    expect(tagged).toHaveLength(2);
    expect(tagged).not.toContain('b');
    const everyOne = { list: { ...list, except: ['b', ...tagged] } };
    expect((await act(everyOne, { act: 'addTag', tag: 'reef' })).body.products).toBe(0);
  });
  test('what changes nothing is no step', async () => {
    const { body } = await act({ ids: ['b'] }, { act: 'removeTag', tag: 'nothing' });
    expect(body.products).toBe(0);
    expect(body.state.canUndo).toBeNull();
  });
  test('an attribute set for all, and everything about a product dropped again', async () => {
    await act({ ids: ['a', 'b'] }, { act: 'set', attribute: 'boost', text: '2' });
    await act({ ids: ['a'] }, { act: 'addTag', tag: 'gift' });
    expect((await product('a')).decisions.map(({ text }) => text)).toEqual([
      'Boost is set to “2” for “Round brush”',
      'Tagged “gift” for “Round brush”',
    ]);
    expect((await product('a')).rules).toMatchObject([
      { kind: 'boost', text: 'Its boost multiplies its score by 2 in every search.' },
    ]);
    await act({ ids: ['a'] }, { act: 'discard', attribute: null });
    expect((await product('a')).decisions).toEqual([]);
    expect(Object.keys(shelf.setups.draft().products)).toHaveLength(1);
  });
});

test('hidden from one place only, a product stays in the others', async () => {
  await act({ ids: ['b'] }, { act: 'hide', places: ['collections'] });
  const found = (await shelf.get('/desk/search?q=flat')).body as { total: number };
  expect(found.total).toBe(1);
  expect((await product('b')).rules).toMatchObject([{ text: 'It is hidden from collection pages.' }]);
  await act({ ids: ['b'] }, { act: 'hide', places: ['results', 'box'] });
  expect(((await shelf.get('/desk/search?q=flat')).body as { total: number }).total).toBe(0);
  const empty = { message: 'None', searches: [], products: ['b'] };
  shelf.setups.edit([{ part: 'emptyShelf', key: 'content', value: empty }], shelf.setups.revision(), 'Ada', 1);
  const shown = (await shelf.get('/desk/search?q=zzz')).body as { emptyShelf: { products: unknown[] } };
  expect(shown.emptyShelf.products).toHaveLength(1);
});

test('a product’s page lists the rules that touch it and where it stands', async () => {
  const plan = {
    name: 'Brushes',
    on: true,
    searches: ['brush'],
    pins: [{ product: 'b', place: 1 }],
    pulls: [{ product: 'b', pull: 2 }],
  };
  shelf.setups.edit([{ part: 'plans', key: 'p', value: plan }], shelf.setups.revision(), 'Ada', 1);
  const { body } = await shelf.get('/desk/catalog/product?id=b&searches=brush&searches=ink');
  expect(body).toMatchObject({
    title: 'Flat brush',
    rules: [{ kind: 'pin' }, { kind: 'pull' }],
    searches: [
      { query: 'brush', place: 1, of: 2 },
      { query: 'ink', place: null },
    ],
  });
});

test('a feed is in the next answer, and the desk is told how fresh it is', async () => {
  const before = (await shelf.get('/desk/catalog/freshness')).body as { factsAt: string | null; version: string };
  expect(before.factsAt).toBeNull();
  const { body } = await shelf.post('/desk/catalog/facts', {
    records: [
      { id: 'c1', price: 1.25, stock: 0 },
      { id: 'x', stock: 1 },
    ],
  });
  expect(body).toEqual({ changed: 1, unknown: ['x'] });
  const found = (await shelf.get('/shop/search?q=ink')).body as { results: { price: number; available: boolean }[] };
  expect(found.results[0]).toMatchObject({ price: 1.25, available: false });
  const after = (await shelf.get('/desk/catalog/freshness')).body as { factsAt: string | null; version: string };
  expect(after.factsAt).not.toBeNull();
  expect(after.version).not.toBe(before.version);
  expect((await shelf.post('/desk/catalog/facts', { records: [{ id: 'c1', prize: 1 }] })).status).toBe(400);
});
