import { constants, copyFileSync, existsSync, rmSync } from 'node:fs';
import { mostStorefronts } from '../../api/limits.ts';
import { idFor } from '../../core/setup/idFor.ts';
import { initialSetup } from '../../core/setup/initialSetup.ts';
import { leaderOf } from '../../core/setup/leaderOf.ts';
import type { Setup } from '../../core/setup/schema.ts';
import { followableParts } from '../../core/setup/terms/followable.ts';
import type { Shop } from '../../core/setup/terms/shop.ts';
import type { Language } from '../../core/text/languages.ts';
import { type DataFolder, generationFiles } from '../dataFolder.ts';
import { noSuchStorefront, Refused } from '../refused.ts';
import type { Db } from './database.ts';
import { openFollowersReader } from './followers.ts';
import { firstDraft } from './setupStore.ts';
import type { SetupStores } from './setups.ts';
import { openStorefrontReader, type StorefrontHead } from './storefronts.ts';

/** What a storefront is made with. */
export interface NewStorefront {
  /** What it is called at the desk. */
  readonly name: string;
  readonly shop: Shop;
  /** The language its catalog is read in; null: the one its texts are in. */
  readonly language: Language | null;
  /**
   * Another one whose live setup it begins with, or follows in every part, and whether with a copy of its catalog, or
   * sharing its records; null: empty.
   */
  readonly from: {
    readonly storefront: string;
    readonly catalog: 'none' | 'copy' | 'share';
    readonly follow: boolean;
  } | null;
}

/** Writes about storefronts as wholes. */
export interface StorefrontWrites {
  /** Makes one; answers its id. `isReserved` tells ids that stand for something else in addresses. */
  makeStorefront(storefront: NewStorefront, who: string, at: number): string;
  nameStorefront(id: string, name: string): void;
  /** Has a storefront share another one's records from now on, or, with null, have what it has for its own. */
  shareCatalog(id: string, lender: string | null): void;
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
    'shop_key',
    'draft',
    'release',
    'catalog_import',
    'catalog_generation',
    'fact_note',
  ],
  ...[
    'search_log',
    'log_note',
    'mapping',
    'family_correction',
    'declined',
    'content',
    'content_version',
    'near_text',
    'other_click',
    'together',
    'together_note',
  ],
] as const;
/** What goes with a catalog into a copy: how its files were read and put right. */
const readAsBefore = { mapping: 'shape, mapping, at', family_correction: 'record, family' } as const;
/** What goes with records, copied or shared: articles and collections. */
const contentTables = { content: 'kind, id, value', content_version: 'version' } as const;

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
  const beginning = ({ shop, language, from }: NewStorefront): Setup => {
    const copied = from ? setups.releases(from.storefront).live()?.setup : null;
    const begun: Setup = copied ?? initialSetup([], shop);
    const languages = language ? { list: [language] } : begun.storefront.languages;
    const own: Setup = { ...begun, storefront: { ...begun.storefront, shop, languages } };
    if (!copied || !from?.follow) return own;
    // What the other one follows itself is followed where it comes from.
    const following = followableParts.map((part) => [part, { storefront: leaderOf(copied, part) ?? from.storefront }]);
    return { ...own, following: Object.fromEntries(following) };
  };
  const copyCatalog = db.transaction((id: string, from: string, generation: number, fresh: number): void => {
    db.prepare(
      `INSERT INTO catalog_import (generation, storefront, file, at, records, families, rejected, index_bytes)
       SELECT ?, ?, file, at, records, families, rejected, index_bytes FROM catalog_import WHERE generation = ? AND storefront = ?`,
    ).run(fresh, id, generation, from);
    db.prepare('UPDATE storefront SET generation = ? WHERE id = ?').run(fresh, id);
    copyRows(id, from, readAsBefore);
  });
  const copyRows = (id: string, from: string, tables: Readonly<Record<string, string>>): void => {
    for (const [table, columns] of Object.entries(tables))
      db.prepare(
        `INSERT INTO ${table} (storefront, ${columns}) SELECT ?, ${columns} FROM ${table} WHERE storefront = ?`,
      ).run(id, from);
  };
  const copyContent = (id: string, from: string): void => copyRows(id, from, contentTables);
  const setShares = db.prepare('UPDATE storefront SET shares = ? WHERE id = ?');
  /** Nobody shares what is shared itself, so that each catalog is read from rows of its lender's own. */
  const refuseToShare = (id: string | null, lender: StorefrontHead): void => {
    const message =
      id === lender.id
        ? 'A storefront cannot share its own records.'
        : lender.shares !== null
          ? `“${lender.name || lender.id}” shares another one’s records itself. Share those.`
          : storefronts().some(({ shares }) => id !== null && shares === id)
            ? 'Other storefronts share the records of this one, so it keeps its own.'
            : null;
    if (message) throw new Refused(409, { code: 'cannot-share', message });
  };

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
      if (source && from?.catalog === 'share') refuseToShare(null, source);
      const id = idFor(name, (each) => isReserved(each) || all.some((other) => other.id === each));
      const isCopied = source !== null && from?.catalog === 'copy' && source.generation > 0;
      // The files first: what is not finished is tidied away, and no storefront is left without its catalog.
      const fresh = isCopied ? reserve.get(id)! : 0;
      try {
        if (isCopied) copyFiles(source.generation, fresh);
        db.transaction(() => {
          add.run(id, name, at);
          setups.draft({ storefront: id, draft: firstDraft }).begin(beginning(given), at, who);
          if (isCopied) copyCatalog(id, source.id, source.generation, fresh);
          if (source && from?.catalog !== 'none') copyContent(id, source.id);
          if (source && from?.catalog === 'share') setShares.run(source.id, id);
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
    shareCatalog(id, lender) {
      known(id);
      if (lender !== null) refuseToShare(id, known(lender));
      setShares.run(lender, id);
    },
    archiveStorefront(id, at) {
      known(id);
      if (at !== null) refuseLast(id, 'This is the only storefront that is open, so it stays open.');
      archive.run(at, id);
    },
    removeStorefront(id) {
      known(id);
      refuseLast(id, 'This is the only storefront that is open. Make another one first.');
      const borrower = storefronts().find(({ shares }) => shares === id);
      if (borrower)
        throw new Refused(409, {
          code: 'is-shared',
          message: `The storefront “${borrower.name || borrower.id}” shares the records of this one. Make them its own first.`,
        });
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
