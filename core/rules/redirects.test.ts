import { expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import { caughtBy, linkTarget, pageAddress } from './redirects.ts';
import { openTriggers } from './triggers.ts';

test.each([
  ['/articles/returns', { kind: 'article', id: 'returns' }],
  ['/shop/main/products/p%201', { kind: 'product', id: 'p 1' }],
  ['/shop/main/?collection=inks', { kind: 'collection', id: 'inks' }],
  ['/?q=blue+ink', { kind: 'search', id: 'blue ink' }],
  ['/pages/opening-hours', { kind: 'page', id: '/pages/opening-hours' }],
  ['https://help.example/returns', { kind: 'elsewhere', id: 'https://help.example/returns' }],
  ['//help.example', { kind: 'elsewhere', id: '//help.example' }],
  ['/products/%zz', { kind: 'product', id: '%zz' }],
])('%s leads to %j', (link, target) => expect(linkTarget(link)).toEqual(target));

test.each([
  ['/pages/returns', 'https://wren.example/shop', 'https://wren.example/pages/returns'],
  ['/pages/returns', undefined, null],
  ['https://help.example/a', undefined, 'https://help.example/a'],
  ['//help.example/a', 'https://wren.example', '//help.example/a'],
])('%s of a shop at %s is asked for at %s', (link, site, address) => expect(pageAddress(link, site)).toBe(address));

test('a search counts for the plan that sends it elsewhere, the most exact of several', () => {
  const plan = (name: string, more: Partial<ShelfPlan>): ShelfPlan => ({
    ...{ name, on: true, searches: [], pins: [], pulls: [], ...more },
  });
  const plans = {
    returns: plan('Returns', { searches: ['returns'], how: 'containing', redirect: '/articles/returns' }),
    gift: plan('Gift returns', { searches: ['gift returns'], redirect: '/articles/gifts' }),
    off: plan('Off', { on: false, searches: ['ink'], redirect: '/x' }),
    pins: plan('Pins', { searches: ['ink'], pins: [{ product: 'a', place: 1 }] }),
  };
  const triggers = openTriggers({ ...initialSetup([]), plans }, 'en', { now: 0, today: 0, timeZone: 'UTC' });
  const made = (search: string, searches: number) => ({ search, key: search, searches });
  const caught = caughtBy(triggers, [
    made('returns', 5),
    made('gift returns', 3),
    made('my returns', 2),
    made('ink', 9),
  ]);
  expect(Object.fromEntries(caught)).toEqual({
    returns: { times: 7, searches: ['returns', 'my returns'] },
    gift: { times: 3, searches: ['gift returns'] },
  });
});
