import { describe, expect, test } from '@jest/globals';
import { languages } from '../text/languages.ts';
import { en } from './en.ts';
import { localeOf } from './localeOf.ts';
import { messageKeys, shippedMessages } from './messages.ts';
import { readMessage } from './readMessage.ts';

describe.each(languages)('every text that shoppers read, in %s,', (language) => {
  test.each(messageKeys)('%s is there, can be read, and names what the English one does', (key) => {
    const names = (text: string) => {
      const read = readMessage(text);
      return 'problem' in read ? read : { values: [...read.values].sort(), marks: [...read.marks].sort() };
    };
    const text = shippedMessages[language][key];
    expect(text.trim()).not.toBe('');
    expect(names(text)).toEqual(names(en[key]));
  });
});

test('a message that cannot be read is told with its place', () => {
  expect(readMessage('Show {count, plural, one {# thing}')).toMatchObject({ at: expect.any(Number) });
  expect(readMessage('{a} <b>{c}</b>')).toEqual({ values: ['a', 'c'], marks: ['b'] });
});

test('amounts are written as in the shop’s country, else as in the language’s own', () =>
  expect([localeOf('de', 'AT'), localeOf('en', undefined)]).toEqual(['de-AT', 'en-GB']));
