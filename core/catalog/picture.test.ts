import { expect, test } from '@jest/globals';
import { mostPictures, pictureOf, picturesOf } from './picture.ts';

const of = (picture?: string) => pictureOf({ id: 'a/1 ü', values: picture === undefined ? {} : { picture } });

test('a picture of the shop is where it says, one of another host is asked for by its record', () => {
  expect(of()).toBeNull();
  expect(of(' ')).toBeNull();
  expect(of('/pictures/red.svg')).toBe('/pictures/red.svg');
  for (const far of ['https://img.example/a.jpg', 'HTTP://img.example/a.jpg', '//img.example/a.jpg'])
    expect(of(far)).toMatch(/^\/pictures\/of\/a%2F1%20%C3%BC\?mark=\w+$/);
});

test('another picture of the same record has another address', () => {
  expect(of('https://img.example/a.jpg')).not.toBe(of('https://img.example/b.jpg'));
});

test('several pictures stand in the order of the catalog, none twice, and no more than can be shown', () => {
  const some = { id: 'a', values: { picture: ['/b.svg', ' ', 'https://img.example/a.jpg', '/b.svg'] } };
  expect(picturesOf(some)).toEqual(['/b.svg', expect.stringContaining('/pictures/of/a?mark=')]);
  const many = { id: 'a', values: { picture: Array.from({ length: 40 }, (_, at) => `/${at}.svg`) } };
  expect(picturesOf(many)).toHaveLength(mostPictures);
});
