import { expect, test } from '@jest/globals';
import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import { initialSetup } from './initialSetup.ts';

const profile = (key: string, change: Partial<AttributeProfile> = {}): AttributeProfile => ({
  ...{ key, label: key, kind: 'text', coverage: 1, values: 10, samples: [], commonest: 0.2, averageWords: 1 },
  ...{ variesWithin: 0 },
  ...change,
});
const filtersFor = (...profiles: AttributeProfile[]): string[] => {
  const { filters } = initialSetup(profiles);
  return Object.entries(filters)
    .sort(([, a], [, b]) => a.order - b.order)
    .map(([key, { kind }]) => `${key} ${kind}`);
};

test('price, availability and the category come first, then what narrows most', () => {
  expect(
    filtersFor(
      profile('brand', { commonest: 0.6 }),
      profile('category', { kind: 'path', values: 40 }),
      profile('colour', { commonest: 0.1 }),
      profile('availability', { values: 2, commonest: 0.95 }),
      profile('price', { kind: 'price' }),
    ),
  ).toEqual(['price range', 'availability single', 'category tree', 'colour ticks', 'brand ticks']);
});

test('what nearly all have alike, few have, or is a long text is none', () => {
  expect(
    filtersFor(
      profile('origin', { commonest: 0.99 }),
      profile('lid', { coverage: 0.1 }),
      profile('description', { averageWords: 6 }),
      profile('category', { kind: 'path', values: 1 }),
      profile('note', { values: 4000 }),
      profile('size', { commonest: 0.4 }),
    ),
  ).toEqual(['size ticks']);
});

test('at most seven', () => {
  const many = Array.from({ length: 20 }, (_, at) => profile(`a${at}`));
  const usual = [
    profile('price', { kind: 'price' }),
    profile('availability', { values: 2 }),
    profile('category', { kind: 'path' }),
  ];
  expect(filtersFor(...many, ...usual)).toHaveLength(7);
});

test('cards show pictures where a catalog has some', () => {
  const isShown = (coverage: number) =>
    initialSetup([profile('picture', { kind: 'link', coverage })]).attributes.picture?.onCard;
  expect([isShown(0.6), isShown(0.01)]).toEqual([true, false]);
  expect(initialSetup([]).attributes.picture).toBeUndefined();
});
