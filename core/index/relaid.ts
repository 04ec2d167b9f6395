import { relayDeletions } from './deletionIndex.ts';
import { relayPostings } from './relayPostings.ts';
import type { SectionArray, ToLay } from './sections.ts';
import type { Snapshot } from './snapshot.ts';

/** What patches lay over an index's postings and deletions, laid as a fresh build has it. Cost: a copy of both. */
export function relaid({ postings, sections, terms }: Pick<Snapshot, 'postings' | 'sections' | 'terms'>): {
  readonly arrays: Readonly<Record<string, SectionArray>>;
  readonly toLay: ToLay;
} {
  const { arrays, toLay } = relayPostings(postings);
  return { arrays: { ...arrays, ...relayDeletions(sections, terms) }, toLay };
}
