import type { ColumnFacts } from './describeColumns.ts';
import type { ProposedReading } from './proposeMapping.ts';
import type { Cells } from './readRow.ts';

/** What changes from one file to the next, or says the same of many: no row is known by it. */
const changing: ReadonlySet<string> = new Set(
  'price former_price cost stock rating ratings units_sold boost hidden description picture link tags'.split(' '),
);

const textIn = (cells: Cells, column: string): string => String(cells[column] ?? '').trim();

/**
 * The columns by which rows that have neither an id nor a SKU can be told apart: an article number of the trade, where
 * every row has one of its own; else the title, then those that say most
 * different things, as few as it takes; all of them where no few do. Cost: a pass over the rows for each column taken.
 */
export function proposeIdentity(
  rows: readonly Cells[],
  columns: readonly (ProposedReading & Pick<ColumnFacts, 'different' | 'tradeNumbers' | 'filled'>)[],
): string[] {
  const numbered = columns.find(
    (each) => each.filled > 0.999 && each.tradeNumbers > 0.9 && each.different >= rows.length * 0.999,
  );
  if (numbered) return [numbered.column];
  const candidates = columns
    .filter(({ as, different }) => !changing.has(as) && as !== 'skip' && different > 1)
    .sort((a, b) => Number(b.as === 'title') - Number(a.as === 'title') || b.different - a.different);
  const chosen: string[] = [];
  let keys = rows.map(() => '');
  let apart = 1;
  for (const { column } of candidates) {
    if (apart === rows.length) break;
    const next = keys.map((key, at) => `${key}\n${textIn(rows[at]!, column)}`);
    const more = new Set(next).size;
    if (more === apart && chosen.length > 0) continue;
    chosen.push(column);
    keys = next;
    apart = more;
  }
  return chosen.length > 0 ? chosen : columns.slice(0, 1).map(({ column }) => column);
}
