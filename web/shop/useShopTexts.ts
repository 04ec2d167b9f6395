import { useEffect, useMemo, useState } from 'react';
import type { ShopSaid } from '../../core/answer/shopSaid.ts';
import type { Language } from '../../core/text/languages.ts';
import { shippedTexts } from '../look/shippedTexts.ts';
import { english, type Texts, textsIn } from '../look/texts.tsx';

/** Languages that are written from the right. */
const fromTheRight: ReadonlySet<string> = new Set(['ar', 'fa', 'he', 'ur']);
export const directionOf = (language: Language): 'rtl' | 'ltr' => (fromTheRight.has(language) ? 'rtl' : 'ltr');

/** The texts of the shop in the language it answers in; English until it does. */
export function useShopTexts(said: ShopSaid | null): Texts {
  const own = JSON.stringify(said?.wording ?? {});
  const { language, shop } = said ?? {};
  const country = shop?.country;
  const hasOwn = own !== '{}';
  const isThere = (): boolean =>
    language !== undefined && shippedTexts.now(language) !== null && (!hasOwn || shippedTexts.readsOwn());
  const [, setLoaded] = useState(0);
  const isReady = isThere();
  useEffect(() => {
    if (language && !isReady)
      void shippedTexts
        .load(language, hasOwn)
        // What does not come leaves the texts that are there.
        .catch(() => {})
        .then(() => setLoaded((before) => before + 1));
  }, [language, isReady, hasOwn]);
  return useMemo(
    () => (language && isReady ? textsIn(language, country, JSON.parse(own) as Record<string, string>) : english),
    [language, country, own, isReady],
  );
}
