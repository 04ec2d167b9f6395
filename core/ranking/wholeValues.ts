import { type PostingArrays, rowsWith } from '../index/postingArrays.ts';
import { attributeAt, placeAt, wordsAt } from '../index/spot.ts';
import type { QueryWord } from '../query/understand.ts';
import { kindNumber, wholeOnly } from '../scoring/gains.ts';

/** The postings an expansion stands for: those of its term, or of the places where it stands as several words. */
function* postingsOf(
  { start, end }: PostingArrays,
  { term, phrase }: QueryWord['expansions'][number],
): Generator<number> {
  if (phrase) yield* phrase.postings;
  else for (let posting = start[term]!; posting < end[term]!; posting++) yield posting;
}

/**
 * For attributes that count only where the whole value is found: the postings that hold, since some word of the search
 * stands at every place of their value. A value of one word needs no such look. Cost: a pass over the words' postings;
 * asked for only where such an attribute is searched.
 */
export function wholeValues(
  postings: PostingArrays,
  words: readonly QueryWord[],
  gains: readonly Float64Array[],
): ReadonlySet<number> {
  /** By value (record, attribute, where it begins, how many words it has): the places found, and the postings. */
  const values = new Map<string, { found: number; wanted: number; postings: number[] }>();
  for (const word of words)
    for (const expansion of word.expansions) {
      const gainOf = gains[kindNumber[expansion.how]]!;
      for (const posting of postingsOf(postings, expansion)) {
        const { first, record, spot, positionStart, positions } = rowsWith(postings, posting);
        const own = posting - first;
        const here = spot[own]!;
        if (gainOf[here]! > wholeOnly) continue;
        const size = wordsAt(here);
        const place = placeAt(here);
        for (let at = positionStart[own]!; at < positionStart[own + 1]!; at++) {
          const key = `${record[own]} ${attributeAt(here)} ${positions[at]! - place} ${size}`;
          const value = values.get(key) ?? { found: 0, wanted: 2 ** size - 1, postings: [] };
          value.found |= 1 << place;
          value.postings.push(posting);
          values.set(key, value);
        }
      }
    }
  const whole = new Set<number>();
  for (const { found, wanted, postings: list } of values.values())
    if (found === wanted) for (const posting of list) whole.add(posting);
  return whole;
}
