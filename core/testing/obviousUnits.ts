import { readableToken } from '../text/quantity.ts';
import { readWords, tokenize } from '../text/tokenize.ts';

/** One thing looked for. */
export interface Sought {
  readonly text: string;
  readonly token: string;
  /** Whether the merchandiser says that what was typed means this. */
  readonly isFixed?: boolean;
}

/** Word by word: where a quantity begins it is taken whole, unless its unit is doubtful and the amount unknown. */
export function unitsIn(query: string, isKnown: (token: string) => boolean): Sought[] {
  const { tokens, quantities } = readWords(query);
  const kept = quantities.filter(({ token, isDoubtful }) => !isDoubtful || isKnown(token));
  return tokens.flatMap((text, at): Sought[] => {
    const here = kept.filter((quantity) => quantity.at === at);
    if (here.length > 0) return here.map(({ token }) => ({ text: readableToken(token), token }));
    return kept.some((quantity) => quantity.at < at && at < quantity.to) ? [] : [{ text, token: text }];
  });
}

export function soughtIn(
  query: string,
  isKnown: (token: string) => boolean,
  fixed: ReadonlyMap<string, string>,
): Sought[] {
  const meant = unitsIn(query, isKnown).map((sought): Sought => {
    const to = fixed.get(sought.token);
    return to === undefined ? sought : { text: to, token: to, isFixed: true };
  });
  return meant.filter(({ token }, at) => meant.findIndex((other) => other.token === token) === at);
}

/** The words as one with their neighbours: two of any kind, up to four where they make a code of letters and digits. */
export const joinedWith = (texts: readonly Sought[], at: number): string[] => {
  const found: string[] = [];
  for (let from = 0; from <= at; from++)
    for (let to = at + 1; to <= Math.min(texts.length, from + 4); to++) {
      const tokens = texts.slice(from, to).map(({ token }) => token);
      const text = tokens.join('');
      const isWord = text.length >= 4 && text.length <= 40 && [...text].every((letter) => /[\p{L}\p{N}]/u.test(letter));
      const isCode = /\d/.test(text) && /\p{L}/u.test(text);
      if (tokens.length >= 2 && isWord && (tokens.length === 2 || isCode)) found.push(text);
    }
  return found;
};

/** The ways in which one word may stand as several. */
export const waysToSplit = (word: string): string[][] => {
  if (/^\p{L}+$/u.test(word))
    return [...word]
      .map((_, at) => [word.slice(0, at), word.slice(at)])
      .filter(([a, b]) => a!.length >= 3 && b!.length >= 3);
  if (!/^[\p{L}\p{N}]+$/u.test(word)) return [];
  const borders = [...word].flatMap((_, at) =>
    at > 0 && /\p{L}/u.test(word[at]!) !== /\p{L}/u.test(word[at - 1]!) ? [at] : [],
  );
  const cuts = borders.slice(0, 3);
  return Array.from({ length: 2 ** cuts.length - 1 }, (_, number) => {
    const chosen = cuts.filter((__, bit) => ((number + 1) >> bit) & 1);
    return [0, ...chosen].map((from, at) => word.slice(from, chosen[at] ?? word.length));
  });
};

/** A text without some words or some that stand together, by its words. */
export function withoutSome(text: string, wordsOut: readonly string[]): string {
  const words = tokenize(text);
  const out = new Set<number>();
  for (const saying of wordsOut.map(tokenize))
    for (let at = 0; at + saying.length <= words.length && saying.length > 0; at++)
      if (saying.every((word, index) => words[at + index] === word))
        for (const index of saying.keys()) out.add(at + index);
  return out.size === 0 ? text : words.filter((_, at) => !out.has(at)).join(' ');
}
