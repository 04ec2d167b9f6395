import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { catalogLooker } from '../catalog/catalogLooker.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { twinFinder } from '../catalog/twins.ts';
import { randomCatalog, recordsOf } from '../testing/randomCatalog.ts';
import { snapshotBuilder } from './buildSnapshot.ts';
import { catalogIndexer } from './catalogIndexer.ts';

/** The same in three readings, one after another. */
function oneByOne(records: readonly CatalogRecord[]) {
  const profiler = attributeProfiler();
  const twins = twinFinder();
  for (const record of records) {
    profiler.add(record);
    twins.add(record);
  }
  const profiles = profiler.finish();
  const builder = snapshotBuilder(profiles);
  for (const record of records) builder.add(record);
  return { profiles, twins: twins.finish(), snapshot: builder.finish() };
}

function atOnce(records: readonly CatalogRecord[], recordsForGuess: number) {
  const indexer = catalogIndexer('en', recordsForGuess);
  const looker = catalogLooker();
  for (const record of records) {
    looker.add(record);
    if (!looker.isTogether()) indexer.drop();
    indexer.add(record);
  }
  const seen = looker.finish();
  return seen && indexer.finish(seen);
}

test.each([1, 2, 3, 4, 5, 6, 7, 8])('one reading gives what three give (seed %i)', (seed) => {
  const records = randomCatalog(seededRandom(seed), 60);
  const expected = oneByOne(records);
  // Small catalogs are guessed by all their records, larger ones by their first.
  for (const recordsForGuess of [40, records.length, 1000]) {
    const indexed = atOnce(records, recordsForGuess)!;
    expect(indexed.profiles).toEqual(expected.profiles);
    expect(indexed.twins).toEqual(expected.twins);
    if (indexed.snapshot)
      expect(Buffer.compare(new Uint8Array(indexed.snapshot), new Uint8Array(expected.snapshot))).toBe(0);
  }
  expect(atOnce(records, 1000)!.snapshot).not.toBeNull();
});

test('an attribute that only later rows have, or that reads otherwise there, leaves the index to be built by the profiles', () => {
  const plain = { title: 'Sable brush', grip: 'long' };
  const rows = (later: Record<string, string>) =>
    recordsOf(Array.from({ length: 12 }, (_, at) => ({ id: `r${at}`, ...plain, ...(at < 6 ? {} : later) })));
  expect(atOnce(rows({}), 6)!.snapshot).not.toBeNull();
  const others: Record<string, string>[] = [
    { hardness: 'soft' },
    { grip: 'a grip of so many words that nobody would ever choose it from any list of such grips' },
  ];
  for (const later of others) expect(atOnce(rows(later), 6)).toEqual({ ...oneByOne(rows(later)), snapshot: null });
});

test('nothing is said of a catalog whose families are apart', () => {
  const records = ['a', 'b', 'a'].map((family, at) => ({ id: `r${at}`, family, title: 'Easel' }));
  expect(atOnce(recordsOf(records), 2)).toBeNull();
  expect(atOnce(recordsOf(records), 5)).toBeNull();
});

test('of what was dropped, or is not of the same records, no index comes', () => {
  const records = recordsOf(['a', 'b'].map((id) => ({ id, title: 'Easel' })));
  const looker = catalogLooker();
  for (const record of records) looker.add(record);
  const seen = looker.finish()!;
  const fewer = catalogIndexer('en', 1);
  fewer.add(records[0]!);
  expect(fewer.finish(seen)).toBeNull();
  const dropped = catalogIndexer('en', 1);
  dropped.drop();
  for (const record of records) dropped.add(record);
  expect(dropped.finish(seen)).toBeNull();
});
