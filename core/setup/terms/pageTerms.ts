/** What a page of results is made of, in the order in which it usually stands. */
export const pagePieces = [
  'heading',
  'count',
  'sorting',
  'collection',
  'besides',
  'notices',
  'filters',
  'chosen',
  'results',
  'more',
] as const;
export type PagePiece = (typeof pagePieces)[number];
export const pagePieceNames: Readonly<Record<PagePiece, string>> = {
  heading: 'what was searched for',
  count: 'how many products there are',
  sorting: 'the sorting menu',
  collection: 'the collection',
  besides: 'articles and collections',
  notices: 'how the search was read',
  filters: 'filters',
  chosen: 'chosen filters',
  results: 'products',
  more: 'what follows',
};
/** Without them shoppers could not find, be told, or go on. */
export const alwaysOnPage = ['collection', 'notices', 'results', 'more'] as const satisfies readonly PagePiece[];

/** How a page is made until somebody decides. */
export const usualPage = { pieces: pagePieces.map((piece) => ({ piece, on: true })) };
