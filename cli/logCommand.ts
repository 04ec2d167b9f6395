import { existsSync, statSync } from 'node:fs';
import { FileProblem } from '../server/catalog/sources/source.ts';
import { openShelf } from '../server/openShelf.ts';
import { Failure, UsageError } from './usage.ts';

const refusedListed = 20;

export async function logCommand(data: string, files: readonly string[], json: boolean): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: log FILE.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  const { log, writer } = openShelf(data);
  try {
    const imported = await writer.bringInLog(file);
    if (json) {
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
