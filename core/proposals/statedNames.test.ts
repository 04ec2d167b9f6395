import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import { holdsOtherNames, longFormOf, proposeStated, sentencesStating, statedNames } from './statedNames.ts';

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
    expect(
      named('Large round brush of sable for oil, size 4 (aka filbert)', 'Size 4 rigger brush (aka liner)'),
    ).toEqual([]));
});

describe('words on either side of a slash', () => {
  test('are names of one thing where several texts have them so', () =>
    expect(named('Sable rigger/liner, size 2', 'Synthetic rigger/liner', 'Round brush')).toEqual(['rigger = liner 2']));
  test('but not values that stand alone elsewhere, nor words that stand together elsewhere', () =>
    expect(
      named('Fineliner black/white', 'Marker black/white', 'Black', 'Ink/water pot', 'Ink/water dish', 'Pot for ink'),
    ).toEqual([]));
  test('nor what is written so once', () => expect(named('Sable rigger/liner, size 2')).toEqual([]));
});

describe('what keywords call products', () => {
  const titles = ['Sable rigger brush', 'Size 4 rigger brush', 'Round brush', 'Flat brush', 'Drawing ink'];
  const saidOf = (pairs: readonly (readonly [number, string])[]) =>
    statedNames(
      [],
      [
        ...titles.map((title) => ({ title, name: 'art' })),
        ...pairs.map(([at, name]) => ({ title: titles[at]!, name })),
      ],
    ).map(({ names, texts, by }) => `${names.join(' = ')} ${texts} ${by}`);
  test('is another name of what nearly all that have it are called', () =>
    expect(
      saidOf([
        [0, 'Liner'],
        [1, 'liner'],
      ]),
    ).toEqual(['rigger brush = liner 2 keyword']));
  test('but not a property of some of them, nor of a single product', () =>
    expect(
      saidOf([
        [0, 'soft'],
        [2, 'soft'],
        [4, 'black'],
      ]),
    ).toEqual([]));
  test.each([
    ['keywords', true],
    ['also_known_as', true],
    ['Suchbegriffe', true],
    ['brand', false],
    ['keyword_count_note', true],
    ['aliasing', false],
  ])('%s holds other names: %s', (key, holds) => expect(holdsOtherNames(key)).toBe(holds));
});

describe('sentences of a description that may state a name', () => {
  test('one that begins with it speaks of the title', () =>
    expect(
      named(
        ...sentencesStating('Rigger brush', 'For long lines. Also known as liner. Made of sable.'),
        ...sentencesStating('Glue', 'Made of polyvinyl acetate (PVA). It dries clear.'),
      ),
    ).toEqual(['polyvinyl acetate = pva 1', 'rigger brush = liner 1']));
  test('others are left out', () =>
    expect(sentencesStating('Brush', 'A brush for oil. It keeps its point.\nIts handle is long.')).toEqual([]));
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
