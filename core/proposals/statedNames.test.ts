import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import { longFormOf, proposeStated, statedNames } from './statedNames.ts';

const named = (...texts: string[]): string[] =>
  statedNames(texts).map(({ names, texts: many }) => `${names.join(' = ')} ${many}`);

describe('a short form in brackets', () => {
  test.each([
    ['PVA', 'Glue of polyvinyl acetate', 'polyvinyl acetate'],
    ['HDF', 'Panel of high density fibre', 'high density fibre'],
    ['MDF', 'Board of medium-density fibreboard', 'medium-density fibreboard'],
    ['UV', 'Lamp', null],
    ['XQ', 'Brush round', null],
  ])('%s behind %s', (short, before, expected) => expect(longFormOf(short, before)).toBe(expected));

  test('is a name of the words that it stands for, whichever stands first', () => {
    expect(
      named(
        'Polyvinyl acetate (PVA) glue 1 l',
        'White polyvinyl acetate (PVA)',
        'MDF (medium density fibreboard) panel',
      ),
    ).toEqual(['polyvinyl acetate = pva 2', 'medium density fibreboard = mdf 1']);
  });
  test('other brackets name nothing', () =>
    expect(named('Sable brush (round)', 'Paper (A4)', 'Set (12 pieces)', 'Ink (NEW)', 'Paint (PR101)')).toEqual([]));
});

describe('what is also known as something else', () => {
  test('is called what all texts end in that say so', () =>
    expect(named('Size 4 rigger brush (also known as liner)', 'Sable rigger brush, also known as liner')).toEqual([
      'rigger brush = liner 2',
    ]));
  test('in other languages', () =>
    expect(
      named(
        'Radiergummi (auch bekannt als Ratzefummel)',
        'Godet (aussi appelé demi-godet plat)',
        'Lápiz (también llamado lapicero)',
      ),
    ).toEqual(['lapiz = lapicero 1', 'radiergummi = ratzefummel 1']));
  test('of a single long text nobody can tell', () =>
    expect(named('Large round brush of sable for oil, size 4 (aka filbert)')).toEqual([]));
});

test('they are proposed as synonyms with what says so, unless they are joined already', () => {
  const stated = statedNames(['Polyvinyl acetate (PVA) glue', 'Sizing of polyvinyl acetate (PVA)']);
  const usual = initialSetup([]);
  const [proposal] = proposeStated(stated, usual);
  expect(proposal).toMatchObject({
    title: '“polyvinyl acetate”, “pva” are synonyms',
    reason: 'Your catalog says so 2 times, such as in “Polyvinyl acetate (PVA) glue”.',
    isSure: true,
  });
  const joined = { what: 'synonyms' as const, words: ['PVA', 'Polyvinyl acetate'], on: false };
  expect(proposeStated(stated, { ...usual, vocabulary: { joined } })).toEqual([]);
});
