import { fold } from './fold.ts';
import { findQuantities, quantityToken } from './quantity.ts';

/** Longest token kept, in UTF-16 units. What is longer is cut: no shopper types it, and nothing is trusted for size. */
export const longestToken = 40;

/** Units that may be written against their number (`0.5mm`); both spellings give the number and the unit as two tokens. */
const units = new Set(
  'mm cm m km in inch inches ft ml cl l litre litres oz lb g gr kg mg gsm lbs pt pc pcs pk w v mb gb tb'.split(' '),
);

const word = /\p{N}+(?:\.\p{N}+)*\p{L}+[\p{L}\p{N}]*|\.?\p{N}+(?:\.\p{N}+)*|\p{L}[\p{L}\p{N}]*/gu;
const numberThenLetters = /^([\p{N}.]+)(\p{L}+)$/u;
const hasDigit = /\d/;
const decimal = /^\d*\.?\d+$/;
/** "30x40" is two amounts: the sign between them stands apart, as it does in "30 x 40". */
const betweenAmounts = /(?<=\d)\s*[x×]\s*(?=\d)/g;

/** One spelling for a number: `0.50` and `.5` are `0.5`; `007` stays, being a code rather than an amount. */
function plainNumber(text: string): string {
  if (!decimal.test(text)) return text;
  let number = text.startsWith('.') ? `0${text}` : text;
  if (number.includes('.')) number = number.replace(/0+$/, '').replace(/\.$/, '');
  return number;
}

const foldedFor = (text: string): string => fold(text).replace(betweenAmounts, ' x ');

const letterA = 97;
const letterZ = 122;

/**
 * The same for a text of plain letters: ASCII without a digit, which most texts are. Runs of letters are its words;
 * walking the characters is several times as fast as the pattern. Answers false, having told nothing, for other texts.
 */
function splitPlain(folded: string, tell: (token: string, from: number) => void): boolean {
  for (let at = 0; at < folded.length; at++) {
    const unit = folded.charCodeAt(at);
    if (unit > 127 || (unit >= 48 && unit <= 57)) return false;
  }
  let from = -1;
  for (let at = 0; at <= folded.length; at++) {
    const unit = at < folded.length ? folded.charCodeAt(at) : 0;
    if (unit >= letterA && unit <= letterZ) {
      if (from < 0) from = at;
    } else if (from >= 0) {
      tell(folded.slice(from, Math.min(at, from + longestToken)), from);
      from = -1;
    }
  }
  return true;
}

/** Splits a folded text; `tell` gets each token and where in the text it begins. */
function split(folded: string, tell: (token: string, from: number) => void): void {
  if (splitPlain(folded, tell)) return;
  for (const match of folded.matchAll(word)) {
    const found = match[0];
    const amount = numberThenLetters.exec(found);
    if (amount && units.has(amount[2]!)) {
      tell(plainNumber(amount[1]!), match.index);
      tell(amount[2]!, match.index + amount[1]!.length);
    } else if (/^[\d.]/.test(found)) tell(plainNumber(found).slice(0, longestToken), match.index);
    else tell(found.slice(0, longestToken), match.index);
  }
}

/**
 * Splits a text into folded tokens in reading order. Letters and digits make tokens, a point between digits belongs
 * to the number, a unit written against its number is split off; all else separates. Cost is linear in the length.
 */
export function tokenize(text: string): string[] {
  const tokens: string[] = [];
  split(foldedFor(text), (token) => tokens.push(token));
  return tokens;
}

/** An amount with a unit among a text's tokens: it stands for the tokens [at, to). */
export interface TokenQuantity {
  readonly token: string;
  readonly at: number;
  readonly to: number;
  readonly isDoubtful: boolean;
}

export interface ReadWords {
  readonly tokens: readonly string[];
  readonly quantities: readonly TokenQuantity[];
}

/** The tokens of a text, and the quantities that stand among them. */
export function readWords(text: string): ReadWords {
  const folded = foldedFor(text);
  const tokens: string[] = [];
  const starts: number[] = [];
  split(folded, (token, from) => {
    tokens.push(token);
    starts.push(from);
  });
  if (!hasDigit.test(folded)) return { tokens, quantities: [] };
  const firstFrom = (offset: number): number => {
    const at = starts.findIndex((start) => start >= offset);
    return at < 0 ? starts.length : at;
  };
  const quantities = findQuantities(folded).map((found) => ({
    token: quantityToken(found),
    at: firstFrom(found.from),
    to: firstFrom(found.to),
    isDoubtful: found.isDoubtful,
  }));
  return { tokens, quantities };
}

/** A part number with everything dropped but letters and digits, so that `WU-2041B` and `wu 2041 b` are one. */
export function normalizeCode(text: string): string {
  return fold(text).replace(/[^\p{L}\p{N}]+/gu, '');
}

/** Whether a token is number-like: such tokens are never corrected, since the nearest number is another product. */
export function isNumberLike(token: string): boolean {
  return /\p{N}/u.test(token);
}
