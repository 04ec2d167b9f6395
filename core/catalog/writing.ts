import type { Language } from '../text/languages.ts';
import { amountCharacters, readAmount } from './readAmount.ts';

/** How a column writes its values, where that is told by the column as a whole and not by each of them. */
export const writings = ['yes-no', 'decimal-comma', 'decimal-point'] as const;
export type Writing = (typeof writings)[number];

const yesWord = /^(true|yes|y|1|x|j|ja|oui|o|si|sí|sì|wahr|vrai|verdadero|vero|waar)$/i;
const noWord = /^(false|no|n|0|-|nein|nee|non|falsch|faux|falso|onwaar)$/i;
/** Whether a text says yes or no, in the languages that exports come in. */
export const saysYesOrNo = (text: string): boolean => yesWord.test(text) || noWord.test(text);

const answers: Readonly<Record<Language, readonly [string, string]>> = {
  en: ['Yes', 'No'],
  de: ['Ja', 'Nein'],
  fr: ['Oui', 'Non'],
  es: ['Sí', 'No'],
};

const grouped = { ',': /^\d{1,3}(\.\d{3})+(,\d*)?$/, '.': /^\d{1,3}(,\d{3})+(\.\d*)?$/ } as const;
const plain = { ',': /^\d*,?\d+$|^\d+,$/, '.': /^\d*\.?\d+$|^\d+\.$/ } as const;

/**
 * An amount by its column's decimal mark: `1.234` is 1234 where commas part decimals, `0,125` an eighth. What fits
 * neither the mark nor groups of three digits before it is read as it would be without a mark; null where it is no amount.
 */
export function readMarked(text: string, writing: Writing | undefined): number | null {
  if ((writing !== 'decimal-comma' && writing !== 'decimal-point') || text.length > amountCharacters)
    return readAmount(text);
  const mark = writing === 'decimal-comma' ? ',' : '.';
  const [, sign, digits] = /^[^\d.,+-]*([-+]?)([\d.,]*\d[\d.,]*)\D*$/.exec(text.replace(/\s+/g, '')) ?? [];
  if (digits === undefined || readAmount(text) === null || !(grouped[mark].test(digits) || plain[mark].test(digits)))
    return readAmount(text);
  const amount = Number(mark === ',' ? digits.replaceAll('.', '').replace(',', '.') : digits.replaceAll(',', ''));
  return sign === '-' ? -amount : amount;
}

/** A number in front of a unit, or alone. */
const leading = /^([-+]?[\d.,]*\d)(?=\D*$)/;

/**
 * A value of an attribute as its column means it: yes and no in the catalog's language; a number that would be misread by
 * itself (`1.250 g` of a column with decimal commas) as one that is not (`1250 g`). Anything else stays as it is written.
 */
export function asMeant(text: string, writing: Writing | undefined, language: Language): string {
  if (writing === undefined) return text;
  if (writing === 'yes-no')
    return yesWord.test(text) ? answers[language][0] : noWord.test(text) ? answers[language][1] : text;
  const number = leading.exec(text)?.[1];
  if (number === undefined) return text;
  const meant = readMarked(number, writing);
  return meant === null || meant === readAmount(number) ? text : `${meant}${text.slice(number.length)}`;
}

/** How a column's numbers are marked, in shares of its cells, 0 to 1. */
export interface Marks {
  /** Cells whose comma, or point, can only part decimals. */
  readonly comma: number;
  readonly point: number;
  /** Cells with points before each three digits and no other mark: thousands, or three decimals. */
  readonly pointGroups: number;
}
export type Mark = keyof Marks;

/** What a text's number says of the decimal mark of its column; null for nothing, as of a whole number. */
export function markOf(text: string): Mark | null {
  const number = /^[^\d.,]{0,5}([\d.,]*\d)\D*$/.exec(text)?.[1];
  if (number === undefined || !/[.,]/.test(number)) return null;
  if (/\..*,/.test(number) || /^\d+\.\d{3}\.\d{3}/.test(number)) return 'comma';
  if (/,.*\./.test(number) || /^\d+,\d{3},\d{3}/.test(number)) return 'point';
  if (/^\d{1,3}\.\d{3}$/.test(number) && !number.startsWith('0')) return 'pointGroups';
  if (/^\d{1,3},\d{3}$/.test(number) && !number.startsWith('0')) return null;
  return number.includes(',') ? 'comma' : 'point';
}
