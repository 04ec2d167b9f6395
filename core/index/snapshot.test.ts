import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { snapshotBuilder } from './buildSnapshot.ts';
import { openSections, packSections } from './sections.ts';
import { openSnapshot } from './snapshot.ts';
import { openStrings, packStrings } from './stringTable.ts';

describe('the container', () => {
  test('gives back every array and the meta as they were', () => {
    const arrays = {
      bytes: Uint8Array.of(1, 2, 255),
      none: new Uint16Array(0),
      words: Uint32Array.of(4294967295, 0),
      amounts: Float64Array.of(Number.NaN, -1.5),
    };
    const sections = openSections(packSections({ name: 'Café “x”' }, arrays))!;
    expect(sections.meta).toEqual({ name: 'Café “x”' });
    expect(sections.u8('bytes')).toEqual(arrays.bytes);
    expect(sections.u16('none').length).toBe(0);
    expect(sections.u32('words')).toEqual(arrays.words);
    expect(sections.f64('amounts')).toEqual(arrays.amounts);
  });

  test('bytes that are no snapshot, or one cut short, are refused rather than read', () => {
    const whole = packSections({}, { words: Uint32Array.of(1, 2, 3, 4) });
    const cut = new SharedArrayBuffer(whole.byteLength - 8);
    new Uint8Array(cut).set(new Uint8Array(whole).subarray(0, cut.byteLength));
    expect(openSections(cut)).toBeNull();
    expect(openSections(new SharedArrayBuffer(64))).toBeNull();
    expect(openSnapshot(new SharedArrayBuffer(0))).toBeNull();
  });
});

test('a sorted string table finds texts and the ranges of prefixes', () => {
  const texts = ['', 'a', 'ab', 'abc', 'abd', 'b', 'é', '水'].sort();
  const table = openStrings(openSections(packSections(null, packStrings('t', texts)))!, 't');
  for (const [index, text] of texts.entries()) expect(table.find(text)).toBe(index);
  expect(table.find('abx')).toBe(-1);
  for (const prefix of ['', 'a', 'ab', 'abc', 'z', '水'])
    expect(table.prefixRange(prefix)[1] - table.prefixRange(prefix)[0]).toBe(
      texts.filter((text) => text.startsWith(prefix)).length,
    );
});

describe('a snapshot', () => {
  const records = randomCatalog(seededRandom(4), 50);
  const snapshot = snapshotOf(records);

  test('knows every family, its records and every part number', () => {
    expect(snapshot.records).toBe(records.length);
    for (const [ordinal, record] of records.entries()) {
      const family = snapshot.findFamily(record.familyId);
      expect(snapshot.familyId(family)).toBe(record.familyId);
      const [from, to] = snapshot.recordsOf(family);
      expect(ordinal >= from && ordinal < to).toBe(true);
      if (record.sku) expect(snapshot.findSku(record.sku.toLowerCase().replace('-', ''))).toBe(ordinal);
    }
    expect(snapshot.findFamily('nobody')).toBe(-1);
  });

  test('holds every value and amount of every record', () => {
    const colours = snapshot.values.get('colour')!;
    for (const [ordinal, record] of records.entries()) {
      const colour = record.values.colour;
      if (typeof colour !== 'string') continue;
      const wanted = new Uint8Array(colours.size);
      wanted[colours.find(colour)] = 1;
      expect(colours.hasAny(ordinal, wanted)).toBe(true);
    }
    const price = snapshot.numbers.get('price')!;
    for (const [ordinal, record] of records.entries())
      expect(price.ofRecord(ordinal)).toBe(record.values.price ?? Number.NaN);
  });

  test('a family that does not come in one piece is our own mistake, and is said', () => {
    const builder = snapshotBuilder(snapshot.attributes);
    const [first, ...others] = records;
    builder.add(first!);
    builder.add(others.find((record) => record.familyId !== first!.familyId)!);
    expect(() => builder.add(first!)).toThrow('one after another');
  });
});
