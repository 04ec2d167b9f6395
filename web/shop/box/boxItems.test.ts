import { expect, test } from '@jest/globals';
import type { BoxAnswer } from '../../../core/suggest/boxAnswer.ts';
import { isBegunNumber, shownBlocks } from './boxItems.ts';

test.each([
  ['wu 20', 'WU-20481', true],
  ['WU-20481', 'WU-20481', true],
  ['wu', 'WU-20481', false],
  ['20481', 'WU-20481', false],
  ['', '', false],
])('“%s” begins the part number %s: %s', (typed, sku, is) => expect(isBegunNumber(typed, sku)).toBe(is));

const why = { from: 'log', searches: 1, products: 0, mistakes: 0 } as const;
const answer = (more: Partial<BoxAnswer>): BoxAnswer =>
  ({ typed: '', moment: 'before', total: 0, allResults: true, ...more }) as BoxAnswer;

test('columns stand side by side by their numbers, one that has nothing is not there', () => {
  const { columns, all } = shownBlocks(
    answer({
      total: 3,
      blocks: [
        { kind: 'popular', title: 'Often', column: 3, items: [{ text: 'ink', why }] },
        { kind: 'recent', title: 'Before', column: 2, most: 4 },
        { kind: 'message', title: '', column: 1, text: 'Hello' },
      ],
    }),
    [],
  );
  expect(columns.map((blocks) => blocks.map(({ kind }) => kind))).toEqual([['message'], ['popular']]);
  expect(all).toMatchObject({ what: 'all', total: 3 });
  expect(shownBlocks(answer({ blocks: [], total: 3, allResults: false }), []).all).toBeNull();
});

test('of what was searched for before so many are shown as are said', () => {
  const blocks = [{ kind: 'recent', title: 'Before', column: 1, most: 2 }] as const;
  const { columns } = shownBlocks(answer({ blocks: [...blocks] }), ['a', 'b', 'c']);
  expect(columns[0]![0]!.items.map(({ key }) => key)).toEqual(['recent a', 'recent b']);
});
