import { describe, expect, test } from '@jest/globals';
import { decidedContent } from '../content/decidedContent.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { SpecialShelf } from '../setup/parts/specialShelves.ts';
import type { Setup } from '../setup/schema.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import type { Language } from '../text/languages.ts';
import { openContent, prepareContent } from './contentEngine.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const records = recordsOf([
  { id: 'a', sku: 'WU-1', title: 'Scarlet ink', stock: '2', units_sold: '5', date_added: '2026-01-01' },
  { id: 'b', sku: 'WU-2', title: 'Blue ink', stock: '0', units_sold: '90', date_added: '2026-03-01' },
  { id: 'c', sku: 'WU-3', title: 'Ink pot', stock: '1', units_sold: '9', date_added: '2026-02-01' },
  { id: 'd', sku: 'WU-4', title: 'Blue pot', stock: '3', units_sold: '1', date_added: '2025-01-01' },
]);
const engine = openEngine(snapshotOf(records), (word) => word === 'train');
const special = (change: Partial<SpecialShelf>): SpecialShelf => ({
  ...{ name: 'Special', on: true, words: [], looks: [], message: 'Special “{search}”', searches: [], products: [] },
  ...change,
});
function shelf(query: string, change: Partial<Setup> = {}, language: Language = 'en') {
  const setup = { ...initialSetup(engine.snapshot.attributes), ...change };
  const prepared = prepareSetup(engine, setup, 0);
  const imported = {
    articles: [{ id: 'r', title: 'Returns', text: 'Send it back.', link: '', picture: '', tags: [] }],
    collections: [],
  };
  const content = prepareContent(openContent(decidedContent(imported as never, setup)), setup, prepared.when);
  const request = { query, filters: {}, page: 1, limit: 9, language };
  return search(engine, prepared, request, (at) => records[at]!, content).emptyShelf;
}
const usual = initialSetup(engine.snapshot.attributes).emptyShelf;
const withContent = (content: Partial<Setup['emptyShelf']['content']>): Partial<Setup> => ({
  emptyShelf: { ...usual, content: { ...usual.content, ...content } },
});
const ids = (cards: readonly { readonly id: string }[] = []): string => cards.map(({ id }) => id).join('');

describe('where a search finds nothing', () => {
  test('its words stand in message and tips, as text', () => {
    const shown = shelf('<b>qqzz', withContent({ message: 'No {search}.', tips: ['Not {search}?', 'Fewer words'] }));
    expect(shown).toMatchObject({ special: '', message: 'No <b>qqzz.', tips: ['Not <b>qqzz?', 'Fewer words'] });
  });
  test('the message that comes with the shop is in the shopper’s language, one’s own as it was written', () => {
    expect(shelf('qqzz', {}, 'de')?.message).toBe('Zu „qqzz“ haben wir nichts im Regal.');
    expect(shelf('qqzz', withContent({ message: 'No {search}.' }), 'de')?.message).toBe('No qqzz.');
  });
  test('best sellers and newest ones are in stock, may show there, and stand in order', () => {
    const shown = shelf('qqzz', withContent({ bestSellers: 2, newest: 2 }));
    expect([ids(shown?.bestSellers), ids(shown?.newest)]).toEqual(['ca', 'ca']);
    const hiding = { x: { what: 'product' as const, product: 'c' } };
    expect(ids(shelf('qqzz', { ...withContent({ bestSellers: 2 }), hiding })?.bestSellers)).toBe('ad');
  });
  test('chosen articles show by their titles, those that are gone do not', () =>
    expect(shelf('qqzz', withContent({ articles: ['gone', 'r'] }))?.articles).toEqual([
      { id: 'r', title: 'Returns', link: '' },
    ]));
  test('a hidden part number is said not to be available, with what is like it', () => {
    const hiding = { x: { what: 'product' as const, product: 'a' } };
    const shown = shelf('wu 1', { hiding });
    expect(shown?.unavailable).toMatchObject({ partNumber: 'WU-1' });
    // What else is called ink and is in stock.
    expect(ids(shown?.unavailable?.alternatives)).toBe('c');
    expect(shelf('wu 9', { hiding })?.unavailable).toBeNull();
  });
});

describe('a special page', () => {
  const pages: Setup['specialShelves'] = {
    one: special({ name: 'Trains', words: ['train'] }),
    two: special({ name: 'Train sets', words: ['toy train'], link: '/toys' }),
    help: special({ name: 'Help', looks: ['question'], articles: ['r'] }),
    names: special({ name: 'Names', looks: ['name'] }),
    off: special({ name: 'A', on: false, words: ['toy train set'] }),
  };
  const shown = (query: string): string | undefined => shelf(query, { specialShelves: pages })?.special;
  test('stands for searches with its words, more words before fewer, words before looks', () => {
    expect([shown('train qqzz'), shown('toy train set'), shown('train toy'), shown('how do train toys go')]).toEqual([
      ...['one', 'two', 'one', 'one'],
    ]);
  });
  test('or for what looks like a question, or a name nobody knows; else the usual one does', () => {
    expect([shown('returns?'), shown('sennelux')]).toEqual(['help', 'names']);
    expect(shelf('sennelux')?.special).toBe('');
  });
  test('may send shoppers on', () => expect(shelf('toy train', { specialShelves: pages })?.link).toBe('/toys'));
});
