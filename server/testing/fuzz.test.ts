import { expect, test } from '@jest/globals';
import { fuzz } from './fuzz.ts';

test('no request, however nasty, is answered with our mistake, and what was written can be read', async () => {
  const { faults, statuses } = await fuzz(1500, 20261127);
  expect(faults).toEqual([]);
  // Both sides were met: much got through, much was refused.
  expect(statuses.get(200)).toBeGreaterThan(100);
  expect(statuses.get(400)).toBeGreaterThan(100);
});
