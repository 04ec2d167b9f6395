import { useMemo } from 'react';
import type { ShopSaid } from '../../core/answer/shopSaid.ts';
import type { Language } from '../../core/text/languages.ts';
import { english, type Texts, textsIn } from '../look/texts.tsx';

/** Languages that are written from the right. */
const fromTheRight: ReadonlySet<string> = new Set(['ar', 'fa', 'he', 'ur']);
export const directionOf = (language: Language): 'rtl' | 'ltr' => (fromTheRight.has(language) ? 'rtl' : 'ltr');

/** The texts of the shop in the language it answers in; English until it does. */
export function useShopTexts(said: ShopSaid | null): Texts {
  const own = JSON.stringify(said?.wording ?? {});
  const { language, shop } = said ?? {};
  const country = shop?.country;
  return useMemo(
    () => (language ? textsIn(language, country, JSON.parse(own) as Record<string, string>) : english),
    [language, country, own],
  );
}
