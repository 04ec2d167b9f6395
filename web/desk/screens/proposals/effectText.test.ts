import { expect, test } from '@jest/globals';
import type { ProposalRow } from '../../../../api/proposalEndpoints.ts';
import { effectText } from './effectText.ts';

const usual = {
  areMadeUp: false,
  looked: 200,
  finding: 190,
  changed: 0,
  times: 0,
  foundBefore: 90,
  foundAfter: 90,
  fewer: 0,
};
const effectOf = (change: Partial<ProposalRow['effect']>, kind: ProposalRow['kind'] = 'synonyms'): string =>
  effectText({ kind, effect: { ...usual, rescued: [], examples: [], ...change } } as unknown as ProposalRow);

test('what changes is reported with examples, with what is found besides, and with searches that found nothing', () => {
  const effect = { changed: 2, times: 63, foundAfter: 120, rescued: ['biro'], examples: ['biro', 'pen'] };
  expect(effectOf(effect)).toBe(
    'It changes the first page of 2 of the 200 most frequent searches (63 times), such as “biro”, “pen”, and finds 30 products more in all. “biro” would no longer find nothing.',
  );
});

test('searches that were made up from the catalog are called that', () => {
  const effect = { areMadeUp: true, looked: 60, finding: 60 };
  expect(effectOf(effect)).toBe('None of the 60 searches made up from your catalog would change.');
  expect(effectOf({ ...effect, changed: 1, times: 1, examples: ['oak'] })).toBe(
    'It changes the first page of 1 of the 60 searches made up from your catalog, such as “oak”.',
  );
});

test('what changes nothing, and what nothing is known of', () => {
  expect(effectOf({})).toBe('None of the 200 most frequent searches would change.');
  expect(effectOf({}, 'filter')).toMatch(/^The order stays the same/);
  expect(effectOf({ looked: 0, finding: 0 })).toMatch(/^No shopper log yet/);
  expect(effectOf({ finding: 3 })).toMatch(/find next to nothing in this catalog/);
});
