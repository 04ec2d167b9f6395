/** Words of a search that are looked for as one, at most; more than two only where they make a code with digits. */
const mostJoined = 4;
/** A letter and one or two digits make a code as well: `A4`, `3D`. */
const shortCode = /^(\p{L}\p{N}{1,2}|\p{N}{1,2}\p{L})$/u;
/** Ways of splitting one word that are looked up. */
export const mostSplits = 3;
/** Letters each half of a split word has at least. */
const leastHalf = 3;
/** Cuts between letters and digits that are looked at in one word. */
const mostCuts = 3;

/** The texts a search's neighbouring words may stand for as one: the words [from, to) of it. */
export function joinings(
  texts: readonly string[],
): { readonly text: string; readonly from: number; readonly to: number }[] {
  const found: { text: string; from: number; to: number }[] = [];
  for (let from = 0; from < texts.length; from++)
    for (let to = from + 2; to <= Math.min(texts.length, from + mostJoined); to++) {
      const text = texts.slice(from, to).join('');
      const isCode = /\p{N}/u.test(text) && /\p{L}/u.test(text);
      if (to - from > 2 && !isCode) continue;
      if (/^[\p{L}\p{N}]{4,40}$/u.test(text) || shortCode.test(text)) found.push({ text, from, to });
    }
  return found;
}

/**
 * The ways in which one word may stand as several, side by side: a word of letters as two of at least three, a code
 * wherever letters and digits meet.
 */
export function splits(word: string): string[][] {
  if (/^\p{L}+$/u.test(word)) {
    const ways: string[][] = [];
    for (let at = leastHalf; at <= word.length - leastHalf; at++) ways.push([word.slice(0, at), word.slice(at)]);
    return ways;
  }
  if (!/^[\p{L}\p{N}]+$/u.test(word)) return [];
  const runs = word.match(/\p{L}+|\p{N}+/gu) ?? [];
  const cuts = Math.min(mostCuts, runs.length - 1);
  const ways: string[][] = [];
  for (let chosen = 1; chosen < 1 << cuts; chosen++) {
    const parts = [runs[0]!];
    for (let cut = 0; cut < runs.length - 1; cut++)
      if (cut < cuts && (chosen >> cut) & 1) parts.push(runs[cut + 1]!);
      else parts[parts.length - 1] += runs[cut + 1]!;
    ways.push(parts);
  }
  return ways;
}
