import { catalogLooker, type SeenCatalog } from '../../core/catalog/catalogLooker.ts';
import type { FileForm } from '../../core/catalog/fileForm.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { type BoundMapping, bindMapping, readRow } from '../../core/catalog/readRow.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
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
  /** Whether the records of each family came one after another so far. */
  readonly isTogether: boolean;
  /** With the last rows, what was seen of all that were read; null where families were apart. */
  readonly seen?: SeenCatalog | null;
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

/** Looks at records as they are taken: of those with one id, the first. */
export function rowLooker(): ReturnType<typeof catalogLooker> {
  const looker = catalogLooker();
  const ids = new Set<string>();
  return {
    ...looker,
    add(record) {
      if (ids.has(record.id)) return;
      ids.add(record.id);
      looker.add(record);
    },
  };
}

/** Reads one row of a source by a mapping; `look` is given the record that comes of it. */
export function readSourceRow(
  row: SourceRow,
  bound: BoundMapping,
  corrections: ReadonlyMap<string, string>,
  look: (record: CatalogRecord) => void,
): ReadRow {
  const { line } = row;
  if ('reason' in row) return row;
  const reading = readRow(row.cells, bound);
  if ('refusal' in reading) return { line, ...reading.refusal };
  const corrected = corrections.get(reading.record.id);
  const record = corrected === undefined ? reading.record : { ...reading.record, familyId: corrected };
  look(record);
  const { id, familyId: family } = record;
  return { line, id, family, json: JSON.stringify(record), cells: JSON.stringify(row.cells) };
}

/** Reads a file's rows, in its order. Throws a `FileProblem` where nothing of it can be read. */
export async function* readFileRows({ path, form, mapping, corrections }: FileToRead): AsyncGenerator<ReadBatch> {
  const source = openSource(path, form);
  const bound = bindMapping(mapping);
  const looker = rowLooker();
  let rows: ReadRow[] = [];
  try {
    for await (const row of source.rows) {
      rows.push(readSourceRow(row, bound, corrections, looker.add));
      if (rows.length < atOnce) continue;
      yield { rows, share: source.share(), isTogether: looker.isTogether() };
      rows = [];
    }
    yield { rows, share: 1, isTogether: looker.isTogether(), seen: looker.finish() };
  } finally {
    source.close();
  }
}
