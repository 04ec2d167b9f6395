import { expect, test } from '@jest/globals';
import { checkEdit } from '../setup/entries.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { withEntry } from '../setup/withEntry.ts';
import { mendRule } from './mendRule.ts';
import { reviewRules } from './reviewRules.ts';

const when = { now: Date.parse('2026-12-01T12:00Z'), today: 20_788, timeZone: undefined };
const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  ...{ name: 'Plan', on: true, searches: ['ink'], pins: [{ product: 'a', place: 1 }], pulls: [] },
  ...change,
});
const osier = { match: 'all' as const, tests: [{ how: 'is' as const, attribute: 'brand', values: ['Osier'] }] };
const rule = (pull: number) => ({ name: 'R', on: true, condition: osier, does: { what: 'pull' as const, pull } });
const noFigures = { rules: [], hidings: [] };

test.each<[string, Partial<Setup>, string]>([
  ['a product pinned and hidden', { plans: { p: plan({ hides: ['a'] }) } }, 'Only hide it'],
  ['a pin outside what alone shows', { plans: { p: plan({ only: true, first: ['b'] }) } }, 'Put it among them'],
  ['only these, and none', { plans: { p: plan({ only: true }) } }, 'Show the others too'],
  ['a redirect over pins', { plans: { p: plan({ redirect: '/sale' }) } }, 'Show its results'],
  ['a redirect to itself', { plans: { p: plan({ redirect: '/?q=ink' }) } }, 'Send nobody elsewhere'],
  ['a search taken for itself', { plans: { p: plan({ treatAs: 'Ink' }) } }, 'Take its searches as they are'],
  [
    'what a higher plan says already',
    { plans: { a: plan({ filters: ['brand'] }), b: plan({ filters: ['size'] }) } },
    'Leave that to the other one',
  ],
  ['a plan for nothing', { plans: { p: plan({ searches: [] }) } }, 'Switch it off'],
  [
    'two products at one place',
    {
      plans: {
        a: plan({
          pins: [
            { product: 'b', place: 1 },
            { product: 'c', place: 2 },
          ],
        }),
        p: plan({}),
      },
    },
    'Give it place 3',
  ],
  [
    'a product that a hiding hides',
    {
      plans: { p: plan({ pulls: [{ product: 'b', pull: 2 }] }) },
      hiding: { 'product:a': { what: 'product', product: 'a' } },
    },
    'Take it off the plan',
  ],
  ['rules that take each other back', { houseRules: { r: rule(2), s: rule(0.5) } }, 'Switch it off'],
  ['a plan that is over', { plans: { p: plan({ until: '2026-11-01' }) } }, 'Switch it off'],
  [
    'a hiding that is over',
    { hiding: { 'tag:x': { what: 'tag', tag: 'x', until: '2026-11-01' } } },
    'Hide it no longer',
  ],
  ['a rule to look at again', { houseRules: { r: { ...rule(2), lookAgain: '2026-11-30' } } }, 'Look again in a year'],
])('what is to be said of %s is gone once it is mended', (_, change, label) => {
  const setup: Setup = { ...initialSetup([]), ...change };
  const items = reviewRules(setup, noFigures, when);
  expect(items).toHaveLength(1);
  const mend = mendRule(setup, items[0]!, when.today)!;
  expect(mend.label).toBe(label);
  const checked = checkEdit(mend.edit);
  expect(checked).not.toHaveProperty('refusal');
  expect(reviewRules(withEntry(setup, (checked as { edit: typeof mend.edit }).edit), noFigures, when)).toEqual([]);
});
