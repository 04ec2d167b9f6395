import { fold } from '../text/fold.ts';
import { tokenize } from '../text/tokenize.ts';
import type { Joining } from './mappingSchema.ts';
import { type AttributeValue, firstText, textsOf } from './record.ts';

/** What of a row decides which family it belongs to. */
export interface Joinable {
  readonly id: string;
  readonly sku: string;
  /** What the family column says, or empty. */
  readonly named: string;
  readonly values: Readonly<Record<string, AttributeValue>>;
}

const longestId = 200;

/** The part of a part number that a family's variants share, or the whole where nothing can be cut off. */
export function skuStem(sku: string, cut: 'letters' | 'group'): string {
  const found =
    cut === 'letters' ? /^(.*\d)[A-Za-z]{1,2}\d?$/.exec(sku) : /^(.{2,})[-_. /][A-Za-z0-9]{1,12}$/.exec(sku);
  return found?.[1] ?? sku;
}

/** The title without the words of the options, and the brand: what a family's variants share. */
export function titleStem(values: Joinable['values'], options: readonly string[]): string {
  const optional = new Set(options.flatMap((key) => textsOf(values[key]).flatMap(tokenize)));
  const left = tokenize(firstText(values.title)).filter((token) => !optional.has(token));
  return `${left.join(' ')}${values.brand ? ` / ${fold(firstText(values.brand))}` : ''}`.slice(0, longestId);
}

/** The family a row belongs to. A row about which the way of joining says nothing is a family of its own. */
export function familyOf(row: Joinable, joining: Joining, options: readonly string[]): string {
  switch (joining.by) {
    case 'none':
      return row.id;
    case 'column':
      return row.named || row.id;
    // What a column says of a row is said by a person or a system that knows, and is never guessed anew.
    case 'sku':
      return row.named || (row.sku ? skuStem(row.sku, joining.cut) : row.id);
    case 'title':
      return row.named || titleStem(row.values, options) || row.id;
  }
}
