import { expect, test } from '@jest/globals';
import { changedVocabularyPages } from './vocabularyPages.ts';

test('a change is marked on the page where it is made, also when it took an entry away', () => {
  const stop = { part: 'vocabulary', key: 'stop-words', before: { what: 'stopWords', words: ['for'] }, after: null };
  const set = { part: 'vocabulary', key: 'a', before: null, after: { what: 'oneWay' } };
  const never = { part: 'vocabulary', key: 'b', before: null, after: { what: 'neverCorrected' } };
  const rule = { part: 'relevance', key: 'spelling', before: {}, after: {} };
  const weight = { part: 'relevance', key: 'closeCall', before: {}, after: {} };
  expect([...changedVocabularyPages([stop, set, weight] as never[])]).toEqual([
    '/vocabulary/stop-words',
    '/vocabulary',
  ]);
  expect([...changedVocabularyPages([never, rule] as never[])]).toEqual(['/vocabulary/spelling']);
});
