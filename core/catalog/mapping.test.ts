import { describe, expect, test } from '@jest/globals';
import { columnDescriber } from './describeColumns.ts';
import { skuStem } from './families.ts';
import {
  checkMapping,
  shapeOf,
  standardMapping,
  usualReading,
  withJoining,
  withPattern,
  withReading,
  withTitle,
} from './mapping.ts';
import { mappingSchema } from './mappingSchema.ts';
import { proposeJoining } from './proposeJoining.ts';
import { mappingOf, proposeMapping } from './proposeMapping.ts';
import { bindMapping, type Cells, readRow } from './readRow.ts';

const propose = (rows: readonly Cells[]) => {
  const describer = columnDescriber();
  for (const row of rows) describer.add(row);
  return proposeMapping(describer.finish(Object.keys(rows[0]!)));
};
const asOf = (rows: readonly Cells[]) => Object.fromEntries(propose(rows).map(({ column, as }) => [column, as]));
const repeat = (amount: number, row: (n: number) => Record<string, string>) =>
  Array.from({ length: amount }, (_, n) => row(n));

describe('columns are guessed', () => {
  test.each([
    ['|', (n: number) => `https://img.example/${n}.jpg|https://img.example/${n}b.jpg`],
    [',', (n: number) => (n % 3 ? `/p/${n}.jpg, /p/${n}b.jpg` : `/p/${n}.jpg`)],
    [' ', (n: number) => `//img.example/${n}.jpg //img.example/${n}b.jpg`],
    // A comma within one address parts nothing.
    ['', (n: number) => `https://img.example/w_200,h_300/${n}.jpg`],
  ])('several pictures in a cell, by “%s”', (separator, picture) => {
    const rows = repeat(20, (n) => ({ id: `a${n}`, title: `Brush ${n}`, Image: picture(n) }));
    expect(propose(rows).find(({ column }) => column === 'Image')).toMatchObject({ as: 'picture', split: separator });
  });

  test('in German', () => {
    const rows = repeat(40, (n) => ({
      Artikelnummer: `FM-10${n}`,
      Bezeichnung: `Rundpinsel Größe ${n % 9}`,
      Langtext: 'Ein feiner Pinsel aus Rotmarderhaar, der lange die Spitze hält und viel Wasser trägt.',
      Hersteller: ['Amsel', 'Drossel'][n % 2]!,
      Warengruppe: 'Pinsel > Aquarell',
      'VK Preis EUR': `${n},90`,
      UVP: `${n + 2},90`,
      Lagerbestand: String(n % 5),
      Bildlink: `https://bild.example/${n}.jpg`,
      'Angelegt am': `${(n % 28) + 1}.03.2026`,
      Stammartikel: `FM-${Math.floor(n / 4)}`,
      Farbe: ['rot', 'blau'][n % 2]!,
      'Gewicht (g)': String(n * 10),
    }));
    expect(asOf(rows)).toEqual({
      Artikelnummer: 'sku',
      Bezeichnung: 'title',
      Langtext: 'description',
      Hersteller: 'brand',
      Warengruppe: 'category',
      'VK Preis EUR': 'price',
      UVP: 'former_price',
      Lagerbestand: 'stock',
      Bildlink: 'picture',
      'Angelegt am': 'date_added',
      Stammartikel: 'family',
      Farbe: 'option',
      'Gewicht (g)': 'attribute',
    });
    expect(propose(rows).at(-1)).toMatchObject({ pattern: '{value} g' });
  });

  test('from the values where the names say nothing', () => {
    const rows = repeat(60, (n) => ({
      c1: `X${1000 + n}`,
      c2: `${['Soft', 'Hard', 'Round'][n % 3]} brush number ${n}`,
      c3: 'Tools > Brushes',
      c4: `https://shop.example/img/${n}.png`,
      c5: 'A brush for those who paint outside, with a short handle that fits a travel box and hair that keeps its point.',
      c6: '',
    }));
    expect(asOf(rows)).toEqual({
      c1: 'sku',
      c2: 'title',
      c3: 'category',
      c4: 'picture',
      c5: 'description',
      c6: 'skip',
    });
  });

  test('a count before words for what is in stock, which then say nothing more', () => {
    const rows = repeat(40, (n) => ({
      id: `p${n}`,
      title: `Round brush ${n}`,
      availability: ['In stock', 'Sold out'][n % 2]!,
      stock: String(n % 7),
    }));
    expect(asOf(rows)).toMatchObject({ stock: 'stock', availability: 'skip' });
    expect(propose(rows)[2]!.reason).toBe('“stock” counts what is in stock');
    const uncounted = rows.map(({ stock: _, ...row }) => row as Record<string, string>);
    expect(asOf(uncounted)).toMatchObject({ availability: 'stock' });
  });
  test('a name whose values cannot be that is not believed', () => {
    const rows = repeat(30, (n) => ({ id: `a${n}`, title: `Brush ${n}`, price: 'on request', image: 'yes' }));
    expect(asOf(rows)).toMatchObject({ price: 'attribute', image: 'attribute' });
  });

  test('each role once, attributes with names of their own, and the proposal can be used as it is', () => {
    const rows = repeat(30, (n) => ({
      sku: `S${n}`,
      'Product Code': `P${n}`,
      name: `Brush ${n}`,
      title: `The brush ${n}`,
      'my price': '3',
      price: '4',
    }));
    const readings = propose(rows);
    const once = readings.map(({ as }) => as).filter((as) => as !== 'attribute');
    expect(new Set(once).size).toBe(once.length);
    const mapping = mappingOf(readings, { by: 'none' });
    expect(checkMapping(mapping)).toEqual([]);
    expect(mappingSchema.parse(JSON.parse(JSON.stringify(mapping)))).toEqual(mapping);
  });

  test('separators of lists and paths', () => {
    const rows = repeat(30, (n) => ({
      id: `i${n}`,
      title: `Ink ${n}`,
      keywords: 'blue; new; bottle',
      category: 'Inks/Drawing inks',
    }));
    const readings = Object.fromEntries(propose(rows).map((reading) => [reading.column, reading.split]));
    expect(readings).toMatchObject({ keywords: ';', category: '/' });
  });
});

describe('numbers get their meaning', () => {
  test.each([
    ['{value} gsm', '300', '300 gsm'],
    ['{value} gsm', '300gsm', '300 gsm'],
    ['{value} gsm', '300 g/m²', '300 gsm'],
    ['{value} gsm', '300 ml', '300 ml'],
    ['{value} gsm', 'rough', 'rough'],
    ['size {value}', '10', 'size 10'],
    ['size {value}', '10/0', '10/0'],
    ['{value} mm', '0.5', '0.5 mm'],
    ['', '60', '60'],
  ])('%s: %s is %s', (pattern, text, is) => expect(withPattern(pattern, text)).toBe(is));

  test('a column that says its unit now and then is proposed to say it always', () => {
    const rows = repeat(40, (n) => ({
      id: `i${n}`,
      title: `Paper ${n}`,
      paper_weight: n % 2 ? '300' : n % 4 ? '300 gsm' : '160gsm',
    }));
    const reading = propose(rows).at(-1)!;
    expect(reading).toMatchObject({ as: 'attribute', pattern: '{value} gsm' });
    expect(reading.reason).toContain('bare numbers');
  });
});

describe('a column as a whole tells how its values are written', () => {
  const rows = repeat(40, (n) => ({
    id: `i${n}`,
    title: `Pinsel Nummer ${n}`,
    'VK brutto': n % 3 ? `${n},90` : `1.${200 + n}`,
    Lagerbestand: n % 3 ? String(n) : `2.${100 + n}`,
    Gewicht: n % 2 ? `0,${125 + n}` : `1.${250 + n},5`,
    Waschbar: ['J', 'N'][n % 2]!,
    Neu: ['1', '0'][n % 2]!,
    Anzahl: ['1', '0'][n % 2]!,
    Vorrat: n % 2 ? 'x' : '',
  }));
  const readings = propose(rows);
  test.each([
    ['VK brutto', 'price', 'decimal-comma'],
    ['Lagerbestand', 'stock', 'decimal-comma'],
    ['Gewicht', 'attribute', 'decimal-comma'],
    ['Waschbar', 'attribute', 'yes-no'],
    ['Neu', 'attribute', 'yes-no'],
    ['Anzahl', 'attribute', undefined],
    ['Vorrat', 'attribute', 'yes-no'],
  ])('%s is %s, written as %s', (column, as, writing) => {
    const reading = readings.find((each) => each.column === column)!;
    expect([reading.as, reading.writing]).toEqual([as, writing]);
  });
  test('rows are read by it, in the language of the catalog', () => {
    const bound = bindMapping({ ...mappingOf(readings, { by: 'none' }), language: 'de' });
    expect(readRow(rows[0]!, bound)).toMatchObject({
      record: { values: { price: 1200, stock: 2100, gewicht: '1.250,5', waschbar: 'Ja', neu: 'Ja', anzahl: '1' } },
    });
    expect(readRow(rows[3]!, bound)).toMatchObject({
      record: { values: { price: 1203, gewicht: '0.128', waschbar: 'Nein', neu: 'Nein', vorrat: 'Ja' } },
    });
  });
  test('three decimals with a point are not taken for thousands where nothing says so', () => {
    const weights = repeat(40, (n) => ({ id: `i${n}`, title: `Brush number ${n}`, weight: `1.${100 + n}` }));
    expect(propose(weights)[2]).not.toHaveProperty('writing');
  });
});

describe('a column is told by the one beside it', () => {
  test('a currency beside numbers makes them prices', () => {
    const rows = repeat(30, (n) => ({ id: `i${n}`, title: `Round brush ${n}`, Feld_7: `${n + 2}.5`, Währung: 'EUR' }));
    expect(asOf(rows)).toMatchObject({ Feld_7: 'price' });
  });
  test('a unit beside numbers is theirs, row by row', () => {
    const rows = repeat(30, (n) => ({
      id: `i${n}`,
      title: `Drawing ink ${n}`,
      Inhalt: String(n + 10),
      Einheit: ['ml', 'l', 'ml'][n % 3]!,
    }));
    const readings = propose(rows);
    expect(readings.slice(2)).toMatchObject([
      { as: 'attribute', pattern: '{value} {Einheit}' },
      { as: 'skip', reason: 'it holds the unit of “Inhalt”' },
    ]);
    const bound = bindMapping(mappingOf(readings, { by: 'none' }));
    expect(readRow(rows[1]!, bound)).toMatchObject({ record: { values: { inhalt: '11 l' } } });
    expect(readRow({ ...rows[1]!, Einheit: '' }, bound)).toMatchObject({ record: { values: { inhalt: '11' } } });
  });
});

describe('a mapping is checked', () => {
  const mapping = standardMapping(['id', 'title', 'colour']);
  test('title and id or SKU must be there', () => {
    expect(checkMapping(standardMapping(['colour'])).map(({ message }) => message)).toHaveLength(2);
    expect(checkMapping(standardMapping(['sku', 'title']))).toEqual([]);
  });
  test('a role twice, a name twice, a name that is taken', () => {
    const columns = [
      ...mapping.columns,
      { ...mapping.columns[1]!, column: 'name' },
      { ...mapping.columns[2]!, column: 'Colour' },
    ];
    expect(checkMapping({ ...mapping, columns }).map(({ column }) => column)).toEqual(['name', 'Colour']);
    expect(
      checkMapping({
        ...mapping,
        columns: [...mapping.columns, { ...mapping.columns[2]!, column: 'x', key: 'price' }],
      }),
    ).toMatchObject([{ column: 'x' }]);
  });
  test('a column said to name the product is joined by from then on, and no longer when it is something else', () => {
    const none = { ...mapping, families: { by: 'none' } as const };
    const named = withReading(none, usualReading('colour', 'family'));
    expect(named.families).toEqual({ by: 'column' });
    expect(withReading(named, usualReading('colour', 'brand')).families).toEqual({ by: 'none' });
    expect(withReading(none, usualReading('colour', 'brand')).families).toEqual({ by: 'none' });
  });
  test('a way of joining makes a column name the product, or frees the one that did', () => {
    const [, , colour] = withJoining(mapping, { by: 'column' }, 'colour').columns;
    expect(colour).toMatchObject({ as: 'family' });
    const freed = withJoining(standardMapping(['id', 'title', 'family']), { by: 'none' }, null);
    expect(freed.columns[2]).toMatchObject({ as: 'attribute', key: 'family_2' });
    expect(checkMapping(freed)).toEqual([]);
  });
  test('another title sets the first one free', () => {
    const other = withTitle(mapping, 'colour');
    expect(other.columns.map(({ as, key }) => [as, key])).toEqual([
      ['id', 'id'],
      ['attribute', 'title_2'],
      ['title', 'title'],
    ]);
  });
  test('columns that tell rows apart do for an id, as long as they are there', () => {
    const nameless = standardMapping(['title', 'colour']);
    expect(checkMapping({ ...nameless, identity: ['title'] })).toEqual([]);
    expect(checkMapping({ ...nameless, identity: ['gone'] })).toHaveLength(1);
  });
  test('files of the same columns are of one shape, in whatever order and spelling', () => {
    expect(shapeOf(['B', 'a'])).toBe(shapeOf(['A', 'b']));
    expect(shapeOf(['a'])).not.toBe(shapeOf(['a', 'b']));
  });
});

describe('rows read by a mapping', () => {
  const read = (columns: Partial<Record<string, string>>, cells: Cells, families: 'none' | 'title' = 'none') => {
    const mapping = {
      ...standardMapping(Object.keys(cells)),
      families: { by: families } as const,
    };
    const bound = bindMapping({
      ...mapping,
      columns: mapping.columns.map((reading) => ({
        ...reading,
        ...(columns[reading.column] ? { as: columns[reading.column] as never, key: columns[reading.column]! } : {}),
      })),
    });
    const reading = readRow(cells, bound);
    if ('refusal' in reading) throw new Error(reading.refusal.reason);
    return reading.record;
  };
  test('several columns make one path; several tag columns one list', () => {
    const { values } = read(
      { l1: 'category', l2: 'category', t2: 'tags' },
      { id: '1', title: 'Ink', l1: 'Inks', l2: 'Drawing', tags: 'a|b', t2: 'b|c' },
    );
    expect(values.category).toEqual(['Inks', 'Inks > Drawing']);
    expect(values.tags).toEqual(['a', 'b', 'c']);
  });
  test.each([
    ['In stock', 'In stock'],
    ['https://schema.org/OutOfStock', 'Sold out'],
    ['ausverkauft', 'Sold out'],
    ['yes', 'In stock'],
    ['0', 'Sold out'],
    ['n/a', 'In stock'],
  ])('stock “%s” is %s', (stock, availability) =>
    expect(read({}, { id: '1', title: 'Ink', stock }).values.availability).toBe(availability),
  );
  test('a SKU serves as the id where there is none', () =>
    expect(read({}, { sku: 'A-1', title: 'Ink' }).id).toBe('A-1'));
  test('signs for “no figure” are no reason to refuse a row', () =>
    expect(read({}, { id: '1', title: 'Ink', rating: 'N/A', price: '-' }).values).not.toHaveProperty('rating'));
  test('equal rows are written alike, in whatever order their columns come', () => {
    const a = read({}, { id: '1', title: 'Ink', colour: 'Red', price: '2' });
    const b = read({}, { price: '2', colour: 'Red', title: 'Ink', id: '1' });
    expect(JSON.stringify(a)).toBe(JSON.stringify(b));
  });
});

describe('variants are joined', () => {
  test('part numbers lose what tells variants apart', () => {
    expect(skuStem('WU-17A', 'letters')).toBe('WU-17');
    expect(skuStem('WU-17-RED', 'group')).toBe('WU-17');
    expect(skuStem('BRUSH', 'letters')).toBe('BRUSH');
  });
  const joinable = (rows: readonly (readonly [string, string, string])[]) =>
    rows.map(([sku, title, colour]) => ({ id: sku, sku, named: '', values: { title, colour } }));
  test('by part number where the products that makes are plausible', () => {
    const rows = joinable([
      ['P1-A', 'Round brush', 'Red'],
      ['P1-B', 'Round brush', 'Blue'],
      ['P2-A', 'Flat brush', 'Red'],
      ['P2-B', 'Flat brush', 'Blue'],
    ]);
    const [best] = proposeJoining(rows, ['colour']);
    expect(best).toMatchObject({ joining: { by: 'sku', cut: 'group' }, families: 2, alike: 1 });
    expect(best!.examples[0]!.titles).toEqual(['Round brush · Red', 'Round brush · Blue']);
  });
  test('by title and options where the part numbers say nothing', () => {
    const rows = joinable([
      ['K9', 'Round brush red', 'Red'],
      ['T4', 'Round brush blue', 'Blue'],
      ['Z7', 'Ink bottle', ''],
    ]);
    expect(proposeJoining(rows, ['colour'])[0]!.joining).toEqual({ by: 'title' });
  });
  test('not at all where nothing is alike', () => {
    const rows = joinable([
      ['A-1', 'Round brush', ''],
      ['A-2', 'Ink bottle', ''],
      ['A-3', 'Easel', ''],
    ]);
    expect(proposeJoining(rows, [])[0]!.joining).toEqual({ by: 'none' });
  });
});
