import { z } from 'zod';
import { companionShelfTexts, mostOnShelf, companionShelves as shelves } from '../terms/companionTerms.ts';
import { fixedEntry, fixedPart } from '../terms/part.ts';

const many = z.number().int().min(0).max(mostOnShelf);
const shownSchema = z.strictObject({
  pageCompanions: many,
  pageAlternatives: many,
  basket: many,
  emptyShelf: many,
  /** Whether what shoppers took and opened together fills them up, and whether the catalog alone does. */
  fromLog: z.boolean(),
  fromCatalog: z.boolean(),
});

/** Where companions and alternatives show, how many of them, and what they are worked out from. */
export const companionShelves = fixedPart({
  shown: fixedEntry({
    value: shownSchema,
    usual: { pageCompanions: 4, pageAlternatives: 4, basket: 4, emptyShelf: 4, fromLog: true, fromCatalog: true },
    describe({ before, after }) {
      if (!before || !after) return [];
      return [
        ...shelves.flatMap((shelf) => {
          if (before[shelf] === after[shelf]) return [];
          const { name } = companionShelfTexts[shelf];
          return [after[shelf] === 0 ? `${name} are not shown` : `${name}: up to ${after[shelf]}`];
        }),
        ...(before.fromLog !== after.fromLog
          ? [`Companions are ${after.fromLog ? '' : 'no longer '}taken from what shoppers took and opened together`]
          : []),
        ...(before.fromCatalog !== after.fromCatalog
          ? [`Companions are ${after.fromCatalog ? '' : 'no longer '}filled up from what the catalog says`]
          : []),
      ];
    },
  }),
});
