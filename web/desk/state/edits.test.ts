import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import type { DeskState } from '../../../api/stateSchema.ts';
import { type EntryEdit, withEntry } from '../../../core/setup/withEntry.ts';
import { knownState, readState, stateKey } from './deskState.ts';
import { askBeforeLeaving, edit, step, useSaving } from './edits.ts';
import { clientHere } from './queryClient.ts';

/** A server that keeps what it is sent, answers when it is let, and may refuse. */
interface PretendServer {
  state: DeskState;
  readonly sent: EntryEdit[][];
  readonly asked: string[];
  /** Refuses whatever changes this entry. */
  refusesEntry: string | null;
  /** Lets the next request be answered. */
  answer(): Promise<void>;
  /** Lets the one that came last be answered before those that came earlier. */
  answerLast(): Promise<void>;
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
    refusesEntry: null,
    async answer() {
      while (waiting.length === 0) await pause();
      waiting.shift()!();
      await pause();
    },
    async answerLast() {
      waiting.pop()!();
      await pause();
    },
  };
  globalThis.fetch = async (address, init) => {
    const path = String(address);
    server.asked.push(path);
    await new Promise<void>((done) => waiting.push(done));
    if (path === '/desk/-/-/edits') {
      const { edits } = JSON.parse(String(init?.body)) as { edits: EntryEdit[] };
      if (edits.some(({ key }) => key === server.refusesEntry))
        return Response.json({ error: { code: 'stale-write', message: 'Somebody changed this.' } }, { status: 409 });
      server.sent.push(edits);
      let { setup } = server.state;
      for (const each of edits) setup = withEntry(setup, each);
      server.state = { ...server.state, setup, revision: server.state.revision + 1 };
    }
    if (path === '/desk/-/-/undo') {
      const { revision } = JSON.parse(String(init?.body)) as { revision: number };
      if (revision !== server.state.revision)
        return Response.json({ error: { code: 'stale-write', message: 'Somebody changed this.' } }, { status: 409 });
      server.state = { ...server.state, revision: server.state.revision + 1, canUndo: null };
    }
    return Response.json(server.state);
  };
  return server;
}

const realFetch = globalThis.fetch;
let server: PretendServer;
beforeEach(() => {
  server = pretend();
  clientHere().setQueryData(stateKey, server.state);
});
afterEach(() => {
  globalThis.fetch = realFetch;
  clientHere().clear();
});

describe('an edit', () => {
  test('shows at once, before the server has it, and is reported as being saved until then', async () => {
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

  test('that is refused takes back only itself: what waited behind it is saved', async () => {
    server.refusesEntry = 'brand';
    const saved = edit(weighs('brand', 8));
    void edit(weighs('title', 1));
    await server.answer();
    await server.answer();
    expect([weightOf(knownState(), 'brand'), weightOf(knownState(), 'title')]).toEqual([2, 1]);
    await server.answer();
    await saved;
    expect(server.sent).toEqual([[weighs('title', 1)]]);
    expect([weightOf(knownState(), 'brand'), weightOf(knownState(), 'title')]).toEqual([2, 1]);
    expect(useSaving.getState().isSaving).toBe(false);
  });

  test('that is refused together with others is found, and the others are saved', async () => {
    server.refusesEntry = 'brand';
    const saved = edit(weighs('size', 3));
    for (const each of [weighs('title', 1), weighs('brand', 8), weighs('colour', 4)]) void edit(each);
    // The first, all three together, then each by itself with the state read anew behind the one that is refused.
    for (let turn = 0; turn < 6; turn++) await server.answer();
    await saved;
    expect(server.sent).toEqual([[weighs('size', 3)], [weighs('title', 1)], [weighs('colour', 4)]]);
    expect(['title', 'brand', 'colour'].map((key) => weightOf(knownState(), key))).toEqual([1, 2, 4]);
  });

  test('that takes an entry away takes it away', async () => {
    const saved = edit({ part: 'attributes', key: 'brand', value: null });
    expect(weightOf(knownState(), 'brand')).toBeUndefined();
    await server.answer();
    await saved;
    expect(Object.keys(server.state.setup.attributes)).toEqual(['title']);
  });
});

test('the page is not left without asking while something is not saved', async () => {
  const page = new EventTarget();
  const names = ['addEventListener', 'removeEventListener'] as const;
  Object.assign(globalThis, Object.fromEntries(names.map((name) => [name, page[name].bind(page)])));
  const askMeNoMore = askBeforeLeaving();
  const isAsked = (): boolean => !page.dispatchEvent(new Event('beforeunload', { cancelable: true }));
  expect(isAsked()).toBe(false);
  const saved = edit(weighs('brand', 7));
  expect(isAsked()).toBe(true);
  await server.answer();
  await saved;
  expect(isAsked()).toBe(false);
  const later = edit(weighs('brand', 8));
  askMeNoMore();
  expect(isAsked()).toBe(false);
  await server.answer();
  await later;
  for (const name of names) delete (globalThis as Record<string, unknown>)[name];
});

test('taking back waits for the edit that is on its way', async () => {
  void edit(weighs('brand', 5));
  const back = step('undo');
  await server.answer();
  expect(server.asked.slice(0, 2)).toEqual(['/desk/-/-/edits', '/desk/-/-/undo']);
  await server.answer();
  await back;
  expect(knownState()?.canUndo).toBeNull();
});

test('what is edited while a step back is on its way is saved after it, and what was edited before it, before', async () => {
  void edit(weighs('brand', 5));
  void edit(weighs('brand', 6));
  const back = step('undo');
  const saved = edit(weighs('brand', 8));
  void edit(weighs('title', 1));
  expect(weightOf(knownState(), 'brand')).toBe(8);
  for (let turn = 0; turn < 4; turn++) await server.answer();
  await back;
  await saved;
  const [edits, undo] = ['/desk/-/-/edits', '/desk/-/-/undo'];
  expect(server.asked).toEqual([edits, edits, undo, edits]);
  expect(server.sent).toEqual([[weighs('brand', 5)], [weighs('brand', 6)], [weighs('brand', 8), weighs('title', 1)]]);
  expect(weightOf(knownState(), 'brand')).toBe(8);
  expect(useSaving.getState().isSaving).toBe(false);
});

test('undo asked for twice, however quickly, undoes two steps', async () => {
  const both = Promise.all([step('undo'), step('undo')]);
  await server.answer();
  await server.answer();
  await both;
  expect(server.asked).toEqual(['/desk/-/-/undo', '/desk/-/-/undo']);
  expect(knownState()?.revision).toBe(3);
});

test('a state that was being read while something was saved does not show what was before', async () => {
  const old = server.state;
  const reading = clientHere().fetchQuery({ queryKey: stateKey, queryFn: readState, staleTime: 0 });
  void edit(weighs('brand', 7));
  while (server.asked.length < 2) await pause();
  server.state = old;
  await server.answerLast();
  expect(knownState()?.revision).toBe(2);
  server.state = old;
  await server.answer();
  await reading;
  expect([knownState()?.revision, weightOf(knownState(), 'brand')]).toEqual([2, 7]);
});
