import { pathToFileURL } from 'node:url';
import { afterEach, describe, expect, test } from '@jest/globals';
import { liveOf } from '../../core/setup/setupRef.ts';
import { dataFolder } from '../dataFolder.ts';
import type { CatalogHandle, LaneTask } from './benches.ts';
import { type LanedSearcher, lanedSearcher } from './searcher.ts';

const worker = pathToFileURL('server/testing/rememberingWorker.mjs');
const reader = (generation: number) => ({ generation, buffer: new SharedArrayBuffer(8) });
const put = async (): Promise<void> => {};
let searcher: LanedSearcher;
afterEach(() => searcher.end());

type Options = Partial<Parameters<typeof lanedSearcher>[0]>;
function open(options: Options = {}): LanedSearcher {
  const openLater = async (storefront: string): Promise<CatalogHandle> => ({
    storefront,
    generation: 900,
    shared: new SharedArrayBuffer(8),
  });
  searcher = lanedSearcher({ folder: dataFolder('nowhere'), worker, openLater, ...options });
  return searcher;
}
/** Asks a shoppers' thread about a storefront, which answers with all that it was given so far, the question at the end. */
async function given(storefront: string): Promise<LaneTask[]> {
  const answer: unknown = await searcher.warm(liveOf(storefront), 0, [], 0);
  return answer as LaneTask[];
}
async function answeredFrom(storefront: string): Promise<number | undefined> {
  const last = (await given(storefront)).at(-1);
  return last && 'about' in last ? last.about.generation : undefined;
}

describe('a catalog is put in force', () => {
  test('questions are answered from the one before it until it is', async () => {
    open();
    await searcher.handOver('main', reader(1), put);
    let during: number | undefined;
    await searcher.handOver('main', reader(2), async () => {
      during = await answeredFrom('main');
    });
    expect([during, await answeredFrom('main')]).toEqual([1, 2]);
    // Who reads the one before is not told to stop at once.
    expect(searcher.used()).toEqual(new Set([1, 2]));
  });

  test('where it cannot be, they are answered as before and nothing of it is kept', async () => {
    const freed = new Promise<string>((resolve) => open({ whenFree: resolve }));
    await searcher.handOver('main', reader(1), put);
    const refused = searcher.handOver('main', reader(2), () => Promise.reject(new Error('no room on the disk')));
    await expect(refused).rejects.toThrow('no room on the disk');
    expect(await answeredFrom('main')).toBe(1);
    expect(await freed).toBe('main');
    expect(await given('main')).toContainEqual({ letGo: { storefront: 'main', generation: 2 } });
    expect(searcher.used()).toEqual(new Set([1]));
  });

  test('one storefront’s leaves the others where they are', async () => {
    open();
    await searcher.handOver('main', reader(1), put);
    await searcher.handOver('germany', reader(2), put);
    await searcher.handOver('germany', reader(3), put);
    expect([await answeredFrom('main'), await answeredFrom('germany')]).toEqual([1, 3]);
  });
});

test('the storefront asked least recently is closed where the indexes take too much, and opened when it is asked', async () => {
  const closed: string[] = [];
  open({ mostBytes: 16, whenClosed: (storefront) => closed.push(storefront) });
  await searcher.handOver('main', reader(1), put);
  await searcher.handOver('germany', reader(2), put);
  await answeredFrom('main');
  await searcher.handOver('france', reader(3), put);
  expect(closed).toEqual(['germany']);
  expect([await answeredFrom('main'), await answeredFrom('germany')]).toEqual([1, 900]);
});

describe('threads answer searches ahead', () => {
  const searchesAhead = (tasks: readonly LaneTask[]): number[] =>
    tasks.flatMap((task) =>
      'question' in task && task.question.call === 'warm' ? task.question.given[3] * task.question.given[2].length : [],
    );

  test('before shoppers are sent to them', async () => {
    open();
    await searcher.handOver('main', reader(1), put);
    expect(searchesAhead(await given('main'))[0]).toBeGreaterThan(0);
  });

  test('but where they begin cold', async () => {
    open({ isCold: true });
    await searcher.handOver('main', reader(1), put);
    await searcher.handOver('main', reader(2), put);
    const tasks = searchesAhead(await given('main'));
    expect(tasks.length).toBeGreaterThan(1);
    expect(new Set(tasks)).toEqual(new Set([0]));
  });
});
