import { expect, test } from '@jest/globals';
import type { ReviewReason } from '../../../../core/rules/reviewRules.ts';
import { initialSetup } from '../../../../core/setup/initialSetup.ts';
import { type Names, reasonInWords, ruleAddress, ruleName } from './reviewInWords.ts';

const plan = { name: 'Inks', on: true, searches: ['ink'], pins: [], pulls: [] };
const names: Names = {
  setup: { ...initialSetup([]), plans: { p: plan }, hiding: { 'tag:old': { what: 'tag', tag: 'old' } } },
  titleOf: (product) => `Title of ${product}`,
  labelOf: (attribute) => attribute.toUpperCase(),
};
const other = { part: 'plans', key: 'p' } as const;

test.each<[ReviewReason, RegExp]>([
  [{ code: 'conflict', conflict: { code: 'redirectHides' } }, /sent elsewhere/],
  [
    { code: 'samePlace', search: 'ink', place: 2, other },
    /^Shelf plan “Inks” pins another product at place 2 for “ink”/,
  ],
  [
    { code: 'outdone', search: 'ink', what: 'redirect', other },
    /“Inks” is higher in the list and sends shoppers elsewhere for “ink” too/,
  ],
  [{ code: 'hiddenAnyway', product: 'a', other }, /^“Title of a” is hidden from results/],
  [{ code: 'cancelOut', other }, /takes back what this one does/],
  [{ code: 'attributeGone', attributes: ['mood', 'hue'] }, /nothing of MOOD, HUE/],
  [{ code: 'meetsNothing' }, /No product/],
  [{ code: 'over' }, /over/],
  [{ code: 'lookAgain', day: '2026-12-27' }, /2026-12-27/],
])('%j is said with what mends it', (reason, said) => expect(reasonInWords(reason, names)).toMatch(said));

test('a rule is named as what it is, and leads to where it is changed; one that is gone by its key', () => {
  expect(ruleName({ part: 'hiding', key: 'tag:old' }, names)).toBe('Hiding of the tag “old”');
  expect(ruleName({ part: 'houseRules', key: 'gone' }, names)).toBe('House rule “gone”');
  expect(ruleAddress({ part: 'plans', key: 'a b' }, { content: {} })).toBe('/plans/a%20b');
  expect(ruleAddress({ part: 'hiding', key: 'tag:old' }, { content: {} })).toBe('/hiding');
});
