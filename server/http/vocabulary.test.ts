import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { AnswerOf } from '../../api/endpoint.ts';
import type { endpoints } from '../../api/endpoints.ts';
import type { DeskState } from '../../api/stateSchema.ts';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

type Notes = AnswerOf<(typeof endpoints)['vocabularyNotes']>['notes'];
type Read = AnswerOf<(typeof endpoints)['readVocabulary']>;
const state = async (): Promise<DeskState> => (await shelf.get('/desk/state')).body;
const edit = async (key: string, value: unknown) =>
  shelf.post('/desk/edits', { revision: (await state()).revision, edits: [{ part: 'vocabulary', key, value }] });
const notes = async (...keys: string[]): Promise<Notes> =>
  ((await shelf.get(`/desk/vocabulary/notes?${keys.map((key) => `key=${key}`).join('&')}`)).body as { notes: Notes })
    .notes;
const read = async (csv: string): Promise<Read> => (await shelf.post('/desk/vocabulary/read', { csv })).body;

test('an entry says the searches it touches, how often they are made and the products it adds', async () => {
  for (const search of ['dye', 'dye', 'blue dye', 'brush'])
    await shelf.post('/shop/log/search', { session: 's', search, filters: {}, results: 0, inDesk: false });
  await edit('a', { what: 'oneWay', from: ['dye'], to: ['ink'], on: true });
  await edit('b', { what: 'oneWay', from: ['dye'], to: ['zebra'], on: true });
  const [a, b, gone] = await notes('a', 'b', 'gone');
  expect(a).toMatchObject({ searches: 2, times: 3, added: 1, problems: [] });
  expect(b).toMatchObject({ searches: 2, added: 0, problems: [{ code: 'findsNothing' }] });
  expect(gone).toBeUndefined();
});

test('a file of synonyms is reported as what it changes, with refused lines, and changes nothing by itself', async () => {
  await edit('same-rubber-eraser', { what: 'synonyms', words: ['rubber', 'eraser'], on: true });
  const csv = 'kind,words,finds,on,name\r\nsame,rubber|eraser,,on,\r\none way,dye,ink,on,\r\nsame,alone,,on,\r\n';
  const answer = await read(csv);
  expect(answer).toMatchObject({ unchanged: 1, refusedInAll: 1, refused: [{ line: 4 }] });
  expect(answer.added.map(({ entry }) => entry)).toEqual([{ what: 'oneWay', from: ['dye'], to: ['ink'], on: true }]);
  expect(Object.keys((await state()).setup.vocabulary)).toHaveLength(1);
  expect(await shelf.post('/desk/vocabulary/read', { csv: '' })).toMatchObject({ status: 400 });
});

test('a German catalog is read as German: its word forms, and the usual words its titles do not have', async () => {
  const german = `id,title,description
1,Pinsel für Öl,"Ein Pinsel mit einem Stiel aus Birke, für die feinsten Linien und nicht für Acryl."
2,Farbe im Block,"Eine Farbe, die auf Papier und auf Leinwand steht, von Hand gemischt."
`;
  await shelf.bringIn(german);
  const stop = (await shelf.get('/desk/vocabulary/stop-words')).body as AnswerOf<(typeof endpoints)['usualStopWords']>;
  expect(stop.language).toBe('de');
  expect(stop.usual).toContain('und');
  // Titles have these: passing them over would lose something.
  expect(stop.usual).not.toContain('fur');
  const found = async (q: string) => ((await shelf.get(`/desk/search?q=${q}`)).body as SearchAnswer).results.length;
  expect(await found('Farben')).toBe(1);
  await edit('stop-words', { what: 'stopWords', words: ['im', 'und', '0.5mm', 'auf der'] });
  expect((await shelf.get('/desk/vocabulary/stop-words')).body).toMatchObject({
    meaningful: [{ word: 'im', products: 1 }],
    idle: ['0.5mm', 'auf der'],
  });
});

test('the dictionary’s size, and how often shoppers say a word of each entry', async () => {
  for (const search of ['dye', 'Blue dye', 'brush'])
    await shelf.post('/shop/log/search', { session: 's', search, filters: {}, results: 0 });
  await edit('a', { what: 'oneWay', from: ['dye'], to: ['ink'], on: true });
  await edit('b', { what: 'oneWay', from: ['blue dye', 'xyz'], to: ['ink'], on: true });
  await edit('c', { what: 'synonyms', words: ['dye', 'paint'], on: false });
  expect((await shelf.get('/desk/vocabulary/times')).body).toEqual({ times: { a: 2, b: 1 } });
  const { catalog, vocabulary, popular } = (await shelf.get('/desk/vocabulary/dictionary')).body as AnswerOf<
    (typeof endpoints)['dictionary']
  >;
  expect(catalog).toBeGreaterThan(3);
  expect(vocabulary).toBe(2);
  expect(popular).toEqual([]);
});

test('what was recognised is told by the shop, and taken as words where the address says so', async () => {
  await edit('recognised', { what: 'recognised', price: true, attributes: { title: 'filter', colour: 'filter' } });
  const asked = async (more = ''): Promise<SearchAnswer> => (await shelf.get(`/desk/search?q=blue${more}`)).body;
  const colours = (await shelf.get('/desk/values?attribute=colour')).body as { values: { value: string }[] };
  const isColour = colours.values.some(({ value }) => value.toLowerCase() === 'blue');
  expect((await asked()).recognised.map(({ text }) => text)).toEqual(isColour ? ['blue'] : []);
  expect((await asked('&asWords=blue')).recognised).toEqual([]);
});

test('a condition nobody can read is refused, with the place', async () => {
  const wrong = {
    what: 'recognised',
    price: true,
    conditions: [
      { words: 'new', condition: { match: 'all', tests: [{ how: 'lastDays', attribute: 'date_added', days: 0 }] } },
    ],
  };
  expect((await edit('recognised', wrong)).status).toBe(400);
  expect((await edit('p', { what: 'phrases', phrases: ['single'] })).status).toBe(400);
});
