import type { Why } from '../../../../core/answer/why.ts';

/** A word must count so many times as much as another one before the difference is worth telling. */
const notableRatio = 1.2;

/**
 * Which word of a search counts most because it is rare in this catalog, against the one that counts least; null where
 * there is one word, or they count much the same.
 */
export function rarityText(words: readonly Pick<Why['words'][number], 'word' | 'share'>[]): string | null {
  const byShare = [...words].sort((a, b) => b.share - a.share);
  const [most, least] = [byShare[0], byShare.at(-1)];
  if (!most || !least || most === least || most.share < least.share * notableRatio) return null;
  return `“${most.word}” is rarer in your catalog than “${least.word}”, so it counts more.`;
}
