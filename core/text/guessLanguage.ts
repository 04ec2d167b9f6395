import { type Language, languages } from './languages.ts';
import { tokenize } from './tokenize.ts';

/** Words without which no longer text of the language does, and which the other languages do not have. */
const markerWords: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: new Set('the and with for of from this your are is that it by'.split(' ')),
  de: new Set('und der die das mit fur von auf ist ein eine nicht den dem sich bei aus zum zur'.split(' ')),
  fr: new Set('le les et pour avec des du une sur dans est aux qui ou cette ces votre'.split(' ')),
  es: new Set('el los las y para con del una por su esta este al mas como sus'.split(' ')),
};

/** Names of languages in several of them, and their codes behind another word, as columns are called. */
const languageName =
  /(^|[^\p{L}])(english|englisch|anglais|ingl[eé]s|german|deutsch|allemand|alem[aá]n|french|franz[oö]sisch|fran[cç]ais|franc[eé]s|spanish|spanisch|espagnol|espa[nñ]ol|italian|dutch|eng|deu|ger|fra|fre|spa)([^\p{L}]|$)|[_\-.\s([](en|de|fr|es|it|nl|pt|pl|ja|jp|zh|ru)[)\]]?$/iu;

/** Whether a column's name says which language its texts are in: `title_fr`, `Name (French)`. */
export const namesLanguage = (column: string): boolean => languageName.test(column);

/**
 * The language that most small words of some texts are of, and how many such words there are. A text of one word tells
 * nothing: small words stand among others, and `AL`, `DE` or `ES` alone are codes.
 */
export function languageEvidence(texts: Iterable<string>): { readonly language: Language; readonly words: number } {
  const counts = Object.fromEntries(languages.map((language) => [language, 0])) as Record<Language, number>;
  for (const text of texts) {
    const tokens = tokenize(text);
    if (tokens.length < 2) continue;
    for (const token of tokens)
      for (const language of languages) if (markerWords[language].has(token)) counts[language]++;
  }
  const language = languages.reduce((best, each) => (counts[each] > counts[best] ? each : best));
  return { language, words: counts[language] };
}

/**
 * The language of some texts, by the words that only one of them has; English where they tell nothing. Cost: linear in
 * the words.
 */
export const guessLanguage = (texts: Iterable<string>): Language => languageEvidence(texts).language;
