import { named } from '../base/named.ts';
import { flattenItem } from './flattenItem.ts';
import type { Cells } from './readRow.ts';
import type { AttributeValue, CatalogRecord } from './record.ts';
import { firstText, textsOf } from './record.ts';
import { availability } from './standardColumns.ts';
import { quantityText } from './unitCodes.ts';

type Thing = Record<string, unknown>;
const isThing = (value: unknown): value is Thing =>
  typeof value === 'object' && value !== null && !Array.isArray(value);

/** Whether an item is schema.org's `Product` or a group of them. */
export function isJsonLdProduct(item: unknown): item is Thing {
  if (!isThing(item)) return false;
  const types = [item['@type']].flat();
  return types.some(
    (type) =>
      typeof type === 'string' &&
      /^(https?:\/\/schema\.org\/)?(Product|ProductGroup|ProductModel|IndividualProduct)$/.test(type),
  );
}

/** The column that says, in a file's own words, in which others variants differ. */
export const variesBy = 'variesBy';

/** schema.org's names for what has a standard column here; the rest keep their own. */
const renamed: readonly (readonly [string, string])[] = [
  ['name', 'title'],
  ['offers.price', 'price'],
  ['offers.lowPrice', 'price'],
  ['offers.availability', 'stock'],
  ['offers.inventoryLevel', 'stock'],
  ['offers.inventoryLevel.value', 'stock'],
  ['offers.url', 'link'],
  ['url', 'link'],
  ['image', 'picture'],
  ['image.url', 'picture'],
  ['image.contentUrl', 'picture'],
  ['brand.name', 'brand'],
  ['manufacturer.name', 'brand'],
  ['color', 'colour'],
  ['aggregateRating.ratingValue', 'rating'],
  ['aggregateRating.reviewCount', 'ratings'],
  ['aggregateRating.ratingCount', 'ratings'],
  ['isVariantOf.productGroupID', 'family'],
  ['isVariantOf.@id', 'family'],
  ['inProductGroupWithID', 'family'],
  ['productID', 'id'],
  ['@id', 'id'],
  ['keywords', 'tags'],
  ['releaseDate', 'date_added'],
  ['isRelatedTo.sku', 'related'],
];

/** Levels of an item in which amounts are looked for; deeper ones are kept as they are written. */
const deepestAmount = 4;

/** A value with the amounts in it as texts: `{ value: 300, unitCode: 'GM' }` is `300 gsm`, also where it has a name. */
function withAmounts(value: unknown, depth = 0): unknown {
  if (depth > deepestAmount) return value;
  if (Array.isArray(value)) return value.map((item) => withAmounts(item, depth + 1));
  if (!isThing(value)) return value;
  const text = quantityText(value);
  if (text !== null) return typeof value.name === 'string' ? { name: value.name, value: text } : text;
  return named(Object.entries(value).map(([key, inner]) => [key, withAmounts(inner, depth + 1)]));
}

/** The columns in which a group says its variants differ (`https://schema.org/color`), by the names they have here. */
function variedColumns(variesBy: unknown): string[] {
  const names = [variesBy].flat().flatMap((each) => (typeof each === 'string' ? [each] : []));
  const here = new Map(renamed);
  return names.map((name) => name.replace(/^https?:\/\/schema\.org\//, '')).map((name) => here.get(name) ?? name);
}

/**
 * The rows of one schema.org product, one a variant, with the standard columns' names where there is one; null where it
 * has more named values than are taken.
 */
export function rowsOfJsonLd(item: Thing): Cells[] | null {
  const offers = Array.isArray(item.offers) ? item.offers[0] : item.offers;
  const varied = variedColumns(item.variesBy);
  const rows = flattenItem(
    withAmounts({
      ...{ ...item, ...(offers === undefined ? {} : { offers }), '@context': undefined },
      [variesBy]: varied.length > 0 ? varied : undefined,
    }),
  );
  return (
    rows?.map((cells) => {
      const row = named<string | readonly string[]>();
      const left = { ...cells } as Record<string, string | readonly string[]>;
      delete left['@type'];
      delete left['offers.priceCurrency'];
      for (const [from, to] of renamed) {
        const value = left[from];
        delete left[from];
        if (value !== undefined && row[to] === undefined) row[to] = value;
      }
      for (const [key, value] of Object.entries(left)) if (!/(^|\.)@type$/.test(key)) row[key] ??= value;
      if (row.family === undefined && cells.productGroupID !== undefined) row.family = cells.productGroupID;
      return row;
    }) ?? null
  );
}

/** Keys that have a place of their own in schema.org's product; all others are additional properties. */
const placed = new Set([
  'title',
  'description',
  'brand',
  'category',
  'tags',
  'price',
  'stock',
  'rating',
  'ratings',
  'picture',
  'link',
  'colour',
  'material',
  'date_added',
  availability.key,
  'contains',
]);

const amountOrText = (value: AttributeValue): unknown =>
  typeof value === 'number' || typeof value === 'string' ? value : [...value];

/** A record as schema.org's `Product`. What schema.org has no place for goes out as additional properties, nothing is lost. */
export function toJsonLd(record: CatalogRecord, currency: string): Thing {
  const { values } = record;
  const category = textsOf(values.category).at(-1);
  const soldOut = values[availability.key] === availability.soldOut;
  return {
    '@context': 'https://schema.org',
    '@type': 'Product',
    productID: record.id,
    ...(record.sku && { sku: record.sku }),
    name: firstText(values.title),
    ...(values.description !== undefined && { description: firstText(values.description) }),
    ...(values.brand !== undefined && { brand: { '@type': 'Brand', name: firstText(values.brand) } }),
    ...(category !== undefined && { category }),
    ...(values.tags !== undefined && { keywords: textsOf(values.tags) }),
    ...(values.colour !== undefined && { color: amountOrText(values.colour) }),
    ...(values.material !== undefined && { material: amountOrText(values.material) }),
    ...(values.picture !== undefined && { image: firstText(values.picture) }),
    ...(values.link !== undefined && { url: firstText(values.link) }),
    ...(values.date_added !== undefined && { releaseDate: firstText(values.date_added) }),
    ...(record.familyId !== record.id && { isVariantOf: { '@type': 'ProductGroup', productGroupID: record.familyId } }),
    ...(values.rating !== undefined && {
      aggregateRating: {
        '@type': 'AggregateRating',
        ratingValue: values.rating,
        ...(values.ratings !== undefined && { reviewCount: values.ratings }),
      },
    }),
    offers: {
      '@type': 'Offer',
      ...(values.price !== undefined && { price: values.price, priceCurrency: currency }),
      ...(values.stock === undefined
        ? { availability: `https://schema.org/${soldOut ? 'OutOfStock' : 'InStock'}` }
        : { inventoryLevel: { '@type': 'QuantitativeValue', value: values.stock } }),
    },
    additionalProperty: Object.entries(values)
      .filter(([key]) => !placed.has(key) || (key === 'ratings' && values.rating === undefined))
      .map(([key, value]) => ({
        '@type': 'PropertyValue',
        name: key,
        value: key === 'hidden' ? 'yes' : amountOrText(value),
      })),
  };
}
