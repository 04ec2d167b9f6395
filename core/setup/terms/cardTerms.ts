/** What a card of a product is made of, below its picture. */
export const cardPieces = ['title', 'brand', 'details', 'price', 'rating', 'stock', 'basket'] as const;
export type CardPiece = (typeof cardPieces)[number];
export const pieceNames: Readonly<Record<CardPiece, string>> = {
  title: 'title',
  brand: 'brand',
  details: 'attributes',
  price: 'price',
  rating: 'rating',
  stock: 'availability',
  basket: 'a button into the basket',
};
/** Without it a product could not be opened. */
export const alwaysOnCard: CardPiece = 'title';

/** How a rating is shown: as a number beside one star, or as five of them. */
export const ratingForms = ['number', 'stars'] as const;
export const ratingNames = { number: 'a number', stars: 'five stars' } as const;
/** When availability is told. */
export const stockForms = ['soldOut', 'always'] as const;
export const stockNames = { soldOut: 'only where something is sold out', always: 'always' } as const;

/** How a card is made until somebody decides. */
export const usualCard = {
  pieces: cardPieces.map((piece) => ({ piece, on: piece !== 'basket' })),
  rating: 'number',
  stock: 'soldOut',
  saving: false,
  labels: true,
} as const;
