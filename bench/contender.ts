/** What one search gives: the first products in order, and how many records or products it found. */
export interface Found {
  readonly families: readonly string[];
  readonly total: number;
}

/** One program in the comparison: built from the same records, asked the same queries, for the same work. */
export interface Contender {
  readonly name: string;
  /** How it was set, in a sentence; printed with the figures. */
  readonly settings: string;
  /** A page of 24 products and the counts of eight filters. `typing`: the last word may go on. */
  search(query: string, typing: boolean): Found;
  /** Bytes held for the index, where they can be reported. */
  readonly bytes: number | null;
  readonly buildMilliseconds: number;
  /** What an edit takes until its picture is there; of those that are edited without building anew. */
  edits?(): EditTimes;
}

/** Milliseconds from an edit until the page that shows it is answered, by what is edited. */
export interface EditTimes {
  readonly weight: number;
  readonly price: number;
  readonly title: number;
}

export const pageSize = 24;
export const filterKeys = ['brand', 'category', 'colour', 'material', 'size', 'tags', 'availability', 'price'] as const;
export const textKeys = [
  'title',
  'description',
  'brand',
  'category',
  'colour',
  'material',
  'size',
  'tags',
  'sku',
] as const;
export const weights: Readonly<Record<string, number>> = {
  title: 10,
  sku: 9,
  colour: 6,
  brand: 5,
  category: 4,
  material: 4,
  size: 4,
  tags: 3,
  description: 1,
};
