import { describe, expect, test } from '@jest/globals';
import { openColourWords } from '../colour/colourWords.ts';
import { alikeValues, likenessOf, proposeGroups } from './proposeGroups.ts';

const counted = (...values: string[]) => values.map((value, at) => ({ value, products: 100 - at }));

describe('values that nobody could tell apart', () => {
  test.each([
    ['Gum arabic', 'gum-arabic'],
    ['Brush', 'brushes'],
    ['sketch book', 'Sketchbook'],
    ['300gsm', '300 g/m²'],
    ['0.5 mm', '.05cm'],
    ['MOSS & VANE', 'Moss & Vane'],
    ['Kolinsky-sable', 'kolinsky sable'],
  ])('%s and %s', (a, b) => expect(likenessOf(a, 'en')).toBe(likenessOf(b, 'en')));
  test.each([
    ['A3', 'A4'],
    ['10/0', '10'],
    ['Size 1', 'Size 10'],
    ['300 gsm', '300 g'],
    ['Red', 'Reed'],
  ])('but not %s and %s', (a, b) => expect(likenessOf(a, 'en')).not.toBe(likenessOf(b, 'en')));
  test('come in sets, the commonest spelling first', () =>
    expect(alikeValues(counted('Rubber', 'steel', 'rubber', 'Steel', 'lino'), 'en')).toEqual([
      ['Rubber', 'rubber'],
      ['steel', 'Steel'],
    ]));
});

describe('groups that are proposed', () => {
  const list = ['Red', 'Blue'].flatMap((word, side) =>
    Array.from({ length: 30 }, (_, at) => ({
      name: `Shade ${at} ${word}`,
      hex: `#${(side === 0 ? [200 - at, 40, 30] : [30, 40, 200 - at]).map((part) => part.toString(16).padStart(2, '0')).join('')}`,
    })),
  );
  const colours = openColourWords(
    [...list, { name: 'Brick', hex: '#b8281e' }, { name: 'Cobalt', hex: '#1e28b8' }],
    ['red', 'blue'],
  );
  test('join shades by what they look like, named and coloured', () => {
    const groups = proposeGroups(counted('RED', 'Brick', 'Cobalt', 'Blue', 'plaid'), 'en', colours);
    expect(groups.map(({ label, values, why }) => ({ label, values, why }))).toEqual([
      { label: 'Red', values: ['RED', 'Brick'], why: 'colour' },
      { label: 'Blue', values: ['Cobalt', 'Blue'], why: 'colour' },
    ]);
    for (const { colour } of groups) expect(colour).toMatch(/^#[0-9a-f]{6}$/);
  });
  test('else join spellings and equal amounts, and nothing where nothing is alike', () => {
    expect(proposeGroups(counted('300 gsm', '300gsm', 'Lino', 'lino', 'oak'), 'en', colours)).toEqual([
      { label: '300 gsm', values: ['300 gsm', '300gsm'], why: 'amount' },
      { label: 'Lino', values: ['Lino', 'lino'], why: 'spelling' },
    ]);
    expect(proposeGroups(counted('oak', 'ash'), 'en', null)).toEqual([]);
  });
});
