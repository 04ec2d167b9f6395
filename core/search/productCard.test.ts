import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Badge } from '../setup/parts/badges.ts';
import { meetsCondition } from '../testing/obviousConditions.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { randomCondition } from '../testing/randomCondition.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const now = Date.parse('2026-09-20T00:00:00Z');

test('a card has the badges whose conditions the variant it shows meets, in the order of the list', () => {
  let worn = 0;
  for (let seed = 1; seed <= 15; seed++) {
    const random = seededRandom(seed);
    const records = randomCatalog(random, 30);
    const snapshot = snapshotOf(records);
    const list = Array.from(
      { length: 4 },
      (_, at): Badge => ({
        ...{ key: `k${at}`, on: random() < 0.8, condition: randomCondition(random), text: { en: `Badge ${at}` } },
        ...{ place: 'right', colour: '#2b3140' },
        ...(random() < 0.3 && { from: pick(random, ['2026-09-20', '2026-09-21', '2026-09-20T00:01']) }),
        ...(random() < 0.3 && { until: pick(random, ['2026-09-20', '2026-09-19', '2026-09-20T00:00']) }),
      }),
    );
    const setup = { ...initialSetup(snapshot.attributes), badges: { shown: { list, most: 2 } } };
    const engine = openEngine(snapshot);
    const prepared = prepareSetup(engine, setup, now);
    const request = { query: '', filters: {}, page: 1, limit: 30 };
    for (const { id, badges } of search(engine, prepared, request, (record) => records[record]!).results) {
      const record = records.find((each) => each.id === id)!;
      const expected = list
        .filter(
          ({ on, from, until, condition }) =>
            on &&
            (from === undefined || from === '2026-09-20') &&
            (until === undefined || until === '2026-09-20') &&
            meetsCondition(snapshot.attributes, record, condition, Math.floor(now / 86_400_000)),
        )
        .map(({ text }) => text.en)
        .slice(0, 2);
      expect({ seed, id, badges: badges.map(({ text }) => text) }).toEqual({ seed, id, badges: expected });
      worn += badges.length;
    }
  }
  expect(worn).toBeGreaterThan(100);
});

test('a product has the first card of its own whose condition the variant shown meets, and what that card is made of', () => {
  const usual = initialSetup([]).resultsPage.card;
  const withText = usual.pieces.map(({ piece }) => ({ piece, on: piece === 'title' || piece === 'text' }));
  const had = new Map<string | undefined, number>();
  for (let seed = 1; seed <= 15; seed++) {
    const random = seededRandom(seed);
    const records = randomCatalog(random, 30).map((record) => ({
      ...record,
      values: { ...record.values, description: `About ${record.id}` },
    }));
    const snapshot = snapshotOf(records);
    const list = Array.from({ length: 3 }, (_, at) => ({
      ...{ key: `k${at}`, name: `Card ${at}`, on: random() < 0.8, condition: randomCondition(random) },
      card: { ...usual, pieces: at === 1 ? withText : usual.pieces },
    }));
    const begun = initialSetup(snapshot.attributes);
    const setup = { ...begun, resultsPage: { ...begun.resultsPage, ownCards: { list } } };
    const engine = openEngine(snapshot);
    const prepared = prepareSetup(engine, setup, now);
    const request = { query: '', filters: {}, page: 1, limit: 30 };
    const { results, ownCards } = search(engine, prepared, request, (record) => records[record]!);
    expect(ownCards.map(({ key }) => key)).toEqual(list.filter(({ on }) => on).map(({ key }) => key));
    for (const { id, ownCard, text } of results) {
      const record = records.find((each) => each.id === id)!;
      const expected = list.find(
        ({ on, condition }) =>
          on && meetsCondition(snapshot.attributes, record, condition, Math.floor(now / 86_400_000)),
      )?.key;
      expect({ seed, id, ownCard, text }).toEqual({
        ...{ seed, id, ownCard: expected },
        text: expected === 'k1' ? `About ${id}` : undefined,
      });
      had.set(ownCard, (had.get(ownCard) ?? 0) + 1);
    }
  }
  expect(Math.min(...['k0', 'k1', 'k2', undefined].map((key) => had.get(key) ?? 0))).toBeGreaterThan(5);
});
