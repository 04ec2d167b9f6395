import { expect, test } from '@jest/globals';
import { meansInWords, noteInWords, wordInWords } from './wordInWords.ts';

test('what became of a word is a sentence', () => {
  const value = { attribute: 'Colour', value: 'Blue' };
  expect(wordInWords({ as: 'recognised', products: 3, value })).toBe('Recognised as Colour: Blue.');
  expect(wordInWords({ as: 'givenUp', products: 2, value: null })).toMatch(/2 products by itself/);
  expect(wordInWords({ as: 'givenUp', products: 0, value: null })).toMatch(/nothing in the catalog/);
  expect(meansInWords({ as: 'corrected', means: [{ text: 'gouache', how: 'oneEdit' }] })).toBe(
    'Looked for instead: gouache (one typo away).',
  );
  expect(meansInWords({ as: 'word', means: [] })).toBeNull();
});

test('every reason says where it is set otherwise, where that can be', () => {
  expect(noteInWords({ code: 'valueNotRecognised', attribute: 'Colour', value: 'Blue' }).mend?.to).toBe(
    '/vocabulary/values',
  );
  expect(noteInWords({ code: 'tooShort', from: 4 })).toMatchObject({
    text: 'Not corrected: only words from 4 letters are.',
    mend: { label: 'Spelling' },
  });
  expect(noteInWords({ code: 'notRead', attributes: ['Series'] }).mend?.to).toBe('/attributes');
});
