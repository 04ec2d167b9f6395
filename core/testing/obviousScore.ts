import { positionsLookedAt } from '../index/postings.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  pairPoints,
  wholeLine,
  wordPoints,
} from '../scoring/formula.ts';
import type { ObviousCatalog, Occurrences, ReadRecord } from './obviousCatalog.ts';
import type { Way, Word } from './obviousExpansion.ts';

interface Find {
  readonly attribute: number;
  readonly gain: number;
  readonly occurrences: Occurrences;
  readonly token: string;
}

/** Scores one record after another; null where it lacks a word. */
export function scorer({ attributes, setup, isFound, gainOf, phraseIn }: ObviousCatalog) {
  /** How one way of a word stands in a record, by attribute in which it is found so. */
  const occurrencesOf = (read: ReadRecord, { token, how, phrase, ofValue }: Way): [number, Occurrences][] => {
    if (phrase) return [...phraseIn(read, phrase, how)];
    if (ofValue) {
      const occurrences = read.texts[ofValue.attribute]!.get(token);
      return occurrences && ofValue.has(read.record) ? [[ofValue.attribute, occurrences]] : [];
    }
    return [...read.texts.entries()].flatMap(([attribute, byToken]): [number, Occurrences][] => {
      const occurrences = byToken.get(token);
      return occurrences && isFound(attribute, how) ? [[attribute, occurrences]] : [];
    });
  };
  /**
   * Whether a find holds in an attribute that counts only where its whole value is found: the value is that one word,
   * or some word of the search stands at each of its places.
   */
  const isHeld = (read: ReadRecord, words: readonly Word[], attribute: number, occurrences: Occurrences): boolean => {
    const { words: size, before, positions } = occurrences;
    if (!setup.attributes[attributes[attribute]!.key]?.whole || size === 1) return true;
    if (size > words.length || size > 8) return false;
    const others = words.flatMap((word) =>
      word.ways
        .filter(({ ofValue }) => !ofValue)
        .flatMap((way) => occurrencesOf(read, way).filter(([own]) => own === attribute)),
    );
    return positions.some((at) =>
      Array.from({ length: size }, (_, place) => place).every((place) =>
        others.some(
          ([, other]) =>
            other.words === size && other.before === place && other.positions.includes(at - before + place),
        ),
      ),
    );
  };
  const finds = (read: ReadRecord, word: Word, words: readonly Word[]): Find[] => {
    const best = new Map<number, Find>();
    for (const way of word.ways)
      for (const [attribute, occurrences] of occurrencesOf(read, way)) {
        if (!way.ofValue && !isHeld(read, words, attribute, occurrences)) continue;
        const gain = way.ofValue ? 1 : gainOf(attribute, way.how, occurrences, words.length);
        if (gain > (best.get(attribute)?.gain ?? -1))
          best.set(attribute, { attribute, gain, occurrences, token: way.token });
      }
    return [...best.values()].sort((a, b) => b.gain - a.gain || a.attribute - b.attribute);
  };
  const scoreOf = (read: ReadRecord, words: readonly Word[]): number | null => {
    const rarities = words.reduce((sum, word) => sum + word.rarity, 0);
    const lists = words.map((word) => finds(read, word, words));
    if (lists.some((list) => list.length === 0)) return null;
    let score = 0;
    for (const [index, [best, second]] of lists.entries()) {
      const points = (wordPoints(words.length) * words[index]!.rarity) / rarities;
      score += bestLine(points, best!.gain) + (second ? alsoLine(points, best!.gain, second.gain) : 0);
      const next = lists[index + 1]?.[0];
      if (!next || next.attribute !== best!.attribute) continue;
      const looked = ({ occurrences }: Find) => occurrences.positions.slice(0, positionsLookedAt);
      const gap = Math.min(...looked(best!).flatMap((a) => looked(next).map((b) => gapBetween(a, b))));
      score += closenessLine(pairPoints(words.length), best!.gain, next.gain, gap);
    }
    const bests = lists.map(([best]) => best!);
    const said = bests.map(({ attribute, occurrences }) => {
      const there = bests.filter((other) => other.attribute === attribute);
      return wholeLine(Math.min(...there.map(({ gain }) => gain)), there.length, occurrences.words);
    });
    return score + Math.max(...said);
  };

  return scoreOf;
}
