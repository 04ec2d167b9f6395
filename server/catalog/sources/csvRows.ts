import { named } from '../../../core/named.ts';
import type { Readable } from 'node:stream';
import { type CsvError, parse } from 'csv-parse';
import { mostColumns } from '../../../core/catalog/mappingSchema.ts';
import { plainAgain } from '../../../core/catalog/writeCsv.ts';
import { type FileForm, FileProblem, type SourceRow } from './source.ts';

/** Longest row taken, in characters: what a file says is never trusted for size. */
const longestRow = 1_000_000;

/** Column names as the file has them, each once: one that comes again or is empty gets a number. */
export function columnNames(cells: readonly string[]): string[] {
  const seen = new Set<string>();
  const names = cells.map((cell, index) => {
    const base = cell.trim().replace(/\s+/g, ' ') || `column ${index + 1}`;
    let name = base;
    for (let number = 2; seen.has(name.toLowerCase()); number++) name = `${base} (${number})`;
    seen.add(name.toLowerCase());
    return name;
  });
  if (names.length > mostColumns)
    throw new FileProblem(
      'too-many-columns',
      `The file has ${names.length} columns; at most ${mostColumns} can be taken.`,
    );
  const long = names.find((name) => name.length > 120);
  if (long !== undefined)
    throw new FileProblem('column-too-long', `The column name “${long.slice(0, 40)}…” is longer than 120 characters.`);
  return names;
}

/** Reads a CSV file row by row, streaming; malformed rows come with their line and reason instead of stopping it. */
export async function* csvRows(
  input: Readable,
  form: Pick<FileForm, 'delimiter' | 'quote' | 'escape'>,
): AsyncGenerator<SourceRow> {
  const refused: SourceRow[] = [];
  let lastRefused = -1;
  const parser = input.pipe(
    parse({
      bom: true,
      info: true,
      delimiter: form.delimiter,
      quote: form.quote,
      escape: form.escape,
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
      names = columnNames(record);
      continue;
    }
    if (record.length !== names.length) {
      const reason = `The row has ${record.length} cells, the first line names ${names.length} columns.`;
      yield { line, reason, column: '' };
      continue;
    }
    const cells = named<string>();
    for (let at = 0; at < names.length; at++) cells[names[at]!] = plainAgain(record[at]!);
    yield { line, cells };
  }
  yield* refused.splice(0);
  if (names === null) throw new FileProblem('empty-file', 'The file is empty: it has no first line with column names.');
}
