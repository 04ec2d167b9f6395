import { describe, expect, test } from '@jest/globals';
import { isJsonLdProduct, rowsOfJsonLd, toJsonLd } from './jsonLd.ts';
import type { CatalogRecord } from './record.ts';

describe('a product of schema.org is known', () => {
  test.each([
    [{ '@type': 'Product' }, true],
    [{ '@type': 'https://schema.org/Product' }, true],
    [{ '@type': ['Thing', 'ProductGroup'] }, true],
    [{ '@type': 'Offer' }, false],
    [{ '@type': 'ProductCollection' }, false],
    [{ name: 'Round brush' }, false],
    [[{ '@type': 'Product' }], false],
    [null, false],
    ['Product', false],
  ])('%j: %s', (item, is) => expect(isJsonLdProduct(item)).toBe(is));
});

describe('read as rows', () => {
  test('nested things get the standard columns’ names, and types say nothing', () =>
    expect(
      rowsOfJsonLd({
        '@context': 'https://schema.org',
        '@type': 'Product',
        '@id': 'p1',
        name: 'Round brush',
        brand: { '@type': 'Brand', name: 'Osier' },
        image: { '@type': 'ImageObject', contentUrl: '/brush.svg' },
        offers: { '@type': 'Offer', price: 4.5, priceCurrency: 'GBP', availability: 'https://schema.org/InStock' },
        aggregateRating: { ratingValue: 4.5, reviewCount: 12 },
      }),
    ).toEqual([
      {
        id: 'p1',
        title: 'Round brush',
        brand: 'Osier',
        picture: '/brush.svg',
        price: '4.5',
        stock: 'https://schema.org/InStock',
        rating: '4.5',
        ratings: '12',
      },
    ]));

  test('of several offers the first counts', () =>
    expect(rowsOfJsonLd({ productID: 'a', name: 'Ink', offers: [{ price: 3 }, { price: 9 }] })![0]).toMatchObject({
      price: '3',
    }));

  test('the lowest price stands for a span of prices', () =>
    expect(rowsOfJsonLd({ productID: 'a', name: 'Ink', offers: { lowPrice: 2, highPrice: 8 } })![0]).toMatchObject({
      price: '2',
    }));

  test('a group of variants gives a row for each, with what they share', () =>
    expect(
      rowsOfJsonLd({
        '@type': 'ProductGroup',
        productGroupID: 'g',
        name: 'Round brush',
        hasVariant: [
          { productID: 'g-1', sku: 'RB1', color: 'Red' },
          { productID: 'g-2', sku: 'RB2', color: 'Blue' },
        ],
      }),
    ).toMatchObject([
      { id: 'g-1', family: 'g', sku: 'RB1', title: 'Round brush', colour: 'Red' },
      { id: 'g-2', family: 'g', sku: 'RB2', title: 'Round brush', colour: 'Blue' },
    ]));

  test('amounts are read with their units, by code, by name, as a span and as a property', () =>
    expect(
      rowsOfJsonLd({
        productID: 'a',
        name: 'Paper',
        weight: { '@type': 'QuantitativeValue', value: 300, unitCode: 'GM' },
        width: { value: '29.7', unitText: 'cm' },
        depth: { value: 4, unitCode: 'zz9' },
        size: { minValue: 10, maxValue: 20, unitCode: 'MMT' },
        sheets: { value: 20, unitCode: 'C62' },
        offers: { price: 3, inventoryLevel: { value: 7, unitCode: 'H87' } },
        additionalProperty: [
          { '@type': 'PropertyValue', name: 'Volume', value: 37, unitCode: 'MLT' },
          { '@type': 'PropertyValue', name: 'Rough', value: 'yes' },
        ],
      })![0],
    ).toMatchObject({
      ...{ weight: '300 gsm', width: '29.7 cm', depth: '4', size: '10-20 mm', sheets: '20', stock: '7' },
      ...{ Volume: '37 ml', Rough: 'yes' },
    }));

  test('in what variants differ is said by the columns’ names', () => {
    const [row] = rowsOfJsonLd({
      ...{ '@type': 'ProductGroup', productGroupID: 'g', name: 'Brush' },
      variesBy: ['https://schema.org/color', 'grip'],
      hasVariant: [{ productID: 'g-1', color: 'Red', grip: 'long' }],
    })!;
    expect(row).toMatchObject({ variesBy: ['colour', 'grip'], colour: 'Red', grip: 'long' });
  });

  test('additional properties become columns of their own', () =>
    expect(
      rowsOfJsonLd({
        productID: 'a',
        name: 'Paper',
        additionalProperty: [
          { '@type': 'PropertyValue', name: 'Weight', value: '300 gsm' },
          { '@type': 'PropertyValue', name: 'Sheets', value: 20 },
        ],
      })![0],
    ).toMatchObject({ Weight: '300 gsm', Sheets: '20' }));

  test('what has no place keeps its own name', () =>
    expect(rowsOfJsonLd({ productID: 'a', name: 'Ink', gtin13: '123' })![0]).toMatchObject({ gtin13: '123' }));
});

describe('written and read again', () => {
  const record: CatalogRecord = {
    id: 'p1-2',
    familyId: 'p1',
    sku: 'WU-1',
    values: {
      title: 'Round brush',
      description: 'For washes.',
      brand: 'Osier',
      category: ['Brushes', 'Brushes > Round'],
      tags: ['new', 'sable'],
      colour: 'Red',
      price: 4.5,
      stock: 3,
      rating: 4.5,
      ratings: 12,
      size: '6',
      opacity: ['clear', 'half'],
      date_added: '2024-08-30',
    },
  };
  const [row] = rowsOfJsonLd(JSON.parse(JSON.stringify(toJsonLd(record, 'GBP'))))!;
  test('a record is the same again', () =>
    expect(row).toEqual({
      id: 'p1-2',
      family: 'p1',
      sku: 'WU-1',
      title: 'Round brush',
      description: 'For washes.',
      brand: 'Osier',
      category: 'Brushes > Round',
      tags: ['new', 'sable'],
      colour: 'Red',
      price: '4.5',
      stock: '3',
      rating: '4.5',
      ratings: '12',
      size: '6',
      opacity: ['clear', 'half'],
      date_added: '2024-08-30',
    }));
  test('a record with no stock figure says whether it can be had', () => {
    const bare = { ...record, values: { title: 'Ink', availability: 'Sold out' } };
    expect(toJsonLd(bare, 'GBP')).toMatchObject({ offers: { availability: 'https://schema.org/OutOfStock' } });
    expect(toJsonLd({ ...bare, values: { title: 'Ink' } }, 'GBP')).toMatchObject({
      offers: { availability: 'https://schema.org/InStock' },
    });
  });
  test('numbers of ratings without a rating are not lost', () =>
    expect(toJsonLd({ ...record, values: { title: 'Ink', ratings: 3 } }, 'GBP')).toMatchObject({
      additionalProperty: [{ name: 'ratings', value: 3 }],
    }));
});
