/** @jest-environment ./web/testing/domEnvironment.cjs */
import { expect, jest, test } from '@jest/globals';
import { furnish } from '../../testing/dom.tsx';
import { beforeGoing, followAddress, goTo, usePlace } from './place.ts';

furnish();
history.replaceState(null, '', '/main/main/filters');
followAddress();

const draft = (name: string) => ({ storefront: 'main', draft: name });

test('of two drafts that are gone to within a moment, one is in the one pressed last, whichever is drawn first', async () => {
  const drawn = new Map<string, () => void>();
  const stop = beforeGoing(({ draft: to }) => new Promise((resolve) => drawn.set(to, resolve)));
  const winter = goTo(draft('winter'));
  await new Promise(process.nextTick);
  const spring = goTo(draft('spring'));
  await new Promise(process.nextTick);
  drawn.get('spring')!();
  await spring;
  drawn.get('winter')!();
  await winter;
  stop();
  expect(usePlace.getState()).toEqual(draft('spring'));
  expect(location.pathname).toBe('/main/spring/filters');
});

test('who goes back while the desk waits is not taken on', async () => {
  jest.useFakeTimers();
  const stop = beforeGoing(() => new Promise(() => {}));
  const going = goTo(draft('winter'));
  await jest.advanceTimersByTimeAsync(1);
  history.replaceState(null, '', '/main/main/plans');
  dispatchEvent(new PopStateEvent('popstate'));
  await jest.advanceTimersByTimeAsync(1000);
  await going;
  stop();
  jest.useRealTimers();
  expect(location.pathname).toBe('/main/main/plans');
  expect(usePlace.getState()).toEqual(draft('main'));
});
