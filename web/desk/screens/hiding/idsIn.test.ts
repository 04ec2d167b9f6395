import { expect, test } from '@jest/globals';
import { idsIn } from './idsIn.ts';

test('ids are read as they come out of a sheet or a mail, each once', () => {
  expect(idsIn('wu-1\r\nwu-2, "wu-3";wu-1\t\n\n')).toEqual(['wu-1', 'wu-2', 'wu-3']);
  expect(idsIn(" a b \n'c'")).toEqual(['a b', 'c']);
  expect(idsIn(' ,\n;')).toEqual([]);
});
