import type { FileForm } from '../../../core/catalog/fileForm.ts';

import type { TextLine } from './textLines.ts';

type CsvForm = Pick<FileForm, 'delimiter' | 'quote' | 'escape'>;

/** A record of a CSV file as it is written: one line, or several where a quoted cell goes over them. */
export interface CsvRecord {
  /** The line it begins on, from 1. */
  readonly line: number;
  readonly text: string;
}
/** A line that is no record, and is left out by itself: reading goes on at the next one. */
export interface BrokenLine {
  readonly line: number;
  readonly reason: string;
}

/** Lines and characters a quoted cell may go on for; beyond, its quote is taken for one that is never closed. */
const mostLines = 1000;
const longestRecord = 1_000_000;
/** Lines between the first and the last of a record from which on they tell by themselves whether they are records. */
const fewLines = 3;

export const neverClosed =
  'A quote opened on this line is not closed where it should be. Only this line was left out; the next ones were read.';
const lineTooLong = `The line is longer than ${longestRecord} characters.`;
export const longestLine = longestRecord;

interface Scan {
  /** Inside a quoted cell that goes on in the next line. */
  readonly isOpen: boolean;
  readonly cells: number;
  /** Cells where the quote that is left open is taken for a part of its text. */
  readonly literalCells: number;
  /** A cell that began on an earlier line was closed by a quote with something else behind it than the end of a cell. */
  readonly isUnclean: boolean;
}

/** Follows the quotes of one line; `isOpen` says whether it begins inside a quoted cell. */
function scan(text: string, isOpen: boolean, { delimiter, quote, escape: before }: CsvForm): Scan {
  let at = 0;
  let cells = 1;
  let quoted = isOpen;
  let isFirst = isOpen;
  let isUnclean = false;
  for (;;) {
    if (!quoted) {
      if (text.startsWith(quote, at)) {
        quoted = true;
        at += quote.length;
        continue;
      }
      const next = text.indexOf(delimiter, at);
      if (next < 0) return { isOpen: false, cells, literalCells: cells, isUnclean };
      cells++;
      at = next + delimiter.length;
      continue;
    }
    const next = text.indexOf(quote, at);
    if (next < 0) {
      const literalCells = cells + text.slice(at).split(delimiter).length - 1;
      return { isOpen: true, cells, literalCells, isUnclean };
    }
    if (before !== quote && next > 0 && text.startsWith(before, next - before.length)) {
      at = next + quote.length;
      continue;
    }
    const behind = next + quote.length;
    if (before === quote && text.startsWith(quote, behind)) {
      at = behind + quote.length;
      continue;
    }
    quoted = false;
    const isClosed = behind >= text.length || text.startsWith(delimiter, behind);
    if (!isClosed && isFirst) isUnclean = true;
    isFirst = false;
    // Not closed after all: the quotes belong to the text, which goes on to the next delimiter.
    const end = text.indexOf(delimiter, behind);
    if (end < 0) return { isOpen: false, cells, literalCells: cells, isUnclean };
    cells++;
    at = end + delimiter.length;
  }
}

/**
 * Divides lines into records. A quote that is never closed, or whose closing would swallow lines that are records by
 * themselves, costs the line it stands on and no other.
 */
export async function* csvRecords(
  lines: AsyncIterable<TextLine>,
  form: CsvForm,
): AsyncGenerator<CsvRecord | BrokenLine> {
  const source = lines[Symbol.asyncIterator]();
  /** Lines that were looked at for a record that came to nothing. */
  let ahead: TextLine[] = [];
  let width = 0;
  const nextLine = async (): Promise<TextLine | null> => {
    const known = ahead.shift();
    if (known) return known;
    const { done, value } = await source.next();
    return done ? null : value;
  };
  /** The lines of the record that the first one opens, or null where it opens none; what was read goes back. */
  const gather = async (first: TextLine, opened: Scan): Promise<TextLine[] | null> => {
    const lines = [first];
    let length = first.text!.length;
    let cells = opened.cells;
    let alone = 0;
    const giveBack = (): null => {
      ahead = [...lines.slice(1), ...ahead];
      return null;
    };
    for (;;) {
      const next = await nextLine();
      if (!next) return giveBack();
      lines.push(next);
      length += (next.text?.length ?? longestRecord) + 1;
      if (next.text === null || lines.length > mostLines || length > longestRecord) return giveBack();
      const isRecord = scan(next.text, false, form).literalCells === width;
      const inside = scan(next.text, true, form);
      cells += inside.cells - 1;
      if (inside.isUnclean) return giveBack();
      if (inside.isOpen) {
        if (isRecord) alone++;
        continue;
      }
      // Lines with the cells of a record each: most of those between, or, of few, the first and the last one.
      const between = lines.length - 2;
      const areRecords = between < fewLines ? opened.literalCells === width && isRecord : alone * 2 >= between;
      const swallows = width >= 3 && areRecords;
      return (width > 0 && cells !== width) || swallows ? giveBack() : lines;
    }
  };
  for (let line = await nextLine(); line; line = await nextLine()) {
    const { text } = line;
    if (text === null) {
      yield { line: line.line, reason: lineTooLong };
      continue;
    }
    if (text.trim() === '') continue;
    const opened = scan(text, false, form);
    const lines = opened.isOpen ? await gather(line, opened) : [line];
    if (!lines) {
      yield { line: line.line, reason: neverClosed };
      continue;
    }
    const last = lines.at(-1)!;
    const whole = lines.map((each) => (each === last ? each.text : each.text + each.end)).join('');
    if (width === 0) width = opened.isOpen ? 0 : opened.cells;
    yield { line: line.line, text: whole };
  }
}
