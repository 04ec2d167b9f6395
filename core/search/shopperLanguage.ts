import type { Setup } from '../setup/schema.ts';
import type { Language } from '../text/languages.ts';
import type { Engine } from './prepareSetup.ts';

/** The language a shopper reads the shop in: the one chosen, or else the shop's first, or the catalog's own. */
export const shopperLanguage = ({ snapshot }: Engine, setup: Setup, chosen: Language | undefined): Language =>
  chosen ?? setup.storefront.languages.list[0] ?? snapshot.language;
