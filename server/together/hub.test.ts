import { expect, test } from '@jest/globals';
import type { DeskEvent } from '../../api/deskEvents.ts';
import { mostListeners, openHub } from './hub.ts';

const main = { storefront: 'main', draft: 'main' };
const winter = { storefront: 'main', draft: 'winter' };
const other = { storefront: 'second', draft: 'main' };
const person = (tab: string, name = tab) => ({ tab, name, screen: '/relevance', field: '' });
const changed: DeskEvent = { kind: 'changed', revision: 2, who: 'Ada', tab: 'a', parts: [], sentences: [] };

test('what happens to a draft is told to those who have it open, and to nobody else', () => {
  const hub = openHub();
  const heard: Record<string, string[]> = { a: [], b: [], c: [] };
  for (const [tab, ref] of [
    ['a', main],
    ['b', winter],
    ['c', other],
  ] as const)
    hub.listen(
      ref,
      person(tab),
      (event) => heard[tab]!.push(event.kind),
      () => {},
    );
  hub.tell(main, changed);
  hub.tellAll('main', { kind: 'around', who: 'Ada', tab: 'a', what: 'release' });
  expect(heard).toEqual({ a: ['people', 'changed', 'around'], b: ['people', 'around'], c: ['people'] });
});

test('everybody at a draft knows who else is there, on which screen and in which field', () => {
  const hub = openHub();
  let seen: DeskEvent | null = null;
  hub.listen(
    main,
    person('a', 'Ada'),
    (event) => (seen = event),
    () => {},
  );
  const leave = hub.listen(
    main,
    person('b', 'Ben'),
    () => {},
    () => {},
  );
  hub.place('b', '/plans', 'Name');
  expect(seen).toEqual({
    kind: 'people',
    people: [person('a', 'Ada'), { tab: 'b', name: 'Ben', screen: '/plans', field: 'Name' }],
  });
  leave();
  expect(seen).toEqual({ kind: 'people', people: [person('a', 'Ada')] });
});

test('a tab listens once, and there are never more than so many', () => {
  const hub = openHub();
  const gone: string[] = [];
  const listen = (tab: string, mark: string) =>
    hub.listen(
      main,
      person(tab),
      () => {},
      () => gone.push(mark),
    );
  const leaveFirst = listen('a', 'first');
  listen('a', 'second');
  expect(gone).toEqual(['first']);
  // The one that was replaced takes nothing with it when it ends.
  leaveFirst();
  hub.place('a', '/x', '');
  for (let at = 0; at < mostListeners; at++) listen(`t${at}`, `t${at}`);
  expect(gone).toEqual(['first', 'second']);
  hub.close();
  expect(gone).toHaveLength(2 + mostListeners);
});
