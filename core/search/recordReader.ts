import type { CatalogRecord } from '../catalog/record.ts';

/** Reads a record by its number in the catalog. */
export type RecordReader = (record: number) => CatalogRecord;
