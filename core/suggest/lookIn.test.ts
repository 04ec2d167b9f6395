import { expect, test } from '@jest/globals';
import type { BoundFilter } from '../facets/boundFilter.ts';
import { lookIn } from './lookIn.ts';

/** A filter whose values some of ten products have, by name. */
const filter = (key: string, kind: 'tree' | 'ticks', held: Readonly<Record<string, number>>): BoundFilter => {
  const names = Object.keys(held);
  return {
    ...{ key, kind, label: key, where: null, attribute: key },
    values: {
      name: (at: number) => names[at]!,
      countFamilies: () => ({ counts: Object.values(held), present: names.map((_, at) => at) }),
    },
  } as unknown as BoundFilter;
};
const records = Uint32Array.from({ length: 10 }, (_, at) => at);
const labels = (filters: readonly BoundFilter[], most = 9): string[] =>
  lookIn(filters, records, most).map(({ label }) => label);

test('places take turns, those that most have first, and none that all have', () => {
  const category = filter('category', 'tree', { Paint: 6, 'Paint > Oil': 4, Paper: 10 });
  expect(labels([category, filter('kind', 'ticks', { Tube: 5, Pan: 1 })])).toEqual(['Paint', 'Tube', 'Oil', 'Pan']);
});

test('two places never read alike: a path says the level above it, and what cannot be told apart is left out', () => {
  const category = filter('category', 'tree', { 'Paint > Oil': 6, 'Pastels > Oil': 5 });
  expect(labels([category, filter('kind', 'ticks', { OIL: 4, Ink: 3 })])).toEqual(['Oil', 'Oil, Pastels', 'Ink']);
  expect(labels([category], 1)).toEqual(['Oil']);
});
