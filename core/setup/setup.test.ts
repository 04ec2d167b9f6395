import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { randomCatalog, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import { weightForPlace } from './attributeOrder.ts';
import { describeChange } from './describeChange.ts';
import { changesBetween, checkEdit, entriesOf } from './entries.ts';
import { initialSetup } from './initialSetup.ts';
import type { ShelfPlan } from './parts/plans.ts';
import { readEntries } from './readSetup.ts';
import { withEntry } from './withEntry.ts';

const snapshot = snapshotOf(randomCatalog(seededRandom(1), 30));
const setup = initialSetup(snapshot.attributes);
const names = {
  attribute: (key: string) => key.toUpperCase(),
  product: (id: string) => `“${id}”`,
  collection: (id: string) => `“${id}”`,
};
const plan: ShelfPlan = {
  name: 'Brushes',
  on: true,
  searches: ['brush'],
  pins: [{ product: 'p1', place: 2 }],
  pulls: [],
};

test('a setup taken apart into entries and put together is the same', () => {
  for (let seed = 1; seed < 20; seed++) {
    const random = randomSetup(seededRandom(seed), snapshot, ['blue', 'ink']);
    expect(readEntries(entriesOf(random))).toEqual({ setup: random, setAside: [] });
  }
});

test('applying the changes between two setups to the first gives the second', () => {
  for (let seed = 1; seed < 20; seed++) {
    const from = randomSetup(seededRandom(seed), snapshot, ['blue']);
    const to = randomSetup(seededRandom(seed + 100), snapshot, ['ink']);
    let applied = from;
    for (const { part, key, after } of changesBetween(from, to))
      applied = withEntry(applied, { part, key, value: after });
    expect(changesBetween(applied, to)).toEqual([]);
    expect(changesBetween(to, to)).toEqual([]);
  }
});

test('a first setup reads texts, leaves amounts and links alone, and offers filters that divide', () => {
  expect(setup.attributes.title).toMatchObject({ searchable: true, weight: 10 });
  expect(setup.attributes.price?.searchable).toBe(false);
  expect(setup.filters.price?.kind).toBe('range');
  expect(setup.filters.colour?.kind).toBe('ticks');
  expect(setup.filters.title).toBeUndefined();
});

describe('an edit', () => {
  const refused = (part: 'plans' | 'relevance' | 'filters', key: string, value: unknown) => {
    const outcome = checkEdit({ part, key, value });
    return 'refusal' in outcome ? outcome.refusal : null;
  };

  test('that fits its entry is taken', () => expect(refused('plans', 'a', plan)).toBeNull());
  test('of days the wrong way round, or of none, is refused in a sentence', () => {
    expect(refused('plans', 'a', { ...plan, from: '2026-12-02', until: '2026-12-01' })).toMatchObject({
      ...{ field: 'until', message: 'It ends before it begins.' },
    });
    expect(refused('plans', 'a', { ...plan, from: '2026-02-30' })).toMatchObject({ field: 'from' });
  });
  test('with a wrong field is refused with the field', () =>
    expect(refused('plans', 'a', { ...plan, pins: [{ product: 'p1', place: 0 }] })).toMatchObject({
      code: 'invalid-entry',
      field: 'pins.0.place',
    }));
  test('with a misspelt field is refused', () =>
    expect(refused('filters', 'x', { atribute: 'x' })?.code).toBe('invalid-entry'));
  test('of an entry that is not there is refused', () =>
    expect(refused('relevance', 'speling', {})?.code).toBe('unknown-entry'));
  test('that removes what must stay is refused', () =>
    expect(refused('relevance', 'spelling', null)?.code).toBe('fixed-entry'));
});

describe('changes in words', () => {
  const described = (after: typeof setup, before = setup): string[] =>
    changesBetween(before, after).flatMap((change) => describeChange(change, names));

  test('an attribute', () =>
    expect(
      described(
        withEntry(setup, { part: 'attributes', key: 'brand', value: { searchable: false, weight: 7, onCard: true } }),
      ),
    ).toEqual(['BRAND is no longer read by the search', 'BRAND counts 7 instead of 5']));
  test('a plan: added, pinned anew, pulled, switched off, removed', () => {
    const added = withEntry(setup, { part: 'plans', key: 'a', value: plan });
    expect(described(added)).toEqual(['Shelf plan “Brushes” is added']);
    const changed = withEntry(added, {
      part: 'plans',
      key: 'a',
      value: { ...plan, on: false, pins: [{ product: 'p2', place: 1 }], pulls: [{ product: 'p3', pull: 0.5 }] },
    });
    expect(described(changed, added)).toEqual([
      'Shelf plan “Brushes” is switched off',
      'Shelf plan “Brushes” pins “p2” at place 1',
      'Shelf plan “Brushes” no longer pins “p1”',
      'Shelf plan “Brushes” lowers “p3” (strength ×0.5)',
    ]);
    expect(described(setup, changed)).toEqual(['Shelf plan “Brushes” is removed']);
  });
  test('hiding, spelling, close calls and the empty shelf', () => {
    let next = withEntry(setup, { part: 'hiding', key: 'tag:sale', value: { what: 'tag', tag: 'sale' } });
    next = withEntry(next, { part: 'relevance', key: 'spelling', value: { tolerance: false } });
    next = withEntry(next, { part: 'relevance', key: 'closeCall', value: { width: 8 } });
    next = withEntry(next, {
      part: 'emptyShelf',
      key: 'content',
      value: { ...setup.emptyShelf.content, searches: ['ink'] },
    });
    expect(described(next)).toEqual([
      'Close calls are 8 points wide instead of 3',
      'Spelling tolerance is off',
      'Every product tagged “sale” is hidden',
      'The empty shelf suggests: ink',
    ]);
  });
});

describe('the weight for a place in the order of importance', () => {
  test.each([
    [[10, 6, 4], 1, 8],
    [[10, 6, 4], 0, 11],
    [[10, 6, 4], 3, 3],
    [[100, 50], 0, 100],
    [[5, 5], 1, 5],
    [[0.5], 1, 0.3],
    [[], 0, 10],
  ])('among %j at %i: %d', (others, place, weight) => expect(weightForPlace(others, place)).toBe(weight));
});
