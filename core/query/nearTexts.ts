/** What says that two searches, or two words, mean nearly the same. */
export const nearSources = ['tried', 'opened', 'dictionary'] as const;
export type NearSource = (typeof nearSources)[number];

/** A search, or a word of one, that another may be taken for. */
export interface NearText {
  readonly text: string;
  /** What shoppers tried next, what they opened the same products with, or what a dictionary says. */
  readonly from: NearSource;
}

/**
 * What is near in meaning to the words of a search, side by side; the nearest first. `mayBeMisspelt` says whether a word that is
 * known only with a slip in it counts as well.
 */
export type NearTexts = (words: string, mayBeMisspelt: boolean) => readonly NearText[];
export const noNearTexts: NearTexts = () => [];
