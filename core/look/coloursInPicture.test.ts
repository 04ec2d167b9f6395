import { expect, test } from '@jest/globals';
import { coloursInPicture } from './coloursInPicture.ts';

/** A picture of so many pixels of each colour, #rrggbb or #rrggbbaa. */
const picture = (...of: readonly (readonly [string, number])[]): Uint8ClampedArray =>
  Uint8ClampedArray.from(
    of.flatMap(([colour, many]) => {
      const parts = [1, 3, 5, 7].map((at) => Number.parseInt(colour.slice(at, at + 2) || 'ff', 16));
      return Array.from({ length: many }, () => parts).flat();
    }),
  );

test('the ground is what there is most of, the text what stands out, the accent the most coloured', () => {
  expect(coloursInPicture(picture(['#f7f2e8', 800], ['#2a2118', 90], ['#b0402a', 60], ['#d9d2c4', 50]))).toEqual({
    ground: '#f7f2e8',
    text: '#2a2118',
    accent: '#b0402a',
  });
});

test('a dark picture makes a dark shop', () => {
  expect(coloursInPicture(picture(['#101418', 700], ['#e8e4da', 80], ['#3aa0c8', 30]))).toMatchObject({
    ground: '#101418',
    text: '#e8e4da',
    accent: '#3aa0c8',
  });
});

test('specks and what is seen through do not count; without a colour links are like the text', () => {
  expect(coloursInPicture(picture(['#ffffff', 5000], ['#000000', 900], ['#ff0000', 2], ['#00ff0000', 9000]))).toEqual({
    ground: '#ffffff',
    text: '#000000',
    accent: '#000000',
  });
  expect(coloursInPicture(picture(['#ffffff', 9]))).toMatchObject({ ground: '#ffffff' });
  expect(coloursInPicture(picture(['#00ff0000', 9]))).toBeNull();
  expect(coloursInPicture(new Uint8ClampedArray(0))).toBeNull();
});
