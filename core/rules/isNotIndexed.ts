import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import type { Setup } from '../setup/schema.ts';
import { holdsAt, type When } from '../setup/terms/span.ts';

/** Whether a hiding that is in force keeps a product, by its records, from search engines too. */
export const isNotIndexed = (
  { hiding }: Pick<Setup, 'hiding'>,
  records: readonly CatalogRecord[],
  when: When,
): boolean =>
  Object.values(hiding).some(
    (entry) =>
      entry.notIndexed &&
      holdsAt(entry, when) &&
      records.some(({ familyId, values }) =>
        entry.what === 'product' ? entry.product === familyId : textsOf(values.tags).includes(entry.tag),
      ),
  );
