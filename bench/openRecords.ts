import { attributeProfiler } from '../core/catalog/profileAttributes.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';
import { snapshotBuilder } from '../core/index/buildSnapshot.ts';
import { openSnapshot } from '../core/index/snapshot.ts';
import { openEngine, prepareSetup } from '../core/search/prepareSetup.ts';
import { initialSetup } from '../core/setup/initialSetup.ts';

/** Records indexed and opened under the setup that a shop begins with. */
export function openRecords(records: readonly CatalogRecord[]) {
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish());
  for (const record of records) builder.add(record);
  const snapshot = openSnapshot(builder.finish())!;
  const engine = openEngine(snapshot);
  return { snapshot, engine, prepared: prepareSetup(engine, initialSetup(snapshot.attributes), 0) };
}
