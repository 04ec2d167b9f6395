import { expect, test } from '@jest/globals';
import { idFor } from './idFor.ts';
import { idPattern } from './setupRef.ts';

test.each([
  ['Winter 2026', 'winter-2026'],
  ['  Größen & Maße! ', 'grossen-masse'],
  ['Été', 'ete'],
  ['冬', 'new'],
  ['---', 'new'],
])('“%s” stands in addresses as %s', (name, id) => expect(idFor(name, () => false)).toBe(id));

test('one that is taken gets a number, and every id fits an address', () => {
  const taken = new Set<string>();
  for (const name of [
    'a'.repeat(60),
    'a'.repeat(60),
    'Winter',
    'winter',
    'WINTER',
    `${'b'.repeat(37)} ${'c'.repeat(9)}`,
  ]) {
    const id = idFor(name, (each) => taken.has(each));
    expect(id).toMatch(idPattern);
    taken.add(id);
  }
  expect(taken.size).toBe(6);
  expect(taken).toContain('winter-3');
});
