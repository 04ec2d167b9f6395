import { Readable } from 'node:stream';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import { Refused } from '../refused.ts';

/** A row of a sent CSV, or why it is none. */
export type CsvRow = { readonly line: number } & (
  | { readonly cells: Readonly<Record<string, string>> }
  | { readonly reason: string }
);

/** The rows of a CSV that came within a request, at most so many; `field` is where the request has it. */
export async function rowsOfCsv(text: string, field: string, most: number): Promise<CsvRow[]> {
  const rows: CsvRow[] = [];
  try {
    for await (const row of csvRows(Readable.from([Buffer.from(text)]), { delimiter: ',', quote: '"', escape: '"' })) {
      rows.push(
        'reason' in row
          ? { line: row.line, reason: row.reason }
          : { line: row.line, cells: row.cells as Readonly<Record<string, string>> },
      );
      if (rows.length > most) throw new FileProblem('too-many', `The file has more than ${most} rows.`);
    }
  } catch (error) {
    if (error instanceof FileProblem) throw new Refused(400, { code: error.code, message: error.message, field });
    throw error;
  }
  return rows;
}
