import { expect, test } from '@jest/globals';
import { aYearLater } from './yearOn.ts';

test.each([
  ['2026-12-24', '2027-12-24'],
  ['2026-12-24T18:00', '2027-12-24T18:00'],
  ['2028-02-29T08:00', '2029-02-28T08:00'],
])('%s a year later is %s', (moment, later) => expect(aYearLater(moment)).toBe(later));
