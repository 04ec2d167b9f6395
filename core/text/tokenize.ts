import { fold } from './fold.ts';
import { longestToken, PlainText } from './plainText.ts';
import { findQuantities, quantityToken } from './quantity.ts';
import { withPlainForms } from './writtenForms.ts';

/** Units that may be written against their number (`0.5mm`); both spellings give the number and the unit as two tokens. */
const units = new Set(
  'mm cm m km in inch inches ft ml cl l litre litres oz lb g gr kg mg gsm lbs pt pc pcs pk w v mb gb tb mw kw mv kv ma mah ah hz khz mhz ghz ohm ohms kohm mohm ω kω mω pf nf uf μf'.split(
    ' ',
  ),
);

const word = /\p{N}+(?:\.\p{N}+)*\p{L}+[\p{L}\p{N}]*|\.?\p{N}+(?:\.\p{N}+)*|\p{L}[\p{L}\p{N}]*/gu;
const numberThenLetters = /^([\p{N}.]+)(\p{L}+)$/u;
const hasDigit = /\d/;
/** Part numbers as most shops write them: the short pattern says the same of them as the one for every script. */
const plainCode = /^[\x20-\x7e]*$/;
/** What nothing is to be dropped of. */
const bareCode = /^[a-z0-9]*$/;
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

/** The text as words are looked for in it. */
function foldedFor(text: string): string {
  const folded = fold(withPlainForms(text));
  // The pattern looks back at every letter; most texts have no digit for it to find, which is seen far sooner.
  return hasDigit.test(folded) ? folded.replace(betweenAmounts, ' x ') : folded;
}

/** Splits a folded text; `visit` gets each token and where in the text it begins. */
function split(folded: string, visit: (token: string, from: number) => void): void {
  for (const match of folded.matchAll(word)) {
    const found = match[0];
    const amount = numberThenLetters.exec(found);
    if (amount && units.has(amount[2]!)) {
      visit(plainNumber(amount[1]!), match.index);
      visit(amount[2]!, match.index + amount[1]!.length);
    } else if (/^[\d.]/.test(found)) visit(plainNumber(found).slice(0, longestToken), match.index);
    else visit(found.slice(0, longestToken), match.index);
  }
}

const plain = new PlainText();

/**
 * Splits a text into folded tokens in reading order. Letters and digits make tokens, a point between digits belongs
 * to the number, a unit written against its number is split off; all else separates. Cost is linear in the length.
 */
export function tokenize(text: string): string[] {
  if (plain.read(text)) return plain.tokens();
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
  if (plain.read(text)) return { tokens: plain.tokens(), quantities: [] };
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
  if (bareCode.test(text)) return text;
  const folded = fold(text);
  return folded.replace(plainCode.test(folded) ? /[^a-z0-9]+/g : /[^\p{L}\p{N}]+/gu, '');
}

/** Whether a token is number-like: such tokens are never corrected, since the nearest number is another product. */
export function isNumberLike(token: string): boolean {
  return /\p{N}/u.test(token);
}
