import { pick } from '../core/base/random.ts';

/** One slip of the finger inside a word: a swap, a letter left out, doubled or replaced; never the first letter. */
export function misspell(random: () => number, word: string): string {
  const at = 1 + Math.floor(random() * (word.length - 2));
  const kind = Math.floor(random() * 4);
  if (kind === 0 && word[at] !== word[at + 1]) return word.slice(0, at) + word[at + 1] + word[at] + word.slice(at + 2);
  if (kind === 1) return word.slice(0, at) + word.slice(at + 1);
  if (kind === 2) return word.slice(0, at) + word[at] + word.slice(at);
  return (
    word.slice(0, at) +
    pick(
      random,
      [...'aeiourst'].filter((letter) => letter !== word[at]),
    ) +
    word.slice(at + 1)
  );
}
