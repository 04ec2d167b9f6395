import { expect, test } from '@jest/globals';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { watchDates } from './watchDates.ts';

const begun = initialSetup([]);
const until = (moment: string): Setup => ({
  ...begun,
  storefront: { ...begun.storefront, shop: { ...begun.storefront.shop, timeZone: 'Europe/Berlin' } },
  hiding: { 'product:p': { what: 'product', product: 'p', until: moment } },
});

test('what ends at an hour is told when the hour comes, once, and what is changed by hand is not told', () => {
  let now = Date.parse('2026-12-01T16:59:58Z');
  let setup = until('2026-12-01T18:00');
  const told: string[] = [];
  const look = watchDates(
    () => [{ key: 'live', setup, changed: () => told.push(new Date(now).toISOString()) }],
    () => now,
  );
  for (let second = 0; second < 5; second++) {
    look();
    now += 1000;
  }
  expect(told).toEqual(['2026-12-01T17:00:00.000Z']);
  setup = until('2026-11-01');
  look();
  expect(told).toHaveLength(1);
  now = Date.parse('2026-12-01T22:59:59Z');
  look();
  now += 1000;
  look();
  // Midnight there: another day, for what holds on days of the year and for newness.
  expect(told.slice(1)).toEqual(['2026-12-01T23:00:00.000Z']);
});
