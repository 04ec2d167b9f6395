import { relaid } from '../index/relaid.ts';
import { packSections } from '../index/sections.ts';
import { openSnapshot, type Snapshot } from '../index/snapshot.ts';

/** A patched index with its postings and deletions laid one after another again, as a fresh build has them. */
export function laidAnew(snapshot: Snapshot): Snapshot {
  const { arrays, toLay } = relaid(snapshot);
  return openSnapshot(...snapshot.layers, packSections(snapshot.sections.meta, arrays, toLay))!;
}
