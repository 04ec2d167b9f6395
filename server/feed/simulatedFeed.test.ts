import { expect, test } from '@jest/globals';
import { seededRandom } from '../../core/base/random.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { nextFacts, openSimulatedFeed } from './simulatedFeed.ts';

test('says the same after the same seed, and nothing a shop could not say', () => {
  const read = (ordinal: number) => ({ id: `r${ordinal}`, values: { price: 4, stock: 2 } });
  const facts = nextFacts(seededRandom(3), read, 50);
  expect(facts).toEqual(nextFacts(seededRandom(3), read, 50));
  for (const { price, stock } of facts) {
    expect(price ?? 1).toBeGreaterThan(0);
    expect(stock ?? 0).toBeGreaterThanOrEqual(0);
  }
});

test('switched on, it changes the catalog at once; switched off, it stops', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const feed = openSimulatedFeed({ ...shelf, storefront: shelf.id, now: () => 7, seed: 2 });
  const before = shelf.catalogs.current()!.factVersion();
  await feed.set(true);
  expect(feed.isOn()).toBe(true);
  expect(feed.changed()).toBeGreaterThan(0);
  expect(shelf.catalogs.current()!.factVersion()).toBeGreaterThan(before);
  expect(shelf.catalogs.factsAt()).toBe(7);
  await feed.set(false);
  expect(feed.isOn()).toBe(false);
  shelf.remove();
});
