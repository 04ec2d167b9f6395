import { expect, test } from '@jest/globals';
import { sizedPicture } from './sizedPicture.ts';

test('a picture of ours is asked for as wide as it is shown, twice that on fine screens', () => {
  expect(sizedPicture('/pictures/of/a?mark=1', 300)).toEqual({
    src: '/pictures/of/a?mark=1&width=320',
    srcSet: '/pictures/of/a?mark=1&width=320 1x, /pictures/of/a?mark=1&width=640 2x',
  });
  expect(sizedPicture('https://desk.example/pictures/own/a.png', 2000)).toEqual({
    src: 'https://desk.example/pictures/own/a.png?width=1280',
  });
});

test('any other is taken as it is', () =>
  expect(sizedPicture('/pictures/red.svg', 300)).toEqual({ src: '/pictures/red.svg' }));
