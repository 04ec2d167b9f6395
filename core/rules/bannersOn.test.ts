import { expect, test } from '@jest/globals';
import { bannersOn } from './bannersOn.ts';
import type { Effect } from './effects.ts';

const banner = (where: 'above' | 'grid' | 'below', place: number, text: string): Effect => ({
  ...{ what: 'banner', where, place, text, link: undefined, picture: undefined },
  source: { kind: 'plan', id: 'p', name: 'P', how: 'exactly' },
});
const effects = [
  banner('below', 1, 'under'),
  banner('grid', 7, 'seventh'),
  banner('grid', 3, 'third'),
  banner('grid', 3, 'third too'),
  banner('above', 1, 'over'),
];
const texts = (page: number, total: number, limit = 5) =>
  bannersOn(effects, { page, limit, total }).map(({ text }) => text);

test('banners stand where they say, on the page of their place', () => {
  expect(texts(1, 40)).toEqual(['over', 'third', 'third too', 'under']);
  expect(texts(2, 40)).toEqual(['seventh']);
  expect(texts(3, 40)).toEqual([]);
});

test('one at a place that there is no product for is not shown, but behind the last one', () => {
  expect(texts(1, 2)).toEqual(['over', 'third', 'third too', 'under']);
  expect(texts(1, 1)).toEqual(['over', 'under']);
  expect(texts(2, 6)).toEqual(['seventh']);
});

test('no page has more than it can bear', () => {
  const many = Array.from({ length: 9 }, (_, at) => banner('grid', at + 1, String(at)));
  expect(bannersOn(many, { page: 1, limit: 24, total: 99 })).toHaveLength(6);
});
