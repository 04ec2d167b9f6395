import { existsSync, statSync } from 'node:fs';
import { basename } from 'node:path';
import { importCatalog } from '../server/catalog/importCatalog.ts';
import { FileProblem } from '../server/catalog/readCsv.ts';
import { openShelf } from '../server/openShelf.ts';
import { Failure, UsageError } from './usage.ts';

const rejectedTold = 20;

export async function importCommand(data: string, files: readonly string[], json: boolean): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: import FILE.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  const { folder, catalogs, setups } = openShelf(data);
  try {
    const imported = await importCatalog({ file, folder, generation: catalogs.nextGeneration() }, ({ phase, rows }) => {
      if (process.stderr.isTTY) process.stderr.write(`\r${phase}: ${rows} rows `);
    });
    if (process.stderr.isTTY) process.stderr.write('\n');
    catalogs.putInForce(imported, basename(file), Date.now(), setups);
    catalogs.tidy();
    const rejectedRows = catalogs.current()!.rejectedRows(rejectedTold);
    if (json) {
      process.stdout.write(`${JSON.stringify({ ...imported, rejectedRows }, null, 2)}\n`);
      return;
    }
    process.stdout.write(
      `${imported.records} records of ${imported.families} products are in; ${imported.rejected} rows were refused.\n`,
    );
    for (const { line, column, reason } of rejectedRows)
      process.stdout.write(`  line ${line}${column ? `, ${column}` : ''}: ${reason}\n`);
    if (imported.rejected > rejectedTold) process.stdout.write(`  … and ${imported.rejected - rejectedTold} more.\n`);
  } catch (error) {
    if (error instanceof FileProblem) throw new Failure(error.message);
    throw error;
  }
}
