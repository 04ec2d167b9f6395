import { useEffect, useMemo } from 'react';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import { english, type Texts, textsIn } from '../look/texts.tsx';

/** Languages that are written from the right. */
const fromTheRight = new Set(['ar', 'fa', 'he', 'ur']);

/** The texts of the shop in the language its results are answered in, which the page is then in; English until they come. */
export function useShopTexts(answer: Pick<SearchAnswer, 'language' | 'wording' | 'shop'> | undefined): Texts {
  const own = JSON.stringify(answer?.wording ?? {});
  const { language, shop } = answer ?? {};
  const country = shop?.country;
  useEffect(() => {
    if (!language) return;
    document.documentElement.lang = language;
    document.documentElement.dir = fromTheRight.has(language) ? 'rtl' : 'ltr';
  }, [language]);
  return useMemo(
    () => (language ? textsIn(language, country, JSON.parse(own) as Record<string, string>) : english),
    [language, country, own],
  );
}
