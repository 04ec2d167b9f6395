import { expect, test } from '@jest/globals';
import { CallProblem } from '../client/request.ts';
import { isDown } from './troubles.ts';

const refused = (code: string): CallProblem => new CallProblem({ code, message: code });

test('a page shows its own search where nothing was ever answered, or nothing will be', () => {
  expect(isDown(null, false)).toBe(false);
  for (const code of ['no-connection', 'paused', 'unknown-key'])
    expect([code, isDown(refused(code), false)]).toEqual([code, true]);
  // What was answered once goes on through a line that is cut; a key that ends, ends it.
  expect(isDown(refused('no-connection'), true)).toBe(false);
  expect(isDown(refused('too-many'), true)).toBe(false);
  for (const code of ['paused', 'unknown-key', 'unknown-origin', 'closed'])
    expect([code, isDown(refused(code), true)]).toEqual([code, true]);
});
