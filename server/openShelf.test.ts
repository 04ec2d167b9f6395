import { cpSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import Database from 'better-sqlite3';
import { liveOf } from '../core/setup/setupRef.ts';
import { openShelf } from './openShelf.ts';
import { openLocalSearch } from './searching/localSearch.ts';
import { openWorkbench } from './searching/workbench.ts';

const fixture = join(dirname(fileURLToPath(import.meta.url)), 'testing', 'fixtures', 'folder-1');
let root: string;
beforeEach(() => {
  root = mkdtempSync(join(tmpdir(), 'clever-shelf-folder-'));
  cpSync(fixture, root, { recursive: true });
});
afterEach(() => rmSync(root, { recursive: true, force: true }));

test('a folder of the first version opens with nothing lost', () => {
  const shelf = openShelf(root);
  expect(shelf.storefronts.storefronts().map(({ id, generation }) => [id, generation])).toEqual([['main', 1]]);
  expect(shelf.storefronts.drafts('main')).toMatchObject([
    { id: 'main', name: 'Main draft', baseRelease: 2, removedAt: null },
  ]);
  const { log, catalogs, ...first } = shelf.at('main');
  const setups = first.setups('main');
  expect(setups.setAside()).toEqual([]);
  expect(setups.revision()).toBe(8);
  expect(setups.draft()).toMatchObject({
    version: 7,
    attributes: { former_price: { onCard: true }, picture: { onCard: true } },
    relevance: { closeCall: { width: 7 } },
    plans: { brushes: { name: 'Brushes', pins: [{ product: 'b', place: 1 }] } },
    hiding: { 'product:c': { what: 'product' } },
    vocabulary: { ink: { what: 'synonyms' } },
  });
  expect(Object.keys(setups.draft().products)).toHaveLength(1);
  expect(setups.releases().map(({ number, note }) => [number, note])).toEqual([
    [2, 'First'],
    [1, 'The setup to begin with'],
  ]);
  expect(setups.live()!.setup.plans.brushes).toBeDefined();
  expect(setups.changesOf(2).map(({ key }) => key)).toEqual(['closeCall', 'brushes']);
  expect(setups.nextRedo('Ada')).toMatchObject([{ key: 'closeCall', after: { width: 9 } }]);
  expect(log.summary()).toMatchObject({ searches: 2, clicks: 1, purchases: 1, foundNothing: 1 });
  expect(catalogs.info()).toMatchObject({ records: 5, families: 4, rejected: 1 });
  expect(catalogs.current()!.record(0).values.price).toBe(4.2);
  const { folder, db } = shelf;
  const search = openLocalSearch(
    openWorkbench({ folder, storefront: 'main', db, reader: catalogs.current()!, now: () => 0 }),
  );
  const request = { query: 'brush', filters: {}, page: 1, limit: 5 };
  const found = search.answer(liveOf('main'), { request });
  expect(found.results.map(({ id }) => id)).toEqual(['b1', 'a1']);
  shelf.close();
});

test('a folder of a newer version is told so and left as it is', () => {
  const path = join(root, 'shelf.sqlite');
  const db = new Database(path);
  db.pragma('user_version = 9999');
  db.close();
  const before = readFileSync(path);
  expect(() => openShelf(root)).toThrow(/newer version of this program .* Nothing was changed/);
  expect(readFileSync(path)).toEqual(before);
});
