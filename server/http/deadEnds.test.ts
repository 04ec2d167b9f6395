import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { DeadEnd } from '../../core/proposals/deadEnds.ts';
import type { ToldRemedy } from '../questions/deadEndQuestions.ts';
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
/** Visits in which a search found nothing and another one was tried next, and opened something. */
const retry = async (from: string, to: string, product: string, sessions: number): Promise<void> => {
  for (let at = 0; at < sessions; at++) {
    const session = `retry-${from}-${at}`;
    await shelf.post('/shop/main/log/search', { session, search: from, results: 0 });
    const { id } = (await shelf.post('/shop/main/log/search', { session, search: to, results: 3 })).body as {
      id: number;
    };
    await shelf.post('/shop/main/log/outcome', { session, search: id, kind: 'click', product, place: 1 });
  }
};
const deadEnds = async (): Promise<DeadEnd[]> =>
  ((await shelf.get('/desk/main/main/dead-ends/list')).body as { deadEnds: DeadEnd[] }).deadEnds;
const remedies = async (search: string): Promise<ToldRemedy[]> =>
  (
    (await shelf.get(`/desk/main/main/dead-ends/remedies?q=${encodeURIComponent(search)}`)).body as {
      remedies: ToldRemedy[];
    }
  ).remedies;
const revision = async (): Promise<number> =>
  ((await shelf.get('/desk/main/main/state')).body as { revision: number }).revision;
const ask = async (query: string, side = '/desk/main/main'): Promise<SearchAnswer> =>
  (await shelf.get(`${side}/search?q=${encodeURIComponent(query)}`)).body as SearchAnswer;

test('dead ends are listed, and several are mended in one step that can be undone', async () => {
  await note('clay', 4, 0);
  await note('opening hours', 3, 0);
  await note('round brush', 5);
  expect((await deadEnds()).map(({ search, cause }) => [search, cause])).toEqual([
    ['clay', 'notCarried'],
    ['opening hours', 'question'],
  ]);
  const [first] = await remedies('clay');
  expect(first).toMatchObject({ kind: 'page', mends: 1, mendsTimes: 4 });
  expect(await remedies('round brush')).toEqual([]);
  const chosen = [
    { search: 'clay', id: first!.id },
    { search: 'opening hours', id: 'page' },
  ];
  const before = await revision();
  const taken = await shelf.post('/desk/main/main/dead-ends/mend', { revision: before, chosen });
  expect(taken).toMatchObject({ status: 200 });
  expect(await deadEnds()).toEqual([]);
  expect((await ask('clay')).emptyShelf).toMatchObject({ special: 'clay', message: expect.stringContaining('“clay”') });
  // Nothing reaches shoppers by itself.
  expect((await ask('clay', '/shop/main')).emptyShelf).toMatchObject({ special: '' });
  const again = await shelf.post('/desk/main/main/dead-ends/mend', { revision: await revision(), chosen });
  expect(again).toMatchObject({ status: 409, body: { error: { code: 'nothing-to-mend' } } });
  await shelf.post('/desk/main/main/undo', { revision: await revision() });
  expect(await deadEnds()).toHaveLength(2);
});

test('what shoppers tried next is what a search is taken for where nothing has it, once it is known, and told', async () => {
  await retry('pigment sticks', 'blue ink', 'c', 4);
  expect((await ask('pigment sticks')).total).toBe(0);
  // Asked for with the searches that may be offered, and kept.
  await shelf.get('/desk/main/main/suggest?q=b');
  const answer = await ask('pigment sticks', '/shop/main');
  expect(answer).toMatchObject({ near: { search: 'blue ink', from: 'tried' } });
  expect(answer.total).toBeGreaterThan(0);
  expect((await shelf.get('/desk/main/main/search?q=pigment+sticks&exactly=1')).body).toMatchObject({
    near: null,
    total: 0,
  });
  const trial = (await shelf.get('/desk/main/main/ladder')).body as { draft: { steps: { reached: string }[] } };
  expect(trial.draft.steps.map(({ reached }) => reached)).toContain('meaning');
});

test('steps that are off in the draft are off there, and still taken for shoppers', async () => {
  const off = {
    part: 'emptyShelf',
    key: 'ladder',
    value: { order: ['synonyms', 'spelling', 'words', 'filters', 'meaning', 'wholeShop'], off: ['words'] },
  };
  expect((await ask('round zebra')).dropped).toEqual(['zebra']);
  await shelf.post('/desk/main/main/edits', { revision: await revision(), edits: [off] });
  expect((await ask('round zebra')).total).toBe(0);
  expect((await ask('round zebra', '/shop/main')).dropped).toEqual(['zebra']);
  const twice = {
    ...off,
    value: { ...off.value, order: ['words', 'words', 'filters', 'meaning', 'wholeShop', 'spelling'] },
  };
  expect(await shelf.post('/desk/main/main/edits', { revision: await revision(), edits: [twice] })).toMatchObject({
    status: 400,
  });
});
