import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { AnswerOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import type { DeskState } from '../../api/stateSchema.ts';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

const header = 'id,family,sku,title,category,colour,material,price,rating\n';
const rows = [
  'a1,a,WU-1A,Round brush,Brushes > Watercolour,Crimson,Gum arabic,4.50,4.5',
  'a2,a,WU-1B,Round brush,Brushes > Watercolour,Blue,gum arabic,5.50,4.5',
  'b1,b,WU-2A,Flat brush,Brushes > Oil,RED,Hog,6.00,3',
  'c1,c,WU-3A,Blue ink,Ink,Navy,Hog,3.00,2',
  'd1,d,WU-4A,Red ink,Ink,Scarlet,Gum arabic,12.00,5',
];
let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(header + rows.join('\n'));
});
afterEach(() => shelf.remove());

const state = async (): Promise<DeskState> => (await shelf.get('/desk/state')).body;
const edit = async (part: string, key: string, value: unknown) =>
  shelf.post('/desk/edits', { revision: (await state()).revision, edits: [{ part, key, value }] });
const answer = async (path = ''): Promise<SearchAnswer> => (await shelf.get(`/desk/search?${path}`)).body;
type Of<Name extends keyof typeof endpoints> = AnswerOf<(typeof endpoints)[Name]>;
const worth = async (): Promise<Of<'filterWorth'>> => (await shelf.get('/desk/filters/worth')).body;
const filter = { label: 'Colour', kind: 'ticks', order: 1, counts: true, valueOrder: 'count' };

test('values come with their products in the catalog and in a search, and with groups by what the colours look like', async () => {
  const values: Of<'attributeValues'> = (await shelf.get('/desk/filters/values?attribute=colour&q=brush')).body;
  expect(values.values).toContainEqual(expect.objectContaining({ value: 'RED', products: 1, here: 1 }));
  expect(values.values).toContainEqual(expect.objectContaining({ value: 'Navy', products: 1, here: 0 }));
  const red = values.groups.find(({ label }) => label === 'Red')!;
  expect(red).toMatchObject({ why: 'colour' });
  expect([...red.values].sort()).toEqual(['Crimson', 'RED', 'Scarlet']);
  const amounts: Of<'attributeValues'> = (await shelf.get('/desk/filters/values?attribute=price')).body;
  expect(amounts.amounts).toMatchObject({ least: 3, most: 12 });
});

describe('value groups', () => {
  beforeEach(async () => {
    await edit('valueGroups', 'tone', {
      name: 'Tones',
      attribute: 'colour',
      groups: [{ label: 'Red', values: ['red', 'crimson', 'scarlet'] }],
      rest: 'together',
    });
    await edit('filters', 'colour', { ...filter, attribute: 'colour', groups: 'tone' });
  });
  const colours = async () =>
    (await answer()).filters.find(({ key }) => key === 'colour')!.values.map(({ value, count }) => [value, count]);
  test('are in force at once, are reported when published, and outlive another import', async () => {
    expect(await colours()).toEqual([
      ['Red', 3],
      ['Other', 2],
    ]);
    const { changes } = await state();
    expect(changes.flatMap(({ sentences }) => sentences)).toContain('Value groups “Tones” are added');
    await shelf.bringIn(`${header}e1,e,WU-5A,Red pencil,Pencils,red,Cedar,2,4\n${rows.join('\n')}`);
    expect(await colours()).toEqual([
      ['Red', 4],
      ['Other', 2],
    ]);
  });
  test('are recognised in searches once their attribute is', async () => {
    await edit('vocabulary', 'r', { what: 'recognised', price: true, attributes: { colour: 'filter' } });
    const { results, recognised } = await answer('q=red+brush');
    expect(results.map(({ familyId }) => familyId).sort()).toEqual(['a', 'b']);
    expect(recognised).toEqual([expect.objectContaining({ named: expect.objectContaining({ value: 'Red' }) })]);
  });
  test('a filter whose groups or attribute are gone is kept, still works or is left out, and says why', async () => {
    await edit('valueGroups', 'tone', null);
    expect(await colours()).toHaveLength(5);
    expect((await worth()).filters.find(({ key }) => key === 'colour')!.warnings).toContainEqual({
      what: 'groupsGone',
    });
    await shelf.bringIn(
      `id,family,sku,title,price\n${rows.map((row) => row.split(',').slice(0, 4).join(',').concat(',3')).join('\n')}`,
    );
    expect((await answer()).filters.map(({ key }) => key)).not.toContain('colour');
    expect((await worth()).filters.find(({ key }) => key === 'colour')!.warnings).toContainEqual({ what: 'gone' });
    expect((await state()).setup.filters).toHaveProperty('colour');
  });
});

test('what filters do beside the searches made most, and values nobody could tell apart', async () => {
  for (const search of ['brush', 'brush', 'ink'])
    await shelf.post('/shop/log/search', { session: search, search, filters: {}, results: 2, inDesk: false });
  await edit('filters', 'material', { ...filter, label: 'Material', attribute: 'material' });
  const answered = await worth();
  expect(answered.searches.map(({ search, total }) => [search, total])).toEqual([
    ['brush', 2],
    ['ink', 2],
  ]);
  const material = answered.filters.find(({ key }) => key === 'material')!;
  expect(material).toMatchObject({ shownIn: 2, times: 3, alike: [['Gum arabic', 'gum arabic']] });
});

test('where shoppers’ searches say nothing of this catalog, filters are tried on searches made up from it', async () => {
  const madeUp = await worth();
  expect(madeUp.areMadeUp).toBe(true);
  expect(madeUp.searches.length).toBeGreaterThan(1);
  for (const { search, total } of madeUp.searches)
    expect({ search, finds: total > 0 }).toEqual({ search, finds: true });
  const made = (search: string) =>
    shelf.post('/shop/log/search', { session: search, search, filters: {}, results: 0, inDesk: false });
  // A log of another shop finds next to nothing.
  for (const search of ['garden hose', 'rake', 'spade', 'ink']) await made(search);
  expect((await worth()).areMadeUp).toBe(true);
  for (const search of ['brush', 'red ink', 'round brush']) await made(search);
  const asked = await worth();
  expect([asked.areMadeUp, asked.searches.map(({ search }) => search)]).toEqual([
    false,
    expect.arrayContaining(['brush', 'rake']),
  ]);
});

test('proposals fit the catalog; one that is added is not proposed again', async () => {
  expect((await edit('filters', 'category', null)).status).toBe(200);
  const before: Of<'filterProposals'> = (await shelf.get('/desk/filters/proposals')).body;
  const tree = before.proposals.find(({ setting }) => setting.attribute === 'category')!;
  expect(tree.setting).toMatchObject({ kind: 'tree', label: 'Category' });
  expect((await edit('filters', tree.key, tree.setting)).status).toBe(200);
  const after: Of<'filterProposals'> = (await shelf.get('/desk/filters/proposals')).body;
  expect(after.proposals.map(({ setting }) => setting.attribute)).not.toContain('category');
  expect((await answer()).filters.find(({ key }) => key === tree.key)!.values.map(({ label }) => label)).toContain(
    'Brushes',
  );
});

test('a long list is looked through by name, and a filter said to have nothing takes off what is preselected', async () => {
  await edit('filters', 'colour', {
    ...filter,
    attribute: 'colour',
    chosen: [{ collection: null, values: ['Blue'] }],
    names: { de: { label: 'Farbe', values: { Navy: 'Marineblau' } } },
  });
  expect((await answer()).total).toBe(1);
  expect((await answer('f.colour=')).total).toBe(4);
  const like = await answer('f.colour=&like=colour:marine&language=de');
  const found = like.filters.find(({ key }) => key === 'colour')!;
  expect(found.label).toBe('Farbe');
  expect(found.values.map(({ value, label }) => [value, label])).toEqual([['Navy', 'Marineblau']]);
});

test.each([
  ['thresholds that fall', { thresholds: [5, 2] }, 'filters.colour.thresholds'],
  ['a kind there is not', { kind: 'wheel' }, 'filters.colour.kind'],
  ['a colour that is none', { colours: { Red: 'red' } }, 'filters.colour.colours.Red'],
])('%s is refused, and the place named', async (_, to, field) => {
  const { status, body } = await edit('filters', 'colour', { ...filter, attribute: 'colour', ...to });
  expect(status).toBe(400);
  expect((body as { error: { message: string } }).error.message).toContain(field);
});
