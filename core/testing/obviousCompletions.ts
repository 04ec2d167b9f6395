import { laterWordShare, mistakesForgiven } from '../suggest/completions.ts';
import type { Phrase } from '../suggest/phrase.ts';
import { editDistance } from '../text/editDistance.ts';
import { tokenize } from '../text/tokenize.ts';

/** Phrases that go on from what was typed, worked out phrase by phrase: at most so many, the best first. */
export function obviousCompletions(
  phrases: readonly Phrase[],
  stem: (word: string) => string,
  typed: string,
): { readonly text: string; readonly mistakes: number; readonly score: number }[] {
  const written = new Set(phrases.flatMap(({ text }) => tokenize(text)));
  /** What words mean whatever their order and forms, two that others write as one being one. */
  const senseOf = ([first, second, ...rest]: readonly string[], before: readonly string[] = []): string => {
    if (first === undefined) return [...before].sort().join(' ');
    if (second !== undefined && written.has(first + second)) return senseOf(rest, [...before, stem(first + second)]);
    return senseOf(second === undefined ? [] : [second, ...rest], [...before, stem(first)]);
  };
  const sought = tokenize(typed).join(' ') + (tokenize(typed).length > 0 && /\s$/.test(typed) ? ' ' : '');
  if (sought === '') return [];
  const all = new Map<string, { text: string; weight: number; words: string[]; heaviest: number }>();
  for (const { text, weight } of phrases) {
    const words = tokenize(text);
    const known = all.get(words.join(' '));
    if (words.length === 0) continue;
    if (!known) all.set(words.join(' '), { text, weight, words, heaviest: weight });
    else {
      // Of one spelling after the other, the one that outweighs all that came before it is shown.
      if (weight > known.weight) known.text = text;
      known.weight += weight;
    }
  }
  const found: { text: string; mistakes: number; score: number; from: string; words: string[] }[] = [];
  for (const { text, weight, words } of all.values())
    for (let first = 0; first < words.length; first++) {
      const from = words.slice(first).join(' ');
      if (from[0] !== sought[0]) continue;
      let mistakes = Number.POSITIVE_INFINITY;
      for (let size = 0; size <= from.length; size++)
        mistakes = Math.min(mistakes, editDistance(sought, from.slice(0, size), 5));
      if (mistakes > mistakesForgiven(sought.length) || from.length < sought.length - 1) continue;
      found.push({ text, mistakes, score: weight * (first === 0 ? 1 : laterWordShare), from, words });
    }
  const order = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);
  found.sort(
    (a, b) =>
      a.mistakes - b.mistakes ||
      b.score - a.score ||
      order(a.from, b.from) ||
      order(a.words.join(' '), b.words.join(' ')),
  );
  const typedWords = sought.trim();
  const seen = new Set(all.has(typedWords) ? [senseOf(typedWords.split(' '))] : []);
  return found.flatMap(({ text, mistakes, score, words }) => {
    const sense = senseOf(words);
    if (seen.has(sense)) return [];
    seen.add(sense);
    return [{ text, mistakes, score }];
  });
}
