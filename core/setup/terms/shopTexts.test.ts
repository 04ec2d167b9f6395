import { expect, test } from '@jest/globals';
import { languages } from '../../text/languages.ts';
import { boxTitles, messageIn, searchTheShop, shelfMessages } from './shopTexts.ts';

test('a message that comes with the shop is said in the shopper’s language, whichever it is kept in', () => {
  expect(messageIn(shelfMessages.nothing.en, 'de')).toBe('Zu „{search}“ haben wir nichts im Regal.');
  expect(messageIn(shelfMessages.hidden.fr, 'en')).toBe(shelfMessages.hidden.en);
});

test('one’s own message stays as it was written', () => expect(messageIn('Ask us.', 'de')).toBe('Ask us.'));

test('every text that comes with the shop is there in every language, with the shopper’s words where it has them', () => {
  for (const language of languages) {
    for (const text of Object.values(shelfMessages)) expect(text[language]).toContain('{search}');
    for (const text of [searchTheShop, ...Object.values(boxTitles)]) expect(text[language]).toBeDefined();
    expect(new Set(Object.values(shelfMessages).map((text) => text[language])).size).toBe(4);
  }
});
