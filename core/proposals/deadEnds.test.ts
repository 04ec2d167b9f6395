import { describe, expect, test } from '@jest/globals';
import { decidedContent } from '../content/decidedContent.ts';
import type { Demand } from '../demand/logEntry.ts';
import type { NearText } from '../query/nearTexts.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { withEntries } from '../setup/withEntry.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { type AskedAgain, type DeadEnd, findDeadEnds } from './deadEnds.ts';
import { remediesFor } from './remedies.ts';
import { tryRemedies } from './tryRemedies.ts';

const records = recordsOf([
  { id: 'a', title: 'Scarlet ink', kind: 'Ink', sku: 'WU-1', stock: '1', units_sold: '4' },
  { id: 'b', title: 'Gouache', kind: 'Paint', sku: 'WU-2', stock: '1', units_sold: '2' },
  { id: 'c', title: 'Sketchbook', kind: 'Paper', sku: 'WU-3', stock: '1' },
  { id: 'd', title: 'Resting easel', kind: 'Easel', sku: 'WU-4', stock: '1' },
]);
const nears: Record<string, NearText[]> = { jotter: [{ text: 'sketchbook', from: 'tried' }] };
const english = new Set(['jotter', 'clay', 'train']);
const engine = openEngine(
  snapshotOf(records),
  (word) => english.has(word),
  (words) => nears[words] ?? [],
);
const usual = initialSetup(engine.snapshot.attributes);
const strict: Setup = {
  ...usual,
  hiding: { x: { what: 'product', product: 'd' } },
  relevance: { ...usual.relevance, spelling: { tolerance: true, atOnce: false } },
  emptyShelf: { ...usual.emptyShelf, ladder: { ...usual.emptyShelf.ladder, off: ['meaning'] } },
};
const made = (search: string, searches: number, more: Partial<Demand> = {}): Demand => ({
  ...{ search, key: search, searches, sessions: searches, foundNothing: searches, clicked: 0, bought: 0 },
  ...{ clickPlace: null, ...more },
});
const demand = [
  made('ink', 50, { foundNothing: 0, clicked: 30 }),
  made('clay', 30),
  made('jotter', 20),
  made('gouahce', 12),
  made('gouahcee', 3),
  made('easel', 9),
  made('delivery times', 8),
  made('cahier', 7),
  made('scarlet', 15, { foundNothing: 0 }),
  made('gouache', 14, { foundNothing: 0, clicked: 2 }),
];
const otherLanguage = (word: string): 'fr' | null => (word === 'cahier' ? 'fr' : null);
const found = (setup: Setup, askedAgain: readonly AskedAgain[] = []): DeadEnd[] =>
  findDeadEnds(engine, prepareSetup(engine, setup, 0), { demand, askedAgain, otherLanguage });

describe('dead ends', () => {
  test('are what finds nothing, and what nobody opened, most shoppers first, each with what is wrong', () => {
    expect(found(strict).map(({ search, kind, cause, sessions }) => [search, kind, cause, sessions])).toEqual([
      ['clay', 'nothing', 'notCarried', 30],
      ['jotter', 'nothing', 'otherWord', 20],
      ['gouahce', 'nothing', 'misspelt', 15],
      ['scarlet', 'unopened', 'notCarried', 15],
      ['easel', 'nothing', 'hidden', 9],
      ['delivery times', 'nothing', 'question', 8],
      ['cahier', 'nothing', 'otherLanguage', 7],
    ]);
  });
  test('a search with a slip in it is counted with the one it is', () => {
    const same = found(strict).find(({ search }) => search === 'gouahce');
    expect(same).toMatchObject({ also: ['gouahcee'], searches: 15 });
  });
  test('what the steps lead on, and what has a page of its own, is none', () => {
    const page = { ...{ name: 'Clay', on: true, words: ['clay'], looks: [], message: '', searches: [], products: [] } };
    const left = found({ ...usual, hiding: strict.hiding, specialShelves: { page } });
    expect(left.map(({ search }) => search)).not.toEqual(expect.arrayContaining(['jotter', 'gouahce', 'clay']));
    expect(left.map(({ search }) => search)).toContain('easel');
  });
  test('what is mostly asked again in other words is one though it finds something', () => {
    const again = [{ search: 'gouache', sessions: 9, of: 14 }];
    expect(found(strict, again)).toContainEqual(expect.objectContaining({ search: 'gouache', kind: 'askedAgain' }));
  });
});

describe('remedies', () => {
  const prepared = prepareSetup(engine, strict, 0);
  const deadEnds = found(strict);
  const looked = {
    ...{ engine, prepared, titleOf: (id: string) => String(records.find((each) => each.id === id)?.values.title) },
    content: decidedContent({ articles: [], collections: [] }, strict),
  };
  const remedies = (of: string) =>
    remediesFor(looked, deadEnds.find((each) => each.search === of)!, { tried: [], opened: [] });
  const tried = (of: string) =>
    tryRemedies(engine, prepared, remedies(of), {
      deadEnd: deadEnds.find((each) => each.search === of)!,
      deadEnds,
      others: demand,
    });
  const kinds = (of: string): string[] => tried(of).map(({ kind }) => kind);
  test.each([
    ['gouahce', 'correction'],
    ['jotter', 'synonym'],
    ['clay', 'page'],
    ['easel', 'page'],
    ['delivery times', 'page'],
  ])('of “%s” begin with a %s', (of, kind) => expect(kinds(of)[0]).toBe(kind));
  test('each does what it says, and mends what it counts', () => {
    for (const { search: of, kind: was } of deadEnds.filter(({ kind }) => kind === 'nothing'))
      for (const { id, total, mends, message } of tried(of)) {
        const { edits } = remedies(of).find((each) => each.id === id)!;
        const after = prepareSetup(engine, withEntries(strict, edits), 0);
        const answer = search(engine, after, { query: of, filters: {}, page: 1, limit: 9 }, (at) => records[at]!);
        expect({ of, id, was, total: answer.total, message: answer.emptyShelf?.message ?? null }).toEqual({
          ...{ of, id, was, total, message },
        });
        expect(mends).toBeGreaterThan(0);
        expect(found(after.setup).map((each) => each.search)).not.toContain(of);
      }
  });
  test('words that were found apart are kept together, where the catalog has them so', () => {
    const shelves = recordsOf([
      { id: 'a', title: 'Palette knife', description: 'Steel.' },
      { id: 'b', title: 'Palette', description: 'Comes with a knife.' },
      { id: 'c', title: 'Craft knife', description: 'Cuts a palette.' },
    ]);
    const shop = openEngine(snapshotOf(shelves));
    const setup = initialSetup(shop.snapshot.attributes);
    const own = prepareSetup(shop, setup, 0);
    const log = [made('palette knife', 20, { foundNothing: 0 })];
    const [deadEnd] = findDeadEnds(shop, own, { demand: log, askedAgain: [], otherLanguage });
    const all = remediesFor({ ...looked, engine: shop, prepared: own }, deadEnd!, { tried: [], opened: [] });
    const [first] = tryRemedies(shop, own, all, { deadEnd: deadEnd!, deadEnds: [deadEnd!], others: [] });
    expect({ deadEnd, first }).toMatchObject({
      deadEnd: { kind: 'unopened', total: 3 },
      first: { kind: 'phrase', total: 1, first: ['a'], mends: 1 },
    });
  });
  test('what a page of it says is in the shop’s first language', () => {
    const languages = { ...strict.storefront, languages: { list: ['de' as const, 'en' as const] } };
    const german = prepareSetup(engine, { ...strict, storefront: languages }, 0);
    const clay = deadEnds.find(({ search: of }) => of === 'clay')!;
    const page = remediesFor({ ...looked, prepared: german }, clay, { tried: [], opened: [] }).find(
      ({ kind }) => kind === 'page',
    );
    expect(page?.edits[0]?.value).toMatchObject({
      message: '„{search}“ führen wir nicht. Das kaufen andere bei uns.',
    });
  });
  test('a correction takes the slips of it along, and other searches that change are told', () => {
    const [first] = tried('gouahce');
    expect(first).toMatchObject({
      title: 'Always correct “gouahce” to “gouache”',
      total: 1,
      mendsTimes: 15,
      others: [],
    });
    const edits = remedies('gouahce')[0]!.edits;
    expect(edits[0]!.value).toEqual({
      what: 'corrections',
      pairs: [
        { from: 'gouahce', to: 'gouache' },
        { from: 'gouahcee', to: 'gouache' },
      ],
    });
  });
});
