import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import { laidOut } from './laidOut.ts';

const { layout } = initialSetup([]).resultsPage;
const asked = { query: 'ink', filters: {}, page: 3, limit: 24, asLaidOut: true };

test('a request that says how many it wants gets so many', () =>
  expect(laidOut({ ...asked, limit: 7, asLaidOut: false }, layout)).toEqual({
    ...{ query: 'ink', filters: {}, page: 3, limit: 7 },
  }));

test('pages have so many products at once', () =>
  expect(laidOut(asked, { ...layout, atOnce: 12 })).toMatchObject({ page: 3, limit: 12 }));

test('where they go on below each other there are all of them up to the page, as far as may stand on one', () => {
  const below = { ...layout, atOnce: 40, way: 'button' as const };
  expect(laidOut(asked, below)).toMatchObject({ page: 1, limit: 120, upTo: 3 });
  expect(laidOut({ ...asked, page: 900 }, below)).toMatchObject({ page: 1, limit: 480, upTo: 12 });
});
