import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { changesBetween, partOf } from './entries.ts';
import { initialSetup } from './initialSetup.ts';
import { mergeSetups } from './mergeSetups.ts';
import type { Setup } from './schema.ts';
import { type EntryEdit, withEntries } from './withEntry.ts';

const begun = initialSetup([]);
const plan = (more: object = {}) => ({
  ...{ name: 'Brushes', on: true, searches: ['brush'], pins: [{ product: 'a', place: 1 }], pulls: [] },
  ...more,
});
const plans = (more: object): EntryEdit => ({ part: 'plans', key: 'brushes', value: plan(more) });
const words = (...list: string[]): EntryEdit => ({
  part: 'vocabulary',
  key: 'ink',
  value: { what: 'synonyms', words: list, on: true },
});
const base = withEntries(begun, [plans({}), words('ink', 'dye', 'wash')]);
const merged = (
  ours: readonly EntryEdit[],
  theirs: readonly EntryEdit[],
  answers?: ReadonlyMap<string, 'ours' | 'theirs'>,
) => mergeSetups({ base, ours: withEntries(base, ours), theirs: withEntries(base, theirs) }, answers);
const merging = (ours: readonly EntryEdit[], theirs: readonly EntryEdit[]): Setup => {
  const { changes, conflicts } = merged(ours, theirs);
  expect(conflicts).toEqual([]);
  return withEntries(
    withEntries(base, ours),
    changes.map(({ part, key, after: value }) => ({ part, key, value })),
  );
};

describe('two people’s work on one entry', () => {
  test('pins of one plan, by product', () => {
    const mine = plans({
      pins: [
        { product: 'a', place: 1 },
        { product: 'b', place: 2 },
      ],
    });
    const yours = plans({ pins: [{ product: 'c', place: 5 }], name: 'All brushes' });
    expect(merging([mine], [yours]).plans.brushes).toEqual(
      plan({
        name: 'All brushes',
        pins: [
          { product: 'c', place: 5 },
          { product: 'b', place: 2 },
        ],
      }),
    );
  });
  test('words of one set, whatever their order', () => {
    expect(
      merging([words('ink', 'wash', 'stain')], [words('dye', 'ink', 'wash', 'tint')]).vocabulary.ink,
    ).toMatchObject({
      words: ['ink', 'wash', 'stain', 'tint'],
    });
  });
  test('both the same, or both gone, is no question', () => {
    expect(merged([words('ink', 'dye')], [words('ink', 'dye')])).toMatchObject({ changes: [], conflicts: [] });
    const gone: EntryEdit = { part: 'plans', key: 'brushes', value: null };
    expect(merged([gone], [gone])).toMatchObject({ changes: [], conflicts: [] });
  });
  test('an order that one side changed is taken over, with what the other side added', () => {
    const shelf = (products: string[]): EntryEdit => ({
      part: 'emptyShelf',
      key: 'content',
      value: { message: 'x', searches: [], products },
    });
    const from = withEntries(base, [shelf(['a', 'b', 'c'])]);
    const ours = withEntries(from, [shelf(['c', 'a', 'b'])]);
    const theirs = withEntries(from, [shelf(['a', 'x', 'b', 'c'])]);
    expect(mergeSetups({ base: from, ours, theirs })).toMatchObject({
      conflicts: [],
      changes: [{ after: { products: ['c', 'a', 'x', 'b'] } }],
    });
  });
});

describe('what cannot be put together is asked about', () => {
  test.each([
    ['one name, two new ones', [plans({ name: 'A' })], [plans({ name: 'B' })], ['name']],
    [
      'one pin at two places',
      [plans({ pins: [{ product: 'a', place: 2 }] })],
      [plans({ pins: [{ product: 'a', place: 3 }] })],
      ['pins', 'a', 'place'],
    ],
    ['removed here, changed there', [{ part: 'plans', key: 'brushes', value: null }], [plans({ on: false })], []],
    [
      'two products at one place',
      [plans({ pins: [{ product: 'b', place: 2 }] })],
      [plans({ pins: [{ product: 'c', place: 2 }] })],
      ['pins'],
    ],
    ['a set of which too little is left', [words('ink', 'dye')], [words('wash', 'ink')], []],
  ] as const)('%s', (_, ours, theirs, path) => {
    const { conflicts } = merged(ours as readonly EntryEdit[], theirs as readonly EntryEdit[]);
    expect(conflicts).toHaveLength(1);
    expect(conflicts[0]!.path).toEqual(path);
    const value = (side: 'ours' | 'theirs') => {
      const answered = merged(
        ours as readonly EntryEdit[],
        theirs as readonly EntryEdit[],
        new Map([[conflicts[0]!.id, side]]),
      );
      expect(answered.conflicts).toEqual([]);
      const [change] = answered.changes;
      return change === undefined ? 'as ours' : change.after;
    };
    expect(value('ours')).not.toEqual(value('theirs'));
  });
});

/** Random edits of a few entries, so that histories often meet. */
function randomEdits(random: () => number, count: number): EntryEdit[] {
  const some = (texts: readonly string[]): string[] => texts.filter(() => random() < 0.5);
  return Array.from({ length: count }, (): EntryEdit => {
    const key = pick(random, ['one', 'two', 'constructor']);
    return pick<() => EntryEdit>(random, [
      () => ({ part: 'plans', key, value: null }),
      () => ({
        part: 'plans',
        key,
        value: plan({
          on: random() < 0.5,
          searches: some(['a', 'b', 'c']),
          pins: some(['p', 'q', 'r']).map((product, at) => ({ product, place: at * 3 + 1 + Math.floor(random() * 3) })),
        }),
      }),
      () => ({
        part: 'vocabulary',
        key,
        value: { what: 'synonyms', words: ['x', 'y', ...some(['u', 'v', 'w'])], on: random() < 0.7 },
      }),
      () => ({ part: 'relevance', key: 'closeCall', value: { width: Math.floor(random() * 4) } }),
      () => ({
        part: 'hiding',
        key: `product:${key}`,
        value: random() < 0.5 ? null : { what: 'product', product: key },
      }),
    ])();
  });
}
const touched = (from: Setup, to: Setup): Set<string> =>
  new Set(changesBetween(from, to).map(({ part, key }) => `${part}/${key}`));

test.each(Array.from({ length: 200 }, (_, seed) => seed + 1))('random histories, seed %i', (seed) => {
  const random = seededRandom(seed);
  const from = withEntries(begun, randomEdits(random, 6));
  const ours = withEntries(from, randomEdits(random, 4));
  const theirs = withEntries(from, randomEdits(random, 4));
  const [mine, yours] = [touched(from, ours), touched(from, theirs)];
  const { changes, conflicts } = mergeSetups({ base: from, ours, theirs });
  const result = withEntries(
    ours,
    changes.map(({ part, key, after: value }) => ({ part, key, value })),
  );
  const asked = new Set(conflicts.map(({ part, key }) => `${part}/${key}`));
  const is = (setup: Setup, name: string): unknown => {
    const [part, key] = name.split('/') as ['plans', string];
    return Object.hasOwn(partOf(setup, part), key) ? partOf(setup, part)[key] : null;
  };
  // Where they do not touch, the merge is both applied.
  for (const name of yours) if (!mine.has(name)) expect(is(result, name)).toEqual(is(theirs, name));
  for (const name of mine) if (!yours.has(name)) expect(is(result, name)).toEqual(is(ours, name));
  // What is asked about was changed by both, and stays as ours until it is answered.
  for (const name of asked) {
    expect(mine.has(name) && yours.has(name)).toBe(true);
    expect(is(result, name)).toEqual(is(ours, name));
  }
  // What either side pinned in a plan that both changed is pinned still, and what either took out is gone.
  const pinned = (setup: Setup, key: string): Set<string> =>
    new Set(setup.plans[key]?.pins.map(({ product }) => product));
  for (const name of mine) {
    const [part, key] = name.split('/') as [string, string];
    if (part !== 'plans' || !yours.has(name) || asked.has(name)) continue;
    if (!Object.hasOwn(ours.plans, key) || !Object.hasOwn(theirs.plans, key)) continue;
    const was = Object.hasOwn(from.plans, key) ? pinned(from, key) : new Set<string>();
    const [we, they, both] = [pinned(ours, key), pinned(theirs, key), pinned(result, key)];
    for (const product of ['p', 'q', 'r']) {
      const isIn = was.has(product) ? we.has(product) && they.has(product) : we.has(product) || they.has(product);
      expect([product, both.has(product)]).toEqual([product, isIn]);
    }
  }
  // No edit is lost: the same from the other side gives the same where nothing is asked, and asks the same.
  const mirrored = mergeSetups({ base: from, ours: theirs, theirs: ours });
  expect(new Set(mirrored.conflicts.map(({ id }) => id))).toEqual(new Set(conflicts.map(({ id }) => id)));
  // Answered throughout by one side, every entry both changed in one field is that side's, and nothing is left to ask.
  for (const side of ['ours', 'theirs'] as const) {
    const answers = new Map<string, 'ours' | 'theirs'>();
    let left = mergeSetups({ base: from, ours, theirs }, answers);
    for (let round = 0; left.conflicts.length > 0; round++) {
      expect(round).toBeLessThan(5);
      for (const { id } of left.conflicts) answers.set(id, side);
      left = mergeSetups({ base: from, ours, theirs }, answers);
    }
    // Merging once more, from what was merged, changes nothing.
    const done = withEntries(
      ours,
      left.changes.map(({ part, key, after: value }) => ({ part, key, value })),
    );
    expect(mergeSetups({ base: theirs, ours: done, theirs }).changes).toEqual([]);
  }
});
