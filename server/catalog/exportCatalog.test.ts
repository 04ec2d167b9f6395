import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../../core/base/random.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import { exportFormats } from '../../core/catalog/writeCatalog.ts';
import { neutralised, plainAgain } from '../../core/catalog/writeCsv.ts';
import { decisionKey } from '../../core/rules/decisions.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';
import { examineFile } from './examineFile.ts';
import { exportCatalog } from './exportCatalog.ts';
import { importCatalog } from './importCatalog.ts';

let shelf: TestShelf;
beforeEach(() => {
  shelf = openTestShelf();
});
afterEach(() => shelf.remove());

/** Rows with everything in them that has ever broken a file format. */
function awkwardRows(random: () => number, amount: number): string {
  const nasty = [
    'a "quoted" word',
    'one, two; three',
    '=1+1',
    '+44 1',
    '@home',
    "'quoted",
    'naïve 水',
    'tab\tin it',
    '12" frame',
    'two\nlines',
    ' - ',
    '-5',
    "'=x",
  ];
  const cell = (text: string): string => `"${text.replaceAll('"', '""')}"`;
  const rows = Array.from({ length: amount }, (_, n) =>
    [
      `id${n}`,
      `f${Math.floor(n / 2)}`,
      random() < 0.7 ? `SK-${n}` : '',
      `Thing ${pick(random, nasty)} ${n}`,
      random() < 0.5 ? pick(random, nasty) : '',
      random() < 0.6 ? 'Paint > Oil & water > Tubes' : '',
      random() < 0.6 ? `new|${pick(random, ['sale', 'a b'])}` : '',
      random() < 0.8 ? (random() * 50).toFixed(2) : '',
      random() < 0.8 ? String(Math.floor(random() * 3)) : '',
      random() < 0.5 ? '2026-03-09' : '',
      random() < 0.1 ? 'yes' : '',
      random() < 0.2 ? 'id0|id1' : '',
      random() < 0.5 ? pick(random, ['Red', 'Blue|Green']) : '',
    ]
      .map(cell)
      .join(','),
  );
  return `id,family,sku,title,description,category,tags,price,stock,date_added,hidden,parts,colour\n${rows.join('\n')}\n`;
}

const recordsIn = (): CatalogRecord[] => {
  const reader = shelf.catalogs.current()!;
  return Array.from({ length: reader.snapshot.records }, (_, at) => reader.record(at));
};
const fileIn = (format: (typeof exportFormats)[number]): string =>
  [...exportCatalog(shelf.current().view(shelf.setups.draft()), format, 'GBP')].join('');

describe('what goes out comes in unchanged', () => {
  test.each(exportFormats.flatMap((format) => [1, 2, 3, 4].map((seed) => [format, seed] as const)))(
    'as %s, seed %i',
    async (format, seed) => {
      await shelf.bringIn(awkwardRows(seededRandom(seed), 40));
      const before = recordsIn();
      const file = join(shelf.root, 'out');
      writeFileSync(file, fileIn(format));
      const { form, mapping } = await examineFile(file);
      const imported = await importCatalog(
        {
          folder: shelf.folder,
          generation: await shelf.writer.reserveGeneration('main'),
          base: shelf.catalogs.generation(),
          mode: 'replace',
          rows: { kind: 'file', path: file, name: 'out', form, mapping },
        },
        () => {},
      );
      await shelf.writer.putInForce('main', imported, 'out', 1);
      expect(recordsIn()).toEqual(before);
      expect(imported.differences).toMatchObject({ added: 0, changed: 0, gone: 0, unchanged: 40 });
    },
  );
});

test('the draft’s edits and a feed’s facts are in the file', async () => {
  await shelf.bringIn('id,title,price\n1,Ink,2\n');
  const decision = { act: 'set', product: '1', variant: null, attribute: 'title', value: 'Teal ink' } as const;
  shelf.setups.edit(
    [{ part: 'products', key: decisionKey(decision), value: decision }],
    shelf.setups.revision(),
    'Ada',
    1,
  );
  expect(fileIn('jsonl')).toBe('{"id":"1","family":"1","price":2,"title":"Teal ink"}\n');
  expect(JSON.parse(fileIn('jsonld'))).toMatchObject({
    '@graph': [{ '@type': 'Product', productID: '1', name: 'Teal ink', offers: { price: 2, priceCurrency: 'GBP' } }],
  });
});

describe('no spreadsheet runs what a catalog says', () => {
  test.each(['=1+1', '+cmd', '-2+3', '@SUM(A1)', '\t=1', '=HYPERLINK("x")'])('%s', async (text) => {
    expect(neutralised(text)).toBe(`'${text}`);
    expect(plainAgain(neutralised(text))).toBe(text);
  });
  test.each(['-5', '-1.5', 'plain', "'quoted", ''])('“%s” is left alone', (text) =>
    expect(neutralised(text)).toBe(text),
  );
});
