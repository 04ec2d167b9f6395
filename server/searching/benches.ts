import { openCatalog } from '../catalog/catalogReader.ts';
import type { DataFolder } from '../dataFolder.ts';
import { openDatabase } from '../store/database.ts';
import { answerQuestion, type LocalSearch, openLocalSearch, type Question } from './localSearch.ts';
import { type Follows, openWorkbench } from './workbench.ts';

/** A generation of a storefront's catalog, as threads are handed it: the index is shared, the rows are read from the file. */
export interface CatalogHandle {
  readonly storefront: string;
  readonly generation: number;
  readonly shared: SharedArrayBuffer;
}

/** What a thread is given to do. */
export type LaneTask =
  | { readonly about: CatalogHandle; readonly question: Question }
  /** Lets go of a generation that is asked about no more. */
  | { readonly letGo: { readonly storefront: string; readonly generation: number } };

/**
 * Bytes of shared indexes that one thread keeps workbenches for; the one asked least recently is let go beyond, but never
 * the last one. What a workbench adds to its index has a limit of its own, and is some 12 MB for each
 * setup of 20,000 decisions.
 */
export const indexBytesKept = 1_500_000_000;

const keyOf = ({ storefront, generation }: Pick<CatalogHandle, 'storefront' | 'generation'>): string =>
  `${storefront}/${generation}`;

/** Everything one thread answers from: workbenches of storefronts, opened when they are first asked about. */
export function openBenches(options: {
  readonly folder: DataFolder;
  readonly now: () => number;
  readonly follows: Follows;
  readonly mostBytes?: number;
}): { perform(task: LaneTask): unknown; open(): readonly string[] } {
  const { folder, now, follows, mostBytes = indexBytesKept } = options;
  const db = openDatabase(folder.database, { readOnly: true });
  /** The one asked last at the end. */
  const benches = new Map<string, { readonly local: LocalSearch; readonly bytes: number; close(): void }>();
  const letGo = (key: string): void => {
    benches.get(key)?.close();
    benches.delete(key);
  };
  const open = (about: CatalogHandle): LocalSearch => {
    const key = keyOf(about);
    const known = benches.get(key);
    if (known) {
      benches.delete(key);
      benches.set(key, known);
      return known.local;
    }
    const { storefront, generation, shared } = about;
    const reader = openCatalog(folder, generation, shared);
    const local = openLocalSearch(openWorkbench({ folder, storefront, db, reader, now, follows }));
    benches.set(key, { local, bytes: shared.byteLength, close: reader.close });
    let bytes = [...benches.values()].reduce((sum, each) => sum + each.bytes, 0);
    for (const [other, { bytes: freed }] of benches) {
      if (bytes <= mostBytes || other === key) break;
      letGo(other);
      bytes -= freed;
    }
    return local;
  };
  return {
    perform(task) {
      if ('question' in task) return answerQuestion(open(task.about), task.question);
      letGo(keyOf(task.letGo));
      return undefined;
    },
    open: () => [...benches.keys()],
  };
}
