import { afterAll, beforeEach, expect, test } from '@jest/globals';
import { liveShop } from './shopClient.ts';
import { createVisitNotes } from './visitNotes.ts';

const stored = new Map<string, string>();
(globalThis as Record<string, unknown>).sessionStorage = {
  getItem: (name: string) => stored.get(name) ?? null,
  setItem: (name: string, text: string) => stored.set(name, text),
};
const browser: { doNotTrack: string | null; globalPrivacyControl?: boolean } = { doNotTrack: null };
Object.defineProperty(globalThis, 'navigator', { value: browser, configurable: true });
const realFetch = globalThis.fetch;
/** What was sent, as paths with the search and the product. */
let sent: string[] = [];
globalThis.fetch = async (url, init) => {
  const { search, product, kind } = JSON.parse(String(init?.body)) as Record<string, unknown>;
  sent.push([String(url).split('/').at(-1), kind, search, product].filter(Boolean).join(' '));
  return Response.json({ id: 7 });
};
afterAll(() => {
  globalThis.fetch = realFetch;
});
beforeEach(() => {
  sent = [];
});

const client = liveShop({ storefront: 'main' });
const notes = createVisitNotes(() => client, false);
const search = (query: string, page = 1) => notes.search({ query, filters: {}, page } as never, 3);

test('a search is noted once, with what came of it', async () => {
  search('red ink');
  search('red ink');
  search('red ink', 2);
  await notes.outcome('click', 'a', 1);
  await notes.outcome('basket', 'a');
  expect(sent).toEqual(['search red ink', 'outcome click 7 a', 'outcome basket 7 a']);
});

test('what was found in the box is not the last search’s doing, until it is clicked among its results', async () => {
  search('blue ink');
  notes.openedBesides('b');
  await notes.outcome('basket', 'b');
  expect(sent).toEqual(['search blue ink']);
  await notes.outcome('basket', 'c');
  await notes.outcome('click', 'b', 2);
  await notes.outcome('basket', 'b');
  expect(sent.slice(1)).toEqual(['outcome basket 7 c', 'outcome click 7 b', 'outcome basket 7 b']);
});

test('a browser that asks not to be followed is not', async () => {
  browser.doNotTrack = '1';
  search('green ink');
  notes.click({ inBox: true, search: 'gre', kind: 'search', target: 'green ink' });
  browser.doNotTrack = null;
  browser.globalPrivacyControl = true;
  search('grey ink');
  browser.globalPrivacyControl = false;
  expect(sent).toEqual([]);
  notes.click({ inBox: true, search: 'gre', kind: 'search', target: 'green ink' });
  expect(sent).toEqual(['choice search gre']);
});
