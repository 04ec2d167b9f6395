import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { findMatches } from '../search/findMatches.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { openMatcher } from './matcher.ts';

describe('a catalog looked at in stretches', () => {
  // About a hundred records a catalog: with stretches of 8 every search goes through a dozen of them.
  test.each([1, 2, 3, 4, 5, 6, 7, 8])('finds and scores the same however long they are, seed %d', (seed) => {
    const random = seededRandom(seed);
    const snapshot = snapshotOf(randomCatalog(random, 40));
    const queries = Array.from({ length: 25 }, () => randomQuery(random));
    const prepared = prepareSetup(openEngine(snapshot), randomSetup(random, snapshot, queries), 0);
    const engine = openEngine(snapshot);
    const hidden = Uint8Array.from({ length: snapshot.records }, () => (random() < 0.2 ? 255 : 0));
    const matched = (longest: number, query: string, isHiding: boolean) => {
      const options = { typing: true, keepAll: false, hidden: isHiding ? hidden : null, recognised: [] };
      const { words } = findMatches(engine, prepared, query, options);
      const matcher = openMatcher(snapshot, longest);
      const { records } = matcher.match(words, prepared.gains, options.hidden);
      return [...records].map((record) => [record, matcher.scores[record]]);
    };
    let most = 0;
    for (const query of queries) {
      const isHiding = random() < 0.5;
      const all = matched(4096, query, isHiding);
      most = Math.max(most, all.length);
      for (const longest of [8, pick(random, [1, 2, 4, 16])])
        expect({ query, longest, found: matched(longest, query, isHiding) }).toEqual({ query, longest, found: all });
    }
    // Some search goes through more than one stretch.
    expect(most).toBeGreaterThan(8);
  });

  test('what is found in one stretch leaves nothing behind for the next search', () => {
    const random = seededRandom(40);
    const snapshot = snapshotOf(randomCatalog(random, 30));
    const queries = Array.from({ length: 12 }, () => randomQuery(random));
    const engine = openEngine(snapshot);
    const prepared = prepareSetup(engine, randomSetup(random, snapshot, queries), 0);
    const one = openMatcher(snapshot, 8);
    for (const query of [...queries, ...queries]) {
      const options = { typing: false, keepAll: false, hidden: null, recognised: [] };
      const { words } = findMatches(engine, prepared, query, options);
      const again = [...one.match(words, prepared.gains, null).records];
      expect(again).toEqual([...openMatcher(snapshot, 8).match(words, prepared.gains, null).records]);
    }
  });
});
