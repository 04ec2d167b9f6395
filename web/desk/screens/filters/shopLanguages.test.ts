import { expect, test } from '@jest/globals';
import { withLanguage } from './shopLanguages.ts';

test('ticking another language never changes the shop’s own', () => {
  expect(withLanguage([], 'en', 'de')).toEqual(['en', 'de']);
  expect(withLanguage(['en', 'de'], 'en', 'fr')).toEqual(['en', 'de', 'fr']);
  expect(withLanguage(['en', 'de'], 'en', 'de')).toEqual([]);
  expect(withLanguage(['en', 'de'], 'en', 'en')).toEqual(['en', 'de']);
});

test('a list that begins with another one, as could be made before, is put right with the next tick', () => {
  expect(withLanguage(['de'], 'en', 'fr')).toEqual(['en', 'de', 'fr']);
  expect(withLanguage(['de', 'en'], 'en', 'de')).toEqual([]);
});
