import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { BoxAnswer, BoxBlockAnswer } from '../../core/suggest/boxAnswer.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const note = async (search: string, sessions: number, results = 1): Promise<void> => {
  for (let session = 0; session < sessions; session++)
    await shelf.post('/shop/main/log/search', { session: `visit-${search}-${session}`, search, results });
};
const ask = async (path: string): Promise<BoxAnswer> => (await shelf.get(path)).body as BoxAnswer;
/** Searches offered in a block, those that shoppers made or somebody chose. */
const items = ({ blocks }: BoxAnswer, kind: BoxBlockAnswer['kind']): string[] =>
  blocks.flatMap((block) =>
    block.kind === kind && (block.kind === 'suggestions' || block.kind === 'popular')
      ? block.items.filter(({ why }) => why.from !== 'catalog').map(({ text }) => text)
      : [],
  );
const edit = async (...edits: { part: string; key: string; value: unknown }[]) => {
  const { revision } = (await shelf.get('/desk/main/main/state')).body as { revision: number };
  return shelf.post('/desk/main/main/edits', { revision, edits });
};

test('what several shoppers found something by is offered, with why; what one alone typed, or nothing has, is not', async () => {
  await note('round brush', 3);
  await note('blue ink', 2);
  await note('rush order of mine', 1);
  await note('brushless', 4, 0);
  await note('red ada@example.org', 3);
  const answer = await ask('/desk/main/main/suggest?q=r');
  expect(items(answer, 'suggestions')).toEqual(['round brush']);
  const [first] = answer.blocks.flatMap((block) => (block.kind === 'suggestions' ? block.items : []));
  expect(first).toMatchObject({ why: { from: 'log', searches: 3, mistakes: 0 } });
  expect(items(await ask('/desk/main/main/suggest?q=bru'), 'suggestions')).toEqual(['round brush']);
  expect(items(await ask('/desk/main/main/suggest'), 'popular')).toEqual(['round brush', 'blue ink']);
});

test('one’s own searches stand first in the draft at once, and for shoppers when it is published', async () => {
  await note('blue ink', 3);
  const own = (text: string, more: object = {}) => ({
    part: 'suggestedSearches',
    key: `offer:${text}`,
    value: { what: 'offer', text, on: true, priority: 50, ...more },
  });
  const answer = await edit(
    own('blue harrow'),
    own('flat brush', { always: true, priority: 90 }),
    own('blue zebra'),
    own('brush', { on: false }),
    { part: 'suggestedSearches', key: 'never:red', value: { what: 'never', text: 'red' } },
  );
  expect(answer).toMatchObject({ status: 200 });
  // Nobody has a zebra.
  expect(items(await ask('/desk/main/main/suggest?q=bl'), 'suggestions')).toEqual(['blue harrow', 'blue ink']);
  expect(items(await ask('/desk/main/main/suggest'), 'popular')).toEqual(['flat brush', 'blue ink']);
  expect(items(await ask('/shop/main/suggest'), 'popular')).toEqual(['blue ink']);
  const { revision } = (await shelf.get('/desk/main/main/state')).body as { revision: number };
  await shelf.post('/desk/main/main/publish', { revision, note: '' });
  expect(items(await ask('/shop/main/suggest'), 'popular')).toEqual(['flat brush', 'blue ink']);
});

test('a search that is hidden is offered no more, and a dated one only on its days', async () => {
  await note('blue ink', 3);
  await note('round brush', 2);
  expect(items(await ask('/desk/main/main/suggest'), 'popular')).toEqual(['blue ink', 'round brush']);
  await edit(
    { part: 'hiding', key: 'product:c', value: { what: 'product', product: 'c' } },
    {
      part: 'suggestedSearches',
      key: 'offer:flat brush',
      value: { what: 'offer', text: 'flat brush', on: true, priority: 1, always: true, from: '2031-12-01' },
    },
  );
  expect(items(await ask('/desk/main/main/suggest'), 'popular')).toEqual(['round brush']);
  expect(items(await ask('/desk/main/main/suggest?at=2031-12-24'), 'popular')).toEqual(['flat brush', 'round brush']);
});

test('a file of suggested searches is read with what it would change', async () => {
  const text = 'what,text,priority,always\n,gift set,80,on\nnever,clearance,,\n,gift  set,70,\n,,5,\n';
  const { status, body } = await shelf.post('/desk/main/main/rules/read', { part: 'suggestedSearches', text });
  expect(status).toBe(200);
  const { changes, refusedInAll } = body as { changes: { key: string; sentences: string[] }[]; refusedInAll: number };
  expect(changes.map(({ key, sentences }) => [key, ...sentences])).toEqual([
    ['offer:gift set', 'The search “gift  set” is suggested'],
    ['never:clearance', 'Searches with “clearance” are never offered'],
  ]);
  expect(refusedInAll).toBe(1);
});
