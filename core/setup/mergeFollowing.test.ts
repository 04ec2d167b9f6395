import { expect, test } from '@jest/globals';
import { initialSetup } from './initialSetup.ts';
import { mergeSetups } from './mergeSetups.ts';
import type { Setup } from './schema.ts';
import { withEntries } from './withEntry.ts';

const base = initialSetup([]);
const follow = (setup: Setup, storefront: string | null): Setup =>
  withEntries(setup, [{ part: 'following', key: 'hiding', value: storefront && { storefront } }]);
const hide = (setup: Setup, product: string): Setup =>
  withEntries(setup, [{ part: 'hiding', key: product, value: { what: 'product', product } }]);
const merged = (ours: Setup, theirs: Setup, from = base) => mergeSetups({ base: from, ours, theirs });
const question = '["following","hiding"]';

test('one side’s following holds where the other left the part alone, and brings none of its entries', () => {
  const leader = hide(follow(base, 'north'), 'a');
  expect(merged(base, leader)).toMatchObject({
    changes: [{ part: 'following', key: 'hiding', after: { storefront: 'north' } }],
    conflicts: [],
  });
  expect(merged(leader, base)).toMatchObject({ changes: [], conflicts: [] });
});

test('edits that following would hide are asked about, whichever side made them', () => {
  const [edited, following] = [hide(base, 'a'), follow(base, 'north')];
  for (const [ours, theirs] of [
    [edited, following],
    [following, edited],
  ] as const) {
    const { conflicts } = merged(ours, theirs);
    expect(conflicts).toMatchObject([{ id: question, part: 'following', key: 'hiding' }]);
    expect(conflicts[0]!.reason).toMatch(/hides those changes/);
  }
  const keptEdits = mergeSetups({ base, ours: following, theirs: edited }, new Map([[question, 'theirs']]));
  expect(keptEdits.changes).toMatchObject([
    { part: 'following', after: null },
    { part: 'hiding', key: 'a' },
  ]);
  const keptFollowing = mergeSetups({ base, ours: following, theirs: edited }, new Map([[question, 'ours']]));
  expect(keptFollowing).toMatchObject({ changes: [], conflicts: [] });
});

test('two leaders are a question, and the same one is none', () => {
  expect(merged(follow(base, 'north'), follow(base, 'south')).conflicts).toMatchObject([
    { id: question, reason: null },
  ]);
  expect(merged(follow(base, 'north'), follow(base, 'north'))).toMatchObject({ changes: [], conflicts: [] });
});

test('what the followed storefront changed since is no edit of either side', () => {
  const from = follow(base, 'north');
  const own = hide(follow(from, null), 'b');
  expect(merged(hide(from, 'a'), own, from)).toMatchObject({ conflicts: [] });
});
