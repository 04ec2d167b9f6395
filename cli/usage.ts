import { unknownName } from '../api/problem.ts';
import { type DraftRef, liveOf, type SetupRef } from '../core/setup/setupRef.ts';
import { type CatalogReader, openCatalog } from '../server/catalog/catalogReader.ts';
import { IndexDamaged } from '../server/catalog/indexFile.ts';
import { type HeldShelf, lookInto, openShelf, type Shelf, type StorefrontShelf } from '../server/openShelf.ts';
import { type LocalSearch, openLocalSearch } from '../server/searching/localSearch.ts';
import { openWorkbench } from '../server/searching/workbench.ts';
import type { SetupReader } from '../server/store/setupStore.ts';

/** The command was not understood: exit code 2. */
export class UsageError extends Error {}
/** The command was understood and could not be done: exit code 1. */
export class Failure extends Error {}

/** Which storefront, and which of its setups, a command is about; what is not named is the first. */
export interface About {
  readonly storefront?: string | undefined;
  readonly draft?: string | undefined;
  readonly release?: string | undefined;
}

/** The storefront that is meant; a command that makes one may begin in an empty folder. */
export function storefrontOf(shelf: Shelf, { storefront }: About): StorefrontShelf {
  const { storefronts } = shelf;
  const ids = storefronts.storefronts().map(({ id }) => id);
  if (storefront !== undefined && !ids.includes(storefront))
    throw new Failure(unknownName('storefront', storefront, ids));
  return shelf.at(storefront ?? storefronts.first()!.id);
}

/** The draft that is meant, which is there. */
export function draftOf(shelf: Shelf, about: About): DraftRef {
  const { id } = storefrontOf(shelf, about);
  const drafts = shelf.storefronts.drafts(id).filter(({ removedAt }) => removedAt === null);
  const draft = about.draft ?? drafts[0]?.id;
  const names = drafts.map((each) => each.id);
  if (draft === undefined || !names.includes(draft)) throw new Failure(unknownName('draft', draft ?? '', names));
  return { storefront: id, draft };
}

/** The setup that is meant: a draft or a release where one is named, or else what shoppers get. */
export function setupOf(shelf: Shelf, about: About): SetupRef {
  if (about.draft !== undefined && about.release !== undefined)
    throw new UsageError('Name a draft or a release, not both.');
  if (about.draft !== undefined) return draftOf(shelf, about);
  const { id, releases } = storefrontOf(shelf, about);
  if (about.release === undefined) return liveOf(id);
  const number = Number(about.release);
  if (!Number.isInteger(number) || !releases.release(number))
    throw new Failure(`There is no release “${about.release}”.`);
  return { storefront: id, release: number };
}

function refuseEmpty(shelf: Shelf, about: About): void {
  if (storefrontOf(shelf, about).catalogs.generation() === 0)
    throw new Failure(
      `There is no catalog in ${shelf.folder.root}. Bring one in with “import FILE”, or start the application once.`,
    );
}

/** Opens a data folder that holds a catalog already, to change a draft in it. */
export function openWithCatalog(
  root: string,
  about: About,
): HeldShelf & Omit<StorefrontShelf, 'setups'> & { readonly ref: DraftRef; readonly setups: SetupReader } {
  const shelf = openShelf(root);
  try {
    refuseEmpty(shelf, about);
    const ref = draftOf(shelf, about);
    const storefront = storefrontOf(shelf, about);
    return { ...shelf, ...storefront, ref, setups: storefront.setups(ref.draft) };
  } catch (error) {
    shelf.close();
    throw error;
  }
}

/** Opens a data folder that holds a catalog already, to look at it: beside a server too. */
export function lookAtCatalog(
  root: string,
  about: About,
): Shelf & { readonly storefront: StorefrontShelf; readonly reader: CatalogReader; readonly local: LocalSearch } {
  const shelf = lookInto(root);
  refuseEmpty(shelf, about);
  const { folder, db } = shelf;
  const storefront = storefrontOf(shelf, about);
  try {
    const reader = openCatalog(folder, storefront.catalogs.generation());
    const bench = openWorkbench({ folder, storefront: storefront.id, db, reader, now: Date.now });
    return { ...shelf, storefront, reader, local: openLocalSearch(bench) };
  } catch (error) {
    if (!(error instanceof IndexDamaged)) throw error;
    throw new Failure(`${error.message} Start the application once: it builds the index again from the stored rows.`);
  }
}

export function onOff(name: string, text: string | undefined): boolean | undefined {
  if (text === undefined) return undefined;
  if (text !== 'on' && text !== 'off') throw new UsageError(`--${name} is “on” or “off”, not “${text}”.`);
  return text === 'on';
}

/** Rows as a plain table, columns as wide as their widest cell. */
export function table(rows: readonly (readonly string[])[]): string {
  const widths = (rows[0] ?? []).map((_, column) => Math.max(...rows.map((row) => row[column]!.length)));
  return rows
    .map((row) =>
      row
        .map((cell, column) => cell.padEnd(widths[column]!))
        .join('  ')
        .trimEnd(),
    )
    .join('\n');
}
