import { describe, expect, test } from '@jest/globals';
import type { FirstPage } from './firstPage.ts';
import { pageEffect } from './pageEffect.ts';

const nothing = { banners: '', elsewhere: '', filters: '' };
const page = (...families: string[]): FirstPage => ({
  ...{ families, total: families.length, decided: [] },
  beside: nothing,
});
const many = Array.from({ length: 30 }, (_, at) => `p${at}`);
const searches = [
  { search: 'blue ink', searches: 100 },
  { search: 'easel', searches: 10 },
  { search: 'paper', searches: 50 },
];

describe('the effect on first pages', () => {
  test('counts the searches that change, weighed by how often they are made', () => {
    const before = [page('a', 'b', 'c'), page('x', 'y'), page('z')];
    const after = [page('c', 'a', 'b'), page('x', 'y'), page()];
    expect(pageEffect(searches, before, after)).toMatchObject({ looked: 3, changed: 2, times: 150, ofTimes: 160 });
  });
  test('says the product that rises furthest of each, the search where it matters most first', () => {
    const before = [page('a', 'b', 'c'), page('x', 'y'), page('z')];
    const after = [page('c', 'a', 'b'), page('y', 'x'), page('n', 'z')];
    expect(pageEffect(searches, before, after).moves).toEqual([
      { search: 'paper', searches: 50, product: 'n', from: null, to: 1 },
      { search: 'blue ink', searches: 100, product: 'c', from: 3, to: 1 },
      { search: 'easel', searches: 10, product: 'y', from: 2, to: 1 },
    ]);
  });
  test('where nothing rises, says what is gone', () => {
    const [move] = pageEffect(searches.slice(0, 1), [page('a', 'b')], [page('a')]).moves;
    expect(move).toMatchObject({ product: 'b', from: 2, to: null });
  });
  test('counts what is said beside the products apart from where they stand', () => {
    const before = [page('a'), page('b'), page('c')];
    const after = [
      { ...page('a'), beside: { ...nothing, banners: '["Spring"]' } },
      { ...page('b'), beside: { ...nothing, elsewhere: '/pages/sizes', filters: 'colour' } },
      page('c'),
    ];
    expect(pageEffect(searches, before, after)).toMatchObject({
      changed: 0,
      moves: [],
      beside: { banners: 1, elsewhere: 1, filters: 1 },
    });
  });
  test('says which searches find fewer or more, the most telling first', () => {
    const found = (...totals: number[]) => totals.map((total): FirstPage => ({ ...page('a'), total }));
    const { fewer, more, found: shown } = pageEffect(searches, found(34, 5, 7), found(6, 5, 8));
    expect([fewer, more]).toEqual([1, 1]);
    expect(shown).toEqual([
      { search: 'blue ink', searches: 100, from: 34, to: 6 },
      { search: 'paper', searches: 50, from: 7, to: 8 },
    ]);
  });
  test('what moves below the first page is no change; what comes up from there is', () => {
    const below = [...many.slice(0, 24), ...many.slice(24).reverse()];
    expect(pageEffect(searches.slice(0, 1), [page(...many)], [page(...below)]).changed).toBe(0);
    const up = [many[28]!, ...many.filter((id) => id !== many[28])];
    expect(pageEffect(searches.slice(0, 1), [page(...many)], [page(...up)]).moves[0]).toMatchObject({
      from: 29,
      to: 1,
    });
  });
  test('of no searches is nothing', () =>
    expect(pageEffect([], [], [])).toMatchObject({ looked: 0, changed: 0, moves: [], found: [] }));
});
