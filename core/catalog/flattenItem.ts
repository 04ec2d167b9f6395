import { named } from '../named.ts';
import type { Cells } from './readRow.ts';

/** How deep an object is looked into, and how many cells one item may fill: what a file says is never trusted for size. */
const deepest = 4;
const mostCells = 400;

const isObject = (value: unknown): value is Record<string, unknown> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
const plain = (value: unknown): string | null =>
  typeof value === 'string' ? value : typeof value === 'number' || typeof value === 'boolean' ? String(value) : null;

/** A nested thing said in one text: its name, title or value. */
function nameOf(value: unknown): string | null {
  if (!isObject(value)) return plain(value);
  for (const key of ['name', 'title', 'label', 'value', 'url', 'src', 'contentUrl', '@id', 'id'])
    if (plain(value[key]) !== null) return plain(value[key]);
  return null;
}

/** Names under which items keep their variants. */
const variantKeys = ['variants', 'hasVariant', 'skus'] as const;

function flattenInto(
  cells: Record<string, string | readonly string[]>,
  value: unknown,
  path: string,
  depth: number,
): void {
  if (value === null || value === undefined || Object.keys(cells).length >= mostCells) return;
  const text = plain(value);
  if (text !== null) {
    if (path) cells[path] = text;
    return;
  }
  if (Array.isArray(value)) {
    // Attributes kept as pairs of name and value become columns of their own.
    const pairs = value.filter(
      (item): item is Record<string, unknown> => isObject(item) && plain(item.name) !== null && 'value' in item,
    );
    if (pairs.length > 0 && pairs.length === value.length) {
      for (const pair of pairs) flattenInto(cells, pair.value, plain(pair.name)!.slice(0, 200), depth + 1);
      return;
    }
    const texts = value.flatMap((item) => nameOf(item) ?? []);
    if (texts.length > 0) cells[path] = texts.slice(0, 500);
    return;
  }
  if (depth >= deepest) return;
  for (const [key, inner] of Object.entries(value as Record<string, unknown>))
    flattenInto(cells, inner, path ? `${path}.${key}` : key, depth + 1);
}

/**
 * The rows of one item of a JSON file: its cells by column name, nested objects as `price.amount`, lists kept; an item
 * with variants in it gives one row for each, with what all share. Anything but an object gives none.
 */
export function flattenItem(item: unknown): Cells[] {
  if (!isObject(item)) return [];
  const key = variantKeys.find((each) => Array.isArray(item[each]) && (item[each] as unknown[]).some(isObject));
  const shared = named<string | readonly string[]>();
  flattenInto(shared, key ? { ...item, [key]: undefined } : item, '', 0);
  if (!key) return [shared];
  return (item[key] as unknown[]).filter(isObject).map((variant) => {
    const single = named<string | readonly string[]>();
    flattenInto(single, variant, '', 0);
    const family = shared.productGroupID ?? shared.id ?? shared.sku ?? shared.handle;
    return named(Object.entries({ ...shared, ...single, ...(family === undefined ? {} : { family }) }));
  });
}
