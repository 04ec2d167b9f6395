import { accessSync, constants, existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';

/** Where everything that is kept stands. */
export interface DataFolder {
  readonly root: string;
  readonly database: string;
  /** Catalog generations: `N.sqlite` with the records, `N.index` with the snapshot. */
  readonly catalogs: string;
  readonly incoming: string;
  /** Pictures of other hosts, kept for a while. */
  readonly pictures: string;
  /** Pictures brought in as files, kept for good. */
  readonly ownPictures: string;
}

/** A start that cannot go on, told in one sentence for the person at the terminal. */
export class StartProblem extends Error {}

export const dataFolder = (root: string): DataFolder => ({
  root,
  database: join(root, 'shelf.sqlite'),
  catalogs: join(root, 'catalogs'),
  incoming: join(root, 'incoming'),
  pictures: join(root, 'pictures'),
  ownPictures: join(root, 'own-pictures'),
});

/** Makes the folder where it is missing; throws a `StartProblem` where it cannot be written. */
export function openDataFolder(root: string): DataFolder {
  const folder = dataFolder(root);
  try {
    for (const path of [root, folder.catalogs, folder.incoming]) {
      mkdirSync(path, { recursive: true });
      accessSync(path, constants.R_OK | constants.W_OK | constants.X_OK);
    }
  } catch (error) {
    const reason = (error as NodeJS.ErrnoException).code ?? 'unknown reason';
    throw new StartProblem(`The data folder ${root} cannot be written (${reason}). Name another with --data DIR.`);
  }
  return folder;
}

/** A note beside the data folder that a shop was kept in it, which is still there when the folder is gone. */
const noteBeside = (root: string): string => join(dirname(root), `.${basename(root)}.kept-here`);

/** Notes that a shop is kept in a folder; where nothing can be written beside it, it goes without. */
export function noteShop(root: string): void {
  try {
    writeFileSync(
      noteBeside(root),
      'A shop of Clever Shelf is kept in the folder of this name. Delete this file with it.\n',
    );
  } catch {
    // The folder above belongs to somebody else.
  }
}
export const forgetShop = (root: string): void => rmSync(noteBeside(root), { force: true });

/** Throws where a shop was kept and its database is no longer there: a new one must not be put over what is left. */
export function refuseLostShop(root: string): void {
  const folder = dataFolder(root);
  if (existsSync(folder.database) || !existsSync(noteBeside(root))) return;
  throw new StartProblem(
    `A shop was kept in ${root}, and its database shelf.sqlite is gone. Nothing was changed. Put the folder back, name another with --data DIR, or begin anew with the demo store with --fresh.`,
  );
}

export const generationFiles = (folder: DataFolder, generation: number): { records: string; index: string } => ({
  records: join(folder.catalogs, `${generation}.sqlite`),
  index: join(folder.catalogs, `${generation}.index`),
});
