import { describe, expect, test } from '@jest/globals';
import { isHidden } from '../index/recordMask.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { Setup } from '../setup/schema.ts';
import type { Place } from '../setup/terms/placeTerms.ts';
import type { When } from '../setup/terms/span.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { hiddenRecords } from './hiddenRecords.ts';
import { rulesInForce } from './houseRulesInForce.ts';

const records = recordsOf([
  { id: 'a1', family: 'a', title: 'Round brush', tags: 'old|brush' },
  { id: 'a2', family: 'a', title: 'Round brush', tags: 'brush' },
  { id: 'b1', family: 'b', title: 'Ink', tags: 'old' },
  { id: 'c1', family: 'c', title: 'Pen', hidden: 'yes' },
  { id: 'd1', family: 'd', title: 'Paper' },
]);
const snapshot = snapshotOf(records);
const setup = initialSetup(snapshot.attributes);
const when: When = { now: Date.parse('2026-12-01T12:00Z'), today: 20_788, timeZone: 'Europe/Berlin' };
function hidden(
  hidings: readonly Hiding[],
  place: Place = 'results',
  houseRules: readonly Partial<HouseRule>[] = [],
  own = records,
): string[] {
  const shot = own === records ? snapshot : snapshotOf(own);
  const rules = houseRules.map((rule, at) => [`r${at}`, { ...hidesInk, ...rule }] as const);
  const changed: Setup = {
    ...setup,
    hiding: Object.fromEntries(hidings.map((hiding, at) => [`h${at}`, hiding])),
    houseRules: Object.fromEntries(rules),
  };
  const marks = hiddenRecords(shot, changed, rulesInForce(shot, changed, when), when)[place];
  return own.filter((_, record) => isHidden(marks, record)).map(({ id }) => id);
}
const titled = (title: string): HouseRule['condition'] => ({
  match: 'all',
  tests: [{ how: 'is', attribute: 'title', values: [title] }],
});
const hidesInk: HouseRule = { name: 'No ink', on: true, condition: titled('ink'), does: { what: 'hide' } };

describe('hidden is', () => {
  test('what the file hides, whatever is said here', () => expect(hidden([])).toEqual(['c1']));
  test('a product with all its variants', () =>
    expect(hidden([{ what: 'product', product: 'a' }])).toEqual(['a1', 'a2', 'c1']));
  test('every variant with a tag, and no other', () =>
    expect(hidden([{ what: 'tag', tag: 'old' }])).toEqual(['a1', 'b1', 'c1']));
  test('only what has the very tag', () => expect(hidden([{ what: 'tag', tag: 'ol' }])).toEqual(['c1']));
  test('nothing more for a product or a tag that is gone', () =>
    expect(
      hidden([
        { what: 'product', product: 'gone' },
        { what: 'tag', tag: 'gone' },
      ]),
    ).toEqual(['c1']));
  test('only where it is hidden from', () => {
    const fromCollections: Hiding = { what: 'product', product: 'b', places: ['collections'] };
    expect(hidden([fromCollections], 'results')).toEqual(['c1']);
    expect(hidden([fromCollections], 'collections')).toEqual(['b1', 'c1']);
    expect(hidden([fromCollections], 'emptyShelf')).toEqual(['c1']);
  });
  test('only while it is sold out, all its variants', () => {
    const stocked = recordsOf([
      { id: 'a1', family: 'a', title: 'Brush', tags: 'old', stock: '0' },
      { id: 'a2', family: 'a', title: 'Brush', tags: 'old', stock: '2' },
      { id: 'b1', family: 'b', title: 'Ink', tags: 'old', stock: '0' },
    ]);
    const whileSoldOut = true;
    expect(hidden([{ what: 'tag', tag: 'old', whileSoldOut }], 'results', [], stocked)).toEqual(['b1']);
    const both: Hiding[] = ['a', 'b'].map((product) => ({ what: 'product', product, whileSoldOut }));
    expect(hidden(both, 'results', [], stocked)).toEqual(['b1']);
  });
  test('only for its time, which begins and ends by the hour', () => {
    const ink = (limits: Partial<Hiding>) => hidden([{ what: 'product', product: 'b', ...limits } as Hiding]);
    expect(ink({ until: '2026-12-01T13:00' })).toEqual(['c1']);
    expect(ink({ until: '2026-12-01T13:01' })).toEqual(['b1', 'c1']);
    expect(ink({ from: '2026-12-01T13:00', yearly: { from: '11-01', until: '12-01' } })).toEqual(['b1', 'c1']);
    expect(ink({ yearly: { from: '12-02', until: '11-30' } })).toEqual(['c1']);
  });
});

describe('a house rule hides', () => {
  const byRule = (rule: Partial<HouseRule>, place: Place = 'results') => hidden([], place, [rule]);
  test('what meets its condition, where and as long as it holds', () => {
    expect(byRule({})).toEqual(['b1', 'c1']);
    expect(byRule({ on: false })).toEqual(['c1']);
    expect(byRule({ places: ['collections'] })).toEqual(['c1']);
    expect(byRule({ places: ['collections'] }, 'collections')).toEqual(['b1', 'c1']);
    expect(byRule({ until: '2026-11-30' })).toEqual(['c1']);
  });
  test('or everything else', () => {
    expect(byRule({ does: { what: 'only' } })).toEqual(['a1', 'a2', 'c1', 'd1']);
    const two: Partial<HouseRule>[] = ['ink', 'paper'].map((title) => ({
      condition: titled(title),
      does: { what: 'only' },
    }));
    expect(hidden([], 'results', two)).toEqual(['a1', 'a2', 'b1', 'c1', 'd1']);
  });
  test('but never the whole shop because nothing meets it', () =>
    expect(byRule({ condition: titled('gone'), does: { what: 'only' } })).toEqual(['c1']));
});

test('where nothing is hidden nothing is looked at', () => {
  const plain = snapshotOf(recordsOf([{ id: 'a', title: 'Ink' }]));
  expect(hiddenRecords(plain, initialSetup(plain.attributes), [], when).results).toBeNull();
  expect(isHidden(null, 0)).toBe(false);
});
