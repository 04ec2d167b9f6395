import type { Look } from '../setup/terms/shelfTerms.ts';
import { isLanguage, type Language } from '../text/languages.ts';
import { isNumberLike, tokenize } from '../text/tokenize.ts';
import type { WordList } from '../text/wordList.ts';
import { readUnits } from './readUnits.ts';

/** Words with which questions begin, and words of what a shop is asked about, by language and folded. */
const asking: Readonly<Record<Language, readonly string[]>> = {
  en: 'how what when where who why which can could do does is are may will'.split(' '),
  de: 'wie was wann wo wer warum welche welcher kann konnen darf ist sind gibt habt'.split(' '),
  fr: 'comment quand ou qui pourquoi quel quelle combien puis est'.split(' '),
  es: 'como cuando donde quien porque cual cuanto puedo es hay'.split(' '),
};
const askedAbout: Readonly<Record<Language, readonly string[]>> = {
  en: 'delivery shipping postage return returns refund refunds exchange invoice payment account contact help opening hours warranty voucher tracking order orders'.split(
    ' ',
  ),
  de: 'lieferung versand ruckgabe retoure umtausch rechnung zahlung konto kontakt hilfe offnungszeiten garantie gutschein'.split(
    ' ',
  ),
  fr: 'livraison retour retours remboursement echange facture paiement compte contact aide horaires garantie'.split(
    ' ',
  ),
  es: 'envio devolucion devoluciones reembolso cambio factura pago cuenta contacto ayuda horario garantia'.split(' '),
};
/** A long number, with or without signs between its digits. */
const longNumber = /^\d(?:[-./]?\d){4,}$/;
const signs = /[-./_\s]+/g;
/** Words a part number may be written as, and characters it has. */
const mostCodeWords = 3;
/** Letters of a name, at least. */
const shortestName = 3;
const codeLength = { least: 4, most: 24 };
/** A size by name, by paper format, or one of a few words that go with sizes. */
const sizeWord = /^(?:x{0,3}[sml]|[abc]\d{1,2}|[\d.]+|size|grosse|taille|talla|by|x)$/;

/**
 * What a search that finds nothing looks like, the surest first; none where it looks like any other. A question begins like
 * one, ends in a question mark or says what shops are asked about; a part number is one code of letters and digits, or a
 * long number; a size has nothing but sizes and amounts; a name has a word that is neither the catalog's nor the language's.
 */
export function looksLike(
  query: string,
  {
    language,
    isKnown,
    isOfLanguage,
  }: { readonly language: string; isKnown(word: string): boolean; readonly isOfLanguage: WordList },
): Look[] {
  const typed = query.trim();
  const tokens = tokenize(typed);
  if (tokens.length === 0) return [];
  const own: Language = isLanguage(language) ? language : 'en';
  const found: Look[] = [];
  const isQuestion =
    (tokens.length > 2 && asking[own].includes(tokens[0]!)) ||
    typed.endsWith('?') ||
    tokens.some((token) => askedAbout[own].includes(token));
  if (isQuestion) found.push('question');
  const units = readUnits(typed, isKnown);
  const isSize = units.every(({ text, token }) => token !== text || sizeWord.test(token));
  const isUnknown = (word: string): boolean => !isNumberLike(word) && !isKnown(word) && !isOfLanguage(word);
  const isOdd = (word: string): boolean => word.length >= shortestName && isUnknown(word);
  const words = typed.split(/\s+/);
  const code = typed.replace(signs, '');
  const isCode =
    words.length <= mostCodeWords &&
    code.length >= codeLength.least &&
    code.length <= codeLength.most &&
    /\d/.test(code) &&
    /\p{L}/u.test(code) &&
    words.every((word) => isNumberLike(word) || tokenize(word).every(isUnknown));
  if (longNumber.test(typed) || (isCode && !isSize)) found.push('partNumber');
  else if (isSize) found.push('size');
  if (found.length === 0 && tokens.some(isOdd)) found.push('name');
  return found;
}
