import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import { tokenize } from '../text/tokenize.ts';
import type { WordCounts } from './madeUpSearches.ts';

/** A search for a product that somebody knows, made of its own words. */
export interface KnownItemSearch {
  readonly query: string;
  readonly familyId: string;
}

/** Longest value, in words, of which shoppers know a word by heart. */
const shortValue = 8;
const isWord = (token: string): boolean => token.length > 2 && /\p{L}/u.test(token);

/** Of some texts' words the one that fewest records have, those left out that are taken. */
function mostTelling(
  texts: readonly string[],
  { recordsWith }: Pick<WordCounts, 'recordsWith'>,
  taken: readonly string[],
): string | null {
  const words = [...new Set(texts.flatMap(tokenize))]
    .filter((token) => isWord(token) && !taken.includes(token))
    .map((token) => ({ token, records: recordsWith(token) }))
    .filter(({ records }) => records > 0)
    .sort((a, b) => a.records - b.records);
  return words[0]?.token ?? null;
}

/**
 * Searches for products that somebody knows: of each two, by words of its title, and by one of them with a word of another
 * attribute of short values, each of these in turn. Words are taken by how telling they are, never by how an attribute is
 * weighed. Pure: the same products give the same searches.
 */
export function knownItemSearches(
  products: readonly CatalogRecord[],
  profiles: readonly AttributeProfile[],
  words: Pick<WordCounts, 'recordsWith'>,
): KnownItemSearch[] {
  const others = profiles.filter(
    ({ key, kind, averageWords }) =>
      (kind === 'text' || kind === 'list' || kind === 'path') && key !== 'title' && averageWords <= shortValue,
  );
  return products.flatMap((product, turn) => {
    const { familyId } = product;
    const title = textsOf(heldBy(product, 'title'));
    const first = mostTelling(title, words, []);
    if (first === null) return [];
    const second = mostTelling(title, words, [first]);
    const made: string[] = second === null ? [] : [`${first} ${second}`];
    for (let at = 0; at < others.length; at++) {
      const { key } = others[(turn + at) % others.length]!;
      const word = mostTelling(textsOf(heldBy(product, key)), words, [first]);
      if (word === null) continue;
      // The title's less telling word: with the other one the rest would hardly matter.
      made.push(`${second ?? first} ${word}`);
      break;
    }
    return made.map((query) => ({ query, familyId }));
  });
}
