import { type Place, placesInWords } from './placeTerms.ts';
import { type Span, spanInWords } from './span.ts';

/** Where and when something holds. */
interface Held extends Span {
  readonly places?: readonly Place[] | undefined;
}

const joined = (texts: readonly (string | false | undefined)[]): string =>
  texts
    .filter(Boolean)
    .map((text) => ` ${text}`)
    .join('');

/** From where and when something is hidden, in words behind “hidden”; empty for everywhere and always. */
export const hiddenInWords = (
  hiding: Held & { readonly whileSoldOut?: boolean | undefined; readonly notIndexed?: boolean | undefined },
): string =>
  joined([
    placesInWords(hiding.places) && `from ${placesInWords(hiding.places)}`,
    spanInWords(hiding),
    hiding.whileSoldOut && 'while it is sold out',
    hiding.notIndexed && 'and from search engines',
  ]);

/** What a house rule does, in words before what it does it to. */
export function doesInWords({
  does,
}: {
  readonly does:
    | { readonly what: 'pull'; readonly pull: number }
    | { readonly what: 'hide' }
    | { readonly what: 'only' };
}): string {
  if (does.what === 'hide') return 'hides';
  if (does.what === 'only') return 'shows only';
  return does.pull >= 1 ? `boosts (strength ×${does.pull})` : `lowers (strength ×${does.pull})`;
}

/** Where and when a house rule holds, in words; empty for everywhere and always. */
export const heldInWords = (rule: Held): string =>
  joined([placesInWords(rule.places) && `in ${placesInWords(rule.places)}`, spanInWords(rule)]);
