import { perSnapshot } from '../index/perSnapshot.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Signal } from './signals.ts';

/**
 * Where a product stands on a day, from 0 to 2³² − 1: FNV-1a over the day and the product's id, mixed once more. The same on
 * every machine for the whole day, and whatever else is in the catalog.
 */
export function shuffledPlace(id: string, day: number): number {
  const text = `${day}/${id}`;
  let hash = 0x811c9dc5;
  for (let at = 0; at < text.length; at++) hash = Math.imul(hash ^ text.charCodeAt(at), 0x01000193);
  hash = Math.imul(hash ^ (hash >>> 16), 0x85ebca6b);
  return (hash ^ (hash >>> 13)) >>> 0;
}

const known = perSnapshot<Signal>(2);
/** The order of one day, in days since 1970. Cost: a pass over the families, once for a day. */
export const shuffleOf = (snapshot: Snapshot, day: number): Signal =>
  known(snapshot, String(day), () => {
    const values = Float64Array.from({ length: snapshot.families }, (_, family) =>
      shuffledPlace(snapshot.familyId(family), day),
    );
    return { attribute: 'shuffle', direction: 'low', byRecord: false, values, keys: values };
  });
