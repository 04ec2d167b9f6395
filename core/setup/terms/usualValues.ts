/** What holds of spelling where a setup does not say. */
export const usualSpelling = { oneEditFrom: 4, twoEditsFrom: 7, atOnce: true, offers: 3 } as const;

/** What an attribute without an entry is: not read, not shown, and as heavy as the lightest once it is switched on. */
export const unsetAttribute = { searchable: false, weight: 1, onCard: false } as const;

/** Ratings at the mean that a product's own are weighed against, at first. */
export const usualPull = 10;
