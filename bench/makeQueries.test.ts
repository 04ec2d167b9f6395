import { expect, test } from '@jest/globals';
import { seededRandom } from '../core/base/random.ts';
import { editDistance } from '../core/text/editDistance.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { makeQuery } from './makeQueries.ts';
import { makeRecords } from './makeRecords.ts';

const records = [...makeRecords(3, 400)];

test('the same seed gives the same records, as many as asked for, of about sixty words', () => {
  expect([...makeRecords(3, 400)]).toEqual(records);
  const words = records.map(({ values }) => tokenize(Object.values(values).flat().join(' ')).length);
  const mean = words.reduce((sum, count) => sum + count, 0) / words.length;
  expect(Math.abs(mean - 60)).toBeLessThan(12);
});

test('a typo is one slip in one word, and every query is made of its record’s own words', () => {
  for (const [seed, record] of records.entries()) {
    const clean = makeQuery(seededRandom(seed), 'several words', record).text.split(' ');
    const typo = makeQuery(seededRandom(seed), 'one typo', record).text.split(' ');
    const edits = clean.map((word, at) => editDistance(word, typo[at] ?? '', 3));
    expect(edits.reduce((sum, each) => sum + each, 0)).toBeLessThanOrEqual(1);
    const own = new Set(tokenize(`${record.values.title} ${record.values.brand}`));
    expect(clean.every((word) => own.has(word))).toBe(true);
  }
});
