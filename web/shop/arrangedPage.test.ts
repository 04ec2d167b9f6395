import { expect, test } from '@jest/globals';
import { arrangedPage, inUsableOrder } from './arrangedPage.ts';

test('what is told in a few words stands on one line, all else below each other', () => {
  expect(arrangedPage(['heading', 'count', 'notices', 'sorting', 'results', 'more'], false)).toEqual({
    above: [['heading', 'count'], ['notices'], ['sorting'], ['results'], ['more']],
    beside: [],
  });
});

test('filters at a side stand beside what comes after them', () => {
  expect(arrangedPage(['heading', 'filters', 'chosen', 'results', 'more'], true)).toEqual({
    above: [['heading']],
    beside: [['chosen'], ['results'], ['more']],
  });
  expect(arrangedPage(['heading', 'filters', 'results'], false).above).toEqual([['heading'], ['filters'], ['results']]);
});

test('filters at a side never stand below the products', () => {
  expect(arrangedPage(['heading', 'results', 'count', 'filters', 'more'], true)).toEqual({
    above: [['heading']],
    beside: [['results'], ['count'], ['more']],
  });
});

test('where no filters are wanted nothing stands beside them', () => {
  expect(arrangedPage(['heading', 'results'], true)).toEqual({ above: [['heading'], ['results']], beside: [] });
});

test('more that comes below the products is never asked for above them', () => {
  expect(inUsableOrder(['more', 'heading', 'results', 'count'], true)).toEqual(['heading', 'results', 'more', 'count']);
  expect(inUsableOrder(['results', 'count', 'more'], true)).toEqual(['results', 'count', 'more']);
  // Pages may stand above as well.
  expect(inUsableOrder(['more', 'results'], false)).toEqual(['more', 'results']);
});
