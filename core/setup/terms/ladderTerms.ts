/**
 * The steps by which a search that finds nothing as it was typed is tried again, in the order in which they usually are:
 * each one is allowed besides those before it, until something is found.
 */
export const rungs = ['synonyms', 'spelling', 'words', 'filters', 'meaning', 'wholeShop'] as const;
export type Rung = (typeof rungs)[number];

/** What a step is called at the desk, and what it does. */
export const rungTexts: Readonly<Record<Rung, { readonly name: string; readonly does: string }>> = {
  synonyms: { name: 'Synonyms', does: 'Finds words that mean the same, from your vocabulary' },
  spelling: { name: 'Corrected spelling', does: 'Takes a misspelt word for the likeliest one of the catalog' },
  words: { name: 'Dropped words', does: 'Leaves out as few words as can be' },
  filters: {
    name: 'Loosened filters',
    does: 'Takes values and conditions recognised in the search as plain words again',
  },
  meaning: {
    name: 'Nearest in meaning',
    does: 'Looks for what shoppers tried next, or opened the same products with, and for related words of the dictionary',
  },
  wholeShop: { name: 'The whole shop', does: 'On a collection’s page, looks outside the collection' },
};

/** Steps switched on and off here; corrections are switched where spelling is set. */
export const switchedRungs = [
  'synonyms',
  'words',
  'filters',
  'meaning',
  'wholeShop',
] as const satisfies readonly Rung[];

/** The steps in their order, and those that are off. */
export interface Ladder {
  readonly order: readonly Rung[];
  readonly off: readonly (typeof switchedRungs)[number][];
}
export const usualLadder: Ladder = { order: rungs, off: [] };
