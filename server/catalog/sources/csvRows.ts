import type { Readable } from 'node:stream';
import { parse } from 'csv-parse/sync';
import { named } from '../../../core/base/named.ts';
import type { FileForm } from '../../../core/catalog/fileForm.ts';
import { mostColumns } from '../../../core/catalog/mappingSchema.ts';
import { plainAgain } from '../../../core/catalog/writeCsv.ts';
import { type CsvRecord, csvRecords, longestLine } from './csvRecords.ts';
import { FileProblem, type SourceRow } from './source.ts';
import { textLines } from './textLines.ts';

/** Records parsed in one go. */
const atOnce = 200;

/** Column names as the file has them, each once: one that comes again or is empty gets a number. */
function columnNames(cells: readonly string[]): string[] {
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

/** The cells of some records: of all in one go, or one by one where that does not give as many. */
function cellsOf(records: readonly CsvRecord[], { delimiter, quote, escape: before }: CsvForm): string[][] {
  const read = (text: string): string[][] =>
    parse(text, {
      ...{ delimiter, quote, escape: before },
      // Records are divided already; a line end inside one belongs to a quoted cell.
      record_delimiter: ['\n'],
      relax_quotes: true,
      relax_column_count: true,
    });
  // Where no quote stands, a delimiter is nothing but one: most rows of most files, read in a tenth of the time.
  const isPlain = ({ text }: CsvRecord): boolean => text !== '' && !text.includes(quote);
  const quoted = records.filter((record) => !isPlain(record));
  const together = quoted.length > 0 ? read(quoted.map(({ text }) => text).join('\n')) : [];
  const isEach = together.length === quoted.length;
  let at = 0;
  return records.map((record) => {
    if (isPlain(record)) return record.text.split(delimiter);
    return isEach ? together[at++]! : read(`${record.text}\n`).flat();
  });
}

type CsvForm = Pick<FileForm, 'delimiter' | 'quote' | 'escape'>;

/**
 * Reads a CSV file row by row, streaming. Quotes inside a text that is not quoted belong to it (`12" ruler`), lines may
 * end in any way; a row that cannot be read is reported with its line and costs no other.
 */
export async function* csvRows(input: Readable, form: CsvForm): AsyncGenerator<SourceRow> {
  let names: string[] | null = null;
  let isFirst = true;
  let batch: CsvRecord[] = [];
  function* rows(): Generator<SourceRow> {
    if (batch.length === 0) return;
    const records = batch;
    batch = [];
    for (const [at, row] of cellsOf(records, form).entries()) {
      const { line } = records[at]!;
      if (names === null) {
        names = columnNames(row);
        continue;
      }
      if (row.length !== names.length) {
        const reason = `The row has ${row.length} cells, the first line names ${names.length} columns.`;
        yield { line, reason, column: '' };
        continue;
      }
      const cells = named<string>();
      for (let cell = 0; cell < names.length; cell++) cells[names[cell]!] = plainAgain(row[cell]!);
      yield { line, cells };
    }
  }
  for await (const record of csvRecords(textLines(input, longestLine), form)) {
    if ('reason' in record) {
      yield* rows();
      yield { ...record, column: '' };
      continue;
    }
    batch.push(isFirst ? { ...record, text: record.text.replace(/^\ufeff/, '') } : record);
    isFirst = false;
    if (names === null || batch.length >= atOnce) yield* rows();
  }
  yield* rows();
  if (names === null) throw new FileProblem('empty-file', 'The file is empty: it has no first line with column names.');
}
