import { expect, test } from '@jest/globals';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import { openLocalSearch } from './localSearch.ts';
import { shownWrites } from './shownWrites.ts';
import { openWorkbench } from './workbench.ts';

test('a thread of shoppers takes over what was published when it is told, and publishing is answered after that', async () => {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const { folder, db, catalogs } = shelf;
  const bench = openWorkbench({ folder, db, reader: catalogs.current()!, now: () => 1, follows: 'when-told' });
  const shopper = openLocalSearch(bench);
  const found = (query: string): string[] =>
    shopper
      .answer({ from: 'live', request: { query, filters: {}, page: 1, limit: 10 } })
      .results.map(({ familyId }) => familyId);
  const before = found('');
  expect(before).toContain('b');
  const order: string[] = [];
  const writer = shownWrites(shelf.writer, async () => {
    order.push('not told yet', ...found(''));
    shopper.follow('live', ['', 'brush']);
    order.push('told', ...found(''));
  });
  const hide = shopper.editsForProducts({ ids: ['b'] }, { act: 'hide' });
  await writer.edit(hide, shelf.setups.revision(), 'Ann', 2);
  expect(order).toEqual([]);
  const outcome = await writer.publish(shelf.setups.revision(), 'Ann', 'Without flat brushes', 3);
  expect(outcome).not.toHaveProperty('refusal');
  const after = before.filter((product) => product !== 'b');
  expect(order).toEqual(['not told yet', ...before, 'told', ...after]);
  shelf.remove();
});
