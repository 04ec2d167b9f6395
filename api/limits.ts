/** Limits of single requests, each once: endpoints hold to them, the interface ends at them. */

/** Edits of the draft in one request. */
export const mostEdits = 500;
/** Cells of products set in one request. */
export const mostCells = 5000;
/** Products named one by one in one request. */
export const mostIds = 20_000;
/** Things of a basket that are asked about at once. */
export const mostBeside = 200;
/** A picture brought in as a file, in bytes. */
export const largestPicture = 8 * 1024 ** 2;
/** A release's note, in characters. */
export const longestNote = 300;
/** What a storefront, a draft or a person is called at the desk, in characters. */
export const longestName = 60;
/** For how many days a preview link may be made. */
export const previewDays = [1, 7, 30, 90] as const;
/** Keys of one storefront for pages of other sites, and sites of one key. */
export const mostShopKeys = 20;
export const mostOrigins = 20;
/** Questions in one minute that a key may be for. */
export const perMinuteOf = { least: 5, usual: 1200, most: 60_000 } as const;
/** Storefronts one data folder may hold. */
export const mostStorefronts = 50;
/** For how many days a storefront’s history, and what its shoppers do, may be kept. */
export const historyDays = [90, 365, 730] as const;
/** Dead ends mended in one step. */
export const mostMendedAtOnce = 50;
