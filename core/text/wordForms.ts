import snowball from 'snowball-stemmers';
import type { Language } from './languages.ts';

const stemmers: Readonly<Record<Language, { stem(word: string): string }>> = {
  en: snowball.newStemmer('english'),
  de: snowball.newStemmer('german'),
  fr: snowball.newStemmer('french'),
  es: snowball.newStemmer('spanish'),
};

/**
 * The stem under which the forms of a word meet (`brushes`, `brush`; `Bilder`, `Bild`). Tokens holding a digit and
 * words of up to three letters are their own stem. Tokens are folded, so the stemmers see no accents: catalog and
 * shopper alike. Source: the Snowball stemmers.
 */
export function stem(token: string, language: Language = 'en'): string {
  if (token.length <= 3 || /[^a-z]/.test(token)) return token;
  return stemmers[language].stem(token);
}
