import { beforeEach, describe, expect, test } from '@jest/globals';
import type { ShelfPlan } from '../../../core/setup/parts/plans.ts';
import { stateKey } from './deskState.ts';
import { newPlanId, planFor, withoutPin, withPins, withPull } from './planActs.ts';
import { clientHere } from './queryClient.ts';

const plan: ShelfPlan = {
  name: 'Brushes',
  on: true,
  searches: ['Round brush'],
  pins: [{ product: 'a', place: 2 }],
  pulls: [{ product: 'b', pull: 2 }],
};
const other: ShelfPlan = { ...plan, searches: ['blue ink'] };
beforeEach(() => {
  clientHere().setQueryData(stateKey, { setup: { plans: { brushes: plan, 'blue-ink': other } } });
});

describe('what the menu under a product does to a plan', () => {
  test('a pin moves with its product, and what stands at its new place moves on', () => {
    expect(withPins(plan, ['a'], 5).pins).toEqual([{ product: 'a', place: 5 }]);
    expect(withPins(plan, ['c'], 2).pins).toEqual([
      { product: 'c', place: 2 },
      { product: 'a', place: 3 },
    ]);
    expect(withPins(plan, ['c'], 1).pins.map(({ product }) => product)).toEqual(['c', 'a']);
    expect(withoutPin(plan, 'a').pins).toEqual([]);
  });
  test('a pull replaces the one before; a pull of 1 takes it away', () => {
    expect(withPull(plan, 'b', 0.5).pulls).toEqual([{ product: 'b', pull: 0.5 }]);
    expect(withPull(plan, 'b', 1).pulls).toEqual([]);
    expect(withPull(plan, 'c', 1).pulls).toEqual(plan.pulls);
  });
  test('nothing is changed in place', () => {
    const before = structuredClone(plan);
    withPins(plan, ['c'], 2);
    withPull(plan, 'b', 3);
    expect(plan).toEqual(before);
  });
});

test('a search’s plan is found however it is typed; else a new one is begun for it', () => {
  expect(planFor({ query: 'ROUND  brush', collection: '' }).id).toBe('brushes');
  const fresh = planFor({ query: 'Ink', collection: '' });
  expect(fresh).toEqual({ id: 'ink', plan: { name: 'Ink', on: true, searches: ['Ink'], pins: [], pulls: [] } });
});

test('a collection’s page has a plan of its own, apart from those that hold for searches too', () => {
  const page = { ...plan, searches: [], collections: ['inks'] };
  const both = { ...plan, collections: ['papers'] };
  clientHere().setQueryData(stateKey, { setup: { plans: { page, both } } });
  expect(planFor({ query: ' ', collection: 'inks' }).id).toBe('page');
  expect(planFor({ query: '', collection: 'papers' })).toEqual({
    id: 'papers',
    plan: { name: 'Page of papers', on: true, searches: [], collections: ['papers'], pins: [], pulls: [] },
  });
  expect(planFor({ query: 'ink', collection: 'inks' }).id).toBe('ink');
});

test('a new plan’s id reads well and is never one that is taken', () => {
  expect(newPlanId('blue ink')).toBe('blue-ink-2');
  expect(newPlanId('%%%')).toBe('-');
  expect(newPlanId('x'.repeat(500)).length).toBeLessThanOrEqual(62);
});
