import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openSections, packSections } from './sections.ts';
import { openStrings, packStrings, type SortedStringTable, tableDifferences } from './stringTable.ts';

const tableOf = (texts: readonly string[]): SortedStringTable =>
  openStrings(openSections(packSections(null, packStrings('t', texts)))!, 't');

test.each([0, 1, 2, 40, 400])('of two tables that differ in about %i texts, these and no others are told', (amount) => {
  const random = seededRandom(amount + 3);
  const word = (): string =>
    Array.from({ length: 1 + Math.floor(random() * 6) }, () => pick(random, ['a', 'b', 'ö'])).join('');
  const before = [...new Set(Array.from({ length: 900 }, word))].sort();
  const dropped = new Set(Array.from({ length: amount / 2 }, () => pick(random, before)));
  const added = Array.from({ length: amount - amount / 2 }, () => `${word()}${pick(random, ['c', 'ab', ''])}`);
  const after = [...new Set([...before.filter((text) => !dropped.has(text)), ...added])].sort();
  const { gone, born } = tableDifferences(tableOf(before), tableOf(after));
  expect(gone).toEqual(before.filter((text) => !after.includes(text)));
  expect(born).toEqual(after.filter((text) => !before.includes(text)));
});
