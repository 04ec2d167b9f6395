import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { randomCatalog, recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { tokenize } from '../text/tokenize.ts';
import { joinings, splits } from './wordDivision.ts';

describe('the ways a search’s words may be divided', () => {
  test('two neighbours may be one word; more only where they make a code', () => {
    expect(joinings(['sketch', 'book', 'a4']).map(({ text }) => text)).toEqual([
      'sketchbook',
      'sketchbooka4',
      'booka4',
    ]);
    expect(joinings(['cold', 'pressed', 'paper']).map(({ text }) => text)).toEqual(['coldpressed', 'pressedpaper']);
  });
  test('a word of letters is cut in two, a code where letters and digits meet', () => {
    expect(splits('sketchbook')).toContainEqual(['sketch', 'book']);
    expect(splits('paint')).toEqual([]);
    expect(splits('wu2041b')).toEqual(
      expect.arrayContaining([
        ['wu', '2041b'],
        ['wu', '2041', 'b'],
      ]),
    );
    expect(splits('a'.repeat(40)).length).toBeLessThan(40);
  });
});

const rows = [
  { id: '1', title: 'Sketchbook', sku: 'WU-2041B' },
  { id: '2', title: 'Sketch book, ring bound', sku: 'WU-2042' },
  { id: '3', title: 'Book about how to sketch', sku: 'WU-2043' },
  { id: '4', title: 'Easel XR 2040 C', sku: 'WU-2044' },
];
const records = recordsOf(rows);
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
const ids = (query: string, setup: Setup = usual): string[] => {
  const request = { query, filters: {}, page: 1, limit: 10 };
  return search(engine, prepareSetup(engine, setup, 0), request, (record) => records[record]!).results.map(
    ({ id }) => id,
  );
};

describe('joined and split words', () => {
  test('are found both ways, before words that stand apart', () => {
    expect(ids('sketchbook')).toEqual(['1', '2']);
    const found = ids('sketch book');
    expect([found.slice(0, 2).sort(), found.slice(2)]).toEqual([['1', '2'], ['3']]);
    expect(ids('sketch books').sort()).toEqual(['1', '2', '3']);
  });
  test('stand side by side: words that are apart are no split word', () =>
    expect(ids('sketchbook')).not.toContain('3'));
  test('part numbers are found however they are split, alone or among other words', () => {
    const noLead: Setup = { ...usual, relevance: { ...usual.relevance, partNumbers: { lead: false } } };
    for (const query of ['WU-2041B', 'wu 2041 b', 'WU2041B', 'wu2041 b'])
      for (const setup of [usual, noLead]) expect(ids(query, setup)[0]).toBe('1');
    expect(ids('sketchbook wu 2041 b')).toEqual(['1']);
    expect(ids('xr2040c')).toEqual(['4']);
    expect(ids('easel xr-2040c')).toEqual(['4']);
  });
  test('a part number that nothing has is not taken for another', () => expect(ids('WU-2049')).toEqual([]));
});

test('tolerance of slips changes no search whose words a product has', () => {
  for (let seed = 1; seed <= 12; seed++) {
    const random = seededRandom(seed);
    const catalog = randomCatalog(random, 30);
    const own = openEngine(snapshotOf(catalog));
    const setup = initialSetup(own.snapshot.attributes);
    const strict: Setup = { ...setup, relevance: { ...setup.relevance, spelling: { tolerance: false } } };
    for (let round = 0; round < 20; round++) {
      const { title, description } = pick(random, catalog).values;
      const words = tokenize(`${title} ${description ?? ''}`).filter(() => random() < 0.4);
      const request = { query: words.slice(0, 5).join(' '), filters: {}, page: 1, limit: 50 };
      const answers = [setup, strict].map((each) =>
        search(own, prepareSetup(own, each, 0), request, (record) => catalog[record]!).results.map(({ id, score }) => [
          id,
          score,
        ]),
      );
      expect({ seed, query: request.query, found: answers[0] }).toEqual({
        seed,
        query: request.query,
        found: answers[1],
      });
    }
  }
});
