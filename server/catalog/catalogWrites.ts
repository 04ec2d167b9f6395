import { constants, copyFileSync, existsSync } from 'node:fs';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { Shop } from '../../core/setup/terms/shop.ts';
import { type EntryEdit, withEntries } from '../../core/setup/withEntry.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { Refused } from '../refused.ts';
import type { Db } from '../store/database.ts';
import { firstDraft, openSetupStore } from '../store/setupStore.ts';
import { openCatalog } from './catalogReader.ts';
import { type AcceptedFacts, acceptFacts, type FactChange, factsAfter, factsLent } from './facts.ts';
import type { ImportedCatalog } from './importCatalog.ts';

/** Writes about the catalog generations of storefronts. */
/** What a storefront's setup begins with besides what its catalog proposes. */
export interface Beginning {
  readonly shop: Shop;
  readonly entries: readonly EntryEdit[];
}

export interface CatalogWrites {
  /** A number no generation of any storefront ever had, and none will have again. */
  reserveGeneration(storefront: string): number;
  /**
   * Puts a new generation in force in one transaction; with the first one, the setup to begin with is made. Refused,
   * with nothing changed, where its files are not there.
   */
  putInForce(storefront: string, imported: PutInForce, file: string, at: number, beginning?: Beginning): void;
  /** Copies an earlier generation to a reserved number, what feeds said since laid over it; it is not in force yet. */
  putBack(storefront: string, generation: number, fresh: number): PutInForce & { readonly file: string };
  /** Takes changed figures into the generation in force. */
  acceptFacts(storefront: string, changes: readonly FactChange[], at: number): AcceptedFacts;
}

/** What has to be known of a generation to put it in force. */
export type PutInForce = Pick<
  ImportedCatalog,
  'generation' | 'records' | 'families' | 'rejected' | 'indexBytes' | 'lent' | 'base' | 'factsSeen'
>;

interface ImportRow {
  readonly file: string;
  readonly records: number;
  readonly families: number;
  readonly rejected: number;
  readonly index_bytes: number;
  readonly lent: number;
}

function refuseMissing(folder: DataFolder, generation: number): void {
  const missing = Object.values(generationFiles(folder, generation)).find((path) => !existsSync(path));
  if (missing)
    throw new Refused(409, {
      code: 'catalog-files-missing',
      message: `${missing} is missing, so the catalog stays as it is. Import the file again.`,
    });
}

export function openCatalogWrites(db: Db, folder: DataFolder): CatalogWrites {
  const readGeneration = db.prepare<[string], number>('SELECT generation FROM storefront WHERE id = ?').pluck();
  const reserve = db
    .prepare<[string], number>('INSERT INTO catalog_generation (storefront) VALUES (?) RETURNING number')
    .pluck();
  const readImport = db.prepare<[number, string], ImportRow>(
    'SELECT file, records, families, rejected, index_bytes, lent FROM catalog_import WHERE generation = ? AND storefront = ?',
  );
  const addImport = db.prepare(
    `INSERT INTO catalog_import (generation, storefront, file, at, records, families, rejected, index_bytes, lent)
     VALUES (@generation, @storefront, @file, @at, @records, @families, @rejected, @indexBytes, @lent)`,
  );
  const setGeneration = db.prepare('UPDATE storefront SET generation = ? WHERE id = ?');
  const dropFactNote = db.prepare('DELETE FROM fact_note WHERE storefront = ?');
  const noteFacts = db.prepare('INSERT OR REPLACE INTO fact_note (storefront, facts_at) VALUES (?, ?)');
  const borrowers = db.prepare<[string], string>('SELECT id FROM storefront WHERE shares = ?').pluck();
  const generationOf = (storefront: string): number => readGeneration.get(storefront) ?? 0;
  /** Takes what holds of some facts for a storefront that shares the records into its catalog; answers whether that changed anything. */
  const lend = (lender: string, borrower: string, changes: readonly FactChange[], at: number): boolean => {
    const [from, to] = [generationOf(lender), generationOf(borrower)];
    const lent = to === 0 ? [] : factsLent(folder, from, to, changes);
    if (lent.length === 0 || acceptFacts(folder, to, lent).changed === 0) return false;
    noteFacts.run(borrower, at);
    return true;
  };
  return {
    reserveGeneration: (storefront) => reserve.get(storefront)!,
    putInForce(storefront, imported, file, at, beginning) {
      refuseMissing(folder, imported.generation);
      const inForce = generationOf(storefront);
      const isFirst = inForce === 0;
      // What a feed said while the rows were read and looked at is newer than they are.
      const later =
        imported.base > 0 && imported.base === inForce ? factsAfter(folder, imported.base, imported.factsSeen) : [];
      if (later.length > 0) acceptFacts(folder, imported.generation, later);
      const attributes = isFirst ? openCatalog(folder, imported.generation).snapshot.attributes : [];
      const { records, families, rejected, indexBytes, lent } = imported;
      db.transaction(() => {
        addImport.run({
          ...{ generation: imported.generation, storefront, file, at },
          ...{ records, families, rejected, indexBytes, lent },
        });
        setGeneration.run(imported.generation, storefront);
        dropFactNote.run(storefront);
        if (!isFirst) return;
        const setups = openSetupStore(db, { storefront, draft: firstDraft });
        const live = setups.live();
        if (live) setups.beginWithCatalog(initialSetup(attributes, live.setup.storefront.shop), at);
        else setups.begin(withEntries(initialSetup(attributes, beginning?.shop), beginning?.entries ?? []), at);
      }).immediate();
    },
    putBack(storefront, earlier, fresh) {
      const row = readImport.get(earlier, storefront);
      if (!row)
        throw new Refused(409, { code: 'unknown-catalog', message: 'There is no such earlier catalog any more.' });
      refuseMissing(folder, earlier);
      const [from, to] = [generationFiles(folder, earlier), generationFiles(folder, fresh)];
      // Where the file system can, a copy shares its blocks with the original until one of them changes.
      copyFileSync(from.records, to.records, constants.COPYFILE_FICLONE);
      copyFileSync(from.index, to.index, constants.COPYFILE_FICLONE);
      const inForce = generationOf(storefront);
      const said = inForce > 0 ? factsAfter(folder, inForce, -1) : [];
      if (said.length > 0) acceptFacts(folder, fresh, said);
      const { index_bytes: indexBytes, ...counts } = row;
      return { ...counts, indexBytes, generation: fresh, base: 0, factsSeen: 0 };
    },
    acceptFacts(storefront, changes, at) {
      const accepted = acceptFacts(folder, generationOf(storefront), changes);
      if (accepted.changed === 0) return accepted;
      noteFacts.run(storefront, at);
      const reached = borrowers.all(storefront).filter((borrower) => lend(storefront, borrower, changes, at));
      return { ...accepted, reached };
    },
  };
}
