import { packSections, type SectionArray } from './sections.ts';
import { openSnapshot, type Snapshot } from './snapshot.ts';

/** Patches that may lie over an index before they are made one: each keeps the memory of what it has replaced. */
const mostLayers = 6;

/** The same snapshot with its patches made into one where there are many. Cost: a copy of what the patches changed. */
export function squash(snapshot: Snapshot): Snapshot {
  const { layers, sections } = snapshot;
  if (layers.length <= mostLayers) return snapshot;
  const [base] = layers;
  const bottom = openSnapshot(base!)!.sections;
  const changed: Record<string, SectionArray> = {};
  for (const name of sections.names()) {
    const array = sections.array(name);
    if (bottom.names().includes(name) && bottom.array(name).buffer === array.buffer) continue;
    changed[name] = array;
  }
  return openSnapshot(base!, packSections(sections.meta, changed))!;
}
