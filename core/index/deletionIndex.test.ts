import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { allowedEdits } from '../query/spelling.ts';
import { editDistance } from '../text/editDistance.ts';
import { openDeletions, packDeletions } from './deletionIndex.ts';
import { openSections, packSections } from './sections.ts';
import { openStrings, packStrings } from './stringTable.ts';

function indexOf(terms: readonly string[]) {
  const eligible = new Uint8Array(terms.length).fill(1);
  const sections = openSections(
    packSections(null, { ...packStrings('terms', terms), ...packDeletions(terms, eligible) }),
  )!;
  return openDeletions(sections, openStrings(sections, 'terms'));
}

test('finds exactly the terms within the allowed edits, as measuring every term does', () => {
  const random = seededRandom(11);
  const word = (): string =>
    Array.from({ length: 2 + Math.floor(random() * 10) }, () => pick(random, ['a', 'b', 'c', 'd'])).join('');
  const terms = [...new Set(Array.from({ length: 700 }, word))].sort();
  const index = indexOf(terms);
  for (let round = 0; round < 400; round++) {
    const sought = word();
    // Two edits as soon as they may be set, at five letters.
    const limit = allowedEdits(sought.length, { oneEditFrom: 3, twoEditsFrom: 5 });
    const expected = terms
      .map((term, number) => ({ term: number, text: term, edits: editDistance(sought, term, limit) }))
      .filter(({ text, edits }) => limit > 0 && edits > 0 && edits <= limit && text.length >= 3)
      .map(({ term, edits }) => ({ term, edits }));
    const found = index.near(sought, limit).sort((a, b) => a.term - b.term);
    expect({ sought, found }).toEqual({ sought, found: expected });
  }
});

test('number-like words are never corrected, nor corrected to', () => {
  const index = indexOf(['2041b', '2042b', 'paper', 'papers']);
  expect(index.near('2043b', 1)).toEqual([]);
  expect(index.near('papr', 1).map(({ term }) => term)).toEqual([2]);
});
