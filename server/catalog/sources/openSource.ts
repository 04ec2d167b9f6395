import { createReadStream, statSync } from 'node:fs';
import { type Readable, Transform } from 'node:stream';
import type { FileForm } from '../../../core/catalog/fileForm.ts';
import { csvRows } from './csvRows.ts';
import { jsonLines, jsonObject, jsonRows } from './jsonRows.ts';
import type { SourceRow } from './source.ts';

/** A file opened for reading row by row. */
export interface Source {
  readonly rows: AsyncGenerator<SourceRow>;
  /** Share of the file that has been read, 0 to 1. */
  share(): number;
  /** Stops reading before the end. */
  close(): void;
}

/** Bytes in any encoding as text; the mark at the beginning of a file is dropped. */
function decoded(input: Readable, encoding: string): Readable {
  const decoder = new TextDecoder(encoding);
  const transform = new Transform({
    transform: (chunk: Buffer, _, done) => done(null, decoder.decode(chunk, { stream: true })),
    flush: (done) => done(null, decoder.decode()),
    encoding: 'utf8',
  });
  input.on('error', (error) => transform.destroy(error));
  return input.pipe(transform);
}

export function openSource(path: string, form: FileForm): Source {
  const size = Math.max(1, statSync(path).size);
  const file = createReadStream(path, { highWaterMark: 1 << 18 });
  const text = decoded(file, form.encoding);
  const rows =
    form.format === 'csv'
      ? csvRows(text, form)
      : form.format === 'jsonl'
        ? jsonLines(text)
        : form.isObject && form.list === ''
          ? jsonObject(text)
          : jsonRows(text, form.list);
  return { rows, share: () => Math.min(1, file.bytesRead / size), close: () => file.destroy() };
}
