import { expect, test } from '@jest/globals';
import { describeChange } from './describeChange.ts';
import type { FilterSetting } from './parts/filters.ts';
import type { ValueGroups } from './parts/valueGroups.ts';
import type { SetupPart } from './registry.ts';
import { usualLayout } from './terms/filterTerms.ts';

const names = { attribute: (key: string) => key, product: (id: string) => id, collection: (id: string) => id };
const described = (part: SetupPart, before: unknown, after: unknown, key = 'filters') =>
  describeChange({ part, key, before, after }, names);

const filter: FilterSetting = {
  attribute: 'colour',
  label: 'Colour',
  kind: 'ticks',
  order: 1,
  counts: true,
  valueOrder: 'count',
};
const groups: ValueGroups = {
  name: 'Tones',
  attribute: 'colour',
  groups: [{ label: 'Red', values: ['RED'] }],
  rest: 'own',
};

test.each<[Partial<FilterSetting>, string]>([
  [{ kind: 'swatches' }, 'Filter “Colour” is now a row of swatches'],
  [{ match: 'all' }, 'Filter “Colour” wants all of several chosen values'],
  [{ hiddenValues: ['Teal'] }, 'Filter “Colour” does not list Teal'],
  [{ thresholds: [5, 10] }, 'Filter “Colour” has ranges that end at 5, 10'],
  [{ groups: 'tone' }, 'Filter “Colour” shows value groups'],
  [{ after: 'size' }, 'Filter “Colour” waits for another filter'],
  [{ closed: true }, 'Filter “Colour” is collapsed at first'],
])('%j is reported as “%s”', (to, sentence) => {
  expect(described('filters', filter, { ...filter, ...to })).toEqual([sentence]);
  expect(described('filters', { ...filter, ...to }, filter)).toHaveLength(1);
});
test('what is as it usually is anyway is no change', () =>
  expect(described('filters', filter, { ...filter, label: 'Colour' })).toEqual([]));

test('groups are reported one by one', () => {
  const after: ValueGroups = {
    ...groups,
    groups: [
      { label: 'Red', values: ['RED', 'Crimson'] },
      { label: 'Blue', values: [] },
    ],
    rest: 'together',
  };
  expect(described('valueGroups', groups, after)).toEqual([
    'Value groups “Tones”: Blue is added',
    'Value groups “Tones”: Red has changed',
    'Value groups “Tones”: other values are shown together',
  ]);
  expect(described('valueGroups', groups, null)).toEqual(['Value groups “Tones” are removed']);
});

test('where filters stand is told by the width', () =>
  expect(described('storefront', null, { ...usualLayout, wide: 'right', keep: true })).toEqual([
    'On a wide window filters stand on the right',
    'A new search keeps the filters that were chosen',
  ]));
