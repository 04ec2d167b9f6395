import { type ProposedFile, proposeReading } from '../../core/catalog/proposeReading.ts';
import type { Cells } from '../../core/catalog/readRow.ts';
import { detectForm } from './sources/detectForm.ts';
import { openSource } from './sources/openSource.ts';
import { type FileForm, FileProblem } from './sources/source.ts';

/** What is known of a file before it is brought in: how it is written, and how it might be read. */
export interface ExaminedFile extends ProposedFile {
  readonly form: FileForm;
  /** Rows looked at for the proposal. */
  readonly rows: number;
}

const rowsLookedAt = 5000;

/** The first rows of a file, and the columns they have in order of coming. */
async function firstRows(path: string, form: FileForm): Promise<{ rows: Cells[]; columns: string[] }> {
  const source = openSource(path, form);
  const rows: Cells[] = [];
  const columns = new Set<string>();
  try {
    for await (const row of source.rows) {
      if ('reason' in row) continue;
      for (const column of Object.keys(row.cells)) if (columns.size < 400) columns.add(column);
      rows.push(row.cells);
      if (rows.length >= rowsLookedAt) break;
    }
  } finally {
    source.close();
  }
  return { rows, columns: [...columns].slice(0, 200) };
}

/** Looks at the beginning of a file and proposes how to read it. `form` overrides what is guessed of its writing. */
export async function examineFile(path: string, given?: FileForm): Promise<ExaminedFile> {
  const form = given ?? detectForm(path);
  const { rows, columns } = await firstRows(path, form);
  if (columns.length === 0) throw new FileProblem('no-rows', 'The file has no rows that could be read.');
  return { form, rows: rows.length, ...proposeReading(rows, columns) };
}
