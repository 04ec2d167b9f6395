import { expect, test } from '@jest/globals';
import type { BoxBlock } from '../../../../core/setup/parts/searchBox.ts';
import { usualBlocks } from '../../../../core/setup/terms/boxTerms.ts';
import { blocksOf, withBlock, withOrder } from './boxBlocks.ts';

const typing = usualBlocks.typing as readonly BoxBlock[];
const kinds = (blocks: readonly BoxBlock[]): string => blocks.map(({ kind, column }) => `${kind} ${column}`).join(', ');

test('a block moves within its column and leaves the others where they are', () => {
  expect(kinds(typing)).toBe('suggestions 1, lookIn 1, articles 1, products 2, collections 2');
  expect(kinds(withOrder(typing, 1, 2, 0))).toBe('articles 1, suggestions 1, lookIn 1, products 2, collections 2');
  expect(kinds(withOrder(typing, 2, 0, 1))).toBe('suggestions 1, lookIn 1, articles 1, collections 2, products 2');
});

test('a block that came later stands last and is off; one that is changed stays in its place', () => {
  const earlier = typing.filter(({ kind }) => kind !== 'lookIn');
  expect(blocksOf(earlier, 'typing').at(-1)).toMatchObject({ kind: 'lookIn', on: false });
  expect(blocksOf(typing, 'typing')).toEqual(typing);
  expect(withBlock(typing, 'articles', { most: 7 })[2]).toMatchObject({ kind: 'articles', most: 7, on: true });
});
