import { type CatalogReader, openCatalog } from '../server/catalog/catalogReader.ts';
import { IndexDamaged } from '../server/catalog/indexFile.ts';
import { type HeldShelf, lookInto, openShelf, type Shelf } from '../server/openShelf.ts';
import { type LocalSearch, openLocalSearch } from '../server/searching/localSearch.ts';
import { openWorkbench } from '../server/searching/workbench.ts';

/** The command was not understood: exit code 2. */
export class UsageError extends Error {}
/** The command was understood and could not be done: exit code 1. */
export class Failure extends Error {}

function refuseEmpty(shelf: Shelf): void {
  if (shelf.catalogs.generation() === 0)
    throw new Failure(
      `There is no catalog in ${shelf.folder.root}. Bring one in with “import FILE”, or start the application once.`,
    );
}

/** Opens a data folder that holds a catalog already, to change something in it. */
export function openWithCatalog(root: string): HeldShelf {
  const shelf = openShelf(root);
  try {
    refuseEmpty(shelf);
  } catch (error) {
    shelf.close();
    throw error;
  }
  return shelf;
}

/** Opens a data folder that holds a catalog already, to look at it: beside a server too. */
export function lookAtCatalog(root: string): Shelf & { readonly reader: CatalogReader; readonly local: LocalSearch } {
  const shelf = lookInto(root);
  refuseEmpty(shelf);
  const { folder, db, catalogs } = shelf;
  try {
    const reader = openCatalog(folder, catalogs.generation());
    return { ...shelf, reader, local: openLocalSearch(openWorkbench({ folder, db, reader, now: Date.now })) };
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
