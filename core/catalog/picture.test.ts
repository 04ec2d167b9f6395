import { expect, test } from '@jest/globals';
import { pictureOf } from './picture.ts';

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
