import { describe, expect, test } from '@jest/globals';
import {
  type AttributeProfile,
  attributeProfiler,
  countedValues,
  hasChoices,
  hasValueColumn,
  isIndexedAsText,
  isNumeric,
  isOfVariants,
} from './profileAttributes.ts';
import type { AttributeValue, CatalogRecord } from './record.ts';

const record = (id: string, familyId: string, values: Record<string, AttributeValue>): CatalogRecord => ({
  id,
  familyId,
  sku: '',
  values,
});
function profiles(records: readonly CatalogRecord[]): Map<string, AttributeProfile> {
  const profiler = attributeProfiler();
  for (const each of records) profiler.add(each);
  return new Map(profiler.finish().map((profile) => [profile.key, profile]));
}

describe('what an attribute holds', () => {
  const found = profiles([
    record('a', 'a', { title: 'Round brush', size: '6', hair: 'sable', tags: ['new', 'sale'] }),
    record('b', 'b', { title: 'Flat wash brush', size: '10', hair: 'sable' }),
    record('c', 'c', { title: 'Ink', size: '30', page: 'https://shop.example/ink' }),
    record('d', 'd', { title: 'Paper', size: '1.5', page: '/paper', care: 'keep dry' }),
  ]);
  test('how many have it, how many values, how long they are', () => {
    expect(found.get('hair')).toMatchObject({ coverage: 0.5, values: 1, samples: ['sable'], averageWords: 1 });
    expect(found.get('title')).toMatchObject({ coverage: 1, values: 4, averageWords: 1.75, label: 'Title' });
  });
  test.each([
    ['size', 'number'],
    ['hair', 'text'],
    ['tags', 'list'],
    ['page', 'link'],
    ['care', 'text'],
  ])('%s is a %s', (key, kind) => expect(found.get(key)!.kind).toBe(kind));
  test('a merchandiser may tag and boost products of a catalog that brings neither', () =>
    expect(found.get('boost')).toMatchObject({ kind: 'number', coverage: 0 }));
  test('standard attributes come first, then the catalog’s own by name', () =>
    expect([...found.keys()]).toEqual(['title', 'tags', 'boost', 'care', 'hair', 'page', 'size']));
  test('one value that is no number among few makes a text', () =>
    expect(profiles([record('a', 'a', { size: '6' }), record('b', 'b', { size: 'large' })]).get('size')!.kind).toBe(
      'text',
    ));
  test('one in a hundred is an oversight', () => {
    const sizes = Array.from({ length: 100 }, (_, at) =>
      record(`r${at}`, `r${at}`, { size: at === 7 ? '?' : `${at}` }),
    );
    expect(profiles(sizes).get('size')!.kind).toBe('number');
  });
  test('the commonest five values are reported, long ones cut', () => {
    const many = profiles([
      ...Array.from({ length: 9 }, (_, at) => record(`r${at}`, `r${at}`, { hair: `hair ${at % 6}` })),
      record('x', 'x', { care: 'x'.repeat(500) }),
    ]);
    expect(many.get('hair')!.samples).toEqual(['hair 0', 'hair 1', 'hair 2', 'hair 3', 'hair 4']);
    expect(many.get('care')!.samples[0]).toHaveLength(80);
  });
  test('different values are told apart up to a limit', () => {
    const unique = Array.from({ length: countedValues + 50 }, (_, at) =>
      record(`r${at}`, `r${at}`, { code: `c${at}x` }),
    );
    expect(profiles(unique).get('code')!.values).toBe(countedValues);
  });
});

describe('what tells variants apart', () => {
  const found = profiles([
    record('a1', 'a', { title: 'Brush', size: '6', hair: 'sable' }),
    record('a2', 'a', { title: 'Brush', size: '8', hair: 'sable', note: 'last one' }),
    record('b1', 'b', { title: 'Ink', size: '30', hair: 'none' }),
    record('c1', 'c', { title: 'Pen', size: '1', hair: 'none' }),
    record('c2', 'c', { title: 'Pen', size: '1', hair: 'none' }),
  ]);
  test('differs within products that have several variants', () => {
    expect(found.get('size')!.variesWithin).toBe(0.5);
    expect(found.get('hair')!.variesWithin).toBe(0);
    expect(found.get('title')!.variesWithin).toBe(0);
  });
  test('what only some variants have differs too', () => expect(found.get('note')!.variesWithin).toBe(0.5));
  test('the last product counts like any other', () =>
    expect(
      profiles([record('a1', 'a', { size: '6' }), record('a2', 'a', { size: '8' })]).get('size')!.variesWithin,
    ).toBe(1));
  test('one in twenty products is enough to be the variants’ own', () => {
    expect(isOfVariants({ variesWithin: 0.05 })).toBe(true);
    expect(isOfVariants({ variesWithin: 0.04 })).toBe(false);
  });
});

describe('what can be done with an attribute', () => {
  const of = (kind: AttributeProfile['kind'], change: Partial<AttributeProfile> = {}): AttributeProfile => ({
    key: 'x',
    label: 'X',
    kind,
    coverage: 1,
    values: 3,
    samples: [],
    averageWords: 1,
    variesWithin: 0,
    commonest: 0.2,
    ...change,
  });
  test.each([
    ['text', true, true, true, false],
    ['list', true, true, true, false],
    ['path', true, true, true, false],
    ['code', true, false, false, false],
    ['number', false, false, false, true],
    ['price', false, false, false, true],
    ['date', false, false, false, true],
    ['link', false, false, false, false],
  ] as const)('%s: searched %s, values %s, chosen from %s, amounts %s', (kind, text, values, choices, numeric) => {
    const profile = of(kind);
    expect([isIndexedAsText(profile), hasValueColumn(profile), hasChoices(profile), isNumeric(profile)]).toEqual([
      text,
      values,
      choices,
      numeric,
    ]);
  });
  test('long texts are not chosen from, titles are put in order by', () => {
    expect(hasChoices(of('text', { averageWords: 20 }))).toBe(false);
    expect(hasValueColumn(of('text', { key: 'title', averageWords: 20 }))).toBe(true);
    expect(hasChoices(of('text', { key: 'title' }))).toBe(false);
  });
});
