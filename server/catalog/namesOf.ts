import { firstText } from '../../core/catalog/record.ts';
import { labelOfKey } from '../../core/catalog/standardColumns.ts';
import type { NamesForChanges } from '../../core/setup/terms/part.ts';
import type { CatalogReader } from './catalogReader.ts';

/** Names by catalog: the same object as long as the catalog is the same. */
const known = new WeakMap<CatalogReader, NamesForChanges>();
const ofNone = makeNames(null);

/** Names of attributes and products as a catalog has them. */
export function namesOf(catalog: CatalogReader | null): NamesForChanges {
  if (!catalog) return ofNone;
  const names = known.get(catalog) ?? makeNames(catalog);
  known.set(catalog, names);
  return names;
}

function makeNames(catalog: CatalogReader | null): NamesForChanges {
  const labels = new Map(catalog?.snapshot.attributes.map(({ key, label }) => [key, label]));
  return {
    attribute: (key) => labels.get(key) ?? labelOfKey(key),
    product: (id) => {
      const record = catalog?.familyRecord(id);
      return record ? `“${firstText(record.values.title)}”` : `“${id}” (no longer in the catalog)`;
    },
  };
}
