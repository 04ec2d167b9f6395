import { accessSync, constants, mkdirSync } from 'node:fs';
import { join } from 'node:path';

/** Where everything that is kept stands. */
export interface DataFolder {
  readonly root: string;
  readonly database: string;
  /** Catalog generations: `N.sqlite` with the records, `N.index` with the snapshot. */
  readonly catalogs: string;
  readonly incoming: string;
}

/** A start that cannot go on, told in one sentence for the person at the terminal. */
export class StartProblem extends Error {}

/** Makes the folder where it is missing; throws a `StartProblem` where it cannot be written. */
export function openDataFolder(root: string): DataFolder {
  const folder: DataFolder = {
    root,
    database: join(root, 'shelf.sqlite'),
    catalogs: join(root, 'catalogs'),
    incoming: join(root, 'incoming'),
  };
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

export const generationFiles = (folder: DataFolder, generation: number): { records: string; index: string } => ({
  records: join(folder.catalogs, `${generation}.sqlite`),
  index: join(folder.catalogs, `${generation}.index`),
});
