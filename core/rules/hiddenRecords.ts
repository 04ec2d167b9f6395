import { hiddenMark } from '../index/recordMask.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Setup } from '../setup/schema.ts';
import type { Place } from '../setup/terms/placeTerms.ts';

/** The records hidden from a place by the file, by product or by tag, one byte a record; null where nothing is hidden. */
export function hiddenRecords(snapshot: Snapshot, setup: Setup, place: Place): Uint8Array | null {
  const hidings = Object.values(setup.hiding).filter(({ from }) => !from || from.includes(place));
  const byFile = snapshot.values.get('hidden');
  if (hidings.length === 0 && !byFile?.size) return null;
  const hidden = new Uint8Array(snapshot.records);
  const tags = snapshot.values.get('tags');
  const wanted = new Uint8Array(tags?.size ?? 0);
  for (const hiding of hidings) {
    if (hiding.what === 'tag') {
      const value = tags?.find(hiding.tag) ?? -1;
      if (value >= 0) wanted[value] = 1;
      continue;
    }
    const family = snapshot.findFamily(hiding.product);
    if (family >= 0) hidden.fill(hiddenMark, ...snapshot.recordsOf(family));
  }
  if (byFile?.size) {
    const any = new Uint8Array(byFile.size).fill(1);
    for (let record = 0; record < hidden.length; record++) if (byFile.hasAny(record, any)) hidden[record] = hiddenMark;
  }
  if (tags && wanted.includes(1))
    for (let record = 0; record < hidden.length; record++) if (tags.hasAny(record, wanted)) hidden[record] = hiddenMark;
  return hidden;
}
