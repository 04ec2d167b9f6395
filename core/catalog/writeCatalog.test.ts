import { describe, expect, test } from '@jest/globals';
import { readStandardRow } from './readRow.ts';
import type { CatalogRecord } from './record.ts';
import { catalogWriter } from './writeCatalog.ts';
import { csvLine, neutralised, plainAgain } from './writeCsv.ts';

const records: CatalogRecord[] = [
  {
    id: 'a1',
    familyId: 'a',
    sku: 'WU-1',
    values: {
      title: 'Round "wash" brush, no. 6',
      category: ['Brushes', 'Brushes > Round'],
      tags: ['new', 'sable'],
      price: 4.5,
      stock: 0,
      availability: 'Sold out',
    },
  },
  { id: 'b1', familyId: 'b', sku: '', values: { title: '=1+1 ink', hidden: 'true', availability: 'In stock' } },
];
const keys = ['title', 'category', 'tags', 'price', 'stock', 'hidden', 'availability'];
function written(format: 'csv' | 'jsonl' | 'jsonld'): string {
  const { begin, record, end } = catalogWriter(format, keys, 'GBP');
  return begin + records.map(record).join('') + end;
}

describe('a catalog as CSV', () => {
  const [header, first, second] = written('csv').slice(1).split('\r\n');
  test('has the columns an import knows, without what is computed', () =>
    expect(header).toBe('id,family,sku,title,category,tags,price,stock,hidden'));
  test('quotes what must be quoted, joins lists, and writes a path once', () =>
    expect(first).toBe('a1,a,WU-1,"Round ""wash"" brush, no. 6",Brushes > Round,new|sable,4.5,0,'));
  test('runs nothing in a spreadsheet, and says yes for what is hidden', () =>
    expect(second).toBe("b1,b,,'=1+1 ink,,,,,yes"));
  test('begins with the mark by which spreadsheets know its letters', () =>
    expect(written('csv').charCodeAt(0)).toBe(0xfeff));
});

describe('a catalog as JSON Lines', () => {
  const items = written('jsonl')
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, string>);
  test('has an item a line, amounts as amounts', () =>
    expect(items[0]).toEqual({
      id: 'a1',
      family: 'a',
      sku: 'WU-1',
      title: 'Round "wash" brush, no. 6',
      category: 'Brushes > Round',
      tags: ['new', 'sable'],
      price: 4.5,
      stock: 0,
    }));
  test('leaves out what a record does not have', () =>
    expect(items[1]).toEqual({ id: 'b1', family: 'b', title: '=1+1 ink', hidden: 'yes' }));
});

test('a catalog as schema.org is one document', () => {
  const document = JSON.parse(written('jsonld')) as { '@graph': { productID: string }[] };
  expect(document['@graph'].map(({ productID }) => productID)).toEqual(['a1', 'b1']);
});

test('cells come in again as they went out', () => {
  const [, ...lines] = written('csv').slice(1).trim().split('\r\n');
  const cells = lines[1]!.split(',');
  const row = Object.fromEntries(
    ['id', 'family', 'sku', 'title', 'category', 'tags', 'price', 'stock', 'hidden'].map((name, at) => [
      name,
      plainAgain(cells[at]!),
    ]),
  );
  expect(readStandardRow(row)).toMatchObject({
    record: { id: 'b1', familyId: 'b', values: { title: '=1+1 ink', hidden: expect.anything() } },
  });
});

describe('cells that a spreadsheet would run', () => {
  test.each([
    ['=SUM(A1)', "'=SUM(A1)"],
    ['+44 20', "'+44 20"],
    ['-5', '-5'],
    ['-5 to 3', "'-5 to 3"],
    ['@here', "'@here"],
    ["'=1", "''=1"],
    ['plain', 'plain'],
    ["'quoted'", "'quoted'"],
  ])('%s goes out as %s and comes in unchanged', (text, out) => {
    expect(neutralised(text)).toBe(out);
    expect(plainAgain(neutralised(text))).toBe(text);
  });
  test('spaces at an end are kept by quotes', () => expect(csvLine([' a', 'b\nc'])).toBe('" a","b\nc"\r\n'));
});
