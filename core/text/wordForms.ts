import snowball from 'snowball-stemmers';

const english = snowball.newStemmer('english');

/**
 * The stem under which the forms of an English word meet (`brushes`, `brush`). Tokens holding a digit and words of
 * up to three letters are their own stem. Source: the Snowball English stemmer.
 */
export function stem(token: string): string {
  if (token.length <= 3 || /[^a-z]/.test(token)) return token;
  return english.stem(token);
}
