import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog, type TestShelf } from '../testing/openTestShelf.ts';
import { type CatalogHandle, openBenches } from './benches.ts';

let shelf: TestShelf;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  for (const name of ['second', 'third']) {
    await shelf.post('/desk/storefronts/make', { name, shop: { name, currency: 'EUR' }, from: null });
    await shelf.bringIn(smallCatalog.replaceAll('brush', `${name} brush`), 'replace', undefined, name);
  }
});
afterEach(() => shelf.remove());

const handle = (storefront: string): CatalogHandle => {
  const { generation, buffer } = shelf.at(storefront).catalogs.current()!;
  return { storefront, generation, shared: buffer };
};
const ask = (benches: ReturnType<typeof openBenches>, storefront: string): string[] => {
  const request = { query: 'brush', filters: {}, page: 1, limit: 5 };
  const question = { call: 'answer' as const, given: [liveOf(storefront), { request }] as [never, never] };
  const answer = benches.perform({ about: handle(storefront), question }) as { results: { title: string }[] };
  return answer.results.map(({ title }) => title);
};

test('one thread answers about every storefront from its own catalog, and lets go of one that is asked about no more', () => {
  const benches = openBenches({ folder: shelf.folder, now: () => 0, follows: 'always' });
  expect(ask(benches, 'main')[0]).toBe('Round brush');
  expect(ask(benches, 'second')[0]).toBe('Round second brush');
  expect(benches.open()).toEqual(['main/1', 'second/2']);
  benches.perform({ letGo: { storefront: 'main', generation: 1 } });
  expect(benches.open()).toEqual(['second/2']);
  // Asked again all the same, it is opened again.
  expect(ask(benches, 'main')[0]).toBe('Round brush');
});

test('beyond so many bytes the one asked least recently is let go, but never the one that is asked', () => {
  const bytes = handle('main').shared.byteLength;
  const benches = openBenches({ folder: shelf.folder, now: () => 0, follows: 'always', mostBytes: bytes * 2.5 });
  for (const storefront of ['main', 'second', 'main', 'third']) ask(benches, storefront);
  expect(benches.open()).toEqual(['main/1', 'third/3']);
  const narrow = openBenches({ folder: shelf.folder, now: () => 0, follows: 'always', mostBytes: 1 });
  for (const storefront of ['main', 'second', 'main']) expect(ask(narrow, storefront)).toHaveLength(2);
  expect(narrow.open()).toEqual(['main/1']);
});

test('a question about one storefront is never answered by another’s catalog', () => {
  const benches = openBenches({ folder: shelf.folder, now: () => 0, follows: 'always' });
  const request = { query: 'brush', filters: {}, page: 1, limit: 5 };
  const question = { call: 'answer' as const, given: [liveOf('second'), { request }] as [never, never] };
  expect(() => benches.perform({ about: handle('main'), question })).toThrow(
    'A workbench of main was asked about second',
  );
});
