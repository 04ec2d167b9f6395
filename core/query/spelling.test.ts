import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import { entrySchema, type Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { editDistance } from '../text/editDistance.ts';
import { allowedEdits, mayBeMeant, openNearest } from './spelling.ts';

const titles = [
  'Gouache set',
  'Gouache brush',
  'Watercolour block',
  'Sable brush',
  'Stable easel',
  'Table easel',
  'Ink',
];
const records = recordsOf(titles.map((title, at) => ({ id: `p${at}`, title, sku: `WU-${at}` })));
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
const withSpelling = (
  spelling: Partial<Setup['relevance']['spelling']>,
  vocabulary: Setup['vocabulary'] = {},
): Setup => ({
  ...usual,
  vocabulary,
  relevance: { ...usual.relevance, spelling: { tolerance: true, ...spelling } },
});
const ask = (query: string, setup: Setup = usual) => {
  const prepared = prepareSetup(engine, setup, 0);
  return search(engine, prepared, { query, filters: {}, page: 1, limit: 10 }, (record) => records[record]!);
};
const titlesOf = ({ results }: ReturnType<typeof ask>) => results.map(({ title }) => title);

describe('how far a correction may go', () => {
  test('usually none below four letters, one below seven, two from there on', () => {
    expect([3, 4, 6, 7, 20].map((length) => allowedEdits(length))).toEqual([0, 1, 1, 2, 2]);
  });
  test('is the merchandiser’s to set', () => {
    expect(titlesOf(ask('inc'))).toEqual([]);
    expect(titlesOf(ask('inc', withSpelling({ oneEditFrom: 3 })))).toEqual(['Ink']);
    expect(titlesOf(ask('eaels', withSpelling({ twoEditsFrom: 5 })))).toContain('Table easel');
    expect(ask('sabel', withSpelling({ oneEditFrom: 6 })).total).toBe(0);
  });
  test('two slips are never allowed before one', () => {
    const schema = entrySchema('relevance', 'spelling')!;
    expect(schema.safeParse({ tolerance: true, oneEditFrom: 9, twoEditsFrom: 8 }).success).toBe(false);
    expect(schema.safeParse({ tolerance: true, oneEditFrom: 2 }).success).toBe(false);
  });
});

describe('a misspelt search', () => {
  test('is corrected at once, and the other readings are offered', () => {
    const answer = ask('tabel easel');
    expect(titlesOf(answer)[0]).toBe('Table easel');
    expect(answer.corrections).toEqual([{ from: 'tabel', to: 'table' }]);
    const doubtful = ask('xable', withSpelling({ offers: 5 }));
    expect(doubtful.offers).toEqual(['table']);
    expect(doubtful.corrections).toEqual([{ from: 'xable', to: 'sable' }]);
  });
  test('finds nothing but is told what may be meant, where it is not to be corrected at once', () => {
    const answer = ask('guache set', withSpelling({ atOnce: false }));
    expect(answer.corrections).toEqual([]);
    expect(titlesOf(answer)).toEqual(['Gouache set']);
    expect(answer.dropped).toEqual(['guache']);
    expect(answer.offers).toEqual(['gouache set']);
    const alone = ask('guache', withSpelling({ atOnce: false }));
    expect(alone).toMatchObject({ total: 0, offers: ['gouache'] });
  });
  test('is offered no more than is wanted, nothing that finds nothing, and nothing while typing', () => {
    expect(ask('xable', withSpelling({ offers: 0 })).offers).toEqual([]);
    expect(ask('xable', withSpelling({ offers: 1, atOnce: false })).offers).toEqual(['sable']);
    expect(ask('xable ink', withSpelling({ atOnce: false })).offers).toEqual([]);
  });
  test('is taken first for what shoppers search, of equally near words', () => {
    expect(ask('xable').corrections).toEqual([{ from: 'xable', to: 'sable' }]);
    const popular = withSpelling({}, { s: { what: 'spoken', words: ['ink', 'table'] } });
    expect(ask('xable', popular).corrections).toEqual([{ from: 'xable', to: 'table' }]);
    expect(ask('gouahce', popular).corrections).toEqual([{ from: 'gouahce', to: 'gouache' }]);
  });
  test('right searches are offered nothing', () => expect(ask('gouache').offers).toEqual([]));
});

describe('a misspelt word that only the vocabulary knows', () => {
  const vocabulary: Setup['vocabulary'] = {
    a: { what: 'oneWay', from: ['aquarelle'], to: ['watercolour'], on: true },
  };
  test.each(['aquarelle', 'aquarele', 'aqurelle', 'aquarellle', 'aqaurelle'])('%s', (query) => {
    const answer = ask(query, withSpelling({}, vocabulary));
    expect(titlesOf(answer)).toEqual(['Watercolour block']);
    expect(answer.corrections).toEqual(query === 'aquarelle' ? [] : [{ from: query, to: 'aquarelle' }]);
  });
  test('is not looked for where the catalog has a word as near', () => {
    const near: Setup['vocabulary'] = { a: { what: 'oneWay', from: ['gouarhe'], to: ['watercolour'], on: true } };
    expect(titlesOf(ask('gouarche', withSpelling({}, near)))).not.toContain('Watercolour block');
  });
});

test('the nearest of some words is what measuring them all says', () => {
  const random = seededRandom(5);
  const word = (): string =>
    Array.from({ length: 2 + Math.floor(random() * 8) }, () => pick(random, ['a', 'b', 'c', 'ä'])).join('');
  const words = Array.from({ length: 300 }, word);
  const nearest = openNearest(words);
  for (let round = 0; round < 300; round++) {
    const sought = word();
    const limit = allowedEdits(sought.length);
    const best = [...new Set(words)]
      .filter((token) => token.length >= 3)
      .map((token) => ({ token, edits: editDistance(sought, token, limit) }))
      .filter(({ edits }) => edits > 0 && edits <= limit)
      .sort(
        (a, b) =>
          a.edits - b.edits ||
          Number(a.token[0] !== sought[0]) - Number(b.token[0] !== sought[0]) ||
          (a.token < b.token ? -1 : 1),
      )[0];
    expect({ sought, nearest: nearest(sought, limit) }).toEqual({ sought, nearest: best ?? null });
  }
});

describe('a word that the catalog lacks', () => {
  const unknown = { isOfLanguage: false, fitsRest: (): boolean => false };
  const ofLanguage = { isOfLanguage: true, fitsRest: (): boolean => false };
  test.each([
    ['a slip', 'guache', 'gouache', 1, unknown, true],
    ['a slip in the first letter', 'houache', 'gouache', 1, unknown, true],
    ['two slips', 'guach', 'gouache', 2, unknown, true],
    ['two slips, one in the first letter', 'houahe', 'gouache', 2, unknown, false],
    ['a word of the language', 'stable', 'sable', 1, ofLanguage, false],
    [
      'the same beside words that it stands with',
      'stable',
      'sable',
      1,
      { ...ofLanguage, fitsRest: (): boolean => true },
      true,
    ],
    ['one that is two letters away', 'barcode', 'arcade', 2, { ...ofLanguage, fitsRest: (): boolean => true }, false],
    ['a form of it', 'brushes', 'brush', 2, ofLanguage, true],
    ['another ending', 'pintora', 'pintoro', 1, ofLanguage, true],
  ] as const)('%s', (_, typed, meant, edits, standing, expected) =>
    expect(mayBeMeant(typed, meant, edits, standing)).toBe(expected),
  );

  test('is not taken for another one where the language has it, but that is offered', () => {
    const words = openEngine(snapshotOf(recordsOf([{ id: 'a', title: 'Sable brush', sku: 'A-1' }])), () => true);
    const setup = initialSetup(words.snapshot.attributes);
    const alone = search(
      words,
      prepareSetup(words, setup, 0),
      { query: 'stable', filters: {}, page: 1, limit: 10 },
      () => records[0]!,
    );
    expect([alone.total, alone.corrections, alone.offers]).toEqual([0, [], ['sable']]);
  });
});

describe('a word of the language in a search', () => {
  const own = recordsOf(
    ['Sable brush', 'Stone easel', 'Drawing ink'].map((title, at) => ({ id: `p${at}`, title, sku: `B-${at}` })),
  );
  const language = openEngine(snapshotOf(own), (word) => word === 'stable');
  const found = (query: string, vocabulary: Setup['vocabulary'] = {}) =>
    search(
      language,
      prepareSetup(language, { ...initialSetup(language.snapshot.attributes), vocabulary }, 0),
      { query, filters: {}, page: 1, limit: 10 },
      (record) => own[record]!,
    );
  test('is taken for what stands with the rest of it', () =>
    expect(found('stable brushes').corrections).toEqual([{ from: 'stable', to: 'sable' }]));
  test.each(['stable', 'stable easel', 'stable zzz'])('and for nothing in “%s”', (query) =>
    expect(found(query).corrections).toEqual([]),
  );
  test('words that only the vocabulary knows are not held against it', () => {
    const synonyms = { paint: { what: 'synonyms' as const, words: ['brush', 'pinsel'], on: true } };
    expect(found('stable pinsel', synonyms).corrections).toEqual([{ from: 'stable', to: 'sable' }]);
  });
});
