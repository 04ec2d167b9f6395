import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../../core/base/random.ts';
import { type DraftRef, liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { openDraftWrites } from './draftWrites.ts';
import { openSetups } from './setups.ts';

let shelf: TestShelf;
let stores: ReturnType<typeof openSetups>;
let drafts: ReturnType<typeof openDraftWrites>;
const main: DraftRef = { storefront: 'main', draft: 'main' };
const winter: DraftRef = { storefront: 'main', draft: 'winter' };
const live = liveOf('main');
let clock = 10_000_000;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  stores = openSetups(shelf.db);
  drafts = openDraftWrites(shelf.db, stores);
});
afterEach(() => shelf.remove());

const now = () => (clock += 10_000);
const edit = (ref: DraftRef, part: string, key: string, value: unknown, who = 'Ada') =>
  stores.draft(ref).edit([{ part: part as 'plans', key, value }], stores.draft(ref).revision(), who, now());
const publish = (ref: DraftRef) => stores.draft(ref).publish(stores.draft(ref).revision(), 'Ada', '', now());
const begin = (from: DraftRef | typeof live = live) =>
  drafts.beginDraft('main', { name: 'Winter', note: '', from }, 'Ada', now());
const merge = (into: DraftRef, from: DraftRef | typeof live, answers: [string, 'ours' | 'theirs'][] = []) =>
  drafts.mergeInto(into, from, answers, stores.draft(into).revision(), 'Ada', now());
const plan = (name: string, pins: { product: string; place: number }[] = []) => ({
  ...{ name, on: true, searches: ['brush'], pins, pulls: [] },
});
const width = (ref: DraftRef) => stores.draft(ref).draft().relevance.closeCall.width;

test('a draft begun from what is live has no changes, and what is done in one is not in the other', () => {
  begin();
  edit(winter, 'relevance', 'closeCall', { width: 9 });
  expect([width(winter), width(main)]).toEqual([9, 3]);
  expect([stores.draft(winter).changes().length, stores.draft(main).changes().length]).toEqual([1, 0]);
  expect(stores.draft(main).nextUndo('Ada')).toBeNull();
});

test('one begun from an older release is behind, and has what that release had', () => {
  edit(main, 'relevance', 'closeCall', { width: 8 });
  publish(main);
  drafts.beginDraft('main', { name: 'Winter', note: '', from: { storefront: 'main', release: 1 } }, 'Ada', now());
  expect(width(winter)).toBe(3);
  expect(stores.draft(winter).isBehind()).toBe(true);
  expect(publish(winter)).toMatchObject({ refusal: { code: 'behind' } });
});

test('another release is taken over before one’s own is published, as one step that undo takes back whole', () => {
  begin();
  edit(winter, 'plans', 'a', plan('Winter brushes'));
  edit(main, 'relevance', 'closeCall', { width: 8 });
  edit(main, 'hiding', 'product:b', { what: 'product', product: 'b' });
  publish(main);
  expect(stores.draft(winter).isBehind()).toBe(true);
  expect(merge(winter, live)).toHaveProperty('revision');
  expect(stores.draft(winter).isBehind()).toBe(false);
  expect(stores.draft(winter).draft()).toMatchObject({
    relevance: { closeCall: { width: 8 } },
    plans: { a: { name: 'Winter brushes' } },
  });
  expect(
    stores
      .draft(winter)
      .changes()
      .map(({ key }) => key),
  ).toEqual(['a']);
  const undone = stores.draft(winter).undo(stores.draft(winter).revision(), 'Ada', now());
  expect(undone).toHaveProperty('revision');
  expect([width(winter), stores.draft(winter).isBehind()]).toEqual([3, true]);
  stores.draft(winter).redo(stores.draft(winter).revision(), 'Ada', now());
  expect([width(winter), stores.draft(winter).isBehind()]).toEqual([8, false]);
  expect(publish(winter)).toHaveProperty('revision');
  expect(stores.releases('main').live()!.setup).toMatchObject({ hiding: { 'product:b': {} }, plans: { a: {} } });
});

test('nothing is written before every question is answered, nor where the draft has moved on', () => {
  begin();
  edit(winter, 'relevance', 'closeCall', { width: 9 });
  edit(winter, 'plans', 'a', plan('Winter brushes'));
  edit(main, 'relevance', 'closeCall', { width: 5 });
  const before = stores.draft(main).draft();
  expect(merge(main, winter)).toMatchObject({ refusal: { code: 'conflicts' } });
  expect(stores.draft(main).draft()).toEqual(before);
  const id = '["relevance","closeCall","width"]';
  const seen = stores.draft(main).revision();
  edit(main, 'hiding', 'product:c', { what: 'product', product: 'c' }, 'Ben');
  expect(drafts.mergeInto(main, winter, [[id, 'theirs']], seen, 'Ada', now())).toMatchObject({
    refusal: { code: 'stale-write', who: ['Ben'] },
  });
  expect(merge(main, winter, [[id, 'theirs']])).toHaveProperty('revision');
  expect(width(main)).toBe(9);
  expect(stores.draft(main).draft().plans.a).toBeDefined();
});

test('what was merged once is not merged again; what was done since is, unless the first was taken back', () => {
  begin();
  edit(winter, 'plans', 'a', plan('A', [{ product: 'a', place: 1 }]));
  merge(main, winter);
  edit(main, 'plans', 'a', null);
  expect(merge(main, winter)).toHaveProperty('revision');
  expect(stores.draft(main).draft().plans.a).toBeUndefined();
  edit(winter, 'plans', 'b', plan('B'));
  merge(main, winter);
  expect(Object.keys(stores.draft(main).draft().plans)).toEqual(['b']);
  stores.draft(main).undo(stores.draft(main).revision(), 'Ada', now());
  expect(stores.draft(main).draft().plans).toEqual({});
  merge(main, winter);
  expect(Object.keys(stores.draft(main).draft().plans)).toEqual(['b']);
});

test('a draft begun from another one goes back into it, both ways', () => {
  edit(main, 'plans', 'a', plan('A', [{ product: 'a', place: 1 }]));
  begin(main);
  edit(
    winter,
    'plans',
    'a',
    plan('A', [
      { product: 'a', place: 1 },
      { product: 'b', place: 2 },
    ]),
  );
  edit(main, 'plans', 'a', plan('All', [{ product: 'a', place: 1 }]));
  expect(merge(main, winter)).toHaveProperty('revision');
  const merged = plan('All', [
    { product: 'a', place: 1 },
    { product: 'b', place: 2 },
  ]);
  expect(stores.draft(main).draft().plans.a).toEqual(merged);
  expect(merge(winter, main)).toHaveProperty('revision');
  expect(stores.draft(winter).draft().plans.a).toEqual(merged);
});

test('drafts kept up to date by their journals are the ones read anew, after any merging', () => {
  const random = seededRandom(11);
  begin();
  const refs = [main, winter];
  for (let round = 0; round < 80; round++) {
    const ref = pick(random, refs);
    const other = ref === main ? winter : main;
    pick<() => unknown>(random, [
      () => edit(ref, 'relevance', 'closeCall', { width: Math.floor(random() * 9) }),
      () => edit(ref, 'plans', pick(random, ['a', 'b']), random() < 0.3 ? null : plan(pick(random, ['A', 'B']))),
      () => merge(ref, pick(random, [live, other])),
      () => publish(ref),
      () => stores.draft(ref).undo(stores.draft(ref).revision(), 'Ada', now()),
    ])();
    const anew = openSetups(shelf.db);
    for (const each of refs) {
      expect(stores.draft(each).draft()).toEqual(anew.draft(each).draft());
      expect(stores.draft(each).changes()).toEqual(anew.draft(each).changes());
    }
  }
});
