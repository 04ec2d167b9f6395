import { expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
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
  const benchOf = (mostPatchBytes?: number) =>
    openWorkbench({
      folder: shelf.folder,
      storefront: 'main',
      db: shelf.db,
      reader: shelf.catalogs.current()!,
      now: () => 3,
      ...(mostPatchBytes !== undefined && { mostPatchBytes }),
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
  const bench = benchOf(1);
  const first = drafts.map((ref) => bench.ready(ref));
  expect(bench.ready(drafts[2]!)).toBe(first[2]);
  expect(bench.ready(drafts[1]!)).toBe(first[1]);
  const again = bench.ready(drafts[0]!);
  expect(again).not.toBe(first[0]);
  expect(again.view.record(2).values).toMatchObject({ title: 'Flat winter brush' });
  shelf.remove();
});
