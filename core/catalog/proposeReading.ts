import { guessLanguage } from '../text/guessLanguage.ts';
import { columnDescriber } from './describeColumns.ts';
import { type Joinable, type JoiningProposal, proposeJoining } from './families.ts';
import type { Mapping } from './mappingSchema.ts';
import { mappingOf, type ProposedReading, proposeMapping } from './proposeMapping.ts';
import { bindMapping, type Cells, readRow } from './readRow.ts';

/** How a file's rows might be read: its columns with what they hold, ways of joining variants, and the mapping of both. */
export interface ProposedFile {
  readonly columns: readonly (ProposedReading & {
    readonly filled: number;
    readonly different: number;
    readonly samples: readonly string[];
  })[];
  /** The best first. */
  readonly joinings: readonly JoiningProposal[];
  readonly mapping: Mapping;
}

/** Rows whose texts tell the language. */
const rowsForLanguage = 500;

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

/** The language of the rows' longer texts; English is not said, being what holds anyway. */
function languageOf(rows: readonly Cells[]): Pick<Mapping, 'language'> {
  const texts = rows
    .slice(0, rowsForLanguage)
    .flatMap((cells) => Object.values(cells).flat())
    .filter((text) => text.includes(' '));
  const language = guessLanguage(texts);
  return language === 'en' ? {} : { language };
}

/** Looks at rows of a file, which has these columns in order, and proposes how to read it. Cost: a few passes. */
export function proposeReading(rows: readonly Cells[], columns: readonly string[]): ProposedFile {
  const describer = columnDescriber();
  for (const row of rows) describer.add(row);
  const facts = describer.finish(columns);
  const readings = proposeMapping(facts);
  const sample = joinableRows(rows, mappingOf(readings, { by: 'none' }));
  const joinings = proposeJoining(sample.rows, sample.options);
  return {
    columns: readings.map((reading, index) => {
      const { filled, different, samples } = facts[index]!;
      return { ...reading, filled, different, samples };
    }),
    joinings,
    mapping: { ...mappingOf(readings, joinings[0]!.joining), ...languageOf(rows) },
  };
}
