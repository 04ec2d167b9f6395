import { existsSync, readdirSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import { join } from 'node:path';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import type { Db } from '../store/database.ts';
import { type CatalogReader, catalogKeepsRows, openCatalog } from './catalogReader.ts';

export interface CatalogInfo {
  readonly generation: number;
  readonly file: string;
  readonly at: number;
  readonly records: number;
  readonly families: number;
  readonly rejected: number;
  readonly index_bytes: number;
  /** The generation of another storefront's catalog whose rows it was read from; 0: none. */
  readonly lent: number;
}

/** Generations before the one in force that are kept, so that a catalog can be put back. */
const earlierKept = 3;

/** Which catalog generation of one storefront is in force, and the reader for it. Reads only; see `catalogWrites.ts`. */
export interface CatalogStore {
  /** The generation in force, 0 where no catalog has come in yet. */
  generation(): number;
  /** The reader of the generation in force, opened anew after it changed; null where there is none. */
  current(): CatalogReader | null;
  /** The same where it is open already, and null where it would have to be opened. */
  opened(): CatalogReader | null;
  /** Lets go of the reader; it is opened anew when it is asked for. */
  letGo(): void;
  /** Hands over a reader that is open already, for when its generation is put in force. */
  adopt(reader: CatalogReader): void;
  info(): CatalogInfo | null;
  /** Catalogs before the one in force whose files are still there, newest first. */
  earlier(): CatalogInfo[];
  /** The generation a new catalog can be compared with: the one in force, or 0 where its rows are not kept. */
  comparable(): number;
  /** When a feed last changed something of the catalog in force, or null. */
  factsAt(): number | null;
  /**
   * Removes files of this storefront's generations that are neither in force, nor kept, nor `used` by somebody: leftovers of a crash and
   * of catalogs replaced. Files that are none of ours stay.
   */
  tidy(used: ReadonlySet<number>): Promise<void>;
}

/** A file of a generation, with what SQLite and a write under way leave beside it. */
const ownFile = /^(\d{1,15})\.(sqlite|index)(-journal|-wal|-shm|\.part)?$/;

export function openCatalogStore(db: Db, folder: DataFolder, storefront: string): CatalogStore {
  const readGeneration = db.prepare<[string], number>('SELECT generation FROM storefront WHERE id = ?').pluck();
  const readOwn = db.prepare<[string], number>('SELECT number FROM catalog_generation WHERE storefront = ?').pluck();
  const readImports = db.prepare<[string], CatalogInfo>(
    `SELECT generation, file, at, records, families, rejected, index_bytes, lent FROM catalog_import
     WHERE storefront = ? ORDER BY generation DESC LIMIT 50`,
  );
  const readFactsAt = db.prepare<[string], number>('SELECT facts_at FROM fact_note WHERE storefront = ?').pluck();
  let reader: CatalogReader | null = null;
  let adopted: CatalogReader | null = null;
  /** A damaged index is not read with every question while it is built again: that one is adopted. */
  let failed: { readonly generation: number; readonly error: unknown } | null = null;
  const open = (number: number): CatalogReader => {
    if (failed?.generation === number) throw failed.error;
    try {
      return openCatalog(folder, number);
    } catch (error) {
      failed = { generation: number, error };
      throw error;
    }
  };
  const generation = (): number => readGeneration.get(storefront) ?? 0;
  const isThere = (number: number): boolean =>
    Object.values(generationFiles(folder, number)).every((path) => existsSync(path));
  const earlier = (): CatalogInfo[] => {
    const now = generation();
    return readImports
      .all(storefront)
      .filter((each) => each.generation < now && isThere(each.generation))
      .slice(0, earlierKept);
  };
  return {
    generation,
    current() {
      const now = generation();
      if (now === 0) return null;
      // The old reader is left to the garbage collector: a request may still be reading by it.
      if (reader?.generation !== now) reader = adopted?.generation === now ? adopted : open(now);
      return reader;
    },
    opened() {
      const now = generation();
      return [reader, adopted].find((each) => each?.generation === now) ?? null;
    },
    letGo() {
      reader = null;
      adopted = null;
    },
    adopt(opened) {
      adopted = opened;
      failed = null;
    },
    info: () => readImports.all(storefront).find((each) => each.generation === generation()) ?? null,
    earlier,
    factsAt: () => readFactsAt.get(storefront) ?? null,
    comparable() {
      const now = generation();
      return now > 0 && catalogKeepsRows(folder, now) ? now : 0;
    },
    async tidy(used) {
      const kept = new Set([generation(), ...earlier().map((each) => each.generation), ...used]);
      const own = new Set(readOwn.all(storefront));
      const names = existsSync(folder.catalogs) ? readdirSync(folder.catalogs) : [];
      const isLeft = (name: string): boolean => {
        const number = Number(ownFile.exec(name)?.[1] ?? Number.NaN);
        return own.has(number) && !kept.has(number);
      };
      // Removing the files of 100,000 records takes 0.4 s, so it is not done in the thread that asks.
      await Promise.all(names.filter(isLeft).map((name) => rm(join(folder.catalogs, name), { force: true })));
    },
  };
}
