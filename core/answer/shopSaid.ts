import { z } from 'zod';
import { wornLookSchema } from '../look/wornLook.ts';
import { emptySearches } from '../setup/terms/beginTerms.ts';
import { shopSchema } from '../setup/terms/shop.ts';
import { languages } from '../text/languages.ts';

/** What every part of the shop needs to speak to its shopper, whatever it shows. */
export const shopSaid = {
  shop: shopSchema,
  look: wornLookSchema.describe('How the shop looks.'),
  boxSays: z.string().describe('What the empty search box says, in the shopper’s language.'),
  boxButton: z.string().describe('What the button of the search box says; empty: it shows a glass.'),
  emptySearch: z.enum(emptySearches).describe('What comes of a search without words.'),
  language: z.enum(languages).describe('In which the shop speaks to this shopper.'),
  wording: z
    .record(z.string(), z.string())
    .describe('Texts of the shop that the merchandiser worded, in that language, by key: ICU messages.'),
  languages: z.array(z.string()).describe('Languages the shopper may choose from; the first is the catalog’s own.'),
};
const schema = z.object(shopSaid);
export type ShopSaid = z.infer<typeof schema>;
