import { existsSync, readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import englishWords from 'word-list';
import type { Language } from '../../core/text/languages.ts';
import { openWordList, packWordList, type WordList } from '../../core/text/wordList.ts';

const require = createRequire(import.meta.url);

/** Where the words of each language come from: one a line, or a list. */
const sources: Readonly<Record<Language, () => string[]>> = {
  en: () => readFileSync(englishWords, 'utf8').split('\n'),
  de: () => require('all-the-german-words') as string[],
  fr: () => require('an-array-of-french-words') as string[],
  es: () => require('an-array-of-spanish-words') as string[],
};
/** All words of a language, inflected forms among them. Cost: up to a second. */
export const wordsOfLanguage = (language: Language): readonly string[] => sources[language]();

/** The packed lists beside the built server; they are made when it is built, since reading the words takes long. */
export const packedListOf = (language: Language): URL => new URL(`../words/${language}.bin`, import.meta.url);

const known = new Map<Language, WordList>();

/** The words of a language, kept once asked for: half a megabyte for English, two for German. */
export function wordListOf(language: Language): WordList {
  const before = known.get(language);
  if (before) return before;
  const opened = openWordList(packedBytes(language));
  known.set(language, opened);
  return opened;
}

function packedBytes(language: Language): Uint8Array {
  // Run from the sources, as tests are, the list lies where it was built, or there is none yet.
  const beside = new URL(`../../dist/words/${language}.bin`, import.meta.url);
  const built = [packedListOf(language), beside].find((file) => existsSync(file));
  return built ? readFileSync(built) : packWordList(wordsOfLanguage(language));
}
