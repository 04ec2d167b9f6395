import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../core/base/random.ts';
import { firstText } from '../core/catalog/record.ts';
import type { Setup } from '../core/setup/schema.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { cleverShelf } from './contenders.ts';
import { makeRecords } from './makeRecords.ts';
import { sideBySide } from './sideBySide.ts';

/** A vocabulary at its limits, of the catalog's own words and of words that only shoppers say. */
function makeVocabulary(random: () => number, words: readonly string[], pairs: readonly string[]): Setup['vocabulary'] {
  const said = (at: number): string =>
    `shopper${at.toString(36).replace(/\d/g, (digit) => 'abcdefghij'[Number(digit)]!)}`;
  const entries: [string, Setup['vocabulary'][string]][] = Array.from({ length: 5000 }, (_, at) => {
    const key = `s${at}`;
    if (at % 2 === 0) return [key, { what: 'oneWay', from: [said(at)], to: [pick(random, words)], on: true }];
    return [key, { what: 'synonyms', words: [pick(random, words), pick(random, words), said(at)], on: true }];
  });
  return {
    ...Object.fromEntries(entries),
    phrases: { what: 'phrases', phrases: pairs.slice(0, 500) },
    recognised: {
      what: 'recognised',
      price: true,
      attributes: { colour: 'strong', size: 'filter', material: 'strong', brand: 'strong' },
      conditions: [
        {
          words: 'best seller',
          condition: { match: 'all', tests: [{ how: 'between', attribute: 'units_sold', from: 500, to: null }] },
        },
      ],
    },
  };
}

/** Searches at a large vocabulary beside the same searches without any, in turns, so that a slow moment hits both. */
export function runVocabulary(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { size: { type: 'string', default: '100000' }, queries: { type: 'string', default: '300' } },
  });
  const records = [...makeRecords(7, Number(values.size))];
  const random = seededRandom(8);
  const titles = Array.from({ length: 3000 }, () => tokenize(firstText(pick(random, records).values.title)));
  const words = [...new Set(titles.flat())];
  const pairs = [...new Set(titles.flatMap((tokens) => (tokens.length > 1 ? [`${tokens[0]} ${tokens[1]}`] : [])))];
  const plain = cleverShelf(records);
  const vocabulary = makeVocabulary(random, words, pairs);
  const full = cleverShelf(records, (setup) => ({ ...setup, vocabulary }));
  // A phrase's records are looked up once a catalog; a running server knows them.
  for (const pair of pairs.slice(0, 500)) full.search(pair, false);
  console.log(
    `${values.size} records; 5,000 synonyms, ${Math.min(500, pairs.length)} phrases, four attributes recognised`,
  );
  sideBySide(records, random, Number(values.queries), plain, full);
}
