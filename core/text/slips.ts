import { editDistance } from './editDistance.ts';

/**
 * How likely each kind of slip is, beside a letter left out. Of slips inside words about 34 in 100 leave a letter out,
 * 27 put one in, 19 put another in its place and 12.5 swap two (Pollock and Zamora 1984, for scientific texts). A letter
 * put in may be any of 26, so a certain one is that much less likely; one that doubles its neighbour is taken for half
 * of those put in, which is an estimate.
 */
const leftOut = 1;
const swapped = 12.5 / 34;
const doubled = 27 / 2 / 34;
const putIn = 27 / 2 / 34;
const replaced = 19 / 34;

/**
 * Where the letters lie on a keyboard, as most of the languages' layouts have them: a row, and a place in it in keys. On those
 * that swap a few letters, a slip to a neighbour is taken for one to any other letter.
 */
const keys: ReadonlyMap<string, readonly [row: number, place: number]> = new Map(
  [
    { letters: 'qwertyuiop', from: 0 },
    { letters: 'asdfghjkl', from: 0.25 },
    { letters: 'zxcvbnm', from: 0.75 },
  ].flatMap(({ letters, from }, row) =>
    [...letters].map((letter, at): [string, [number, number]] => [letter, [row, from + at]]),
  ),
);
/** Keys that a finger may slip to are at most so far away in a row, or in the next one. */
const slipsAlong = 1;
const slipsAcross = 0.75;

function areNeighbours(a: string | undefined, b: string | undefined): boolean {
  const [one, other] = [keys.get(a ?? ''), keys.get(b ?? '')];
  if (!one || !other || a === b) return false;
  const across = Math.abs(one[0] - other[0]);
  return across <= 1 && Math.abs(one[1] - other[1]) <= (across === 0 ? slipsAlong : slipsAcross);
}

const isVowel = (letter: string): boolean => 'aeiouy'.includes(letter);
/** Whether one letter is easily typed for another: its key is beside it, or both are vowels, which are mixed up by ear. */
const isNear = (a: string | undefined, b: string | undefined): boolean =>
  areNeighbours(a, b) || (a !== undefined && b !== undefined && isVowel(a) && isVowel(b));
/**
 * Of letters put in or replaced, half are taken for near ones, an estimate: there are about six of them and twenty others,
 * so a certain near one is more than three times as likely.
 */
const nearOne = 1 / 2 / 6;
const otherOne = 1 / 2 / 20;

/**
 * How likely a word's slip is to have made this text, beside one letter left out (1): for texts one edit apart; 1 for all
 * others. By the noisy channel (Kernighan, Church and Gale 1990), to be multiplied by how common the word is.
 */
export function slipLikelihood(typed: string, word: string): number {
  let at = 0;
  while (at < typed.length && at < word.length && typed[at] === word[at]) at++;
  if (word.length === typed.length + 1) return leftOut;
  if (typed.length === word.length + 1) {
    if (typed[at] === typed[at - 1]) return doubled;
    const beside = areNeighbours(typed[at], typed[at - 1]) || areNeighbours(typed[at], typed[at + 1]);
    return putIn * (beside ? nearOne : otherOne);
  }
  if (typed.length !== word.length) return 1;
  const isSwap = typed[at] === word[at + 1] && typed[at + 1] === word[at];
  return isSwap ? swapped : replaced * (isNear(typed[at], word[at]) ? nearOne : otherOne);
}

/** A text as it was before each slip of one kind that may have happened in it. */
const withoutOneDoubled = (text: string): string[] =>
  [...text].flatMap((letter, at) => (letter === text[at - 1] ? [text.slice(0, at) + text.slice(at + 1)] : []));
const withTwoSwapped = (text: string): string[] =>
  Array.from(
    { length: Math.max(0, text.length - 1) },
    (_, at) => text.slice(0, at) + text[at + 1] + text[at] + text.slice(at + 2),
  );

/**
 * Whether two slips may well have made this text of a word two edits away: not where both put a letter there that could
 * have been any, as in words that are no more than alike (*barcode*, *arcade*). Vowels for vowels may be two.
 */
export function mayBeTwoSlips(typed: string, word: string): boolean {
  if (word.length > typed.length) return true;
  if ([...withoutOneDoubled(typed), ...withTwoSwapped(typed)].some((text) => editDistance(text, word, 1) <= 1))
    return true;
  if (word.length < typed.length) return false;
  const replaced = [...typed].flatMap((letter, at) =>
    letter === word[at] ? [] : [isVowel(letter) && isVowel(word[at]!)],
  );
  // Of more places that differ, one letter was left out and one put in between.
  return replaced.length > 2 || replaced.every(Boolean);
}
