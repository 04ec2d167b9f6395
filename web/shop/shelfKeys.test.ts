import { expect, test } from '@jest/globals';
import { actOfKey } from './shelfKeys.ts';

const unmarked = { at: 'search', place: 4, marks: {} } as const;

test('keys do to a product what its menu does', () => {
  expect(actOfKey('p', unmarked)).toEqual({ act: 'pin', place: 4 });
  expect(actOfKey('P', { ...unmarked, marks: { pin: true } as never })).toEqual({ act: 'unpin' });
  expect(['+', '=', '-', 'h', 'Delete', 'w'].map((key) => actOfKey(key, unmarked))).toEqual([
    ...[{ act: 'boost' }, { act: 'boost' }, { act: 'lower' }, { act: 'hide' }, { act: 'hide' }, { act: 'why' }],
  ]);
  expect(actOfKey('x', unmarked)).toBe('choose');
});

test('what a menu does not offer no key does', () => {
  expect(actOfKey('0', unmarked)).toBeNull();
  expect(actOfKey('0', { ...unmarked, marks: { pull: 2 } as never })).toEqual({ act: 'neutral' });
  for (const key of ['p', '+', '-', '0']) expect(actOfKey(key, { ...unmarked, at: 'everything' })).toBeNull();
  for (const key of ['Enter', ' ', 'Tab', 'a', 'constructor']) expect(actOfKey(key, unmarked)).toBeNull();
});
