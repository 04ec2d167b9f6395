import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { PlainText } from './plainText.ts';
import { tokenize } from './tokenize.ts';

test('reads plain letters, an apostrophe inside a word and capitals', () => {
  const plain = new PlainText();
  expect(plain.read("The Artist's 'Brush', cold-press; fine.")).toBe(true);
  expect(plain.tokens()).toEqual(['the', 'artists', 'brush', 'cold', 'press', 'fine']);
  expect(plain.read('')).toBe(true);
  expect(plain.tokens()).toEqual([]);
});

test.each(['size 6', 'Café', 'two\nlines', '画', "l'eau", 'AT&T', 'C++'])('leaves “%s” to the general way', (text) => {
  expect(new PlainText().read(text)).toBe(false);
});

test('a text longer than any before, and a word longer than any shopper types', () => {
  const plain = new PlainText();
  expect(plain.read('a '.repeat(5000))).toBe(true);
  expect(plain.words).toBe(5000);
  expect(plain.read(`${'x'.repeat(3000)} y`)).toBe(true);
  expect(plain.tokens()).toEqual(['x'.repeat(40), 'y']);
});

test.each([1, 2, 3])('reads as the general way does, seed %d', (seed) => {
  const random = seededRandom(seed);
  const plain = new PlainText();
  const letters = [...'abzAZlqu\'  ,-.`~"&+#'];
  let read = 0;
  for (let turn = 0; turn < 2000; turn++) {
    const text = Array.from({ length: Math.floor(random() * 30) }, () => pick(random, letters)).join('');
    // What is written in a way of its own is left to the general way.
    if (!plain.read(text)) continue;
    read++;
    // A letter with an accent sends the whole text the general way.
    expect([...plain.tokens(), 'e']).toEqual(tokenize(`${text} é`.replaceAll('`', ' ')));
  }
  expect(read).toBeGreaterThan(500);
});
