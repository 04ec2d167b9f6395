import type { Readable } from 'node:stream';

/** A line of a text with what ended it; `text` is null where it is longer than was asked for. */
export interface TextLine {
  /** From 1. */
  readonly line: number;
  readonly text: string | null;
  /** `\n`, `\r\n`, `\r`, or empty at the end of the text. */
  readonly end: string;
}

const lineEnd = /\r\n|\n|\r/g;

/**
 * The lines of a text, whatever ends them, even where one text has several kinds of ends. At most `longest` characters
 * of a line are kept; of a longer one nothing is, and reading goes on behind it.
 */
export async function* textLines(input: Readable, longest: number): AsyncGenerator<TextLine> {
  const decoder = new TextDecoder();
  let line = 0;
  let left = '';
  let isSkipping = false;
  for await (const chunk of input as AsyncIterable<Buffer | string>) {
    left += typeof chunk === 'string' ? chunk : decoder.decode(chunk, { stream: true });
    let from = 0;
    lineEnd.lastIndex = 0;
    for (let found = lineEnd.exec(left); found; found = lineEnd.exec(left)) {
      // A return at the very end may be the first half of a line end of two characters.
      if (found[0] === '\r' && lineEnd.lastIndex === left.length) break;
      const text = left.slice(from, found.index);
      yield { line: ++line, text: isSkipping || text.length > longest ? null : text, end: found[0] };
      isSkipping = false;
      from = lineEnd.lastIndex;
    }
    left = left.slice(from);
    if (left.length > longest + 1) {
      isSkipping = true;
      // Of a line that is not kept only its last character matters: it may be half of a line end.
      left = left.slice(-1);
    }
  }
  const isEnded = left.endsWith('\r');
  const text = isEnded ? left.slice(0, -1) : left;
  if (left !== '' || isSkipping)
    yield { line: ++line, text: isSkipping || text.length > longest ? null : text, end: isEnded ? '\r' : '' };
}
