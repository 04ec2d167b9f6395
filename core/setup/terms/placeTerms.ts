/** Where shoppers meet products that may be sold out: results, the search box while they type, collection pages. */
export const stockPlaces = ['results', 'box', 'collections'] as const;
export type StockPlace = (typeof stockPlaces)[number];
export const soldOutWays = ['asItIs', 'last', 'notAtAll'] as const;
export type SoldOutWay = (typeof soldOutWays)[number];

/** Where products show, and can be hidden from. */
export const places = ['results', 'collections', 'emptyShelf'] as const;
export type Place = (typeof places)[number];
export const placeNames: Readonly<Record<Place, string>> = {
  results: 'search results',
  collections: 'collection pages',
  emptyShelf: 'the empty shelf',
};
