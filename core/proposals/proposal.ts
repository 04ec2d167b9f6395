import type { EntryEdit } from '../setup/withEntry.ts';

export const proposalKinds = [
  'attribute',
  'weights',
  'filter',
  'tieBreaker',
  'stopWords',
  'synonyms',
  'phrases',
  'neverCorrected',
] as const;
export type ProposalKind = (typeof proposalKinds)[number];

/** Something the merchandiser may want to decide about a catalog, and why. Nothing of it happens by itself. */
export interface Proposal {
  /** The same for the same proposal, so that it is not made again once declined. */
  readonly id: string;
  readonly kind: ProposalKind;
  readonly title: string;
  /** In a sentence. */
  readonly reason: string;
  readonly edits: readonly EntryEdit[];
  /**
   * Whether its evidence is strong: what the catalog itself is, what shoppers did, or that two words are one in the
   * language. Else it rests on likeness, and somebody should look at it first.
   */
  readonly isSure: boolean;
  /** The words it is about, where it is about words; several that belong together as one text. */
  readonly words?: readonly string[];
}

/** The proposal that words mean the same; `words` are those it is about, whose searches it is tried on. */
export const meanTheSame = (
  id: string,
  same: readonly string[],
  reason: string,
  words: readonly string[],
  isSure: boolean,
): Proposal => ({
  id: `${id}:${same.join('=')}`.slice(0, 200),
  kind: 'synonyms',
  title: `${quoted(same)} are synonyms`,
  reason,
  edits: [
    {
      part: 'vocabulary',
      key: `same-${same.join('-')}`.slice(0, 80),
      value: { what: 'synonyms', words: [...same], on: true },
    },
  ],
  isSure,
  words,
});

/** Words as they stand in a sentence. */
export const quoted = (words: readonly string[]): string => words.map((word) => `“${word}”`).join(', ');
