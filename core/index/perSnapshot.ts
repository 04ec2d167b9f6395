import type { Snapshot } from './snapshot.ts';

/** What was worked out for a snapshot, by what it was worked out from. */
export type PerSnapshot<T> = (snapshot: Snapshot, key: string, make: () => T) => T;

/**
 * Remembers what is worked out from a snapshot and a few settings, as long as the snapshot is in use: at most `most`
 * things for each, of which the one that was not asked for longest is forgotten first.
 */
export function perSnapshot<T>(most: number): PerSnapshot<T> {
  const all = new WeakMap<Snapshot, Map<string, T>>();
  return (snapshot, key, make) => {
    const known = all.get(snapshot) ?? new Map<string, T>();
    all.set(snapshot, known);
    const value = known.has(key) ? known.get(key)! : make();
    known.delete(key);
    known.set(key, value);
    if (known.size > most) known.delete(known.keys().next().value!);
    return value;
  };
}
