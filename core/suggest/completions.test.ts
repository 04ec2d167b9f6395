import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { obviousCompletions } from '../testing/obviousCompletions.ts';
import { stem } from '../text/wordForms.ts';
import { buildCompletions, openCompletions } from './completions.ts';
import { canBeOffered, type Phrase } from './phrase.ts';

const phrase = (text: string, weight: number): Phrase => ({ text, weight, searches: weight, products: 0 });
const open = (...phrases: Phrase[]) => openCompletions(buildCompletions(phrases, stem))!;
const texts = (completions: ReturnType<typeof open>, typed: string): string[] =>
  [...completions.complete(typed)].map(({ phrase: number }) => completions.phrase(number).text);

describe('what a search may go on to', () => {
  const shop = open(
    phrase('Watercolour', 50),
    phrase('watercolour paper', 40),
    phrase('water brush', 30),
    phrase('cold press watercolour pad', 90),
    phrase('gouache', 20),
  );
  test('begins as typed, or has a later word that does and counts for less', () => {
    expect(texts(shop, 'water')).toEqual([
      'Watercolour',
      'watercolour paper',
      'water brush',
      'cold press watercolour pad',
    ]);
    expect(texts(shop, 'watercolour p')).toEqual(['watercolour paper', 'cold press watercolour pad']);
  });
  test('is not what is typed already, in whatever case and form', () => {
    expect(texts(shop, 'WATERCOLOUR')).toEqual(['watercolour paper', 'cold press watercolour pad']);
  });
  test('goes on behind a space from a whole word only', () => {
    expect(texts(shop, 'water ')[0]).toBe('water brush');
  });
  test('is found in spite of a slip, behind what begins exactly so', () => {
    expect(texts(shop, 'wtaer')).toEqual([
      'Watercolour',
      'watercolour paper',
      'water brush',
      'cold press watercolour pad',
    ]);
    expect(texts(shop, 'goua').at(0)).toBe('gouache');
    expect(texts(shop, 'gauche')).toEqual(['gouache']);
    expect(texts(shop, 'xq')).toEqual([]);
  });
  test('is shown once for the same words in other forms and another order', () => {
    const brushes = open(phrase('round brush', 10), phrase('brushes round', 30), phrase('round brushes', 20));
    expect(texts(brushes, 'round b')).toEqual(['round brushes']);
    expect([...brushes.best()]).toHaveLength(1);
  });
  test('is shown once whether two words are written as one or apart', () => {
    const books = open(
      phrase('sketchbook', 30),
      phrase('sketch book', 20),
      phrase('a4 sketch book', 5),
      phrase('A4 sketchbook', 3),
    );
    expect(texts(books, 'ske')).toEqual(['sketchbook', 'a4 sketch book']);
  });
  test('that counts alike stands by its letters', () => {
    expect(texts(open(phrase('ink red', 1), phrase('ink blue', 1)), 'ink')).toEqual(['ink blue', 'ink red']);
  });
  test('the figures of one search in two spellings are added', () => {
    const one = open(phrase('Café au lait', 3), phrase('cafe au lait', 5));
    expect(one.phrase(0)).toEqual({ text: 'cafe au lait', weight: 8, searches: 8, products: 0 });
  });
  test('bytes that are no index are not opened', () => {
    expect(openCompletions(new SharedArrayBuffer(64))).toBeNull();
    expect(texts(open(), 'a')).toEqual([]);
  });
});

test.each([
  ['ada@example.org', false],
  ['order 1234567', false],
  ['07700 900 123', false],
  ['https://example.org', false],
  ['!!!', false],
  ['x'.repeat(61), false],
  ['a b c d e f g h i', false],
  ['30x40 canvas', true],
  ['WU-20481', true],
])('%s can be offered: %s', (text, can) => expect(canBeOffered(text)).toBe(can));

test('agrees with the obvious way over random phrases and beginnings, with slips', () => {
  const parts =
    'brush brushes brusk ink inks inky pen pens pencil paper papers pap blue bluer red reed set of 2 a4 penset pens et'.split(
      ' ',
    );
  let offered = 0;
  for (let seed = 1; seed <= 14; seed++) {
    const random = seededRandom(seed);
    const some = (most: number): string =>
      Array.from({ length: 1 + Math.floor(random() * most) }, () => pick(random, parts)).join(' ');
    const phrases = Array.from({ length: 5 + Math.floor(random() * 200) }, () =>
      phrase(some(4), 1 + Math.floor(random() * 6)),
    );
    const index = open(...phrases);
    for (let time = 0; time < 25; time++) {
      const whole = some(3);
      let typed = whole.slice(0, 1 + Math.floor(random() * whole.length));
      if (random() < 0.4) {
        const at = Math.floor(random() * typed.length);
        const letter = pick(random, ['', 'a', 'x', typed[at + 1] ?? '']);
        typed = typed.slice(0, at) + letter + typed.slice(at + (random() < 0.5 ? 1 : 0));
      }
      if (random() < 0.2) typed += ' ';
      const found = [...index.complete(typed)].map(({ phrase: number, mistakes, score }) => ({
        ...{ text: index.phrase(number).text, mistakes, score },
      }));
      expect({ seed, typed, found }).toEqual({ seed, typed, found: obviousCompletions(phrases, stem, typed) });
      offered += found.length;
    }
  }
  expect(offered).toBeGreaterThan(1000);
});
