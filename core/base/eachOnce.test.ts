import { expect, test } from '@jest/globals';
import { isEachOnce } from './eachOnce.ts';

test('a list has each once by its values, or by what is taken out of them', () => {
  expect(isEachOnce([])).toBe(true);
  expect(isEachOnce(['a', 'b'])).toBe(true);
  expect(isEachOnce(['a', 'b', 'a'])).toBe(false);
  const list = [
    { key: 'a', label: 'One' },
    { key: 'b', label: 'One' },
  ];
  expect(isEachOnce(list)).toBe(true);
  expect(isEachOnce(list, ({ key }) => key)).toBe(true);
  expect(isEachOnce(list, ({ label }) => label)).toBe(false);
});
