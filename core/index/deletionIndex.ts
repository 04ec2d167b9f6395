import { editDistance } from '../text/editDistance.ts';
import { isNumberLike } from '../text/tokenize.ts';
import { GrowingArray } from './growingArray.ts';
import type { SectionArray, Sections } from './sections.ts';
import type { StringTable } from './stringTable.ts';

/**
 * Finds the terms near a misspelt word. Two words at most k edits apart share a text left after at most k deletions
 * from each (Mor and Fraenkel 1982), so every term is filed under its own deletions and a word is looked up under its.
 *
 * Owns two parallel sections: `deletions.start` (buckets + 1 offsets) and `deletions.terms` (term numbers). A bucket
 * is a hash of the deleted text; collisions are harmless since every candidate's true distance is measured.
 * Only the first `filedLetters` letters of a word are deleted from, which bounds the entries to 29 a term.
 */
const filedLetters = 7;

const never = -1;

/** Hash of a word's first letters without the letters at two places (`never` for none): FNV-1a over UTF-16 units. */
function hashWithout(word: string, length: number, first: number, second: number): number {
  let value = 0x811c9dc5;
  for (let at = 0; at < length; at++)
    if (at !== first && at !== second) value = Math.imul(value ^ word.charCodeAt(at), 0x01000193);
  value ^= value >>> 15;
  return value >>> 0;
}

/**
 * The hashes of a word's first letters and of all that is left of them after up to `edits` deletions, each once. Texts
 * that happen to have one hash are filed once: what is found in a bucket is measured anyway.
 */
function deletions(word: string, edits: number): number[] {
  const length = Math.min(word.length, filedLetters);
  const found = [hashWithout(word, length, never, never)];
  const add = (hash: number): void => {
    if (!found.includes(hash)) found.push(hash);
  };
  for (let first = 0; edits > 0 && first < length; first++) {
    add(hashWithout(word, length, first, never));
    for (let second = first + 1; edits > 1 && second < length; second++) add(hashWithout(word, length, first, second));
  }
  return found;
}

/** A term is filed with as many deletions as any word it may correct: one with two edits has at least seven letters. */
const filedEdits = (length: number): number => (length >= 5 ? 2 : 1);

const isCorrectable = (word: string): boolean => word.length >= 3 && !isNumberLike(word);

/** The least power of two that so many entries fit in, one each. */
function bucketsFor(entries: number): number {
  let buckets = 1;
  while (buckets < entries) buckets *= 2;
  return buckets;
}

/** Builds the sections. `eligible` leaves out terms that stand in code attributes only. */
export function packDeletions(terms: readonly string[], eligible: Uint8Array): Record<string, SectionArray> {
  const hashes = new GrowingArray();
  const owners = new GrowingArray();
  for (let term = 0; term < terms.length; term++) {
    const text = terms[term]!;
    if (!eligible[term] || !isCorrectable(text)) continue;
    for (const left of deletions(text, filedEdits(text.length))) {
      hashes.push(left);
      owners.push(term);
    }
  }
  const { start, terms: filed } = laidByBucket(hashes.view(), owners.view());
  return { 'deletions.start': start, 'deletions.terms': filed };
}

/** Stands in the place of a term's number where it is not there any more. */
export const gone = 0xffffffff;

/**
 * What patches change, without a copy of what is filed: `deletions.now` says by the number a term had when they were laid
 * its number now, or `gone` where it is not filed any more (empty: all are what they were). Terms that were filed since
 * stand in a table of their own of the same kind, with the hashes beside the terms: `late.start`, `late.terms`, `late.hashes`.
 */
interface Layered {
  readonly start: Uint32Array;
  readonly filed: Uint32Array;
  readonly now: Uint32Array | null;
  readonly late: { readonly start: Uint32Array; readonly terms: Uint32Array; readonly hashes: Uint32Array } | null;
}

function layered(sections: Sections): Layered {
  const isPatched = sections.has('deletions.now') && sections.u32('deletions.now').length > 0;
  return {
    start: sections.u32('deletions.start'),
    filed: sections.u32('deletions.terms'),
    now: isPatched ? sections.u32('deletions.now') : null,
    late: isPatched
      ? { start: sections.u32('late.start'), terms: sections.u32('late.terms'), hashes: sections.u32('late.hashes') }
      : null,
  };
}

/** Lays entries out by their buckets; within one they stand in the order they have here. Cost: two passes over them. */
function laidByBucket(
  hashes: Uint32Array,
  owners: Uint32Array,
): { readonly start: Uint32Array; readonly terms: Uint32Array } {
  const buckets = bucketsFor(hashes.length);
  const mask = buckets - 1;
  const start = new Uint32Array(buckets + 1);
  for (let at = 0; at < hashes.length; at++) start[(hashes[at]! & mask) + 1]!++;
  for (let bucket = 0; bucket < buckets; bucket++) start[bucket + 1]! += start[bucket]!;
  const next = start.slice();
  const terms = new Uint32Array(hashes.length);
  for (let at = 0; at < hashes.length; at++) terms[next[hashes[at]! & mask]!++] = owners[at]!;
  return { start, terms };
}

/**
 * The sections with the terms numbered anew (by number the new one, or `gone`), some no longer filed and some filed for
 * the first time (both by new number). Cost: a pass over the terms, and over what was filed since they were laid.
 */
export function patchDeletions(
  sections: Sections,
  renumbered: Uint32Array,
  unfiled: ReadonlySet<number>,
  filed: ReadonlyMap<number, string>,
): Record<string, SectionArray> {
  const { now: before, late } = layered(sections);
  const drops = unfiled.size > 0;
  const numberNow = (old: number): number => {
    const term = old === gone ? gone : renumbered[old]!;
    return drops && unfiled.has(term) ? gone : term;
  };
  const now = new Uint32Array(before ? before.length : renumbered.length);
  for (let laid = 0; laid < now.length; laid++) now[laid] = numberNow(before ? before[laid]! : laid);
  const hashes = new GrowingArray();
  const owners = new GrowingArray();
  const file = (hash: number, term: number): void => {
    hashes.push(hash);
    owners.push(term);
  };
  for (let at = 0; late && at < late.terms.length; at++) {
    const term = numberNow(late.terms[at]!);
    if (term !== gone) file(late.hashes[at]!, term);
  }
  for (const [term, text] of filed)
    if (isCorrectable(text)) for (const left of deletions(text, filedEdits(text.length))) file(left, term);
  const { start, terms } = laidByBucket(hashes.view(), owners.view());
  const inOrder = laidByBucket(hashes.view(), hashes.view()).terms;
  return { 'deletions.now': now, 'late.start': start, 'late.terms': terms, 'late.hashes': inOrder };
}

/**
 * The sections as a fresh build has them, with nothing of a patch's own. Cost: a copy of what is filed; a build of all
 * from the words where their number has passed a power of two.
 */
export function relayDeletions(sections: Sections, terms: StringTable): Record<string, SectionArray> {
  const { start, filed, now, late } = layered(sections);
  if (!now || !late) return {};
  const nothing = { 'deletions.now': new Uint32Array(0) };
  const lateStays = Object.fromEntries(
    ['late.start', 'late.terms', 'late.hashes'].map((name) => [name, new Uint32Array(0)]),
  );
  const buckets = start.length - 1;
  const mask = buckets - 1;
  const counts = new Uint32Array(buckets + 1);
  let total = late.terms.length;
  for (let bucket = 0; bucket < buckets; bucket++)
    for (let at = start[bucket]!; at < start[bucket + 1]!; at++)
      if (now[filed[at]!] !== gone) {
        counts[bucket + 1]!++;
        total++;
      }
  if (bucketsFor(total) !== buckets) {
    const eligible = new Uint8Array(terms.length);
    for (const term of now) if (term !== gone) eligible[term] = 1;
    for (const term of late.terms) eligible[term] = 1;
    return { ...packDeletions(allTexts(terms), eligible), ...nothing, ...lateStays };
  }
  for (const hash of late.hashes) counts[(hash & mask) + 1]!++;
  for (let bucket = 0; bucket < buckets; bucket++) counts[bucket + 1]! += counts[bucket]!;
  const next = counts.slice();
  const laid = new Uint32Array(total);
  for (let bucket = 0; bucket < buckets; bucket++)
    for (let at = start[bucket]!; at < start[bucket + 1]!; at++) {
      const term = now[filed[at]!]!;
      if (term !== gone) laid[next[bucket]!++] = term;
    }
  for (let at = 0; at < late.terms.length; at++) laid[next[late.hashes[at]! & mask]!++] = late.terms[at]!;
  for (let bucket = 0; bucket < buckets; bucket++)
    if (counts[bucket + 1]! - counts[bucket]! > 1) laid.subarray(counts[bucket], counts[bucket + 1]).sort();
  return { 'deletions.start': counts, 'deletions.terms': laid, ...nothing, ...lateStays };
}
const allTexts = (terms: StringTable): string[] => Array.from({ length: terms.length }, (_, term) => terms.get(term));

export interface NearTerm {
  readonly term: number;
  /** 1 or 2. */
  readonly edits: number;
}

export interface DeletionIndex {
  /** How many terms may be found as corrections at all. Cost: a pass over what is filed. */
  words(): number;
  /** The terms within so many edits, not the word itself; in no particular order. Two are looked for from five letters on. */
  near(word: string, limit: number): NearTerm[];
}

export function openDeletions(sections: Sections, terms: StringTable): DeletionIndex {
  const { start, filed, now, late } = layered(sections);
  const mask = start.length - 2;
  const lateMask = late ? late.start.length - 2 : 0;
  return {
    words() {
      const known = new Uint8Array(terms.length);
      let count = 0;
      const see = (term: number): void => {
        if (term === gone || known[term] === 1) return;
        known[term] = 1;
        count++;
      };
      for (let at = 0; at < filed.length; at++) see(now ? now[filed[at]!]! : filed[at]!);
      if (late) for (let at = 0; at < late.terms.length; at++) see(late.terms[at]!);
      return count;
    },
    near(word, limit) {
      if (limit === 0 || !isCorrectable(word)) return [];
      const seen = new Set<number>([gone]);
      const found: NearTerm[] = [];
      const measure = (term: number): void => {
        if (seen.has(term)) return;
        seen.add(term);
        if (Math.abs(terms.lengthOf(term) - word.length) > limit) return;
        const edits = editDistance(word, terms.get(term), limit);
        if (edits > 0 && edits <= limit) found.push({ term, edits });
      };
      for (const left of deletions(word, limit)) {
        const bucket = left & mask;
        for (let at = start[bucket]!; at < start[bucket + 1]!; at++) measure(now ? now[filed[at]!]! : filed[at]!);
        if (!late) continue;
        const lateBucket = left & lateMask;
        for (let at = late.start[lateBucket]!; at < late.start[lateBucket + 1]!; at++) measure(late.terms[at]!);
      }
      return found;
    },
  };
}
