import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { patchSnapshot } from '../index/patchSnapshot.ts';
import { openSnapshot, type Snapshot } from '../index/snapshot.ts';
import { squash } from '../index/squash.ts';
import { randomCatalog, randomQuery, randomSetup } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

function build(records: readonly CatalogRecord[], like: readonly CatalogRecord[]): Snapshot {
  const profiler = attributeProfiler();
  for (const record of like) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish());
  for (const record of records) builder.add(record);
  return openSnapshot(builder.finish())!;
}

test('a search of a patched index answers as one of an index built anew, explanations included', () => {
  let [found, patched] = [0, 0];
  for (let seed = 1; seed <= 8; seed++) {
    const random = seededRandom(seed);
    const first = randomCatalog(random, 30);
    let records: readonly CatalogRecord[] = first;
    let snapshot = build(first, first);
    for (let turn = 0; turn < 3; turn++) {
      // Words of other records' titles, so that some stand in patched rows and others of the same search do not.
      const next = records.map((record): CatalogRecord => {
        if (random() > 0.15) return record;
        const [one, other] = [pick(random, records), pick(random, records)].map(({ values }) => String(values.title));
        const title = `${one!.split(' ')[0]} ${other!.split(' ').at(-1)} ${pick(random, ['new', 'brush', 'ink'])}`;
        return { ...record, values: { ...record.values, title } };
      });
      const changes = next.flatMap((after, ordinal) =>
        after === records[ordinal] ? [] : [{ ordinal, before: records[ordinal]!, after }],
      );
      const patch = patchSnapshot(snapshot, changes);
      if (patch) snapshot = squash(openSnapshot(...snapshot.layers, patch)!);
      records = next;
      patched += snapshot.postings.patched.record.length;
      const fresh = build(records, first);
      const queries = Array.from({ length: 8 }, () => randomQuery(random));
      const titles = Array.from({ length: 4 }, () => String(pick(random, records).values.title));
      const setup = randomSetup(random, fresh, queries);
      const [ours, theirs] = [openEngine(snapshot), openEngine(fresh)];
      const [mine, its] = [prepareSetup(ours, setup, 0), prepareSetup(theirs, setup, 0)];
      for (const query of [...queries, ...titles]) {
        const request = { query, filters: {}, page: 1, limit: 24, explain: true, marks: true };
        const answer = search(ours, mine, request, (record) => records[record]!);
        expect({ seed, query, answer }).toEqual({
          ...{ seed, query },
          answer: search(theirs, its, request, (record) => records[record]!),
        });
        found += answer.total;
      }
    }
  }
  expect(found).toBeGreaterThan(300);
  expect(patched).toBeGreaterThan(300);
});
