import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { findMatches } from './findMatches.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';

test.each([1, 2, 3, 4, 5, 6])(
  'with all words or nothing is found what is found without giving any up, seed %d',
  (seed) => {
    const random = seededRandom(seed);
    const snapshot = snapshotOf(randomCatalog(random, 30));
    const queries = Array.from({ length: 40 }, () => randomQuery(random));
    const engine = openEngine(snapshot);
    const prepared = prepareSetup(engine, randomSetup(random, snapshot, queries), 0);
    const options = { typing: false, keepAll: false, hidden: null, recognised: [] };
    let dropped = 0;
    for (const query of queries) {
      const usual = findMatches(engine, prepared, query, options);
      const found = [...usual.matches.records];
      const isWhole = usual.dropped.length === 0;
      if (!isWhole) dropped++;
      const all = findMatches(engine, prepared, query, { ...options, allWords: true });
      expect({ query, found: [...all.matches.records] }).toEqual({ query, found: isWhole ? found : [] });
    }
    // The searches are such that it matters.
    expect(dropped).toBeGreaterThan(0);
  },
);
