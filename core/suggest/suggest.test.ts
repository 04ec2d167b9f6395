import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { decidedContent } from '../content/decidedContent.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { openSnapshot } from '../index/snapshot.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import type { Setup } from '../setup/schema.ts';
import { fixedCorrectionsKey } from '../setup/terms/vocabularyKeys.ts';
import { obviousCompletions } from '../testing/obviousCompletions.ts';
import { obviousSearch } from '../testing/obviousSearch.ts';
import { randomCatalog, randomQuery, randomSetup } from '../testing/randomCatalog.ts';
import { stem } from '../text/wordForms.ts';
import { asCorrected } from './asCorrected.ts';
import { catalogPhrases } from './catalogPhrases.ts';
import { buildCompletions, openCompletions } from './completions.ts';
import { mostTried } from './fillBlock.ts';
import type { Phrase } from './phrase.ts';
import { suggest } from './suggest.ts';

function shopOf(records: readonly CatalogRecord[]) {
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish());
  for (const record of records) builder.add(record);
  const snapshot = openSnapshot(builder.finish())!;
  return { snapshot, engine: openEngine(snapshot), readRecord: (record: number) => records[record]! };
}
const phrasesOf = (records: readonly CatalogRecord[]): Phrase[] =>
  catalogPhrases({ titles: records.map(({ values }) => String(values.title)), values: [] }, new Set());

describe('what hangs under the box', () => {
  const random = seededRandom(5);
  const records = randomCatalog(random, 60);
  const { snapshot, engine, readRecord } = shopOf(records);
  const usual = randomSetup(seededRandom(9), snapshot, ['brush']);
  const setup: Setup = { ...usual, plans: {}, vocabulary: {}, houseRules: {}, hiding: {} };
  const completions = openCompletions(buildCompletions(phrasesOf(records), stem))!;
  const ask = (typed: string, box: Partial<Setup['searchBox']> = {}) => {
    const prepared = prepareSetup(engine, { ...setup, searchBox: { ...setup.searchBox, ...box } }, 0);
    return suggest(engine, prepared, { typed }, { completions, content: null, readRecord });
  };
  const kinds = (typed: string, box: Partial<Setup['searchBox']> = {}): string[] =>
    ask(typed, box).blocks.map(({ kind }) => kind);

  test('has its blocks in their order, without those that are off and those that would be empty', () => {
    expect(kinds('br')).toEqual(expect.arrayContaining(['suggestions', 'products']));
    const turned = [...setup.searchBox.typing.blocks].reverse();
    const expected = kinds('br').reverse();
    expect(kinds('br', { typing: { blocks: turned } })).toEqual(expected);
    const off = setup.searchBox.typing.blocks.map((block) => ({ ...block, on: block.kind !== 'suggestions' }));
    expect(kinds('br', { typing: { blocks: off } })).not.toContain('suggestions');
  });
  test('has at most so many lines of each, under a heading of one’s own in the shopper’s language', () => {
    const blocks = setup.searchBox.typing.blocks.map((block) => ({
      ...{ ...block, most: 2, title: { en: 'Try these', de: 'Vorschläge' } },
    }));
    const prepared = prepareSetup(engine, { ...setup, searchBox: { ...setup.searchBox, typing: { blocks } } }, 0);
    const sources = { completions, content: null, readRecord };
    const answer = suggest(engine, prepared, { typed: 'br', language: 'de' }, sources);
    expect(answer.blocks.length).toBeGreaterThan(1);
    for (const block of answer.blocks) {
      if ('items' in block) expect(block.items.length).toBeLessThanOrEqual(2);
      expect(block.title).toBe('Vorschläge');
    }
  });
  test('before typing has what the browser knows and what is searched for most', () => {
    expect(ask('  ').moment).toBe('before');
    expect(kinds('')).toEqual(['recent', 'popular']);
  });
  test('where nothing is found nor goes on has the message with what was typed, as text', () => {
    const { moment, blocks, total } = ask('<b>qqqqqq');
    expect({ moment, total }).toEqual({ moment: 'nothing', total: 0 });
    expect(blocks[0]).toMatchObject({ kind: 'message', text: 'Nothing on our shelves matches “<b>qqqqqq”.' });
  });
  test('where nothing is found has what stands on the empty shelf, or on the special page for it', () => {
    const page = { name: 'Q', on: true, words: ['qqqqqq'], looks: [], searches: [], products: [snapshot.familyId(3)] };
    const special = { ...setup, specialShelves: { q: { ...page, message: 'No {search}.', tips: ['Ask us'] } } };
    const sources = { completions, content: null, readRecord };
    const { blocks } = suggest(engine, prepareSetup(engine, special, 0), { typed: 'qqqqqq' }, sources);
    expect(blocks.find(({ kind }) => kind === 'message')).toMatchObject({ text: 'No qqqqqq.\nAsk us' });
    const products = blocks.flatMap((block) => (block.kind === 'products' ? block.items : []));
    expect(products.map(({ familyId }) => familyId)).toEqual([snapshot.familyId(3)]);
  });
  test('a word that is always corrected is completed as what it is corrected to', () => {
    const pairs = { what: 'corrections' as const, pairs: [{ from: 'brrsh', to: 'brush' }] };
    const prepared = prepareSetup(engine, { ...setup, vocabulary: { [fixedCorrectionsKey]: pairs } }, 0);
    const texts = (typed: string, by = prepared): string[] =>
      suggest(engine, by, { typed }, { completions, content: null, readRecord }).blocks.flatMap((block) =>
        block.kind === 'suggestions' ? block.items.map(({ text }) => text) : [],
      );
    expect(texts('brush ').length).toBeGreaterThan(0);
    expect(texts('brrsh ')).toEqual(texts('brush ', prepareSetup(engine, setup, 0)));
  });
  test('products stand in an order of the sorting menu where one is chosen, as results do where it is gone', () => {
    const orders = [
      { key: 'best', label: 'Best', signals: [] },
      { key: 'dear', label: 'Dearest', signals: [{ attribute: 'price', direction: 'high' as const }] },
    ];
    const sorted = { ...setup, relevance: { ...setup.relevance, sorting: { orders } } };
    const products = (sort: string | undefined) => {
      const blocks = [{ kind: 'products' as const, on: true, most: 6, column: 2 as const, inRow: 3, sort }];
      const searchBox = { ...setup.searchBox, before: { blocks } };
      const prepared = prepareSetup(engine, { ...sorted, searchBox }, 0);
      const [block] = suggest(engine, prepared, { typed: '' }, { completions, content: null, readRecord }).blocks;
      if (block?.kind !== 'products') throw new Error('no products');
      return { inRow: block.inRow, prices: block.items.map(({ price }) => price ?? 0) };
    };
    const { inRow, prices } = products('dear');
    expect(inRow).toBe(3);
    expect(prices).toEqual(prices.toSorted((a, b) => b - a));
    expect(new Set(prices).size).toBeGreaterThan(2);
    expect(products('gone')).toEqual(products(undefined));
  });
  test('without an index of searches still has products', () => {
    const prepared = prepareSetup(engine, setup, 0);
    const answer = suggest(engine, prepared, { typed: 'brush' }, { completions: null, content: null, readRecord });
    expect(answer.blocks.map(({ kind }) => kind)).toContain('products');
  });
});

test('suggestions stand as the obvious way orders them, and each finds something; products are those of the search', () => {
  let [offered, refused] = [0, 0];
  for (let seed = 1; seed <= 10; seed++) {
    const random = seededRandom(seed);
    const records = randomCatalog(random, 40);
    const { snapshot, engine, readRecord } = shopOf(records);
    const queries = Array.from({ length: 6 }, () => randomQuery(random));
    const setup = randomSetup(random, snapshot, queries);
    const { collections } = decidedContent({ articles: [], collections: [] }, setup);
    const now = 20_700 * 86_400_000;
    const prepared = prepareSetup(engine, setup, now, new Map(collections.map((each) => [each.id, each])));
    const searched = queries.map((text, at): Phrase => ({ text, weight: 2 + at, searches: 1, products: 0 }));
    const phrases = [...searched.filter(({ text }) => text.trim() !== ''), ...phrasesOf(records)];
    const completions = openCompletions(buildCompletions(phrases, stem))!;
    for (const query of queries) {
      const typed = query.slice(0, 2 + Math.floor(random() * 4));
      const { blocks, moment } = suggest(engine, prepared, { typed }, { completions, content: null, readRecord });
      const texts = blocks.flatMap((block) =>
        block.kind === 'suggestions' ? block.items.map(({ text }) => text) : [],
      );
      const inOrder = asCorrected(typed, prepared.vocabulary.fixed)
        .flatMap((text) => obviousCompletions(phrases, stem, text))
        .slice(0, mostTried);
      const places = texts.map((text) => inOrder.findIndex((each) => each.text === text));
      expect({ seed, typed, texts, places }).toEqual({ seed, typed, texts, places: places.toSorted((a, b) => a - b) });
      expect(places).not.toContain(-1);
      for (const text of texts) {
        const { total, dropped } = obviousSearch(records, snapshot.attributes, setup, text, {}, now);
        expect({ seed, text, found: total > 0, dropped }).toEqual({ seed, text, found: true, dropped: [] });
      }
      offered += texts.length;
      refused += texts.length > 0 ? places.at(-1)! + 1 - texts.length : 0;
      const products = blocks.flatMap((block) => (block.kind === 'products' ? block.items : []));
      const request = { query: typed, filters: {}, page: 1, limit: products.length || 1, box: true, typing: true };
      if (moment === 'typing' && products.length > 0)
        expect(products.map(({ id }) => id)).toEqual(
          search(engine, prepared, request, readRecord).results.map(({ id }) => id),
        );
    }
  }
  expect(offered).toBeGreaterThan(40);
  expect(refused).toBeGreaterThan(0);
});
