import { relayPostings } from '../index/relayPostings.ts';
import { packSections } from '../index/sections.ts';
import { openSnapshot, type Snapshot } from '../index/snapshot.ts';

/** A patched index with its postings laid one after another again, as a fresh build has them. */
export function laidAnew({ layers, sections, postings }: Snapshot): Snapshot {
  const { arrays, toLay } = relayPostings(postings);
  return openSnapshot(...layers, packSections(sections.meta, arrays, toLay))!;
}
