import type { CatalogRecord } from '../../core/catalog/record.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import type { Workbench } from '../searching/workbench.ts';

/** Some products that stand evenly over the catalog, each as its first record has it. */
export function someProducts({ current, ready }: Workbench, ref: SetupRef, most: number): CatalogRecord[] {
  const { families, familyStart } = ready(ref).view.snapshot;
  const step = Math.max(1, families / most);
  const products: CatalogRecord[] = [];
  for (let family = 0; family < families && products.length < most; family = Math.floor(products.length * step))
    products.push(current.reader.record(familyStart[family]!));
  return products;
}
