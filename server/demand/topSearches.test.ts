import { expect, test } from '@jest/globals';
import { keptTopSearches, type TopSearch } from './topSearches.ts';

const list = (...searches: string[]): TopSearch[] => searches.map((search, at) => ({ search, searches: 9 - at }));
const settled = (): Promise<void> => new Promise(setImmediate);

function kept() {
  const state = { version: '1/5/5', next: list('ink', 'pen'), asked: 0, fails: false };
  const top = keptTopSearches({
    versionOf: () => state.version,
    count: async () => {
      state.asked++;
      if (state.fails) throw new Error('no catalog');
      return state.next;
    },
  });
  return { state, names: async (limit = 10) => (await top(limit)).map(({ search }) => search) };
}

test('are counted once, for everybody who asks', async () => {
  const { state, names } = kept();
  expect(await Promise.all([names(), names(1)])).toEqual([['ink', 'pen'], ['ink']]);
  expect(await names()).toEqual(['ink', 'pen']);
  expect(state.asked).toBe(1);
});

test('what shoppers do meanwhile is counted while the list kept is answered', async () => {
  const { state, names } = kept();
  await names();
  Object.assign(state, { version: '1/6/5', next: list('brush') });
  expect(await names()).toEqual(['ink', 'pen']);
  await settled();
  expect(await names()).toEqual(['brush']);
  expect(state.asked).toBe(2);
});

test('a log that was imported or cleared is waited for', async () => {
  const { state, names } = kept();
  await names();
  Object.assign(state, { version: '2/6/5', next: [] });
  expect(await names()).toEqual([]);
});

test('what could not be counted is asked for again', async () => {
  const { state, names } = kept();
  state.fails = true;
  await expect(names()).rejects.toThrow('no catalog');
  state.fails = false;
  expect(await names()).toEqual(['ink', 'pen']);
});
