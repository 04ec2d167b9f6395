import { describe, expect, test } from '@jest/globals';
import type { AttributeRow } from '../../../../../api/endpoints.ts';
import type { ListedProduct } from '../../../../../api/productEndpoints.ts';
import { cellsUnder, ownerOf } from './typeInto.ts';

const row = (id: string, variant: string | null = null): ListedProduct => ({
  id,
  product: id,
  variant,
  title: id,
  picture: null,
  variants: 2,
  isSoldOut: false,
  isHidden: false,
  cells: {},
});
const rows = [row('a'), row('b'), row('c')];
const rowAt = (place: number): ListedProduct | undefined => rows[place];
const columns = ['price', 'tags'];
const under = (text: string, at: { row: number; column: number }) => {
  const { cells, left } = cellsUnder(text, at, columns, rowAt);
  return { cells: cells.map(({ row: { id }, key, text: typed }) => `${id}.${key}=${typed}`), left };
};

describe('what is pasted', () => {
  test('falls on the cells from where one is, rows by line and cells by tab', () => {
    expect(under('1\tnew\n2\tsale\n', { row: 0, column: 0 })).toEqual({
      cells: ['a.price=1', 'a.tags=new', 'b.price=2', 'b.tags=sale'],
      left: 0,
    });
  });
  test('may begin with the title', () =>
    expect(under('Ink\t3', { row: 1, column: -1 }).cells).toEqual(['b.title=Ink', 'b.price=3']));
  test('is left out where it falls beside the table, and that is counted', () =>
    expect(under('1\t2\t3\r\n4\t5\r\n6', { row: 2, column: 1 })).toEqual({ cells: ['c.tags=1'], left: 5 }));
  test('keeps empty cells: they empty what is there', () =>
    expect(under('\tx', { row: 0, column: 0 }).cells).toEqual(['a.price=', 'a.tags=x']));
});

describe('whose a typed value is', () => {
  const attribute = (key: string, variesWithin: number) => ({ key, variesWithin }) as AttributeRow;
  const attributes = [attribute('price', 0.9), attribute('brand', 0)];
  test('the variant’s where variants differ in it, else the product’s', () => {
    expect(ownerOf(attributes, row('a', 'a1'), 'price')).toBe('a1');
    expect(ownerOf(attributes, row('a', 'a1'), 'brand')).toBeNull();
    expect(ownerOf(attributes, row('a'), 'price')).toBeNull();
  });
});
