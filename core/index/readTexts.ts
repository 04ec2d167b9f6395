import { longestIndexed } from '../catalog/limits.ts';
import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { type CatalogRecord, heldBy, textsOf } from '../catalog/record.ts';
import { normalizeCode, type ReadWords, readWords } from '../text/tokenize.ts';
import { lastPosition } from './gatheredTexts.ts';
import { valueGap } from './postings.ts';
import { standOf } from './spot.ts';

/** The texts of one attribute of a record that the index reads: of a path only its last level, which holds the others. */
export function indexedTexts(profile: AttributeProfile, record: CatalogRecord): readonly string[] {
  if (profile.key === 'sku') return record.sku ? [record.sku] : [];
  const texts = textsOf(heldBy(record, profile.key));
  return profile.kind === 'path' ? texts.slice(-1) : texts;
}

/** The words of one text: a code is one word, whatever stands between its letters. */
export function wordsIn(profile: AttributeProfile, text: string): ReadWords {
  if (profile.kind === 'code') return { tokens: [normalizeCode(text)].filter(Boolean), quantities: [] };
  return readWords(text.length > longestIndexed ? text.slice(0, longestIndexed) : text);
}

/** How one token stands in one attribute of a record: all its positions, ascending, and its standing (`standOf`). */
export interface Occurrences {
  readonly positions: readonly number[];
  readonly stand: number;
}

/** How every token of one attribute of a record stands, as the builder files it: for patching. */
export function occurrencesIn(profile: AttributeProfile, record: CatalogRecord): Map<string, Occurrences> {
  const occurrences = new Map<string, { positions: number[]; stand: number }>();
  const stand = (token: string, at: number, how: number): void => {
    const known = occurrences.get(token);
    const position = Math.min(at, lastPosition);
    if (!known) occurrences.set(token, { positions: [position], stand: how });
    else {
      known.positions.push(position);
      known.stand = Math.min(known.stand, how);
    }
  };
  let position = 0;
  for (const text of indexedTexts(profile, record)) {
    const { tokens, quantities } = wordsIn(profile, text);
    for (let at = 0; at < tokens.length; at++) stand(tokens[at]!, position + at, standOf(tokens.length, at));
    for (const { token, at } of quantities) stand(token, position + at, standOf(tokens.length, at));
    position += tokens.length + valueGap;
  }
  return occurrences;
}
