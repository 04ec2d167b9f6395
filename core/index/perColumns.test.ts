import { expect, test } from '@jest/globals';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { recordsOf } from '../testing/randomCatalog.ts';
import { snapshotBuilder } from './buildSnapshot.ts';
import { patchSnapshot } from './patchSnapshot.ts';
import { perColumns } from './perColumns.ts';
import { openSnapshot } from './snapshot.ts';

const rows = Array.from({ length: 12 }, (_, at) => ({
  ...{ id: `r${at}`, title: `Brush ${at}`, colour: ['Red', 'Blue'][at % 2]!, size: ['2', '4', '6'][at % 3]! },
  ...{ tags: at % 2 ? 'new|sale' : 'new', price: `${at + 1}` },
}));
const records = recordsOf(rows);
const profiler = attributeProfiler();
for (const record of records) profiler.add(record);
const builder = snapshotBuilder(profiler.finish());
for (const record of records) builder.add(record);
const base = openSnapshot(builder.finish())!;
const patched = (change: Partial<(typeof rows)[number]>, at = 3) => {
  const [after] = recordsOf([{ ...rows[at]!, ...change }]) as [CatalogRecord];
  return openSnapshot(...base.layers, patchSnapshot(base, [{ ordinal: at, before: records[at]!, after }])!)!;
};

test('what is made of columns is made again only where a patch changes them', () => {
  const remember = perColumns<object>(50);
  const madeOf = (snapshot: typeof base, ...attributes: string[]) => remember(snapshot, attributes, 'x', () => ({}));
  const [colour, price, both] = [madeOf(base, 'colour'), madeOf(base, 'price'), madeOf(base, 'colour', 'tags')];
  const titled = patched({ title: 'Another brush' });
  expect(madeOf(titled, 'colour')).toBe(colour);
  expect(madeOf(titled, 'price')).toBe(price);
  // All values stand in one array; those of other attributes are what they were.
  const sized = patched({ size: '6' });
  expect(madeOf(sized, 'colour')).toBe(colour);
  expect(madeOf(sized, 'colour', 'tags')).toBe(both);
  const recoloured = patched({ colour: 'Red' });
  expect(madeOf(recoloured, 'colour')).not.toBe(colour);
  expect(madeOf(recoloured, 'price')).toBe(price);
  expect(madeOf(patched({ colour: 'Green' }), 'colour')).not.toBe(colour);
  expect(madeOf(patched({ tags: 'sale' }), 'colour', 'tags')).not.toBe(both);
  expect(madeOf(patched({ price: '99' }), 'price')).not.toBe(price);
  // Another setting is another thing, and changed back is the same again.
  expect(remember(base, ['colour'], 'y', () => ({}))).not.toBe(colour);
  expect(madeOf(patched({ colour: 'Blue' }, 2), 'colour')).not.toBe(colour);
  expect(madeOf(base, 'colour')).toBe(colour);
});
