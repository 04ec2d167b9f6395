import { beforeEach, expect, test } from '@jest/globals';
import type { SearchAnswer } from '../../core/answer/answer.ts';
import type { DeskView } from '../bridge/messages.ts';
import { ownAddress, theBasket } from './shopAddress.ts';
import type { ShopClient } from './shopClient.ts';
import { createShopper, type ShopperEvent, type ShopperOptions } from './shopper.ts';
import { freshSearch } from './shopperSearch.ts';

(globalThis as Record<string, unknown>).sessionStorage = { getItem: () => 'visit', setItem() {} };
Object.defineProperty(globalThis, 'navigator', { value: { doNotTrack: null }, configurable: true });
const stored = new Map<string, string>();
(globalThis as Record<string, unknown>).localStorage = {
  getItem: (name: string) => stored.get(name) ?? null,
  setItem: (name: string, text: string) => stored.set(name, text),
};
(globalThis as Record<string, unknown>).sessionStorage = globalThis.localStorage;
beforeEach(() => stored.clear());

/** A shop that finds two products for everything; a part number is the first one's. */
function opened(options: Partial<ShopperOptions> = {}) {
  const asked: string[] = [];
  const noted: unknown[] = [];
  const client = (name: string): ShopClient => ({
    ...{ name, storefront: 'main' },
    async search(query) {
      asked.push(`${name}: ${query.q}${query.collection && ` in ${query.collection}`}`);
      const { q, page } = query;
      return {
        ...{ query: q, page: Number(page), total: 2, results: [{ familyId: 'a' }, { familyId: 'b' }] },
        ...{ filterLayout: { keep: q === 'keep' }, leadsTo: q === 'WU-1' ? 'a' : null },
        filters: [{ key: 'colour', values: [{ value: 'Red' }] }],
      } as unknown as SearchAnswer;
    },
    suggest: async ({ q }) => ({ typed: q }) as never,
    product: async (id) => ({ id }) as never,
    article: async (id) => ({ id }) as never,
    async beside({ of, at }) {
      asked.push(`${name}: what goes with ${[of].flat().join(', ')} at ${at}`);
      return { things: [], currency: 'GBP', companions: [] };
    },
    note: async (what, body) => {
      noted.push([what, (body as { search: unknown }).search]);
      return { id: 7 } as never;
    },
  });
  const address = ownAddress();
  const events: ShopperEvent[] = [];
  const shopper = createShopper({
    ...{ address, desk: null, device: () => 'desktop' as const, now: () => 0 },
    clientFor: (view) => client(view?.from ?? 'shop'),
    tell: (event) => events.push(event) > 0,
    ...options,
  });
  const settled = (): Promise<void> => new Promise((done) => setTimeout(done, 5));
  return { shopper, address, asked, noted, events, settled, went: () => address.visited.map(address.hrefOf) };
}

test('a search is asked for where one is, is noted and remembered; the next begins without the filters', async () => {
  const { shopper, asked, noted, events, settled, went } = opened();
  shopper.searchEverywhere('ink');
  await settled();
  expect(shopper.results.getState()).toMatchObject({ data: { query: 'ink' }, isStale: false });
  shopper.go({ ...shopper.visit.getState().search, filters: { colour: ['Red'] } });
  await settled();
  shopper.searchEverywhere('paper');
  await settled();
  expect(went()).toEqual(['', '?q=ink', '?q=ink&f.colour=Red', '?q=paper']);
  expect(asked).toEqual(['shop: ', 'shop: ink', 'shop: ink', 'shop: paper']);
  expect(noted.map((note) => (note as string[])[1])).toEqual(['ink', 'ink', 'paper']);
  expect(shopper.recent.list()).toEqual(['paper', 'ink']);
  expect(events.map((event) => event.kind === 'search' && event.query)).toEqual(['ink', 'ink', 'paper']);
});

test('filters are kept where the shop keeps them', async () => {
  const { shopper, settled, went } = opened();
  shopper.go({ ...freshSearch, query: 'keep', filters: { colour: ['Red'] } });
  await settled();
  shopper.searchHere('ink');
  expect(went().at(-1)).toBe('?q=ink&f.colour=Red');
});

test('a part number that was searched for leads to its product, once', async () => {
  const { shopper, address, settled, went } = opened();
  shopper.searchEverywhere('WU-1');
  await settled();
  expect(went()).toEqual(['', '?q=WU-1', '/products/a?q=WU-1']);
  expect(shopper.product.getState().data).toEqual({ id: 'a' });
  address.go({ search: { ...freshSearch, query: 'WU-1' }, place: null });
  await settled();
  expect(went()).toHaveLength(4);
});

test('a click that the page takes upon itself leads nowhere here, and is noted all the same', async () => {
  const { shopper, noted, settled, went } = opened({ tell: ({ kind }) => kind !== 'click' });
  shopper.searchEverywhere('ink');
  await settled();
  shopper.choose({ familyId: 'b' }, 2);
  await settled();
  expect(went()).toEqual(['', '?q=ink']);
  expect(noted).toEqual([
    ['noteSearch', 'ink'],
    ['noteOutcome', 7],
  ]);
});

test('the box asks by itself, the values of a filter are looked through beside the results', async () => {
  const { shopper, settled } = opened();
  const box = shopper.createBox();
  box.ask('in', '');
  box.ask('ink', '');
  await settled();
  expect(box.state.getState().data).toEqual({ typed: 'ink' });
  expect(await shopper.lookThrough('colour', 're')).toEqual([{ value: 'Red' }]);
  expect(await shopper.lookThrough('constructor', 're')).toEqual([]);
});

test('what goes with the basket is asked once for the same things; what was opened is remembered for the visit', async () => {
  const { shopper, asked, settled } = opened();
  const beside = shopper.createBeside('basket');
  beside.ask(['v1', 'v2']);
  beside.ask(['v1', 'v2']);
  await settled();
  expect(asked.filter((question) => question.includes('goes with'))).toHaveLength(1);
  expect(beside.state.getState().data?.companions).toEqual([]);
  shopper.open('a');
  shopper.open('b');
  shopper.open('a');
  expect(shopper.opened.list()).toEqual(['a', 'b']);
});

test('the basket has a page of its own, which asks for nothing by itself', async () => {
  const { shopper, asked, settled, went } = opened();
  await settled();
  const before = asked.length;
  shopper.goTo(theBasket);
  await settled();
  expect(went().at(-1)).toMatch(/^\/basket/);
  expect(asked).toHaveLength(before);
});

const view: DeskView = {
  ...{
    query: 'ink',
    collection: '',
    draft: 'main',
    from: 'draft:main',
    turn: 1,
    at: '',
    page: null,
    box: null,
    theme: null,
  },
};
test('the desk’s window asks nothing before the desk has said what; only a new trial search moves it', async () => {
  const told: string[] = [];
  const desk = { shown: (query: string) => told.push(query), searched() {}, act() {} };
  let asks = 0;
  const { shopper, asked, settled, went } = opened({
    desk,
    clientFor: (seen) =>
      seen &&
      ({
        ...{ name: `${seen.from} ${seen.turn}`, storefront: 'main', note: null },
        search: async ({ q }: { q: string }) => {
          asks++;
          return { query: q, page: 1, total: 1, results: [], filterLayout: { keep: false } };
        },
        product: async (id: string) => ({ id, turn: seen.turn }),
      } as unknown as ShopClient),
  });
  await settled();
  expect([asked, asks]).toEqual([[], 0]);
  shopper.see(view);
  await settled();
  expect([went(), told, asks]).toEqual([['?q=ink'], ['ink'], 1]);
  // What is searched for in the window is let be when something is edited.
  shopper.searchEverywhere('paper');
  shopper.see({ ...view, turn: 2 });
  await settled();
  expect(shopper.visit.getState().search.query).toBe('paper');
  shopper.see({ ...view, turn: 2, page: { kind: 'product', id: 'a', asked: 1 } });
  await settled();
  expect(shopper.product.getState().data).toEqual({ id: 'a', turn: 2 });
  shopper.see({ ...view, turn: 3, page: { kind: 'product', id: 'a', asked: 1 } });
  expect(shopper.product.getState()).toMatchObject({ data: { id: 'a', turn: 2 }, isStale: true });
  shopper.see({ ...view, turn: 3 });
  await settled();
  expect(shopper.visit.getState()).toMatchObject({ place: null, search: { query: 'paper' } });
});
