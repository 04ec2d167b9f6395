import type { FileForm } from '../../core/catalog/fileForm.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { type BoundMapping, bindMapping, readRow } from '../../core/catalog/readRow.ts';
import { openSource } from './sources/openSource.ts';
import type { SourceRow } from './sources/source.ts';

/** A row as it is kept: its record and its cells as the file has them, both written as JSON; or why it was not taken. */
export type ReadRow =
  | {
      readonly line: number;
      readonly id: string;
      readonly family: string;
      readonly json: string;
      readonly cells: string;
    }
  | { readonly line: number; readonly column: string; readonly reason: string };

/** Rows that were read one after another, and the share of the file that is behind them, 0 to 1. */
export interface ReadBatch {
  readonly rows: readonly ReadRow[];
  readonly share: number;
}

export interface FileToRead {
  readonly path: string;
  readonly form: FileForm;
  readonly mapping: Mapping;
  /** Families corrected by hand: by record id. They hold whatever the file says. */
  readonly corrections: ReadonlyMap<string, string>;
}

/** Rows handed over together: enough that handing over costs nothing beside reading them. */
const atOnce = 500;

/** Reads one row of a source by a mapping. */
export function readSourceRow(row: SourceRow, bound: BoundMapping, corrections: ReadonlyMap<string, string>): ReadRow {
  const { line } = row;
  if ('reason' in row) return row;
  const reading = readRow(row.cells, bound);
  if ('refusal' in reading) return { line, ...reading.refusal };
  const corrected = corrections.get(reading.record.id);
  const record = corrected === undefined ? reading.record : { ...reading.record, familyId: corrected };
  const { id, familyId: family } = record;
  return { line, id, family, json: JSON.stringify(record), cells: JSON.stringify(row.cells) };
}

/** Reads a file's rows, in its order. Throws a `FileProblem` where nothing of it can be read. */
export async function* readFileRows({ path, form, mapping, corrections }: FileToRead): AsyncGenerator<ReadBatch> {
  const source = openSource(path, form);
  const bound = bindMapping(mapping);
  let rows: ReadRow[] = [];
  try {
    for await (const row of source.rows) {
      rows.push(readSourceRow(row, bound, corrections));
      if (rows.length < atOnce) continue;
      yield { rows, share: source.share() };
      rows = [];
    }
    if (rows.length > 0) yield { rows, share: 1 };
  } finally {
    source.close();
  }
}
