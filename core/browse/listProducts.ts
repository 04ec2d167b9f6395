import { onDay } from '../conditions/asked.ts';
import { type BoundFilter, bindFilter } from '../facets/boundFilter.ts';
import type { ChosenFilters } from '../facets/chosenFilters.ts';
import { testFilters } from '../facets/filters.ts';
import { isHidden } from '../index/recordMask.ts';
import { findExactSku } from '../query/readUnits.ts';
import { findMatches } from '../search/findMatches.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { tokenize } from '../text/tokenize.ts';

/** Which products (or variants) of the catalog to list, and in what order. Hidden and sold-out ones are listed too. */
export interface ListRequest {
  readonly query: string;
  /** By attribute: texts of which any, or one range as in filters. */
  readonly filters: ChosenFilters;
  /** Attributes the record must not have. */
  readonly missing: readonly string[];
  readonly state: 'all' | 'decided' | 'hidden' | 'soldOut';
  readonly kind: 'products' | 'variants';
  /** An attribute, or empty for catalog order. */
  readonly sort: string;
  readonly direction: 'up' | 'down';
}

/** Filters over any attribute of the catalog, whether or not the shop has one for it. */
function filtersFor({ snapshot }: Engine, chosen: ChosenFilters, today: number): BoundFilter[] {
  return Object.keys(chosen).map((attribute) =>
    bindFilter(
      snapshot,
      attribute,
      {
        attribute,
        label: attribute,
        kind: snapshot.numbers.has(attribute) ? 'range' : 'ticks',
        order: 0,
        counts: false,
        valueOrder: 'count',
      },
      {},
      onDay(today),
    ),
  );
}

function wantedRecords(engine: Engine, prepared: PreparedSetup, query: string): Uint32Array {
  if (tokenize(query).length === 0) return engine.matcher.all(null).records;
  const sku = findExactSku(engine.snapshot, query);
  const { records } = findMatches(engine, prepared, query, { typing: true, keepAll: sku >= 0, hidden: null }).matches;
  return sku < 0 || records.includes(sku) ? records.slice() : Uint32Array.from([...records, sku]).sort();
}

/** By record or family, something to order by: a number, NaN where there is none. */
function sortValues({ snapshot }: Engine, request: ListRequest): ((item: number) => number) | null {
  const { sort, kind } = request;
  const numbers = snapshot.numbers.get(sort);
  if (numbers) return kind === 'products' ? (item) => numbers.ofFamily(item) : (item) => numbers.ofRecord(item);
  const values = snapshot.values.get(sort);
  if (!values) return null;
  // Values are numbered in order of their texts.
  const ofRecord = (record: number): number => {
    const value = values.first(record);
    return value < 0 ? Number.NaN : value;
  };
  return kind === 'products' ? (item) => ofRecord(snapshot.recordsOf(item)[0]) : ofRecord;
}

/**
 * The numbers of the families (or records) asked for, in order; what lacks the attribute sorted by comes last, equals
 * in catalog order. `decided` are the families with decisions. Cost: a pass over the records found, and a sort.
 */
export function listProducts(
  engine: Engine,
  prepared: PreparedSetup,
  request: ListRequest,
  decided: ReadonlySet<number>,
): Uint32Array {
  const { snapshot } = engine;
  const found = wantedRecords(engine, prepared, request.query);
  const filters = filtersFor(engine, request.filters, prepared.today);
  const { failing } = testFilters(filters, request.filters, found, engine.failing);
  const missing = request.missing.flatMap(
    (attribute) => snapshot.values.get(attribute) ?? snapshot.numbers.get(attribute) ?? [],
  );
  const lacks = (record: number): boolean =>
    missing.every((column) => ('first' in column ? column.first(record) < 0 : Number.isNaN(column.ofRecord(record))));
  const stands = (record: number): boolean => {
    if (request.state === 'decided') return decided.has(snapshot.recordFamily[record]!);
    if (request.state === 'hidden') return isHidden(prepared.hidden, record);
    if (request.state === 'all') return true;
    if (request.kind === 'variants') return engine.inStock[record] === 0;
    return engine.familyInStock[snapshot.recordFamily[record]!] === 0;
  };
  const items: number[] = [];
  let last = -1;
  for (const record of found) {
    if ((failing !== null && failing[record] !== 0) || !lacks(record) || !stands(record)) continue;
    const item = request.kind === 'products' ? snapshot.recordFamily[record]! : record;
    if (item !== last) items.push(item);
    last = item;
  }
  const sortValue = sortValues(engine, request);
  if (!sortValue) return Uint32Array.from(items);
  const values = items.map(sortValue);
  const sign = request.direction === 'up' ? 1 : -1;
  const order = items
    .map((_, at) => at)
    .sort((a, b) => {
      const [x, y] = [values[a]!, values[b]!];
      if (Number.isNaN(x) || Number.isNaN(y)) return Number(Number.isNaN(x)) - Number(Number.isNaN(y)) || a - b;
      return sign * (x - y) || a - b;
    });
  return Uint32Array.from(order, (at) => items[at]!);
}
