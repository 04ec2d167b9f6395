import { existsSync, statSync } from 'node:fs';
import { FileProblem } from '../server/catalog/sources/source.ts';
import { openShelf } from '../server/openShelf.ts';
import { Failure, UsageError } from './usage.ts';

const refusedTold = 20;

export async function logCommand(data: string, files: readonly string[], json: boolean): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: log FILE.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  const { log, writer } = openShelf(data);
  try {
    const taken = await writer.bringInLog(file);
    if (json) {
      process.stdout.write(`${JSON.stringify({ ...taken, ...log.summary() }, null, 2)}\n`);
      return;
    }
    process.stdout.write(`${taken.searches} searches are in; ${taken.refused} lines were refused.\n`);
    for (const { line, column, reason } of taken.refusedLines.slice(0, refusedTold))
      process.stdout.write(`  line ${line}${column ? `, ${column}` : ''}: ${reason}\n`);
  } catch (error) {
    if (error instanceof FileProblem) throw new Failure(error.message);
    throw error;
  }
}
