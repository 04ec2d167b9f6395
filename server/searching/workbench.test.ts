import { expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
import { searchQuestions } from '../questions/searches.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openWorkbench } from './workbench.ts';

const drafts = ['winter', 'spring', 'sale'].map((draft) => ({ storefront: 'main', draft }));

/** A shop with three drafts, in each of which another word stands in a title. */
async function shopWithDrafts() {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  for (const { storefront, draft } of drafts) {
    await shelf.writer.beginDraft(storefront, { name: draft, note: '', from: liveOf(storefront) }, 'Ann', 1);
    const value = { product: 'b', variant: null, attribute: 'title', act: 'set', value: `Flat ${draft} brush` };
    const edit = { part: 'products' as const, key: 'b//title', value };
    expect(await shelf.writer.edit({ storefront, draft }, [edit], 1, 'Ann', 2)).not.toHaveProperty('refusal');
  }
  const benchOf = (options: { mostPatchBytes?: number; now?: () => number } = {}) =>
    openWorkbench({
      folder: shelf.folder,
      storefront: 'main',
      db: shelf.db,
      reader: shelf.catalogs.current()!,
      now: () => 3,
      ...options,
    });
  return { shelf, benchOf };
}

test('drafts that were looked at stay ready, each with its own words', async () => {
  const { shelf, benchOf } = await shopWithDrafts();
  const bench = benchOf();
  const first = drafts.map((ref) => bench.ready(ref));
  for (const [at, ref] of drafts.entries()) {
    expect(bench.ready(ref)).toBe(first[at]);
    expect(first[at]!.view.snapshot.terms.find(ref.draft)).toBeGreaterThanOrEqual(0);
  }
  shelf.remove();
});

test('where their indexes take more room than there is, the one asked for least recently is let go', async () => {
  const { shelf, benchOf } = await shopWithDrafts();
  const bench = benchOf({ mostPatchBytes: 1 });
  const first = drafts.map((ref) => bench.ready(ref));
  expect(bench.ready(drafts[2]!)).toBe(first[2]);
  expect(bench.ready(drafts[1]!)).toBe(first[1]);
  const again = bench.ready(drafts[0]!);
  expect(again).not.toBe(first[0]);
  expect(again.view.record(2).values).toMatchObject({ title: 'Flat winter brush' });
  shelf.remove();
});

test('of a storefront’s drafts those worked on last are known, the latest first, and none that was taken out', async () => {
  const { shelf, benchOf } = await shopWithDrafts();
  const [winter, spring, sale] = drafts as [(typeof drafts)[0], (typeof drafts)[0], (typeof drafts)[0]];
  const value = { product: 'b', variant: null, attribute: 'title', act: 'set', value: 'Flat winter fan' };
  const edit = { part: 'products' as const, key: 'b//title', value };
  expect(await shelf.writer.edit(winter, [edit], 2, 'Ann', 2_000_000)).not.toHaveProperty('refusal');
  await shelf.writer.takeOutDraft(sale, 2_000_001);
  const { draftsTouched } = searchQuestions(benchOf());
  const all = draftsTouched(liveOf('main'), 8);
  expect(all.filter(({ draft }) => draft !== 'main')).toEqual([winter, spring]);
  expect(draftsTouched(liveOf('main'), 1)).toEqual(all.slice(0, 1));
  shelf.remove();
});

test('another day binds a draft anew to the index that it has', async () => {
  const { shelf, benchOf } = await shopWithDrafts();
  let now = 3;
  const bench = benchOf({ now: () => now });
  const first = drafts.map((ref) => bench.ready(ref).view);
  now += 3 * 24 * 3600 * 1000;
  for (const ref of drafts) expect(bench.catchUp(ref)).toBe(true);
  for (const [at, ref] of drafts.entries()) expect(bench.ready(ref).view).toBe(first[at]);
  shelf.remove();
});
