import type { AttributeRow } from '../../../../../api/endpoints.ts';
import { mostCells } from '../../../../../api/limits.ts';
import type { ListedProduct } from '../../../../../api/productEndpoints.ts';
import { isOfVariants } from '../../../../../core/catalog/profileAttributes.ts';
import { call } from '../../../../client/call.ts';
import { act } from '../../../state/edits.ts';
import type { At } from './grid.ts';

export interface TypedCell {
  readonly row: ListedProduct;
  readonly key: string;
  readonly text: string;
}

/** Whose a value is when it is typed into a row: a variant's where variants differ in it, else the whole product's. */
export function ownerOf(attributes: readonly AttributeRow[], row: ListedProduct, key: string): string | null {
  const attribute = attributes.find((each) => each.key === key);
  return row.variant !== null && attribute !== undefined && isOfVariants(attribute) ? row.variant : null;
}

/** Types values into cells, all or none; answers what is wrong in a sentence, or null. */
export async function typeInto(
  attributes: readonly AttributeRow[],
  typed: readonly TypedCell[],
): Promise<string | null> {
  const changed = typed.filter(({ row, key, text }) => {
    const cell = row.cells[key];
    const before = key === 'title' ? row.title : cell?.text;
    return before !== text || (cell !== undefined && cell.different > 1 && text !== '');
  });
  if (changed.length === 0) return null;
  const cells = changed.map(({ row, key, text }) => ({
    product: row.product,
    variant: ownerOf(attributes, row, key),
    attribute: key,
    text,
  }));
  const answer = await act(
    (revision) => call('editCells', { body: { revision, cells } }),
    (state) => state,
  );
  return answer ? null : 'Nothing was changed.';
}

/** The cells that a pasted stretch of a spreadsheet falls on: rows by line, cells by tab, from where one is. */
export function cellsUnder(
  text: string,
  at: At,
  columns: readonly string[],
  rowAt: (place: number) => ListedProduct | undefined,
): { readonly cells: TypedCell[]; readonly left: number } {
  const lines = text.replace(/\r\n?/g, '\n').replace(/\n$/, '').split('\n');
  const cells: TypedCell[] = [];
  let left = 0;
  for (const [down, line] of lines.entries())
    for (const [right, value] of line.split('\t').entries()) {
      const row = rowAt(at.row + down);
      const column = at.column + right;
      const key = column < 0 ? 'title' : columns[column];
      if (row && key !== undefined) cells.push({ row, key, text: value });
      else left++;
    }
  return { cells, left };
}

export async function pasteInto(
  attributes: readonly AttributeRow[],
  given: {
    readonly text: string;
    readonly at: At;
    readonly columns: readonly string[];
    rowAt(place: number): ListedProduct | undefined;
  },
): Promise<string | null> {
  const { cells, left } = cellsUnder(given.text, given.at, given.columns, given.rowAt);
  if (cells.length > mostCells) return `These are ${cells.length} cells; at most ${mostCells} can be pasted at once.`;
  const problem = await typeInto(attributes, cells);
  return problem ?? (left > 0 ? `${left} of the pasted cells fell beside the table and were left out.` : null);
}
