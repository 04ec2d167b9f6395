import { expect, test } from '@jest/globals';
import { behind } from './behind.ts';

const queries = ['oak easel', 'sable brush', 'black ink'].map((text, at) => ({ text, id: `p${at}`, says: text }));

test('where another finder is ahead, it is named with the queries by which most is lost', () => {
  const lines = behind(
    [
      { finder: 'own', ranks: [1, 3, 0] },
      { finder: 'a', ranks: [1, 0, 0] },
      { finder: 'b', ranks: [2, 2, 1] },
    ],
    queries,
  );
  expect(lines[0]).toContain('b is ahead: 0.667 against 0.444');
  expect(lines.slice(1)).toEqual(['    - (1)  “black ink”  p2', '    3 (2)  “sable brush”  p1']);
});

test('where nobody is ahead, nothing is said', () => {
  const own = { finder: 'own', ranks: [1, 1, 2] };
  expect(behind([own, { finder: 'a', ranks: [1, 1, 2] }], queries)).toEqual([]);
  expect(behind([own], queries)).toEqual([]);
});
