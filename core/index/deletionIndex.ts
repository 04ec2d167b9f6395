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
  const buckets = bucketsFor(hashes.length);
  const start = new Uint32Array(buckets + 1);
  const entries = hashes.view();
  for (let at = 0; at < entries.length; at++) start[(entries[at]! & (buckets - 1)) + 1]!++;
  for (let bucket = 0; bucket < buckets; bucket++) start[bucket + 1]! += start[bucket]!;
  const next = start.slice();
  const filed = new Uint32Array(entries.length);
  const owner = owners.view();
  for (let at = 0; at < entries.length; at++) filed[next[entries[at]! & (buckets - 1)]!++] = owner[at]!;
  return { 'deletions.start': start, 'deletions.terms': filed };
}

/** How terms were numbered anew: by old number the new one, or `gone`. */
export const gone = 0xffffffff;

interface Filing {
  readonly start: Uint32Array;
  readonly owners: Uint32Array;
  readonly renumbered: Uint32Array;
  /** Buckets that terms are added to, ascending, and which. */
  readonly touched: readonly number[];
  readonly added: ReadonlyMap<number, readonly number[]>;
  /** Where the result is written. */
  readonly starts: Uint32Array;
  readonly kept: Uint32Array;
}

/** Files terms where none falls out: what stands between two buckets that change is numbered anew in one run. */
function insertFiled({ start, owners, renumbered, touched, added, starts, kept }: Filing): void {
  let bucket = 0;
  let at = 0;
  let moved = 0;
  const moveTo = (lastBucket: number): void => {
    for (; bucket <= lastBucket; bucket++) starts[bucket] = start[bucket]! + moved;
    const end = start[lastBucket]!;
    for (; at < end; at++) kept[at + moved] = renumbered[owners[at]!]!;
  };
  for (const own of touched) {
    moveTo(own);
    const from = at + moved;
    const end = start[own + 1]!;
    for (; at < end; at++) kept[at + moved] = renumbered[owners[at]!]!;
    for (const term of added.get(own)!) kept[at + moved++] = term;
    kept.subarray(from, at + moved).sort();
  }
  moveTo(start.length - 1);
}

/**
 * The sections with the terms numbered anew, some no longer filed and some filed for the first time (by new number),
 * as a fresh build has them; null where there are now so many entries that the buckets must be laid out anew.
 */
export function patchDeletions(
  sections: Sections,
  renumbered: Uint32Array,
  unfiled: ReadonlySet<number>,
  filed: ReadonlyMap<number, string>,
): Record<string, SectionArray> | null {
  const start = sections.u32('deletions.start');
  const owners = sections.u32('deletions.terms');
  const buckets = start.length - 1;
  const added = new Map<number, number[]>();
  let more = 0;
  for (const [term, text] of filed) {
    if (!isCorrectable(text)) continue;
    for (const left of deletions(text, filedEdits(text.length))) {
      const bucket = left & (buckets - 1);
      const known = added.get(bucket);
      if (known) known.push(term);
      else added.set(bucket, [term]);
      more++;
    }
  }
  const kept = new Uint32Array(owners.length + more);
  const starts = new Uint32Array(buckets + 1);
  const touched = [...added.keys()].sort((a, b) => a - b);
  const drops = unfiled.size > 0;
  if (!drops && !renumbered.includes(gone)) {
    if (bucketsFor(kept.length) !== buckets) return null;
    insertFiled({ start, owners, renumbered, touched, added, starts, kept });
    return { 'deletions.start': starts, 'deletions.terms': kept };
  }
  let next = 0;
  let turn = 0;
  for (let bucket = 0; bucket < buckets; bucket++) {
    const from = next;
    for (let at = start[bucket]!; at < start[bucket + 1]!; at++) {
      const term = renumbered[owners[at]!]!;
      if (term !== gone && !(drops && unfiled.has(term))) kept[next++] = term;
    }
    if (touched[turn] === bucket) {
      for (const term of added.get(bucket)!) kept[next++] = term;
      kept.subarray(from, next).sort();
      turn++;
    }
    starts[bucket + 1] = next;
  }
  return bucketsFor(next) === buckets ? { 'deletions.start': starts, 'deletions.terms': kept.slice(0, next) } : null;
}

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
  const start = sections.u32('deletions.start');
  const filed = sections.u32('deletions.terms');
  const mask = start.length - 2;
  return {
    words() {
      const known = new Uint8Array(terms.length);
      let count = 0;
      for (let at = 0; at < filed.length; at++)
        if (known[filed[at]!] === 0) {
          known[filed[at]!] = 1;
          count++;
        }
      return count;
    },
    near(word, limit) {
      if (limit === 0 || !isCorrectable(word)) return [];
      const seen = new Set<number>();
      const found: NearTerm[] = [];
      for (const left of deletions(word, limit)) {
        const bucket = left & mask;
        for (let at = start[bucket]!; at < start[bucket + 1]!; at++) {
          const term = filed[at]!;
          if (seen.has(term)) continue;
          seen.add(term);
          if (Math.abs(terms.lengthOf(term) - word.length) > limit) continue;
          const edits = editDistance(word, terms.get(term), limit);
          if (edits > 0 && edits <= limit) found.push({ term, edits });
        }
      }
      return found;
    },
  };
}
