/** Where shoppers meet products that may be sold out: results, the search box while they type, collection pages. */
export const stockPlaces = ['results', 'box', 'collections'] as const;
export type StockPlace = (typeof stockPlaces)[number];
export const soldOutWays = ['asItIs', 'last', 'notAtAll'] as const;
export type SoldOutWay = (typeof soldOutWays)[number];

/** Where products show, and can be hidden from. */
export const places = ['results', 'box', 'collections', 'emptyShelf', 'companions'] as const;
export type Place = (typeof places)[number];
export const placeNames: Readonly<Record<Place, string>> = {
  results: 'search results',
  box: 'the search box',
  collections: 'collection pages',
  emptyShelf: 'the empty shelf',
  companions: 'companions',
};

/** Places in a sentence; empty where it is everywhere. */
export const placesInWords = (some: readonly Place[] | undefined): string => {
  if (!some || some.length === places.length) return '';
  const names = places.filter((place) => some.includes(place)).map((place) => placeNames[place]);
  return names.length > 1 ? `${names.slice(0, -1).join(', ')} and ${names.at(-1)}` : (names[0] ?? 'nowhere');
};
