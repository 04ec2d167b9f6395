/** Why replacing a catalog is asked about first. */
export const concernCodes = ['shown-products-gone', 'many-gone', 'many-prices', 'many-refused'] as const;
export type ConcernCode = (typeof concernCodes)[number];

export interface Concern {
  readonly code: ConcernCode;
  readonly message: string;
  /** Some of what it is about: titles. */
  readonly examples: string[];
}

/** What a new catalog does to the one in force, in records, and what of its file could not be read. */
export interface Replacement {
  /** Records in force. */
  readonly before: number;
  readonly gone: number;
  /** Records in both, and of those the ones whose price is another. */
  readonly compared: number;
  readonly pricesChanged: number;
  /** Titles of products that would be gone and are on the first page of a search shoppers make often. */
  readonly shownGone: readonly string[];
  /** Rows of the file that were taken, and refused, lines swallowed by an unmatched quote included. */
  readonly rows: number;
  readonly refused: number;
}

/** Share of a catalog from which on something is many, and the fewest records that are worth a question. */
const manyShare = 0.2;
const refusedShare = 0.02;
const fewest = 10;
const examplesShown = 5;

const isMany = (part: number, whole: number, share: number): boolean => part >= fewest && part > whole * share;
const figures = new Intl.NumberFormat('en');
const figure = (count: number): string => figures.format(count);
const counted = (count: number, one: string, many: string): string => `${figure(count)} ${count === 1 ? one : many}`;

/** What a merchandiser is to be asked about before a catalog is replaced; nothing where it can be replaced at once. */
export function replaceConcerns(replacement: Replacement): Concern[] {
  const { before, gone, compared, pricesChanged, shownGone, rows, refused } = replacement;
  const concerns: Concern[] = [];
  if (shownGone.length > 0)
    concerns.push({
      code: 'shown-products-gone',
      message: `${counted(shownGone.length, 'product', 'products')} on the first page of frequent searches ${shownGone.length === 1 ? 'is' : 'are'} not in the new catalog.`,
      examples: shownGone.slice(0, examplesShown),
    });
  if (isMany(gone, before, manyShare))
    concerns.push({
      code: 'many-gone',
      message: `${figure(gone)} of ${figure(before)} variants are not in the new catalog.`,
      examples: [],
    });
  if (isMany(pricesChanged, compared, manyShare))
    concerns.push({
      code: 'many-prices',
      message: `${figure(pricesChanged)} of ${figure(compared)} variants get another price.`,
      examples: [],
    });
  if (isMany(refused, rows + refused, refusedShare))
    concerns.push({
      code: 'many-refused',
      message: `${figure(refused)} of ${figure(rows + refused)} rows of the file could not be read. Look at the refused rows first.`,
      examples: [],
    });
  return concerns;
}
