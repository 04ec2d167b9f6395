/** The moments of the search box: nothing typed yet, something typed, and something typed that finds nothing. */
export const boxMoments = ['before', 'typing', 'nothing'] as const;
export type BoxMoment = (typeof boxMoments)[number];
export const momentNames: Readonly<Record<BoxMoment, string>> = {
  before: 'Before typing',
  typing: 'While typing',
  nothing: 'Nothing found',
};

/** What may stand in the box. */
export const blockKinds = [
  'recent',
  'popular',
  'suggestions',
  'lookIn',
  'products',
  'collections',
  'articles',
  'message',
] as const;
export type BlockKind = (typeof blockKinds)[number];

/** What blocks are called at the desk. */
export const blockNames: Readonly<Record<BlockKind, string>> = {
  recent: 'Recent searches',
  popular: 'Popular searches',
  suggestions: 'Suggestions',
  lookIn: 'Look in',
  products: 'Products',
  collections: 'Collections',
  articles: 'Articles',
  message: 'Message',
};
/** What a block shows, at each moment it may stand in. */
export const blockShows: Readonly<Record<BoxMoment, Partial<Readonly<Record<BlockKind, string>>>>> = {
  before: {
    recent: 'What this shopper searched for, kept by the browser',
    popular: 'Searches made most lately that find something',
    products: 'Of the whole shop, in an order of your choice',
    collections: 'Those at the top, in their order',
  },
  typing: {
    suggestions: 'Completed searches that find something',
    lookIn: 'The search within a kind or a brand',
    products: 'As the results would order them',
    collections: 'Whose titles have the words',
    articles: 'That have all the words',
  },
  nothing: {
    message: 'The message and the tips of the empty shelf',
    popular: 'The empty shelf’s own searches, then those made most lately',
    products: 'Those of the empty shelf',
    collections: 'The collection of the empty shelf',
    articles: 'The articles of the empty shelf',
  },
};

/** What a product's line may show besides its title. */
export const linePieces = [
  'picture',
  'badges',
  'price',
  'formerPrice',
  'brand',
  'rating',
  'partNumber',
  'availability',
  'basket',
] as const;
export type LinePiece = (typeof linePieces)[number];
export const pieceNames: Readonly<Record<LinePiece, string>> = {
  picture: 'picture',
  badges: 'badges',
  price: 'price',
  formerPrice: 'former price',
  brand: 'brand',
  rating: 'rating',
  partNumber: 'part number',
  availability: 'availability',
  basket: 'a way into the basket',
};

export const boxColumns = [1, 2, 3] as const;
export const boxWidths = ['box', 'page', 'free'] as const;
export const widthNames: Readonly<Record<(typeof boxWidths)[number], string>> = {
  box: 'the box',
  page: 'the page',
  free: 'so many pixels',
};
/** Of a width set freely, in CSS pixels; the window bounds it all the same. */
export const freeWidth = { least: 240, usual: 560, most: 1600 } as const;
/** Products side by side: 1 is a list. */
export const mostInRow = 4;
/** What the button says, where it says anything; without a text it is a picture of a glass. */
export const longestButton = 20;

/** Most lines of one block, letters before anything is suggested, and length of a heading. */
export const mostLines = 12;
export const mostLetters = 6;
export const longestHeading = 40;

/** A block as the box begins with it. */
export interface UsualBlock {
  readonly kind: BlockKind;
  readonly on: boolean;
  readonly most: number;
  readonly column: number;
}
const block = (kind: BlockKind, most: number, column: number, on = true): UsualBlock => ({ kind, on, most, column });
export const usualBlocks: Readonly<Record<BoxMoment, readonly UsualBlock[]>> = {
  before: [block('recent', 5, 1), block('popular', 6, 1), block('collections', 4, 2), block('products', 4, 2, false)],
  typing: [
    block('suggestions', 5, 1),
    block('lookIn', 3, 1),
    block('articles', 2, 1),
    block('products', 5, 2),
    block('collections', 2, 2),
  ],
  nothing: [
    block('message', 1, 1),
    block('popular', 4, 1),
    block('articles', 3, 1),
    block('products', 4, 2),
    block('collections', 1, 2),
  ],
};
