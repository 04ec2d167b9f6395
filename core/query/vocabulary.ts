import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';

/** What a setup says about words, ready for looking them up by their folded form. */
export interface Vocabulary {
  readonly stopWords: ReadonlySet<string>;
  /** By word, the words that mean the same. */
  readonly synonyms: ReadonlyMap<string, readonly string[]>;
}

/** A word as it is looked up, or null where the text is not one word. */
function oneWord(text: string): string | null {
  const tokens = tokenize(text);
  return tokens.length === 1 ? tokens[0]! : null;
}

/** Binds the vocabulary of a setup. Words of several sets mean what any of them says; a set does not lead on to another. */
export function bindVocabulary(setup: Setup): Vocabulary {
  const stopWords = new Set<string>();
  const synonyms = new Map<string, string[]>();
  for (const key of Object.keys(setup.vocabulary).sort()) {
    const entry = setup.vocabulary[key]!;
    const words = [...new Set(entry.words.flatMap((text) => oneWord(text) ?? []))];
    if (entry.what === 'stopWords') for (const word of words) stopWords.add(word);
    else if (entry.on)
      for (const word of words) {
        const known = synonyms.get(word) ?? [];
        synonyms.set(word, [...known, ...words.filter((other) => other !== word && !known.includes(other))]);
      }
  }
  return { stopWords, synonyms };
}
