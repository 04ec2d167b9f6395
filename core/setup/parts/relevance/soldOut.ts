import { z } from 'zod';
import { fixedEntry } from '../../terms/part.ts';
import { type SoldOutWay, type StockPlace, soldOutWays, stockPlaces } from '../../terms/placeTerms.ts';

const way = z.enum(soldOutWays);
const placeTexts: Readonly<Record<StockPlace, string>> = {
  results: 'search results',
  box: 'the search box',
  collections: 'collection pages',
};
const wayTexts: Readonly<Record<SoldOutWay, string>> = {
  asItIs: 'stands where it is',
  last: 'stands after everything in stock',
  notAtAll: 'does not show',
};

export const soldOut = fixedEntry({
  value: z.strictObject({ results: way, box: way, collections: way }),
  usual: { results: 'asItIs', box: 'asItIs', collections: 'asItIs' },
  describe: ({ before, after }) =>
    stockPlaces
      .filter((place) => (before?.[place] ?? 'asItIs') !== (after?.[place] ?? 'asItIs'))
      .map((place) => `What is sold out ${wayTexts[after?.[place] ?? 'asItIs']} in ${placeTexts[place]}`),
});
