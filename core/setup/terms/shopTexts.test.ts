import { expect, test } from '@jest/globals';
import { shippedMessages } from '../../messages/messages.ts';
import { boxTitle, isShipped, messageIn, orderLabelIn } from './shopTexts.ts';

test('a message that comes with the shop is said in the shopper’s language, whichever it is kept in', () => {
  expect(messageIn(shippedMessages.en['shelf.nothing'], 'de')).toBe('Zu „{search}“ haben wir nichts im Regal.');
  expect(messageIn(shippedMessages.fr['shelf.hidden'], 'en')).toBe(shippedMessages.en['shelf.hidden']);
});

test('one’s own message stays as it was written', () => {
  expect(messageIn('Ask us.', 'de')).toBe('Ask us.');
  expect(isShipped('Ask us.')).toBe(false);
});

test('a block is headed in the shopper’s language, a message by nothing', () =>
  expect([boxTitle('recent', 'de'), boxTitle('message', 'de')]).toEqual(['Zuletzt gesucht', '']));

test('an order of the sorting menu that comes with the shop is named in the shopper’s language; one’s own stays', () => {
  expect(orderLabelIn('Price, low to high', 'de')).toBe('Preis aufsteigend');
  expect(orderLabelIn('Neueste zuerst', 'es')).toBe('Novedades');
  expect(orderLabelIn('Our favourites', 'de')).toBe('Our favourites');
  expect(orderLabelIn('constructor', 'de')).toBe('constructor');
});
