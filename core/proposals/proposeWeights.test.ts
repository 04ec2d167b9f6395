import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openEngine } from '../search/prepareSetup.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { withEntries } from '../setup/withEntry.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { knownItemSearches } from './knownItems.ts';
import { betterWeights, proposeWeights } from './proposeWeights.ts';

const random = seededRandom(3);
const names = 'sable hog goat badger squirrel oak pine beech ash elm copper brass steel tin zinc'.split(' ');
const word = (): string => pick(random, names);
// What each is mostly called stands in its title; notes name all sorts of things.
const records = recordsOf(
  Array.from({ length: 120 }, (_, at) => ({
    id: `p${at}`,
    title: `${word()} ${word()} tool`,
    maker: pick(random, ['Osier', 'Harrow', 'Larkspur']),
    note: Array.from({ length: 12 }, word).join(' '),
  })),
);
const snapshot = snapshotOf(records);
const engine = openEngine(snapshot);
const usual = initialSetup(snapshot.attributes);
const weighed = (weights: Record<string, number>): Setup => ({
  ...usual,
  attributes: Object.fromEntries(
    Object.entries(usual.attributes).map(([key, setting]) => [
      key,
      { ...setting, weight: weights[key] ?? setting.weight },
    ]),
  ),
});
const recordsWith = (token: string): number => {
  const term = snapshot.terms.find(token);
  return term < 0 ? 0 : snapshot.postings.termRecords[term]!;
};
const searches = knownItemSearches(records, snapshot.attributes, { recordsWith });

test('known products are looked for by their own words, whatever attributes count', () => {
  expect(searches.length).toBeGreaterThan(200);
  const told = new Map(
    records.map(({ familyId, values }) => [familyId, Object.values(values).join(' ').toLowerCase()]),
  );
  for (const { query, familyId } of searches)
    for (const each of query.split(' ')) expect(told.get(familyId)).toContain(each);
  expect(knownItemSearches(records, snapshot.attributes, { recordsWith })).toEqual(searches);
});

describe('other weights', () => {
  const wrong = weighed({ title: 2, note: 10, maker: 10 });
  const better = betterWeights(engine, wrong, usual, 0, searches)!;
  test('are proposed where they find products better, by searches they were not chosen by', () => {
    expect(better.firstAfter).toBeGreaterThan(better.firstBefore);
    expect(better.searches).toBeGreaterThan(100);
    const [proposal] = proposeWeights(better, wrong, (key) => key);
    expect(proposal!.title).toMatch(/^Weigh (title|note) \d+ instead of \d+/);
    expect(proposal!.reason).toContain(
      `${better.firstAfter} show it among the first three instead of ${better.firstBefore}`,
    );
  });
  test('change no more than the weights', () => {
    const [proposal] = proposeWeights(better, wrong, (key) => key);
    const after = withEntries(wrong, proposal!.edits);
    for (const [key, { to }] of better.changes)
      expect(after.attributes[key]).toEqual({ ...wrong.attributes[key], weight: to });
    expect({ ...after, attributes: null }).toEqual({ ...wrong, attributes: null });
  });
  test('are not proposed where nothing is gained, nor without searches', () => {
    expect(betterWeights(engine, usual, usual, 0, searches)).toBeNull();
    expect(betterWeights(engine, wrong, usual, 0, [])).toBeNull();
    expect(proposeWeights(null, wrong, (key) => key)).toEqual([]);
  });
});
