import { expect, test } from '@jest/globals';
import { isListFull, isMarked, listsFrom, markedOf, mostMarked, withToggled } from './marked.ts';

const item = (product: string) => ({ product, variant: `${product}-1` });
const none = listsFrom(null);

test('a product is put on a list, and taken off it whichever variant is shown by then', () => {
  const wished = withToggled(withToggled(none, 'wish', item('b')), 'wish', item('a'));
  expect(wished).toEqual({ wish: [item('b'), item('a')], compare: [] });
  expect(withToggled(wished, 'wish', { product: 'b', variant: 'b-2' })).toEqual({ wish: [item('a')], compare: [] });
});

test('no more are compared than stand side by side; one less, and there is room again', () => {
  const full = ['a', 'b', 'c', 'd'].reduce((lists, product) => withToggled(lists, 'compare', item(product)), none);
  expect(isListFull({ lists: full }, 'compare')).toBe(true);
  expect(withToggled(full, 'compare', item('e'))).toBe(full);
  const less = withToggled(full, 'compare', item('a'));
  expect(isMarked({ lists: withToggled(less, 'compare', item('e')) }, 'compare', 'e')).toBe(true);
});

test('what others wrote where the lists are kept is left out', () => {
  for (const kept of [null, 7, 'x', {}, { lists: null }, { lists: { wish: 'a', compare: [{ product: 1 }, null] } }])
    expect(listsFrom(kept)).toEqual({ wish: [], compare: [] });
  const many = Array.from({ length: 200 }, (_, at) => item(`${at}`));
  expect(listsFrom({ lists: { wish: many } }).wish).toHaveLength(mostMarked.wish);
});

test('each storefront has lists of its own, the same for every part of a page', () => {
  markedOf('one').getState().toggle('wish', item('constructor'));
  expect(isMarked(markedOf('one').getState(), 'wish', 'constructor')).toBe(true);
  expect(isMarked(markedOf('two').getState(), 'wish', 'constructor')).toBe(false);
  expect(markedOf('one')).toBe(markedOf('one'));
});
