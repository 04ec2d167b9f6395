import { expect, test } from '@jest/globals';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import { snapshotBuilder } from './buildSnapshot.ts';
import { patchSnapshot } from './patchSnapshot.ts';
import { openSnapshot } from './snapshot.ts';

const record = (id: string, title: string) => ({
  id: `${id}-1`,
  familyId: id,
  sku: `SKU ${id}`,
  values: { title },
});

test('an index with a patch laid over it knows the same ids, asked once or again', () => {
  const records = [record('b', 'Flat brush'), record('constructor', 'Ink'), record('a', 'Sketch pad')];
  const profiler = attributeProfiler();
  for (const each of records) profiler.add(each);
  const builder = snapshotBuilder(profiler.finish());
  for (const each of records) builder.add(each);
  const built = openSnapshot(builder.finish())!;
  const after = record('b', 'Round brush');
  const patch = patchSnapshot(built, [{ ordinal: 0, before: records[0]!, after }])!;
  const patched = openSnapshot(...built.layers, patch)!;
  for (const snapshot of [built, patched, built]) {
    expect(['a', 'b', 'constructor', 'toString'].map(snapshot.findFamily)).toEqual([2, 0, 1, -1]);
    expect([0, 1, 2].map(snapshot.familyId)).toEqual(['b', 'constructor', 'a']);
    expect([0, 1, 2].map(snapshot.familyRank)).toEqual([1, 2, 0]);
  }
});
