import type { FileForm } from '../../core/catalog/fileForm.ts';
import { mostColumns } from '../../core/catalog/mappingSchema.ts';
import { type ProposedFile, proposeReading } from '../../core/catalog/proposeReading.ts';
import type { Cells } from '../../core/catalog/readRow.ts';
import type { ShopTerms } from '../../core/catalog/shopTerms.ts';
import { detectForm } from './sources/detectForm.ts';
import { openSource } from './sources/openSource.ts';
import { FileProblem } from './sources/source.ts';

/** What is known of a file before it is brought in: how it is written, and how it might be read. */
export interface ExaminedFile extends ProposedFile {
  readonly form: FileForm;
  /** Rows looked at for the proposal. */
  readonly rows: number;
  /** Names beyond the columns that can be taken, those of most rows first; at most so many are reported. */
  readonly leftOut: { readonly count: number; readonly names: readonly string[] };
}

/** Rows whose values are looked at, and of files whose rows have names of their own, rows whose names are. */
export const rowsLookedAt = 5000;
const rowsNamed = 2_000_000;
/** Different names that are counted, and those beyond the columns that are reported. */
const mostNames = 20_000;
const namesListed = 20;

/** The first rows of a file, and the names its rows have: of all rows where each has names of its own. */
async function lookThrough(path: string, form: FileForm): Promise<{ rows: Cells[]; names: string[] }> {
  const source = openSource(path, form);
  const rows: Cells[] = [];
  const times = new Map<string, number>();
  // The rows of a table have the names of its first line; an item of JSON may bring a name that no other has.
  const most = form.format === 'csv' ? rowsLookedAt : rowsNamed;
  let seen = 0;
  try {
    for await (const row of source.rows) {
      if ('reason' in row) continue;
      for (const name of Object.keys(row.cells))
        if (times.has(name) || times.size < mostNames) times.set(name, (times.get(name) ?? 0) + 1);
      if (rows.length < rowsLookedAt) rows.push(row.cells);
      if (++seen >= most) break;
    }
  } finally {
    source.close();
  }
  const names = [...times.keys()];
  if (names.length <= mostColumns) return { rows, names };
  // The names most rows have come first where not all can be taken; the sort is stable, so equals stay in order.
  return { rows, names: names.sort((a, b) => times.get(b)! - times.get(a)!) };
}

/** Looks at a file and proposes how a storefront might read it. `given` overrides what is guessed of its writing. */
export async function examineFile(path: string, given?: FileForm, terms: ShopTerms = {}): Promise<ExaminedFile> {
  const form = given ?? detectForm(path);
  const { rows, names } = await lookThrough(path, form);
  if (names.length === 0) throw new FileProblem('no-rows', 'The file has no rows that could be read.');
  const others = names.slice(mostColumns);
  return {
    form,
    rows: rows.length,
    leftOut: { count: others.length, names: others.slice(0, namesListed).map((name) => name.slice(0, 120)) },
    ...proposeReading(rows, names.slice(0, mostColumns), terms),
  };
}
