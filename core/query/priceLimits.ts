import { fold } from '../text/fold.ts';
import { unitNamed } from '../text/quantity.ts';

/** What a search says about the price, apart from the words it looks for. */
export interface PriceLimits {
  /** The search without it. */
  readonly rest: string;
  /** As the shopper said it. */
  readonly text: string;
  /** Both ends included; null where it is open. */
  readonly from: number | null;
  readonly to: number | null;
}

const amount = String.raw`[£$€]?\s?(\d{1,6}(?:[.,]\d{1,2})?)\s?(?:[£$€]|pounds?|euros?|eur|gbp|dollars?|usd)?`;
const below =
  'under|below|less than|up to|at most|cheaper than|unter|bis zu|bis|hochstens|moins de|jusqu a|menos de|hasta';
const above = 'over|above|more than|at least|uber|ab|mindestens|plus de|mas de|desde';
const between = 'between|zwischen|entre';
const and = 'and|und|et|y|to|bis';
const limits = new RegExp(
  String.raw`(?<![\p{L}\p{N}])(?:(${between})\s+${amount}\s+(?:${and})\s+${amount}|(${below})\s+${amount}|(${above})\s+${amount})(?![\p{L}\p{N}.,/])(?:\s*([\p{L}"]+))?`,
  'u',
);

const numberOf = (text: string): number => Number(text.replace(',', '.'));

/**
 * Finds a limit of price in a search: "under 20", "between 5 and 10 pounds", "über 30 €"; null where it says none. A
 * number with another unit behind it ("over 300 gsm") is no price. Cost: linear in the length.
 */
export function findPriceLimits(query: string): PriceLimits | null {
  // Folding a letter never changes how many there are in these languages, or else the search is left alone.
  const folded = fold(query.replaceAll("'", ' ').replaceAll('’', ' '));
  if (folded.length !== query.length) return null;
  const found = limits.exec(folded);
  if (!found) return null;
  const [whole, , least, most, , below, , above, next] = found;
  if (next !== undefined && unitNamed(next)) return null;
  const said = next === undefined ? whole : whole.slice(0, whole.length - next.length);
  const text = query.slice(found.index, found.index + said.length).trim();
  const rest = `${query.slice(0, found.index)} ${query.slice(found.index + said.length)}`.replace(/\s+/g, ' ').trim();
  if (least !== undefined && most !== undefined) {
    const [a, b] = [numberOf(least), numberOf(most)];
    return { rest, text, from: Math.min(a, b), to: Math.max(a, b) };
  }
  return below !== undefined
    ? { rest, text, from: null, to: numberOf(below) }
    : { rest, text, from: numberOf(above!), to: null };
}
