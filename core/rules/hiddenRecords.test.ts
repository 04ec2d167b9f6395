import { describe, expect, test } from '@jest/globals';
import { isHidden } from '../index/recordMask.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { boostColumn, withBoost } from './boosts.ts';
import { hiddenRecords } from './hiddenRecords.ts';

const records = recordsOf([
  { id: 'a1', family: 'a', title: 'Round brush', tags: 'old|brush' },
  { id: 'a2', family: 'a', title: 'Round brush', tags: 'brush' },
  { id: 'b1', family: 'b', title: 'Ink', tags: 'old' },
  { id: 'c1', family: 'c', title: 'Pen', hidden: 'yes' },
  { id: 'd1', family: 'd', title: 'Paper' },
]);
const snapshot = snapshotOf(records);
const setup = initialSetup(snapshot.attributes);
function hidden(hidings: readonly Hiding[], place: Place = 'results'): string[] {
  const marks = hiddenRecords(
    snapshot,
    { ...setup, hiding: Object.fromEntries(hidings.map((hiding, at) => [`h${at}`, hiding])) },
    place,
  );
  return records.filter((_, record) => isHidden(marks, record)).map(({ id }) => id);
}

describe('hidden is', () => {
  test('what the file hides, whatever is said here', () => expect(hidden([])).toEqual(['c1']));
  test('a product with all its variants', () =>
    expect(hidden([{ what: 'product', product: 'a' }])).toEqual(['a1', 'a2', 'c1']));
  test('every variant with a tag, and no other', () =>
    expect(hidden([{ what: 'tag', tag: 'old' }])).toEqual(['a1', 'b1', 'c1']));
  test('only what has the very tag', () => expect(hidden([{ what: 'tag', tag: 'ol' }])).toEqual(['c1']));
  test('nothing more for a product or a tag that is gone', () =>
    expect(
      hidden([
        { what: 'product', product: 'gone' },
        { what: 'tag', tag: 'gone' },
      ]),
    ).toEqual(['c1']));
  test('only where it is hidden from', () => {
    const fromCollections: Hiding = { what: 'product', product: 'b', from: ['collections'] };
    expect(hidden([fromCollections], 'results')).toEqual(['c1']);
    expect(hidden([fromCollections], 'collections')).toEqual(['b1', 'c1']);
    expect(hidden([fromCollections], 'emptyShelf')).toEqual(['c1']);
  });
});

test('where nothing is hidden nothing is looked at', () => {
  const plain = snapshotOf(recordsOf([{ id: 'a', title: 'Ink' }]));
  expect(hiddenRecords(plain, initialSetup(plain.attributes), 'results')).toBeNull();
  expect(isHidden(null, 0)).toBe(false);
});

describe('a product’s own boost', () => {
  const boosted = snapshotOf(
    recordsOf([
      { id: 'a', title: 'Ink', boost: '2' },
      { id: 'b', title: 'Pen' },
      { id: 'c', title: 'Nib', boost: '900' },
    ]),
  );
  const column = boostColumn(boosted);
  const factorOf = (id: string) => withBoost([], column, boosted.findFamily(id), id).map(({ factor }) => factor);
  test('pulls like a plan does, and as far at most', () => {
    expect(factorOf('a')).toEqual([2]);
    expect(factorOf('b')).toEqual([]);
    expect(factorOf('c')).toEqual([10]);
  });
  test('stands behind the factors of plans', () => {
    const spring = { kind: 'plan', id: 'p', name: 'Spring', how: 'exactly' } as const;
    const factor = { what: 'factor', product: 'a', factor: 3, source: spring } as const;
    expect(withBoost([factor], column, boosted.findFamily('a'), 'a').map(({ source }) => source.kind)).toEqual([
      'plan',
      'boost',
    ]);
  });
  test('costs a catalog without any nothing', () => expect(boostColumn(snapshot)).toBeNull());
});
