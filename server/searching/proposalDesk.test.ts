import { expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
import { laneOf } from './localSearch.ts';
import { openProposalDesk } from './proposalDesk.ts';

const draft = { storefront: 'main', draft: 'main' };
const live = liveOf('main');
const effect = {
  areMadeUp: false,
  looked: 5,
  finding: 5,
  changed: 2,
  times: 3,
  foundBefore: 9,
  foundAfter: 11,
  fewer: 0,
};
const worked = { ...effect, rescued: [], examples: ['brush'] };

function asked() {
  const calls: string[] = [];
  let version = '1';
  let isFailing = false;
  const desk = openProposalDesk(
    {
      proposals: async (_, group) => {
        calls.push(`list ${group}`);
        if (isFailing) throw new Error('The thread has ended.');
        return group === 'settings'
          ? ['a', 'b', 'c'].map((id) => ({
              id: `${id}${version}`,
              kind: 'filter' as const,
              title: id,
              reason: '',
              isSure: true,
            }))
          : [];
      },
      proposalEffects: async (_, __, ids) => {
        calls.push(`effects ${ids.join(' ')}`);
        return ids.map(() => worked);
      },
    },
    draft,
    () => version,
  );
  return {
    calls,
    desk,
    change: (to: string) => {
      version = to;
    },
    fail: (fails: boolean) => {
      isFailing = fails;
    },
  };
}

test('proposals come group by group while they are worked out, and are there at once the second time', async () => {
  const { calls, desk } = asked();
  expect(desk.look()).toMatchObject({ proposals: [], isComplete: false });
  const all = await desk.complete();
  expect(all.proposals.map(({ id }) => id)).toEqual(['a1', 'b1', 'c1']);
  expect(calls).toEqual([
    ...['list settings', 'effects a1 b1', 'effects c1'],
    ...['list words', 'list meanings', 'list neighbours', 'list weights'],
  ]);
  expect(desk.look()).toMatchObject({ isComplete: true, done: 3, of: 3 });
  expect(calls).toHaveLength(7);
});

test('when something they depend on changes they are worked out anew, and the work before ends', async () => {
  const { calls, desk, change } = asked();
  desk.look();
  change('2');
  const all = await desk.complete();
  expect(all.proposals.map(({ id }) => id)).toEqual(['a2', 'b2', 'c2']);
  expect(calls.filter((call) => call === 'list neighbours')).toHaveLength(1);
});

test('work that broke off is begun again when it is asked for again', async () => {
  const { desk, fail } = asked();
  fail(true);
  await expect(desk.complete()).rejects.toThrow('has ended');
  fail(false);
  expect((await desk.complete()).proposals).toHaveLength(3);
});

test('a shopper’s search waits in the shop’s lane; what a desk looks at, and what takes long, in others', () => {
  const request = { query: 'brush', filters: {}, page: 1, limit: 5 };
  expect(laneOf({ call: 'answer', given: [live, { request }] })).toBe('shop');
  expect(laneOf({ call: 'answer', given: [draft, { request }] })).toBe('desk');
  expect(laneOf({ call: 'answer', given: [live, { request: { ...request, marks: true } }] })).toBe('desk');
  expect(laneOf({ call: 'proposals', given: [draft, 'words'] })).toBe('long');
  expect(laneOf({ call: 'exportCatalog', given: [draft, 'csv'] })).toBe('long');
});
