import { mkdirSync, writeFileSync } from 'node:fs';
import { languages } from '../../core/text/languages.ts';
import { packWordList } from '../../core/text/wordList.ts';
import { packedListOf, wordsOfLanguage } from './wordLists.ts';

/** Writes the packed lists to where the built server looks for them; part of building it. */
export function writeWordLists(): void {
  for (const language of languages) {
    const file = packedListOf(language);
    mkdirSync(new URL('.', file), { recursive: true });
    writeFileSync(file, packWordList(wordsOfLanguage(language)));
  }
}
