import { fold } from '../text/fold.ts';

/** A text in parts: those that were typed, at the beginnings of its words, and the rest. Cost: the text times the words typed. */
export function splitAtWords(
  text: string,
  typed: string,
): { readonly part: string; readonly isTyped: boolean; readonly from: number }[] {
  const wanted = fold(typed)
    .split(/[^\p{L}\p{N}]+/u)
    .filter(Boolean)
    .sort((a, b) => b.length - a.length);
  const parts: { part: string; isTyped: boolean; from: number }[] = [];
  let from = 0;
  const add = (part: string, isTyped: boolean): void => {
    const last = parts.at(-1);
    if (part === '') return;
    if (last?.isTyped === isTyped) last.part += part;
    else parts.push({ part, isTyped, from });
    from += part.length;
  };
  for (const [word] of text.matchAll(/[\p{L}\p{N}\p{M}]+|[^\p{L}\p{N}\p{M}]+/gu)) {
    const letters = [...word];
    // Letters that fold to several, or to none, are told apart only where what is before them is as long.
    const begun = wanted.find((each) => fold(word).startsWith(each));
    if (begun === undefined) add(word, false);
    else {
      let size = 0;
      while (size < letters.length && fold(letters.slice(0, size).join('')).length < begun.length) size++;
      add(letters.slice(0, size).join(''), true);
      add(letters.slice(size).join(''), false);
    }
  }
  return parts;
}
