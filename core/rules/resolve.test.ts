import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import type { When } from '../setup/terms/span.ts';
import { boundedFactor, pinsAmong, resolve, scoreAfter, takenFor } from './resolve.ts';
import { openTriggers } from './triggers.ts';

const plan = (change: Partial<ShelfPlan>): ShelfPlan => ({
  name: 'Plan',
  on: true,
  searches: [],
  pins: [],
  pulls: [],
  ...change,
});
/** 1 December 2026. */
const when: When = { now: 20_788 * 86_400_000, today: 20_788, timeZone: undefined };
const setupWith = (plans: Record<string, ShelfPlan>, vocabulary: Setup['vocabulary'] = {}): Setup => ({
  ...initialSetup([]),
  plans,
  vocabulary,
});
const held = (plans: Record<string, ShelfPlan>, search: string, vocabulary: Setup['vocabulary'] = {}) =>
  openTriggers(setupWith(plans, vocabulary), 'en', when)
    .holdingFor([search.split(' ')])
    .map(({ plan: { id } }) => id)
    .join();

describe('the plans of a search', () => {
  test('hold for it however it is typed, in order of their ids, each once, those switched off not at all', () => {
    const plans = {
      b: plan({ searches: ['Pencil Case', 'ink'] }),
      a: plan({ searches: ['ink', ' INK '] }),
      c: plan({ searches: ['ink'], on: false }),
    };
    expect(held(plans, 'pencil case')).toBe('b');
    expect(held(plans, 'ink')).toBe('a,b');
    expect(held(plans, 'blue ink')).toBe('');
  });
  test.each([
    ['round brush', 'exactly,meaning,beginning,containing'],
    ['brushes round', 'meaning'],
    ['round brush size 6', 'beginning,containing'],
    ['small round brush', 'containing'],
    ['round small brush', ''],
    ['round', ''],
  ])('for “round brush” hold for “%s”: %s', (search, ids) => {
    const hows = ['exactly', 'meaning', 'beginning', 'containing'] as const;
    const plans = Object.fromEntries(hows.map((how) => [how, plan({ how, searches: ['Round brush'] })]));
    expect(held(plans, search)).toBe(ids);
  });
  test('by meaning hold for synonyms, without stop words, and for none more', () => {
    const vocabulary: Setup['vocabulary'] = {
      s: { what: 'synonyms', words: ['brush', 'paintbrush', 'paint tool'], on: true },
      t: { what: 'stopWords', words: ['for', 'the'] },
    };
    const plans = { a: plan({ how: 'meaning', searches: ['round brush for oil'] }) };
    for (const search of ['oil round paintbrushes', 'the round brush for the oil'])
      expect([search, held(plans, search, vocabulary)]).toEqual([search, 'a']);
    for (const search of ['round paintbrush', 'round oil brush set', 'round oil oil', 'for the'])
      expect([search, held(plans, search, vocabulary)]).toEqual([search, '']);
  });
  test('stand with more words before those with fewer', () => {
    const plans = {
      a: plan({ how: 'containing', searches: ['brush'] }),
      b: plan({ how: 'containing', searches: ['round brush', 'brush'] }),
    };
    expect(held(plans, 'small round brush')).toBe('b,a');
    expect(held(plans, 'flat brush')).toBe('a,b');
  });
  test.each([
    [{ from: '2026-12-01', until: '2026-12-01' }, 'a'],
    [{ from: '2026-12-02' }, ''],
    [{ until: '2026-11-30' }, ''],
    [{ from: '2026-11-01', until: '2026-12-24' }, 'a'],
  ])('hold on their days, the first and the last among them: %j', (days, ids) =>
    expect(held({ a: plan({ searches: ['ink'], ...days }) }, 'ink')).toBe(ids),
  );
  test('a word that is a name of something else in programs is a word', () =>
    expect(held({ constructor: plan({ how: 'containing', searches: ['constructor'] }) }, 'toy constructor')).toBe(
      'constructor',
    ));
});

describe('what plans do together', () => {
  const effectsOf = (plans: Record<string, ShelfPlan>, search: string) =>
    resolve(openTriggers(setupWith(plans), 'en', when), { words: search.split(' ') });
  const both = {
    a: plan({
      name: 'Loose',
      ...{ how: 'containing', searches: ['ink'] },
      pins: [
        { product: 'x', place: 3 },
        { product: 'y', place: 1 },
      ],
      pulls: [{ product: 'x', pull: 2 }],
    }),
    b: plan({
      name: 'Exact',
      searches: ['blue ink'],
      pins: [
        { product: 'x', place: 2 },
        { product: 'z', place: 1 },
      ],
      pulls: [
        { product: 'x', pull: 3 },
        { product: 'y', pull: 0.5 },
      ],
    }),
  };
  test('the more exact has the product, and the place; the other comes after it', () =>
    expect(pinsAmong(effectsOf(both, 'blue ink')).map(({ product, place }) => `${place} ${product}`)).toEqual([
      '1 z',
      '1 y',
      '2 x',
    ]));
  test('each tells where it comes from', () =>
    expect(pinsAmong(effectsOf(both, 'red ink'))[0]!.source).toEqual({
      ...{ kind: 'plan', id: 'a', name: 'Loose', how: 'containing' },
    }));
  test('a search without words has none', () =>
    expect(resolve(openTriggers(setupWith(both), 'en', when), { words: [] })).toEqual([]));
  test('together factors stay between a tenth and ten times', () =>
    expect([0.01, 0.1, 1, 7, 10, 30].map(boundedFactor)).toEqual([0.1, 0.1, 1, 7, 10, 10]));
  test.each([
    [50_000, 1, 50_000],
    [50_001, 0.5, 25_001],
    [33_333, 1.5, 50_000],
  ])('a score of %d times %d is %d', (score, factor, after) => expect(scoreAfter(score, factor)).toBe(after));
});

describe('what plans do besides', () => {
  const effectsOf = (plans: Record<string, ShelfPlan>, search: string, collection: string | null = null) => {
    const triggers = openTriggers(setupWith(plans), 'en', when);
    const words = search === '' ? [] : search.split(' ');
    const taken = takenFor(triggers, { words, collection });
    const effects = resolve(triggers, { words, collection, takenFor: taken?.search.split(' ') });
    return effects.map((effect) => `${effect.source.kind === 'plan' ? effect.source.id : ''} ${effect.what}`);
  };
  test('the most exact says what alone shows and where to go; lists that come first follow each other, each product once', () => {
    const plans = {
      loose: plan({
        ...{ how: 'containing', searches: ['ink'], first: ['x', 'y'], only: true, redirect: '/inks' },
      }),
      tight: plan({ searches: ['blue ink'], first: ['z', 'x'], only: true, redirect: '/blue' }),
    };
    expect(effectsOf(plans, 'blue ink')).toEqual([
      ...['tight only', 'tight first', 'tight first', 'tight redirect', 'loose first'],
    ]);
  });
  test('only without a list is nothing', () =>
    expect(effectsOf({ a: plan({ searches: ['ink'], only: true }) }, 'ink')).toEqual([]));
  test('a search taken for another one has what holds for either, and goes no further', () => {
    const plans = {
      a: plan({ searches: ['gooash'], treatAs: 'gouache', hides: ['p'] }),
      b: plan({ searches: ['gouache'], treatAs: 'ink', bringIn: ['q'] }),
      c: plan({ searches: ['ink'], bringIn: ['r'] }),
    };
    expect(effectsOf(plans, 'gooash')).toEqual(['a hide', 'b bringIn']);
    const triggers = openTriggers(setupWith(plans), 'en', when);
    expect(takenFor(triggers, { words: ['gooash'] })).toMatchObject({ search: 'gouache', source: { id: 'a' } });
    expect(takenFor(triggers, { words: ['pen'] })).toBeNull();
  });
  test('a plan of a collection holds on its page, behind those of a search asked there', () => {
    const plans = {
      page: plan({ collections: ['inks'], hides: ['p'] }),
      search: plan({ how: 'containing', searches: ['ink'], hides: ['q'] }),
    };
    expect(effectsOf(plans, '', 'inks')).toEqual(['page hide']);
    expect(effectsOf(plans, 'blue ink', 'inks')).toEqual(['search hide', 'page hide']);
    expect(effectsOf(plans, '', 'papers')).toEqual([]);
  });
});
