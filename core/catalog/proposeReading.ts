import { languageEvidence, namesLanguage } from '../text/guessLanguage.ts';
import { isLanguage, type Language } from '../text/languages.ts';
import { columnDescriber } from './describeColumns.ts';
import type { Joinable } from './families.ts';
import { variesBy } from './jsonLd.ts';
import { attributeReading } from './mapping.ts';
import type { Mapping } from './mappingSchema.ts';
import { proposeIdentity } from './proposeIdentity.ts';
import { type JoiningProposal, proposeJoining } from './proposeJoining.ts';
import { doubtOfTitle, mappingOf, type ProposedReading, proposeMapping, type TitleDoubt } from './proposeMapping.ts';
import { bindMapping, type Cells, readRow } from './readRow.ts';
import type { ShopTerms } from './shopTerms.ts';

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
  /** Columns either of which may be the title, the likeliest first; null where one is clearly it. */
  readonly titleDoubt: TitleDoubt | null;
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

/** A column by which rows are not joined says something of them all the same. */
const withoutFamily = (reading: ProposedReading, mapping: Mapping): ProposedReading =>
  reading.as !== 'family'
    ? reading
    : {
        ...reading,
        ...attributeReading(reading.column, mapping),
        confidence: 0.6,
        reason: 'its name may mean a product, but rows that share a value are not variants of one',
      };

/** Columns of which the file itself says that variants differ in them are options; the one that says so is no attribute. */
function withSaidOptions(rows: readonly Cells[], readings: readonly ProposedReading[]): readonly ProposedReading[] {
  if (!readings.some(({ column }) => column === variesBy)) return readings;
  const said = new Set(rows.flatMap((cells) => cells[variesBy] ?? []));
  return readings.map((reading) => {
    const { column, as, key } = reading;
    if (column === variesBy)
      return { ...reading, as: 'skip', confidence: 0.9, reason: 'it says in what variants differ' };
    if (as !== 'attribute' || !said.has(column)) return reading;
    return { ...reading, as: 'option', key, confidence: 0.9, reason: 'the file says that variants differ in it' };
  });
}

/** Small words that must be seen for texts to have a language. */
const leastMarkers = 3;

/**
 * The language of the texts that shoppers read: the title and the description; failing that, the one that most of the other
 * columns are in, those left out whose names say another language. A storefront that says its own language holds to that. English is not said, being what holds anyway.
 */
function languageOf(
  rows: readonly Cells[],
  readings: readonly ProposedReading[],
  { languages: [own] = [] }: ShopTerms,
): Pick<Mapping, 'language'> {
  if (own !== undefined && isLanguage(own)) return own === 'en' ? {} : { language: own };
  const said = readings.find(({ as }) => as === 'title')?.language;
  if (said !== undefined && isLanguage(said)) return said === 'en' ? {} : { language: said };
  const looked = rows.slice(0, rowsForLanguage);
  const evidenceOf = (columns: readonly ProposedReading[]) =>
    languageEvidence(columns.flatMap(({ column }) => looked.flatMap((cells) => cells[column] ?? [])));
  const read = evidenceOf(readings.filter(({ as }) => as === 'title' || as === 'description'));
  if (read.words >= leastMarkers) return read.language === 'en' ? {} : { language: read.language };
  const votes = new Map<Language, number>();
  for (const reading of readings) {
    if (reading.as === 'skip' || namesLanguage(reading.column)) continue;
    const { language, words } = evidenceOf([reading]);
    if (words >= leastMarkers) votes.set(language, (votes.get(language) ?? 0) + 1);
  }
  const [first] = [...votes].sort((a, b) => b[1] - a[1]);
  return !first || first[0] === 'en' ? {} : { language: first[0] };
}

/** Looks at rows of a file, which has these columns in order, and proposes how to read it. Cost: a few passes. */
export function proposeReading(
  rows: readonly Cells[],
  columns: readonly string[],
  terms: ShopTerms = {},
): ProposedFile {
  const describer = columnDescriber();
  for (const row of rows) describer.add(row);
  const facts = describer.finish(columns);
  const guessed = withSaidOptions(rows, proposeMapping(facts, terms));
  const hasId = guessed.some(({ as }) => as === 'id' || as === 'sku');
  const identity = hasId
    ? {}
    : {
        identity: proposeIdentity(
          rows,
          guessed.map((reading, at) => ({ ...facts[at]!, ...reading })),
        ),
      };
  const sample = joinableRows(rows, { ...mappingOf(guessed, { by: 'none' }), ...identity });
  const column = guessed.find(({ as }) => as === 'family')?.column ?? null;
  // Of the shop's own names, and of nested items, the column is what it says.
  const isSaid = column === 'family' && columns.includes('id');
  const joinings = proposeJoining(sample.rows, sample.options, { column, isSaid });
  const isJoined = joinings[0]!.joining.by === 'column';
  const readings = isJoined
    ? guessed
    : guessed.map((reading) => withoutFamily(reading, mappingOf(guessed, { by: 'none' })));
  const described = readings.map((reading, index) => {
    const { filled, different, samples } = facts[index]!;
    return { ...reading, filled, different, samples };
  });
  return {
    columns: described,
    joinings,
    titleDoubt: doubtOfTitle(facts, readings),
    mapping: { ...mappingOf(readings, joinings[0]!.joining), ...identity, ...languageOf(rows, readings, terms) },
  };
}
