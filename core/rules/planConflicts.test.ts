import { expect, test } from '@jest/globals';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import { planConflicts } from './planConflicts.ts';

const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  ...{ name: 'Plan', on: true, searches: ['ink'], pins: [], pulls: [] },
  ...change,
});
const codes = (change: Partial<ShelfPlan>, others: ShelfPlan[] = []) =>
  planConflicts(plan(change), [plan(change), ...others]).map(({ code }) => code);

test.each<[string, Partial<ShelfPlan>, string[]]>([
  ['a plan that arranges something', { pins: [{ product: 'a', place: 1 }] }, []],
  ['one that holds for nothing', { searches: [], first: ['a'] }, ['neverHolds']],
  ['one of a collection only', { searches: [], collections: ['inks'], first: ['a'] }, []],
  ['one that does nothing', {}, ['doesNothing']],
  ['what is pinned and hidden', { pins: [{ product: 'a', place: 1 }], hides: ['a'] }, ['hidden']],
  ['what is boosted and hidden', { pulls: [{ product: 'a', pull: 2 }], hides: ['a', 'b'] }, ['hidden']],
  ['only without any', { only: true, bringIn: ['a'] }, ['onlyWithoutFirst']],
  [
    'a pin outside what alone shows',
    { only: true, first: ['b'], pins: [{ product: 'a', place: 1 }] },
    ['notAmongOnly'],
  ],
  ['a pin that nobody sees', { redirect: '/inks', pins: [{ product: 'a', place: 1 }] }, ['redirectHides']],
  ['a way to itself', { redirect: '/shop/main?page=1&q=INK' }, ['redirectToItself']],
  ['a way to another search', { redirect: '/shop/main?q=pen' }, []],
  ['a broken address', { redirect: '/?q=%E0%A4%A' }, []],
  ['a search taken for itself', { treatAs: 'Ink' }, ['circle']],
])('%s', (_, change, expected) => expect(codes(change)).toEqual(expected));

test('two searches that are taken for each other are told on both', () => {
  const back = plan({ searches: ['pen'], treatAs: 'ink' });
  expect(codes({ treatAs: 'pen' }, [back])).toEqual(['circle']);
  expect(codes({ treatAs: 'pen' }, [{ ...back, on: false }])).toEqual([]);
  expect(codes({ treatAs: 'pen' }, [plan({ searches: ['pen'], treatAs: 'nib' })])).toEqual([]);
});
