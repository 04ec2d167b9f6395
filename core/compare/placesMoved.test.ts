import { expect, test } from '@jest/globals';
import { placesMoved } from './placesMoved.ts';

const moved = (before: string[], after: string[], about: string) =>
  placesMoved({ before: before.map((each) => [...each]), after: after.map((each) => [...each]) }, new Set(about));

test('what is asked about moves up or down, by so many places, in so many searches', () => {
  expect(moved(['abcd', 'xyz', 'ab'], ['dabc', 'xyz', 'ba'], 'db')).toEqual({
    ...{ looked: 3, changed: 2, up: 2, down: 1 },
    // d from the fourth place to the first, b down one and up one.
    places: 5 / 3,
  });
});

test('what others do to make room is not counted', () =>
  expect(moved(['abc'], ['cab'], 'c')).toMatchObject({ up: 1, down: 0, places: 2 }));

test('what comes and goes is counted, but has no distance', () => {
  expect(moved(['ab'], ['ax'], 'bx')).toEqual({ looked: 1, changed: 1, up: 1, down: 1, places: 0 });
  expect(moved(['ab'], ['ab'], 'ab')).toEqual({ looked: 1, changed: 0, up: 0, down: 0, places: 0 });
});
