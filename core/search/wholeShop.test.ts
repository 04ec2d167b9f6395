import { expect, test } from '@jest/globals';
import { decidedContent } from '../content/decidedContent.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { type Ladder, usualLadder } from '../setup/terms/ladderTerms.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openContent, prepareContent } from './contentEngine.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const records = recordsOf([
  { id: 'a', title: 'Scarlet ink', kind: 'Ink' },
  { id: 'b', title: 'Blue paper', kind: 'Paper' },
]);
const engine = openEngine(snapshotOf(records));
const usual = initialSetup(engine.snapshot.attributes);
function inPapers(query: string, ladder: Partial<Ladder> = {}, request: { exactly?: boolean } = {}) {
  const setup: Setup = {
    ...usual,
    emptyShelf: { ...usual.emptyShelf, ladder: { order: [...usualLadder.order], off: [], ...ladder } as never },
    content: { 'collection:papers': { what: 'collection', id: 'papers', title: 'Papers', products: ['b'] } },
  };
  const { collections } = decidedContent({ articles: [], collections: [] }, setup);
  const prepared = prepareSetup(engine, setup, 0, new Map(collections.map((each) => [each.id, each])));
  const content = prepareContent(
    openContent(decidedContent({ articles: [], collections: [] }, setup)),
    setup,
    prepared.when,
  );
  const asked = { query, filters: {}, page: 1, limit: 9, collection: 'papers', ...request };
  const { results, outside, collection, dropped } = search(engine, prepared, asked, (at) => records[at]!, content);
  return {
    ids: results.map(({ id }) => id),
    outside: outside?.title ?? null,
    collection: collection?.title ?? null,
    dropped,
  };
}

test('what a collection does not have is looked for in the whole shop, and said to be', () => {
  expect(inPapers('blue')).toEqual({ ids: ['b'], outside: null, collection: 'Papers', dropped: [] });
  expect(inPapers('ink')).toEqual({ ids: ['a'], outside: 'Papers', collection: null, dropped: [] });
});
test('unless the step is off, just what was typed is asked for, or the shop has nothing either', () => {
  const none = { ids: [], outside: null, collection: 'Papers', dropped: [] };
  expect(inPapers('ink', { off: ['wholeShop'] })).toEqual(none);
  expect(inPapers('ink', {}, { exactly: true })).toEqual(none);
  expect(inPapers('zebra')).toEqual(none);
});
test('words are dropped for what is in the collection before it, or after it where it stands first', () => {
  const order = ['synonyms', 'spelling', 'wholeShop', 'words', 'filters', 'meaning'] as const;
  expect(inPapers('ink blue')).toMatchObject({ ids: ['b'], dropped: ['ink'], outside: null });
  expect(inPapers('scarlet ink', { order })).toMatchObject({ ids: ['a'], outside: 'Papers' });
});
