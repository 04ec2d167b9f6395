import { describe, expect, test } from '@jest/globals';
import { flattenItem } from './flattenItem.ts';

describe('an item of a file as rows', () => {
  test('nested objects are columns with the way to them', () =>
    expect(flattenItem({ name: 'Ink', price: { amount: 3, currency: 'GBP' }, sold: true })).toEqual([
      { name: 'Ink', 'price.amount': '3', 'price.currency': 'GBP', sold: 'true' },
    ]));
  test('lists are kept, and things in them said by their names', () =>
    expect(flattenItem({ tags: ['new', 'ink'], images: [{ src: '/a.png' }, { url: '/b.png' }] })).toEqual([
      { tags: ['new', 'ink'], images: ['/a.png', '/b.png'] },
    ]));
  test('pairs of name and value are columns', () =>
    expect(
      flattenItem({
        attributes: [
          { name: 'Size', value: 6 },
          { name: 'Hair', value: ['sable', 'goat'] },
        ],
      }),
    ).toEqual([{ Size: '6', Hair: ['sable', 'goat'] }]));
  test('nothing and emptiness fill no cell', () =>
    expect(flattenItem({ name: 'Ink', size: null, tags: [], more: undefined })).toEqual([{ name: 'Ink' }]));
  test.each([[null], ['text'], [3], [[{ name: 'a' }]]])('%j is no item', (item) =>
    expect(flattenItem(item)).toEqual([]),
  );
});

describe('variants inside an item', () => {
  test('give a row each, with what they share and their own before it', () =>
    expect(
      flattenItem({
        id: 'p1',
        title: 'Round brush',
        price: 3,
        variants: [{ sku: 'A', price: 4 }, { sku: 'B' }],
      }),
    ).toEqual([
      { id: 'p1', title: 'Round brush', price: '4', sku: 'A', family: 'p1' },
      { id: 'p1', title: 'Round brush', price: '3', sku: 'B', family: 'p1' },
    ]));
  test('are told by a handle where there is no id', () =>
    expect(flattenItem({ handle: 'round-brush', variants: [{ sku: 'A' }] })![0]).toMatchObject({
      family: 'round-brush',
    }));
  test('that are texts are a list like any other', () =>
    expect(flattenItem({ title: 'Ink', variants: ['red', 'blue'] })).toEqual([
      { title: 'Ink', variants: ['red', 'blue'] },
    ]));
});

describe('what a file says is never trusted for size', () => {
  test('objects are looked into four deep; what lies deeper is kept as it is written', () => {
    const deep = { a: { b: { c: { d: { e: 'deeper' }, text: 'kept' } } } };
    expect(flattenItem(deep)).toEqual([{ 'a.b.c.d': '{"e":"deeper"}', 'a.b.c.text': 'kept' }]);
  });
  test('an item with more named values than are taken is none', () => {
    const wide = (length: number) => Object.fromEntries(Array.from({ length }, (_, at) => [`column${at}`, 'x']));
    expect(Object.keys(flattenItem(wide(2000))![0]!)).toHaveLength(2000);
    expect(flattenItem(wide(2001))).toBeNull();
    expect(flattenItem({ title: 'Ink', variants: [wide(3000)] })).toBeNull();
  });
  test('a list is looked at as far as shows that it is too long', () =>
    expect(flattenItem({ tags: Array.from({ length: 900 }, (_, at) => `t${at}`) })![0]!.tags).toHaveLength(501));
});
