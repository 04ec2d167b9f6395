import { expect, test } from '@jest/globals';
import { keepAnswers } from './keptAnswers.ts';

test('a question is answered once as long as it is among those asked last', () => {
  const made: string[] = [];
  const kept = keepAnswers<string>(2);
  const ask = (question: string): string =>
    kept.get(question, () => {
      made.push(question);
      return question.toUpperCase();
    });
  for (const question of ['a', 'b', 'a', 'c', 'a', 'b']) expect(ask(question)).toBe(question.toUpperCase());
  expect(made).toEqual(['a', 'b', 'c', 'b']);
});
