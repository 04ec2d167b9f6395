import { expect, test } from '@jest/globals';
import { inRuleOrder, type RuleOrder } from './ruleOrder.ts';

const rules = [
  { name: 'Winter', since: '2026-10-01', until: '2027-02-01', lookAgain: '2027-01-05' },
  { name: 'Autumn', since: '2026-09-01', until: '2026-11-30' },
  { name: 'Always', since: '2026-11-02' },
  { name: 'Older' },
];

test.each<[RuleOrder, string]>([
  ['name', 'Always Autumn Older Winter'],
  ['newest', 'Always Winter Autumn Older'],
  ['ending', 'Autumn Winter Always Older'],
  ['lookAgain', 'Winter Always Autumn Older'],
])('rules %s', (order, expected) =>
  expect(
    inRuleOrder(rules, order, (rule) => rule)
      .map(({ name }) => name)
      .join(' '),
  ).toBe(expected),
);
