import { closeSync, createReadStream, openSync, readSync } from 'node:fs';
import type { Readable } from 'node:stream';
import { createGunzip } from 'node:zlib';
import { entryOfCells, type LogEntry, logEntrySchema } from '../../core/demand/logEntry.ts';
import { csvRows } from '../catalog/sources/csvRows.ts';
import { detectForm } from '../catalog/sources/detectForm.ts';
import { lines } from '../catalog/sources/jsonRows.ts';

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

function checked(line: number, value: unknown): LogLine {
  const parsed = logEntrySchema.safeParse(value);
  if (parsed.success) return { line, entry: parsed.data };
  const issue = parsed.error.issues[0]!;
  return { line, column: issue.path.join('.'), reason: issue.message };
}

/** Reads a shopper log, JSON Lines (plain or packed with gzip) or CSV, line by line; what is wrong is told with its line. */
export async function* readLog(path: string): AsyncGenerator<LogLine> {
  const packed = isGzip(path);
  const form = packed ? null : detectForm(path);
  const file: Readable = packed ? createReadStream(path).pipe(createGunzip()) : createReadStream(path);
  if (form?.format === 'csv') {
    for await (const row of csvRows(file, form))
      yield 'reason' in row ? row : checked(row.line, entryOfCells(row.cells));
    return;
  }
  for await (const { line, text } of lines(file)) {
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
