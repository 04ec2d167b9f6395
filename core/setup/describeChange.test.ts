import { describe, expect, test } from '@jest/globals';
import { describeChange } from './describeChange.ts';
import type { EntryChange } from './entries.ts';
import { initialSetup } from './initialSetup.ts';
import { usualCard } from './terms/cardTerms.ts';
import { usualLadder } from './terms/ladderTerms.ts';

const names = {
  attribute: (key: string) => key.toUpperCase(),
  product: (id: string) => `“${id}”`,
  collection: (id: string) => `“${id}”`,
};
const described = (part: EntryChange['part'], key: string, before: unknown, after: unknown) =>
  describeChange({ part, key, before, after }, names);

describe('an attribute in words', () => {
  const plain = { searchable: true, weight: 5, onCard: false };
  test.each([
    [null, plain, ['BRAND is now read by the search', 'BRAND counts 5 instead of 1']],
    [plain, { ...plain, onCard: true }, ['BRAND is now shown on the card']],
    [{ ...plain, onCard: true }, plain, ['BRAND is no longer shown on the card']],
    [plain, { ...plain, early: true }, ['BRAND: early words count more']],
    [{ ...plain, early: true }, plain, ['BRAND: early words count no more than late ones']],
    [plain, { ...plain, whole: true }, ['BRAND: only whole values count']],
    [plain, { ...plain, forms: false }, ['BRAND: other forms of words are not found']],
    [{ ...plain, prefixes: false }, { ...plain, prefixes: true }, ['BRAND: beginnings of words are found']],
    [plain, { ...plain, corrections: false }, ['BRAND: typos are not corrected']],
    [{ ...plain, wins: 'file' }, plain, ['BRAND is what was set here, whatever the file says']],
  ])('%j to %j', (before, after, sentences) =>
    expect(described('attributes', 'brand', before, after)).toEqual(sentences),
  );

  test('what is said by default is no change when it is said aloud', () =>
    expect(described('attributes', 'brand', plain, { ...plain, forms: true, early: false })).toEqual([]));
});

describe('relevance in words', () => {
  test.each([
    [
      'spelling',
      { tolerance: true },
      { tolerance: true, oneEditFrom: 5, twoEditsFrom: 9 },
      ['Words may have one typo from 5 letters, two from 9'],
    ],
    [
      'spelling',
      { tolerance: true },
      { tolerance: true, atOnce: false, offers: 5 },
      [
        'A misspelt search is not corrected, but told what may be meant',
        'Up to 5 other readings of a misspelt search are offered',
      ],
    ],
    [
      'spelling',
      { tolerance: true, atOnce: false },
      { tolerance: true },
      ['A misspelt search is corrected at once where it finds nothing'],
    ],
    ['spelling', null, { tolerance: true }, ['Spelling tolerance is on']],
    ['closeCall', null, { width: 4 }, ['Close calls are 4 points wide instead of 0']],
    ['partNumbers', { lead: true }, { lead: false }, ['A part number is searched for like any word']],
    ['partNumbers', { lead: false }, { lead: true }, ['A part number leads straight to its product']],
    [
      'soldOut',
      { results: 'asItIs', box: 'asItIs', collections: 'last' },
      { results: 'last', box: 'notAtAll', collections: 'last' },
      [
        'What is sold out stands after everything in stock in search results',
        'What is sold out does not show in the search box',
      ],
    ],
    [
      'sorting',
      { orders: [{ key: 'relevance', label: 'Best match', signals: [] }] },
      {
        orders: [
          { key: 'relevance', label: 'Best match', signals: [] },
          { key: 'cheap', label: 'Cheapest first', signals: [{ attribute: 'price', direction: 'low' }] },
        ],
      },
      ['Shoppers may sort by: Best match, Cheapest first'],
    ],
    [
      'sorting',
      { orders: [{ key: 'a', label: 'By price', signals: [{ attribute: 'price', direction: 'low' }] }] },
      { orders: [{ key: 'a', label: 'By price', signals: [{ attribute: 'price', direction: 'high' }] }] },
      ['An order of the sorting menu sorts otherwise'],
    ],
  ])('%s: %j to %j', (key, before, after, sentences) =>
    expect(described('relevance', key, before, after)).toEqual(sentences),
  );

  const signals = (...of: object[]) => ({ signals: of });
  const rating = { attribute: 'rating', direction: 'high', pulledBy: 5 };
  const added = { attribute: 'date_added', direction: 'high', halfLife: 90 };
  const stock = { attribute: 'stock', direction: 'high', lowBelow: 5 };
  test.each([
    [null, signals(), ['“tieBreakers” of relevance is different']],
    [signals(rating), signals(), ['Tie-breakers are now: none']],
    [signals(rating), signals(added, stock), ['Tie-breakers are now: DATE_ADDED, Enough stock']],
    [signals(rating, added), signals(added, rating), ['Tie-breakers are now: DATE_ADDED, RATING']],
    [
      signals(rating, added, stock),
      signals({ ...rating, pulledBy: 20 }, { ...added, halfLife: 30 }, { ...stock, lowBelow: 3 }),
      [
        'RATING: 20 ratings at the average are added to each product’s own',
        'DATE_ADDED: newness halves every 30 days',
        'Enough stock: at least 3',
      ],
    ],
    [
      signals({ attribute: 'price', direction: 'high' }),
      signals({ attribute: 'price', direction: 'low' }),
      ['Tie-breaker PRICE puts low first'],
    ],
  ])('tie-breakers: %j to %j', (before, after, sentences) =>
    expect(described('relevance', 'tieBreakers', before, after)).toEqual(sentences),
  );
});

describe('the empty shelf, the storefront and plans in words', () => {
  const shelf = { message: 'Sorry', searches: ['ink'], products: ['a'] };
  const block = (kind: string, more: object = {}) => ({ kind, on: true, most: 5, column: 1, ...more });
  const shape = { wide: 'page', letters: 2, line: ['picture'], marks: true, allResults: true };
  const { layout } = initialSetup([]).resultsPage;
  const badge = {
    ...{ key: 'a', on: true, text: { en: 'New' }, place: 'left', colour: '#000000' },
    condition: { match: 'all', tests: [{ how: 'reduced' }] },
  };
  const offer = { what: 'offer', text: 'ink', on: true, priority: 50 };
  test.each([
    ['emptyShelf', 'content', shelf, { ...shelf, message: 'Oh' }, ['The empty shelf has a new message']],
    ['emptyShelf', 'content', shelf, { ...shelf, searches: [] }, ['The empty shelf suggests: none']],
    ['emptyShelf', 'content', shelf, { ...shelf, products: ['b', 'a'] }, ['The empty shelf shows 2 chosen products']],
    [
      'emptyShelf',
      'content',
      shelf,
      { ...shelf, tips: ['Fewer words'], bestSellers: 4, newest: 1, collection: 'inks', articles: ['a', 'b'] },
      [
        'The empty shelf has 1 tip',
        'The empty shelf shows 4 best sellers',
        'The empty shelf shows 1 newest product',
        'The empty shelf shows the collection “inks”',
        'The empty shelf shows 2 articles',
      ],
    ],
    ['emptyShelf', 'content', { ...shelf, bestSellers: 4 }, shelf, ['The empty shelf shows no best sellers']],
    [
      'emptyShelf',
      'ladder',
      { order: [...usualLadder.order], off: ['meaning'] },
      { order: [...usualLadder.order].reverse(), off: ['words'] },
      [
        'Where nothing is found, the step “Dropped words” is off',
        'Where nothing is found, the step “Nearest in meaning” is on',
        'Where nothing is found, the steps are The whole shop, Nearest in meaning, Loosened filters, Dropped words, Corrected spelling, Synonyms',
      ],
    ],
    [
      'specialShelves',
      'clay',
      null,
      { ...shelf, name: 'Clay', on: true, words: ['clay'], looks: ['size'], link: '/clay' },
      [
        'The special page “Clay” is shown where nothing is found for: “clay”, only a size or an amount',
        'The special page “Clay” sends shoppers to /clay',
        'The special page “Clay” suggests: ink',
        'The special page “Clay” shows 1 chosen product',
      ],
    ],
    [
      'specialShelves',
      'clay',
      { ...shelf, name: 'Clay', on: true, words: ['clay'], looks: [], link: '/clay' },
      { ...shelf, name: 'Pottery', on: false, words: ['clay', 'kiln'], looks: [] },
      [
        'The special page “Clay” is now called “Pottery”',
        'The special page “Pottery” is switched off',
        'The special page “Pottery” is for: “clay”, “kiln”',
        'The special page “Pottery” no longer sends shoppers elsewhere',
      ],
    ],
    [
      'specialShelves',
      'clay',
      { ...shelf, name: 'Clay', on: true, words: ['clay'], looks: [] },
      null,
      ['The special page “Clay” for searches that find nothing is removed'],
    ],
    ['searchBox', 'shape', shape, { ...shape, dictation: true }, ['The search box takes dictation']],
    [
      'searchBox',
      'typing',
      { blocks: [block('suggestions'), block('products', { column: 2 })] },
      { blocks: [block('products', { on: false, most: 3, title: { en: 'Goods' } }), block('suggestions')] },
      [
        'The search box, while typing: Products do not show',
        'The search box, while typing: Products, up to 3',
        'The search box, while typing: Products stand in column 1',
        'The search box, while typing: Products are headed “Goods”',
        'The search box, while typing: the order is Products, Suggestions',
      ],
    ],
    [
      'searchBox',
      'shape',
      shape,
      {
        ...shape,
        wide: 'box',
        letters: 1,
        line: ['price'],
        marks: false,
        allResults: false,
        placeholder: { en: 'Find' },
        button: { en: 'Go' },
      },
      [
        'What hangs under the search box is as wide as the box',
        'The search box suggests from the first letter on',
        'The empty search box says “Find”',
        'The button of the search box says “Go”',
        'A product’s line in the box shows price',
        'The search box does not mark what was typed',
        'The search box does not lead to all results',
      ],
    ],
    [
      'searchBox',
      'shape',
      shape,
      { ...shape, wide: 'free', pixels: 700 },
      ['What hangs under the search box is 700 pixels wide'],
    ],
    [
      'badges',
      'shown',
      { list: [badge], most: 2 },
      {
        list: [
          { ...badge, key: 'b', text: { en: 'Fresh' } },
          { ...badge, on: false, place: 'below' },
        ],
        most: 1,
      },
      [
        'The badge “Fresh” is put on what meets: it costs less than it did',
        'The badge “New” is switched off',
        'The badge “New” stands above the title',
        'A card has up to one badge',
      ],
    ],
    [
      'resultsPage',
      'layout',
      layout,
      {
        ...{ ...layout, shape: 'list', inRow: { ...layout.inRow, wide: 5 }, picture: { height: 200, fit: 'cover' } },
        ...{ atOnce: 12, way: 'button' },
      },
      [
        'Products stand as rows with their picture',
        'Cards stand 5 in a row in much room',
        'Pictures are 200 pixels high',
        'Pictures are shown over all of its place, cut where it must be',
        '12 products are shown at once',
        'What follows the products shown at once: a button that shows more below',
      ],
    ],
    [
      'resultsPage',
      'card',
      null,
      {
        ...{ pieces: [...usualCard.pieces].reverse(), rating: 'stars', stock: 'always', saving: true, labels: false },
      },
      [
        'On cards stand, in this order: availability, rating, price, attributes, brand, title',
        'Ratings are shown as five stars',
        'Availability is told always',
        'What is saved is told with a former price',
        'Attributes stand without their name',
      ],
    ],
    [
      'resultsPage',
      'begin',
      null,
      { order: 'newest', emptySearch: 'nothing' },
      [
        'Before any search products stand in the order “newest” of the sorting menu',
        'A search without words does nothing',
      ],
    ],
    [
      'look',
      'shop',
      null,
      {
        ...{ colours: { ground: '#fbf6ec', text: '#33261a', accent: '#8a4b1f' }, hasDark: false },
        ...{ text: 'serif', headings: 'newsreader', corners: 4, density: 'wide' },
      },
      [
        'The shop is coloured from #fbf6ec, its text #33261a, links and buttons #8a4b1f',
        'The shop is never dark',
        'Texts are written in a serif that every machine has',
        'Headings and titles are written in Newsreader, bookish',
        'Corners are 4 pixels round',
        'Things stand with much room',
      ],
    ],
    ['wording', 'de/results.sort', null, { text: 'Folge' }, ['In German, “Sortieren nach” is said as “Folge”']],
    [
      'wording',
      'en/results.sort',
      { text: 'Order' },
      null,
      ['In English, “Sort by” is said as it comes with the shop'],
    ],
    ['badges', 'shown', { list: [badge], most: 2 }, { list: [], most: 2 }, ['The badge “New” is removed']],
    ['suggestedSearches', 'offer:ink', null, offer, ['The search “ink” is suggested']],
    [
      'suggestedSearches',
      'offer:ink',
      offer,
      { ...offer, on: false, priority: 7, always: true, until: '2026-12-24' },
      [
        'The search “ink” is not suggested for now',
        'The search “ink” is suggested with priority 7',
        'The search “ink” is suggested before typing too',
        'The search “ink” is suggested until 2026-12-24',
      ],
    ],
    ['suggestedSearches', 'offer:ink', offer, null, ['The search “ink” is no longer suggested']],
    [
      'suggestedSearches',
      'never:gift',
      null,
      { what: 'never', text: 'gift', alone: true },
      ['The search “gift” is never offered'],
    ],
    [
      'suggestedSearches',
      'never:sale',
      { what: 'never', text: 'sale' },
      null,
      ['Searches with “sale” are offered again'],
    ],
    [
      'storefront',
      'shop',
      { name: 'Your shop', currency: 'GBP' },
      { name: 'Reed & Rush', currency: 'GBP' },
      ['The shop is called “Reed & Rush”'],
    ],
    ['storefront', 'shop', { name: 'A', currency: 'GBP' }, { name: 'A', currency: 'EUR' }, ['Prices are in EUR']],
    ['storefront', 'languages', { list: [] }, { list: ['en', 'de'] }, ['Shoppers may choose from English, German']],
    [
      'plans',
      'p',
      { name: 'Spring', on: true, searches: ['ink'], pins: [], pulls: [{ product: 'a', pull: 2 }] },
      { name: 'Summer', on: true, searches: ['ink', 'pen'], pins: [], pulls: [] },
      [
        'Shelf plan “Spring” is now called “Summer”',
        'Shelf plan “Summer” holds for: ink, pen',
        'Shelf plan “Summer” no longer boosts or lowers “a”',
      ],
    ],
    [
      'hiding',
      'h',
      null,
      { what: 'tag', tag: 'old', places: ['results', 'emptyShelf'] },
      ['Every product tagged “old” is hidden from search results and the empty shelf'],
    ],
  ] as const)('%s %s: %j to %j', (part, key, before, after, sentences) =>
    expect(described(part, key, before, after)).toEqual(sentences),
  );
});

describe('the vocabulary in words', () => {
  const corrections = (...pairs: [string, string][]) => ({
    what: 'corrections',
    pairs: pairs.map(([from, to]) => ({ from, to })),
  });
  const oneWay = { what: 'oneWay', from: ['aquarelle'], to: ['watercolour', 'paint'], on: true };
  test.each([
    [null, oneWay, ['“aquarelle” finds “watercolour”, “paint”']],
    [oneWay, { ...oneWay, on: false }, ['“aquarelle” is switched off for “watercolour”, “paint”']],
    [oneWay, null, ['“aquarelle” no longer finds “watercolour”, “paint”']],
    [
      { what: 'synonyms', words: ['a', 'b'], on: true },
      { what: 'synonyms', words: ['a', 'b'], on: false },
      ['“a”, “b” are switched off as synonyms'],
    ],
    [
      corrections(['gauche', 'gouache'], ['cotmn', 'cotman']),
      corrections(['gauche', 'gouache'], ['cotmn', 'cotton']),
      ['“cotmn” is always corrected to “cotton”', '“cotmn” is no longer always corrected to “cotman”'],
    ],
    [null, { what: 'neverCorrected', words: ['wren'] }, ['Never corrected: “wren”']],
    [{ what: 'neverCorrected', words: ['wren'] }, null, ['Never corrected: none']],
    [null, { what: 'neverOffered', words: ['x', 'y'] }, ['Never suggested as a correction: “x”, “y”']],
    [
      null,
      { what: 'spoken', words: ['pen', 'ink'] },
      ['Of equally near corrections 2 words shoppers search for come first'],
    ],
    [{ what: 'spoken', words: ['pen'] }, null, ['Of equally near corrections the commonest in the catalog come first']],
    [{ what: 'phrases', phrases: ['a b', 'c d'] }, { what: 'phrases', phrases: [] }, ['Phrases removed: “a b”, “c d”']],
  ])('%j to %j', (before, after, sentences) => expect(described('vocabulary', 'v', before, after)).toEqual(sentences));
});

test('a kind of content that counts otherwise', () => {
  const kind = (weights: Record<string, number>) => ({ what: 'kind', found: true, weights });
  expect(described('content', 'collection', kind({ title: 5 }), kind({ title: 9, text: 1 }))).toEqual([
    'Collections: title counts 9',
    'Collections: text counts 1',
  ]);
  expect(described('content', 'article', kind({ title: 5 }), null)).toEqual(['Articles: title counts as usual']);
  expect(described('content', 'x', { what: 'leftOut', kind: 'collection', id: 'c' }, null)).toEqual([
    'The collection “c” is found by the search again',
  ]);
});
