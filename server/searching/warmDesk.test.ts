import { expect, test } from '@jest/globals';
import { type DraftRef, keyOf, liveOf } from '../../core/setup/setupRef.ts';
import { openTestShelf, smallCatalog } from '../testing/openTestShelf.ts';
import type { LaneTask } from './benches.ts';
import { answerQuestion, openLocalSearch } from './localSearch.ts';
import { warmDesk } from './warmDesk.ts';
import { openWorkbench, type Ready } from './workbench.ts';

/** A shop with drafts and a lane of one thread, this one, that tells which setups are made ready in it. */
async function deskOf(drafts: readonly string[]) {
  const shelf = openTestShelf();
  await shelf.bringIn(smallCatalog);
  const refs = drafts.map((draft): DraftRef => ({ storefront: 'main', draft }));
  const later = Date.now() + 1_000;
  for (const [at, { storefront, draft }] of refs.entries())
    await shelf.writer.beginDraft(storefront, { name: draft, note: '', from: liveOf(storefront) }, 'Ann', later + at);
  const reader = shelf.catalogs.current()!;
  const bench = openWorkbench({ folder: shelf.folder, storefront: 'main', db: shelf.db, reader, now: () => 3 });
  const made = new Map<string, Ready>();
  const local = openLocalSearch({
    ...bench,
    readyAt(ref, moment) {
      const ready = bench.readyAt(ref, moment);
      made.set(keyOf(ref), ready);
      return ready;
    },
  });
  const asked: string[] = [];
  const run = async (task: unknown): Promise<unknown> => {
    const { question } = task as Extract<LaneTask, { readonly question: unknown }>;
    asked.push(question.call === 'follow' ? keyOf(question.given[0]) : question.call);
    return answerQuestion(local, question);
  };
  const each = async (task: unknown): Promise<void> => void (await run(task));
  const about = { storefront: 'main', generation: reader.generation, shared: reader.buffer };
  return { shelf, refs, bench, made, asked, run, lane: { run, atOnce: each, inTurn: each }, about };
}

test('drafts worked on last are ready afterwards, one task each, the one worked on last at the end', async () => {
  const { shelf, refs, bench, made, asked, lane, about } = await deskOf(['winter', 'spring', 'sale']);
  await warmDesk(lane, about, () => false);
  expect(asked.filter((call) => call.startsWith('main'))).toEqual(
    expect.arrayContaining(refs.map((ref) => keyOf(ref))),
  );
  expect(asked.at(-1)).toBe(keyOf(refs.at(-1)!));
  for (const ref of refs) expect(bench.ready(ref)).toBe(made.get(keyOf(ref)));
  shelf.remove();
});

test('a draft that cannot be made ready keeps no other from it', async () => {
  const { shelf, refs, bench, made, lane, about } = await deskOf(['winter', 'spring', 'sale']);
  const inTurn = async (task: unknown): Promise<void> => {
    const { question } = task as Extract<LaneTask, { readonly question: unknown }>;
    if (question.call === 'follow' && keyOf(question.given[0]) === keyOf(refs[1]!)) throw new Error('It is gone.');
    await lane.inTurn(task);
  };
  await warmDesk({ ...lane, inTurn }, about, () => false);
  expect(made.has(keyOf(refs[1]!))).toBe(false);
  for (const ref of [refs[0]!, refs[2]!]) expect(bench.ready(ref)).toBe(made.get(keyOf(ref)));
  shelf.remove();
});

test('where the storefront is let go meanwhile, nothing more is made ready', async () => {
  const { shelf, made, asked, refs, lane, about } = await deskOf(['winter', 'spring']);
  await warmDesk(lane, about, () => made.has(keyOf(refs[0]!)));
  expect(asked.at(-1)).toBe(keyOf(refs[0]!));
  expect(made.has(keyOf(refs[1]!))).toBe(false);
  shelf.remove();
});
