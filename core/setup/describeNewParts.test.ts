import { describe, expect, test } from '@jest/globals';
import { describeChange } from './describeChange.ts';
import type { EntryChange } from './entries.ts';
import { initialSetup } from './initialSetup.ts';
import { resultsPage } from './parts/resultsPage.ts';
import { alwaysOnPage, pagePieces } from './terms/pageTerms.ts';

const names = {
  attribute: (key: string) => key.toUpperCase(),
  product: (id: string) => `“${id}”`,
  collection: (id: string) => `“${id}”`,
};
const described = (part: EntryChange['part'], before: unknown, after: unknown, key = 'k') =>
  describeChange({ part, key, before, after }, names);
const about = { product: 'p', variant: null, attribute: 'brand' };

describe('decisions about products in words', () => {
  test.each([
    [null, { ...about, act: 'set', value: 'Osier' }, 'BRAND is set to “Osier” for “p”'],
    [null, { ...about, act: 'set', value: ['a', 'b'] }, 'BRAND is set to “a, b” for “p”'],
    [null, { ...about, act: 'clear' }, 'BRAND is emptied for “p”'],
    [{ ...about, act: 'clear' }, null, 'BRAND is the file’s again for “p”'],
    [
      null,
      { ...about, attribute: 'tags', act: 'tags', add: ['x'], remove: ['y'] },
      'Tagged “x” and no longer tagged “y” for “p”',
    ],
  ])('%j to %j', (before, after, sentence) => expect(described('products', before, after)).toEqual([sentence]));
  test('a long value is cut', () =>
    expect(described('products', null, { ...about, act: 'set', value: 'x'.repeat(200) })[0]!.length).toBeLessThan(110));
});

describe('what stands beside products in words', () => {
  const usual = {
    ...{ collections: { where: 'above', most: 6 }, articles: { where: 'below', most: 4 } },
    ...{ after: 6, blocks: [] as unknown[] },
  };
  const block = { collection: 'brushes', heading: '{search} in brushes', most: 4, where: 'above' };
  test.each([
    [{ articles: { where: 'tab', most: 4 } }, 'Articles that a search finds stand on a tab of their own'],
    [{ collections: { where: 'none', most: 6 } }, 'Collections that a search finds are not shown'],
    [{ after: 9 }, 'What stands between the products comes after 9 of them'],
    [
      { blocks: [block] },
      'What a search finds in “brushes” stands above the products as “{search} in brushes”, up to 4',
    ],
  ])('%j', (change, sentence) =>
    expect(described('resultsPage', usual, { ...usual, ...change }, 'besides')).toEqual([sentence]),
  );
  test('a block taken out is told', () =>
    expect(described('resultsPage', { ...usual, blocks: [block] }, usual, 'besides')).toEqual([
      'What a search finds in “brushes” has no block of its own any more',
    ]));
});

describe('how products stand in words', () => {
  const usual = { shape: 'grid', inRow: { narrow: 2, middle: 3, wide: 4 }, atOnce: 24, way: 'pages' };
  const layout = { ...usual, picture: { height: 118, fit: 'contain' } };
  test('how far apart, and on which ground', () => {
    const picture = { ...layout.picture, ground: '#ffeedd' };
    expect(described('resultsPage', layout, { ...layout, apart: 20, picture }, 'layout')).toEqual([
      'Pictures stand on #ffeedd',
      'Products stand 20 pixels apart',
    ]);
    expect(described('resultsPage', { ...layout, picture }, layout, 'layout')).toEqual([
      'Pictures stand on the look’s own ground',
    ]);
  });
});

describe('what leads before any search in words', () => {
  const usual = { order: '', emptySearch: 'everything' };
  test.each([
    [{ what: 'products', products: ['a', 'b', 'c', 'd'] }, 'Before any search stand first: “a”, “b”, “c” and 1 more'],
    [{ what: 'collection', collection: 'x' }, 'Before any search stands first what is in “x”'],
    [{ what: 'search', search: 'ink' }, 'Before any search stands first what “ink” finds'],
    [{ what: 'shuffle' }, 'Before any search products are shuffled, anew each day'],
  ])('%j', (leads, sentence) => {
    expect(described('resultsPage', usual, { ...usual, leads }, 'begin')).toEqual([sentence]);
    expect(described('resultsPage', { ...usual, leads }, usual, 'begin')).toEqual([
      'Before any search nothing leads the products',
    ]);
  });
});

describe('companions in words', () => {
  const none = { companions: [], alternatives: [], never: [] };
  test.each([
    [null, { ...none, companions: ['a', 'b'] }, 'The companions of “p” have “a”, “b” chosen by hand'],
    [
      { ...none, companions: ['a', 'b'] },
      { ...none, companions: ['b', 'a'] },
      'The companions of “p” stand in another order',
    ],
    [{ ...none, alternatives: ['a'] }, null, 'The alternatives of “p” no longer have “a” chosen by hand'],
    [none, { ...none, never: ['a', 'b', 'c', 'd', 'e'] }, 'Never shown beside “p”: “a”, “b”, “c” and 2 more'],
    [{ ...none, never: ['a'] }, none, 'May show beside “p” again: “a”'],
  ])('%j to %j', (before, after, sentence) => expect(described('companions', before, after, 'p')).toEqual([sentence]));
  test('where they show is told by place', () => {
    const shown = {
      pageCompanions: 4,
      pageAlternatives: 4,
      basket: 4,
      emptyShelf: 4,
      fromLog: true,
      fromCatalog: true,
    };
    expect(
      described('companionShelves', shown, { ...shown, basket: 0, emptyShelf: 8, fromLog: false }, 'shown'),
    ).toEqual([
      'Companions in the basket are not shown',
      'Companions on the empty shelf: up to 8',
      'Companions are no longer taken from what shoppers took and opened together',
    ]);
  });
});

const tests = [{ how: 'is' as const, attribute: 'brand', values: ['Osier'] }];
const rule = {
  name: 'Osier',
  on: true,
  condition: { match: 'all' as const, tests },
  does: { what: 'pull' as const, pull: 1.5 },
};
const group = {
  match: 'all' as const,
  tests: [{ how: 'inStock' as const }, { how: 'between' as const, attribute: 'price', from: null, to: 5 }],
};

describe('vocabulary, content and places in words', () => {
  const stop = (...words: string[]) => ({ what: 'stopWords', words });
  test.each([
    ['vocabulary', null, stop('for', 'the'), ['Stop words added: “for”, “the”']],
    ['vocabulary', stop('for', 'the'), stop('the', 'a'), ['Stop words added: “a”', 'Stop words removed: “for”']],
    ['vocabulary', null, { what: 'synonyms', words: ['a', 'b'], on: true }, ['“a”, “b” are synonyms']],
    ['vocabulary', { what: 'synonyms', words: ['a', 'b'], on: true }, null, ['“a”, “b” are no longer synonyms']],
    [
      'vocabulary',
      { what: 'phrases', phrases: ['cold press', 'a b'] },
      { what: 'phrases', phrases: ['cold press', 'palette knife'] },
      ['Phrases added: “palette knife”', 'Phrases removed: “a b”'],
    ],
    [
      'vocabulary',
      { what: 'recognised', price: true, attributes: { size: 'strong' } },
      {
        what: 'recognised',
        price: false,
        attributes: { colour: 'filter' },
        conditions: [{ words: 'sale', condition: { match: 'all', tests: [{ how: 'reduced' }] } }],
      },
      [
        'Limits of price in a search are words like any other',
        'Values of SIZE named in a search are words like any other',
        'Values of COLOUR named in a search narrow its results',
        '“sale” in a search stands for: it costs less than it did',
      ],
    ],
    [
      'vocabulary',
      {
        what: 'recognised',
        price: false,
        conditions: [{ words: 'sale', condition: { match: 'all', tests: [{ how: 'reduced' }] } }],
      },
      null,
      ['“sale” is a word like any other'],
    ],
    ['content', null, { what: 'leftOut', kind: 'article', id: 'x' }, ['The article “x” is left out of the search']],
    [
      'hiding',
      null,
      { what: 'product', product: 'p', places: ['collections'] },
      ['“p” is hidden from collection pages'],
    ],
    [
      'hiding',
      null,
      {
        what: 'tag',
        tag: 't',
        until: '2026-12-24T18:00',
        yearly: { from: '11-01', until: '01-06' },
        whileSoldOut: true,
      },
      ['Every product tagged “t” is hidden until 2026-12-24 18:00 every year from 11-01 to 01-06 while it is sold out'],
    ],
    ['houseRules', null, rule, ['House rule “Osier” is added: it boosts (strength ×1.5) what meets: BRAND is Osier']],
    [
      'houseRules',
      rule,
      {
        ...rule,
        on: false,
        places: ['box'],
        does: { what: 'hide' },
        condition: { match: 'any', tests: [...tests, group] },
      },
      [
        'House rule “Osier” is switched off',
        'House rule “Osier” now hides what meets: BRAND is Osier, or (it is in stock and PRICE is at most 5)',
        'House rule “Osier” holds in the search box',
      ],
    ],
    ['houseRules', rule, null, ['House rule “Osier” is removed']],
    ['hiding', { what: 'tag', tag: 't' }, null, ['Every product tagged “t” is no longer hidden']],
    [
      'attributes',
      { searchable: true, weight: 1, onCard: false },
      { searchable: true, weight: 1, onCard: false, wins: 'file' },
      ['K is what the file says, whatever was set here'],
    ],
  ] as const)('%s: %j to %j', (part, before, after, sentences) =>
    expect(described(part, before, after)).toEqual(sentences),
  );
  test('a kind of content that is switched off', () =>
    expect(described('content', null, { what: 'kind', found: false, weights: {} }, 'article')).toEqual([
      'Articles are not found by the search any more',
    ]));
});

test('spelling in words: only what changed, and what is left out is as usual', () => {
  const spelling = (before: object, after: object) => described('relevance', before, after, 'spelling');
  expect(spelling({ tolerance: true }, { tolerance: false })).toEqual(['Spelling tolerance is off']);
  expect(spelling({ tolerance: true }, { tolerance: true, oneEditFrom: 5, offers: 1 })).toEqual([
    'Words may have one typo from 5 letters, two from 7',
    'Up to 1 other readings of a misspelt search are offered',
  ]);
  expect(spelling({ tolerance: true, atOnce: true }, { tolerance: true, atOnce: false })).toEqual([
    'A misspelt search is not corrected, but told what may be meant',
  ]);
});

describe('the pieces of the results page in words', () => {
  const usual = { pieces: pagePieces.map((piece) => ({ piece, on: true })) };
  test('all that stand on it, in order', () => {
    const withoutCount = usual.pieces.map(({ piece }) => ({ piece, on: piece !== 'count' }));
    expect(described('resultsPage', usual, { pieces: withoutCount.toReversed() }, 'page')).toEqual([
      'On the results page stand, in this order: what follows, products, chosen filters, filters, how the search was read, articles and collections, the collection, the sorting menu, what was searched for',
    ]);
    const moved = [...withoutCount.filter(({ on }) => on), { piece: 'count', on: false }];
    expect(described('resultsPage', { pieces: withoutCount }, { pieces: moved }, 'page')).toEqual([
      'Pieces that are switched off stand elsewhere in their list',
    ]);
  });

  test('it is no page without its products, nor with a piece twice', () => {
    const { value } = resultsPage.entries.page;
    const off = (out: string) => usual.pieces.map(({ piece }) => ({ piece, on: piece !== out }));
    expect(value.safeParse(usual).success).toBe(true);
    expect(value.safeParse({ pieces: off('heading') }).success).toBe(true);
    for (const always of alwaysOnPage) expect(value.safeParse({ pieces: off(always) }).success).toBe(false);
    expect(value.safeParse({ pieces: [...usual.pieces, usual.pieces[0]] }).success).toBe(false);
  });
});

describe('cards of their own in words', () => {
  const { card } = initialSetup([]).resultsPage;
  const own = {
    ...{ key: 'sets', name: 'Sets', on: true, card },
    condition: { match: 'all', tests: [{ how: 'is', attribute: 'kind', values: ['set'] }] },
  };
  const saidOf = (before: unknown[], after: unknown[]) =>
    described('resultsPage', { list: before }, { list: after }, 'ownCards');
  test('made, changed, switched off, taken away', () => {
    expect(saidOf([], [own])).toEqual([expect.stringMatching(/^The card “Sets” is for what meets: .*set/)]);
    expect(saidOf([own], [{ ...own, name: 'Boxes', on: false, card: { ...card, rating: 'stars' } }])).toEqual([
      'The card “Sets” is called “Boxes”',
      'The card “Boxes” is switched off',
      'The card “Boxes”: ratings are shown as five stars',
    ]);
    expect(saidOf([own], [])).toEqual(['The card “Sets” is removed']);
    const other = { ...own, key: 'other', name: 'Other' };
    expect(saidOf([own, other], [other, own])).toEqual([
      'Of cards of their own the first that fits is taken: “Other”, “Sets”',
    ]);
  });
});
