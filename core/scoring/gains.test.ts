import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { isIndexedAsText } from '../catalog/profileAttributes.ts';
import { exactUpTo, spotOf, standOf, wordsAt } from '../index/spot.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from '../testing/randomCatalog.ts';
import type { MatchKind } from './formula.ts';
import { bindGains, gainParts, kindNumber, notFound, wholeOnly } from './gains.ts';

const kinds = Object.keys(kindNumber) as MatchKind[];
/** Values of one word and of many, and words at their beginning and far behind. */
const stands = [1, 2, 3, 5, 8, 9, 40, 500].flatMap((words) =>
  [0, 1, 4, 30].filter((place) => place < words).map((place) => standOf(words, place)),
);

/** The setting that switches a way of being found off; whether codes are found so. */
const ways: Record<MatchKind, { readonly by?: 'prefixes' | 'forms' | 'corrections'; readonly ofCodes?: true }> = {
  value: { ofCodes: true },
  exact: { ofCodes: true },
  joined: { ofCodes: true },
  split: {},
  prefix: { by: 'prefixes', ofCodes: true },
  form: { by: 'forms' },
  compound: { by: 'forms' },
  related: { by: 'forms' },
  synonym: {},
  oneEdit: { by: 'corrections' },
  rivalEdit: { by: 'corrections' },
  twoEdits: { by: 'corrections' },
};

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
        for (const [attribute, profile] of snapshot.attributes.entries()) {
          const { key } = profile;
          const { by, ofCodes = false } = ways[kind];
          const isSearched = kind === 'value' || setup.attributes[key]?.searchable === true;
          const isSwitchedOff = by !== undefined && setup.attributes[key]?.[by] === false;
          const isFound =
            isIndexedAsText(profile) && isSearched && !isSwitchedOff && (ofCodes || profile.kind !== 'code');
          for (const stand of stands) {
            const spot = spotOf(attribute, stand);
            const setting = setup.attributes[key];
            const { gain } = gainParts(setting, gains.heaviest, kind, spot, sought);
            const words = wordsAt(spot);
            // The whole value is found by as many words as it has; a value known from others has no words.
            const isWhole = kind !== 'value' && setting?.whole && words > 1;
            const isLost = isWhole && (words > sought || words > exactUpTo);
            const isNone = !isFound || isLost;
            const expected = isNone ? notFound : isWhole ? wholeOnly - gain : gain;
            const is = table[kindNumber[kind]]![spot];
            if (is !== expected) wrong.push({ key, kind, sought, words, is, expected });
          }
          if (gains.found[kindNumber[kind]]![attribute] !== Number(isFound)) wrong.push({ key, kind, isFound });
        }
    }
    expect(wrong).toEqual([]);
  });
});
