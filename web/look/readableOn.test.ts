import { expect, test } from '@jest/globals';
import { readableOn } from './readableOn.ts';

test('a text is black on light grounds and white on dark ones', () => {
  expect(['#ffffff', '#ffd94a', '#1a2b5c', '#000000', '#a03623'].map(readableOn)).toEqual([
    ...['#000000', '#000000', '#ffffff', '#ffffff', '#ffffff'],
  ]);
});
