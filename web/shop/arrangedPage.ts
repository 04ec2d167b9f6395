import type { PagePiece } from '../../core/setup/terms/pageTerms.ts';

/** Pieces that stand on one line where they follow one another. */
const inLine: ReadonlySet<PagePiece> = new Set(['heading', 'count', 'sorting']);

/** Pieces on a line, or one that has the width to itself. */
export type PageRow = readonly PagePiece[];

function rowsOf(pieces: readonly PagePiece[]): PageRow[] {
  const rows: PagePiece[][] = [];
  for (const piece of pieces) {
    const last = rows.at(-1);
    if (inLine.has(piece) && last && inLine.has(last[0]!)) last.push(piece);
    else rows.push([piece]);
  }
  return rows;
}

/** The pieces in an order in which they can be used: what shows more below comes after the products. */
export function inUsableOrder(pieces: readonly PagePiece[], goesOnBelow: boolean): readonly PagePiece[] {
  if (!goesOnBelow || pieces.indexOf('more') > pieces.indexOf('results')) return pieces;
  return pieces.flatMap((piece): PagePiece[] =>
    piece === 'more' ? [] : piece === 'results' ? ['results', 'more'] : [piece],
  );
}

/**
 * How pieces stand on a page, in their order: what is above, and, where filters stand at a side, what is beside them:
 * all that comes after them, and the products always.
 */
export function arrangedPage(
  pieces: readonly PagePiece[],
  filtersAtSide: boolean,
): { readonly above: readonly PageRow[]; readonly beside: readonly PageRow[] } {
  const without = pieces.filter((piece) => piece !== 'filters');
  if (!filtersAtSide || without.length === pieces.length) return { above: rowsOf(pieces), beside: [] };
  const from = Math.min(pieces.indexOf('filters'), without.indexOf('results'));
  return { above: rowsOf(without.slice(0, from)), beside: rowsOf(without.slice(from)) };
}
