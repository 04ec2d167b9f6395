import { expect, test } from '@jest/globals';
import { readStandardRow } from './readRow.ts';
import { twinFinder } from './twins.ts';

function twinsOf(rows: readonly Record<string, string>[]) {
  const finder = twinFinder();
  for (const row of rows) {
    const reading = readStandardRow(row);
    if ('record' in reading) finder.add(reading.record);
  }
  return finder.finish();
}
const brush = { title: 'Round brush', brand: 'Osier', kind: 'Brush', material: 'Sable', stock: '3' };

test('the same product entered twice is found, whatever its price, its picture and the order of its words', () => {
  const twin = { ...brush, id: 'b', title: 'Brushes, round', price: '9', picture: '/b.svg' };
  expect(twinsOf([{ ...brush, id: 'a' }, twin])).toEqual([{ families: ['a', 'b'], differs: [] }]);
});

test('one difference is reported, two make another product', () => {
  expect(
    twinsOf([
      { ...brush, id: 'a' },
      { ...brush, id: 'b', material: 'Hog' },
    ])[0]!.differs,
  ).toEqual(['material']);
  expect(
    twinsOf([
      { ...brush, id: 'a' },
      { ...brush, id: 'b', material: 'Hog', kind: 'Wash' },
    ]),
  ).toEqual([]);
});

test('another brand, a sold-out one and a product’s own variants are no twins', () => {
  expect(
    twinsOf([
      { ...brush, id: 'a' },
      { ...brush, id: 'b', brand: 'Moss' },
    ]),
  ).toEqual([]);
  expect(
    twinsOf([
      { ...brush, id: 'a' },
      { ...brush, id: 'b', stock: '0' },
    ]),
  ).toEqual([]);
  expect(
    twinsOf([
      { ...brush, id: 'a', family: 'f' },
      { ...brush, id: 'b', family: 'f' },
    ]),
  ).toEqual([]);
});
