import { named } from '../base/named.ts';
import { mostValues } from './limits.ts';
import type { Cells } from './readRow.ts';

/**
 * How deep an object is looked into, and how many cells one item may fill: what a file says is never trusted for size.
 * What lies deeper is one cell, written as in the file, so that nothing is left out unseen.
 */
const deepest = 4;
export const mostCells = 2000;

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

/** Values of a list that are looked at: one more than a record may hold, so that a longer list is refused there. */
const mostListed = mostValues + 1;

interface Target {
  readonly cells: Record<string, string | readonly string[]>;
  /** Cells that may still be filled; below zero the item is too large. */
  left: number;
}

function flattenInto(target: Target, value: unknown, path: string, depth: number): void {
  if (value === null || value === undefined || target.left < 0) return;
  const { cells } = target;
  const fill = (cell: string | readonly string[]): void => {
    cells[path] = cell;
    target.left--;
  };
  const text = plain(value);
  if (text !== null) {
    if (path) fill(text);
    return;
  }
  if (Array.isArray(value)) {
    // Attributes kept as pairs of name and value become columns of their own.
    const pairs = value.filter(
      (item): item is Record<string, unknown> => isObject(item) && plain(item.name) !== null && 'value' in item,
    );
    if (pairs.length > 0 && pairs.length === value.length) {
      for (const pair of pairs) flattenInto(target, pair.value, plain(pair.name)!.slice(0, 200), depth + 1);
      return;
    }
    const texts = value.flatMap((item) => nameOf(item) ?? []);
    if (texts.length > 0) fill(texts.slice(0, mostListed));
    return;
  }
  const inside = Object.entries(value as Record<string, unknown>);
  if (depth >= deepest && inside.length > 0) fill(JSON.stringify(value));
  else for (const [key, inner] of inside) flattenInto(target, inner, path ? `${path}.${key}` : key, depth + 1);
}

/**
 * The rows of one item of a JSON file: its cells by column name, nested objects as `price.amount`, lists kept; an item
 * with variants in it gives one row for each, with what all share. Anything but an object gives none; null where it has
 * more named values than are taken.
 */
export function flattenItem(item: unknown): Cells[] | null {
  if (!isObject(item)) return [];
  const key = variantKeys.find((each) => Array.isArray(item[each]) && (item[each] as unknown[]).some(isObject));
  const cellsOf = (value: unknown): Cells | null => {
    const target: Target = { cells: named(), left: mostCells };
    flattenInto(target, value, '', 0);
    return target.left < 0 ? null : target.cells;
  };
  const shared = cellsOf(key ? { ...item, [key]: undefined } : item);
  if (!shared || !key) return shared && [shared];
  const singles = (item[key] as unknown[]).filter(isObject).map(cellsOf);
  if (singles.includes(null)) return null;
  return singles.map((single) => {
    const family = shared.productGroupID ?? shared.id ?? shared.sku ?? shared.handle;
    return named(Object.entries({ ...shared, ...single, ...(family === undefined ? {} : { family }) }));
  });
}
