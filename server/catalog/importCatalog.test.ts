import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { openRecords, readDifferences } from './catalogReader.ts';
import { importCatalog } from './importCatalog.ts';
import { neverClosed } from './sources/csvRecords.ts';

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

describe('what is wrong is reported, and the rest comes in', () => {
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
    ['a quote never closed', 'id,title\n1,Pen\n2,"In\n3,Brush\n', 3, neverClosed],
    [
      'a path without end',
      `id,title,category\n1,Pen,\n2,Ink,${Array.from({ length: 900 }, (_, at) => `a${at}`).join(' > ')}\n3,Brush,\n`,
      3,
      'The category has more than 20 levels.',
    ],
    [
      'a list without end',
      `id,title,tags\n1,Pen,\n2,Ink,${Array.from({ length: 501 }, (_, at) => at).join('|')}\n3,Brush,\n`,
      3,
      'The list has more than 500 values.',
    ],
  ])('%s', async (_, csv, line, reason) => {
    const imported = await shelf.bringIn(csv);
    expect(imported).toMatchObject({ records: 2, rejected: 1 });
    expect(shelf.catalogs.current()!.rejectedRows(5)).toMatchObject([{ line, reason }]);
    expect(await titles('brush')).toEqual(['Brush']);
  });

  test.each([
    ['no column for the title', 'id,price\n1,3\n2,4\n', 'Choose the column that holds the title'],
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

describe('what changes is reported before it happens', () => {
  const nothing = {
    ...{ dearer: 0, cheaper: 0, soldOut: 0, backInStock: 0, picturesGone: 0, picturesNew: 0, picturesOther: 0 },
  };
  const first = 'id,title,price,colour\na,Ink,1,Red\nb,Pen,2,Blue\nc,Brush,3,\n';
  const second = 'id,title,price,colour\nb,Pen,2,Blue\nc,Brush,4,Green\nd,Easel,9,\n';
  test('a file that replaces the catalog', async () => {
    await shelf.bringIn(first);
    const { differences, records } = await shelf.bringIn(second);
    expect(records).toBe(3);
    expect(differences).toEqual({
      added: 1,
      changed: 1,
      unchanged: 1,
      gone: 1,
      noticed: { ...nothing, dearer: 1 },
      attributes: [
        { key: 'colour', records: 1 },
        { key: 'price', records: 1 },
      ],
    });
    const rows = openRecords(shelf.folder, shelf.catalogs.generation());
    expect(readDifferences(rows, 'changed', 5)).toEqual([
      {
        id: 'c',
        title: 'Brush',
        values: [
          { key: 'price', before: '3', after: '4' },
          { key: 'colour', before: '', after: 'Green' },
        ].sort((a, b) => (a.key < b.key ? -1 : 1)),
      },
    ]);
    expect(readDifferences(rows, 'gone', 5)).toEqual([
      {
        ...{ id: 'a', title: 'Ink' },
        values: [
          { key: 'price', before: '1', after: '' },
          { key: 'availability', before: 'In stock', after: '' },
        ],
      },
    ]);
    rows.close();
  });

  test('what shoppers notice first: prices, stock and pictures', async () => {
    const head = 'id,title,price,stock,picture\n';
    await shelf.bringIn(`${head}a,Ink,1,3,/a.svg\nb,Pen,2,0,/b.svg\nc,Brush,3,2,\nd,Easel,9,1,/d.svg\n`);
    const { differences } = await shelf.bringIn(
      `${head}a,Ink,2,0,\nb,Pen,1,4,/b2.svg\nc,Brush,3,1,/c.svg\nd,Easel,,1,/d.svg\n`,
    );
    expect(differences.noticed).toEqual({
      ...{ dearer: 1, cheaper: 1, soldOut: 1, backInStock: 1, picturesGone: 1, picturesNew: 1, picturesOther: 1 },
    });
  });

  test('a file that updates it: what the file does not have is kept, in its place', async () => {
    await shelf.bringIn(first);
    const { differences, records } = await shelf.bringIn(second, 'update');
    expect(differences).toMatchObject({ added: 1, changed: 1, unchanged: 2, gone: 0 });
    expect(records).toBe(4);
    const reader = shelf.catalogs.current()!;
    expect([0, 1, 2, 3].map((ordinal) => reader.record(ordinal).id)).toEqual(['a', 'b', 'c', 'd']);
    expect(reader.sources()).toMatchObject([
      { number: 1, records: 1 },
      { number: 2, records: 3 },
    ]);
  });

  test('the same file again changes nothing', async () => {
    await shelf.bringIn(smallCatalog);
    expect((await shelf.bringIn(smallCatalog)).differences).toEqual({
      added: 0,
      changed: 0,
      unchanged: 4,
      gone: 0,
      noticed: nothing,
      attributes: [],
    });
  });
});

describe('the rows in force are read again', () => {
  const readAgain = async (change: (mapping: Mapping) => Mapping) => {
    const [source] = shelf.catalogs.current()!.sources();
    const imported = await importCatalog(
      {
        folder: shelf.folder,
        generation: await shelf.writer.reserveGeneration('main'),
        base: shelf.catalogs.comparable(),
        mode: 'replace',
        rows: { kind: 'again', mappings: { [source!.number]: change(source!.mapping) } },
        corrections: shelf.mappings.corrections(),
      },
      () => {},
    );
    await shelf.writer.putInForce('main', imported, 'again', 1);
    return imported;
  };
  const paper = 'id,title,paper_weight\n1,Cartridge paper,60\n2,Masking fluid 60 ml,\n3,Rag paper,300\n';

  test('with a unit for bare numbers: “60 gsm” finds them from then on', async () => {
    await shelf.bringIn(paper);
    expect(await titles('60 gsm')).toEqual([]);
    const imported = await readAgain((mapping) => ({
      ...mapping,
      columns: mapping.columns.map((column) =>
        column.column === 'paper_weight' ? { ...column, pattern: '{value} gsm' } : column,
      ),
    }));
    expect(imported.differences).toMatchObject({ changed: 2, unchanged: 1, attributes: [{ key: 'paper_weight' }] });
    expect(await titles('60 gsm paper')).toEqual(['Cartridge paper']);
    expect(await titles('60 ml')).toEqual(['Masking fluid 60 ml']);
  });

  test('with variants joined another way, and one put right by hand', async () => {
    await shelf.bringIn('id,sku,title\n1,PX-A,Brush\n2,PX-B,Brush\n3,QX-A,Ink\n');
    shelf.mappings.correct(['3'], 'PX');
    const imported = await readAgain((mapping) => ({ ...mapping, families: { by: 'sku', cut: 'group' } }));
    expect(imported.families).toBe(1);
    shelf.mappings.correct(['3'], null);
    expect((await readAgain((mapping) => mapping)).families).toBe(2);
  });
});

test('a bundle is found by what is in it', async () => {
  await shelf.bringIn('id,sku,title,parts\nset,S-1,Starter tin,B-1|B-2|gone\nb1,B-1,Round brush,\nb2,B-2,Sable mop,\n');
  expect(shelf.catalogs.current()!.familyRecord('set')!.values.contains).toEqual(['Round brush', 'Sable mop', 'gone']);
  expect((await titles('sable')).sort()).toEqual(['Sable mop', 'Starter tin']);
});

test('a mapping is kept for the next file with the same columns, in whatever order', async () => {
  await shelf.bringIn(smallCatalog);
  const { mapping } = shelf.catalogs.current()!.sources()[0]!;
  shelf.mappings.keep(mapping, 1);
  const columns = mapping.columns.map(({ column }) => column);
  expect(shelf.mappings.known([...columns].reverse())).toEqual(mapping);
  expect(shelf.mappings.known(columns.slice(1))).toBeNull();
});
