import { describe, expect, test } from '@jest/globals';
import { readStandardRow } from '../catalog/readRow.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { VocabularyEntry } from '../setup/parts/vocabulary.ts';
import { snapshotOf } from '../testing/randomCatalog.ts';
import { bindVocabulary } from './vocabulary.ts';

const titles = ['Watercolour block', 'Aquarelle pencils', 'Oil for painters', 'The for'];
const records = titles.map((title, at) => {
  const reading = readStandardRow({ id: `r${at}`, title });
  if ('refusal' in reading) throw new Error(reading.refusal.reason);
  return reading.record;
});
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
function found(query: string, ...entries: VocabularyEntry[]) {
  const vocabulary = Object.fromEntries(entries.map((entry, at) => [`e${at}`, entry]));
  const prepared = prepareSetup(engine, { ...usual, vocabulary }, 0);
  const request = { query, filters: {}, page: 1, limit: 10, explain: true };
  return search(engine, prepared, request, (record) => records[record]!);
}
const same: VocabularyEntry = { what: 'synonyms', words: ['aquarelle', 'watercolour'], on: true };
const stop: VocabularyEntry = { what: 'stopWords', words: ['for', 'the'] };

describe('words that mean the same', () => {
  test('find what the others find, behind what has the word itself, and say so', () => {
    expect(found('aquarelle').results.map(({ title }) => title)).toEqual(['Aquarelle pencils']);
    const { results } = found('aquarelle', same);
    expect(results.map(({ title }) => title)).toEqual(['Aquarelle pencils', 'Watercolour block']);
    expect(results[1]!.why!.words[0]).toMatchObject({
      word: 'aquarelle',
      best: { how: 'synonym', term: 'watercolour' },
    });
    expect(found('watercolours', same).results.map(({ title }) => title)).toContain('Watercolour block');
  });
  test('switched off they do nothing; a set does not lead on to another', () => {
    expect(found('aquarelle', { ...same, on: false }).total).toBe(1);
    const { sayings } = bindVocabulary({
      ...usual,
      vocabulary: { a: same, b: { what: 'synonyms', words: ['watercolour', 'wash'], on: true } },
    });
    const meant = (word: string) => sayings.get(word)!.flatMap(({ meanings }) => meanings.map(({ tokens }) => tokens));
    expect(meant('aquarelle')).toEqual([['watercolour']]);
    expect(meant('watercolour')).toEqual([['aquarelle'], ['wash']]);
  });
});

describe('words that are passed over', () => {
  test('do not narrow a search that other words carry', () => {
    expect(found('watercolour for the').dropped).not.toEqual([]);
    expect(found('watercolour for the', stop)).toMatchObject({ total: 1, dropped: [] });
  });
  test('are meant where there is nothing else', () => {
    expect(found('for', stop).total).toBe(2);
    expect(found('the for', stop).results[0]!.title).toBe('The for');
  });
});

describe('synonyms of several words, and one way', () => {
  const titles = (query: string, ...entries: VocabularyEntry[]): string[] =>
    found(query, ...entries).results.map(({ title }) => title);
  const oneWay: VocabularyEntry = {
    what: 'oneWay',
    from: ['wet media'],
    to: ['watercolour', 'aquarelle pencils'],
    on: true,
  };
  test('several words are found by one, and by several that stand side by side', () => {
    expect(titles('wet media')).toEqual([]);
    expect(titles('wet media', oneWay).sort()).toEqual(['Aquarelle pencils', 'Watercolour block']);
    expect(found('wet media', oneWay).results[0]!.why!.words.map(({ best }) => best.how)).toEqual([
      'synonym',
      'synonym',
    ]);
  });
  test('one way is not the other', () => {
    expect(titles('watercolour', oneWay)).toEqual(['Watercolour block']);
    expect(titles('media wet', oneWay)).toEqual([]);
  });
});

describe('spelling by hand', () => {
  test('a fixed correction holds even for a word the catalog knows, and is reported', () => {
    const fixed: VocabularyEntry = { what: 'corrections', pairs: [{ from: 'aquarelle', to: 'watercolour' }] };
    const { results, corrections } = found('aquarelle', fixed);
    expect(results.map(({ title }) => title)).toEqual(['Watercolour block']);
    expect(corrections).toEqual([{ from: 'aquarelle', to: 'watercolour' }]);
  });
  test('a word that is never corrected finds nothing; one that is never offered is not what another is taken for', () => {
    expect(found('watercolor').corrections).toEqual([{ from: 'watercolor', to: 'watercolour' }]);
    expect(found('watercolor', { what: 'neverCorrected', words: ['watercolor'] }).total).toBe(0);
    expect(found('watercolor', { what: 'neverOffered', words: ['watercolour'] }).total).toBe(0);
  });
});
