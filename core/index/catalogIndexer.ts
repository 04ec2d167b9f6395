import { type AttributeProfile, attributeProfiler, hasValueColumn } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { type Twins, twinFinder } from '../catalog/twins.ts';
import type { Language } from '../text/languages.ts';
import { type SnapshotBuilder, snapshotBuilder } from './buildSnapshot.ts';

/** Records by which it is guessed how the whole catalog's attributes will read. */
const usualForGuess = 5000;

export interface IndexedCatalog {
  readonly profiles: readonly AttributeProfile[];
  readonly twins: readonly Twins[];
  /** The snapshot; null where the attributes read otherwise in the end than they were guessed, so that it must be built from these profiles. */
  readonly snapshot: SharedArrayBuffer | null;
}

/** What an index is laid out by: which attributes there are, and how the words and values of each are kept. */
const layoutOf = (profiles: readonly AttributeProfile[]): string =>
  JSON.stringify(profiles.map((profile) => [profile.key, profile.kind, hasValueColumn(profile)]));

/**
 * Profiles a catalog, finds its twins and builds its index in one reading. An index is laid out by the profiles, which
 * are known after the last record only; so it is begun by those of the first records, and stands where the whole
 * catalog's agree in what matters for it, as they nearly always do. Cost: that of the three, and the first
 * `recordsForGuess` records in memory.
 */
export function catalogIndexer(
  language: Language,
  recordsForGuess = usualForGuess,
): {
  /** Takes the next record, in catalog order. */
  add(record: CatalogRecord): void;
  /** Null where a family's records did not come one after another: nothing can be said of them in this order. */
  finish(): IndexedCatalog | null;
} {
  const profiler = attributeProfiler();
  const twins = twinFinder();
  const closed = new Set<string>();
  let family: string | null = null;
  let isApart = false;
  let first: CatalogRecord[] = [];
  let guess = '';
  let builder: SnapshotBuilder | null = null;
  const begin = (): SnapshotBuilder => {
    const guesser = attributeProfiler();
    for (const record of first) guesser.add(record);
    const profiles = guesser.finish();
    guess = layoutOf(profiles);
    builder = snapshotBuilder(profiles, language);
    for (const record of first) builder.add(record);
    first = [];
    return builder;
  };
  return {
    add(record) {
      if (isApart) return;
      if (record.familyId !== family) {
        if (family !== null) closed.add(family);
        family = record.familyId;
        isApart = closed.has(family);
        if (isApart) {
          builder = null;
          first = [];
          return;
        }
      }
      profiler.add(record);
      twins.add(record);
      if (builder) builder.add(record);
      else if (first.push(record) === recordsForGuess) begin();
    },
    finish() {
      if (isApart) return null;
      const built = builder ?? begin();
      const profiles = profiler.finish();
      return {
        profiles,
        twins: twins.finish(),
        snapshot: layoutOf(profiles) === guess ? built.finish(profiles) : null,
      };
    },
  };
}
