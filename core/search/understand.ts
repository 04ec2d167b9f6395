import { findPriceLimits, type PriceLimits } from '../query/priceLimits.ts';
import { knowsIn, readUnits } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { SearchRequest } from './searchRequest.ts';

/** A search as it is understood: the words to look for, and what was recognised besides them. */
export interface Understood {
  readonly query: string;
  readonly price: PriceLimits | null;
  /** In the units of `query`, without what narrows the results. */
  readonly strong: readonly Recognised[];
  readonly narrowing: readonly Recognised[];
}

/** Takes limits of price, and then what names values or conditions, out of a search; `narrow` says whether any may. */
export function understand(
  { snapshot }: Engine,
  { vocabulary, recogniser }: PreparedSetup,
  { query: typed, asWords = [] }: SearchRequest,
  narrow: boolean,
): Understood {
  const limits = vocabulary.recognisesPrice ? findPriceLimits(typed) : null;
  const price = limits && !asWords.includes(limits.text) ? limits : null;
  const query = price?.rest ?? typed;
  if (!recogniser.isOn) return { query, price, strong: [], narrowing: [] };
  const knows = knowsIn(snapshot);
  const skipped = new Set(asWords);
  const found = recogniser.recognise(readUnits(query, knows), skipped);
  const narrowing = narrow ? found.filter(({ as }) => as === 'filter') : [];
  if (narrowing.length === 0) return { query, price, strong: found.filter(({ as }) => as === 'strong'), narrowing };
  const left = readUnits(query, knows).filter((_, at) => !narrowing.some(({ from, to }) => from <= at && at < to));
  const rest = left.map(({ text }) => text).join(' ');
  const strong = recogniser.recognise(readUnits(rest, knows), skipped).filter(({ as }) => as === 'strong');
  return { query: rest, price, strong, narrowing };
}
