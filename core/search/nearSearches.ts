import type { NearText, NearTexts } from '../query/nearTexts.ts';
import type { QueryWord } from '../query/understand.ts';

/** Searches that are tried in place of one, at most. */
const mostNear = 8;
/** Words that may stand for one thing together. */
const mostWordsTogether = 3;

/**
 * Searches that mean nearly what one does, the nearest first: what is near to the whole of it, and then the search with words
 * that stand for nothing in the catalog taken for what is near to them, one alone before all together.
 */
export function nearSearches(
  words: readonly Pick<QueryWord, 'text' | 'expansions'>[],
  { near: all, mayBeMisspelt }: { readonly near: NearTexts; readonly mayBeMisspelt: boolean },
): NearText[] {
  const near = (text: string): readonly NearText[] => all(text, mayBeMisspelt);
  const texts = words.map(({ text }) => text);
  const found: NearText[] = [...near(texts.join(' '))];
  const isUnknown = words.map(({ expansions }) => expansions.length === 0);
  /** By where the words begin that are replaced: what they are taken for. */
  const replaced: { readonly from: number; readonly to: number; readonly nears: readonly NearText[] }[] = [];
  for (let from = 0; from < texts.length; from++) {
    for (let size = Math.min(mostWordsTogether, texts.length - from); size > 0; size--) {
      if (size === texts.length || !isUnknown.slice(from, from + size).includes(true)) continue;
      const nears = near(texts.slice(from, from + size).join(' '));
      if (nears.length === 0) continue;
      replaced.push({ from, to: from + size, nears });
      from += size - 1;
      break;
    }
  }
  for (const { from, to, nears } of replaced)
    for (const each of nears)
      found.push({ text: [...texts.slice(0, from), each.text, ...texts.slice(to)].join(' '), from: each.from });
  if (replaced.length > 1) {
    const replacedAll = texts.flatMap((text, at) => {
      const own = replaced.find(({ from, to }) => from <= at && at < to);
      if (!own) return [text];
      return own.from === at ? [own.nears[0]!.text] : [];
    });
    found.push({ text: replacedAll.join(' '), from: replaced[0]!.nears[0]!.from });
  }
  const seen = new Set([texts.join(' ')]);
  return found
    .filter(({ text }) => {
      const isNew = !seen.has(text);
      seen.add(text);
      return isNew;
    })
    .slice(0, mostNear);
}
