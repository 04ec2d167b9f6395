import type { FoundLine, Why } from '../answer/why.ts';
import { own } from '../base/named.ts';
import { rowsWith, spotAt } from '../index/postingArrays.ts';
import { positionsLookedAt } from '../index/postings.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { attributeAt, placeAt, wordsAt } from '../index/spot.ts';
import type { QueryWord } from '../query/understand.ts';
import { alsoLine, bestLine, closenessLine, gapBetween, pairPoints, wholeLine } from '../scoring/formula.ts';
import { type Gains, gainParts, kindNumber, notFound, wholeOnly } from '../scoring/gains.ts';
import type { Setup } from '../setup/schema.ts';
import { readableToken } from '../text/quantity.ts';
import { pointsByWord } from './matcher.ts';
import { wholeValues } from './wholeValues.ts';

type WordLines = Why['words'][number];
export type MatchLines = Pick<Why, 'words' | 'closeness' | 'whole' | 'matchScore'>;

interface Find {
  readonly attribute: number;
  readonly posting: number;
  readonly gain: number;
  readonly found: string;
  readonly how: FoundLine['how'];
}

/** The postings [from, to) of one term in one record, by bisection. */
function postingsIn(snapshot: Snapshot, term: number, record: number): readonly [number, number] {
  const { start, end: ends } = snapshot.postings;
  const { first, record: records } = rowsWith(snapshot.postings, start[term]!);
  const last = ends[term]! - first;
  let low = start[term]! - first;
  let high = last;
  while (low < high) {
    const middle = (low + high) >>> 1;
    if (records[middle]! < record) low = middle + 1;
    else high = middle;
  }
  let end = low;
  while (end < last && records[end] === record) end++;
  return [low + first, end + first];
}

/** The best find in each attribute, best first: by gain, then by attribute, as the matcher has it. */
function findsOf(
  snapshot: Snapshot,
  word: QueryWord,
  record: number,
  table: readonly Float64Array[],
  whole: ReadonlySet<number>,
): Find[] {
  const best = new Map<number, Find>();
  for (const { term, how, phrase } of word.expansions) {
    const [from, to] = postingsIn(snapshot, term, record);
    for (let posting = from; posting < to; posting++) {
      if (phrase && !phrase.postings.includes(posting)) continue;
      const spot = spotAt(snapshot.postings, posting);
      const attribute = attributeAt(spot);
      const entry = table[kindNumber[how]]![spot]!;
      const gain = entry <= wholeOnly ? (whole.has(posting) ? wholeOnly - entry : notFound) : entry;
      if (gain === notFound || gain <= (best.get(attribute)?.gain ?? notFound)) continue;
      const found = phrase ? phrase.text : readableToken(snapshot.terms.get(term));
      best.set(attribute, { attribute, posting, gain, found, how });
    }
  }
  return [...best.values()].sort((a, b) => b.gain - a.gain || a.attribute - b.attribute);
}

function positionsOf(snapshot: Snapshot, posting: number): number[] {
  const { first, positionStart, positions } = rowsWith(snapshot.postings, posting);
  const [from, to] = [positionStart[posting - first], positionStart[posting - first + 1]];
  return Array.from(positions.subarray(from, to)).slice(0, positionsLookedAt);
}

/** How much of a value the search says, in the attribute where that gives most. */
function wholeOf(snapshot: Snapshot, bests: readonly Find[]): NonNullable<Why['whole']> {
  const all = bests.map(({ attribute, posting }) => {
    const there = bests.filter((other) => other.attribute === attribute);
    const words = wordsAt(spotAt(snapshot.postings, posting));
    const points = wholeLine(Math.min(...there.map(({ gain }) => gain)), there.length, words);
    const { key, label } = snapshot.attributes[attribute]!;
    return { attribute: key, label, found: Math.min(there.length, words), words, points };
  });
  return all.reduce((most, each) => (each.points > most.points ? each : most));
}

/**
 * The lines of one record's score, which sum to it exactly; null where the record does not have all the words.
 * Written apart from the matcher's loop and held to it by a property test.
 */
export function explainMatch(
  snapshot: Snapshot,
  setup: Setup,
  gains: Gains,
  words: readonly QueryWord[],
  record: number,
): MatchLines | null {
  const points = pointsByWord(words);
  const table = gains.table(words.length);
  const held = gains.hasWhole ? wholeValues(snapshot.postings, words, table) : new Set<number>();
  const finds = words.map((word) => findsOf(snapshot, word, record, table, held));
  if (words.length === 0 || finds.some((list) => list.length === 0)) return null;
  const line = (find: Find, given: number): FoundLine => {
    const { key, label } = snapshot.attributes[find.attribute]!;
    const setting = own(setup.attributes, key);
    const spot = spotAt(snapshot.postings, find.posting);
    const parts = gainParts(setting, gains.heaviest, find.how, spot, words.length);
    return {
      attribute: key,
      label,
      term: find.found,
      how: find.how,
      weight: find.how === 'value' || !setting ? gains.heaviest : setting.weight,
      parts: { weight: parts.weight, quality: parts.quality, length: parts.length, place: parts.place },
      words: wordsAt(spot),
      before: placeAt(spot),
      gain: find.gain,
      points: given,
    };
  };
  const lines = finds.map(([best, second], index): WordLines => {
    const share = points[index]!;
    return {
      word: words[index]!.text,
      share: Math.round(share),
      best: line(best!, bestLine(share, best!.gain)),
      also: second ? line(second, alsoLine(share, best!.gain, second.gain)) : null,
    };
  });
  const closeness: Why['closeness'] = [];
  for (let pair = 0; pair + 1 < words.length; pair++) {
    const first = finds[pair]![0]!;
    const other = finds[pair + 1]![0]!;
    if (first.attribute !== other.attribute) continue;
    const others = positionsOf(snapshot, other.posting);
    const gap = Math.min(...positionsOf(snapshot, first.posting).flatMap((a) => others.map((b) => gapBetween(a, b))));
    const given = closenessLine(pairPoints(words.length), first.gain, other.gain, gap);
    closeness.push({ words: [words[pair]!.text, words[pair + 1]!.text], gap, points: given });
  }
  const whole = wholeOf(
    snapshot,
    finds.map(([best]) => best!),
  );
  const sum = (list: readonly { points: number }[]): number => list.reduce((total, item) => total + item.points, 0);
  const matchScore =
    sum(lines.map(({ best }) => best)) +
    sum(lines.flatMap(({ also }) => (also ? [also] : []))) +
    sum(closeness) +
    whole.points;
  return { words: lines, closeness, whole, matchScore };
}
