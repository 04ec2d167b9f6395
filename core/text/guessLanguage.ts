import { type Language, languages } from './languages.ts';
import { tokenize } from './tokenize.ts';

/** Words without which no longer text of the language does, and which the other languages do not have. */
const markerWords: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: new Set('the and with for of from this your are is that it by'.split(' ')),
  de: new Set('und der die das mit fur von auf ist ein eine nicht den dem sich bei aus zum zur'.split(' ')),
  fr: new Set('le les et pour avec des du une sur dans est aux qui ou cette ces votre'.split(' ')),
  es: new Set('el los las y para con del una por su esta este al mas como sus'.split(' ')),
};

/**
 * The language of some texts, by the words that only one of them has; English where they tell nothing. Cost: linear in
 * the words.
 */
export function guessLanguage(texts: Iterable<string>): Language {
  const counts = Object.fromEntries(languages.map((language) => [language, 0])) as Record<Language, number>;
  for (const text of texts)
    for (const token of tokenize(text))
      for (const language of languages) if (markerWords[language].has(token)) counts[language]++;
  return languages.reduce((best, language) => (counts[language] > counts[best] ? language : best));
}
