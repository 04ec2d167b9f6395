import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { decidedContent } from '../content/decidedContent.ts';
import type { NearText } from '../query/nearTexts.ts';
import type { Setup } from '../setup/schema.ts';
import { rungs, switchedRungs } from '../setup/terms/ladderTerms.ts';
import { obviousLadder } from '../testing/obviousLadder.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const now = 20_700 * 86_400_000 + 12 * 3_600_000;

/** What random words are near to: other words of random searches. */
function nearBy(random: () => number): (words: string) => readonly string[] {
  const known = new Map<string, readonly string[]>();
  return (words) => {
    const before = known.get(words);
    if (before) return before;
    const made =
      random() < 0.5 ? [] : Array.from({ length: 1 + Math.floor(random() * 2) }, () => randomQuery(random).trim());
    known.set(words, made.filter(Boolean));
    return known.get(words)!;
  };
}

const shuffled = <Item>(items: readonly Item[], random: () => number): Item[] =>
  items
    .map((item) => ({ item, at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ item }) => item);

function compareOn(seed: number, steps: Record<string, number>): void {
  const random = seededRandom(seed);
  const records = randomCatalog(random, 4 + Math.floor(random() * 18));
  const snapshot = snapshotOf(records, 'en');
  const near = nearBy(random);
  const engine = openEngine(snapshot, undefined, (words) =>
    near(words).map((text): NearText => ({ text, from: 'tried' })),
  );
  const queries = Array.from({ length: 6 }, () => `${randomQuery(random)}${random() < 0.4 ? ' qqzzq' : ''}`);
  const setup: Setup = {
    ...randomSetup(random, snapshot, queries),
    emptyShelf: {
      ...randomSetup(seededRandom(1), snapshot, []).emptyShelf,
      ladder: {
        order: random() < 0.2 ? [...rungs] : shuffled(rungs, random),
        off: switchedRungs.filter(() => random() < 0.25),
      },
    },
  };
  const { collections } = decidedContent({ articles: [], collections: [] }, setup);
  const prepared = prepareSetup(engine, setup, now, new Map(collections.map((each) => [each.id, each])));
  for (const query of queries) {
    const typing = random() < 0.15;
    const request = { query, filters: {}, page: 1, limit: 200, typing };
    const answer = search(engine, prepared, request, (record) => records[record]!);
    const expected = obviousLadder(records, snapshot.attributes, setup, query, { typing, language: 'en' }, now, near);
    const about = { seed, query, ladder: setup.emptyShelf.ladder };
    if (answer.redirect) continue;
    expect({
      ...about,
      instead: answer.near?.search ?? null,
      dropped: [...answer.dropped].sort(),
      results: answer.results.map(({ id, score }) => [id, score]),
    }).toEqual({
      ...about,
      instead: expected.instead,
      dropped: [...expected.dropped].sort(),
      results: expected.results.map(({ recordId, score }) => [recordId, score]),
    });
    const step = answer.near
      ? 'near'
      : answer.dropped.length > 0
        ? 'dropped'
        : answer.loosened.length > 0
          ? 'loosened'
          : answer.total > 0
            ? 'found'
            : 'nothing';
    steps[step] = (steps[step] ?? 0) + 1;
  }
}

test('a search climbs any ladder as the obvious way does', () => {
  const steps: Record<string, number> = {};
  for (let seed = 1; seed <= 80; seed++) compareOn(seed, steps);
  for (const step of ['near', 'dropped', 'loosened', 'found', 'nothing'])
    expect([step, steps[step] ?? 0]).not.toEqual([step, 0]);
});
