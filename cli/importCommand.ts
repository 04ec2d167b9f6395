import { existsSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { basename } from 'node:path';
import { checkMapping } from '../core/catalog/mapping.ts';
import { type Mapping, mappingSchema } from '../core/catalog/mappingSchema.ts';
import { replaceConcerns } from '../core/catalog/replaceConcerns.ts';
import { examineFile } from '../server/catalog/examineFile.ts';
import { importCatalog } from '../server/catalog/importCatalog.ts';
import { shopTermsOf } from '../server/catalog/shopTermsOf.ts';
import { FileProblem } from '../server/catalog/sources/source.ts';
import { readInThread } from '../server/catalog/threadedRows.ts';
import { openShelf } from '../server/openShelf.ts';
import { importReport } from './importReport.ts';
import { type About, Failure, storefrontOf, table, UsageError } from './usage.ts';

const rejectedListed = 20;

export interface ImportValues extends About {
  readonly json: boolean;
  readonly update: boolean;
  /** Import what could be read, though much could not. */
  readonly anyway: boolean;
  /** A mapping to read by. */
  readonly mapping: string | undefined;
  /** Write the mapping there that would be used, and bring nothing in. */
  readonly 'propose-mapping': string | undefined;
  /** Say how the file would be read and why, and bring nothing in. */
  readonly report: boolean;
}

function readMapping(path: string): Mapping {
  let value: unknown;
  try {
    value = JSON.parse(readFileSync(path, 'utf8'));
  } catch (error) {
    throw new Failure(`The mapping ${path} cannot be read: ${(error as Error).message}.`);
  }
  const parsed = mappingSchema.safeParse(value);
  if (parsed.success) return parsed.data;
  const issue = parsed.error.issues[0]!;
  throw new Failure(`The mapping ${path} is wrong at ${issue.path.join('.') || 'its beginning'}: ${issue.message}.`);
}

/** Looks at a file only: no data folder is opened, or made. */
async function reportOn(file: string, json: boolean): Promise<void> {
  try {
    const examined = await examineFile(file);
    process.stdout.write(`${json ? JSON.stringify(examined, null, 2) : importReport(basename(file), examined)}\n`);
  } catch (error) {
    if (error instanceof FileProblem) throw new Failure(error.message);
    throw error;
  }
}

export async function importCommand(data: string, files: readonly string[], values: ImportValues): Promise<void> {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: import FILE.');
  if (!existsSync(file) || !statSync(file).isFile()) throw new Failure(`There is no file ${file}.`);
  if (values.report) return reportOn(file, values.json);
  const shelf = openShelf(data);
  const { folder, writer } = shelf;
  const { id, catalogs, mappings, releases } = storefrontOf(shelf, values);
  try {
    const examined = await examineFile(file, undefined, shopTermsOf(releases.live()?.setup));
    const known = mappings.known(examined.columns.map(({ column }) => column));
    const mapping = values.mapping === undefined ? (known ?? examined.mapping) : readMapping(values.mapping);
    const [mistake] = checkMapping(mapping);
    if (mistake) throw new Failure(`${mistake.column ? `Column “${mistake.column}”: ` : ''}${mistake.message}`);
    if (values['propose-mapping'] !== undefined) {
      writeFileSync(values['propose-mapping'], `${JSON.stringify(mapping, null, 2)}\n`);
      const rows = examined.columns.map(({ column, as, key, confidence, reason }) => [
        column.slice(0, 40),
        as === 'attribute' || as === 'option' ? `${as} ${key}` : as,
        `${Math.round(confidence * 100)}%`,
        reason,
      ]);
      process.stdout.write(`${table(rows)}\nWritten to ${values['propose-mapping']}; nothing was brought in.\n`);
      return;
    }
    const imported = await importCatalog(
      {
        folder,
        generation: await writer.reserveGeneration(id),
        base: catalogs.comparable(),
        mode: values.update && catalogs.comparable() > 0 ? 'update' : 'replace',
        rows: { kind: 'file', path: file, name: basename(file), form: examined.form, mapping },
        corrections: mappings.corrections(),
      },
      ({ phase, rows }) => {
        if (process.stderr.isTTY) process.stderr.write(`\r${phase}: ${rows} rows `);
      },
      readInThread,
    );
    if (process.stderr.isTTY) process.stderr.write('\n');
    const refused = { before: 0, gone: 0, compared: 0, pricesChanged: 0, shownGone: [] };
    const [lost] = replaceConcerns({ ...refused, rows: imported.records, refused: imported.rejected });
    if (lost && !values.anyway) {
      await catalogs.tidy(new Set());
      throw new Failure(`${lost.message} The catalog is as it was. Say --anyway to import what could be read.`);
    }
    await writer.putInForce(id, imported, basename(file), Date.now());
    await writer.keepMapping(id, mapping, Date.now());
    await catalogs.tidy(new Set());
    const rejectedRows = catalogs.current()!.rejectedRows(rejectedListed);
    if (values.json) {
      process.stdout.write(`${JSON.stringify({ ...imported, rejectedRows }, null, 2)}\n`);
      return;
    }
    const { added, changed, unchanged, gone } = imported.differences;
    process.stdout.write(
      `${imported.records} records of ${imported.families} products are in; ${imported.rejected} rows were refused.\n` +
        `${added} added, ${changed} changed, ${unchanged} unchanged, ${gone} ${values.update ? 'not in the file and kept' : 'gone'}.\n`,
    );
    for (const { line, column, reason } of rejectedRows)
      process.stdout.write(`  line ${line}${column ? `, ${column}` : ''}: ${reason}\n`);
    if (imported.rejected > rejectedListed)
      process.stdout.write(`  … and ${imported.rejected - rejectedListed} more.\n`);
  } catch (error) {
    if (error instanceof FileProblem) throw new Failure(error.message);
    throw error;
  }
}
