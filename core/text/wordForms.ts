import snowball from 'snowball-stemmers';
import { withAccents } from './accentedEndings.ts';
import { fold } from './fold.ts';
import type { Language } from './languages.ts';

const stemmers: Readonly<Record<Language, { stem(word: string): string }>> = {
  en: snowball.newStemmer('english'),
  de: snowball.newStemmer('german'),
  fr: snowball.newStemmer('french'),
  es: snowball.newStemmer('spanish'),
};

/**
 * Whether two words of one stem are forms of one word, rather than words made of one another: they differ by at most
 * two letters in length, and but for one letter the shorter one begins the longer. Symmetrical.
 */
export function areForms(a: string, b: string): boolean {
  const [shorter, longer] = a.length <= b.length ? [a, b] : [b, a];
  if (longer.length - shorter.length > 2) return false;
  let shared = 0;
  while (shared < shorter.length && shorter[shared] === longer[shared]) shared++;
  return shared >= shorter.length - 1;
}

/**
 * Every ending the English stemmer may change. A word without one is its own stem, which spares the stemmer nearly half of
 * all words; a test holds this to the stemmer over the words of a lexical database.
 */
const englishEndings = /(?:[seyi]|ed|ing|al|ful|l|er|or|ion|ism|nt|ic)$/;

/** Stems of words met lately: a stemmer takes some 20 µs a word, and a search asks for the same words several times. */
const mostKnown = 5000;
const stems: Readonly<Record<Language, Map<string, string>>> = {
  en: new Map(),
  de: new Map(),
  fr: new Map(),
  es: new Map(),
};

/**
 * The stem under which the forms of a word meet (`brushes`, `brush`; `Bilder`, `Bild`). Tokens holding a digit and
 * words of up to three letters are their own stem. Tokens are folded; the accents that their endings tell of are put back
 * for the stemmer, for catalog and shopper alike, whether they typed them or not. Source: the Snowball stemmers.
 */
export function stem(token: string, language: Language = 'en'): string {
  if (token.length <= 3 || /[^a-z]/.test(token)) return token;
  if (language === 'en' && !englishEndings.test(token)) return token;
  const known = stems[language];
  const before = known.get(token);
  if (before !== undefined) return before;
  const root = fold(stemmers[language].stem(withAccents(token, language)));
  if (known.size >= mostKnown) known.clear();
  known.set(token, root);
  return root;
}
