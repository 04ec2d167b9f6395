import type { NearSource } from '../query/nearTexts.ts';
import { tokenize } from '../text/tokenize.ts';
import type { Lexicon } from './lexicon.ts';
import { fewestVisits, leastShare, type Retry } from './proposeWords.ts';

/** What log, catalog and dictionary say about words that the catalog does not have. */
export interface NearEvidence {
  readonly retries: readonly Retry[];
  /** Searches after which products were opened, and how often each was. */
  readonly opened: readonly { readonly search: string; readonly products: ReadonlyMap<string, number> }[];
  readonly lexicon: Lexicon | null;
  /** Words that products are called by, the commonest first. */
  readonly names: readonly string[];
  /** Whether the catalog knows a word, in any form; and whether one it does not know is close to one it does. */
  isKnown(word: string): boolean;
  isMisspelt(word: string): boolean;
  stem(word: string): string;
}

/** What is near to some words, by the stems of these words one space apart; the nearest first. */
export type NearList = Readonly<Record<string, readonly (readonly [text: string, from: NearSource])[]>>;

/** What is kept for one text, texts kept in all, and names that are looked up in the dictionary. */
const mostForOne = 4;
const mostTexts = 20_000;
const mostNames = 400;
const mostSenses = 3;
/** Two searches are near where shoppers opened the same products so much, by the cosine of how often each was opened. */
const leastAlike = 0.4;
/** Products of one search, and searches of one product, that are looked at. */
const mostOpened = 50;

export const nearKey = (words: string, stem: (word: string) => string): string => tokenize(words).map(stem).join(' ');

/** How far what a dictionary says is from what was meant: the same, a kind of it, what it is a kind of, another kind of that. */
const distances = { same: 2, narrower: 3, broader: 4, sister: 5 };

/**
 * What is near in meaning to texts that have a word the catalog does not know: what shoppers tried next, what they opened the
 * same products with, and how a dictionary relates words to what the catalog's products are called by. Cost: a look up of a
 * few hundred names, and a pass over the searches that led somewhere.
 */
export function nearTextsIn({ retries, opened, lexicon, names, isKnown, isMisspelt, stem }: NearEvidence): NearList {
  const found = new Map<string, { readonly text: string; readonly from: NearSource; readonly far: number }[]>();
  const isUnknown = (text: string): boolean => tokenize(text).some((word) => !isKnown(word));
  const areKnown = (text: string): boolean => tokenize(text).length > 0 && !isUnknown(text);
  const note = (text: string, near: string, from: NearSource, far: number): void => {
    const key = nearKey(text, stem);
    if (key === '' || !isUnknown(text) || key === nearKey(near, stem)) return;
    const own = found.get(key) ?? [];
    found.set(key, own);
    if (!own.some((each) => each.text === near)) own.push({ text: near, from, far });
  };

  for (const { from, to, sessions, of } of retries)
    if (sessions >= Math.max(fewestVisits, of * leastShare) && areKnown(to)) note(from, to, 'tried', 1 - sessions / of);

  const byProduct = new Map<string, { readonly at: number; readonly times: number }[]>();
  const lengths = opened.map(({ products }) => Math.hypot(...products.values()));
  for (const [at, { search, products }] of opened.entries())
    if (areKnown(search))
      for (const [product, times] of products)
        byProduct.set(product, [...(byProduct.get(product) ?? []), { at, times }].slice(0, mostOpened));
  for (const [at, { search, products }] of opened.entries()) {
    // What is only misspelt is left to spelling, where it can be switched off.
    if (!tokenize(search).some((word) => !isKnown(word) && !isMisspelt(word))) continue;
    const shared = new Map<number, number>();
    for (const [product, times] of [...products].slice(0, mostOpened))
      for (const other of byProduct.get(product) ?? [])
        shared.set(other.at, (shared.get(other.at) ?? 0) + times * other.times);
    for (const [other, product] of shared) {
      const alike = product / (lengths[at]! * lengths[other]!);
      if (alike >= leastAlike) note(search, opened[other]!.search, 'opened', 2 - alike);
    }
  }

  // Among as near ones the commoner name comes first, being noted first.
  for (const name of lexicon ? names.slice(0, mostNames) : [])
    for (const { same, broader, narrower, isThing } of lexicon!.senses(name).slice(0, mostSenses)) {
      if (!isThing) continue;
      for (const word of same) note(word, name, 'dictionary', distances.same);
      for (const word of narrower) note(word, name, 'dictionary', distances.narrower);
      for (const word of broader) {
        note(word, name, 'dictionary', distances.broader);
        const kinds = lexicon!.senses(word).find((sense) => sense.isThing && sense.narrower.includes(name));
        for (const kind of kinds?.narrower ?? []) note(kind, name, 'dictionary', distances.sister);
      }
    }

  const nearest = [...found].map(([key, own]) => ({
    key,
    own: own.sort((a, b) => a.far - b.far).slice(0, mostForOne),
  }));
  nearest.sort((a, b) => a.own[0]!.far - b.own[0]!.far || (a.key < b.key ? -1 : 1));
  return Object.fromEntries(
    nearest.slice(0, mostTexts).map(({ key, own }) => [key, own.map(({ text, from }) => [text, from] as const)]),
  );
}
