import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { examineFile } from '../examineFile.ts';
import { detectForm } from './detectForm.ts';
import { openSource } from './openSource.ts';
import type { SourceRow } from './source.ts';

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'clever-shelf-sources-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

let number = 0;
function write(content: string | Buffer): string {
  const path = join(folder, `${++number}`);
  writeFileSync(path, content);
  return path;
}
async function read(content: string | Buffer): Promise<SourceRow[]> {
  const path = write(content);
  const rows: SourceRow[] = [];
  for await (const row of openSource(path, detectForm(path)).rows) rows.push(row);
  return rows;
}
const cells = async (content: string | Buffer) =>
  (await read(content)).map((row) => ('cells' in row ? row.cells : row.reason));

describe('a torture set of CSV files', () => {
  const table = [
    { id: '1', title: 'Ink, blue', note: 'fine' },
    { id: '2', title: 'Pen; red', note: 'a\ttab' },
  ];
  test.each([
    ['commas', 'id,title,note\n1,"Ink, blue",fine\n2,Pen; red,a\ttab\n'],
    ['semicolons', 'id;title;note\n1;Ink, blue;fine\n2;"Pen; red";a\ttab\n'],
    ['tabs', 'id\ttitle\tnote\n1\tInk, blue\tfine\n2\tPen; red\t"a\ttab"\n'],
    ['bars', 'id|title|note\n1|Ink, blue|fine\n2|Pen; red|a\ttab\n'],
    ['single quotes', "id,title,note\n1,'Ink, blue',fine\n2,'Pen; red',a\ttab\n"],
    ['Windows line ends', 'id,title,note\r\n1,"Ink, blue",fine\r\n2,Pen; red,a\ttab\r\n'],
    ['a mark at the beginning', '\uFEFFid,title,note\n1,"Ink, blue",fine\n2,Pen; red,a\ttab\n'],
    ['no line end at the end', 'id,title,note\n1,"Ink, blue",fine\n2,Pen; red,a\ttab'],
    ['empty lines', 'id,title,note\n\n1,"Ink, blue",fine\n\n\n2,Pen; red,a\ttab\n\n'],
  ])('%s', async (_, content) => expect(await cells(content)).toEqual(table));

  test('quotes inside texts, doubled or behind a backslash', async () => {
    expect(await cells('id,title\n1,"A 12"" frame"\n2,"B"\n')).toEqual([
      { id: '1', title: 'A 12" frame' },
      { id: '2', title: 'B' },
    ]);
    expect(await cells('id,title\n1,"A 12\\" frame"\n2,"B, C"\n')).toEqual([
      { id: '1', title: 'A 12" frame' },
      { id: '2', title: 'B, C' },
    ]);
  });

  test('encodings are told apart', async () => {
    const text = 'id,title\n1,Siège café\n2,Größe\n';
    const utf16 = Buffer.from(`\uFEFF${text}`, 'utf16le');
    const swapped = Buffer.from(utf16).swap16();
    for (const content of [text, Buffer.from(text, 'latin1'), utf16, swapped, Buffer.from(text, 'utf16le')])
      expect(await cells(content)).toEqual([
        { id: '1', title: 'Siège café' },
        { id: '2', title: 'Größe' },
      ]);
    expect(
      await cells(Buffer.concat([Buffer.from('id,title\n1,Pen '), Buffer.from([0x80]), Buffer.from('5\n')])),
    ).toEqual([{ id: '1', title: 'Pen €5' }]);
  });

  test('one foreign letter deep in a large file decides its encoding', () => {
    const path = write(
      Buffer.concat([Buffer.from(`id,title\n${'1,Pen\n'.repeat(60_000)}`), Buffer.from([0xe9]), Buffer.from('\n')]),
    );
    expect(detectForm(path).encoding).toBe('windows-1252');
  });

  test('names that are empty or come again get a number', async () =>
    expect(await cells('id,,image,Image\n1,a,b,c\n')).toEqual([
      { id: '1', 'column 2': 'a', image: 'b', 'Image (2)': 'c' },
    ]));

  test('a text over several lines keeps the line numbers of what follows', async () => {
    const rows = await read('id,title\n1,"Two\nlines\nand more"\n2\n3,Pen\n');
    expect(rows.map(({ line }) => line)).toEqual([2, 5, 6]);
  });

  test('one column, one row, and cells that look like code stay what they are', async () => {
    expect(await cells('title\n=1+1\n')).toEqual([{ title: '=1+1' }]);
    expect(await cells('id,title\n1,<script>alert(1)</script>\n')).toEqual([
      { id: '1', title: '<script>alert(1)</script>' },
    ]);
  });

  test('a spreadsheet, an archive, a picture and nothing at all are told in a sentence', async () => {
    expect(() => detectForm(write(Buffer.from('PK\u0003\u0004rest')))).toThrow('spreadsheet');
    expect(() => detectForm(write(Buffer.from([0, 1, 0, 2, 0, 0, 0, 0, 9, 0, 0, 0])))).toThrow('no text file');
    expect(() => detectForm(write(''))).toThrow('empty');
  });
});

describe('JSON', () => {
  const expected = [
    { id: '1', title: 'Ink', 'price.amount': '5', tags: ['a', 'b'] },
    { id: '2', title: 'Pen', sold: 'true' },
  ];
  const items = [
    { id: 1, title: 'Ink', price: { amount: 5 }, tags: ['a', 'b'], gone: null },
    { id: 2, title: 'Pen', sold: true },
  ];
  test.each([
    ['a list', JSON.stringify(items)],
    ['a list over several lines', JSON.stringify(items, null, 2)],
    ['a list inside an object', JSON.stringify({ made: 'today', products: items })],
    ['JSON Lines', items.map((item) => JSON.stringify(item)).join('\n')],
    ['JSON Lines with an end and empty lines', `${items.map((item) => JSON.stringify(item)).join('\n\n')}\n`],
  ])('%s', async (_, content) => expect(await cells(content)).toEqual(expected));

  test('variants inside an item are rows of one family', async () => {
    const item = {
      id: 'p1',
      title: 'Brush',
      variants: [
        { id: 'v1', size: '2' },
        { id: 'v2', size: '4', title: 'Brush 4' },
      ],
    };
    expect(await cells(JSON.stringify([item]))).toEqual([
      { id: 'v1', title: 'Brush', size: '2', family: 'p1' },
      { id: 'v2', title: 'Brush 4', size: '4', family: 'p1' },
    ]);
  });

  test('lines that are no JSON are refused with their number, the others come in', async () => {
    expect(await read('{"id":1}\n{oops\n[1]\n"x"\n{"id":2}\n')).toMatchObject([
      { line: 1, cells: { id: '1' } },
      { line: 2, reason: 'The line is no JSON.' },
      { line: 3, reason: 'This is no object with named values.' },
      { line: 4 },
      { line: 5, cells: { id: '2' } },
    ]);
  });

  test('a list cut in the middle is reported with how far it was good', async () => {
    await expect(read('[{"id":1},{"id":2},{"id":')).rejects.toThrow('behind item 2');
  });

  test('an item without end is not read without end', async () => {
    await expect(read(`[{"id":1},{"id":"${'x'.repeat(9_000_000)}"}]`)).rejects.toThrow('longer than');
  });
});

describe('schema.org products', () => {
  const product = {
    '@context': 'https://schema.org',
    '@type': 'Product',
    sku: 'B-1',
    name: 'Round brush',
    brand: { '@type': 'Brand', name: 'Osier' },
    image: ['https://shop.example/b.png', 'https://shop.example/c.png'],
    offers: { '@type': 'Offer', price: '4.50', priceCurrency: 'GBP', availability: 'https://schema.org/OutOfStock' },
    aggregateRating: { '@type': 'AggregateRating', ratingValue: 4.5, reviewCount: 12 },
    additionalProperty: [{ '@type': 'PropertyValue', name: 'Hair', value: 'Sable' }],
  };
  const row = {
    sku: 'B-1',
    title: 'Round brush',
    brand: 'Osier',
    price: '4.50',
    stock: 'https://schema.org/OutOfStock',
    rating: '4.5',
    ratings: '12',
    Hair: 'Sable',
    picture: ['https://shop.example/b.png', 'https://shop.example/c.png'],
  };
  test.each([
    ['alone', JSON.stringify(product, null, 1)],
    ['in a list', JSON.stringify([product])],
    ['in a graph', JSON.stringify({ '@context': 'https://schema.org', '@graph': [product] })],
    [
      'in an item list',
      JSON.stringify({ '@type': 'ItemList', itemListElement: [{ '@type': 'ListItem', item: product }] }),
    ],
    ['a line each', `${JSON.stringify(product)}\n`],
  ])('%s', async (_, content) => expect(await cells(content)).toMatchObject([row]));
});

describe('JSON keeps what it says', () => {
  const code = '90071992547409931234';
  test.each([
    ['in a list', `[{"id":"a","ean":${code},"price":12.5,"text":"7${code} \\"8${code}\\""}]`],
    [
      'in a list inside an object',
      `{"products":[{"id":"a","ean":${code},"price":12.5,"text":"7${code} \\"8${code}\\""}]}`,
    ],
    ['in lines', `{"id":"a","ean":${code},"price":12.5,"text":"7${code} \\"8${code}\\""}\n`],
  ])('long whole numbers %s stay as they are written', async (_, content) =>
    expect(await cells(content)).toEqual([{ id: 'a', ean: code, price: '12.5', text: `7${code} "8${code}"` }]),
  );
  test.each([
    ['a list', '[{"id":1,"constructor":"a","__proto__":"b","toString":3}]'],
    ['lines', '{"id":1,"constructor":"a","__proto__":"b","toString":3}'],
  ])('names of the language in %s are names', async (_, content) => {
    const [row] = (await cells(content)) as Record<string, string>[];
    expect(Object.entries(row!).map(([name, value]) => [name.trim(), value])).toEqual([
      ['id', '1'],
      ['constructor', 'a'],
      ['__proto__', 'b'],
      ['toString', '3'],
    ]);
  });
  test('one broken line, were it the first, is one refused line', async () => {
    const lines = ['{"id":1,', '{"id":2}', '{"id":3}', '{"id":4}'];
    expect(await read(lines.join('\n'))).toMatchObject([
      { line: 1, reason: 'The line is no JSON.' },
      { line: 2, cells: { id: '2' } },
      { line: 3 },
      { line: 4 },
    ]);
  });
  test('names that only later items have are columns, and those that cannot be taken are reported', async () => {
    const items = Array.from({ length: 6000 }, (_, at) => ({
      id: at,
      title: `Ink ${at}`,
      ...(at > 5500 && { late: 'x' }),
    }));
    const late = await examineFile(write(JSON.stringify(items)));
    expect(late.columns.map(({ column }) => column)).toEqual(['id', 'title', 'late']);
    expect(late.leftOut).toEqual({ count: 0, names: [] });
    const wide = Array.from({ length: 230 }, (_, at) => ({ id: at, title: `Ink ${at}`, [`only ${at}`]: 'x' }));
    const many = await examineFile(write(wide.map((item) => JSON.stringify(item)).join('\n')));
    expect(many.columns).toHaveLength(200);
    expect(many.columns.map(({ column }) => column)).toEqual(expect.arrayContaining(['id', 'title']));
    expect(many.leftOut).toMatchObject({ count: 32, names: expect.arrayContaining(['only 198']) });
  });
});

test('one byte that is no UTF-8 does not make a file of another encoding', () => {
  const text = Array.from({ length: 50 }, (_, at) => `${at},Böttger Gouache é,2\n`).join('');
  const bytes = Buffer.from(`id,title,price\n${text}`);
  bytes[bytes.indexOf('Gouache')] = 0xff;
  expect(detectForm(write(bytes)).encoding).toBe('utf-8');
  expect(detectForm(write(Buffer.from(`id,title,price\n${text}`, 'latin1'))).encoding).toBe('windows-1252');
});
