import { own } from '../base/named.ts';
import { deepestLevels, levelMark } from '../catalog/levels.ts';
import { mostPictures, pictureOf, picturesOf } from '../catalog/picture.ts';
import { type CatalogRecord, firstText, heldBy, textsOf } from '../catalog/record.ts';
import { availability, labelOfKey } from '../catalog/standardColumns.ts';
import type { Setup } from '../setup/schema.ts';
import { plainTextOf } from '../text/plainTextOf.ts';
import { safeMarkup } from '../text/safeMarkup.ts';
import type { ProductDetail } from './productDetail.ts';
import { variantOptions } from './variantOptions.ts';

/** Attributes with a place of their own on the page, and those that say nothing to a shopper. */
const placed = new Set([
  ...['title', 'brand', 'price', 'former_price', 'stock', 'picture', 'link', 'description', 'sku', 'hidden', 'boost'],
  ...['cost', 'units_sold', 'rating', 'ratings', 'tags', availability.key],
]);

/** What shoppers meet elsewhere, on cards or as filters, is what the page tells too: the shop decides it once. */
function shownAttributes(setup: Setup): { readonly key: string; readonly label: string }[] {
  const labels = new Map<string, string>();
  for (const [key, { onCard }] of Object.entries(setup.attributes)) if (onCard) labels.set(key, labelOfKey(key));
  for (const { attribute, label } of Object.values(setup.filters)) labels.set(attribute, label);
  return [...labels].filter(([key]) => !placed.has(key)).map(([key, label]) => ({ key, label }));
}

const number = (record: CatalogRecord, key: string): number | null => {
  const value = heldBy(record, key);
  return typeof value === 'number' ? value : null;
};
const text = (record: CatalogRecord, key: string): string => deepestLevels(textsOf(heldBy(record, key))).join(', ');

/** Whether a filter is chosen from by the levels of the category. */
const isOfLevels = ([, { attribute, kind, groups }]: readonly [string, Setup['filters'][string]]): boolean =>
  attribute === 'category' && kind === 'tree' && groups === undefined;

/** The levels of a record's deepest category. */
function levelsFor(record: CatalogRecord): string[] {
  const [path = ''] = deepestLevels(textsOf(heldBy(record, 'category'))).sort(
    (a, b) => b.split(levelMark).length - a.split(levelMark).length,
  );
  return path === '' ? [] : path.split(levelMark);
}

/**
 * A product's own page: what its variants share once, and what each differs in. `records` are its variants as they
 * stand under the setup, at least one; null where none may be shown. `written` is the first one's description as the file
 * has it: its markup is shown where nobody has written another one since.
 */
export function describeProduct(
  id: string,
  records: readonly CatalogRecord[],
  setup: Setup,
  written = '',
): Omit<ProductDetail, 'notIndexed' | 'companions' | 'alternatives'> | null {
  const [first] = records;
  if (!first) return null;
  const lines = shownAttributes(setup).map(({ key, label }) => ({
    key,
    label,
    values: records.map((record) => text(record, key)),
  }));
  // A value that is missing here and there says nothing of how variants differ.
  const said = ({ values }: (typeof lines)[number]): string[] => [...new Set(values.filter(Boolean))];
  const isShared = (each: (typeof lines)[number]): boolean => said(each).length <= 1;
  const differing = lines.filter((each) => !isShared(each));
  const path = levelsFor(first);
  const options = variantOptions(differing, records.length);
  const besides = differing.filter((each) => !options.some(({ key }) => key === each.key));
  const prices = records.map((record) => number(record, 'price')).filter((price) => price !== null);
  const isAvailable = (record: CatalogRecord): boolean => record.values[availability.key] !== availability.soldOut;
  const description = firstText(first.values.description);
  const showsBrand = own(setup.attributes, 'brand')?.onCard ?? false;
  return {
    id,
    title: firstText(first.values.title),
    brand: showsBrand ? firstText(first.values.brand) || null : null,
    description,
    descriptionMarkup: plainTextOf(written.trim()) === description ? safeMarkup(written) : null,
    picture: pictureOf(records.find((record) => pictureOf(record) !== null) ?? first),
    pictures: [...new Set(records.flatMap(picturesOf))].slice(0, mostPictures),
    link: firstText(first.values.link) || null,
    currency: setup.storefront.shop.currency,
    lowest: prices.length > 0 ? Math.min(...prices) : null,
    highest: prices.length > 0 ? Math.max(...prices) : null,
    available: records.some(isAvailable),
    details: lines
      .filter(isShared)
      .map((each) => ({ key: each.key, label: each.label, value: said(each)[0] ?? '' }))
      // The levels of the category stand by themselves.
      .filter(({ key, value }) => value !== '' && !(key === 'category' && path.length > 0)),
    path,
    pathFilter: Object.entries(setup.filters).find(isOfLevels)?.[0] ?? null,
    options: options.map(({ key, label, values }) => ({ key, label, values: [...new Set(values)] })),
    variants: records.map((record, at) => {
      const price = number(record, 'price');
      const former = number(record, 'former_price');
      return {
        id: record.id,
        sku: record.sku,
        name:
          differing
            .map(({ values }) => values[at])
            .filter(Boolean)
            .join(', ') || record.sku,
        chosen: options.map(({ values }) => values[at]!),
        details: besides
          .map(({ key, label, values }) => ({ key, label, value: values[at]! }))
          .filter(({ value }) => value !== ''),
        price,
        formerPrice: former !== null && price !== null && former > price ? former : null,
        available: isAvailable(record),
        stock: number(record, 'stock'),
        picture: pictureOf(record),
        pictures: picturesOf(record),
      };
    }),
  };
}
