import { expect, test } from '@jest/globals';
import { copyNamed, named, own } from './named.ts';

test.each(['constructor', '__proto__', 'toString', 'hasOwnProperty', 'valueOf'])(
  'nothing has the name %s before it is given',
  (name) => {
    const record = named<string>();
    expect(record[name]).toBeUndefined();
    expect(name in record).toBe(false);
    expect(own(record, name)).toBeUndefined();
    record[name] = 'mine';
    expect(own(record, name)).toBe('mine');
    expect(Object.keys(record)).toEqual([name]);
    expect(JSON.stringify(record)).toBe(`{"${name}":"mine"}`);
    // One record's names are none of another's.
    expect(name in named()).toBe(false);
  },
);

test('a copy has what its original has itself', () => {
  const original = JSON.parse('{"__proto__":{"a":1},"b":2}') as Record<string, unknown>;
  const copy = copyNamed(original);
  expect(Object.keys(copy)).toEqual(['__proto__', 'b']);
  expect('a' in copy).toBe(false);
});

test('a record goes to another thread and comes back with its names', () =>
  expect(structuredClone(named([['a', 1]]))).toEqual({ a: 1 }));
