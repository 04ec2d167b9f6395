import { expect, test } from '@jest/globals';
import { factorAt, stepOf, strengthSteps } from '../../../../core/rules/strength.ts';
import { strengthInWords } from './strengthInWords.ts';

test('strength runs from strongly down to strongly up, neutral in the middle', () => {
  expect([-strengthSteps, 0, strengthSteps].map(factorAt)).toEqual([0.1, 1, 10]);
  expect([0.1, 0.5, 0.8, 0.95, 1, 1.1, 1.5, 3, 10].map(strengthInWords)).toEqual([
    'strongly down',
    'clearly down',
    'a nudge down',
    'a nudge down',
    'neither up nor down',
    'a nudge up',
    'a little up',
    'clearly up',
    'strongly up',
  ]);
});

test('every step is found again from its factor', () => {
  for (let step = -strengthSteps; step <= strengthSteps; step++) expect(stepOf(factorAt(step))).toBe(step);
});
