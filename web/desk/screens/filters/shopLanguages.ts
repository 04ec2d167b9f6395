import type { Language } from '../../../../core/text/languages.ts';

/**
 * The languages shoppers may choose from after one was ticked or unticked: the catalog's own stays the first, whatever is
 * ticked, and without another one there is nothing to choose.
 */
export function withLanguage(list: readonly Language[], own: Language, ticked: Language): Language[] {
  if (ticked === own) return [...list];
  const others = list.filter((each) => each !== own);
  const next = others.includes(ticked) ? others.filter((each) => each !== ticked) : [...others, ticked];
  return next.length === 0 ? [] : [own, ...next];
}
