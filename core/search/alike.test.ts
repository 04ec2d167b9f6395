import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { familiesAlike } from './alike.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';

const engine = openEngine(
  snapshotOf(
    recordsOf([
      { id: 'a', title: 'Round sable brush' },
      { id: 'b', title: 'Round synthetic brush' },
      { id: 'c', title: 'Flat brush' },
      { id: 'd', title: 'Blue ink' },
      { id: 'e', title: 'Umber easel' },
    ]),
  ),
);
const alike = (of: string, most = 3, change: Partial<Setup> = {}): string[] => {
  const setup = { ...initialSetup(engine.snapshot.attributes), ...change };
  const family = engine.snapshot.findFamily(of);
  const titles: Readonly<Record<string, string>> = { a: 'Round sable brush', d: 'Blue ink', c: 'Flat brush' };
  return familiesAlike(engine, prepareSetup(engine, setup, 0), titles[of]!, { but: family, most }).map(
    ({ family: each }) => engine.snapshot.familyId(each),
  );
};

test('like a product is what has most of its title, and not the product itself', () => {
  expect(alike('a')).toContain('b');
  expect(alike('a')).not.toContain('a');
  expect(alike('a', 1)).toHaveLength(1);
});

test('what is hidden is like nothing', () => {
  const hiding = { x: { what: 'product' as const, product: 'b' } };
  expect(alike('a', 3, { hiding })).not.toContain('b');
});

test('nothing is like what shares no word with anything', () => expect(alike('d')).toEqual([]));
