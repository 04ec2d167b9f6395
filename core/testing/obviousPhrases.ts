import { type ObviousCatalog, type ReadRecord, remembered } from './obviousCatalog.ts';
import type { Sought } from './obviousUnits.ts';
import type { ObviousVocabulary } from './obviousVocabulary.ts';

/** Finds the phrases of searches, and says of a record whether it has them. */
export function phraseReader(
  { allForms, phraseIn, isFound, stemOf }: ObviousCatalog,
  { phrases, pairs }: ObviousVocabulary,
) {
  const waysOf = remembered((text) =>
    text
      .split(' ')
      .reduce<string[][]>(
        (before, token) => before.flatMap((way) => allForms(token).map((form) => [...way, form])),
        [[]],
      ),
  );
  /** Whether some words stand side by side in a record, in any of their forms, or as one word. */
  const hasTogether = (own: ReadRecord, tokens: readonly string[]): boolean => {
    const isIn = (token: string): boolean =>
      [...own.texts.entries()].some(([attribute, byToken]) => byToken.has(token) && isFound(attribute, 'exact'));
    if (tokens.length === 1) return allForms(tokens[0]!).some(isIn);
    if (allForms(tokens.join('')).some(isIn)) return true;
    return waysOf(tokens.join(' ')).some((way) => phraseIn(own, way, 'exact').size > 0);
  };
  /** A test of a record for the phrases some words are; null where they are none. */
  const togetherIn = (texts: readonly Sought[]): ((read: ReadRecord) => boolean) | null => {
    const wanted: string[][] = [];
    for (let at = 0; at < texts.length; ) {
      const like = (phrase: readonly string[]): boolean =>
        phrase.length > 1 &&
        phrase.every((token, place) => texts[at + place] && stemOf(texts[at + place]!.token) === stemOf(token));
      const [phrase] = phrases.filter(like).sort((a, b) => b.length - a.length);
      if (phrase) wanted.push(phrase);
      at += phrase?.length ?? 1;
    }
    if (wanted.length === 0) return null;
    const means = (phrase: readonly string[]): (readonly string[])[] => [
      phrase,
      ...pairs
        .filter(([from, to]) => from.join(' ') === phrase.join(' ') && to.join(' ') !== phrase.join(' '))
        .map(([, to]) => to),
    ];
    return (read) => wanted.every((phrase) => means(phrase).some((tokens) => hasTogether(read, tokens)));
  };
  return togetherIn;
}
