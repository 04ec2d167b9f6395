import { describe, expect, test } from '@jest/globals';
import { describeChange } from './describeChange.ts';
import type { EntryChange } from './entries.ts';

const names = { attribute: (key: string) => key.toUpperCase(), product: (id: string) => `“${id}”` };
const told = (part: EntryChange['part'], before: unknown, after: unknown, key = 'k') =>
  describeChange({ part, key, before, after }, names);
const about = { product: 'p', variant: null, attribute: 'brand' };

describe('decisions about products in words', () => {
  test.each([
    [null, { ...about, act: 'set', value: 'Osier' }, 'BRAND is set to “Osier” for “p”'],
    [null, { ...about, act: 'set', value: ['a', 'b'] }, 'BRAND is set to “a, b” for “p”'],
    [null, { ...about, act: 'clear' }, 'BRAND is emptied for “p”'],
    [{ ...about, act: 'clear' }, null, 'BRAND is the file’s again for “p”'],
    [
      null,
      { ...about, attribute: 'tags', act: 'tags', add: ['x'], remove: ['y'] },
      'Tagged “x” and no longer tagged “y” for “p”',
    ],
  ])('%j to %j', (before, after, sentence) => expect(told('products', before, after)).toEqual([sentence]));
  test('a long value is cut', () =>
    expect(told('products', null, { ...about, act: 'set', value: 'x'.repeat(200) })[0]!.length).toBeLessThan(110));
});

describe('vocabulary, content and places in words', () => {
  const stop = (...words: string[]) => ({ what: 'stopWords', words });
  test.each([
    ['vocabulary', null, stop('for', 'the'), ['Searches pass over “for”, “the”']],
    [
      'vocabulary',
      stop('for', 'the'),
      stop('the', 'a'),
      ['Searches pass over “a”', 'Searches no longer pass over “for”'],
    ],
    ['vocabulary', null, { what: 'synonyms', words: ['a', 'b'], on: true }, ['“a”, “b” mean the same']],
    ['vocabulary', { what: 'synonyms', words: ['a', 'b'], on: true }, null, ['“a”, “b” no longer mean the same']],
    ['content', null, { what: 'leftOut', kind: 'article', id: 'x' }, ['The article “x” is left out of the search']],
    ['hiding', null, { what: 'product', product: 'p', from: ['collections'] }, ['“p” is hidden from collection pages']],
    ['hiding', { what: 'tag', tag: 't' }, null, ['Every product tagged “t” is no longer hidden']],
    [
      'attributes',
      { searchable: true, weight: 1, onCard: false },
      { searchable: true, weight: 1, onCard: false, wins: 'file' },
      ['K is what the file says, whatever was set here'],
    ],
  ] as const)('%s: %j to %j', (part, before, after, sentences) => expect(told(part, before, after)).toEqual(sentences));
  test('a kind of content that is switched off', () =>
    expect(told('content', null, { what: 'kind', found: false, weights: {} }, 'article')).toEqual([
      'Articles are not found by the search any more',
    ]));
});
