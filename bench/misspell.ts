import { pick } from '../core/base/random.ts';

const rows = ['qwertyuiop', 'asdfghjkl', 'zxcvbnm'];
/** The letters to the left and the right of one on a keyboard. */
const beside = (letter: string): string[] =>
  rows.flatMap((row) => {
    const at = row.indexOf(letter);
    return at < 0 ? [] : [row[at - 1], row[at + 1]].flatMap((other) => other ?? []);
  });

/**
 * One slip of the finger inside a word: a swap, a letter left out, doubled or replaced, half of the time by the one beside
 * it; never the first letter.
 */
export function misspell(random: () => number, word: string): string {
  const at = 1 + Math.floor(random() * (word.length - 2));
  const kind = Math.floor(random() * 4);
  if (kind === 0 && word[at] !== word[at + 1]) return word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2);
  if (kind === 1) return word.slice(0, at) + word.slice(at + 1);
  if (kind === 2) return word.slice(0, at) + word[at] + word.slice(at);
  const near = beside(word[at]!);
  const letters = near.length > 0 && random() < 0.5 ? near : [...'aeiourst'].filter((letter) => letter !== word[at]);
  return word.slice(0, at) + pick(random, letters) + word.slice(at + 1);
}
