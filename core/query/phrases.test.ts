import { describe, expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { entrySchema, type Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';

const titles = [
  'Fan brush, trowel',
  'Fan brushes, set',
  'Fanbrush, tiny',
  'Brush for the wooden fan',
  'Spatula of steel',
  'Cold press block',
  'Press for cold days',
];
const records = recordsOf(titles.map((title, at) => ({ id: `p${at}`, title })));
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
const withPhrases = (phrases: string[], more: Setup['vocabulary'] = {}): Setup => ({
  ...usual,
  vocabulary: { p: { what: 'phrases', phrases }, ...more },
});
const ask = (query: string, setup: Setup) =>
  search(engine, prepareSetup(engine, setup, 0), { query, filters: {}, page: 1, limit: 9 }, (at) => records[at]!);
const ids = (query: string, setup: Setup): string[] =>
  ask(query, setup)
    .results.map(({ id }) => id)
    .sort();

describe('words that belong together', () => {
  const setup = withPhrases(['fan brush', 'cold press']);
  test('are found together, in any form and as one word, and not apart', () => {
    expect(ids('fan brush', usual)).toEqual(['p0', 'p1', 'p2', 'p3']);
    expect(ids('fan brush', setup)).toEqual(['p0', 'p1', 'p2']);
    expect(ids('fan brushes', setup)).toEqual(['p0', 'p1', 'p2']);
    expect(ask('fan brush', setup).together).toEqual(['fan brush']);
  });
  test('the other way round they are just words', () => expect(ids('brush fan', setup)).toContain('p3'));
  test('and apart where nothing has them together', () => {
    const answer = ask('wooden fan brush', setup);
    expect(answer.results.map(({ id }) => id)).toEqual(['p3']);
    expect(answer.together).toEqual([]);
  });
  test('two phrases are both kept to', () => expect(ids('cold press fan brush', setup)).not.toContain('p6'));
  test('what means the same as a phrase is as good as the phrase', () => {
    const synonyms: Setup['vocabulary'] = { a: { what: 'synonyms', words: ['fan brush', 'spatula'], on: true } };
    expect(ids('fan brush', withPhrases(['fan brush'], synonyms))).toEqual(['p0', 'p1', 'p2', 'p4']);
  });
  test('one word is no phrase', () => {
    const schema = entrySchema('vocabulary', 'p')!;
    expect(schema.safeParse({ what: 'phrases', phrases: ['brush'] }).success).toBe(false);
    expect(schema.safeParse({ what: 'phrases', phrases: ['a b c d e'] }).success).toBe(false);
  });
});
