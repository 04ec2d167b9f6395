import type { Readable } from 'node:stream';
import { type CsvError, parse } from 'csv-parse';
import { mostAttributes } from '../../core/catalog/readRow.ts';

/** A row of the file with its cells by column name, or why it is none. */
export type CsvRow =
  | { readonly line: number; readonly cells: Record<string, string> }
  | { readonly line: number; readonly reason: string; readonly column: string };

/** A file that cannot be read at all: nothing of it is taken. */
export class FileProblem extends Error {
  readonly code: string;
  constructor(code: string, message: string) {
    super(message);
    this.code = code;
  }
}

/** Longest row taken, in characters: what a file says is never trusted for size. */
const longestRow = 1_000_000;
const required = ['id', 'title'];

const standardName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[\s-]+/g, '_');

/** The column names of a header; throws where the file could not be understood by them. */
export function readHeader(cells: readonly string[]): string[] {
  const names = cells.map(standardName);
  const missing = required.filter((name) => !names.includes(name));
  if (missing.length > 0)
    throw new FileProblem(
      'missing-column',
      `The first line must name the columns; there is no column “${missing.join('” and no column “')}”. Found: ${names.slice(0, 12).join(', ').slice(0, 200)}.`,
    );
  const twice = names.find((name, index) => name !== '' && names.indexOf(name) !== index);
  if (twice !== undefined)
    throw new FileProblem('column-twice', `The column “${twice}” stands twice in the first line.`);
  if (names.length > mostAttributes)
    throw new FileProblem(
      'too-many-columns',
      `The file has ${names.length} columns; at most ${mostAttributes} can be taken.`,
    );
  const long = names.find((name) => name.length > 80);
  if (long !== undefined)
    throw new FileProblem('column-too-long', `The column name “${long.slice(0, 40)}…” is longer than 80 characters.`);
  return names;
}

/** Reads a CSV file row by row, streaming; malformed rows come with their line and reason instead of stopping it. */
export async function* readCsv(input: Readable): AsyncGenerator<CsvRow> {
  const refused: CsvRow[] = [];
  let lastRefused = -1;
  const parser = input.pipe(
    parse({
      bom: true,
      info: true,
      relax_column_count: true,
      skip_empty_lines: true,
      skip_records_with_error: true,
      max_record_size: longestRow,
      on_skip: (error: CsvError | undefined) => {
        const line = Number((error as { lines?: number } | undefined)?.lines ?? 0);
        const reason =
          error?.code === 'CSV_MAX_RECORD_SIZE'
            ? `The row is longer than ${longestRow} characters; perhaps a quote is never closed.`
            : 'The quotes in this row do not match.';
        // The parser goes on behind the fault, inside the same row: what is left of it is no second fault.
        if (line !== lastRefused) refused.push({ line, reason, column: '' });
        lastRefused = line;
      },
    }),
  );
  input.on('error', (error) => parser.destroy(error));
  let names: string[] | null = null;
  for await (const { record, info } of parser as AsyncIterable<{ record: string[]; info: { lines: number } }>) {
    yield* refused.splice(0);
    // The parser tells the line on which the row ends; it began as many lines earlier as its cells hold line breaks.
    const line = info.lines - record.reduce((breaks, cell) => breaks + cell.split('\n').length - 1, 0);
    if (names === null) {
      names = readHeader(record);
      continue;
    }
    if (record.length !== names.length) {
      const reason = `The row has ${record.length} cells, the first line names ${names.length} columns.`;
      yield { line, reason, column: '' };
      continue;
    }
    const cells: Record<string, string> = {};
    for (let at = 0; at < names.length; at++) if (names[at]) cells[names[at]!] = record[at]!;
    yield { line, cells };
  }
  yield* refused.splice(0);
  if (names === null) throw new FileProblem('empty-file', 'The file is empty: it has no first line with column names.');
}
