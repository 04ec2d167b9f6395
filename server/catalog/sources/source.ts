import type { Cells } from '../../../core/catalog/readRow.ts';

/** A row of a file with its cells by column name, or why it is none. */
export type SourceRow =
  | { readonly line: number; readonly cells: Cells }
  | { readonly line: number; readonly reason: string; readonly column: string };

/** A file that cannot be read at all: nothing of it is taken. */
export class FileProblem extends Error {
  readonly code: string;
  constructor(code: string, message: string) {
    super(message);
    this.code = code;
  }
}

export const formats = ['csv', 'json', 'jsonl'] as const;
export type Format = (typeof formats)[number];

/** How a file is written; guessed from its beginning and open to correction. */
export interface FileForm {
  readonly format: Format;
  /** A name the platform's decoder knows: utf-8, utf-16le, windows-1252. */
  readonly encoding: string;
  /** For CSV: what stands between cells, around texts, and before a quote inside one. */
  readonly delimiter: string;
  readonly quote: string;
  readonly escape: string;
  /** For JSON: the key of the list inside an outer object, or empty where the list is all there is. */
  readonly list: string;
  /** For JSON: whether the file is one object rather than a list. */
  readonly isObject: boolean;
}
