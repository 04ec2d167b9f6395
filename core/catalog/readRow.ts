import { named, own } from '../base/named.ts';
import { textHash } from '../base/textHash.ts';
import type { Language } from '../text/languages.ts';
import { plainTextOf } from '../text/plainTextOf.ts';
import { familyOf } from './families.ts';
import { mostLevels, mostValues } from './limits.ts';
import { standardMapping, withPattern } from './mapping.ts';
import type { ColumnReading, Mapping } from './mappingSchema.ts';
import { mostPictures } from './picture.ts';
import { readDate } from './readAmount.ts';
import { type AttributeValue, type CatalogRecord, inKeyOrder } from './record.ts';
import { safeLink } from './safeLink.ts';
import { availability, availabilityOf, standardColumn } from './standardColumns.ts';
import { asMeant, readMarked } from './writing.ts';

/** Longest text kept of one value, in characters; a longer one is refused rather than cut unseen. */
export const longestValue = 32_000;
/** The same of descriptions and attributes, which are kept whole though only their beginning is searched. */
export const longestProse = 1_000_000;
const isProse = ({ as }: ColumnReading): boolean => as === 'description' || as === 'attribute';

/** Why a row was not taken: the column to look at, and a sentence for the person who has the file. */
export interface RowRefusal {
  readonly column: string;
  readonly reason: string;
}

export type RowReading = { readonly record: CatalogRecord } | { readonly refusal: RowRefusal };

/** A row's cells by column name; formats that have lists of their own keep them. */
export type Cells = Readonly<Record<string, string | readonly string[]>>;

const refuse = (column: string, reason: string): RowReading => ({ refusal: { column, reason } });

/** The levels of a category path, each with those above it: `Paint > Gouache` gives `Paint` and `Paint > Gouache`. */
export function pathLevels(text: string, separator = '>'): string[] {
  return levelsOf(splitText(text, separator));
}

const levelsOf = (names: readonly string[]): string[] => names.map((_, depth) => names.slice(0, depth + 1).join(' > '));

const splitText = (text: string, separator: string): string[] =>
  (separator === '' ? [text] : text.split(separator)).map((item) => item.trim()).filter(Boolean);

/** What exports write where they have no figure. */
const noFigure = /^(n\/?a|#n\/a|null|none|nil|nan|undefined|unknown|-+|\.|\?)$/i;
const yes = /^(true|yes|y|1|x|ja|oui|si|sí|hidden|versteckt)$/i;
/** Stock described in words, as many exports do. */
const soldOutWords =
  /^(out of stock|outofstock|sold ?out|no|n|false|none|unavailable|ausverkauft|nicht verfügbar|nein|rupture|épuisé|non|agotado|esaurito|discontinued|https?:\/\/schema\.org\/(outofstock|soldout|discontinued))$/i;
const inStockWords =
  /^(in stock|instock|available|yes|y|j|true|limited availability|low stock|verfügbar|lieferbar|auf lager|ja|disponible|en stock|oui|si|sí|disponibile|op voorraad|preorder|pre-order|backorder|https?:\/\/schema\.org\/(instock|limitedavailability|instoreonly|onlineonly|preorder|backorder))$/i;

/** A mapping ready for reading rows: the columns that are taken, and the attributes that are options. */
export interface BoundMapping {
  readonly mapping: Mapping;
  readonly columns: readonly ColumnReading[];
  readonly options: readonly string[];
  /** Whether a column is the id or the SKU. */
  readonly hasId: boolean;
}

export function bindMapping(mapping: Mapping): BoundMapping {
  const columns = mapping.columns.filter(({ as }) => as !== 'skip');
  const options = columns.filter(({ as }) => as === 'option').map(({ key }) => key);
  return { mapping, columns, options, hasId: columns.some(({ as }) => as === 'id' || as === 'sku') };
}

/** An id made of what tells rows apart, where the file has none; empty where a row says nothing there. */
function madeId(cells: Cells, { mapping, hasId }: BoundMapping): string {
  if (hasId || !mapping.identity) return '';
  const texts = mapping.identity.map((column) => textsIn(own(cells, column) ?? '').join('|'));
  return texts.every((text) => text === '') ? '' : textHash(texts.join('\n'));
}

/** What a row is read into before it is a record. */
interface Draft {
  id: string;
  sku: string;
  named: string;
  soldOut: boolean | null;
  levels: string[];
  readonly values: Record<string, AttributeValue>;
}

function textsIn(cell: string | readonly string[]): string[] {
  if (typeof cell !== 'string') return cell.map((text) => text.trim()).filter(Boolean);
  const text = cell.trim();
  return text === '' ? [] : [text];
}

function readFigure(reading: ColumnReading, text: string, kind: string): AttributeValue | RowRefusal | null {
  if (noFigure.test(text)) return null;
  if (kind === 'date')
    return readDate(text) === null ? { column: reading.column, reason: `"${text.slice(0, 40)}" is not a date.` } : text;
  return (
    readMarked(text, reading.writing) ?? { column: reading.column, reason: `"${text.slice(0, 40)}" is not a number.` }
  );
}

/** What is never markup: ids and addresses are kept as they are written. */
const isWritten: ReadonlySet<ColumnReading['as']> = new Set(['skip', 'id', 'sku', 'family', 'picture', 'link']);

/** A pattern with what other columns hold in this row in place of their names: `{value} {unit}`; nothing where they are empty. */
const withNeighbours = (pattern: string, cells: Cells): string =>
  pattern === ''
    ? ''
    : pattern
        .replace(/\{([^{}]+)\}/g, (placeholder, name: string) =>
          name === 'value' ? placeholder : (textsIn(own(cells, name) ?? '')[0] ?? ''),
        )
        .trim();

/** Takes one column into the draft; answers why the row must be refused, or nothing. */
function takeColumn(
  draft: Draft,
  reading: ColumnReading,
  texts: readonly string[],
  cells: Cells,
  language: Language,
): RowRefusal | undefined {
  const { as, key, split, pattern, writing } = reading;
  const first = texts[0]!;
  const isOne = texts.length === 1 && (split === '' || !first.includes(split));
  const several = (): string[] => {
    if (!isOne) return [...new Set(texts.flatMap((text) => splitText(text, split)))];
    const only = first.trim();
    return only === '' ? [] : [only];
  };
  const tooMany = (items: readonly string[]): RowRefusal | undefined =>
    items.length > mostValues
      ? { column: reading.column, reason: `The list has more than ${mostValues} values.` }
      : undefined;
  switch (as) {
    case 'skip':
      return;
    case 'id':
      draft.id ||= first;
      return;
    case 'sku':
      draft.sku ||= first;
      return;
    case 'family':
      draft.named ||= first;
      return;
    case 'category':
      draft.levels.push(...several());
      return draft.levels.length > mostLevels
        ? { column: reading.column, reason: `The category has more than ${mostLevels} levels.` }
        : undefined;
    case 'tags':
    case 'parts': {
      const items = [...((draft.values[as] as string[] | undefined) ?? []), ...several()];
      if (items.length > 0) draft.values[as] = [...new Set(items)];
      return tooMany(items);
    }
    case 'picture': {
      const before = [draft.values.picture ?? []].flat() as string[];
      const items = [...new Set([...before, ...several().map(safeLink).filter(Boolean)])].slice(0, mostPictures);
      if (items.length > 0) draft.values.picture = items.length === 1 ? items[0]! : items;
      return;
    }
    case 'hidden':
      if (yes.test(first)) draft.values.hidden = 'Hidden';
      return;
    case 'attribute':
    case 'option': {
      const filledIn = withNeighbours(pattern, cells);
      const items = several().map((text) => withPattern(filledIn, asMeant(text, writing, language)));
      if (items.length > 0) draft.values[key] = items.length === 1 ? items[0]! : items;
      return tooMany(items);
    }
  }
  if (as === 'stock' && (soldOutWords.test(first) || inStockWords.test(first))) {
    draft.soldOut = soldOutWords.test(first);
    return;
  }
  const kind = standardColumn.get(as)?.kind;
  if (kind === 'number' || kind === 'price' || kind === 'date') {
    const value = readFigure(reading, first, kind);
    if (value !== null && typeof value === 'object' && 'reason' in value) return value;
    if (value !== null) draft.values[as] = value;
    return;
  }
  const text = kind === 'link' ? safeLink(first) : first;
  if (text !== '') draft.values[as] = text;
  return;
}

/**
 * Reads one row by a mapping, as a record. A row without an id (or SKU) or a title, or with a figure of a known role
 * that cannot be read, is refused with the column and the reason; an empty cell just means the record lacks that
 * attribute. The record's values stand in order of their keys, so that equal records are written alike.
 */
export function readRow(cells: Cells, bound: BoundMapping): RowReading {
  const draft: Draft = { id: '', sku: '', named: '', soldOut: null, levels: [], values: named() };
  for (const reading of bound.columns) {
    const cell = own(cells, reading.column);
    let texts = cell === undefined ? [] : textsIn(cell);
    if (texts.length === 0 && reading.otherwise !== undefined) texts = textsIn(own(cells, reading.otherwise) ?? '');
    if (texts.length > 0 && !isWritten.has(reading.as)) texts = texts.map(plainTextOf).filter(Boolean);
    if (texts.length === 0) continue;
    const longest = isProse(reading) ? longestProse : longestValue;
    if (texts.some((text) => text.length > longest))
      return refuse(reading.column, `The text is longer than ${longest} characters.`);
    const refusal = takeColumn(draft, reading, texts, cells, bound.mapping.language ?? 'en');
    if (refusal) return { refusal };
  }
  const { sku, named: familyName, values } = draft;
  const id = draft.id || sku || madeId(cells, bound);
  const columnOf = (role: string): string => bound.columns.find(({ as }) => as === role)?.column ?? role;
  if (!id) return refuse(columnOf('id'), 'The row has no id.');
  if (id.length > 200) return refuse(columnOf('id'), 'The id is longer than 200 characters.');
  if (!values.title) return refuse(columnOf('title'), 'The row has no title.');
  if (draft.levels.length > 0) values.category = levelsOf(draft.levels);
  const availabilityText = draft.soldOut === null ? null : draft.soldOut ? availability.soldOut : availability.inStock;
  values[availability.key] = availabilityText ?? availabilityOf(values.stock);
  const familyId = familyOf({ id, sku, named: familyName, values }, bound.mapping.families, bound.options).slice(
    0,
    200,
  );
  return { record: { id, familyId, sku, values: inKeyOrder(values) } };
}

const standardBindings = new Map<string, BoundMapping>();

/** Reads a row whose cells have the standard names. */
export function readStandardRow(cells: Cells): RowReading {
  const names = Object.keys(cells);
  const key = names.join('\n');
  let bound = standardBindings.get(key);
  if (!bound) {
    bound = bindMapping(standardMapping(names));
    if (standardBindings.size > 100) standardBindings.clear();
    standardBindings.set(key, bound);
  }
  return readRow(cells, bound);
}
