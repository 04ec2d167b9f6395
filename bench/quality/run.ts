import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../../core/base/random.ts';
import type { Mapping } from '../../core/catalog/mappingSchema.ts';
import { proposeReading } from '../../core/catalog/proposeReading.ts';
import { bindMapping, readRow } from '../../core/catalog/readRow.ts';
import type { CatalogRecord } from '../../core/catalog/record.ts';
import type { Language } from '../../core/text/languages.ts';
import { behind, type Ranks } from './behind.ts';
import { cleverShelf, type Finder, flexSearch, fts5, miniSearch, shelfOf } from './finders.ts';
import { handMapping } from './handMappings.ts';
import { type KnownItem, type KnownItemClass, knownItem, knownItemClasses, saidBy } from './knownItems.ts';
import { type RealCatalog, realCatalogs } from './realCatalogs.ts';

interface Figures {
  readonly catalog: string;
  readonly class: string;
  readonly finder: string;
  readonly queries: number;
  readonly first: number;
  readonly firstThree: number;
  readonly firstTen: number;
  /** Mean reciprocal rank. */
  readonly mrr: number;
}

const rowsLookedAt = 5000;

/** A catalog as it was read: its records, families together, and the language of its texts. */
export interface ReadCatalog {
  readonly records: readonly CatalogRecord[];
  readonly language: Language;
}

/** The mapping that the front door proposes for a file nobody has told it anything about. */
const proposedMapping = ({ rows }: RealCatalog): Mapping =>
  proposeReading(rows.slice(0, rowsLookedAt), Object.keys(rows[0]!)).mapping;

/** The catalog's rows read by what is proposed for them, or by another mapping. */
export function readCatalog(catalog: RealCatalog, mapping = proposedMapping(catalog)): ReadCatalog {
  const bound = bindMapping(mapping);
  const families = new Map<string, CatalogRecord[]>();
  for (const row of catalog.rows) {
    const reading = readRow(row, bound);
    if ('refusal' in reading) continue;
    const { familyId } = reading.record;
    families.set(familyId, [...(families.get(familyId) ?? []), reading.record]);
  }
  return { records: [...families.values()].flat(), language: mapping.language ?? 'en' };
}

/** By family, what its records say. */
type Sayings = ReadonlyMap<string, ReadonlySet<string>>;

/** What the families of a reading say, by what each record says as people know it. */
function sayingsOf(records: readonly CatalogRecord[], said: ReadonlyMap<string, string>): Sayings {
  const sayings = new Map<string, Set<string>>();
  for (const { id, familyId } of records) {
    const of = sayings.get(familyId) ?? new Set();
    sayings.set(familyId, of.add(said.get(id) ?? ''));
  }
  return sayings;
}

function figures(
  catalog: string,
  kind: string,
  finder: Finder,
  queries: readonly KnownItem[],
  saidIn: Sayings,
): Figures & { readonly ranks: readonly number[] } {
  const ranks = queries.map(
    ({ text, says }) => finder.find(text, kind === 'prefix').findIndex((family) => saidIn.get(family)?.has(says)) + 1,
  );
  const share = (fits: (rank: number) => boolean): number => ranks.filter(fits).length / ranks.length;
  return {
    catalog,
    class: kind,
    finder: finder.name,
    queries: queries.length,
    first: share((rank) => rank === 1),
    firstThree: share((rank) => rank > 0 && rank <= 3),
    firstTen: share((rank) => rank > 0 && rank <= 10),
    mrr: ranks.reduce((sum, rank) => sum + (rank > 0 ? 1 / rank : 0), 0) / ranks.length,
    ranks,
  };
}

/** Classes without a slip: forgiving them must not make any of these worse. */
const cleanClasses: readonly KnownItemClass[] = ['few words', 'other order', 'several words', 'prefix', 'units'];

const percent = (share: number): string => `${(share * 100).toFixed(1)}%`.padStart(8);

/** Known-item searches on real records, side by side with other libraries; prints a table and writes it as JSON. */
export function runQuality(args: readonly string[]): void {
  const { values } = parseArgs({
    args: [...args],
    options: {
      queries: { type: 'string', default: '200' },
      seed: { type: 'string', default: '11' },
      catalog: { type: 'string' },
      only: { type: 'string' },
      worst: { type: 'string' },
    },
  });
  const all: Figures[] = [];
  const tolerance: { readonly catalog: string; readonly clean: number; readonly worse: number }[] = [];
  for (const open of realCatalogs) {
    const catalog = open();
    if (values.catalog && !catalog.name.includes(values.catalog)) continue;
    const shelf = shelfOf(readCatalog(catalog));
    // Searches are made from the catalog as people know it, so that what was read wrongly shows.
    const known = shelfOf(readCatalog(catalog, handMapping(catalog.name, Object.keys(catalog.rows[0]!))));
    const said = new Map(known.records.map((record) => [record.id, saidBy(record, known.profiles)]));
    const sayings = sayingsOf(shelf.records, said);
    const sayingsByHand = sayingsOf(known.records, said);
    const byHand = cleverShelf(known);
    const reading = { searches: 0, proposed: 0, byHand: 0 };
    const finders = [
      cleverShelf(shelf),
      ...(values.only ? [] : [...miniSearch(shelf), flexSearch(shelf), fts5(shelf)]),
    ];
    console.log(
      `\n${catalog.name}: ${shelf.records.length} records (${catalog.source}); language ${shelf.language}; searched: ${shelf.keys.map((key) => `${key} ${shelf.weights[key]}`).join(', ')}`,
    );
    console.log(
      `${'class'.padEnd(14)} ${'finder'.padEnd(16)} ${'first'.padStart(8)} ${'first 3'.padStart(8)} ${'first 10'.padStart(8)} ${'MRR'.padStart(7)}`,
    );
    const strict = values.only ? null : cleverShelf(shelf, false);
    let clean = 0;
    let worse = 0;
    for (const kind of knownItemClasses) {
      if (values.only && values.only !== 'all' && !kind.includes(values.only)) continue;
      const random = seededRandom(Number(values.seed));
      const queries: KnownItem[] = [];
      for (let tries = 0; queries.length < Number(values.queries) && tries < Number(values.queries) * 100; tries++) {
        const record = pick(random, known.records);
        const other = kind === 'one too many' ? pick(random, known.records) : record;
        const query = knownItem({ random, kind, record, other, ...known });
        if (query) queries.push(query);
      }
      if (queries.length < 20) continue;
      const seen: Ranks[] = [];
      for (const finder of finders) {
        const { ranks, ...row } = figures(catalog.name, kind, finder, queries, sayings);
        all.push(row);
        seen.push({ finder: finder.name, ranks });
        console.log(
          `${kind.padEnd(14)} ${finder.name.padEnd(16)} ${percent(row.first)} ${percent(row.firstThree)} ${percent(row.firstTen)} ${row.mrr.toFixed(3).padStart(7)}`,
        );
        if (finder === finders[0]) {
          const right = figures(catalog.name, kind, byHand, queries, sayingsByHand).mrr;
          reading.searches += queries.length;
          reading.proposed += row.mrr * queries.length;
          reading.byHand += right * queries.length;
        }
        if (finder === finders[0] && strict && cleanClasses.includes(kind)) {
          const without = figures(catalog.name, kind, strict, queries, sayings).ranks;
          clean += ranks.length;
          worse += ranks.filter((rank, at) => without[at]! > 0 && (rank === 0 || rank > without[at]!)).length;
        }
        if (values.worst && finder === finders[0])
          for (const { query, rank } of queries
            .map((query, at) => ({ query, rank: ranks[at]! }))
            .filter(({ rank }) => rank === 0 || rank > 3)
            .slice(0, Number(values.worst)))
            console.log(
              `    ${rank || '-'}  “${query.text}”  ${query.id}: ${JSON.stringify(known.records.find(({ id }) => id === query.id)!.values).slice(0, 300)}`,
            );
      }
      for (const line of behind(seen, queries)) console.log(line);
    }
    const mean = (sum: number): string => (sum / Math.max(1, reading.searches)).toFixed(4);
    console.log(`read by what is proposed ${mean(reading.proposed)}, put right by hand ${mean(reading.byHand)}`);
    if (strict) {
      console.log(`forgiving slips: ${clean} clean searches, worse than without it: ${worse}`);
      tolerance.push({ catalog: catalog.name, clean, worse });
    }
  }
  const folder = join('bench', 'results');
  mkdirSync(folder, { recursive: true });
  if (!values.catalog && !values.only)
    writeFileSync(
      join(folder, 'quality.json'),
      `${JSON.stringify({ seed: values.seed, tolerance, figures: all }, null, 2)}\n`,
    );
}
