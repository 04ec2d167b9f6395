import { tokenize } from '../text/tokenize.ts';

/**
 * What a half-typed text is completed as: its words with the corrections that always hold (`fixed`, by folded word), as the
 * search itself reads them. A last word that may still go on is completed as it stands first. Beginning with what is to be
 * completed first; one text where nothing is corrected.
 */
export function asCorrected(typed: string, fixed: ReadonlyMap<string, string>): string[] {
  const words = tokenize(typed);
  if (fixed.size === 0 || !words.some((word) => fixed.has(word))) return [typed];
  const isEnded = /\s$/.test(typed);
  const read = words.map((word) => fixed.get(word) ?? word);
  const text = (last: string): string => [...read.slice(0, -1), last].join(' ') + (isEnded ? ' ' : '');
  const [asTyped, corrected] = [words.at(-1)!, read.at(-1)!];
  return isEnded || asTyped === corrected ? [text(corrected)] : [text(asTyped), text(corrected)];
}
