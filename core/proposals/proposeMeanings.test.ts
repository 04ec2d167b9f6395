import { describe, expect, test } from '@jest/globals';
import { openColourWords } from '../colour/colourWords.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { openLexicon } from './lexicon.ts';
import { type MeaningEvidence, proposeMeanings } from './proposeMeanings.ts';

const bytes = (text: string): Uint8Array => Uint8Array.from(text, (letter) => letter.charCodeAt(0));

/** A database of few words in the published format: a data line for each synset, an index line for each lemma. */
function smallLexicon(synsets: readonly { file: string; words: string; broader?: number }[]) {
  const head = '  1 a line of licence\n';
  const offsets: number[] = [];
  let data = head;
  // Lines are of one length whatever the pointers say, so that offsets can be written before they are known.
  const line = (at: number, pointers: string): string => {
    const words = synsets[at]!.words.split(' ');
    const count = words.length.toString(16).padStart(2, '0');
    return `${'0'.repeat(8)} ${synsets[at]!.file} n ${count} ${words.map((word) => `${word} 0`).join(' ')} ${pointers} | gloss\n`;
  };
  const pointersOf = (at: number, offsetOf: (other: number) => string): string => {
    const own = synsets[at]!.broader;
    const list = [
      ...(own === undefined ? [] : [`@ ${offsetOf(own)} n 0000`]),
      ...synsets.flatMap(({ broader }, other) => (broader === at ? [`~ ${offsetOf(other)} n 0000`] : [])),
    ];
    return [String(list.length).padStart(3, '0'), ...list].join(' ');
  };
  for (let at = 0; at < synsets.length; at++) {
    offsets.push(data.length);
    data += line(
      at,
      pointersOf(at, () => '0'.repeat(8)),
    );
  }
  data = head;
  for (let at = 0; at < synsets.length; at++)
    data += line(
      at,
      pointersOf(at, (other) => String(offsets[other]).padStart(8, '0')),
    );
  const lemmas = new Map<string, number[]>();
  for (const [at, { words }] of synsets.entries())
    for (const word of words.split(' ')) {
      const lemma = word.toLowerCase();
      lemmas.set(lemma, [...(lemmas.get(lemma) ?? []), offsets[at]!]);
    }
  const index = [...lemmas]
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .map(
      ([lemma, at]) =>
        `${lemma} n ${at.length} 1 @ ${at.length} 0 ${at.map((offset) => String(offset).padStart(8, '0')).join(' ')}  \n`,
    );
  return openLexicon({ index: bytes(head + index.join('')), data: bytes(data) });
}

const lexicon = smallLexicon([
  { file: '06', words: 'pen' },
  { file: '06', words: 'ballpoint ballpoint_pen Biro', broader: 0 },
  { file: '06', words: 'book' },
  { file: '06', words: 'sketchbook sketch_block', broader: 2 },
  { file: '06', words: 'wheel' },
  { file: '06', words: 'roller', broader: 4 },
  { file: '09', words: 'left' },
  { file: '04', words: 'painting' },
  { file: '06', words: 'medium' },
  { file: '06', words: 'chalk', broader: 8 },
  { file: '06', words: 'charcoal', broader: 8 },
]);

describe('a lexical database', () => {
  test('says what else a thing is called, what it is a kind of, and its kinds', () => {
    expect(lexicon.senses('biro')).toEqual([
      { same: ['ballpoint', 'ballpoint pen'], broader: ['pen'], narrower: [], isThing: true },
    ]);
    expect(lexicon.senses('book')[0]!.narrower).toEqual(['sketchbook', 'sketch block']);
  });
  test('knows plurals and words of several parts, and no other', () => {
    expect(lexicon.senses('Ballpoint pens')[0]!.same).toEqual(['ballpoint', 'biro']);
    expect(['pens', 'left', 'sketch block', 'aquarelle', '', 'zz', 'a'].map((word) => lexicon.has(word))).toEqual([
      true,
      true,
      true,
      false,
      false,
      false,
      false,
    ]);
  });
});

describe('what meanings and colours propose', () => {
  const catalog = new Set(['pen', 'pens', 'sketchbook', 'roller', 'chalk', 'charcoal', 'acrylic', 'lift', 'red']);
  const reds = Array.from({ length: 40 }, (_, at) => ({
    name: `No ${at} red`,
    hex: `#a0${(0x20 + at).toString(16)}23`,
  }));
  const colours = openColourWords(
    [...reds, { name: 'Brick', hex: '#a03623' }, { name: 'Crimson', hex: '#a02a23' }],
    ['red'],
  );
  const search = (text: string, searches = 9, clicked = 0) => ({ search: text, searches, clicked });
  const evidence: MeaningEvidence = {
    lexicon,
    colours,
    searches: [],
    isKnown: (word) => catalog.has(word),
    says: (text) => catalog.has(text),
    isProduct: (word) => catalog.has(word),
    correctedTo: (word) => (word === 'left' ? 'lift' : null),
    explained: new Set(['explained']),
    plainColours: ['red'],
    shades: [],
  };
  const usual = initialSetup([]);
  const titles = (change: Partial<MeaningEvidence>, setup: Setup = usual): string[] =>
    proposeMeanings({ ...evidence, ...change }, setup).map(({ title }) => title);

  test.each([
    ['biro', ['“biro” finds “pen”']],
    ['book for drawing', ['“book” finds “sketchbook”']],
    ['medium', ['“medium” finds “chalk”, “charcoal”']],
    ['pottery wheel', []],
    ['painting', []],
    ['explained', []],
    ['pen', []],
    ['brick acrylic', ['“brick” finds “red”']],
    ['acrylic brick', []],
    ['brick', []],
  ])('for “%s”', (text, expected) => expect(titles({ searches: [search(text)] })).toEqual(expected));

  test('each with its evidence, and edits that can be undone', () => {
    const [proposal] = proposeMeanings({ ...evidence, searches: [search('brick acrylic')] }, usual);
    expect(proposal!.reason).toContain('#a03623');
    expect(proposal!.edits).toEqual([
      { part: 'vocabulary', key: 'way-brick', value: { what: 'oneWay', from: ['brick'], to: ['red'], on: true } },
    ]);
  });
  test('a word that says how something is names no colour, though a colour is called so', () => {
    const colours = { ...evidence.colours!, hexOf: () => '#a03623' };
    const has = (word: string): boolean => word === 'powdered' || lexicon.has(word);
    const only = { searches: [search('powdered acrylic')], colours, lexicon: { ...lexicon, has } };
    expect(titles(only)).toEqual([]);
    expect(titles({ ...only, lexicon })).toEqual(['“powdered” finds “red”']);
  });
  test('one thing by two names is sure; kinds and colours are worth a look', () => {
    const sureOf = (text: string, change: Partial<MeaningEvidence> = {}) =>
      proposeMeanings({ ...evidence, searches: [search(text)], ...change }, usual).map(({ isSure }) => isSure);
    const says = (text: string): boolean => text === 'ballpoint';
    expect(sureOf('biro', { says, isProduct: says })).toEqual([true]);
    expect(sureOf('biro')).toEqual([false]);
    expect(sureOf('brick acrylic')).toEqual([false]);
  });
  test('a plain colour finds the shades that look like it', () =>
    expect(titles({ shades: ['brick', 'crimson', 'heron', 'red earth'] })).toEqual(['“red” finds “brick”, “crimson”']));
  test('a word of the language is left alone where its searches never led anywhere', () => {
    expect(titles({ searches: [search('left handed', 9)] })).toEqual(['Never correct “left”']);
    expect(titles({ searches: [search('left handed', 4)] })).toEqual([]);
    expect(titles({ searches: [search('left handed', 9, 1)] })).toEqual([]);
    expect(titles({ searches: [search('left handed', 9)], correctedTo: () => 'leftover' })).toEqual([]);
  });
  test('nothing that the vocabulary says already, and nothing without a database', () => {
    const said: Setup = {
      ...usual,
      vocabulary: { a: { what: 'oneWay', from: ['biro'], to: ['pen'], on: false } },
    };
    expect(titles({ searches: [search('biro')] }, said)).toEqual([]);
    expect(titles({ searches: [search('biro'), search('brick acrylic')], lexicon: null, colours: null })).toEqual([]);
  });
});
