import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { exactUpTo, spotOf, standOf, wordsAt } from '../index/spot.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import type { MatchKind } from './formula.ts';
import { bindGains, gainParts, kindNumber, notFound, wholeOnly } from './gains.ts';

const kinds = Object.keys(kindNumber) as MatchKind[];
/** Values of one word and of many, and words at their beginning and far behind. */
const stands = [1, 2, 3, 5, 8, 9, 40, 500].flatMap((words) =>
  [0, 1, 4, 30].filter((place) => place < words).map((place) => standOf(words, place)),
);

describe('a table of gains says at every spot what the definition says', () => {
  test.each([1, 2, 3, 4, 5, 6])('seed %i', (seed) => {
    const random = seededRandom(seed);
    const snapshot = snapshotOf(randomCatalog(random, 12));
    const setup = randomSetup(random, snapshot, [randomQuery(random)]);
    const gains = bindGains(snapshot.attributes, setup);
    const wrong: unknown[] = [];
    for (const sought of [1, 2, 3, 9]) {
      const table = gains.table(sought);
      for (const kind of kinds)
        for (const [attribute, { key }] of snapshot.attributes.entries())
          for (const stand of stands) {
            const spot = spotOf(attribute, stand);
            const setting = setup.attributes[key];
            const { gain } = gainParts(setting, gains.heaviest, kind, spot, sought);
            const words = wordsAt(spot);
            // The whole value is found by as many words as it has; a value known from others has no words.
            const isWhole = kind !== 'value' && setting?.whole && words > 1;
            const isLost = isWhole && (words > sought || words > exactUpTo);
            const isNone = gains.found[kindNumber[kind]]![attribute] === 0 || isLost;
            const expected = isNone ? notFound : isWhole ? wholeOnly - gain : gain;
            const is = table[kindNumber[kind]]![spot];
            if (is !== expected) wrong.push({ key, kind, sought, words, is, expected });
          }
    }
    expect(wrong).toEqual([]);
  });
});
