/** What comes of an empty search that a shopper sends: everything in the shop, or nothing at all. */
export const emptySearches = ['everything', 'nothing'] as const;
export type EmptySearch = (typeof emptySearches)[number];
export const emptySearchNames: Readonly<Record<EmptySearch, string>> = {
  everything: 'shows everything in the shop',
  nothing: 'does nothing',
};

/** What stands before any search until somebody decides; `order` is one of the sorting menu, by its key, and empty for that of relevance. */
export const usualBegin = { order: '', emptySearch: 'everything' } as const;
