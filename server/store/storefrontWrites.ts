import { constants, copyFileSync, existsSync, rmSync } from 'node:fs';
import { mostStorefronts } from '../../api/limits.ts';
import { idFor } from '../../core/setup/idFor.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import type { Setup } from '../../core/setup/schema.ts';
import type { Shop } from '../../core/setup/terms/shop.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { noSuchStorefront, Refused } from '../refused.ts';
import type { Db } from './database.ts';
import { openFollowersReader } from './followers.ts';
import { firstDraft } from './setupStore.ts';
import type { SetupStores } from './setups.ts';
import { openStorefrontReader } from './storefronts.ts';

/** What a storefront is made with. */
export interface NewStorefront {
  /** What it is called at the desk. */
  readonly name: string;
  readonly shop: Shop;
  /** Another one whose live setup it begins with, and whether with its catalog; null: empty. */
  readonly from: { readonly storefront: string; readonly catalog: boolean } | null;
}

/** Writes about storefronts as wholes. */
export interface StorefrontWrites {
  /** Makes one; answers its id. `isReserved` tells ids that stand for something else in addresses. */
  makeStorefront(storefront: NewStorefront, who: string, at: number): string;
  nameStorefront(id: string, name: string): void;
  /** Closes it for shoppers, or opens it again. */
  archiveStorefront(id: string, at: number | null): void;
  /** Removes it with all that is kept of it, for good. The last one stays. */
  removeStorefront(id: string): void;
}

/** Tables with rows of storefronts besides its own, in an order in which they can be emptied. */
const ofStorefronts = [
  ...[
    'setup_entry',
    'journal',
    'draft_base',
    'preview',
    'draft',
    'release',
    'catalog_import',
    'catalog_generation',
    'fact_note',
  ],
  ...['search_log', 'log_note', 'mapping', 'family_correction', 'declined', 'content', 'content_version'],
] as const;
/** What goes with a catalog into a copy: how its files were read and put right, its articles and collections. */
const withCatalog = {
  mapping: 'shape, mapping, at',
  family_correction: 'record, family',
  content: 'kind, id, value',
  content_version: 'version',
} as const;

export function openStorefrontWrites(
  db: Db,
  folder: DataFolder,
  setups: SetupStores,
  isReserved: (id: string) => boolean,
): StorefrontWrites {
  const { storefronts, storefront: headOf } = openStorefrontReader(db);
  const followers = openFollowersReader(db, setups.releases);
  const add = db.prepare('INSERT INTO storefront (id, name, made_at) VALUES (?, ?, ?)');
  const rename = db.prepare('UPDATE storefront SET name = ? WHERE id = ?');
  const archive = db.prepare('UPDATE storefront SET archived_at = ? WHERE id = ?');
  const reserve = db
    .prepare<[string], number>('INSERT INTO catalog_generation (storefront) VALUES (?) RETURNING number')
    .pluck();
  const ownGenerations = db
    .prepare<[string], number>('SELECT number FROM catalog_generation WHERE storefront = ?')
    .pluck();

  const known = (id: string) => {
    const head = headOf(id);
    if (!head) throw noSuchStorefront();
    return head;
  };
  const refuseLast = (id: string, message: string): void => {
    if (storefronts().every((each) => each.id === id || each.archivedAt !== null))
      throw new Refused(409, { code: 'last-storefront', message });
  };
  const filesOf = (generation: number): string[] => Object.values(generationFiles(folder, generation));
  /** Copies a generation's files under a number of its own; where the file system can, blocks are shared. */
  const copyFiles = (from: number, to: number): void => {
    const [sources, targets] = [filesOf(from), filesOf(to)];
    for (const [at, source] of sources.entries()) copyFileSync(source, targets[at]!, constants.COPYFILE_FICLONE);
  };
  const beginning = ({ shop, from }: NewStorefront): Setup => {
    const copied = from ? setups.releases(from.storefront).live()?.setup : null;
    if (!copied) return initialSetup([], shop);
    return { ...copied, storefront: { ...copied.storefront, shop } };
  };
  const copyCatalog = db.transaction((id: string, from: string, generation: number, fresh: number): void => {
    db.prepare(
      `INSERT INTO catalog_import (generation, storefront, file, at, records, families, rejected, index_bytes)
       SELECT ?, ?, file, at, records, families, rejected, index_bytes FROM catalog_import WHERE generation = ? AND storefront = ?`,
    ).run(fresh, id, generation, from);
    db.prepare('UPDATE storefront SET generation = ? WHERE id = ?').run(fresh, id);
    for (const [table, columns] of Object.entries(withCatalog))
      db.prepare(
        `INSERT INTO ${table} (storefront, ${columns}) SELECT ?, ${columns} FROM ${table} WHERE storefront = ?`,
      ).run(id, from);
  });

  return {
    makeStorefront(given, who, at) {
      const { name, from } = given;
      const all = storefronts();
      if (all.length >= mostStorefronts)
        throw new Refused(409, {
          code: 'too-many-storefronts',
          message: `There are ${mostStorefronts} storefronts already.`,
        });
      const source = from ? known(from.storefront) : null;
      const id = idFor(name, (each) => isReserved(each) || all.some((other) => other.id === each));
      const isCopied = source !== null && from?.catalog === true && source.generation > 0;
      // The files first: what is not finished is tidied away, and no storefront is left without its catalog.
      const fresh = isCopied ? reserve.get(id)! : 0;
      try {
        if (isCopied) copyFiles(source.generation, fresh);
        db.transaction(() => {
          add.run(id, name, at);
          setups.draft({ storefront: id, draft: firstDraft }).begin(beginning(given), at, who);
          if (isCopied) copyCatalog(id, source.id, source.generation, fresh);
        }).immediate();
      } catch (error) {
        if (isCopied) for (const path of filesOf(fresh)) rmSync(path, { force: true });
        throw error;
      }
      return id;
    },
    nameStorefront(id, name) {
      known(id);
      rename.run(name, id);
    },
    archiveStorefront(id, at) {
      known(id);
      if (at !== null) refuseLast(id, 'This is the only storefront that is open, so it stays open.');
      archive.run(at, id);
    },
    removeStorefront(id) {
      known(id);
      refuseLast(id, 'This is the only storefront that is open. Make another one first.');
      const [follower] = followers.followers(id);
      if (follower !== undefined)
        throw new Refused(409, {
          code: 'is-followed',
          message: `The storefront “${headOf(follower)?.name || follower}” follows parts of this one. Make these its own and publish it first.`,
        });
      const generations = ownGenerations.all(id);
      db.transaction(() => {
        db.prepare(
          'DELETE FROM search_outcome WHERE search_id IN (SELECT id FROM search_log WHERE storefront = ?)',
        ).run(id);
        for (const table of ofStorefronts) db.prepare(`DELETE FROM ${table} WHERE storefront = ?`).run(id);
        db.prepare('DELETE FROM storefront WHERE id = ?').run(id);
      }).immediate();
      for (const path of generations.flatMap(filesOf)) if (existsSync(path)) rmSync(path, { force: true });
    },
  };
}
