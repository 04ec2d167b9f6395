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
