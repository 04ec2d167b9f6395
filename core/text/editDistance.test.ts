import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { editDistance } from './editDistance.ts';

test.each([
  ['blue', 'bule', 1],
  ['gouache', 'gauche', 2],
  ['paper', 'paper', 0],
  ['paper', 'pape', 1],
  ['paper', 'papers', 1],
  ['ab', 'ba', 1],
  ['ca', 'abc', 3],
])('from %s to %s: %i', (a, b, edits) => expect(editDistance(a, b, 5)).toBe(edits));

const word = fc.string({ unit: fc.constantFrom('a', 'b', 'c'), maxLength: 8 });

test('it is the same both ways, 0 only for equal words, and never more than the longer length', () => {
  fc.assert(
    fc.property(word, word, (a, b) => {
      const edits = editDistance(a, b, 10);
      expect(editDistance(b, a, 10)).toBe(edits);
      expect(edits === 0).toBe(a === b);
      expect(edits).toBeLessThanOrEqual(Math.max(a.length, b.length));
    }),
    { seed: 5 },
  );
});

test('with a limit it says the same up to the limit and one more beyond', () => {
  fc.assert(
    fc.property(word, word, fc.integer({ min: 0, max: 3 }), (a, b, limit) => {
      expect(editDistance(a, b, limit)).toBe(Math.min(editDistance(a, b, 10), limit + 1));
    }),
    { seed: 6 },
  );
});
