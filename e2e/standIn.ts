import { type APIRequestContext, expect } from '@playwright/test';

/** The stand-in shop of another origin, whose pages show the search of the desk that most tests are at. */
export const standIn = `http://127.0.0.1:${process.env.SHELF_E2E_SHOP_SHOP}`;

/** Waits until it and its German storefront are served, a moment after the desk is. */
export async function standInServed(request: APIRequestContext): Promise<void> {
  const answers = (address: string): Promise<boolean> =>
    request.get(address).then(
      (answer) => answer.ok(),
      () => false,
    );
  for (const address of [standIn, '/shop/germany/search'])
    await expect.poll(() => answers(address), { timeout: 60_000 }).toBe(true);
}
