/** What comes of an empty search that a shopper sends: everything in the shop, the first products of it, or nothing at all. */
export const emptySearches = ['everything', 'first', 'nothing'] as const;
export type EmptySearch = (typeof emptySearches)[number];
export const emptySearchNames: Readonly<Record<EmptySearch, string>> = {
  everything: 'shows everything in the shop',
  first: 'shows the first products only',
  nothing: 'does nothing',
};

/** What stands first before any search: products, a collection's, those of a search; or all of them shuffled anew each day. */
export const leads = ['products', 'collection', 'search', 'shuffle'] as const;
export type Lead = (typeof leads)[number];
export const leadNames: Readonly<Record<Lead, string>> = {
  products: 'chosen products',
  collection: 'a collection',
  search: 'what a search finds',
  shuffle: 'all products shuffled, anew each day',
};
/** Products that lead, at most. */
export const mostLeading = 48;

/** What stands before any search until somebody decides; `order` is one of the sorting menu, by its key, and empty for that of relevance. */
export const usualBegin = { order: '', emptySearch: 'everything' } as const;
