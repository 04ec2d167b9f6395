import { expect, test } from '@jest/globals';
import { isLive, keyOf, liveOf, nameOf, readName, type SetupRef } from './setupRef.ts';

const refs: readonly SetupRef[] = [
  { storefront: 'main', draft: 'main' },
  { storefront: 'main', draft: 'winter-2' },
  { storefront: 'main', release: 12 },
  liveOf('main'),
];

test('a name is read as it is written', () => {
  for (const ref of refs) expect(readName('main', nameOf(ref))).toEqual(ref);
});

test('no two setups have one key, whatever they are called', () => {
  const drafts = ['live', '12', 'release'].map((draft) => ({ storefront: 'main', draft }));
  const others = [{ storefront: 'main-2', draft: 'main' }];
  const all = [...refs, ...drafts, ...others];
  expect(new Set(all.map(keyOf)).size).toBe(all.length);
});

test.each([
  '',
  'draft:',
  'draft:-x',
  'draft:Winter',
  'draft:a/b',
  'release:0',
  'release:x',
  'live',
  `draft:${'a'.repeat(41)}`,
])('“%s” names no setup', (text) => expect(readName('main', text)).toBeNull());

test('only what follows publishing is live', () => expect(refs.filter(isLive)).toEqual([liveOf('main')]));
