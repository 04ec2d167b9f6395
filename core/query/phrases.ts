import { perSnapshot } from '../index/perSnapshot.ts';
import { recordAt, spotAt } from '../index/postingArrays.ts';
import { hiddenMark } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt } from '../index/spot.ts';
import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';
import { phrasePostings } from './phrasePostings.ts';
import type { Vocabulary } from './vocabulary.ts';

/** Ways of putting a phrase's forms together that are looked up, at most. */
const mostWays = 16;
/** Postings of a phrase's rarest word that are looked at. */
const mostPostings = 200_000;

/** Phrases of one search, and the records that may be found while they are kept together. */
export interface Together {
  /** By record, 255 where it must not show or does not have the phrases together, else 0. */
  readonly hidden: Uint8Array;
  /** The phrases, as the merchandiser wrote them. */
  readonly phrases: readonly string[];
}

export interface Phrases {
  /** What holds where the phrases among a search's words are kept together; null where there are none. */
  together(tokens: readonly string[], hidden: Uint8Array | null): Together | null;
}

/** Everything the terms of one word may be: the word itself and its forms. */
function formsOf(snapshot: Snapshot, token: string): number[] {
  const exact = snapshot.terms.find(token);
  return [...new Set([...(exact >= 0 ? [exact] : []), ...snapshot.formsOf(token)])];
}

/** Phrases whose postings are kept; a vocabulary may have 500. */
const remembered = perSnapshot<Uint32Array>(2000);

/**
 * The postings of words that stand side by side in any of their forms, or as one word, in whatever attribute. Kept for a
 * catalog, since a setup is bound anew at every edit.
 */
const postingsTogether = (snapshot: Snapshot, tokens: readonly string[]): Uint32Array =>
  remembered(snapshot, tokens.join(' '), () => findTogether(snapshot, tokens));

function findTogether(snapshot: Snapshot, tokens: readonly string[]): Uint32Array {
  const { start, end } = snapshot.postings;
  const found: number[] = [];
  for (const term of formsOf(snapshot, tokens.join('')))
    for (let posting = start[term]!; posting < end[term]!; posting++) found.push(posting);
  if (tokens.length > 1) {
    let ways: number[][] = [[]];
    for (const token of tokens)
      ways = ways.flatMap((way) => formsOf(snapshot, token).map((term) => [...way, term])).slice(0, mostWays);
    for (const way of ways)
      for (const posting of phrasePostings(snapshot.postings, way, mostPostings)) found.push(posting);
  }
  return Uint32Array.from(found);
}

/**
 * Binds a setup's phrases to a catalog: words that are matched together before apart. `isRead` says whether a posting's
 * attribute is searched. The records of a phrase are found when it is first searched for and kept. Cost of a search that
 * has one: a pass over its records, and a byte a record of the catalog.
 */
export function bindPhrases(
  snapshot: Snapshot,
  setup: Setup,
  { sayings }: Pick<Vocabulary, 'sayings'>,
  isRead: (attribute: number) => boolean,
): Phrases {
  const { postings, language } = snapshot;
  const stems = (tokens: readonly string[]): string => tokens.map((token) => stem(token, language)).join(' ');
  const known = new Map<string, { readonly text: string; readonly tokens: readonly string[] }>();
  for (const entry of Object.values(setup.vocabulary))
    if (entry.what === 'phrases')
      for (const text of entry.phrases) {
        const tokens = tokenize(text);
        if (tokens.length > 1 && !known.has(stems(tokens))) known.set(stems(tokens), { text, tokens });
      }
  const longest = Math.max(0, ...[...known.values()].map(({ tokens }) => tokens.length));
  const records = new Map<string, Uint32Array>();

  function sideBySide(tokens: readonly string[], found: Set<number>): void {
    for (const posting of postingsTogether(snapshot, tokens))
      if (isRead(attributeAt(spotAt(postings, posting)))) found.add(recordAt(postings, posting));
  }
  function recordsOf(key: string, tokens: readonly string[]): Uint32Array {
    const already = records.get(key);
    if (already) return already;
    const found = new Set<number>();
    sideBySide(tokens, found);
    // What the phrase means besides is as good as the phrase.
    for (const { tokens: said, meanings } of sayings.get(tokens[0]!) ?? [])
      if (said.join(' ') === tokens.join(' ')) for (const { tokens: meant } of meanings) sideBySide(meant, found);
    const list = Uint32Array.from(found).sort();
    records.set(key, list);
    return list;
  }

  return {
    together(tokens, hidden) {
      if (longest === 0) return null;
      const stemmed = tokens.map((token) => stem(token, language));
      const found: { readonly text: string; readonly records: Uint32Array }[] = [];
      for (let at = 0; at < tokens.length; ) {
        let size = Math.min(longest, tokens.length - at);
        for (; size > 1; size--) {
          const key = stemmed.slice(at, at + size).join(' ');
          const phrase = known.get(key);
          if (!phrase) continue;
          found.push({ text: phrase.text, records: recordsOf(key, phrase.tokens) });
          break;
        }
        at += Math.max(1, size);
      }
      if (found.length === 0) return null;
      const counts = new Uint8Array(snapshot.records);
      for (const { records: list } of found) for (let at = 0; at < list.length; at++) counts[list[at]!]!++;
      const mask = new Uint8Array(snapshot.records).fill(hiddenMark);
      for (const record of found[0]!.records)
        if (counts[record] === found.length) mask[record] = hidden === null ? 0 : hidden[record]!;
      return { hidden: mask, phrases: found.map(({ text }) => text) };
    },
  };
}
