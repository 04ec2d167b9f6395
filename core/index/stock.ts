import { availability } from '../catalog/standardColumns.ts';
import { perColumns } from './perColumns.ts';
import type { Snapshot } from './snapshot.ts';

/**
 * What is in stock: 1, else 0; 1 too where the catalog does not say. A product is in stock where at least one of its
 * variants is, and sold out where none is: wherever shoppers or merchandisers are told of it, this is meant. Variants
 * that the file hides do not count, but in a product that it hides altogether.
 */
export interface Stock {
  readonly byRecord: Uint8Array;
  readonly byFamily: Uint8Array;
}

/** The attributes that say what is in stock. */
export const stockAttributes = [availability.key, 'hidden'] as const;

const known = perColumns<Stock>(8);
/** Cost: a pass over the records, once for each way they stand. */
export const stockOf = (snapshot: Snapshot): Stock => known(snapshot, stockAttributes, '', () => countStock(snapshot));

function countStock(snapshot: Snapshot): Stock {
  const { records, families, recordFamily, values } = snapshot;
  const byRecord = new Uint8Array(records).fill(1);
  const column = values.get(availability.key);
  const soldOut = column?.find(availability.soldOut) ?? -1;
  if (!column || soldOut < 0) return { byRecord, byFamily: new Uint8Array(families).fill(1) };
  const wanted = new Uint8Array(column.size);
  wanted[soldOut] = 1;
  const byFile = values.get('hidden');
  const anyMark = new Uint8Array(byFile?.size ?? 0).fill(1);
  const byFamily = new Uint8Array(families);
  const isSeen = new Uint8Array(families);
  const hiddenStock: number[] = [];
  for (let record = 0; record < records; record++) {
    const family = recordFamily[record]!;
    if (column.hasAny(record, wanted)) byRecord[record] = 0;
    const isHidden = byFile?.hasAny(record, anyMark) ?? false;
    if (!isHidden) isSeen[family] = 1;
    if (byRecord[record] === 0) continue;
    if (isHidden) hiddenStock.push(family);
    else byFamily[family] = 1;
  }
  for (const family of hiddenStock) if (isSeen[family] === 0) byFamily[family] = 1;
  return { byRecord, byFamily };
}
