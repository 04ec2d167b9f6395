import { columnDescriber } from '../../core/catalog/describeColumns.ts';
import { type Joinable, type JoiningProposal, proposeJoining } from '../../core/catalog/families.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { mappingOf, type ProposedReading, proposeMapping } from '../../core/catalog/proposeMapping.ts';
import { bindMapping, type Cells, readRow } from '../../core/catalog/readRow.ts';
import { detectForm } from './sources/detectForm.ts';
import { openSource } from './sources/openSource.ts';
import { type FileForm, FileProblem } from './sources/source.ts';

/** What is known of a file before it is brought in. */
export interface ExaminedFile {
  readonly form: FileForm;
  /** Rows looked at for the proposal. */
  readonly rows: number;
  readonly columns: readonly (ProposedReading & {
    readonly filled: number;
    readonly different: number;
    readonly samples: readonly string[];
  })[];
  readonly joinings: readonly JoiningProposal[];
  /** The mapping proposed from all this. */
  readonly mapping: Mapping;
}

const rowsLookedAt = 5000;

/** The first rows of a file, and the columns they have in order of coming. */
async function firstRows(path: string, form: FileForm): Promise<{ rows: Cells[]; columns: string[] }> {
  const source = openSource(path, form);
  const rows: Cells[] = [];
  const columns = new Set<string>();
  try {
    for await (const row of source.rows) {
      if ('reason' in row) continue;
      for (const column of Object.keys(row.cells)) if (columns.size < 400) columns.add(column);
      rows.push(row.cells);
      if (rows.length >= rowsLookedAt) break;
    }
  } finally {
    source.close();
  }
  return { rows, columns: [...columns].slice(0, 200) };
}

/** Rows as far as joining them into families needs them, by a mapping that joins nothing yet. */
function joinableRows(rows: readonly Cells[], mapping: Mapping): { rows: Joinable[]; options: readonly string[] } {
  const bound = bindMapping({ ...mapping, families: { by: 'column' } });
  const joinable = rows.flatMap((cells): Joinable[] => {
    const reading = readRow(cells, bound);
    if ('refusal' in reading) return [];
    const { id, sku, familyId, values } = reading.record;
    return [{ id, sku, named: familyId === id ? '' : familyId, values }];
  });
  return { rows: joinable, options: bound.options };
}

/** Looks at the beginning of a file and proposes how to read it. `form` overrides what is guessed of its writing. */
export async function examineFile(path: string, given?: FileForm): Promise<ExaminedFile> {
  const form = given ?? detectForm(path);
  const { rows, columns } = await firstRows(path, form);
  if (columns.length === 0) throw new FileProblem('no-rows', 'The file has no rows that could be read.');
  const describer = columnDescriber();
  for (const row of rows) describer.add(row);
  const facts = describer.finish(columns);
  const readings = proposeMapping(facts);
  const sample = joinableRows(rows, mappingOf(readings, { by: 'none' }));
  const joinings = proposeJoining(sample.rows, sample.options);
  return {
    form,
    rows: rows.length,
    columns: readings.map((reading, index) => {
      const { filled, different, samples } = facts[index]!;
      return { ...reading, filled, different, samples };
    }),
    joinings,
    mapping: mappingOf(readings, joinings[0]!.joining),
  };
}
