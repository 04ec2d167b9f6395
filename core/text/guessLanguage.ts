import { fold } from './fold.ts';
import { type Language, languages } from './languages.ts';
import { tokenize } from './tokenize.ts';

/** Words without which no longer text of the language does, and which the other languages do not have. */
const markerWords: Readonly<Record<Language, ReadonlySet<string>>> = {
  en: new Set('the and with for of from this your are is that it by'.split(' ')),
  de: new Set('und der die das mit fur von auf ist ein eine nicht den dem sich bei aus zum zur'.split(' ')),
  fr: new Set('le les et pour avec des du une sur dans est aux qui ou cette ces votre'.split(' ')),
  es: new Set('el los las y para con del una por su esta este al mas como sus'.split(' ')),
};

/** Languages as columns name them: in several languages, and by codes behind another word. */
const languageNames: Readonly<Record<string, string>> = {
  en: 'english englisch anglais ingles eng engl',
  de: 'german deutsch allemand aleman deu ger',
  fr: 'french franzosisch franzoesisch francais frances fra fre',
  es: 'spanish spanisch espagnol espanol spa',
  it: 'italian italienisch italien italiano',
  nl: 'dutch niederlandisch neerlandais nederlands nld',
  pt: 'portuguese portugiesisch portugais portugues',
  pl: 'polish polnisch polonais polaco',
  ja: 'japanese japanisch japonais japones jp jpn',
  zh: 'chinese chinesisch chinois chino',
  ru: 'russian russisch russe ruso',
};
const languageOfWord = new Map(
  Object.entries(languageNames).flatMap(([code, names]) =>
    names.split(' ').map((name): [string, string] => [name, code]),
  ),
);
/** What may stand for a language in a name: a word of its own, or two letters at the end, behind a sign. */
const ofLanguage = /(^|[^\p{L}])(\p{L}{3,})(?=[^\p{L}]|$)|[_\-.\s([](\p{L}{2})[)\]]?$/giu;

/** A name of a column without the language it says, and that language's code: `title` and `fr` of `title_fr`. */
export interface InLanguage {
  readonly name: string;
  readonly language: string;
}

/** The language a column's name says its texts are in: `title_fr`, `Name (French)`; null where it says none. */
export function languageNamed(column: string): InLanguage | null {
  for (const match of column.matchAll(ofLanguage)) {
    const word = fold(match[2] ?? match[3]!);
    const language = match[2] === undefined ? (twoLetters.get(word) ?? null) : languageOfWord.get(word);
    if (!language) continue;
    const name = column.slice(0, match.index) + column.slice(match.index + match[0].length);
    return { name: name.replace(/[\s_\-.()[\]]+$/, '').replace(/^[\s_\-.()[\]]+/, ''), language };
  }
  return null;
}
const twoLetters = new Map([...Object.keys(languageNames).map((code): [string, string] => [code, code]), ['jp', 'ja']]);

/** Whether a column's name says which language its texts are in. */
export const namesLanguage = (column: string): boolean => languageNamed(column) !== null;

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
