import { describe, expect, test } from '@jest/globals';
import type { AttributeRow } from '../../../../api/endpoints.ts';
import { newOrderKey } from './newOrderKey.ts';
import { placesInWords } from './placesInWords.ts';
import { directions, signalChoices, signalId } from './signalChoices.ts';

test('places are told in runs', () => {
  expect(placesInWords([1, 2, 3, 5, 7, 8])).toBe('1–3, 5, 7–8');
  expect(placesInWords([])).toBe('');
});

describe('the signals that can be chosen', () => {
  const row = (key: string, kind: AttributeRow['kind'], isNumeric = true) =>
    ({ key, kind, isNumeric, label: key.toUpperCase() }) as AttributeRow;
  const all = [
    row('availability', 'text', false),
    row('title', 'text', false),
    row('price', 'price'),
    row('cost', 'price'),
    row('stock', 'number'),
    row('rating', 'number'),
    row('ratings', 'number'),
    row('date_added', 'date'),
    row('boost', 'number'),
  ];
  test('are the amounts of the catalog, each used in the way that makes sense of it', () => {
    const choices = signalChoices(all);
    expect(choices.map(({ id }) => id)).toEqual([
      'availability',
      'price',
      'cost',
      'stock:enough',
      'stock',
      'rating',
      'ratings',
      'date_added',
      'margin',
    ]);
    const of = (id: string) => choices.find((choice) => choice.id === id)!.signal;
    expect(of('price').direction).toBe('low');
    expect(of('rating')).toHaveProperty('pulledBy');
    expect(of('date_added')).toHaveProperty('halfLife');
    expect(signalId(of('stock:enough'))).toBe('stock:enough');
  });
  test('without ratings counted, or without cost, neither pull nor margin is offered', () => {
    const few = signalChoices(all.filter(({ key }) => key !== 'ratings' && key !== 'cost'));
    expect(few.find(({ id }) => id === 'rating')!.signal).not.toHaveProperty('pulledBy');
    expect(few.some(({ id }) => id === 'margin')).toBe(false);
  });
  test('have directions in the words of what they are', () => {
    const words = (key: string, kind: AttributeRow['kind']) =>
      directions({ attribute: key, direction: 'high' }, kind).map(([, word]) => word);
    expect(words('availability', 'text')).toEqual(['in stock first', 'sold out first']);
    expect(words('price', 'price')).toEqual(['dearest first', 'cheapest first']);
    expect(words('date_added', 'date')).toEqual(['newest first', 'oldest first']);
    expect(words('units_sold', 'number')).toEqual(['high first', 'low first']);
  });
});

test('an order’s key reads well and is never one that is taken', () => {
  const price = { attribute: 'price', direction: 'low' } as const;
  expect(newOrderKey(price, [])).toBe('price-up');
  expect(newOrderKey(price, [{ key: 'price-up', label: 'P', signals: [price] }])).toBe('price-up-2');
});
