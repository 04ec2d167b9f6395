import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../../../base/random.ts';
import { inListOrder, ranksToMove } from './planOrder.ts';

const ids = (plans: Readonly<Record<string, { readonly rank?: number }>>): string =>
  inListOrder(plans)
    .map(([id]) => id)
    .join('');

test('plans that were never moved stand by their ids', () => expect(ids({ c: {}, a: {}, b: {} })).toBe('abc'));

test('one plan alone is written anew where there is a rank between its neighbours', () => {
  const plans = { a: { rank: 1 }, b: { rank: 2 }, c: { rank: 3 } };
  expect([...ranksToMove(inListOrder(plans), 'c', 1)]).toEqual([['c', 1.5]]);
  expect([...ranksToMove(inListOrder(plans), 'c', 0)]).toEqual([['c', 0]]);
  expect([...ranksToMove(inListOrder(plans), 'a', 2)]).toEqual([['a', 4]]);
  expect([...ranksToMove(inListOrder(plans), 'a', 0)]).toEqual([]);
  expect([...ranksToMove(inListOrder(plans), 'gone', 0)]).toEqual([]);
});

test.each([1, 2, 3, 4])('whatever is moved stands where it was put, the others as they stood (seed %i)', (seed) => {
  const random = seededRandom(seed);
  let plans: Record<string, { rank?: number }> = Object.fromEntries([...'abcdefgh'].map((id) => [id, {}]));
  for (let round = 0; round < 60; round++) {
    const list = inListOrder(plans);
    const id = pick(random, [...'abcdefgh']);
    const to = Math.floor(random() * 8);
    const expected = list.map(([own]) => own).filter((own) => own !== id);
    expected.splice(to, 0, id);
    for (const [own, rank] of ranksToMove(list, id, to)) plans = { ...plans, [own]: { rank } };
    expect(ids(plans)).toBe(expected.join(''));
  }
});
