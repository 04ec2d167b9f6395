import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { attributeProfiler } from './profileAttributes.ts';
import { proposeReading } from './proposeReading.ts';
import { bindMapping, type Cells, readRow } from './readRow.ts';

const makers = ['Larkspur', 'Osier', 'Thistle Row', 'Coldwater Mill'];
const things = ['Round brush', 'Flat brush', 'Drawing ink', 'Sketchbook', 'Linen canvas', 'Table easel', 'Soft pastel'];
const kinds = ['fine', 'student', 'studio', 'travel', 'classic', 'wide', 'narrow', 'deep', 'pale'];
const random = seededRandom(5);
const name = (at: number): string =>
  `${pick(random, kinds)} ${pick(random, things)} No. ${at}`.replace(/^./, (a) => a.toUpperCase());
const rowsOf = (count: number, row: (at: number) => Cells): Cells[] =>
  Array.from({ length: count }, (_, at) => row(at));
const propose = (rows: readonly Cells[]) => proposeReading(rows, Object.keys(rows[0]!));
const asOf = (rows: readonly Cells[]) =>
  Object.fromEntries(propose(rows).mapping.columns.map(({ column, as }) => [column, as]));
const recordsOf = (rows: readonly Cells[]) => {
  const bound = bindMapping(propose(rows).mapping);
  return rows.flatMap((cells) => {
    const reading = readRow(cells, bound);
    return 'record' in reading ? [reading.record] : [];
  });
};

describe('the title', () => {
  const coded = (at: number) => `wu-pkg-${at}`;
  test('is the column of several words, wherever it stands', () => {
    const rows = rowsOf(60, (at) => ({ name: coded(at), title: name(at) }));
    expect(asOf(rows)).toMatchObject({ title: 'title' });
    const turned = rows.map(({ name: first, title: second }) => ({ title: second!, name: first! }));
    expect(asOf(turned)).toMatchObject({ title: 'title' });
  });
  test('is one though some of its values hold a bar', () => {
    const rows = rowsOf(80, (at) => ({
      name: coded(at),
      title: at % 3 ? name(at) : `${name(at)} | ${name(at + 500)}`,
    }));
    expect(asOf(rows)).toMatchObject({ title: 'title' });
  });
  test('of which two columns may be either is asked for', () => {
    const rows = rowsOf(60, (at) => ({ id: `${at}`, name: name(at), title: name(at + 100) }));
    expect(propose(rows).titleDoubt?.columns.toSorted()).toEqual(['name', 'title']);
    expect(propose(rows.map(({ id, title }) => ({ id: id!, title: title! }))).titleDoubt).toBeNull();
  });
});

test('a bar makes a list only where its parts come again', () => {
  const split = (rows: readonly Cells[]) => propose(rows).mapping.columns.at(-1)!.split;
  const base = (at: number) => ({ id: `${at}`, title: name(at) });
  expect(split(rowsOf(80, (at) => ({ ...base(at), uses: `${pick(random, kinds)}|${pick(random, kinds)}` })))).toBe('|');
  expect(split(rowsOf(80, (at) => ({ ...base(at), slogan: `For ${at} hands | made in ${at + 500} hours` })))).toBe('');
});

describe('roles by values', () => {
  const base = (at: number) => ({ id: `${at}`, title: name(at) });
  test.each<[string, (at: number) => string, string]>([
    ['latitude', (at) => `${50 + at / 97}`, 'attribute'],
    ['reference', (at) => `R-${at % 7}`, 'attribute'],
    ['US DVD Sales', (at) => `${at * 31_000}`, 'attribute'],
    ['Installed-Size', (at) => `${at * 17}`, 'attribute'],
    ['Bez_1', (at) => `Pinsel der Größe ${at}`, 'attribute'],
    ['VK brutto', (at) => `${at},90`, 'price'],
    ['Spalte 7', (at) => `${at},99 €`, 'price'],
    ['Herst.', (at) => makers[at % 4]!, 'brand'],
    ['WG_Pfad', (at) => `Pinsel » ${['Aquarell', 'Öl'][at % 2]}`, 'category'],
    ['Omschr', () => 'Een fijne kwast van marterhaar die lang haar punt houdt.', 'description'],
  ])('%s', (column, value, as) => {
    expect(asOf(rowsOf(120, (at) => ({ ...base(at), [column]: value(at) })))[column]).toBe(as);
  });
  test('a path is parted by whatever stands between its levels', () => {
    for (const mark of ['>', '»', '›', '::', '/', '\\']) {
      const rows = rowsOf(60, (at) => ({ ...base(at), category: `Paint ${mark} ${['Oil', 'Ink'][at % 2]}` }));
      expect(recordsOf(rows)[0]!.values.category).toEqual(['Paint', 'Paint > Oil']);
    }
  });
});

describe('variants', () => {
  const grouped = (at: number): Cells => ({
    id: `${at}`,
    title: name(at),
    model: `M${at % 9}`,
    brand: makers[at % 4]!,
  });
  test('are not made of things that share a model, which stays an attribute', () => {
    const { mapping } = propose(rowsOf(90, grouped));
    expect(mapping.families).toEqual({ by: 'none' });
    expect(mapping.columns.find(({ column }) => column === 'model')).toMatchObject({ as: 'attribute', key: 'model' });
  });
  test('are joined by a column whose rows are one product in several sizes', () => {
    const rows = rowsOf(90, (at) => ({
      ...{ id: `${at}`, title: `Round brush No. ${Math.floor(at / 3)}`, model: `M${Math.floor(at / 3)}` },
      size: `${at % 3}`,
    }));
    expect(propose(rows).mapping.families).toEqual({ by: 'column' });
  });
});

describe('a file without an id', () => {
  const rows = rowsOf(40, (at) => ({ title: `Ink ${at >> 1}`, colour: ['Red', 'Blue'][at % 2]!, price: `${at}` }));
  test('has one made of what tells its rows apart, which a changed price leaves as it is', () => {
    expect(propose(rows).mapping.identity).toEqual(['title', 'colour']);
    const before = recordsOf(rows).map(({ id }) => id);
    expect(new Set(before).size).toBe(40);
    expect(recordsOf(rows.map((cells) => ({ ...cells, price: '99' }))).map(({ id }) => id)).toEqual(before);
  });
});

test('an article number of the trade is an id where every row has its own, and is searched as it is printed', () => {
  const digit = (twelve: string) =>
    (10 - ([...twelve].reduce((sum, each, at) => sum + Number(each) * (at % 2 ? 3 : 1), 0) % 10)) % 10;
  const rows = rowsOf(40, (at) => {
    const twelve = `40063${1_000_000 + at * 37}`;
    return { title: name(at), EAN: `${twelve}${digit(twelve)}`, lieferbar: at % 3 ? 'J' : 'N' };
  });
  expect(propose(rows).mapping.identity).toEqual(['EAN']);
  const records = recordsOf(rows);
  expect(records[0]!.values).toMatchObject({ ean: '4006310000002', availability: 'Sold out' });
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  expect(profiler.finish().find(({ key }) => key === 'ean')).toMatchObject({ kind: 'code' });
});

test('columns are options where the file says that variants differ in them', () => {
  const rows = rowsOf(30, (at) => ({
    ...{ id: `${at}`, family: `g${at >> 1}`, title: name(at >> 1), variesBy: ['grip'] },
    ...{ grip: at % 2 ? 'long' : 'short', maker: 'Osier' },
  }));
  const { columns } = propose(rows);
  const as = Object.fromEntries(columns.map((each) => [each.column, each.as]));
  expect(as).toMatchObject({ grip: 'option', maker: 'brand', variesBy: 'skip' });
});

describe('the language', () => {
  const french = 'Un pinceau pour les aquarelles avec une pointe qui est dans la main';
  const english = 'A brush for watercolour with the point that is in your hand';
  test('is that of the texts shoppers read, not of a column of translations', () => {
    const rows = rowsOf(30, (at) => ({
      id: `${at}`,
      title: name(at),
      description: english,
      'Title (French)': `${french} ${french}`,
    }));
    expect(propose(rows).mapping.language).toBeUndefined();
    const turned = rowsOf(30, (at) => ({ id: `${at}`, title: name(at), description: french, note: english }));
    expect(propose(turned).mapping.language).toBe('fr');
  });
  test('is not guessed from codes that happen to be small words', () => {
    const rows = rowsOf(30, (at) => ({ id: `${at}`, title: name(at), state: at % 2 ? 'AL' : 'DE', place: 'LA' }));
    expect(propose(rows).mapping.language).toBeUndefined();
  });
  test('is not guessed from a column whose name says it is in another', () => {
    const rows = rowsOf(30, (at) => ({ id: `${at}`, title: `Ink ${at}`, note_fr: french }));
    expect(propose(rows).mapping.language).toBeUndefined();
  });
});

test('markup is taken out when it is read', () => {
  const rows = rowsOf(5, (at) => ({
    id: `${at}`,
    title: `M&uuml;hle ${at}`,
    description: '<p>Holds&nbsp;<b>water</b> for long</p>',
  }));
  expect(recordsOf(rows)[0]!.values).toMatchObject({ title: 'Mühle 0', description: 'Holds water for long' });
});
