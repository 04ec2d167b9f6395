import { expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openLocalSearch } from './localSearch.ts';
import { shownWrites } from './shownWrites.ts';
import { openWorkbench } from './workbench.ts';

test('a thread of shoppers takes over what was published when it is told, and publishing is answered after that', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const { folder, db, ref, catalogs } = shelf;
  const { storefront } = ref;
  const live = liveOf(storefront);
  const bench = openWorkbench({
    folder,
    storefront,
    db,
    reader: catalogs.current()!,
    now: () => 1,
    follows: 'when-told',
  });
  const shopper = openLocalSearch(bench);
  const found = (query: string): string[] =>
    shopper
      .answer(live, { request: { query, filters: {}, page: 1, limit: 10 } })
      .results.map(({ familyId }) => familyId);
  const before = found('');
  expect(before).toContain('b');
  const order: string[] = [];
  const writer = shownWrites(shelf.writer, async (followed) => {
    expect(followed).toBe(storefront);
    order.push('not told yet', ...found(''));
    shopper.follow(live, ['', 'brush']);
    order.push('told', ...found(''));
  });
  const hide = shopper.editsForProducts(ref, { ids: ['b'] }, { act: 'hide' });
  await writer.edit(ref, hide, shelf.setups.revision(), 'Ann', 2);
  expect(order).toEqual([]);
  const outcome = await writer.publish(ref, shelf.setups.revision(), 'Ann', 'Without flat brushes', 3);
  expect(outcome).not.toHaveProperty('refusal');
  const after = before.filter((product) => product !== 'b');
  expect(order).toEqual(['not told yet', ...before, 'told', ...after]);
  shelf.remove();
});
