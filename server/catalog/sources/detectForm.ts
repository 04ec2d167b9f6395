import { closeSync, openSync, readSync, statSync } from 'node:fs';
import { parse } from 'csv-parse/sync';
import type { Encoding, FileForm } from '../../../core/catalog/fileForm.ts';
import { FileProblem } from './source.ts';

const headBytes = 256 * 1024;
const chunkBytes = 1 << 20;

function readHead(path: string): Buffer {
  const file = openSync(path, 'r');
  try {
    const head = Buffer.alloc(Math.min(headBytes, statSync(path).size));
    const read = readSync(file, head, 0, head.length, 0);
    return head.subarray(0, read);
  } finally {
    closeSync(file);
  }
}

/** One byte in so many letters that is no UTF-8 is a fault of the file, and no other encoding. */
const faultsAllowed = 1 / 10;

/**
 * Whether a file is UTF-8, by its whole length: its letters beyond ASCII are valid, but for a few faults. In another
 * encoding nearly none of them would be, so one letter deep in a large file decides.
 */
function isUtf8(path: string): boolean {
  const decoder = new TextDecoder('utf-8');
  let [beyond, faults] = [0, 0];
  const count = (text: string): void => {
    for (let at = 0; at < text.length; at++) {
      const code = text.charCodeAt(at);
      if (code > 127) beyond++;
      if (code === 0xfffd) faults++;
    }
  };
  const file = openSync(path, 'r');
  try {
    const chunk = Buffer.alloc(chunkBytes);
    for (;;) {
      const read = readSync(file, chunk, 0, chunk.length, null);
      count(decoder.decode(chunk.subarray(0, read), { stream: read > 0 }));
      if (read === 0) return faults <= (beyond - faults) * faultsAllowed;
    }
  } finally {
    closeSync(file);
  }
}

function detectEncoding(path: string, head: Buffer): Encoding {
  if (head[0] === 0xff && head[1] === 0xfe) return 'utf-16le';
  if (head[0] === 0xfe && head[1] === 0xff) return 'utf-16be';
  const zeros = [0, 1].map((offset) => {
    let count = 0;
    for (let at = offset; at < Math.min(head.length, 4096); at += 2) if (head[at] === 0) count++;
    return count / Math.max(1, Math.min(head.length, 4096) / 2);
  });
  if (zeros[1]! > 0.4 && zeros[0]! < 0.1) return 'utf-16le';
  if (zeros[0]! > 0.4 && zeros[1]! < 0.1) return 'utf-16be';
  if (zeros[0]! > 0.05)
    throw new FileProblem('not-text', 'This is no text file. Save the table as CSV and bring that in.');
  return isUtf8(path) ? 'utf-8' : 'windows-1252';
}

interface CsvForm {
  readonly delimiter: string;
  readonly quote: string;
  readonly escape: string;
}

/** How well a way of reading fits the file's first lines: rows of one width, wide ones better. */
function worth(text: string, form: CsvForm): number {
  try {
    const rows = parse(text, {
      ...form,
      record_delimiter: ['\r\n', '\n', '\r'],
      relax_quotes: true,
      relax_column_count: true,
      skip_empty_lines: true,
      bom: true,
      to: 60,
    }) as string[][];
    const width = rows[0]?.length ?? 0;
    if (width < 2) return 0;
    const alike = rows.filter((row) => row.length === width).length / rows.length;
    const stray = rows.flat().filter((cell) => /^(["'])[\s\S]*\1$/.test(cell)).length / rows.flat().length;
    return alike * alike * Math.log2(width + 1) - stray;
  } catch {
    return 0;
  }
}

function detectCsv(head: string): CsvForm {
  // The last line of the head is likely cut in the middle.
  const cut = head.lastIndexOf('\n');
  const text = head.length >= headBytes / 2 && cut > 0 ? head.slice(0, cut) : head;
  const usual: CsvForm = { delimiter: ',', quote: '"', escape: '"' };
  let best = usual;
  let most = worth(text, usual);
  for (const delimiter of [',', ';', '\t', '|', '^', '~', '\u0001'])
    for (const [quote, before] of [
      ['"', '"'],
      ['"', '\\'],
      ["'", "'"],
    ] as const) {
      if (before === '\\' && !text.includes('\\"')) continue;
      if (quote === "'" && !text.includes(`${delimiter}'`)) continue;
      const form = { delimiter, quote, escape: before };
      const found = worth(text, form);
      if (found > most + 1e-9) {
        best = form;
        most = found;
      }
    }
  return best;
}

/** The key of the list of things inside an outer object, where the object begins with one. */
const listKeys = /"(products|items|data|records|results|catalog|articles|@graph|itemListElement|rows)"\s*:\s*\[/;

/** Lines looked at for whether each is an item of its own. */
const linesLookedAt = 12;

/** Whether the lines of a text are items by themselves; one that is broken does not make it another kind of file. */
function areItems(text: string): boolean {
  const lines = text.split('\n').slice(0, linesLookedAt + 1);
  // The last line of the head may be cut in the middle.
  const whole = (lines.length > 1 ? lines.slice(0, -1) : lines).filter((line) => line.trim() !== '');
  const items = whole.filter((line) => {
    try {
      return line.trimStart().startsWith('{') && typeof JSON.parse(line) === 'object' && !/"@graph"/.test(line);
    } catch {
      return false;
    }
  });
  return items.length > 0 && (items[0] === whole[0] || items.length * 2 >= whole.length);
}

/** Guesses how a file is written, from its beginning and, for the encoding, its whole length. */
export function detectForm(path: string): FileForm {
  const head = readHead(path);
  if (head.length === 0) throw new FileProblem('empty-file', 'The file is empty.');
  if (head[0] === 0x50 && head[1] === 0x4b)
    throw new FileProblem('not-text', 'This is a spreadsheet or an archive. Save the table as CSV and bring that in.');
  const encoding = detectEncoding(path, head);
  const text = new TextDecoder(encoding).decode(head);
  const start = text.trimStart();
  const plain = { encoding, delimiter: ',', quote: '"', escape: '"', list: '', isObject: false };
  if (start.startsWith('[')) return { ...plain, format: 'json' };
  if (start.startsWith('{')) {
    const firstLine = start.slice(0, start.indexOf('\n') < 0 ? start.length : start.indexOf('\n')).trim();
    const isLine = areItems(start);
    const key = listKeys.exec(start)?.[1] ?? '';
    if (isLine && (key === '' || start.indexOf('{', firstLine.length) > 0)) return { ...plain, format: 'jsonl' };
    return { ...plain, format: 'json', list: key, isObject: true };
  }
  return { ...plain, format: 'csv', ...detectCsv(text) };
}
