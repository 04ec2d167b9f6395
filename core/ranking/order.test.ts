import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { kthLargest, selectFirst } from '../base/select.ts';
import { arrange } from '../rules/arrange.ts';
import {
  alsoLine,
  bestLine,
  closenessLine,
  gapBetween,
  lengthFactor,
  pairPoints,
  perfect,
  placeFactor,
  rarity,
  wholeLine,
  wordPoints,
} from '../scoring/formula.ts';
import { compareBySignals, orderCandidates, sieveBySignals } from './order.ts';
import type { Signal } from './signals.ts';

test('selecting the first gives what sorting all would', () => {
  const random = seededRandom(2);
  for (let round = 0; round < 50; round++) {
    const items = Uint32Array.from({ length: Math.floor(random() * 300) }, () => Math.floor(random() * 90));
    const keyed = items.map((_, at) => at);
    const compare = (a: number, b: number) => items[a]! - items[b]! || a - b;
    const wanted = 1 + Math.floor(random() * 40);
    expect([...selectFirst(keyed, wanted, compare)]).toEqual([...keyed].sort(compare).slice(0, wanted));
  }
});

test('the k-th largest score is the one sorting gives', () => {
  const random = seededRandom(3);
  const scores = Int32Array.from({ length: 500 }, () => Math.floor(random() * 1_000_000));
  const sorted = [...scores].sort((a, b) => b - a);
  for (const k of [1, 2, 24, 250, 499, 500]) expect(kthLargest(scores, k)).toBe(sorted[k - 1]);
});

describe('close calls', () => {
  const byNumber = (a: number, b: number) => a - b;

  test('a group is everything within the width of its leader, not of its neighbour', () => {
    const scores = Int32Array.of(90_000, 96_000, 100_000, 97_000);
    // Leader 100: 96 and 97 are within 4 of it, 90 is not, though it is near 96.
    const { order, leaders } = orderCandidates(scores, 4000, 10, byNumber);
    expect([...order]).toEqual([1, 2, 3, 0]);
    expect([...leaders]).toEqual([100_000, 100_000, 100_000, 90_000]);
  });

  test('with no width only equal scores tie', () => {
    const { order } = orderCandidates(Int32Array.of(5, 9, 9, 7), 0, 10, (a, b) => b - a);
    expect([...order]).toEqual([2, 1, 3, 0]);
  });

  test('the first places are the same however many are asked for', () => {
    const random = seededRandom(9);
    for (let round = 0; round < 60; round++) {
      const scores = Int32Array.from({ length: 1 + Math.floor(random() * 200) }, () => Math.floor(random() * 50) * 700);
      const width = pick(random, [0, 700, 5000, 100_000]);
      const all = [...orderCandidates(scores, width, scores.length, byNumber).order];
      for (const wanted of [1, 3, 24])
        expect([...orderCandidates(scores, width, wanted, byNumber).order]).toEqual(all.slice(0, wanted));
    }
  });
});

describe('the formula', () => {
  test('a perfect find of every word, side by side and all that is said, is 100 points', () => {
    const two = wordPoints(2);
    const score =
      bestLine(two * 0.3, 1) + bestLine(two * 0.7, 1) + closenessLine(pairPoints(2), 1, 1, gapBetween(4, 5));
    expect(score + wholeLine(1, 2, 2)).toBe(perfect);
    expect(bestLine(wordPoints(1), 1) + wholeLine(1, 1, 1)).toBe(perfect);
  });
  test('the examples of docs/architecture.md', () => {
    const [blue, ink] = [wordPoints(2) * 0.4, wordPoints(2) * 0.6];
    expect(bestLine(blue, 0.6) + bestLine(ink, 1) + wholeLine(1, 1, 1)).toBe(74_560);
    const gain = lengthFactor(4, 2);
    expect(
      bestLine(blue, gain) + bestLine(ink, gain) + closenessLine(pairPoints(2), gain, gain, 0) + wholeLine(gain, 2, 4),
    ).toBe(87_500);
  });
  test('a find is worth less in longer values and, where place counts, the later it stands; never nothing', () => {
    expect([1, 2].map((words) => lengthFactor(words, 2))).toEqual([1, 1]);
    const lengths = [4, 8, 64, 385].map((words) => lengthFactor(words, 2));
    expect(lengths).toEqual([...lengths].sort((a, b) => b - a));
    expect(lengths.at(-1)).toBeGreaterThan(0.5);
    expect(placeFactor(0)).toBe(1);
    expect(placeFactor(3)).toBeCloseTo(0.8, 12);
    expect(placeFactor(10_000)).toBeGreaterThan(0.6);
  });

  test('a second attribute never lifts a word over a perfect find', () => {
    for (const best of [0, 0.3, 0.9, 1])
      expect(bestLine(1000, best) + alsoLine(1000, best, best)).toBeLessThanOrEqual(1000);
  });

  test('rarer words tell more; words in the wrong order count as one further apart', () => {
    expect(rarity(1000, 2)).toBeGreaterThan(rarity(1000, 900));
    expect([gapBetween(1, 2), gapBetween(2, 1), gapBetween(1, 4), gapBetween(4, 1)]).toEqual([0, 1, 2, 3]);
  });
});

describe('pins', () => {
  const places = (pins: { candidate: number; place: number }[], others: number[], wanted = 20) =>
    arrange(pins, others, wanted).map(({ candidate }) => candidate);

  test('stand at their places, the others fill the rest', () =>
    expect(
      places(
        [
          { candidate: 9, place: 1 },
          { candidate: 8, place: 3 },
        ],
        [1, 2, 3],
      ),
    ).toEqual([9, 1, 8, 2, 3]));
  test('two at one place stand one after the other', () =>
    expect(
      places(
        [
          { candidate: 9, place: 2 },
          { candidate: 8, place: 2 },
        ],
        [1, 2],
      ),
    ).toEqual([1, 9, 8, 2]));
  test('beyond the end stand at the end', () =>
    expect(places([{ candidate: 9, place: 40 }], [1, 2])).toEqual([1, 2, 9]));
  test('are cut with the page', () => expect(places([{ candidate: 9, place: 3 }], [1, 2, 3], 2)).toEqual([1, 2]));
});

describe('a sieve before comparing', () => {
  const random = seededRandom(17);
  const size = 9000;
  const keysOf = (kinds: number) => Float64Array.from({ length: size }, () => Math.floor(random() * kinds));
  const signal = (kinds: number, byRecord: boolean): Signal => ({
    attribute: 'any',
    direction: 'low',
    byRecord,
    values: new Float64Array(0),
    keys: keysOf(kinds),
  });
  const candidates = {
    families: Uint32Array.from({ length: size }, (_, at) => at),
    representatives: Uint32Array.from({ length: size }, (_, at) => size - 1 - at),
    scores: new Int32Array(size),
    areWhole: () => true,
  };
  const backwards = candidates.representatives;

  test.each([
    ['one signal', [signal(40, false)]],
    ['two, the first of which says little', [signal(2, true), signal(300, false)]],
    ['three', [signal(2, false), signal(3, true), signal(5, false)]],
    ['none', []],
  ])('the first are those that sorting all gives, by %s', (_, signals) => {
    const compare = compareBySignals(signals, candidates);
    const total = (a: number, b: number) => compare(a, b) || a - b;
    const all = Uint32Array.from(candidates.families);
    const expected = [...all].sort(total).slice(0, 24);
    const first = selectFirst(all, 24, total, sieveBySignals(signals, candidates));
    expect([...first]).toEqual(expected);
  });

  test('items may be numbers in a list', () => {
    const signals = [signal(50, true), signal(50, false)];
    const compare = compareBySignals(signals, candidates);
    const total = (a: number, b: number) => compare(backwards[a]!, backwards[b]!) || a - b;
    const all = Uint32Array.from(candidates.families);
    const first = selectFirst(all, 24, total, sieveBySignals(signals, candidates, backwards));
    expect([...first]).toEqual([...all].sort(total).slice(0, 24));
  });
});
