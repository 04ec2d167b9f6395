import { describe, expect, test } from '@jest/globals';
import { attributeProfiler } from './profileAttributes.ts';
import { readAmount, readDate } from './readAmount.ts';
import { longestProse, longestValue, readStandardRow } from './readRow.ts';

describe('amounts and dates as exports write them', () => {
  test.each([
    ['12', 12],
    ['£7.20', 7.2],
    ['1,200.00', 1200],
    ['7,20', 7.2],
    ['1.234,50', 1234.5],
    ['EUR 5', 5],
    ['5 GBP', 5],
    ['-3.5', -3.5],
    ['cheap', null],
    ['12 x 3', null],
    ['', null],
    ['.', null],
  ])('%s is %s', (text, amount) => expect(readAmount(text)).toBe(amount));

  test('a date is days since 1970, day first where it is written with slashes', () => {
    expect(readDate('1970-01-02')).toBe(1);
    expect(readDate('9/3/2026')).toBe(readDate('2026-03-09'));
    expect(readDate('2026-13-01')).toBeNull();
    expect(readDate('soon')).toBeNull();
  });
});

describe('a row', () => {
  const good = {
    id: ' a1 ',
    title: 'Round brush',
    price: '£4.50',
    tags: 'new| sale |new',
    category: 'Brushes > Round',
    stock: '0',
    shape: 'round|flat',
  };

  test('becomes a record: trimmed, lists split, levels of the category, availability from stock', () => {
    const reading = readStandardRow(good);
    expect(reading).toEqual({
      record: {
        id: 'a1',
        familyId: 'a1',
        sku: '',
        values: {
          title: 'Round brush',
          price: 4.5,
          tags: ['new', 'sale'],
          category: ['Brushes', 'Brushes > Round'],
          stock: 0,
          shape: ['round', 'flat'],
          availability: 'Sold out',
        },
      },
    });
  });

  test.each([
    [{ ...good, id: '' }, 'id'],
    [{ ...good, title: ' ' }, 'title'],
    [{ ...good, price: 'cheap' }, 'price'],
    [{ ...good, date_added: 'yesterday' }, 'date_added'],
    [{ ...good, brand: 'x'.repeat(longestValue + 1) }, 'brand'],
  ])('is refused with the column to look at', (cells, column) => {
    const reading = readStandardRow(cells);
    expect('refusal' in reading && reading.refusal.column).toBe(column);
  });

  test('a long description costs no row and is kept whole, up to a limit', () => {
    const long = 'word '.repeat(longestValue).trim();
    const reading = readStandardRow({ ...good, description: long });
    expect('record' in reading && reading.record.values.description).toBe(long);
    const beyond = readStandardRow({ ...good, description: 'x'.repeat(longestProse + 1) });
    expect('refusal' in beyond && beyond.refusal.column).toBe('description');
  });

  test('an empty cell only means the record lacks that attribute; no stock figure means in stock', () => {
    const reading = readStandardRow({ id: 'a', title: 'x', brand: '', stock: '' });
    expect('record' in reading && reading.record.values).toEqual({ title: 'x', availability: 'In stock' });
  });
});

test('profiles tell kind, coverage, values and samples of each attribute', () => {
  const profiler = attributeProfiler();
  for (let at = 0; at < 100; at++) {
    const reading = readStandardRow({
      id: `r${at}`,
      title: `Thing ${at}`,
      width_mm: at % 2 === 0 ? String(at) : '',
      page: `https://example.test/${at}`,
      colours: at % 4 === 0 ? 'Red|Blue' : 'Red',
    });
    if ('record' in reading) profiler.add(reading.record);
  }
  const profiles = new Map(profiler.finish().map((profile) => [profile.key, profile]));
  expect(profiles.get('width_mm')).toMatchObject({ kind: 'number', coverage: 0.5, values: 50, label: 'Width mm' });
  expect(profiles.get('page')?.kind).toBe('link');
  expect(profiles.get('colours')).toMatchObject({ kind: 'list', samples: ['Red', 'Blue'] });
  expect(profiles.get('title')?.label).toBe('Title');
});
