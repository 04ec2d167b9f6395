import { fold } from './fold.ts';

/** Longest token kept, in UTF-16 units. What is longer is cut: no shopper types it, and nothing is trusted for size. */
export const longestToken = 40;

/** Units that may be written against their number (`0.5mm`); both spellings give the number and the unit as two tokens. */
const units = new Set(
  'mm cm m km in inch inches ft ml cl l litre litres oz lb g gr kg mg gsm lbs pt pc pcs pk w v mb gb tb'.split(' '),
);

const word = /\p{N}+(?:\.\p{N}+)*\p{L}+[\p{L}\p{N}]*|\.?\p{N}+(?:\.\p{N}+)*|\p{L}[\p{L}\p{N}]*/gu;
const numberThenLetters = /^([\p{N}.]+)(\p{L}+)$/u;
const decimal = /^\d*\.?\d+$/;

/** One spelling for a number: `0.50` and `.5` are `0.5`; `007` stays, being a code rather than an amount. */
function plainNumber(text: string): string {
  if (!decimal.test(text)) return text;
  let number = text.startsWith('.') ? `0${text}` : text;
  if (number.includes('.')) number = number.replace(/0+$/, '').replace(/\.$/, '');
  return number;
}

/**
 * Splits a text into folded tokens in reading order. Letters and digits make tokens, a point between digits belongs
 * to the number, a unit written against its number is split off; all else separates. Cost is linear in the length.
 */
export function tokenize(text: string): string[] {
  const tokens: string[] = [];
  for (const [found] of fold(text).matchAll(word)) {
    const amount = numberThenLetters.exec(found);
    if (amount && units.has(amount[2]!)) tokens.push(plainNumber(amount[1]!), amount[2]!);
    else if (/^[\d.]/.test(found)) tokens.push(plainNumber(found).slice(0, longestToken));
    else tokens.push(found.slice(0, longestToken));
  }
  return tokens;
}

/** A part number with everything dropped but letters and digits, so that `WU-2041B` and `wu 2041 b` are one. */
export function normalizeCode(text: string): string {
  return fold(text).replace(/[^\p{L}\p{N}]+/gu, '');
}

/** Whether a token is number-like: such tokens are never corrected, since the nearest number is another product. */
export function isNumberLike(token: string): boolean {
  return /\p{N}/u.test(token);
}
