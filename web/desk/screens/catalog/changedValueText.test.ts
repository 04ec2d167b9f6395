import { expect, test } from '@jest/globals';
import { changedValuesText, pictureIn } from './changedValueText.ts';

const goes = [
  { key: 'price', before: '4.8', after: '' },
  { key: 'availability', before: 'In stock', after: '' },
  { key: 'stock', before: '24', after: '' },
  { key: 'picture', before: '/pictures/tube.svg', after: '' },
];

test('of a record that goes: price and stock, its picture beside', () => {
  expect(changedValuesText(goes, true, 'GBP')).toBe('Price: £4.80; Stock: 24');
  expect(pictureIn(goes)).toBe('/pictures/tube.svg');
  expect(changedValuesText(goes.slice(0, 2), true, 'GBP')).toBe('Price: £4.80; Availability: In stock');
  expect(pictureIn([{ key: 'picture', before: '', after: 'https://cdn.example/x.png' }])).toBeNull();
  expect(pictureIn([])).toBeNull();
});

test('of a record that changes: what was and what is', () => {
  const values = [
    { key: 'price', before: '4.8', after: '5' },
    { key: 'colour', before: '', after: 'Red' },
    { key: 'picture', before: '/a.svg', after: '' },
  ];
  expect(changedValuesText(values, false, 'GBP')).toBe('Price: £4.80 → £5.00; Colour: nothing → Red; Picture: gone');
});
