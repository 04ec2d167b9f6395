import { describe, expect, test } from '@jest/globals';
import { figuresByShop } from './figuresByShop.ts';
import { checkMapping } from './mapping.ts';
import { proposeReading } from './proposeReading.ts';
import { bindMapping, type Cells, readRow } from './readRow.ts';
import type { ShopTerms } from './shopTerms.ts';

const told = (terms: ShopTerms, ...columns: string[]) =>
  [
    ...figuresByShop(
      columns.map((column) => ({ column })),
      terms,
    ),
  ].map(
    ([column, { isOther, otherwise }]) => `${column}${isOther ? ' other' : ''}${otherwise ? ` else ${otherwise}` : ''}`,
  );
const germany: ShopTerms = { languages: ['de'], currency: 'EUR', country: 'DE' };
const austria: ShopTerms = { ...germany, country: 'AT' };
const britain: ShopTerms = { languages: ['en'], currency: 'GBP', country: 'GB' };

describe('figures of several currencies and countries', () => {
  test('a storefront takes the price in its own money, and no other price fills it up', () => {
    expect(told(germany, 'price', 'price_eur')).toEqual(['price other', 'price_eur']);
    expect(told(germany, 'Price GBP', 'Price (EUR)', 'price usd')).toEqual([
      'Price GBP other',
      'Price (EUR)',
      'price usd other',
    ]);
  });
  test('one without a currency is its own where none names it', () =>
    expect(told(britain, 'price', 'price_eur')).toEqual(['price_eur other']));
  test('stock of its own country is filled up from the stock of all', () => {
    expect(told(austria, 'stock', 'stock_at', 'stock_de')).toEqual([
      'stock other',
      'stock_at else stock',
      'stock_de other',
    ]);
    expect(told(britain, 'stock', 'stock_at')).toEqual(['stock_at other']);
    expect(told(britain, 'stock', 'stock_uk')).toEqual(['stock other', 'stock_uk else stock']);
  });
  test('a price may be of a country within a currency', () =>
    expect(told(austria, 'price_eur', 'price_eur_at', 'price_gbp')).toEqual([
      'price_eur other',
      'price_eur_at',
      'price_gbp other',
    ]));
  test.each([
    ['nothing of it is known', {}, ['price', 'price_eur', 'stock_at']],
    ['none is in its money', germany, ['price_gbp', 'price_usd']],
    ['there is just one', germany, ['price_gbp', 'stock']],
    ['the names say other things', germany, ['constructor', 'weight_at', 'made_in']],
  ])('nothing is told apart where %s', (_, terms, columns) => expect(told(terms, ...columns)).toEqual([]));
});

describe('one file for two storefronts', () => {
  const rows: Cells[] = Array.from({ length: 40 }, (_, n) => ({
    ...{ sku: `A-${n}`, title: `Round brush number ${n}`, title_de: n % 2 ? `Rundpinsel Nummer ${n}` : '' },
    ...{ colour: ['red', 'blue'][n % 2]!, colour_de: ['rot', 'blau'][n % 2]! },
    ...{ price: `${n}.50`, price_eur: n === 3 ? '' : `${n}.90`, stock: '9', stock_at: n % 2 ? '4' : '' },
  }));
  const read = (terms: ShopTerms, row: Cells) => {
    const { mapping } = proposeReading(rows, Object.keys(rows[0]!), terms);
    expect(checkMapping(mapping)).toEqual([]);
    const reading = readRow(row, bindMapping(mapping));
    if ('refusal' in reading) throw new Error(reading.refusal.reason);
    const { title, colour, price, stock, ...others } = reading.record.values;
    return { title, colour, price, stock, others: Object.keys(others), language: mapping.language };
  };
  test('each takes its own, and what stands in for it', () => {
    expect(read(austria, rows[1]!)).toMatchObject({
      ...{ title: 'Rundpinsel Nummer 1', colour: 'blau', price: 1.9, stock: 4, language: 'de' },
      others: ['availability'],
    });
    expect(read(austria, rows[2]!)).toMatchObject({ title: 'Round brush number 2', colour: 'rot', stock: 9 });
    expect(read(britain, rows[1]!)).toMatchObject({
      title: 'Round brush number 1',
      colour: 'blue',
      price: 1.5,
      stock: 9,
    });
  });
  test('without a price in its money a product has none, rather than one in other money', () =>
    expect(read(austria, rows[3]!).price).toBeUndefined());
  test('why is said of each column', () => {
    const { columns } = proposeReading(rows, Object.keys(rows[0]!), austria);
    const reasonOf = (column: string) => columns.find((each) => each.column === column)!.reason;
    expect(reasonOf('title_de')).toMatch(/where it is empty, “title” is taken$/);
    expect(reasonOf('title')).toBe('it is taken where “title_de” is empty');
    expect(reasonOf('price')).toBe('“price_eur” has this storefront’s own');
    expect(reasonOf('stock_at')).toMatch(/own country; where it is empty, “stock” is taken$/);
  });
});
