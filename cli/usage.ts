import { openShelf, type Shelf } from '../server/openShelf.ts';

/** The command was not understood: exit code 2. */
export class UsageError extends Error {}
/** The command was understood and could not be done: exit code 1. */
export class Failure extends Error {}

/** Opens a data folder that holds a catalog already. */
export function openWithCatalog(root: string): Shelf {
  const shelf = openShelf(root);
  if (shelf.catalogs.generation() === 0)
    throw new Failure(
      `There is no catalog in ${root}. Bring one in with “import FILE”, or start the application once.`,
    );
  return shelf;
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
