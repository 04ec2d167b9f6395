import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { firstText } from '../../core/catalog/record.ts';
import { openTestShelf, type TestShelf } from '../testing/openTestShelf.ts';
import { importCatalog } from './importCatalog.ts';
import type { ImportJobs } from './importJobs.ts';
import { openSharing } from './sharing.ts';
import { shopTermsOf } from './shopTermsOf.ts';

const twoShops = `id,family,sku,title,title_de,price,price_eur,stock
a1,a,WU-1A,Round brush,Rundpinsel,4.50,5.20,3
a2,a,WU-1B,Round brush,Rundpinsel,5.50,6.40,0
b1,b,WU-2A,Flat brush,,6.00,,5
c1,c,WU-3A,Blue ink,Blaue Tinte,3.00,3.60,9
`;
let shelf: TestShelf;
let id: string;
let at = 30_000_000;
beforeEach(async () => {
  shelf = openTestShelf();
  await shelf.bringIn(twoShops);
  id = await shelf.writer.makeStorefront(
    {
      ...{ name: 'Germany', shop: { name: 'Pinsel', currency: 'EUR' }, language: 'de' },
      from: { storefront: 'main', catalog: 'share', follow: false },
    },
    'Ada',
    at++,
  );
});
afterEach(() => shelf.remove());

const termsOf = (storefront: string) => shopTermsOf(shelf.at(storefront).releases.live()?.setup);
/** Reads what is in force in the first storefront into the one that shares it. */
async function borrow(): Promise<void> {
  const imported = await importCatalog(
    {
      ...{ folder: shelf.folder, generation: await shelf.writer.reserveGeneration(id), mode: 'replace' },
      base: shelf.at(id).catalogs.comparable(),
      rows: {
        ...{ kind: 'lent', generation: shelf.catalogs.generation() },
        terms: { lender: { languages: ['en'], currency: 'GBP' }, own: termsOf(id) },
      },
    },
    () => {},
  );
  await shelf.writer.putInForce(id, imported, 'catalog.csv', at++);
}
const valuesOf = (storefront: string, record: string) => {
  const reader = shelf.at(storefront).catalogs.current()!;
  const { title, price, stock } = reader.record(reader.findRecord(record)).values;
  return [firstText(title), price, stock];
};

test('the same rows are read by each storefront in its own language and money', async () => {
  await borrow();
  expect(valuesOf(id, 'a1')).toEqual(['Rundpinsel', 5.2, 3]);
  expect(valuesOf(id, 'b1')).toEqual(['Flat brush', undefined, 5]);
  expect(valuesOf('main', 'a1')).toEqual(['Round brush', 4.5, 3]);
  expect(shelf.at(id).catalogs.info()).toMatchObject({ lent: shelf.catalogs.generation(), records: 4 });
  expect(shelf.at(id).catalogs.current()!.snapshot.language).toBe('de');
});

test('what a feed says of stock holds in both, what it says of a price only where both read the same column', async () => {
  await borrow();
  const accepted = await shelf.writer.acceptFacts('main', [{ id: 'a1', stock: 0, price: 1 }], at++);
  expect(accepted).toMatchObject({ changed: 1, reached: [id] });
  expect(valuesOf('main', 'a1')).toEqual(['Round brush', 1, 0]);
  expect(valuesOf(id, 'a1')).toEqual(['Rundpinsel', 5.2, 0]);
  // And it outlives another reading of the rows.
  await borrow();
  expect(valuesOf(id, 'a1')).toEqual(['Rundpinsel', 5.2, 0]);
  // The other way nothing is lent.
  expect(await shelf.writer.acceptFacts(id, [{ id: 'c1', stock: 1 }], at++)).toMatchObject({ reached: [] });
  expect(valuesOf('main', 'c1')).toEqual(['Blue ink', 3, 9]);
});

test('a way of reading that the borrower changed stays when other rows come', async () => {
  await borrow();
  const [source] = shelf.at(id).catalogs.current()!.sources();
  const columns = source!.mapping.columns.map((each) =>
    each.column === 'price_eur' ? { ...each, otherwise: 'price' } : each,
  );
  const again = await importCatalog(
    {
      ...{ folder: shelf.folder, generation: await shelf.writer.reserveGeneration(id), mode: 'replace' },
      ...{ base: shelf.at(id).catalogs.comparable(), lent: shelf.catalogs.generation() },
      rows: { kind: 'again', mappings: { [source!.number]: { ...source!.mapping, columns } } },
    },
    () => {},
  );
  await shelf.writer.putInForce(id, again, 'catalog.csv', at++);
  await shelf.bringIn(twoShops.replace('6.00', '7.00'));
  await borrow();
  expect(valuesOf(id, 'b1')).toEqual(['Flat brush', 7, 5]);
});

test('who lends is not removed, and nobody shares what is shared itself', async () => {
  await expect(shelf.writer.removeStorefront('main')).rejects.toMatchObject({ problem: { code: 'is-shared' } });
  await expect(shelf.writer.shareCatalog('main', id)).rejects.toMatchObject({ problem: { code: 'cannot-share' } });
  await expect(shelf.writer.shareCatalog(id, id)).rejects.toMatchObject({ problem: { code: 'cannot-share' } });
  await shelf.writer.shareCatalog(id, null);
  await shelf.writer.shareCatalog('main', id);
});

test('a file is refused where the records are another storefront’s', async () => {
  const { status, body } = await shelf.post(`/desk/${id}/main/catalog/import?file=a.csv`, {});
  expect([status, body]).toMatchObject([409, { error: { code: 'shares-records' } }]);
});

test('a file goes into other storefronts only where there is one that has a catalog of its own', async () => {
  const commit = (also: string) => shelf.post('/desk/main/main/catalog/import/commit', { also: [also] });
  expect(await commit('nowhere')).toMatchObject({ status: 404, body: { error: { code: 'unknown-storefront' } } });
  expect(await commit(id)).toMatchObject({ status: 409, body: { error: { code: 'shares-records' } } });
});

/** Jobs that note what they are asked for; `fails` says whether reading comes to nothing. */
function notingJobs(asked: string[], fails = () => false): ImportJobs {
  let generation = 0;
  return {
    isBusy: () => false,
    borrow: async ({ generation: lent }: { generation: number }) => {
      asked.push(`read ${lent}`);
      generation = lent;
      return {};
    },
    settled: async () => ({ phase: fails() ? 'failed' : 'ready' }),
    commit: async () => {
      asked.push(`commit ${generation}`);
      shelf.db.prepare('UPDATE storefront SET generation = 99 WHERE id = ?').run(id);
      shelf.db
        .prepare(
          `INSERT OR REPLACE INTO catalog_import (generation, storefront, file, at, records, families, rejected, index_bytes, lent)
           VALUES (99, ?, '', 1, 1, 1, 0, 1, ?)`,
        )
        .run(id, generation);
      return {};
    },
  } as unknown as ImportJobs;
}
const sharingBy = (imports: ImportJobs) =>
  openSharing({
    storefronts: shelf.storefronts,
    at: (storefront) => ({ ...shelf.at(storefront), imports }),
    onShared: () => {},
    onError: (error) => {
      throw error;
    },
  });

test('who shares is brought up to each catalog of the lender once', async () => {
  const asked: string[] = [];
  const sharing = sharingBy(notingJobs(asked));
  await Promise.all([sharing.catchUp(), sharing.catchUp()]);
  expect(asked).toEqual(['read 1', 'commit 1']);
  await shelf.bringIn(twoShops.replace('Round', 'Big'));
  await sharing.catchUp();
  expect(asked.slice(2)).toEqual([`read ${shelf.catalogs.generation()}`, `commit ${shelf.catalogs.generation()}`]);
});

test('what cannot be read is not tried again before the lender has something else', async () => {
  const asked: string[] = [];
  const sharing = sharingBy(notingJobs(asked, () => true));
  await sharing.catchUp();
  await sharing.catchUp();
  expect(asked).toEqual(['read 1']);
});
