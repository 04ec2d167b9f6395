import { expect, test } from '@jest/globals';
import { countTogether, leastSurprise, mostForOne, surprise, type VisitTaken } from './together.ts';

const visit = (opened: readonly (readonly string[])[], taken: readonly string[] = []): VisitTaken => ({
  opened,
  taken,
});
const many = (count: number, of: VisitTaken): VisitTaken[] => Array.from({ length: count }, () => of);
const others = (visits: readonly VisitTaken[]) => {
  const { products } = countTogether(visits, () => null);
  return (relation: 'goesWith' | 'standsIn', one: string): string[] =>
    products[relation].filter((pair) => pair.one === one).map(({ other }) => other);
};

test('what is met as often as chance has it surprises nobody', () => {
  expect(surprise(25, 50, 50, 100)).toBeCloseTo(0);
  expect(surprise(0, 0, 0, 100)).toBe(0);
  // Worked out by hand: 10 of 20 and 10 of 10 in 1,000 visits.
  expect(surprise(10, 20, 10, 1000)).toBeCloseTo(
    2 * (10 * Math.log(50) + 10 * Math.log(10_000 / 19_800) + 980 * Math.log(980_000 / (980 * 990))),
    6,
  );
});

test('opened after one search they stand in for one another, after two they go together', () => {
  const seen = others([
    ...many(5, visit([['a', 'b']])),
    ...many(5, visit([['a'], ['c']])),
    ...many(40, visit([['x']])),
  ]);
  expect(seen('standsIn', 'a')).toEqual(['b']);
  expect(seen('goesWith', 'a')).toEqual(['c']);
});

test('taken together they go together, whatever they were found with', () => {
  const seen = others([...many(5, visit([['a', 'b']], ['a', 'b'])), ...many(40, visit([['x']]))]);
  expect(seen('goesWith', 'a')).toEqual(['b']);
});

test('a single visit says nothing', () => {
  expect(others([visit([['a'], ['b']]), ...many(5000, visit([['x']]))])('goesWith', 'a')).toEqual([]);
});

test('of who opens hundreds of things only some are looked at', () => {
  const robot = visit(Array.from({ length: 400 }, (_, at) => [`p${at}`]));
  const pair = many(9, visit([['p0'], ['p1']]));
  const { products } = countTogether([robot, robot, ...pair, ...many(900, visit([['x'], ['y']]))], () => null);
  expect(products.goesWith.some(({ one }) => one === 'p0')).toBe(true);
  expect(products.goesWith.some(({ one }) => one === 'p399')).toBe(false);
});

test('no more than so many are kept for one, the most surprising', () => {
  const visits = Array.from({ length: 40 }, (_, at) => many(3 + at, visit([['a'], [`b${at}`]]))).flat();
  const { products } = countTogether([...visits, ...many(5000, visit([['x'], ['y']]))], () => null);
  const own = products.goesWith.filter(({ one }) => one === 'a');
  expect(own).toHaveLength(mostForOne);
  expect(own[0]!.other).toBe('b39');
  expect(own.every(({ score }) => score >= leastSurprise)).toBe(true);
});

test('a product may be called like a part of every object', () => {
  const seen = others([...many(5, visit([['constructor'], ['__proto__']])), ...many(40, visit([['x']]))]);
  expect(seen('goesWith', 'constructor')).toEqual(['__proto__']);
});

test('a product goes with a kind, whichever of it', () => {
  const kindOf = (product: string): string | null =>
    ({ a: 'Paint', b: 'Paint', p: 'Paper', q: 'Paper' })[product] ?? null;
  const visits = [
    ...many(9, visit([['a'], ['p']])),
    ...many(9, visit([['b'], ['p']])),
    ...many(3, visit([['a'], ['b']])),
    ...many(40, visit([['x'], ['q']])),
    ...many(40, visit([['y'], ['q']])),
  ];
  const { kinds } = countTogether(visits, (product) => kindOf(product) ?? (product < 'z' ? 'Other' : null));
  expect(kinds.filter(({ one }) => one === 'Paint').map(({ other, both, of }) => [other, both, of])).toEqual([
    ['p', 18, 18],
  ]);
});
