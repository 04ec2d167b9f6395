import { expect, jest, test } from '@jest/globals';
import { answerWith } from '../../testing/dom.tsx';
import { readyAhead, restsFor } from './readyAhead.ts';
import { useTrial } from './trial.ts';

const winter = { storefront: 'main', draft: 'winter' };

test('a draft is made ready once it is pointed at for a moment, by the search that is tried', () => {
  jest.useFakeTimers();
  const asked = answerWith({});
  useTrial.getState().search('black ink');
  const stop = readyAhead(winter);
  jest.advanceTimersByTime(restsFor - 1);
  expect(asked).toEqual([]);
  jest.advanceTimersByTime(1);
  expect(asked).toHaveLength(1);
  expect(asked[0]).toMatch(/search\?.*q=black\+ink.*from=.*winter/);
  stop();
});

test('what the mouse only passes over is not asked for', () => {
  jest.useFakeTimers();
  const asked = answerWith({});
  readyAhead(winter)();
  jest.advanceTimersByTime(restsFor * 10);
  expect(asked).toEqual([]);
});
