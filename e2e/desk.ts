import { type APIRequestContext, expect, type FrameLocator, type Page } from '@playwright/test';
import { test as base } from './sharedContext.ts';

/** The shop as it was opened: what a test that failed halfway had published is taken back. */
async function firstReleaseLive(request: APIRequestContext): Promise<void> {
  const { releases } = (await (await request.get('/desk/releases')).json()) as {
    releases: { number: number; live: boolean; note: string }[];
  };
  if (!releases.some(({ number, live, note }) => live && (number === 1 || note === 'Release 1 again')))
    await request.post('/desk/releases/again', { data: { number: 1 } });
}

/** The demo's catalog in force: what a test that failed halfway had brought in is put back. */
async function demoCatalogLive(request: APIRequestContext): Promise<void> {
  const { file, earlier } = (await (await request.get('/desk/catalog')).json()) as {
    file: string;
    earlier: { generation: number; file: string }[];
  };
  const demo = earlier.find((each) => each.file === 'catalog.csv');
  if (file === 'catalog.csv' || !demo) return;
  await request.post('/desk/catalog/put-back', { data: { generation: demo.generation } });
}

async function undoAll(request: APIRequestContext): Promise<void> {
  for (;;) {
    const state = (await (await request.get('/desk/state')).json()) as { revision: number; canUndo: string | null };
    if (!state.canUndo) return;
    await request.post('/desk/undo', { data: { revision: state.revision } });
  }
}

/** Publishes the draft once a part of it is as it was set: an edit may still be on its way. */
export async function publishOnce(
  request: APIRequestContext,
  part: string,
  isSet: Record<string, unknown>,
): Promise<void> {
  await expect(async () => {
    const { revision, setup, changes } = (await (await request.get('/desk/state')).json()) as {
      revision: number;
      setup: Record<string, object>;
      changes: unknown[];
    };
    expect(setup[part]).toMatchObject(isSet);
    // What is live already needs no publishing.
    if (changes.length === 0) return;
    const published = await request.post('/desk/publish', { data: { revision, note: '' } });
    expect(published.ok()).toBe(true);
  }).toPass();
}

/**
 * Every test begins with nothing changed and nothing published since the shop was opened, however the one before it ended. So
 * none undoes at its end what it did, which an open desk would follow step by step.
 */
export const test = base.extend<{ nothingChanged: undefined }>({
  nothingChanged: [
    async ({ request }, use) => {
      await demoCatalogLive(request);
      await firstReleaseLive(request);
      await undoAll(request);
      await use(undefined);
    },
    { auto: true },
  ],
});

/** The desk as a merchandiser uses it, for the tests. */
export interface Desk {
  readonly page: Page;
  readonly shop: FrameLocator;
  /** `folded`: the screen takes the window's room. */
  open(path: string, how?: { readonly folded?: boolean }): Promise<void>;
  /** To another screen, as a link on the desk leads there, until all of it has come: where the desk is open, nothing is loaded anew. */
  go(path: string): Promise<void>;
  trial(query: string): Promise<void>;
  /** Titles in the shop window, in order, after it has settled. */
  titles(): Promise<string[]>;
  /** Products the window says it found. */
  total(): Promise<number>;
  /** Opens the menu of the n-th product (from 1) in the window and chooses an item. */
  choose(place: number, item: string | RegExp): Promise<void>;
  unpublished(): Promise<number>;
  undoAll(): Promise<void>;
}

export function deskOn(page: Page): Desk {
  const shop = page.frameLocator('iframe[title="The shop as shoppers see it"]');
  const settled = async (): Promise<void> => {
    await expect(shop.locator('main[aria-busy="false"]')).toBeVisible();
  };
  return {
    page,
    shop,
    async open(path, how = {}) {
      await page.goto(path);
      await expect(page.getByRole('heading', { level: 1 })).toBeVisible();
      if (!how.folded) await settled();
    },
    async go(path) {
      const isOfDesk = (address: string): boolean => !new URL(address, page.url()).pathname.startsWith('/shop');
      if (!isOfDesk(page.url()) || !isOfDesk(path)) return void (await page.goto(path));
      // What is open stands before the screen: a storefront and a draft.
      const [, storefront, draft] = new URL(page.url()).pathname.split('/');
      await page.evaluate(async (to) => {
        history.pushState(null, '', to);
        dispatchEvent(new PopStateEvent('popstate'));
        // Two frames later the screen before it has gone.
        for (let frame = 0; frame < 2; frame++) await new Promise(requestAnimationFrame);
      }, `/${storefront}/${draft}${path}`);
      // What is worked out beside shoppers' searches may take its time.
      const comes = page.getByRole('main').getByRole('status').filter({ hasText: / …$/ });
      await expect(comes).toHaveCount(0, { timeout: 120_000 });
    },
    async trial(query) {
      const field = page.getByLabel('Trial search', { exact: true });
      await field.fill(query);
      await field.press('Enter');
      const heading = query ? `Results for “${query}”` : 'Everything in the shop';
      await expect(shop.getByRole('heading', { level: 1, name: heading })).toBeVisible();
      await settled();
    },
    async titles() {
      await settled();
      return shop.locator('[data-product] h2').allTextContents();
    },
    async total() {
      await settled();
      const text = await shop.locator('main').getByRole('status').innerText();
      return Number(text.replace(/[^\d]/g, ''));
    },
    async choose(place, item) {
      await shop.getByRole('button', { name: new RegExp(`^Place ${place}\\b`) }).click();
      await shop.getByRole('menuitem', { name: item }).click();
    },
    async unpublished() {
      const state = await page.request.get('/desk/state');
      return ((await state.json()) as { changes: unknown[] }).changes.length;
    },
    undoAll: () => undoAll(page.request),
  };
}
