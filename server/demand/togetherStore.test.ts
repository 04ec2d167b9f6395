import { expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import type { Pair } from '../../core/companions/together.ts';
import { migrate } from '../store/migrations.ts';
import { mostKept, openTogether, togetherWriter, visitsIn } from './togetherStore.ts';

const db = new Database(':memory:');
migrate(db);
db.prepare("INSERT INTO storefront (id, name, made_at) VALUES ('main', 'Shop', 0)").run();
const keep = togetherWriter(db);
const reader = openTogether(db, 'main');
const pair = (one: string, other: string, score: number): Pair => ({
  one,
  other,
  both: 3,
  of: 9,
  byChance: 0.5,
  score,
});
const together = (goesWith: readonly Pair[]) => ({ products: { goesWith, standsIn: [] }, kinds: [], visits: 40 });

test('what was counted last takes the place of what was counted before', () => {
  expect([reader.visits, reader.madeFrom(), reader.products('goesWith', 'a')]).toEqual([0, '', []]);
  keep('main', '1/x', together([pair('a', 'c', 12), pair('a', 'b', 20), pair('b', 'a', 20)]));
  expect(reader.products('goesWith', 'a').map(({ other }) => other)).toEqual(['b', 'c']);
  expect(reader.products('standsIn', 'a')).toEqual([]);
  expect([reader.visits, reader.madeFrom()]).toEqual([40, '1/x']);
  keep('main', '2/x', { ...together([]), kinds: [pair('Paper', 'p', 11)] });
  expect([reader.products('goesWith', 'a'), reader.kinds('Paper')]).toEqual([[], [pair('Paper', 'p', 11)]]);
});

test('a storefront that is gone keeps none, and one keeps the most surprising', () => {
  keep('gone', '1', together([pair('a', 'b', 20)]));
  expect(openTogether(db, 'gone').madeFrom()).toBe('');
  const many = Array.from({ length: mostKept + 5 }, (_, at) => pair(`p${at}`, 'x', 11 + at));
  keep('main', '3', together(many));
  expect(reader.products('goesWith', 'p4')).toEqual([]);
  expect(reader.products('goesWith', 'p5')).toHaveLength(1);
});

test('a visit is told with what was opened after each of its searches, and what was taken', () => {
  const search = db.prepare(
    `INSERT INTO search_log (id, storefront, at, session, search, key, filters, results, by_desk)
     VALUES (?, 'main', ?, ?, '', '', '{}', 1, ?)`,
  );
  const came = db.prepare('INSERT INTO search_outcome (search_id, kind, product, place) VALUES (?, ?, ?, 1)');
  search.run(1, 10, 'v', 0);
  search.run(2, 5, 'v', 0);
  search.run(3, 7, 'w', 0);
  search.run(4, 8, 'desk', 1);
  for (const [id, kind, product] of [
    [1, 'click', 'a'],
    [1, 'basket', 'a'],
    [2, 'click', 'b'],
    [3, 'purchase', 'c'],
    [4, 'click', 'd'],
  ] as const)
    came.run(id, kind, product);
  // In the order in which they were searched for; what the desk tries out is no visit.
  expect([...visitsIn(db, 'main')]).toEqual([
    { opened: [['b'], ['a', 'a']], taken: ['a'] },
    { opened: [['c']], taken: ['c'] },
  ]);
});
