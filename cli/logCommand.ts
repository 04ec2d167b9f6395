import { existsSync, statSync } from 'node:fs';
import { FileProblem } from '../server/catalog/sources/source.ts';
import { openShelf } from '../server/openShelf.ts';
import { type About, Failure, storefrontOf, UsageError } from './usage.ts';

const refusedListed = 20;

export async function logCommand(
  data: string,
  files: readonly string[],
  values: About & { readonly json: boolean },
): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: log FILE.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  const shelf = openShelf(data);
  const { id, log } = storefrontOf(shelf, values);
  try {
    const imported = await shelf.writer.bringInLog(id, file);
    if (values.json) {
      process.stdout.write(`${JSON.stringify({ ...imported, ...log.summary() }, null, 2)}\n`);
      return;
    }
    process.stdout.write(`${imported.searches} searches are in; ${imported.refused} lines were refused.\n`);
    for (const { line, column, reason } of imported.refusedLines.slice(0, refusedListed))
      process.stdout.write(`  line ${line}${column ? `, ${column}` : ''}: ${reason}\n`);
  } catch (error) {
    if (error instanceof FileProblem) throw new Failure(error.message);
    throw error;
  }
}
