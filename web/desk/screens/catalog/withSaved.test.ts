import { expect, test } from '@jest/globals';
import { standardMapping } from '../../../../core/catalog/mapping.ts';
import { withSaved } from './withSaved.ts';

const proposed = standardMapping(['id', 'Title', 'weight']);

test('a saved mapping is laid over the columns it knows, whatever their spelling', () => {
  const saved = { ...proposed, columns: [{ ...proposed.columns[2]!, column: 'WEIGHT', pattern: '{value} g' }] };
  const found = withSaved(proposed, JSON.stringify({ ...saved, families: { by: 'title' } }))!;
  expect(found.used).toBe(1);
  expect(found.mapping.columns.map(({ column, pattern }) => [column, pattern])).toEqual([
    ['id', ''],
    ['Title', ''],
    ['weight', '{value} g'],
  ]);
  expect(found.mapping.families).toEqual({ by: 'title' });
});

test('its language and what tells rows apart are taken over, the latter where all of it is there', () => {
  const saved = (identity: string[]) => JSON.stringify({ ...proposed, language: 'de', identity });
  expect(withSaved(proposed, saved(['title', 'Weight']))!.mapping).toMatchObject({
    language: 'de',
    identity: ['Title', 'weight'],
  });
  expect(withSaved(proposed, saved(['title', 'gone']))!.mapping.identity).toBeUndefined();
});

test.each(['', 'null', '[]', '{"format":"something-else","columns":[]}', '{"format":"clever-shelf-mapping"}'])(
  '“%s” is none',
  (text) => expect(withSaved(proposed, text)).toBeNull(),
);
