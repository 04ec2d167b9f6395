import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import { readStandardRow } from '../catalog/readRow.ts';
import type { AttributeValue, CatalogRecord } from '../catalog/record.ts';
import { laidAnew } from '../testing/laidAnew.ts';
import { randomCatalog } from '../testing/randomCatalog.ts';
import { snapshotBuilder } from './buildSnapshot.ts';
import { patchSnapshot, type RecordChange } from './patchSnapshot.ts';
import { openSnapshot, type Snapshot } from './snapshot.ts';
import { squash } from './squash.ts';

function build(records: readonly CatalogRecord[], like: readonly CatalogRecord[] = records): Snapshot {
  const profiler = attributeProfiler();
  for (const record of like) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish());
  for (const record of records) builder.add(record);
  return openSnapshot(builder.finish())!;
}

/** Every array of a fresh build by name, as plain numbers. */
function arraysOf({ sections }: Snapshot): Record<string, number[]> {
  return Object.fromEntries(
    sections
      .names()
      .filter((name) => !/^(posting\.end|deletions\.now|patched\.|late\.)/.test(name))
      .sort()
      .map((name) => [name, Array.from(sections.array(name))]),
  );
}

/** What a misspelt word is corrected to, in order. */
const nearTo = ({ deletions, terms }: Snapshot, word: string): string[] =>
  deletions
    .near(word, word.length < 5 ? 1 : 2)
    .map(({ term, edits }) => `${terms.get(term)} ${edits}`)
    .sort();

function changed(record: CatalogRecord, values: Record<string, AttributeValue | undefined>): CatalogRecord {
  const next = Object.entries({ ...record.values, ...values }).filter(
    (entry): entry is [string, AttributeValue] => entry[1] !== undefined,
  );
  return { ...record, values: Object.fromEntries(next) };
}

/** Anything a merchandiser or a feed may do to a record. */
function randomChange(random: () => number, record: CatalogRecord): CatalogRecord {
  const word = () =>
    pick(random, ['brush', 'inky', 'xylophone', '300 gsm', '0.5mm', 'red', 'gouache', 'Ünique', 'paints']);
  const acts: (() => Record<string, AttributeValue | undefined>)[] = [
    () => ({ price: Math.floor(random() * 90) / 2 }),
    () => ({ stock: 0, availability: 'Sold out' }),
    () => ({ title: `${word()} ${word()} ${word()}` }),
    () => ({ tags: random() < 0.3 ? undefined : [word(), pick(random, ['new', 'sale'])] }),
    () => ({ colour: random() < 0.3 ? undefined : pick(random, ['Red', 'Teal', 'Crimson']) }),
    () => ({ colour: ['Red', 'Blue'] }),
    () => ({ description: random() < 0.5 ? undefined : word() }),
    () => ({ size: word(), rating: random() < 0.5 ? undefined : 4.5 }),
  ];
  let next = record;
  for (let act = 0; act < 1 + random() * 2; act++) next = changed(next, pick(random, acts)());
  return next;
}

describe('a patched index is, array by array, what a fresh build gives', () => {
  test.each(Array.from({ length: 40 }, (_, seed) => seed + 1))('seed %i, three patches one over the other', (seed) => {
    const random = seededRandom(seed);
    const first = randomCatalog(random, 5 + Math.floor(random() * 25));
    let records = [...first];
    let snapshot = build(first);
    for (let turn = 0; turn < 3; turn++) {
      const changes: RecordChange[] = [];
      for (const [ordinal, before] of records.entries())
        if (random() < (turn === 1 ? 0.6 : 0.1)) changes.push({ ordinal, before, after: randomChange(random, before) });
      records = records.map((record, ordinal) => changes.find((change) => change.ordinal === ordinal)?.after ?? record);
      const patch = patchSnapshot(snapshot, changes);
      if (patch) snapshot = squash(openSnapshot(...snapshot.layers, patch)!);
      const fresh = build(records, first);
      expect(arraysOf(laidAnew(snapshot))).toEqual(arraysOf(fresh));
      expect(snapshot.deletions.words()).toBe(fresh.deletions.words());
      for (const word of ['brus', 'xylofone', 'goache', 'inkyy', 'paimts', 'reed', 'craquelur', 'wter'])
        expect([word, nearTo(snapshot, word)]).toEqual([word, nearTo(fresh, word)]);
    }
  });
});

describe('a patch', () => {
  const records = ['Round brush', 'Flat brush', 'Blue ink'].map((title, at) => {
    const reading = readStandardRow({ id: `r${at}`, title, price: String(at + 1), tags: 'new', stock: '3' });
    if ('refusal' in reading) throw new Error(reading.refusal.reason);
    return reading.record;
  });
  const snapshot = build(records);
  const change = (ordinal: number, values: Record<string, AttributeValue | undefined>) => [
    { ordinal, before: records[ordinal]!, after: changed(records[ordinal]!, values) },
  ];

  test('of a price holds that price’s numbers and nothing else', () => {
    const patch = openSnapshot(...snapshot.layers, patchSnapshot(snapshot, change(1, { price: 9 }))!)!;
    expect(patch.numbers.get('price')!.ofRecord(1)).toBe(9);
    expect(patch.postings.built.record).toEqual(snapshot.postings.built.record);
    expect(patch.layers[1]!.byteLength).toBeLessThan(snapshot.bytes);
  });
  test('that changes nothing is none', () => expect(patchSnapshot(snapshot, change(0, { price: 1 }))).toBeNull());
  test('takes a word that nobody uses any more out of the dictionary, and a new one in', () => {
    const patched = openSnapshot(...snapshot.layers, patchSnapshot(snapshot, change(2, { title: 'Teal ink' }))!)!;
    expect(patched.terms.find('blue')).toBe(-1);
    expect(patched.terms.find('teal')).toBeGreaterThanOrEqual(0);
    expect(patched.deletions.near('teel', 1).map(({ term }) => patched.terms.get(term))).toEqual(['teal']);
    expect(snapshot.terms.find('blue')).toBeGreaterThanOrEqual(0);
  });
});
