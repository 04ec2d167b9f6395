import type { ValueOrder } from '../setup/terms/filterTerms.ts';
import { fold } from '../text/fold.ts';
import { findQuantities } from '../text/quantity.ts';
import { amountIn } from './valueGroups.ts';

type Part = string | number;

const collator = new Intl.Collator('en');
const clothing = ['xxxs', 'xxs', 'xs', 's', 'm', 'l', 'xl', 'xxl', 'xxxl'];
/** Sizes of clothing as numbers beside each other: 3XL is XXXL. */
function clothingSize(folded: string): number {
  const long = /^([2-5])x([sl])$/.exec(folded);
  const name = long ? 'x'.repeat(Number(long[1])) + long[2]! : folded;
  return clothing.indexOf(name);
}

/**
 * What a value is put in natural order by: its numbers as numbers, and sizes as those who use them order them, from
 * small to large. Brushes of 10/0 are finer than 3/0 (or 000), those than 0; A4 is smaller than A3.
 */
function naturalParts(text: string): readonly Part[] {
  const folded = fold(text).trim();
  const noughts = /^(?:(\d{1,2})\/0|(0{2,}))$/.exec(folded);
  if (noughts) return [noughts[1] === undefined ? -noughts[2]!.length : -Number(noughts[1])];
  const paper = /^([a-c])(\d{1,2})(?!\d)(.*)$/.exec(folded);
  if (paper) return [paper[1]!, -Number(paper[2]), paper[3]!.trim()];
  const worn = clothingSize(folded);
  // Before any other text, since a shop that has sizes of clothing has few other words among them.
  if (worn >= 0) return ['', worn];
  return (folded.match(/\d+(?:[.,]\d+)?|[^\d]+/g) ?? []).map((part) =>
    /^\d/.test(part) ? Number(part.replace(',', '.')) : part.trim(),
  );
}

/** Numbers before texts, each among themselves; the beginning of another before it. */
function compareParts(a: readonly Part[], b: readonly Part[]): number {
  for (let at = 0; at < Math.min(a.length, b.length); at++) {
    const [first, other] = [a[at]!, b[at]!];
    if (typeof first !== typeof other) return typeof first === 'number' ? -1 : 1;
    const apart = typeof first === 'number' ? first - (other as number) : collator.compare(first, other as string);
    if (apart !== 0) return apart;
  }
  return a.length - b.length;
}

const byText = (a: string, b: string): number => collator.compare(a, b) || (a < b ? -1 : a > b ? 1 : 0);

/** By what an amount is an amount of, then how much; what has no amount stands last. */
function amountParts(text: string): readonly Part[] {
  const [quantity] = findQuantities(fold(text));
  const amount = amountIn(text);
  return amount === null ? ['~'] : [0, quantity ? 1 : 0, ...(quantity ? [quantity.dimension] : []), amount];
}

/** Puts texts in an order that does not depend on counts; equal ones by their texts, so that it is total. */
function sortTexts(texts: readonly string[], order: Exclude<ValueOrder, 'count'>, byHand: readonly string[]): string[] {
  if (order === 'name') return [...texts].sort(byText);
  const partsOf = order === 'amount' ? amountParts : naturalParts;
  const place = new Map(order === 'hand' ? byHand.map((text, at) => [text, at]) : []);
  return texts
    .map((text) => ({ text, parts: partsOf(text), at: place.get(text) ?? Number.MAX_SAFE_INTEGER }))
    .sort((a, b) => a.at - b.at || compareParts(a.parts, b.parts) || byText(a.text, b.text))
    .map(({ text }) => text);
}

/** By value number, its place in an order that does not depend on counts; values by hand come first, others naturally. */
export function placesOf(
  names: readonly string[],
  order: Exclude<ValueOrder, 'count'>,
  byHand: readonly string[] = [],
): Uint32Array {
  const places = new Uint32Array(names.length);
  const numberOf = new Map(names.map((name, number) => [name, number]));
  for (const [place, text] of sortTexts(names, order, byHand).entries()) places[numberOf.get(text)!] = place;
  return places;
}
