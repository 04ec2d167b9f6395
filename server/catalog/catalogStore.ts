import { readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { Shop } from '../../core/setup/shop.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { type Db, storefrontId } from '../store/database.ts';
import type { SetupStore } from '../store/setupStore.ts';
import { type CatalogReader, catalogKeepsRows, openCatalog } from './catalogReader.ts';
import { factsAfter, takeFacts } from './facts.ts';
import type { ImportedCatalog } from './importCatalog.ts';
import { openStandingCatalog, type StandingCatalog } from './standingCatalog.ts';

export interface CatalogInfo {
  readonly file: string;
  readonly at: number;
  readonly records: number;
  readonly families: number;
  readonly rejected: number;
  readonly index_bytes: number;
}

/** Which catalog generation is in force, and the reader for it. */
export interface CatalogStore {
  /** The generation in force, 0 where no catalog has come in yet. */
  generation(): number;
  /** The reader of the generation in force, opened anew after it changed; null where there is none. */
  current(): CatalogReader | null;
  /** The same as it stands under setups, feeds included; null where there is none. */
  standing(): StandingCatalog | null;
  info(): CatalogInfo | null;
  /** The generation a new catalog can be compared with: the one in force, or 0 where its rows are not kept. */
  comparable(): number;
  /** When a feed last changed something of the catalog in force, or null. */
  factsAt(): number | null;
  noteFacts(at: number): void;
  nextGeneration(): number;
  /** Puts a new generation in force in one transaction; with the first one, the setup to begin with is made. */
  putInForce(imported: ImportedCatalog, file: string, at: number, setups: SetupStore, firstShop?: Shop): void;
  /** Removes files of generations that are not in force: leftovers of a crash and of catalogs replaced. */
  tidy(): void;
}

export function openCatalogStore(db: Db, folder: DataFolder): CatalogStore {
  const readGeneration = db.prepare<[string], number>('SELECT generation FROM storefront WHERE id = ?').pluck();
  let reader: CatalogReader | null = null;
  let standing: StandingCatalog | null = null;
  const generation = (): number => readGeneration.get(storefrontId) ?? 0;
  const current = (): CatalogReader | null => {
    const now = generation();
    if (now === 0) return null;
    // The old reader is left to the garbage collector: a request may still be reading by it.
    if (reader?.generation !== now) reader = openCatalog(folder, now);
    return reader;
  };
  return {
    generation,
    current,
    standing() {
      const now = current();
      if (now && standing?.reader !== now) standing = openStandingCatalog(now);
      return now && standing;
    },
    info: () =>
      db
        .prepare<[number], CatalogInfo>(
          'SELECT file, at, records, families, rejected, index_bytes FROM catalog_import WHERE generation = ?',
        )
        .get(generation()) ?? null,
    factsAt: () =>
      db.prepare<[string], number>('SELECT facts_at FROM fact_note WHERE storefront = ?').pluck().get(storefrontId) ??
      null,
    noteFacts(at) {
      db.prepare('INSERT OR REPLACE INTO fact_note (storefront, facts_at) VALUES (?, ?)').run(storefrontId, at);
    },
    comparable() {
      const now = generation();
      return now > 0 && catalogKeepsRows(folder, now) ? now : 0;
    },
    nextGeneration() {
      const numbers = readdirSync(folder.catalogs).map((name) => Number.parseInt(name, 10) || 0);
      return Math.max(generation(), ...numbers) + 1;
    },
    putInForce(imported, file, at, setups, firstShop) {
      const isFirst = generation() === 0;
      // What a feed said while the rows were read and looked at is newer than they are.
      const later =
        imported.base > 0 && imported.base === generation()
          ? factsAfter(folder, imported.base, imported.factsSeen)
          : [];
      if (later.length > 0) takeFacts(folder, imported.generation, later);
      const attributes = isFirst ? openCatalog(folder, imported.generation).snapshot.attributes : [];
      db.transaction(() => {
        db.prepare(
          `INSERT INTO catalog_import (generation, storefront, file, at, records, families, rejected, index_bytes)
           VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
        ).run(
          imported.generation,
          storefrontId,
          file,
          at,
          imported.records,
          imported.families,
          imported.rejected,
          imported.indexBytes,
        );
        db.prepare('UPDATE storefront SET generation = ? WHERE id = ?').run(imported.generation, storefrontId);
        db.prepare('DELETE FROM fact_note WHERE storefront = ?').run(storefrontId);
        if (isFirst && setups.live() === null) setups.begin(initialSetup(attributes, firstShop), at);
      }).immediate();
    },
    tidy() {
      const files = generationFiles(folder, generation());
      // A journal left by a crash belongs to its database: without it a half-done change could not be taken back.
      const kept = new Set([...Object.values(files), `${files.records}-journal`]);
      for (const name of readdirSync(folder.catalogs)) {
        const path = join(folder.catalogs, name);
        if (!kept.has(path)) rmSync(path, { force: true });
      }
    },
  };
}
