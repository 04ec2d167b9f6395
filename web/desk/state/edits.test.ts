import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { DeskState } from '../../../api/stateSchema.ts';
import { type EntryEdit, withEntry } from '../../../core/setup/withEntry.ts';
import { knownState, stateKey } from './deskState.ts';
import { edit, step, useSaving } from './edits.ts';
import { queryClient } from './queryClient.ts';

/** A server that keeps what it is sent, answers when it is let, and may refuse. */
interface PretendServer {
  state: DeskState;
  readonly sent: EntryEdit[][];
  readonly asked: string[];
  refuses: { readonly code: string; readonly message: string } | null;
  /** Lets the next request be answered. */
  answer(): Promise<void>;
}

const weightOf = (state: DeskState | undefined, key: string): unknown =>
  (state?.setup.attributes as Record<string, { weight: number } | undefined> | undefined)?.[key]?.weight;
const weighs = (key: string, weight: number): EntryEdit => ({ part: 'attributes', key, value: { weight } });
const pause = (): Promise<void> => new Promise((done) => setTimeout(done));

function pretend(): PretendServer {
  const waiting: (() => void)[] = [];
  const server: PretendServer = {
    state: {
      revision: 1,
      setup: { attributes: { title: { weight: 10 }, brand: { weight: 2 } } },
      changes: [],
      canUndo: 'Brand weighs 2',
      canRedo: null,
    } as unknown as DeskState,
    sent: [],
    asked: [],
    refuses: null,
    async answer() {
      while (waiting.length === 0) await pause();
      waiting.shift()!();
      await pause();
    },
  };
  globalThis.fetch = async (address, init) => {
    const path = String(address);
    server.asked.push(path);
    await new Promise<void>((done) => waiting.push(done));
    if (server.refuses && init?.method === 'POST') return Response.json({ error: server.refuses }, { status: 409 });
    if (path === '/desk/edits') {
      const { edits } = JSON.parse(String(init?.body)) as { edits: EntryEdit[] };
      server.sent.push(edits);
      let { setup } = server.state;
      for (const each of edits) setup = withEntry(setup, each);
      server.state = { ...server.state, setup, revision: server.state.revision + 1 };
    }
    if (path === '/desk/undo') server.state = { ...server.state, revision: server.state.revision + 1, canUndo: null };
    return Response.json(server.state);
  };
  return server;
}

const realFetch = globalThis.fetch;
let server: PretendServer;
beforeEach(() => {
  server = pretend();
  queryClient.setQueryData(stateKey, server.state);
});
afterEach(() => {
  globalThis.fetch = realFetch;
  queryClient.clear();
});

describe('an edit', () => {
  test('shows at once, before the server has it, and is told as being saved until then', async () => {
    const saved = edit(weighs('brand', 7));
    expect(weightOf(knownState(), 'brand')).toBe(7);
    expect(useSaving.getState().isSaving).toBe(true);
    expect(weightOf(server.state, 'brand')).toBe(2);
    await server.answer();
    await saved;
    expect(weightOf(server.state, 'brand')).toBe(7);
    expect(useSaving.getState().isSaving).toBe(false);
    expect(knownState()?.revision).toBe(2);
  });

  test('made while another is on its way waits for it, and only where a slider came to rest is sent', async () => {
    const saved = edit(weighs('brand', 3));
    for (const weight of [4, 5, 6]) void edit(weighs('brand', weight));
    void edit(weighs('title', 9));
    await server.answer();
    // What the server answered first does not take back what was done since.
    expect([weightOf(knownState(), 'brand'), weightOf(knownState(), 'title')]).toEqual([6, 9]);
    await server.answer();
    await saved;
    expect(server.sent).toEqual([[weighs('brand', 3)], [weighs('brand', 6), weighs('title', 9)]]);
    expect([weightOf(server.state, 'brand'), weightOf(server.state, 'title')]).toEqual([6, 9]);
  });

  test('of very many entries goes in several requests, none lost', async () => {
    const many = Array.from({ length: 1100 }, (_, at) => weighs(`a${at}`, at));
    const saved = edit(...many);
    for (let turn = 0; turn < 3; turn++) await server.answer();
    await saved;
    expect(server.sent.map(({ length }) => length)).toEqual([500, 500, 100]);
    expect(weightOf(server.state, 'a1099')).toBe(1099);
  });

  test('that is refused is taken back where it shows, and what waited behind it is not sent', async () => {
    server.refuses = { code: 'stale-write', message: 'Somebody changed this since you looked.' };
    const saved = edit(weighs('brand', 8));
    void edit(weighs('title', 1));
    await server.answer();
    await saved;
    expect(server.sent).toEqual([]);
    expect(useSaving.getState().isSaving).toBe(false);
    expect(queryClient.getQueryState(stateKey)?.isInvalidated).toBe(true);
  });

  test('that takes an entry away takes it away', async () => {
    const saved = edit({ part: 'attributes', key: 'brand', value: null });
    expect(weightOf(knownState(), 'brand')).toBeUndefined();
    await server.answer();
    await saved;
    expect(Object.keys(server.state.setup.attributes)).toEqual(['title']);
  });
});

test('taking back waits for the edit that is on its way', async () => {
  void edit(weighs('brand', 5));
  const back = step('undo');
  await server.answer();
  expect(server.asked.slice(0, 2)).toEqual(['/desk/edits', '/desk/undo']);
  await server.answer();
  await back;
  expect(knownState()?.canUndo).toBeNull();
});
