import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { findMatches } from './findMatches.ts';
import { offersFor } from './offers.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { rank } from './rank.ts';

/** A search with one letter of it left out, doubled or swapped with the next. */
function misspelt(random: () => number, query: string): string {
  const at = Math.floor(random() * Math.max(1, query.length - 1));
  const [before, own, next, after] = [query.slice(0, at), query[at] ?? '', query[at + 1] ?? '', query.slice(at + 2)];
  return pick(random, [before + next + after, before + own + own + next + after, before + next + own + after]);
}

/** Asks misspelt searches of one random catalog; answers how many offers were made. */
function offersOf(seed: number): number {
  const random = seededRandom(seed);
  const snapshot = snapshotOf(randomCatalog(random, 30));
  const queries = Array.from({ length: 60 }, () => misspelt(random, randomQuery(random)));
  const engine = openEngine(snapshot);
  const setup = randomSetup(random, snapshot, queries);
  const spelling = { ...setup.relevance.spelling, tolerance: true, atOnce: random() < 0.5, offers: 5 };
  const prepared = prepareSetup(engine, { ...setup, relevance: { ...setup.relevance, spelling } }, 0);
  let offered = 0;
  for (const query of queries) {
    const request = { query, filters: {}, page: 1, limit: 24 };
    const { asTyped, query: words } = rank(engine, prepared, request, 24);
    const offers = offersFor(engine, prepared, words, null, asTyped);
    expect({ query, offers: offersFor(engine, prepared, words, null, new Map()) }).toEqual({ query, offers });
    for (const offer of offers) {
      const { matches } = findMatches(engine, prepared, offer, { typing: false, keepAll: true, hidden: null });
      expect({ query, offer, finds: matches.records.length > 0 }).toEqual({ query, offer, finds: true });
    }
    offered += offers.length;
  }
  return offered;
}

test('what is offered finds something when it is typed, and is the same however much of it was read before', () => {
  const offered = Array.from({ length: 12 }, (_, at) => offersOf(at + 1));
  // The searches are such that it matters.
  expect(offered.filter((count) => count > 0).length).toBeGreaterThan(6);
});
