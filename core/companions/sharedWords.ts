import { recordAt, sizeOf, spotAt } from '../index/postingArrays.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt } from '../index/spot.ts';

/** Words looked at, and how many places a word may stand in: what stands in more tells nothing, and costs too much. */
const mostWords = 16;
const mostPostings = 20_000;

/** What a family shares with some words. */
export interface Shared {
  /** What the shared words tell of all that the words tell, 0 to 1. */
  readonly share: number;
  /** The shared words, what tells most first. */
  readonly words: readonly string[];
}

/**
 * The families that say some of the words, as they stand, in one of some attributes; a word tells ln(1 + N/n), N records of
 * which n have it. Cost: a step for each place these words stand in, at most 20,000 a word.
 */
export function familiesSharing(
  snapshot: Snapshot,
  words: readonly string[],
  attributes: readonly string[],
): ReadonlyMap<number, Shared> {
  const { terms, postings, recordFamily, records } = snapshot;
  const isRead = new Set(
    attributes.map((key) => snapshot.attributes.findIndex((profile) => profile.key === key)).filter((at) => at >= 0),
  );
  const telling = [...new Set(words)]
    .map((word) => ({ word, term: terms.find(word) }))
    .filter(({ term }) => term >= 0 && sizeOf(postings, term) <= mostPostings)
    .map(({ word, term }) => ({ word, term, tells: Math.log(1 + records / postings.termRecords[term]!) }))
    .sort((a, b) => b.tells - a.tells || (a.word < b.word ? -1 : 1))
    .slice(0, mostWords);
  const all = telling.reduce((sum, { tells }) => sum + tells, 0);
  const found = new Map<number, { told: number; words: string[] }>();
  for (const { word, term, tells } of telling) {
    let last = -1;
    for (let posting = postings.start[term]!; posting < postings.end[term]!; posting++) {
      if (!isRead.has(attributeAt(spotAt(postings, posting)))) continue;
      const family = recordFamily[recordAt(postings, posting)]!;
      // A term's postings stand in order of records, and so a family's do side by side.
      if (family === last) continue;
      last = family;
      const own = found.get(family) ?? { told: 0, words: [] };
      found.set(family, own);
      if (own.words.at(-1) === word) continue;
      own.told += tells;
      own.words.push(word);
    }
  }
  return new Map([...found].map(([family, { told, words: own }]) => [family, { share: told / all, words: own }]));
}
