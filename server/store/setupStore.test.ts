import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { openLocalSearch } from '../searching/localSearch.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { openDatabase } from './database.ts';
import { openSetupStore } from './setupStore.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const width = (value: number) => [{ part: 'relevance' as const, key: 'closeCall', value: { width: value } }];
const spelling = (tolerance: boolean) => [{ part: 'relevance' as const, key: 'spelling', value: { tolerance } }];

test('a slider drawn in one go is one step for undo; another hand or a pause makes two', () => {
  const { setups } = shelf;
  for (const [at, value] of [4, 5, 6].entries())
    setups.edit(width(value), setups.revision(), 'Ada', 2_000_000 + at * 100);
  expect(setups.nextUndo()).toMatchObject([{ before: { width: 3 }, after: { width: 6 } }]);
  setups.edit(width(7), setups.revision(), 'Ben', 2_000_300);
  expect(setups.nextUndo()).toMatchObject([{ before: { width: 6 }, after: { width: 7 } }]);
  setups.edit(width(8), setups.revision(), 'Ben', 2_060_000);
  expect(setups.nextUndo()).toMatchObject([{ before: { width: 7 }, after: { width: 8 } }]);
});

test('two people at different things do not block each other; at the same thing the later one is told', () => {
  const { setups } = shelf;
  const seen = setups.revision();
  expect(setups.edit(width(9), seen, 'Ada', 1)).toMatchObject({ revision: seen + 1 });
  expect(setups.edit(spelling(false), seen, 'Ben', 2)).toMatchObject({ revision: seen + 2 });
  expect(setups.edit(width(2), seen, 'Ben', 3)).toMatchObject({
    refusal: { code: 'stale-write', changes: [{ after: { width: 9 } }] },
  });
  expect(setups.draft().relevance.closeCall.width).toBe(9);
});

test('what is published is what the publisher saw, or nothing', () => {
  const { setups } = shelf;
  const seen = setups.revision();
  setups.edit(width(9), seen, 'Ada', 1);
  expect(setups.publish(seen, 'Ben', '', 2)).toMatchObject({ refusal: { code: 'stale-write' } });
  expect(setups.live()?.number).toBe(1);
  expect(setups.publish(setups.revision(), 'Ben', 'wider', 3)).toHaveProperty('revision');
  expect(setups.live()).toMatchObject({
    number: 2,
    who: 'Ben',
    note: 'wider',
    setup: { relevance: { closeCall: { width: 9 } } },
  });
  expect(setups.publish(setups.revision(), 'Ben', '', 4)).toMatchObject({ refusal: { code: 'nothing-to-publish' } });
});

test('an edit that changes nothing leaves no step behind', () => {
  const { setups } = shelf;
  const seen = setups.revision();
  expect(setups.edit(width(3), seen, 'Ada', 1)).toEqual({ revision: seen });
  expect(setups.nextUndo()).toBeNull();
});

test('another connection, as a search thread has, sees an edit at once and rebuilds no index', () => {
  const reader = openDatabase(shelf.folder.database, { readOnly: true });
  const local = openLocalSearch(shelf.folder, reader, () => 0);
  const task = {
    from: 'draft' as const,
    generation: shelf.catalogs.generation(),
    request: { query: 'brush', filters: {}, page: 1, limit: 5 },
  };
  expect(local.answer(task).total).toBe(2);
  const { setups } = shelf;
  const bytes = shelf.catalogs.current()!.buffer;
  const hiding = [{ part: 'hiding' as const, key: 'product:b', value: { what: 'product', product: 'b' } }];
  setups.edit(hiding, setups.revision(), 'Ada', 1);
  expect(local.answer(task).total).toBe(1);
  expect(local.answer({ ...task, from: 'live' }).total).toBe(2);
  expect(shelf.catalogs.current()!.buffer).toBe(bytes);
  reader.close();
});

test('what was written is there when the folder is opened again', () => {
  const { setups } = shelf;
  setups.edit(width(9), setups.revision(), 'Ada', 1);
  const again = openDatabase(shelf.folder.database);
  expect(openSetupStore(again).draft()).toEqual(setups.draft());
  expect(openSetupStore(again).nextUndo()).toEqual(setups.nextUndo());
  again.close();
});
