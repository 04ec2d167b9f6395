import { expect, test } from '@jest/globals';
import { initialSetup } from './initialSetup.ts';
import { wording } from './parts/wording.ts';
import { wordingGroups } from './terms/wordingTerms.ts';
import { wordingIn } from './wordingIn.ts';

test('own texts are those of the shopper’s language; a text there is not any more is let be', () => {
  const setup = {
    ...initialSetup([]),
    wording: {
      'en/results.sort': { text: 'Order' },
      'de/results.sort': { text: 'Folge' },
      'en/results.gone': { text: 'x' },
    },
  };
  expect({ ...wordingIn(setup, 'en') }).toEqual({ 'results.sort': 'Order' });
  expect({ ...wordingIn(setup, 'fr') }).toEqual({});
});

test.each([
  ['Order {by', false],
  ['<b>Order', false],
  ['{count, plural, one {x}}', false],
  ['Order', true],
])('the text “%s” can be kept: %s', (text, can) => expect(wording.value.safeParse({ text }).success).toBe(can));

test('every group has texts, each stands in one', () => {
  const keys = wordingGroups.flatMap((group) => group.keys);
  expect(new Set(keys).size).toBe(keys.length);
  expect(wordingGroups.filter((group) => group.keys.length === 0)).toEqual([]);
  expect(keys).not.toContain('shelf.nothing');
});
