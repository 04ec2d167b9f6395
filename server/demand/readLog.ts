import { closeSync, createReadStream, openSync, readSync, statSync } from 'node:fs';
import { type Readable, Transform } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { entryOfCells, type LogEntry, logEntrySchema } from '../../core/demand/logEntry.ts';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { detectForm } from '../catalog/sources/detectForm.ts';
import { FileProblem } from '../catalog/sources/source.ts';
import { textLines } from '../catalog/sources/textLines.ts';

export type LogLine =
  | { readonly line: number; readonly entry: LogEntry }
  | { readonly line: number; readonly column: string; readonly reason: string };

function isGzip(path: string): boolean {
  const head = Buffer.alloc(2);
  const file = openSync(path, 'r');
  readSync(file, head, 0, 2, 0);
  closeSync(file);
  return head[0] === 0x1f && head[1] === 0x8b;
}

/** Characters of one line that are taken. */
const longestLine = 100_000;
/** How much a packed file may unpack to: so many times its size, and this many bytes in any case. Logs shrink to a tenth. */
const mostTimes = 60;
const alwaysAllowed = 64 * 1024 * 1024;

/** The bytes of a packed file; one that unpacks to more than any log would is refused before it fills anything. */
function unpacked(path: string): Readable {
  const most = Math.max(alwaysAllowed, statSync(path).size * mostTimes);
  let bytes = 0;
  const limited = new Transform({
    transform(chunk: Buffer, _, done) {
      bytes += chunk.length;
      if (bytes <= most) done(null, chunk);
      else
        done(
          new FileProblem(
            'too-much-unpacked',
            'The packed file unpacks to far more than a log. Nothing more was read.',
          ),
        );
    },
  });
  const file = createReadStream(path);
  const unzip = createGunzip();
  file.on('error', (error) => unzip.destroy(error));
  unzip.on('error', (error) =>
    limited.destroy(new FileProblem('not-packed', `The packed file is damaged: ${error.message}.`)),
  );
  limited.on('close', () => file.destroy());
  return file.pipe(unzip).pipe(limited);
}

function checked(line: number, value: unknown): LogLine {
  const parsed = logEntrySchema.safeParse(value);
  if (parsed.success) return { line, entry: parsed.data };
  const issue = parsed.error.issues[0]!;
  return { line, column: issue.path.join('.'), reason: issue.message };
}

/** Reads a shopper log, JSON Lines (plain or packed with gzip) or CSV, line by line; what is wrong is reported with its line. */
export async function* readLog(path: string): AsyncGenerator<LogLine> {
  const packed = isGzip(path);
  const form = packed ? null : detectForm(path);
  const file: Readable = packed ? unpacked(path) : createReadStream(path);
  if (form?.format === 'csv') {
    for await (const row of csvRows(file, form))
      yield 'reason' in row ? row : checked(row.line, entryOfCells(row.cells));
    return;
  }
  for await (const { line, text } of textLines(file, longestLine)) {
    if (text === null) {
      yield { line, column: '', reason: 'The line is too long.' };
      continue;
    }
    if (text.trim() === '') continue;
    let value: unknown;
    try {
      value = JSON.parse(text);
    } catch {
      yield { line, column: '', reason: 'The line is no JSON.' };
      continue;
    }
    yield checked(line, value);
  }
}
