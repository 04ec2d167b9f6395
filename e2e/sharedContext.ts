import {
  type Browser,
  type BrowserContext,
  type BrowserContextOptions,
  test as base,
  type Page,
} from '@playwright/test';

/** A browser's context that the tests of a worker have one after the other: what it loaded and compiled once stays so. */
export interface Shared {
  readonly context: BrowserContext;
  readonly kept: Page;
  /** Where pages of it have been, as far as something may be stored for there. */
  readonly origins: Set<string>;
}

const contextOptions = ({ baseURL, viewport }: BrowserContextOptions): BrowserContextOptions => ({
  ...(baseURL && { baseURL }),
  ...(viewport && { viewport }),
});

async function openShared(browser: Browser, options: BrowserContextOptions): Promise<Shared> {
  const context = await browser.newContext(options);
  // One page stays, so that the process does in which the pages of the same site run.
  const kept = await context.newPage();
  if (options.baseURL) await kept.goto('/favicon.svg');
  const origins = new Set<string>();
  context.on('page', (page) =>
    page.on('framenavigated', (frame) => {
      const { origin } = new URL(frame.url());
      if (origin !== 'null') origins.add(origin);
    }),
  );
  return { context, kept, origins };
}

/** A page of a context in which nothing is stored any more, as a browser that nobody has used has it. */
async function unusedPage({ context, origins }: Shared): Promise<Page> {
  await context.clearCookies();
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  for (const origin of origins)
    await session.send('Storage.clearDataForOrigin', { origin, storageTypes: 'local_storage,indexeddb' });
  await session.detach();
  origins.clear();
  return page;
}

/**
 * Tests begin with a page as a browser has it that nobody has used, but for what it keeps of files that never change: a
 * desk opens at half of what it takes in a browser that knows nothing. Those that are about what is sent to a browser, or
 * are touched, take a context of their own by `ownContext`.
 */
export const test = base.extend<{ ownContext: boolean }, { shared: Shared }>({
  ownContext: [false, { option: true }],
  shared: [
    async ({ browser }, use, { project }) => {
      const shared = await openShared(browser, contextOptions(project.use));
      await use(shared);
      await shared.context.close();
    },
    { scope: 'worker' },
  ],
  context: async ({ ownContext, shared, browser, baseURL, viewport, hasTouch }, use) => {
    if (ownContext) {
      const context = await browser.newContext({ ...contextOptions({ baseURL, viewport }), hasTouch });
      await use(context);
      await context.close();
      return;
    }
    await use(shared.context);
    for (const page of shared.context.pages()) if (page !== shared.kept) await page.close();
    await shared.context.unrouteAll();
  },
  page: async ({ ownContext, shared, context, viewport }, use) => {
    const page = ownContext ? await context.newPage() : await unusedPage(shared);
    if (viewport && page.viewportSize()?.width !== viewport.width) await page.setViewportSize(viewport);
    await use(page);
  },
});
