import { expect, test } from '@jest/globals';
import { contrastOf, readableOf, readableOn } from './contrast.ts';

test('a text is black on light grounds and white on dark ones', () => {
  expect(['#ffffff', '#ffd94a', '#1a2b5c', '#000000', '#a03623'].map(readableOn)).toEqual([
    ...['#000000', '#000000', '#ffffff', '#ffffff', '#ffffff'],
  ]);
});

test('contrast is the ratio of WCAG, whichever colour comes first', () => {
  expect(contrastOf('#000000', '#ffffff')).toBeCloseTo(21);
  expect(contrastOf('#777777', '#ffffff')).toBeCloseTo(4.48, 2);
  expect(contrastOf('#ffffff', '#777777')).toBe(contrastOf('#777777', '#ffffff'));
  expect(contrastOf('#abcdef', '#abcdef')).toBe(1);
});

test('a colour that can be read stays; another is taken no further than it must be', () => {
  expect(readableOf('#263b7a', ['#ffffff'])).toBe('#263b7a');
  const nearer = readableOf('#f0b429', ['#ffffff', '#f5f2eb']);
  for (const ground of ['#ffffff', '#f5f2eb']) expect(contrastOf(nearer, ground)).toBeGreaterThanOrEqual(4.5);
  expect(contrastOf(nearer, '#f5f2eb')).toBeLessThan(5.5);
});
