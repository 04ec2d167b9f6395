import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { endpoints } from '../../api/endpoints.ts';
import type { Problem } from '../../api/problem.ts';
import type { DeskState } from '../../api/stateSchema.ts';
import { type SearchAnswer, searchAnswerSchema } from '../../core/answer/answer.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const state = async (): Promise<DeskState> => (await shelf.get('/desk/state')).body;
const search = async (path: string): Promise<SearchAnswer> => (await shelf.get(path)).body;
const edit = async (part: string, key: string, value: unknown, revision?: number) =>
  shelf.post('/desk/edits', { revision: revision ?? (await state()).revision, edits: [{ part, key, value }] });
const pin = { name: 'Brushes', on: true, searches: ['brush'], pins: [{ product: 'c', place: 1 }], pulls: [] };

describe('the draft', () => {
  test('shows in the preview at once, and to shoppers only when published', async () => {
    await edit('plans', 'brush', pin);
    expect((await search('/desk/search?q=brush')).results[0]).toMatchObject({
      familyId: 'c',
      marks: { pin: { from: 'plan', id: 'brush' } },
    });
    expect((await search('/shop/search?q=brush')).results.map(({ familyId }) => familyId)).not.toContain('c');
    const { revision } = await state();
    const published: DeskState = (await shelf.post('/desk/publish', { revision })).body;
    expect(published).toMatchObject({ changes: [], release: { number: 2 } });
    const [first] = (await search('/shop/search?q=BRUSH')).results;
    expect(first?.familyId).toBe('c');
    // What shoppers get says nothing of plans.
    expect(first?.marks).toBeUndefined();
  });

  test('the shop’s name and the money of its prices are a part of it, and are held to what they may be', async () => {
    const shop = { name: 'Reed & Rush', currency: 'EUR' };
    await edit('storefront', 'shop', shop);
    const { results, filters } = await search('/desk/search?q=');
    expect((await search('/desk/search?q=')).shop).toEqual(shop);
    expect(results[0]!.currency).toBe('EUR');
    expect(filters.find(({ isMoney }) => isMoney)?.currency).toBe('EUR');
    expect(await search('/shop/search?q=')).toMatchObject({ shop: { name: 'Your shop', currency: 'GBP' } });
    const { status, body } = await edit('storefront', 'shop', { ...shop, currency: 'euro' });
    expect({ status, message: (body as Problem).error.message }).toEqual({
      status: 400,
      message: expect.stringContaining('A currency is three capital letters'),
    });
  });

  test('says its changes in words', async () => {
    await edit('plans', 'brush', pin);
    await edit('hiding', 'product:b', { what: 'product', product: 'b' });
    const { changes } = await state();
    expect(changes.flatMap(({ sentences }) => sentences)).toEqual([
      'Shelf plan “Brushes” is added',
      '“Flat brush” is hidden',
    ]);
  });

  test('undo and redo go back and forth step by step; a new edit ends what could be redone', async () => {
    const widths = async () => (await state()).setup.relevance.closeCall.width;
    const step = async (which: 'undo' | 'redo') => shelf.post(`/desk/${which}`, { revision: (await state()).revision });
    for (const width of [5, 8, 13]) await edit('relevance', 'closeCall', { width });
    await step('undo');
    await step('undo');
    expect(await widths()).toBe(5);
    await step('redo');
    expect(await widths()).toBe(8);
    await edit('relevance', 'closeCall', { width: 21 });
    expect((await step('redo')).status).toBe(409);
    await step('undo');
    await step('undo');
    await step('undo');
    expect(await widths()).toBe(3);
    expect(((await step('undo')).body as Problem).error.code).toBe('nothing-to-undo');
    expect((await state()).changes).toEqual([]);
  });

  test('what is done and taken back in one movement leaves nothing to undo', async () => {
    const at = 5_000_000;
    const { setups } = shelf;
    const hiding = { what: 'tag', tag: 'sale' };
    setups.edit([{ part: 'hiding', key: 'tag:sale', value: hiding }], setups.revision(), 'Ada', at);
    setups.edit([{ part: 'hiding', key: 'tag:sale', value: null }], setups.revision(), 'Ada', at + 300);
    expect(await state()).toMatchObject({ canUndo: null, changes: [] });
    setups.edit([{ part: 'relevance', key: 'closeCall', value: { width: 4 } }], setups.revision(), 'Ada', at + 600);
    setups.edit([{ part: 'relevance', key: 'closeCall', value: { width: 6 } }], setups.revision(), 'Ada', at + 900);
    setups.undo(setups.revision(), 'Ada', at + 1200);
    expect((await state()).setup.relevance.closeCall.width).toBe(3);
  });

  test('a stale write of the same entry is refused with what changed; of another it is taken', async () => {
    const { revision } = await state();
    await edit('relevance', 'closeCall', { width: 9 });
    const stale = await edit('relevance', 'closeCall', { width: 1 }, revision);
    expect(stale.status).toBe(409);
    expect((stale.body as Problem).error).toMatchObject({
      code: 'stale-write',
      details: { who: ['Merchandiser'], changes: [{ sentences: ['Close calls are 9 points wide instead of 3'] }] },
    });
    expect((await edit('relevance', 'spelling', { tolerance: false }, revision)).status).toBe(200);
  });

  test('edits are all taken or none', async () => {
    const { revision } = await state();
    const edits = [
      { part: 'relevance', key: 'closeCall', value: { width: 7 } },
      { part: 'relevance', key: 'closeCall2', value: { width: 7 } },
    ];
    expect((await shelf.post('/desk/edits', { revision, edits })).status).toBe(400);
    expect((await state()).setup.relevance.closeCall.width).toBe(3);
  });

  test('what is published can be taken back in one step, and the draft stays', async () => {
    await edit('plans', 'brush', pin);
    await shelf.post('/desk/publish', { revision: (await state()).revision, note: 'Spring' });
    await shelf.post('/desk/releases/again', { number: 1 });
    expect((await search('/shop/search?q=brush')).results.map(({ familyId }) => familyId)).not.toContain('c');
    expect((await state()).changes).toHaveLength(1);
    const { releases }: { releases: { note: string }[] } = (await shelf.get('/desk/releases')).body;
    expect(releases.map(({ note }) => note)).toEqual(['Release 1 again', 'Spring', 'Initial setup']);
  });
});

describe('one answer, one shape', () => {
  test('shop, desk and why tell the same results in the shape of the schema', async () => {
    const shop = await search('/shop/search?q=brush');
    const desk = await search('/desk/search?q=brush&from=release:live');
    expect(searchAnswerSchema.strict().parse(shop)).toEqual(shop);
    const bare = desk.results.map(({ marks: _, ...result }) => result);
    const { gaps, ...told } = desk;
    expect(gaps).toEqual([]);
    expect({ ...told, results: bare }).toEqual(shop);
    const { result }: { result: SearchAnswer['results'][0] } = (await shelf.get('/desk/why?q=brush&product=b')).body;
    expect(result).toMatchObject({
      familyId: 'b',
      why: { place: desk.results.findIndex(({ familyId }) => familyId === 'b') + 1 },
    });
  });

  test('movement is reported against what is published', async () => {
    await edit('plans', 'brush', { ...pin, pins: [], pulls: [{ product: 'b', pull: 5 }] });
    const before = (await search('/shop/search?q=brush')).results.map(({ familyId }) => familyId);
    const after = await search('/desk/search?q=brush&movement=1');
    for (const { familyId, place, marks } of after.results)
      expect(marks?.moved).toBe(before.indexOf(familyId) + 1 - place);
  });

  test('the OpenAPI document names every endpoint', async () => {
    const { paths }: { paths: Record<string, unknown> } = (await shelf.get('/openapi.json')).body;
    expect(Object.keys(paths).sort()).toEqual([...new Set(Object.values(endpoints).map(({ path }) => path))].sort());
  });
});

describe('shoppers’ requests', () => {
  test('filters narrow by variant, count families once and are reported when they are gone', async () => {
    const answer = await search('/shop/search?q=brush&f.colour=Blue&f.gone=1');
    expect(answer.results.map(({ id }) => id).sort()).toEqual(['a2', 'b1']);
    expect(answer.ignoredFilters).toEqual(['gone']);
    expect(answer.filters.find(({ key }) => key === 'colour')?.values).toEqual([
      { value: 'Blue', label: 'Blue', count: 2, chosen: true },
      { value: 'Red', label: 'Red', count: 1, chosen: false },
    ]);
  });

  test('an exact SKU leads, however it is written; sold out is said', async () => {
    for (const sku of ['WU-1B', 'wu 1 b', 'wu1b']) {
      const { results } = await search(`/shop/search?q=${encodeURIComponent(sku)}`);
      expect(results[0]).toMatchObject({ sku: 'WU-1B', available: true, variantAvailable: false, place: 1 });
    }
  });

  test.each(['😀', '%', '"', "' OR 1=1 --", '<script>', 'مرحبا', '\u0000', '\\'])(
    '%s gets a right answer',
    async (query) => {
      const { status, body } = await shelf.get(`/shop/search?q=${encodeURIComponent(query)}`);
      expect(status).toBe(200);
      expect((body as SearchAnswer).results).toEqual([]);
      expect((body as SearchAnswer).emptyShelf?.message).toContain(query.trim());
    },
  );

  test.each([
    [`/shop/search?q=${'a'.repeat(10_000)}`, 'invalid-parameter', 'q'],
    ['/shop/search?limt=3', 'unknown-parameter', 'limt'],
    ['/shop/search?limit=abc', 'invalid-parameter', 'limit'],
    ['/desk/values?attribute=colours', 'unknown-attribute', 'attribute'],
  ])('%.40s is refused with a code and the field', async (path, code, field) => {
    const { status, body } = await shelf.get(path);
    expect(status).toBe(400);
    expect((body as Problem).error).toMatchObject({ code, field });
  });
});

test('another site’s page cannot change anything', async () => {
  const { revision } = await state();
  const body = { revision, edits: [{ part: 'plans', key: 'x', value: pin }] };
  const refused = await shelf.post('/desk/edits', body, { origin: 'https://elsewhere.test' });
  expect(refused.status).toBe(403);
  expect((await shelf.post('/desk/edits', body, { origin: 'http://desk.test' })).status).toBe(200);
});
