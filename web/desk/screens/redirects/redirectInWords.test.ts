import { expect, test } from '@jest/globals';
import { caughtInWords, foundInWords, targetInWords } from './redirectInWords.ts';

test.each([
  ['article', true, 'Leads to an article of the shop.'],
  ['product', false, 'It leads to a product of the shop that is not there.'],
  ['search', true, 'Leads to another search, which finds something.'],
  ['search', false, 'The search it leads to finds nothing.'],
  ['page', null, 'A page of your site.'],
  ['elsewhere', null, 'An address elsewhere; it is offered to shoppers.'],
] as const)('%s that is there: %s', (target, isThere, said) => expect(targetInWords({ target, isThere })).toBe(said));

test('whom it caught', () => {
  expect(caughtInWords({ times: 0, searches: [] })).toBe('Caught nobody by the shopper log.');
  expect(caughtInWords({ times: 1, searches: ['returns'] })).toBe('Caught 1 search: “returns”');
  expect(caughtInWords({ times: 1234, searches: ['a', 'b'] })).toBe('Caught 1,234 searches: “a”, “b”');
});

test('what came of asking for a page', () => {
  expect(foundInWords({ is: 'there' })).toEqual({ text: 'It is there.', isWrong: false });
  expect(foundInWords({ is: 'gone', statusCode: 404 })).toEqual({ text: 'There is no such page.', isWrong: true });
  expect(foundInWords({ is: 'other', statusCode: 403 })).toEqual({
    text: 'It answers, but not to us (403): look at it yourself.',
    isWrong: false,
  });
});
