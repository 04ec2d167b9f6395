import { expect, test } from '@jest/globals';
import { splitAtWords } from './matchedLetters.ts';

test.each([
  ['watercolour paper', 'water', '[water]colour paper'],
  ['cold press watercolour', 'wat col', '[col]d press [wat]ercolour'],
  ['Café pencil', 'cafe', '[Café] pencil'],
  ['Straße', 'stras', '[Straß]e'],
  ['blue', '', 'blue'],
  ['blue ink', 'xyz', 'blue ink'],
  ['a & b', 'b', 'a & [b]'],
])('%s with “%s” typed', (text, typed, expected) =>
  expect(
    splitAtWords(text, typed)
      .map(({ part, isTyped }) => (isTyped ? `[${part}]` : part))
      .join(''),
  ).toBe(expected),
);
