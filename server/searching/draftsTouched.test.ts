import { expect, test } from '@jest/globals';
import type { DraftHead, StorefrontHead, StorefrontReader } from '../store/storefronts.ts';
import { draftsTouched } from './draftsTouched.ts';

test('the drafts touched last come first, of all open storefronts together, and none that is gone', () => {
  const drafts: Record<string, Partial<DraftHead>[]> = {
    main: [
      { id: 'main', touchedAt: 5, removedAt: null },
      { id: 'winter', touchedAt: 9, removedAt: null },
      { id: 'gone', touchedAt: 10, removedAt: 11 },
    ],
    germany: [{ id: 'main', touchedAt: 7, removedAt: null }],
    closed: [{ id: 'main', touchedAt: 12, removedAt: null }],
  };
  const storefronts = ['main', 'germany', 'closed'].map((id) => ({ id, archivedAt: id === 'closed' ? 12 : null }));
  const reader = {
    storefronts: () => storefronts as StorefrontHead[],
    drafts: (storefront: string) => drafts[storefront] as DraftHead[],
  } as StorefrontReader;
  const told = (most: number) => draftsTouched(reader, most).map(({ storefront, draft }) => `${storefront}/${draft}`);
  expect(told(8)).toEqual(['main/winter', 'germany/main', 'main/main']);
  expect(told(1)).toEqual(['main/winter']);
});
