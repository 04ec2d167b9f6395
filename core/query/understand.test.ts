import { describe, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../answer/answer.ts';
import { withMovement } from '../compare/movement.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { search } from '../search/search.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { mostWords, queryWords, searchKey } from './readUnits.ts';

const rows: Record<string, string>[] = [
  { id: 'm1', family: 'm', title: 'Brush marker', colour: 'Red', sku: 'WU-2041A', stock: '4' },
  { id: 'm2', family: 'm', title: 'Brush marker', colour: 'Black', sku: 'WU-2041B', stock: '2' },
  { id: 'p1', title: 'Watercolour paper 300 gsm', description: 'For brushes of every kind.', sku: 'WU-3000' },
  { id: 'p2', title: 'Watercolour paper 200gsm', sku: 'WU-3001' },
  { id: 's1', title: 'Sketchbook', description: 'Paper for dry media', sku: 'WU-4000' },
  { id: 'g1', title: 'Gouache', colour: 'Ultramarine', sku: 'WU-5000' },
];
const records = recordsOf(rows);
const engine = openEngine(snapshotOf(records));
const sought = (query: string, knows = false) => {
  const { words, beyond } = queryWords(query, () => knows);
  return { words: words.map(({ text }) => text), beyond: beyond.map(({ text }) => text) };
};
const setup = initialSetup(engine.snapshot.attributes);
const ask = (query: string, changed: Setup = setup, typing = false): SearchAnswer =>
  search(
    engine,
    prepareSetup(engine, changed, 0),
    { query, typing, filters: {}, page: 1, limit: 10 },
    (record) => records[record]!,
  );
const ids = (query: string, typing = false): string[] => ask(query, setup, typing).results.map(({ id }) => id);

describe('a shopper’s words', () => {
  test('show the variant they mean', () => {
    expect(ids('black marker')).toEqual(['m2']);
    expect(ids('red marker')).toEqual(['m1']);
  });
  test('are found in their other forms', () => expect(ids('brush').sort()).toEqual(['m1', 'p1']));
  test('are found with units written either way', () => {
    expect(ids('300gsm paper')).toEqual(ids('300 gsm paper'));
    expect(ids('200 gsm')).toEqual(['p2']);
  });
  test('are found while the last one is being typed', () => {
    expect(ids('waterc', true).sort()).toEqual(['p1', 'p2']);
    // Only the last: a word in the middle is done.
    expect(
      ask('waterc paper', { ...setup, relevance: { ...setup.relevance, spelling: { tolerance: false } } }).dropped,
    ).toEqual(['waterc']);
  });
  test('are forgiven a slip, and the shopper is told', () => {
    expect(ask('ultramraine gouache')).toMatchObject({
      total: 1,
      corrections: [{ from: 'ultramraine', to: 'ultramarine' }],
    });
  });
  test('are taken for the likelier of two words that are as near: a letter left out, not one put in another’s place', () => {
    const shop = recordsOf([
      ...[1, 2, 3].map((at) => ({ id: `p${at}`, title: `Paint, ${at}` })),
      { id: 'r', title: 'Patent knife' },
    ]);
    const own = openEngine(snapshotOf(shop));
    const prepared = prepareSetup(own, initialSetup(own.snapshot.attributes), 0);
    const asked = { query: 'paent', filters: {}, page: 1, limit: 10 };
    expect(search(own, prepared, asked, (record) => shop[record]!)).toMatchObject({
      corrections: [{ from: 'paent', to: 'patent' }],
      total: 4,
    });
  });
  test('that are only the beginning of a rare word are taken as misspelt besides, and the shopper is told', () => {
    const shop = recordsOf([
      { id: 'i', title: 'Ice sheet', description: 'White as poudrin.' },
      ...[1, 2].map((at) => ({ id: `w${at}`, title: 'Pound weight', description: `Number ${at}` })),
    ]);
    const own = openEngine(snapshotOf(shop));
    const prepared = prepareSetup(own, initialSetup(own.snapshot.attributes), 0);
    const asked = (query: string, typing: boolean) =>
      search(own, prepared, { query, typing, filters: {}, page: 1, limit: 10 }, (record) => shop[record]!);
    const finished = asked('poud', false);
    expect(finished.results.map(({ id }) => id)).toEqual(['w1', 'w2', 'i']);
    expect(finished.corrections).toEqual([{ from: 'poud', to: 'pound' }]);
    // While it is typed, it may still go on.
    expect(asked('poud', true)).toMatchObject({ total: 1, corrections: [] });
  });
  test('must all match; where nothing has all, the least telling goes and is named', () => {
    expect(ask('gouache paper zebra')).toMatchObject({ total: 1, dropped: ['zebra', 'paper'] });
    // Two thirds of the words may go, not more.
    expect(ask('gouache zebra quagga okapi').total).toBe(0);
    expect(ask('sketchbook zebra')).toMatchObject({ total: 1, dropped: ['zebra'] });
  });
  test('that the catalog has as typed stay when others, which it only has something like, must go', () => {
    const inks = ['Black', 'Blue', 'Green', 'Sepia', 'White', 'Violet'].map((colour, at) => ({
      id: `c${at}`,
      title: `${colour} calligraphy ink`,
    }));
    const others = [
      { id: 'h', title: 'Hand rolled pastel' },
      { id: 'l', title: 'Lift off paper' },
    ];
    const shop = recordsOf([...inks, ...others]);
    const own = openEngine(snapshotOf(shop));
    const prepared = prepareSetup(own, initialSetup(own.snapshot.attributes), 0);
    const asked = { query: 'calligraphy ink left handed', filters: {}, page: 1, limit: 10 };
    const { dropped, results } = search(own, prepared, asked, (record) => shop[record]!);
    expect([...dropped].sort()).toEqual(['handed', 'left']);
    expect(results.map(({ id }) => id).sort()).toEqual(inks.map(({ id }) => id));
  });
  test('that are a part number lead straight to the product, never to its neighbour', () => {
    for (const sku of ['WU-2041B', 'wu 2041 b', 'wu2041b']) expect(ids(sku)[0]).toBe('m2');
    expect(ask('WU-2041C').corrections).toEqual([]);
  });
  test('beyond a number are named as left out', () => {
    const many = Array.from({ length: mostWords + 2 }, (_, at) => `word${at}`);
    expect(sought(many.join(' ')).beyond).toEqual(many.slice(mostWords));
    expect(sought('blue Blue BLUE').words).toEqual(['blue']);
  });
  test('that no letter can be read in find nothing, and no words at all show everything', () => {
    expect(ask('%%% 😀').emptyShelf).not.toBeNull();
    expect(ask('').total).toBe(5);
  });
});

test('a search is the same for a plan however it is typed', () =>
  expect(searchKey(' Café   PAPER ')).toBe(searchKey('cafe paper')));

test('movement tells places gained, lost, and what is new', () => {
  const answer = ask('paper');
  const order = answer.results.map(({ familyId }) => familyId);
  const moved = (before: string[]) => withMovement(answer, before).results.map(({ marks }) => marks?.moved);
  expect(moved(order)).toEqual(order.map(() => 0));
  expect(moved([order[1]!, order[0]!])).toEqual([1, -1, ...order.slice(2).map(() => null)]);
});
