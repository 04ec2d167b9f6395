import { expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { migrate } from '../store/migrations.ts';
import { nearTextWriter, openNearTexts } from './nearTextStore.ts';

const db = new Database(':memory:');
migrate(db);
db.prepare("INSERT INTO storefront (id, name, made_at) VALUES ('main', 'Shop', 0)").run();
const keep = nearTextWriter(db);
const reader = openNearTexts(db, 'main');
const near = reader.near('en');
const list = {
  aquarell: [['watercolour', 'tried']],
  jotter: [['sketchbook', 'dictionary']],
  'oil stick': [['pastel', 'opened']],
};

test('what is near is looked up by any form of its words, in what is kept now', () => {
  expect(near('aquarelle', true)).toEqual([]);
  keep('main', list as never);
  expect(near('Aquarelles', true)).toEqual([{ text: 'watercolour', from: 'tried' }]);
  expect(near('oil sticks', true)).toEqual([{ text: 'pastel', from: 'opened' }]);
});
test('a slip in what shoppers say something of is forgiven where typos are, one in the dictionary’s words never', () => {
  expect(near('aquarele', true)).toEqual([{ text: 'watercolour', from: 'tried' }]);
  expect(near('aquarele', false)).toEqual([]);
  expect(near('joter', true)).toEqual([]);
});
test('the same list once more is no other version; a storefront that is gone keeps none', () => {
  const version = reader.version();
  keep('main', list as never);
  expect(reader.version()).toBe(version);
  keep('main', {});
  expect(reader.version()).toBe(version + 1);
  expect(near('aquarelle', true)).toEqual([]);
  keep('gone', list as never);
  expect(openNearTexts(db, 'gone').version()).toBe(0);
});
