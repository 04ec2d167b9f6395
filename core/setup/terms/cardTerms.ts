/** What a card of a product is made of, below its picture. */
export const cardPieces = [
  'title',
  'brand',
  'details',
  'text',
  'variants',
  'price',
  'rating',
  'stock',
  'basket',
  'wish',
  'compare',
] as const;
export type CardPiece = (typeof cardPieces)[number];
export const pieceNames: Readonly<Record<CardPiece, string>> = {
  title: 'title',
  brand: 'brand',
  details: 'attributes',
  text: 'short text',
  variants: 'its variants',
  price: 'price',
  rating: 'rating',
  stock: 'availability',
  basket: 'a button into the basket',
  wish: 'a wish list',
  compare: 'a way to compare',
};
/** Without it a product could not be opened. */
export const alwaysOnCard: CardPiece = 'title';

/** Of a product's description, in characters; it ends at the end of a word. */
export const longestCardText = 140;

/** Kinds of filters by which variants are told apart: those whose values are names of one thing each. */
export const variantFilterKinds = ['ticks', 'single', 'dropdown', 'swatches', 'tiles'] as const;
/** Variants that stand on a card, at most; the others are counted. */
export const mostOnCardVariants = 8;

/** How a rating is shown: as a number beside one star, or as five of them. */
export const ratingForms = ['number', 'stars'] as const;
export const ratingNames = { number: 'a number', stars: 'five stars' } as const;
/** When availability is told. */
export const stockForms = ['soldOut', 'always'] as const;
export const stockNames = { soldOut: 'where sold out', always: 'always' } as const;

/** How a card is made until somebody decides. */
export const usualCard = {
  pieces: cardPieces.map((piece) => ({
    piece,
    on: !['basket', 'text', 'variants', 'wish', 'compare'].includes(piece),
  })),
  rating: 'number',
  stock: 'soldOut',
  saving: false,
  labels: true,
} as const;

/** Cards of their own, for products that meet a condition. */
export const mostOwnCards = 6;
