import { afterEach, beforeAll, describe, expect, test } from '@jest/globals';
import { allChosen, type ChosenProducts, isChosen } from './chosenProducts.ts';

/** A browser's storage, as far as the desk keeps things in it. */
const stored = new Map<string, string>();
const globals = globalThis as Record<string, unknown>;
globals.window = globals;
globals.localStorage = {
  getItem: (name: string) => stored.get(name) ?? null,
  setItem: (name: string, text: string) => stored.set(name, text),
  removeItem: (name: string) => stored.delete(name),
};
const kept = (name: string): unknown => JSON.parse(stored.get(name)!).state;

// The stores read what is kept as soon as they are there, so the storage must be there before them.
let useTrial: typeof import('./trial.ts')['useTrial'];
let recallTrial: typeof import('./trial.ts')['recallTrial'];
let useProductTable: typeof import('./productTable.ts')['useProductTable'];
let useShopWindow: typeof import('./shopWindow.ts')['useShopWindow'];
beforeAll(async () => {
  ({ recallTrial, useTrial } = await import('./trial.ts'));
  ({ useProductTable } = await import('./productTable.ts'));
  ({ useShopWindow } = await import('./shopWindow.ts'));
});

describe('trial searches', () => {
  test('are kept tidy, the last tried first, each once, twelve of them', () => {
    const { search } = useTrial.getState();
    for (let at = 0; at < 14; at++) search(`search ${at}`);
    search('  search   5 ');
    const { query, recent } = useTrial.getState();
    expect(query).toBe('search 5');
    expect(recent).toHaveLength(12);
    expect(recent.slice(0, 3)).toEqual(['search 5', 'search 13', 'search 12']);
    expect(recent.filter((each) => each === 'search 5')).toHaveLength(1);
  });
  test('a desk that was used begins with what was tried last, not with what shoppers search for', () => {
    useTrial.getState().begin(['brush', 'ink']);
    expect(useTrial.getState().query).toBe('search 5');
    useTrial.setState({ query: '', recent: [] });
    useTrial.getState().begin(['brush', 'ink']);
    expect(useTrial.getState()).toMatchObject({ query: 'brush', recent: ['brush', 'ink'] });
    useTrial.setState({ query: '', recent: [] });
    useTrial.getState().begin([]);
    expect(useTrial.getState()).toMatchObject({ query: '', recent: [] });
    for (const each of ['search 12', 'search 13', 'search 5']) useTrial.getState().search(each);
  });
  test('everything is a trial search too, and not one to come back to', () => {
    const before = useTrial.getState().recent;
    useTrial.getState().search('   ');
    expect(useTrial.getState()).toMatchObject({ query: '', recent: before });
  });
  test('each storefront has its own, and goes on with them', () => {
    const before = useTrial.getState().recent;
    recallTrial('north');
    expect(useTrial.getState()).toMatchObject({ query: '', recent: [] });
    useTrial.getState().search('pinsel');
    recallTrial('-');
    expect(useTrial.getState().recent).toEqual(before);
    recallTrial('north');
    expect(useTrial.getState()).toMatchObject({ query: 'pinsel', recent: ['pinsel'] });
    recallTrial('-');
  });
  test('can be forgotten, and are there when the page comes again', () => {
    useTrial.getState().forget('search 13');
    expect(useTrial.getState().recent).not.toContain('search 13');
    expect(kept('clever-shelf.trial')).toMatchObject({ query: '', recent: useTrial.getState().recent });
  });
});

describe('the catalog’s table', () => {
  const chosen = (): ChosenProducts => useProductTable.getState().chosen;
  afterEach(() => useProductTable.getState().set({ query: '', state: 'all', filters: {}, missing: [] }));
  test('products are chosen one by one, or all that are listed', () => {
    useProductTable.getState().choose('a', true);
    useProductTable.getState().choose('b', true);
    useProductTable.getState().choose('a', false);
    expect(isChosen(chosen(), 'a')).toBe(false);
    expect(isChosen(chosen(), 'b')).toBe(true);
    useProductTable.getState().set({ chosen: allChosen });
    expect(isChosen(chosen(), 'anything')).toBe(true);
  });
  test('what is chosen was chosen from the former list', () => {
    useProductTable.getState().choose('a', true);
    useProductTable.getState().set({ sort: { key: 'price', direction: 'up' } });
    expect(isChosen(chosen(), 'a')).toBe(true);
    useProductTable.getState().set({ query: 'ink' });
    expect(isChosen(chosen(), 'a')).toBe(false);
  });
  test('one taken out of all leaves the others, until another list is looked at', () => {
    useProductTable.getState().set({ chosen: allChosen });
    useProductTable.getState().choose('a', false);
    expect([isChosen(chosen(), 'a'), isChosen(chosen(), 'b')]).toEqual([false, true]);
    useProductTable.getState().set({ query: 'ink' });
    expect(isChosen(chosen(), 'b')).toBe(false);
  });
  test('columns are there when the page comes again, what was looked for is not', () => {
    useProductTable.getState().set({ columns: ['title', 'price'], query: 'ink' });
    expect(kept('clever-shelf.catalog-table')).toEqual({ columns: ['title', 'price'], kind: 'products' });
  });
});

describe('the shop window', () => {
  test('is folded by hand, and unfolding takes its room back from the screen', () => {
    useShopWindow.getState().yieldRoom(true);
    useShopWindow.getState().fold(true);
    expect(useShopWindow.getState()).toMatchObject({ isFolded: true, yieldsRoom: true });
    useShopWindow.getState().fold(false);
    expect(useShopWindow.getState()).toMatchObject({ isFolded: false, yieldsRoom: false });
  });
  test('where it stands in the editor’s place, another screen takes that back', () => {
    useShopWindow.getState().fold(false);
    expect(useShopWindow.getState().isInstead).toBe(true);
    useShopWindow.getState().showEditor();
    expect(useShopWindow.getState()).toMatchObject({ isInstead: false, isFolded: false });
  });
  test('every change that may show is another turn', () => {
    const { turn, refresh } = useShopWindow.getState();
    refresh();
    refresh();
    expect(useShopWindow.getState().turn).toBe(turn + 2);
  });
});
