import { expect, test } from '@jest/globals';
import { describeChange } from '../../core/setup/describeChange.ts';
import { readChanges } from './readChanges.ts';

test('what was journaled in the words of the fourth format is read, and told, in today’s', () => {
  const condition = { what: 'newer', attribute: 'date_added', days: 60 };
  const noted = [
    { part: 'hiding', key: 'product:p', before: null, after: { what: 'product', product: 'p', from: ['results'] } },
    {
      ...{ part: 'vocabulary', key: 'recognised', after: null },
      before: { what: 'recognised', price: true, conditions: [{ words: 'new', condition }] },
    },
    { part: 'relevance', key: 'closeCall', before: { width: 3 }, after: { width: 5 } },
  ];
  const changes = readChanges(JSON.stringify(noted));
  expect(changes[0]!.after).toEqual({ what: 'product', product: 'p', places: ['results', 'box'] });
  expect(changes[1]!.before).toMatchObject({ conditions: [{ condition: { match: 'all' } }] });
  expect(changes[2]).toEqual(noted[2]);
  const names = { attribute: (key: string) => key, product: (id: string) => id, collection: (id: string) => id };
  expect(changes.flatMap((change) => describeChange(change, names))).toEqual([
    'p is hidden from search results and the search box',
    'Limits of price in a search are words like any other',
    '“new” is a word like any other',
    'Close calls are 5 points wide instead of 3',
  ]);
});
