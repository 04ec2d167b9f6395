import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { HistoryRow } from '../../api/historyEndpoints.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const revision = async (): Promise<number> => ((await shelf.get('/desk/state')).body as { revision: number }).revision;
const edit = async (who: string, part: string, key: string, value: unknown) =>
  shelf.post(
    '/desk/edits',
    { revision: await revision(), edits: [{ part, key, value }] },
    { 'x-person': encodeURIComponent(who) },
  );
const history = async (query = ''): Promise<{ steps: HistoryRow[]; people: string[]; next: string | null }> =>
  (await shelf.get(`/desk/history?${query}`)).body;
const told = async (query = ''): Promise<string[]> =>
  (await history(query)).steps.flatMap(({ who, sentences }) => sentences.map((sentence) => `${who}: ${sentence}`));

test('what anybody did is told newest first, by person, part and product', async () => {
  await edit('Ada', 'relevance', 'closeCall', { width: 5 });
  await edit('Zoë', 'hiding', 'product:b', { what: 'product', product: 'b' });
  await edit('Ada', 'relevance', 'closeCall', { width: 6 });
  await shelf.post('/desk/publish', { revision: await revision(), note: 'Wider' }, { 'x-person': 'Ada' });
  expect((await history()).steps.map(({ kind, who, note }) => [kind, who, note])).toEqual([
    ['release', 'Ada', 'Wider'],
    ['edit', 'Ada', ''],
    ['edit', 'Zoë', ''],
    ['edit', 'Ada', ''],
    ['release', 'Clever Shelf', 'Initial setup'],
  ]);
  expect(await told('who=Zo%C3%AB')).toEqual(['Zoë: “Flat brush” is hidden']);
  // A release says what it published, so it is about the product as well.
  expect(await told('part=hiding')).toEqual([
    'Ada: Close calls are 6 points wide instead of 3',
    'Ada: “Flat brush” is hidden',
    'Zoë: “Flat brush” is hidden',
  ]);
  expect(await told('product=b&who=Zo%C3%AB')).toHaveLength(1);
  expect(await told('product=nobody')).toEqual([]);
  expect((await history()).people).toEqual(['Ada', 'Clever Shelf', 'Zoë']);
});

test('a step is taken back long after, as a new one; what was changed since is asked about', async () => {
  await edit('Ada', 'relevance', 'closeCall', { width: 5 });
  await edit('Ben', 'hiding', 'product:b', { what: 'product', product: 'b' });
  const [, first] = (await history('of=draft')).steps.filter(({ kind }) => kind === 'edit');
  const take = async (more: object = {}) =>
    shelf.post('/desk/history/take-back', { revision: await revision(), step: first!.id, ...more });
  expect(await take()).toMatchObject({ status: 200, body: { changes: [{ part: 'hiding' }] } });
  expect(await told()).toEqual([
    'Merchandiser: Close calls are 3 points wide instead of 5',
    'Ben: “Flat brush” is hidden',
    'Ada: Close calls are 5 points wide instead of 3',
  ]);
  expect(await take()).toMatchObject({ status: 409, body: { error: { code: 'nothing-to-take-back' } } });
  await edit('Ben', 'relevance', 'closeCall', { width: 8 });
  expect(await take()).toMatchObject({
    status: 409,
    body: { error: { code: 'changed-since', details: { who: ['Merchandiser', 'Ben'] } } },
  });
  expect(await take({ changedSince: 'take' })).toMatchObject({ status: 200, body: { changes: [{ part: 'hiding' }] } });
  const unknown = await shelf.post('/desk/history/take-back', { revision: await revision(), step: 99_999 });
  expect(unknown).toMatchObject({ status: 409, body: { error: { code: 'unknown-step' } } });
});

test('it comes in stretches that neither repeat nor leave out, and as a file', async () => {
  for (let width = 1; width <= 70; width++)
    await edit(width % 2 ? 'Ada' : 'Ben', 'relevance', 'closeCall', { width: width + 3 });
  const first = await history();
  const second = await history(`before=${first.next}`);
  const ids = [...first.steps, ...second.steps].map(({ id }) => id);
  expect([first.steps.length, second.next]).toEqual([60, null]);
  expect(new Set(ids).size).toBe(71);
  const file = await (await shelf.request('/desk/history.csv?who=Ben')).text();
  expect(file.trim().split('\n')).toHaveLength(36);
  expect(file).toContain('Ben,Main draft,edit,Close calls are 73 points wide instead of 72');
});
