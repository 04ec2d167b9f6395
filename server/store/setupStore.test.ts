import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../../core/base/random.ts';
import { changesBetween } from '../../core/setup/entries.ts';
import { liveOf } from '../../core/setup/setupRef.ts';
import { openLocalSearch } from '../searching/localSearch.ts';
import { openWorkbench } from '../searching/workbench.ts';
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
  expect(setups.nextUndo('Ada')).toMatchObject([{ before: { width: 3 }, after: { width: 6 } }]);
  setups.edit(width(7), setups.revision(), 'Ben', 2_000_300);
  expect(setups.nextUndo('Ben')).toMatchObject([{ before: { width: 6 }, after: { width: 7 } }]);
  setups.edit(width(8), setups.revision(), 'Ben', 2_060_000);
  expect(setups.nextUndo('Ben')).toMatchObject([{ before: { width: 7 }, after: { width: 8 } }]);
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
  expect(setups.nextUndo('Ada')).toBeNull();
});

test('another connection, as a search thread has, sees an edit at once and rebuilds no index', () => {
  const reader = openDatabase(shelf.folder.database, { readOnly: true });
  const catalog = shelf.catalogs.current()!;
  const bench = openWorkbench({ folder: shelf.folder, storefront: 'main', db: reader, reader: catalog, now: () => 0 });
  const local = openLocalSearch(bench);
  const task = { request: { query: 'brush', filters: {}, page: 1, limit: 5 } };
  expect(local.answer(shelf.ref, task).total).toBe(2);
  const { setups } = shelf;
  const bytes = shelf.catalogs.current()!.buffer;
  const hiding = [{ part: 'hiding' as const, key: 'product:b', value: { what: 'product', product: 'b' } }];
  setups.edit(hiding, setups.revision(), 'Ada', 1);
  expect(local.answer(shelf.ref, task).total).toBe(1);
  expect(local.answer(liveOf('main'), task).total).toBe(2);
  expect(shelf.catalogs.current()!.buffer).toBe(bytes);
  reader.close();
});

test('what was written is there when the folder is opened again', () => {
  const { setups } = shelf;
  setups.edit(width(9), setups.revision(), 'Ada', 1);
  const again = openDatabase(shelf.folder.database);
  expect(openSetupStore(again, shelf.ref).draft()).toEqual(setups.draft());
  expect(openSetupStore(again, shelf.ref).nextUndo('Ada')).toEqual(setups.nextUndo('Ada'));
  again.close();
});

test('steps joined into one keep what they touched: who looked in between is told of it', () => {
  const { setups } = shelf;
  const hiding = { part: 'hiding' as const, key: 'product:b' };
  setups.edit([{ ...hiding, value: { what: 'product', product: 'b' } }], setups.revision(), 'Ada', 2_000_000);
  const lookedAt = setups.revision();
  setups.edit([{ ...hiding, value: null }], lookedAt, 'Ada', 2_000_200);
  expect(setups.nextUndo('Ada')).toBeNull();
  expect(setups.draft().hiding).toEqual({});
  const other = [{ ...hiding, value: { what: 'product', product: 'b', places: ['results'] } }];
  expect(setups.edit(other, lookedAt, 'Ben', 2_000_300)).toMatchObject({ refusal: { code: 'stale-write' } });
  expect(setups.edit(other, setups.revision(), 'Ben', 2_000_400)).toHaveProperty('revision');
});

test('a revision that is not there yet is refused', () => {
  const { setups } = shelf;
  expect(setups.edit(width(9), setups.revision() + 1, 'Ada', 1)).toMatchObject({
    refusal: { code: 'unknown-revision', revision: 1 },
  });
  expect(setups.publish(setups.revision() + 5, 'Ada', '', 1)).toMatchObject({ refusal: { code: 'unknown-revision' } });
});

test('a draft with entries that cannot be read opens with them set aside, and they come back by undo', () => {
  const { db } = shelf;
  const spoil = db.prepare('UPDATE setup_entry SET value = ? WHERE part = ? AND key = ?');
  spoil.run('{"width":"wide"}', 'relevance', 'closeCall');
  spoil.run('{"searchable":', 'attributes', 'title');
  const reopened = openSetupStore(db, shelf.ref);
  expect(reopened.setAside().map(({ part, key }) => `${part}/${key}`)).toEqual([
    'attributes/title',
    'relevance/closeCall',
  ]);
  expect(reopened.draft().relevance.closeCall).toEqual({ width: 3 });
  reopened.edit(width(4), reopened.revision(), 'Ada', 1);
  expect(reopened.setAside().map(({ key }) => key)).toEqual(['title']);
  reopened.undo(reopened.revision(), 'Ada', 2);
  expect(reopened.setAside().map(({ key }) => key)).toContain('closeCall');
});

test('the draft that is kept up to date by its journal is the one read anew, after any steps', () => {
  const { setups, db } = shelf;
  const random = seededRandom(7);
  const act = [
    () => setups.edit(width(Math.floor(random() * 9)), setups.revision(), pick(random, ['Ada', 'Ben']), clock),
    () =>
      setups.edit(
        [{ part: 'hiding', key: 'product:b', value: random() < 0.5 ? null : { what: 'product', product: 'b' } }],
        setups.revision(),
        'Ada',
        clock,
      ),
    () => setups.undo(setups.revision(), 'Ada', clock),
    () => setups.redo(setups.revision(), 'Ben', clock),
    () => setups.publish(setups.revision(), 'Ada', '', clock),
    () => setups.publishAgain(1, 'Ada', clock),
  ];
  const other = openSetupStore(openDatabase(shelf.folder.database, { readOnly: true }), shelf.ref);
  let clock = 1;
  for (let round = 0; round < 120; round++) {
    pick(random, act)();
    clock += random() < 0.5 ? 200 : 5000;
    if (random() < 0.4) continue;
    const anew = openSetupStore(db, shelf.ref);
    expect(setups.draft()).toEqual(anew.draft());
    expect(other.draft()).toEqual(anew.draft());
    expect(setups.changes()).toEqual(changesBetween(anew.live()!.setup, anew.draft()));
  }
});

test('two people at one plan both have what they did, where both can stand', () => {
  const { setups } = shelf;
  const plan = (pins: { product: string; place: number }[], name = 'Brushes') => [
    { part: 'plans' as const, key: 'p', value: { name, on: true, searches: ['brush'], pins, pulls: [] } },
  ];
  setups.edit(plan([]), setups.revision(), 'Ada', 2_000_000);
  const seen = setups.revision();
  setups.edit(plan([{ product: 'a', place: 1 }]), seen, 'Ada', 2_010_000);
  expect(setups.edit(plan([{ product: 'b', place: 2 }], 'All'), seen, 'Ben', 2_020_000)).toHaveProperty('revision');
  expect(setups.draft().plans.p).toMatchObject({
    name: 'All',
    pins: expect.arrayContaining([
      { product: 'a', place: 1 },
      { product: 'b', place: 2 },
    ]),
  });
  // Two products at one place, or one name for another, are somebody's choice.
  expect(setups.edit(plan([{ product: 'c', place: 1 }]), seen, 'Ben', 2_030_000)).toMatchObject({
    refusal: { code: 'stale-write' },
  });
});

test('undo takes back one’s own last step, whatever others did since', () => {
  const { setups } = shelf;
  setups.edit(width(9), setups.revision(), 'Ada', 2_000_000);
  setups.edit(spelling(false), setups.revision(), 'Ben', 2_010_000);
  expect(setups.undo(setups.revision(), 'Ada', 2_020_000)).toHaveProperty('revision');
  expect(setups.draft().relevance).toMatchObject({ closeCall: { width: 3 }, spelling: { tolerance: false } });
  expect(setups.undo(setups.revision(), 'Ada', 2_030_000)).toMatchObject({ refusal: { code: 'nothing-to-undo' } });
  expect(setups.redo(setups.revision(), 'Ben', 2_040_000)).toMatchObject({ refusal: { code: 'nothing-to-redo' } });
  // Somebody else's edit leaves what can be made again.
  setups.edit(spelling(true), setups.revision(), 'Ben', 2_050_000);
  expect(setups.redo(setups.revision(), 'Ada', 2_060_000)).toHaveProperty('revision');
  expect(setups.draft().relevance.closeCall.width).toBe(9);
});

test('what somebody else changed since is asked about, with both values, and the rest can go without it', () => {
  const { setups } = shelf;
  setups.edit([...width(9), ...spelling(false)], setups.revision(), 'Ada', 2_000_000);
  setups.edit(width(5), setups.revision(), 'Ben', 2_010_000);
  expect(setups.undo(setups.revision(), 'Ada', 2_020_000)).toMatchObject({
    refusal: { code: 'changed-since', who: ['Ben'], changes: [{ before: { width: 3 }, after: { width: 5 } }] },
  });
  expect(setups.draft().relevance).toMatchObject({ closeCall: { width: 5 }, spelling: { tolerance: false } });
  setups.undo(setups.revision(), 'Ada', 2_030_000, 'keep');
  expect(setups.draft().relevance).toMatchObject({ closeCall: { width: 5 }, spelling: { tolerance: true } });
  setups.edit(width(7), setups.revision(), 'Ada', 2_040_000);
  setups.edit(width(6), setups.revision(), 'Ben', 2_050_000);
  setups.undo(setups.revision(), 'Ada', 2_060_000, 'take');
  expect(setups.draft().relevance.closeCall.width).toBe(5);
});
