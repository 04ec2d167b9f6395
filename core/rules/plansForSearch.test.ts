import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { pinsOf, plansBySearch, pulledScore, pullsOf, totalPull } from './plansForSearch.ts';

const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  name: 'Plan',
  on: true,
  searches: [],
  pins: [],
  pulls: [],
  ...change,
});
const setupWith = (plans: Record<string, ShelfPlan>): Setup => ({ ...initialSetup([]), plans });

describe('the plans of a search', () => {
  const plans = plansBySearch(
    setupWith({
      b: plan({ name: 'B', searches: ['Pencil Case', 'ink'] }),
      a: plan({ name: 'A', searches: ['ink', ' INK '] }),
      c: plan({ name: 'C', searches: ['ink'], on: false }),
    }),
  );
  test('hold for it however it is typed', () => {
    expect(plans.get('pencil case')!.map(({ name }) => name)).toEqual(['B']);
    expect(plans.has('Pencil Case')).toBe(false);
  });
  test('stand in order of their ids, each once, those switched off not at all', () =>
    expect(plans.get('ink')!.map(({ name }) => name)).toEqual(['A', 'B']));
});

describe('pins of several plans', () => {
  const both = plansBySearch(
    setupWith({
      a: plan({
        name: 'A',
        searches: ['ink'],
        pins: [
          { product: 'x', place: 3 },
          { product: 'y', place: 1 },
        ],
      }),
      b: plan({
        name: 'B',
        searches: ['ink'],
        pins: [
          { product: 'x', place: 1 },
          { product: 'z', place: 1 },
        ],
      }),
    }),
  ).get('ink')!;
  test('stand by place; the first plan to name a product has it', () =>
    expect(pinsOf(both).map(({ product, place, plan: id }) => `${place} ${product} ${id}`)).toEqual([
      '1 y a',
      '1 z b',
      '3 x a',
    ]));
});

describe('pulls', () => {
  const plans = plansBySearch(
    setupWith({
      a: plan({ name: 'A', searches: ['ink'], pulls: [{ product: 'x', pull: 2 }] }),
      b: plan({
        name: 'B',
        searches: ['ink'],
        pulls: [
          { product: 'x', pull: 3 },
          { product: 'y', pull: 0.5 },
        ],
      }),
    }),
  ).get('ink')!;
  test('of several plans on one product work together', () => {
    const pulls = pullsOf(plans);
    expect(totalPull(pulls.get('x')!)).toBe(6);
    expect(totalPull(pulls.get('y')!)).toBe(0.5);
    expect(totalPull([])).toBe(1);
  });
  test('together stay between a tenth and ten times', () => {
    const strong = (pull: number) => ({ plan: 'p', planName: 'P', pull });
    expect(totalPull([strong(10), strong(10)])).toBe(10);
    expect(totalPull([strong(0.1), strong(0.1)])).toBe(0.1);
  });
  test.each([
    [50_000, 1, 50_000],
    [50_001, 0.5, 25_001],
    [33_333, 1.5, 50_000],
  ])('a score of %d pulled by %d is %d', (score, pull, after) => expect(pulledScore(score, pull)).toBe(after));
});
