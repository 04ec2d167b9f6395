import { describe, expect, test } from '@jest/globals';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { withEntry } from '../setup/withEntry.ts';
import type { Lexicon } from './lexicon.ts';
import { proposeAlike } from './proposeAlike.ts';
import { type AlikeOptions, findAlike, isShortForm } from './samePlaces.ts';

const papers = ['Cotton', 'Linen', 'Bamboo', 'Kozo', 'Hemp', 'Mulberry', 'Straw', 'Flax'];
/** Words that stand beside one thing only: what is beside everything tells nothing. */
const makers = Array.from('bcdfghjklmnpqrst', (letter) => `${letter}umber ${letter}ondle`);
/** One supplier shortens its words, another calls a sketchbook something else; the rest is there so that a place tells something. */
const titles = [
  ...papers.map((paper) => `${paper} watercolour block`),
  ...papers.slice(0, 5).map((paper) => `${paper} wtrclr block`),
  ...papers.map((paper) => `${paper} sketchbook spiral`),
  ...papers.slice(2).map((paper) => `${paper} drawingbook spiral`),
  ...papers.map((paper) => `${paper} red sheet`),
  ...papers.map((paper) => `${paper} blue sheet`),
  ...makers.flatMap((maker) => makers.map((other) => `${maker} easel made with ${other} varnish`)),
  ...makers.flatMap((maker) => makers.map((other) => `Board of ${maker}, frame from ${other} mill`)),
];
const meanings: Readonly<Record<string, readonly string[]>> = {
  sketchbook: ['drawingbook'],
  drawingbook: ['sketchbook'],
  easel: ['frame'],
  frame: ['easel'],
};
const lexicon: Lexicon = {
  has: (word) => word in meanings || ['red', 'blue', 'pen', 'pencil'].includes(word),
  senses: (word) => (meanings[word] ? [{ same: meanings[word], broader: [], narrower: [], isThing: true }] : []),
};
const options: AlikeOptions = { lexicon, empty: new Set(['of']), areForms: (a, b) => a === `${b}s` || b === `${a}s` };
const found = (texts: Iterable<string>, change: Partial<AlikeOptions> = {}): string[] =>
  findAlike(texts, { ...options, ...change }).map(({ words, kin }) => `${words.join(' = ')}: ${kin}`);

describe('words in the same places', () => {
  test('are short forms of one another, or said to mean the same', () =>
    expect(found(titles).sort()).toEqual(['drawingbook = sketchbook: meaning', 'wtrclr = watercolour: shortForm']));

  test('are told with what both stand beside, and how much of the rarer word’s places that is', () => {
    const [first] = findAlike(titles, options).filter(({ kin }) => kin === 'shortForm');
    expect(first!.beside).toContain('cotton …');
    expect(first!.share).toBeGreaterThan(0.9);
  });

  test('but not for standing there alone: a red and a blue sheet are two things', () =>
    expect(found(titles).join()).not.toMatch(/red|blue/));

  test('nor for meaning the same alone, where the catalog has them in places of their own', () =>
    expect(found(titles).join()).not.toMatch(/easel|frame/));

  test('words that stand side by side are told apart by whoever wrote them', () => {
    const both = papers.map((paper) => `${paper} wtrclr watercolour block`);
    expect(found([...titles.filter((title) => !title.includes('wtrclr')), ...both]).join()).not.toContain('wtrclr');
  });

  test('without a lexicon only what cannot be a word of its own is taken for a short form', () => {
    const shortened = titles.map((title) => title.replace('wtrclr', 'water'));
    expect(found(titles, { lexicon: null })).toEqual(['wtrclr = watercolour: shortForm']);
    expect(found(shortened, { lexicon: null })).toEqual([]);
  });

  test('forms of one word need nobody to say so', () => {
    const plural = [...titles, ...papers.map((paper) => `${paper} sketchbooks spiral`)];
    const withPlural: Lexicon = {
      ...lexicon,
      senses: (word) =>
        word === 'sketchbook' || word === 'sketchbooks'
          ? [{ same: ['sketchbook', 'sketchbooks'], broader: [], narrower: [], isThing: true }]
          : [],
    };
    expect(found(plural, { lexicon: withPlural }).join()).not.toContain('sketchbooks');
  });
});

test.each([
  ['intl', 'international', true],
  ['cty', 'county', true],
  ['vw', 'volkswagen', true],
  ['pen', 'pencil', true],
  ['pe', 'pencil', false],
  ['penci', 'pencil', false],
  ['bl', 'pencil', false],
  ['wsh', 'watercolour', false],
  ['wat', 'whiteboard', false],
])('%s is made from %s by leaving letters out: %s', (short, long, is) => expect(isShortForm(short, long)).toBe(is));

describe('what is proposed of them', () => {
  const alike = findAlike(titles, options);
  const usual = initialSetup([]);
  const searches = [{ search: 'wtrclr pad' }, { search: 'easel' }];
  test('is what shoppers search for, as a set of synonyms, with the places as the reason', () => {
    const proposals = proposeAlike(alike, searches, usual);
    expect(proposals).toHaveLength(1);
    expect(proposals[0]).toMatchObject({ kind: 'synonyms', title: '“wtrclr”, “watercolour” are synonyms' });
    expect(proposals[0]!.reason).toMatch(/short form of “watercolour”.*in the same places: “.+”, “.+”, “.+” and in/);
  });
  test('and no longer once it is accepted, or said by hand one way', () => {
    const accepted = proposeAlike(alike, searches, usual)[0]!.edits.reduce(withEntry, usual);
    expect(proposeAlike(alike, searches, accepted)).toEqual([]);
    const byHand: Setup = {
      ...usual,
      vocabulary: { own: { what: 'oneWay', from: ['wtrclr'], to: ['watercolour'], on: true } },
    };
    expect(proposeAlike(alike, searches, byHand)).toEqual([]);
  });
});
