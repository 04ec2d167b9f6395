import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  const rows = Array.from({ length: 30 }, (_, at) => `p${at},Brush ${at},${at + 1}.00`);
  await shelf.bringIn(`id,title,price\n${rows.join('\n')}\n`);
});
afterEach(() => shelf.remove());

const layout = { shape: 'grid', inRow: { narrow: 2, middle: 3, wide: 4 }, picture: { height: 118, fit: 'contain' } };
async function lay(atOnce: number, way: string): Promise<void> {
  const { revision } = (await shelf.get('/desk/state')).body as { revision: number };
  const edits = [{ part: 'resultsPage', key: 'layout', value: { ...layout, atOnce, way } }];
  expect((await shelf.post('/desk/edits', { revision, edits })).status).toBe(200);
}
const shown = async (query: string): Promise<unknown[]> => {
  const { body } = await shelf.get(`/desk/search?q=brush${query}`);
  const { page, limit, results } = body as { page: number; limit: number; results: { place: number }[] };
  return [page, limit, results.length, results[0]?.place];
};

test('a search that does not say how many it wants gets as many as the layout shows, page by page', async () => {
  await lay(8, 'pages');
  expect(await shown('')).toEqual([1, 8, 8, 1]);
  expect(await shown('&page=4')).toEqual([4, 8, 6, 25]);
  expect(await shown('&limit=3&page=2')).toEqual([2, 3, 3, 4]);
});

test('where results go on below, a page has all those before it too', async () => {
  await lay(8, 'button');
  expect(await shown('&page=3')).toEqual([3, 8, 24, 1]);
  expect(await shown('&limit=3&page=2')).toEqual([2, 3, 3, 4]);
});
