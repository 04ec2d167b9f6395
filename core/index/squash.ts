import { relaid } from './relaid.ts';
import { isMuchPatched } from './relayPostings.ts';
import { packSections, type SectionArray } from './sections.ts';
import { openSnapshot, type Snapshot } from './snapshot.ts';

/** Patches that may lie over an index before they are made one: each keeps the memory of what it has replaced. */
const mostLayers = 6;

/**
 * The same snapshot with its patches made into one where there are many, and its postings laid anew where they changed
 * much. Cost: a copy of what the patches changed.
 */
export function squash(snapshot: Snapshot): Snapshot {
  const { layers, sections, postings } = snapshot;
  const isMuch = isMuchPatched(postings);
  if (layers.length <= mostLayers && !isMuch) return snapshot;
  const [base] = layers;
  const bottom = openSnapshot(base!)!.sections;
  const changed: Record<string, SectionArray> = {};
  for (const name of sections.names()) {
    const array = sections.array(name);
    if (bottom.names().includes(name) && bottom.array(name).buffer === array.buffer) continue;
    changed[name] = array;
  }
  if (!isMuch) return openSnapshot(base!, packSections(sections.meta, changed))!;
  const { arrays, toLay } = relaid(snapshot);
  for (const name of [...Object.keys(arrays), ...Object.keys(toLay.sizes)]) delete changed[name];
  return openSnapshot(base!, packSections(sections.meta, { ...changed, ...arrays }, toLay))!;
}
