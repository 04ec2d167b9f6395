import { describe, expect, test } from '@jest/globals';
import { judge, judgedSearchSchema, summarise } from './judgement.ts';

const grades = new Map([
  ['a', 3],
  ['b', 1],
  ['c', 0],
]);

describe('a judged search', () => {
  test('in the best order is right in every figure', () => {
    expect(judge('x', ['a', 'b', 'z'], grades)).toEqual({ query: 'x', ndcg10: 1, reciprocalRank: 1, recall10: 1 });
  });
  test('loses for every place by which the right ones stand lower, worked out by hand', () => {
    const { ndcg10, reciprocalRank, recall10 } = judge('x', ['c', 'b', 'z', 'a'], grades);
    const ideal = 3 + 1 / Math.log2(3);
    expect(ndcg10).toBeCloseTo((1 / Math.log2(3) + 3 / Math.log2(5)) / ideal, 12);
    expect([reciprocalRank, recall10]).toEqual([1 / 2, 1]);
  });
  test('whose right products stand below the first ten has a rank, but neither gain nor recall', () => {
    const found = [...Array.from({ length: 10 }, (_, at) => `z${at}`), 'a'];
    expect(judge('x', found, grades)).toEqual({ query: 'x', ndcg10: 0, reciprocalRank: 1 / 11, recall10: 0 });
  });
  test('that finds nothing is nought throughout', () => {
    expect(judge('x', [], grades)).toMatchObject({ ndcg10: 0, reciprocalRank: 0, recall10: 0 });
  });
  test('must name something relevant', () => {
    expect(judgedSearchSchema.safeParse({ query: 'x', relevant: { a: 0 } }).success).toBe(false);
    expect(judgedSearchSchema.safeParse({ query: 'x', relevent: { a: 1 } }).success).toBe(false);
  });
});

test('the summary is the mean, with the worst search first', () => {
  const { mrr, queries } = summarise([judge('good', ['a', 'b'], grades), judge('bad', ['z'], grades)]);
  expect(mrr).toBe(0.5);
  expect(queries.map(({ query }) => query)).toEqual(['bad', 'good']);
  expect(summarise([])).toEqual({ ndcg10: 0, mrr: 0, recall10: 0, queries: [] });
});
