/** How an attribute's values are read. */
export type AttributeKind = 'text' | 'list' | 'path' | 'number' | 'price' | 'date' | 'code' | 'link';

export interface StandardColumn {
  readonly key: string;
  readonly label: string;
  readonly kind: AttributeKind;
  /** How the amounts of a family's variants become one for tie-breakers: sold units add up, a date is the latest. */
  readonly ofFamily?: 'sum' | 'most' | 'least';
}

/** The column names an import understands without being told. Any other column becomes an attribute of its own. */
export const standardColumns: readonly StandardColumn[] = [
  { key: 'id', label: 'Id', kind: 'code' },
  { key: 'family', label: 'Family', kind: 'code' },
  { key: 'sku', label: 'SKU', kind: 'code' },
  { key: 'title', label: 'Title', kind: 'text' },
  { key: 'description', label: 'Description', kind: 'text' },
  { key: 'brand', label: 'Brand', kind: 'text' },
  { key: 'category', label: 'Category', kind: 'path' },
  { key: 'tags', label: 'Tags', kind: 'list' },
  { key: 'price', label: 'Price', kind: 'price', ofFamily: 'least' },
  { key: 'former_price', label: 'Former price', kind: 'price', ofFamily: 'least' },
  { key: 'cost', label: 'Cost', kind: 'price', ofFamily: 'least' },
  { key: 'stock', label: 'Stock', kind: 'number', ofFamily: 'sum' },
  { key: 'rating', label: 'Rating', kind: 'number', ofFamily: 'most' },
  { key: 'ratings', label: 'Number of ratings', kind: 'number', ofFamily: 'most' },
  { key: 'units_sold', label: 'Units sold', kind: 'number', ofFamily: 'sum' },
  { key: 'date_added', label: 'Date added', kind: 'date', ofFamily: 'most' },
  { key: 'boost', label: 'Boost', kind: 'number', ofFamily: 'most' },
  { key: 'hidden', label: 'Hidden by the file', kind: 'text' },
  { key: 'parts', label: 'Parts', kind: 'list' },
  { key: 'contains', label: 'What is in it', kind: 'list' },
  { key: 'picture', label: 'Picture', kind: 'link' },
  { key: 'link', label: 'Link', kind: 'link' },
];

export const standardColumn: ReadonlyMap<string, StandardColumn> = new Map(
  standardColumns.map((column) => [column.key, column]),
);

/** The attribute computed from `stock`: a record with no stock figure counts as in stock, a shop may not keep any. */
export const availability = { key: 'availability', label: 'Availability', inStock: 'In stock', soldOut: 'Sold out' };
export const availabilityOf = (stock: unknown): string =>
  typeof stock === 'number' && stock <= 0 ? availability.soldOut : availability.inStock;

/** A column's name as an attribute's label: `paper_weight` is shown as `Paper weight`. */
export function labelFromKey(key: string): string {
  const words = key.replace(/[_\-.\s]+/g, ' ').trim();
  return words.charAt(0).toUpperCase() + words.slice(1);
}

/** What an attribute is called that nobody has named. */
export const labelOfKey = (key: string): string => standardColumn.get(key)?.label ?? labelFromKey(key);
