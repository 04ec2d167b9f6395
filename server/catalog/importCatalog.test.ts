import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';

let shelf: TestShelf;
beforeEach(() => {
  shelf = openTestShelf();
});
afterEach(() => shelf.remove());

const titles = async (query: string): Promise<string[]> => {
  const { body } = await shelf.get(`/shop/search?q=${encodeURIComponent(query)}`);
  return (body as SearchAnswer).results.map(({ title }) => title);
};

describe('a catalog comes in', () => {
  test('and is searchable, with a setup to begin with that is published', async () => {
    const imported = await shelf.bringIn(smallCatalog);
    expect(imported).toMatchObject({ records: 4, families: 3, rejected: 0 });
    expect((await titles('brush')).sort()).toEqual(['Flat brush', 'Round brush']);
    expect(shelf.setups.live()?.number).toBe(1);
  });

  test('rows in any order: a family’s variants are put together', async () => {
    await shelf.bringIn('id,family,title\n1,x,Ink\n2,y,Pen\n3,x,Ink\n4,y,Pen\n5,x,Ink\n');
    const { body } = await shelf.get('/shop/search');
    expect((body as SearchAnswer).results.map(({ familyId, variants }) => [familyId, variants])).toEqual([
      ['x', 3],
      ['y', 2],
    ]);
  });

  test('with column names in other spellings, a mark at the start and Windows line ends', async () => {
    await shelf.bringIn('\uFEFFID,Title,Former Price,Units-Sold\r\n1,"Ink, blue",5,7\r\n');
    expect(await titles('blue')).toEqual(['Ink, blue']);
    expect(shelf.catalogs.current()!.snapshot.attributes.map(({ key }) => key)).toContain('former_price');
  });

  test('texts over several lines keep the line numbers right', async () => {
    await shelf.bringIn('id,title,price\n1,"Two\nlines",3\n2,Pen,cheap\n3,,1\n');
    expect(shelf.catalogs.current()!.rejectedRows(10)).toEqual([
      { line: 4, column: 'price', reason: '"cheap" is not a number.' },
      { line: 5, column: 'title', reason: 'The row has no title.' },
    ]);
  });
});

describe('what is wrong is told, and the rest comes in', () => {
  test.each([
    [
      'too many cells',
      'id,title\n1,Pen\n2,Ink,red\n3,Brush\n',
      3,
      'The row has 3 cells, the first line names 2 columns.',
    ],
    [
      'too few cells',
      'id,title,price\n1,Pen,2\n2,Ink\n3,Brush,4\n',
      3,
      'The row has 2 cells, the first line names 3 columns.',
    ],
    ['an id twice', 'id,title\n1,Pen\n1,Ink\n3,Brush\n', 3, 'The id “1” stands in an earlier row already.'],
    ['no id', 'id,title\n1,Pen\n,Ink\n3,Brush\n', 3, 'The row has no id.'],
    ['a stray quote', 'id,title\n1,Pen\n2,In"k" x\n3,Brush\n', 3, 'The quotes in this row do not match.'],
  ])('%s', async (_, csv, line, reason) => {
    const imported = await shelf.bringIn(csv);
    expect(imported).toMatchObject({ records: 2, rejected: 1 });
    expect(shelf.catalogs.current()!.rejectedRows(5)).toMatchObject([{ line, reason }]);
    expect(await titles('brush')).toEqual(['Brush']);
  });

  test.each([
    ['no title column', 'id,name\n1,Pen\n', 'no column “title”'],
    ['a column twice', 'id,title,Title\n1,Pen,Ink\n', 'stands twice'],
    ['an empty file', '', 'The file is empty'],
    ['no row that can be taken', 'id,title\n,Pen\n', 'No row of the file could be taken'],
    ['too many columns', `id,title,${Array.from({ length: 250 }, (_, at) => `c${at}`).join(',')}\n`, 'at most 200'],
  ])('a file with %s is refused whole, and the catalog stays as it was', async (_, csv, message) => {
    await shelf.bringIn(smallCatalog);
    await expect(shelf.bringIn(csv)).rejects.toThrow(message);
    expect(await titles('ink')).toEqual(['Blue ink']);
  });

  test('bytes that are no text, a quote never closed and control characters do not stop it', async () => {
    const csv = Buffer.concat([
      Buffer.from('id,title\n1,Pen \u0000 \u0007\n2,'),
      Buffer.from([0xff, 0xfe, 0x80]),
      Buffer.from('\n3,"never closed\n'),
    ]);
    await shelf.bringIn(csv);
    expect(await titles('pen')).toHaveLength(1);
  });
});

test('a new catalog replaces the old in one step and leaves the setup alone', async () => {
  await shelf.bringIn(smallCatalog);
  const before = shelf.setups.draft();
  await shelf.bringIn('id,title\nz,Lonely easel\n');
  expect(await titles('brush')).toEqual([]);
  expect(await titles('easel')).toEqual(['Lonely easel']);
  expect(shelf.setups.draft()).toEqual(before);
});
