import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { GatheredTexts, lastPosition } from './gatheredTexts.ts';
import { openPostings } from './postingArrays.ts';
import { layPostings, placeOf, valueGap } from './postings.ts';
import { openSections, packSections } from './sections.ts';
import { attributeAt, spotOf, standOf } from './spot.ts';

/** One posting, told in plain words. */
interface ExpectedPosting {
  readonly term: number;
  readonly record: number;
  readonly attribute: number;
  readonly spot: number;
  readonly positions: readonly number[];
}

/** The postings as they are opened again, read as their file says. */
function unpack(laid: ReturnType<typeof layPostings>): { postings: ExpectedPosting[]; holders: number[] } {
  const { built, start, termRecords } = openPostings(openSections(packSections(null, {}, laid))!);
  const { record: records, spot: spots, positionStart: offsets, positions } = built;
  const postings: ExpectedPosting[] = [];
  for (let term = 0; term + 1 < start.length; term++)
    for (let at = start[term]!; at < start[term + 1]!; at++)
      postings.push({
        term,
        record: records[at]!,
        attribute: attributeAt(spots[at]!),
        spot: spots[at]!,
        positions: [...positions.subarray(offsets[at]!, offsets[at + 1]!)],
      });
  return { postings, holders: [...termRecords] };
}

test.each([1, 2, 3, 4, 5])('what is packed says where each word stands, seed %d', (seed) => {
  const random = seededRandom(seed);
  const terms = 6;
  const texts = Array.from({ length: 8 }, () =>
    Array.from({ length: Math.floor(random() * 5) }, () => Math.floor(random() * terms)),
  );
  const gathered = new GatheredTexts();
  for (const words of texts) {
    for (const [at, term] of words.entries()) gathered.addWord(term, at, standOf(words.length, at));
    gathered.end(words.length);
  }
  const expected = new Map<string, { posting: ExpectedPosting; positions: number[] }>();
  const holders = Array.from({ length: terms }, () => new Set<number>());
  // Terms are numbered anew by their order: here backwards.
  const order = Uint32Array.from({ length: terms }, (_, at) => terms - 1 - at);
  for (let record = 0; record < 12; record++)
    for (const attribute of [0, 3]) {
      let base = 0;
      for (let value = 0; value < Math.floor(random() * 3); value++) {
        const text = pick(random, [...texts.keys()]);
        gathered.use(text, placeOf(record, attribute), base);
        texts[text]!.forEach((gatheredTerm, at) => {
          const term = terms - 1 - gatheredTerm;
          const spot = spotOf(attribute, standOf(texts[text]!.length, at));
          const key = `${term} ${record} ${attribute}`;
          const known = expected.get(key);
          const positions = [...(known?.positions ?? []), base + at];
          const best = Math.min(known?.posting.spot ?? spot, spot);
          expected.set(key, { posting: { term, record, attribute, spot: best, positions }, positions });
          holders[term]!.add(record);
        });
        base += gathered.wordsOf(text) + valueGap;
      }
    }
  const { postings, holders: held } = unpack(layPostings(gathered.view(), order));
  const sorted = [...expected.values()]
    .map(({ posting }) => posting)
    .sort((a, b) => a.term - b.term || a.record - b.record || a.attribute - b.attribute);
  expect(postings).toEqual(sorted);
  expect(held).toEqual(holders.map(({ size }) => size));
});

test('a word further on than positions go stands at the last', () => {
  const gathered = new GatheredTexts();
  gathered.addWord(0, 0, standOf(1, 0));
  const text = gathered.end(1);
  gathered.use(text, placeOf(0, 0), 0);
  gathered.use(text, placeOf(0, 0), 70_000);
  const { postings } = unpack(layPostings(gathered.view(), Uint32Array.of(0)));
  expect(postings.map(({ positions }) => positions)).toEqual([[0, lastPosition]]);
});

test('nothing gathered is nothing packed', () => {
  const { postings, holders } = unpack(layPostings(new GatheredTexts().view(), new Uint32Array(0)));
  expect([postings, holders]).toEqual([[], []]);
});
