import { firstText } from '../../core/catalog/record.ts';
import { labelFromKey, standardColumn } from '../../core/catalog/standardColumns.ts';
import type { NamesForChanges } from '../../core/setup/describeChange.ts';
import type { CatalogReader } from './catalogReader.ts';

/** Names of attributes and products as a catalog has them. */
export function namesOf(catalog: CatalogReader | null): NamesForChanges {
  const labels = new Map(catalog?.snapshot.attributes.map(({ key, label }) => [key, label]));
  return {
    attribute: (key) => labels.get(key) ?? standardColumn.get(key)?.label ?? labelFromKey(key),
    product: (id) => {
      const record = catalog?.familyRecord(id);
      return record ? `“${firstText(record.values.title)}”` : `“${id}” (no longer in the catalog)`;
    },
  };
}
