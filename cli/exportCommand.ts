import { closeSync, openSync, writeSync } from 'node:fs';
import { extname } from 'node:path';
import { unknownName } from '../api/problem.ts';
import { type ExportFormat, exportFormats } from '../core/catalog/writeCatalog.ts';
import { openCurrentCatalog } from '../server/catalog/currentCatalog.ts';
import { exportCatalog } from '../server/catalog/exportCatalog.ts';
import { type About, draftOf, Failure, lookAtCatalog, UsageError } from './usage.ts';

const byEnding: Readonly<Record<string, ExportFormat>> = {
  '.csv': 'csv',
  '.jsonl': 'jsonl',
  '.ndjson': 'jsonl',
  '.jsonld': 'jsonld',
  '.json': 'jsonld',
};

function formatOf(file: string, said: string | undefined): ExportFormat {
  const format =
    said === undefined ? byEnding[extname(file).toLowerCase()] : exportFormats.find((each) => each === said);
  if (format) return format;
  if (said !== undefined) throw new UsageError(unknownName('format', said, exportFormats));
  throw new UsageError(`Say the format of ${file}: --format ${exportFormats.join('|')}.`);
}

export function exportCommand(
  data: string,
  files: readonly string[],
  values: About & { readonly format?: string },
): void {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0) throw new UsageError('Name one file: export FILE.');
  const format = formatOf(file, values.format);
  const shelf = lookAtCatalog(data, values);
  const { reader, storefront } = shelf;
  const draft = storefront.setups(draftOf(shelf, values).draft).draft();
  const view = openCurrentCatalog(reader).view(draft);
  let out: number;
  try {
    out = openSync(file, 'w');
  } catch (error) {
    throw new Failure(`${file} cannot be written: ${(error as Error).message}.`);
  }
  for (const piece of exportCatalog(view, format, draft.storefront.shop.currency)) writeSync(out, piece);
  closeSync(out);
  process.stdout.write(`${view.snapshot.records} records of ${view.snapshot.families} products are in ${file}.\n`);
}
