import { expect, test } from '@jest/globals';
import { ownSearches } from './ownSearches.ts';

const when = { now: 0, today: 0, timeZone: 'UTC' };

test('words that are never offered take every search with them side by side; a search that is not, only itself', () => {
  const own = ownSearches(
    {
      'never:oil paint': { what: 'never', text: 'oil paint' },
      'never:sketchbook a4': { what: 'never', text: 'Sketchbook A4', alone: true },
    },
    when,
  );
  const refused = [
    'oil paint',
    'best oil paint',
    'oil for paint',
    'sketchbook a4',
    'a4 sketchbook',
    'big a4 sketchbook',
  ];
  expect(refused.map((text) => own.isNever(text))).toEqual([true, true, false, true, true, false]);
});
