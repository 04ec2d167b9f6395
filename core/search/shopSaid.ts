import type { ShopSaid } from '../answer/shopSaid.ts';
import { wornLook } from '../look/wornLook.ts';
import { shippedMessages } from '../messages/messages.ts';
import type { Setup } from '../setup/schema.ts';
import { wordingIn } from '../setup/wordingIn.ts';
import type { Language } from '../text/languages.ts';
import type { Engine } from './prepareSetup.ts';
import { shopperLanguage } from './shopperLanguage.ts';

/** What a setup has the shop say of itself to a shopper who chose a language, or none. */
export function saidOf(engine: Engine, setup: Setup, chosen: Language | undefined): ShopSaid {
  const { placeholder, button } = setup.searchBox.shape;
  const language = shopperLanguage(engine, setup, chosen);
  return {
    shop: setup.storefront.shop,
    look: wornLook(setup.look.shop, setup.look.style),
    emptySearch: setup.resultsPage.begin.emptySearch,
    language,
    languages: setup.storefront.languages.list,
    wording: wordingIn(setup, language),
    boxSays: placeholder?.[language] ?? shippedMessages[language]['box.says'],
    boxButton: button?.[language] ?? '',
  };
}
