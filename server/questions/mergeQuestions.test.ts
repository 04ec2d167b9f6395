import { afterEach, beforeEach, expect, test } from '@jest/globals';
import type { ConflictRow } from '../../api/storefrontEndpoints.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
});
afterEach(() => shelf.remove());

const plan = (name: string, pins: { product: string; place: number }[]) => ({
  ...{ name, on: true, searches: ['brush'], pins, pulls: [] },
});
const edit = async (draft: string, value: unknown) => {
  const { body } = await shelf.get(`/desk/main/${draft}/state`);
  const { revision } = body as { revision: number };
  return shelf.post(`/desk/main/${draft}/edits`, { revision, edits: [{ part: 'plans', key: 'p', value }] });
};

test('a question tells of what both changed and of nothing besides; what can be put together is told as coming in', async () => {
  await edit('main', plan('Brushes', []));
  await shelf.post('/desk/drafts/begin', { name: 'Winter', from: 'draft:main' });
  await edit('main', plan('All brushes', [{ product: 'a', place: 1 }]));
  await edit('winter', plan('Winter brushes', [{ product: 'b', place: 2 }]));
  const ask = async () =>
    (await shelf.get('/desk/main/main/merge?from=draft:winter')).body as {
      revision: number;
      conflicts: ConflictRow[];
      changes: unknown[];
    };
  const { conflicts, changes, revision } = await ask();
  expect(changes).toEqual([]);
  expect(conflicts).toMatchObject([
    {
      path: ['name'],
      reason: null,
      ours: ['Shelf plan “Brushes” is now called “All brushes”'],
      theirs: ['Shelf plan “Brushes” is now called “Winter brushes”'],
    },
  ]);
  const answers = [{ id: conflicts[0]!.id, side: 'theirs' }];
  const merged = await shelf.post('/desk/main/main/merge', { revision, from: 'draft:winter', answers });
  expect(merged).toMatchObject({ status: 200, body: { setup: { plans: { p: { name: 'Winter brushes' } } } } });
  expect((merged.body as { setup: { plans: { p: { pins: object[] } } } }).setup.plans.p.pins).toHaveLength(2);
  expect(await ask()).toMatchObject({ conflicts: [], changes: [] });
});

test('one that is gone on one side is told whole, and a plan pinned twice says at which place', async () => {
  await edit('main', plan('Brushes', [{ product: 'c', place: 5 }]));
  await shelf.post('/desk/drafts/begin', { name: 'Winter', from: 'draft:main' });
  await edit('winter', null);
  await edit('main', plan('All brushes', [{ product: 'c', place: 5 }]));
  const told = async () =>
    ((await shelf.get('/desk/main/main/merge?from=draft:winter')).body as { conflicts: ConflictRow[] }).conflicts;
  expect(await told()).toMatchObject([{ path: [], theirs: ['Shelf plan “Brushes” is removed'] }]);
  await edit(
    'winter',
    plan('Brushes', [
      { product: 'c', place: 5 },
      { product: 'a', place: 1 },
    ]),
  );
  await edit(
    'main',
    plan('Brushes', [
      { product: 'c', place: 5 },
      { product: 'b', place: 1 },
    ]),
  );
  expect(await told()).toMatchObject([
    {
      reason: 'Two products are pinned at place 1.',
      ours: ['Shelf plan “Brushes” pins “Flat brush” at place 1'],
      theirs: ['Shelf plan “Brushes” pins “Round brush” at place 1'],
    },
  ]);
});
