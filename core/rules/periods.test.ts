import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { comingChanges, periodOf } from './periods.ts';

const begun = initialSetup([]);
const plan = { name: 'Advent', on: true, searches: ['card'], pins: [], pulls: [] };
const setup: Setup = {
  ...begun,
  storefront: { ...begun.storefront, shop: { ...begun.storefront.shop, timeZone: 'Europe/Berlin' } },
  plans: {
    advent: { ...plan, from: '2026-12-01T08:00', until: '2026-12-24' },
    off: { ...plan, on: false, from: '2026-12-02' },
    always: plan,
  },
  hiding: { 'product:p': { what: 'product', product: 'p', until: '2026-12-01T08:00' } },
};
const at = (instant: string): number => Date.parse(instant);

test('a setup means the same from one instant at which something begins or ends to the next', () => {
  const instants = [
    '2026-11-30T00:00Z',
    '2026-12-01T06:59Z',
    '2026-12-01T07:00Z',
    '2026-12-24T22:59Z',
    '2026-12-24T23:00Z',
  ];
  const periods = instants.map((instant) => periodOf(setup, at(instant)));
  expect(periods[0]).toBe(periods[1]);
  expect(new Set(periods).size).toBe(4);
  expect(periodOf(begun, at('2026-12-01T00:00Z'))).toBe(periodOf(begun, 0));
});

test('what begins and ends next is told, the soonest first, without what is switched off', () => {
  const told = (now: string, most = 9) =>
    comingChanges(setup, at(now), most).map(
      ({ what, key, instant }) => `${key} ${what} ${new Date(instant).toISOString()}`,
    );
  expect(told('2026-11-01T00:00Z')).toEqual([
    'advent begins 2026-12-01T07:00:00.000Z',
    'product:p ends 2026-12-01T07:00:00.000Z',
    'advent ends 2026-12-24T23:00:00.000Z',
  ]);
  expect(told('2026-11-01T00:00Z', 1)).toHaveLength(1);
  expect(told('2027-01-01T00:00Z')).toEqual([]);
  const winter: Setup = { ...setup, plans: { w: { ...plan, yearly: { from: '12-01', until: '02-28' } } }, hiding: {} };
  const seasons = (now: string) =>
    comingChanges(winter, at(now), 9).map(({ what, instant }) => `${what} ${new Date(instant).toISOString()}`);
  expect(seasons('2026-11-01T00:00Z')).toEqual(['begins 2026-11-30T23:00:00.000Z', 'ends 2027-02-28T23:00:00.000Z']);
  expect(seasons('2027-01-15T00:00Z')).toEqual(['ends 2027-02-28T23:00:00.000Z', 'begins 2027-11-30T23:00:00.000Z']);
});

test('a badge begins and ends as rules do, known by its own key', () => {
  const badge = { key: 'gift', on: true, condition: { match: 'all' as const, tests: [] }, text: { en: 'Gift' } };
  const shown = { most: 1, list: [{ ...badge, place: 'left' as const, colour: '#204060', from: '2026-12-01' }] };
  const bare: Setup = { ...setup, plans: {}, hiding: {}, badges: { shown } };
  expect(comingChanges(bare, at('2026-11-01T00:00Z'), 9)).toMatchObject([
    { part: 'badges', key: 'gift', what: 'begins' },
  ]);
  expect(periodOf(bare, at('2026-11-30T22:59Z'))).not.toBe(periodOf(bare, at('2026-11-30T23:00Z')));
});
