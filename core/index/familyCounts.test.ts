import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { openLeftOut } from './leftOut.ts';

const records = randomCatalog(seededRandom(31), 120);
const snapshot = snapshotOf(records);
const { recordFamily } = snapshot;
const leftOutOf = openLeftOut(snapshot);
const all = Uint32Array.from({ length: snapshot.records }, (_, record) => record);

/** By looking at every record: how many families have each value. */
function counted(key: string, those: Uint32Array): Record<string, number> {
  const families = new Map<string, Set<number>>();
  for (const record of those)
    for (const text of [records[record]!.values[key] ?? []].flat())
      families.set(String(text), (families.get(String(text)) ?? new Set()).add(recordFamily[record]!));
  return Object.fromEntries([...families].map(([text, own]) => [text, own.size]));
}
function countsOf(key: string, those: Uint32Array, isWide: boolean): Record<string, number> {
  const column = snapshot.values.get(key)!;
  const left = isWide ? leftOutOf(those) : null;
  const { counts, present } = column.countFamilies({ records: those, failing: null, leftOut: left });
  return Object.fromEntries(Array.from(present, (value) => [column.name(value), counts[value]!]));
}

describe('what a wide result leaves out', () => {
  test('is nothing of a result of everything, and is not asked for where half is missing', () => {
    expect(leftOutOf(all)).toEqual({ all: new Uint32Array(0), found: new Uint32Array(0), absent: new Uint32Array(0) });
    expect(leftOutOf(all.subarray(0, all.length >> 2))).toBeNull();
  });
  test('is the families that are not wholly found, and what of them is', () => {
    const family = recordFamily[10]!;
    const own = [...all].filter((record) => recordFamily[record] === family);
    const { all: left, found, absent } = leftOutOf(all.filter((record) => record !== 10))!;
    expect([...left]).toEqual(own);
    expect([...found]).toEqual(own.filter((record) => record !== 10));
    expect([...absent]).toEqual(own.length === 1 ? own : []);
  });
  test('tells one record of each family that is not found at all', () => {
    const gone = recordFamily[0]!;
    const own = [...all].filter((record) => recordFamily[record] === gone);
    const { all: left, found, absent } = leftOutOf(all.filter((record) => recordFamily[record] !== gone))!;
    expect([...left]).toEqual(own);
    expect([...found]).toEqual([]);
    expect([...absent]).toEqual([own[0]]);
  });
  test.each([1, 2, 3, 4, 5, 6])('counts as a look at every record does, seed %d', (seed) => {
    const random = seededRandom(seed);
    const share = 0.02 + random() * 0.2;
    const those = all.filter(() => random() > share);
    for (const key of ['colour', 'tags', 'size', 'brand', 'title']) {
      const expected = counted(key, those);
      expect({ key, counts: countsOf(key, those, true) }).toEqual({ key, counts: expected });
      expect({ key, counts: countsOf(key, those, false) }).toEqual({ key, counts: expected });
    }
  });
});

describe('every attribute of a catalog', () => {
  // Attributes of several values and of one stand in arrays of their own, the first of each at the same place.
  const keys = [...snapshot.values.keys()];
  const those = all.filter((record) => record !== 10);
  test.each([
    ['in order', keys],
    ['from the last', [...keys].reverse()],
  ])('is counted by its own values where nearly all is found, asked %s', (_, order) => {
    for (const key of order)
      if (key !== 'sku')
        expect({ key, counts: countsOf(key, those, true) }).toEqual({ key, counts: countsOf(key, those, false) });
  });
});

describe('families that are wholly found', () => {
  const keys = ['colour', 'tags', 'size', 'brand', 'title', 'availability'];
  const wholly = (key: string, those: Uint32Array, representatives: Uint32Array | null) => {
    const column = snapshot.values.get(key)!;
    const { counts, present } = column.countFamilies(
      { records: those, failing: null, leftOut: null, isWhole: true },
      0,
      representatives,
    );
    return Object.fromEntries(Array.from(present, (value) => [column.name(value), counts[value]!]));
  };
  test.each([1, 2, 3, 4, 5, 6])('are counted as a look at every record does, seed %d', (seed) => {
    const random = seededRandom(seed);
    const share = random();
    const found = new Set([...new Set(recordFamily)].filter(() => random() < share));
    const those = all.filter((record) => found.has(recordFamily[record]!));
    const first = those.filter((record, at) => at === 0 || recordFamily[those[at - 1]!] !== recordFamily[record]);
    // Every way twice: what was made for the first must be right for the second.
    for (const key of [...keys, ...keys]) {
      const expected = { key, counts: counted(key, those) };
      expect({ key, counts: wholly(key, those, null) }).toEqual(expected);
      expect({ key, counts: wholly(key, those, first) }).toEqual(expected);
      expect({ key, counts: countsOf(key, those, false) }).toEqual(expected);
    }
  });
  test('what is found next is counted anew', () => {
    const [half, other] = [
      all.filter((record) => recordFamily[record]! % 2 === 0),
      all.filter((record) => recordFamily[record]! % 2 === 1),
    ];
    for (const those of [half, other, half]) expect(wholly('colour', those, null)).toEqual(counted('colour', those));
  });
});

describe('the ends of a range', () => {
  const price = snapshot.numbers.get('price')!;
  const ends = (those: Uint32Array) => {
    const amounts = [...those].map((record) => price.ofRecord(record)).filter((amount) => !Number.isNaN(amount));
    return amounts.length === 0 ? null : { least: Math.min(...amounts), most: Math.max(...amounts) };
  };
  test.each([0.9, 0.5, 0.1, 0.01, 0])('are those of the records found, at a share of %d', (share) => {
    const random = seededRandom(9);
    const those = all.filter(() => random() < share);
    expect(price.range(those, null, 0)).toEqual(ends(those));
  });
  test('leave out what fails another filter, not what fails its own', () => {
    const failing = new Uint32Array(snapshot.records);
    for (const record of all) failing[record] = record % 3 === 0 ? 0b10 : record % 3 === 1 ? 0b1 : 0;
    expect(price.range(all, failing, 0b1)).toEqual(ends(all.filter((record) => record % 3 !== 0)));
  });
});
