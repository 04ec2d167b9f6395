import { pick, seededRandom } from '../core/base/random.ts';
import { columnDescriber } from '../core/catalog/describeColumns.ts';
import { attributeProfiler } from '../core/catalog/profileAttributes.ts';
import { mappingOf, proposeMapping } from '../core/catalog/proposeMapping.ts';
import { bindMapping, type Cells, readRow } from '../core/catalog/readRow.ts';
import { type CatalogRecord, firstText, textsOf } from '../core/catalog/record.ts';
import type { LogEntry as ReadEntry } from '../core/demand/logEntry.ts';
import { snapshotBuilder } from '../core/index/buildSnapshot.ts';
import { openSnapshot } from '../core/index/snapshot.ts';
import { openEngine, prepareSetup } from '../core/search/prepareSetup.ts';
import { rank } from '../core/search/rank.ts';
import { initialSetup } from '../core/setup/initialSetup.ts';

/** A line as it is written: what nobody did is left out. */
type LogEntry = Omit<ReadEntry, 'box' | 'banners'>;

/**
 * The shopper log of the demo store: 90 days up to the catalog's own "today", 1 November 2026. All of it is drawn from a
 * seed by this model:
 *
 * - *Visits* a day: 190 on average, a third more at weekends, growing by a quarter over the 90 days.
 * - *What is looked for*: one of the wishes below, by weight (few are common, most are rare: the long tail comes from
 *   shades, brands and sizes combined with a noun). A wish may have a season: term starts in September, Advent is near
 *   at the end of October.
 * - *Slips*: one search in fourteen has a letter swapped, dropped or doubled. Whoever finds nothing tries again with
 *   the right spelling in half of the cases.
 * - *Dead ends*: one wish in twelve is for something the shop calls otherwise or does not have. Of those who use another
 *   word for something there is, six in ten try the shop's own word next.
 * - *Clicks*: a shopper looks at place p with probability p^-0.8 and clicks what is seen with 0.14, more where the
 *   product is in stock; at most four clicks a search.
 * - *Baskets and purchases*: a click leads to a basket with 0.24, a basket to a purchase with 0.6.
 * - *What goes with it*: of the visits in which something was put into the basket one in three goes on with a search for
 *   what goes with it, and opens one of the first results with 0.7, of which six in ten go into the basket. These are drawn
 *   from a seed of their own, so that all the rest of the log stays as it is.
 * - *Filters*: where more than 30 products are found, one search in six is narrowed by a value of one filter.
 */
const usualDays = 90;
const lastDay = Date.UTC(2026, 9, 31);
const dayLength = 86_400_000;

interface Wish {
  readonly search: string;
  readonly weight: number;
  /** Factor on the weight by days before the last. */
  season?(daysBefore: number): number;
}

const termStart = (daysBefore: number): number => (daysBefore > 45 && daysBefore < 70 ? 3 : 1);
const advent = (daysBefore: number): number => (daysBefore < 21 ? 4 : 0.2);

/** What the shop calls otherwise, or does not have at all. */
const deadEnds = [
  'aquarelle',
  'gauche',
  'rubber',
  'air brush compressor',
  'clay',
  'kiln',
  'sketch book',
  'pencil crayons',
  'tempra',
  'biro',
  'felt tips',
  'modge podge',
  'glitter',
  'calligraphy set left handed',
  'crimson red oil',
  'canvas board 50x70',
  'gift card',
  'opening hours',
  'delivery',
  'colour wheel',
  'light box a2',
  'spray paint',
  'resin',
  'varnish gloss spray',
  'gold leaf',
  'mount board',
  'face paint',
  'wool',
  'pottery wheel',
  'screen printing frame',
] as const;

/** What some shoppers say, and what the shop calls it. */
const otherWords: Readonly<Record<string, string>> = {
  aquarelle: 'watercolour',
  gauche: 'gouache',
  tempra: 'gouache',
  'sketch book': 'sketchbook',
  biro: 'pen',
  rubber: 'eraser',
};

/** By a word of a product's category, what is looked for next. */
const goesWith: readonly (readonly [word: string, searches: readonly string[]])[] = [
  ['Watercolour', ['watercolour paper', 'round brush', 'masking fluid']],
  ['Gouache', ['watercolour paper', 'round brush']],
  ['Oil', ['canvas', 'palette knife', 'linseed oil']],
  ['Acrylic', ['canvas', 'flat brush']],
  ['Sketchbooks', ['graphite', 'pencils', 'fineliner 0.5 mm']],
  ['Pencils', ['sketchbook', 'eraser']],
  ['Charcoal', ['sketchbook', 'eraser']],
  ['Easels', ['canvas', 'oil paint']],
  ['Printmaking', ['lino', 'printing ink']],
  ['Drawing > Ink', ['dip pen', 'sketchbook']],
  ['Markers', ['marker paper', 'sketchbook']],
  ['Brushes', ['brush soap', 'watercolour paper']],
];
/** Of the first so many results one is taken, the earlier the likelier. */
const takenFrom = 5;

const common: readonly Wish[] = [
  { search: 'watercolour', weight: 60 },
  { search: 'sketchbook', weight: 55, season: termStart },
  { search: 'brush', weight: 40 },
  { search: 'watercolour paper', weight: 45 },
  { search: 'gouache', weight: 38 },
  { search: 'acrylic paint', weight: 42 },
  { search: 'oil paint', weight: 34 },
  { search: 'easel', weight: 26 },
  { search: 'ultramarine', weight: 22 },
  { search: 'a4 sketchbook', weight: 24, season: termStart },
  { search: 'ink', weight: 24 },
  { search: 'canvas', weight: 26 },
  { search: 'pencils', weight: 25, season: termStart },
  { search: 'round brush', weight: 20 },
  { search: 'charcoal', weight: 17, season: termStart },
  { search: 'palette knife', weight: 14 },
  { search: 'cadmium red', weight: 15 },
  { search: 'titanium white', weight: 15 },
  { search: 'gift set', weight: 12, season: advent },
  { search: 'christmas', weight: 10, season: advent },
  { search: 'course kit', weight: 10, season: termStart },
  { search: 'lino', weight: 12 },
  { search: 'pastels', weight: 14 },
  { search: 'marker', weight: 12 },
  { search: '300 gsm paper', weight: 12 },
  { search: 'sable brush', weight: 13 },
  { search: 'fineliner 0.5 mm', weight: 7 },
  { search: 'graphite', weight: 8 },
  { search: 'masking fluid', weight: 7 },
  { search: 'fabric paint', weight: 7 },
];

/** A slip of the finger: letters swapped, one dropped, one doubled. */
function mistyped(search: string, random: () => number): string {
  const at = 1 + Math.floor(random() * Math.max(1, search.length - 2));
  const how = random();
  if (how < 0.4) return search.slice(0, at) + (search[at + 1] ?? '') + search[at]! + search.slice(at + 2);
  return how < 0.75 ? search.slice(0, at) + search.slice(at + 1) : search.slice(0, at) + search[at]! + search.slice(at);
}

/** The catalog as the import reads it without being told anything. */
function engineFor(rows: readonly Cells[]) {
  const describer = columnDescriber();
  for (const row of rows.slice(0, 5000)) describer.add(row);
  const columns = [...new Set(rows.slice(0, 50).flatMap((row) => Object.keys(row)))];
  const bound = bindMapping(
    mappingOf(proposeMapping(describer.finish(columns), { languages: ['en'], currency: 'GBP' }), { by: 'column' }),
  );
  const records = rows.flatMap((row): CatalogRecord[] => {
    const reading = readRow(row, bound);
    return 'record' in reading ? [reading.record] : [];
  });
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish());
  for (const record of records) builder.add(record);
  const engine = openEngine(openSnapshot(builder.finish())!);
  return { engine, prepared: prepareSetup(engine, initialSetup(engine.snapshot.attributes), 0), records };
}

/** Rare wishes: a shade, a brand, a size or a material with the noun of a product that there is. */
function tailOf(records: readonly CatalogRecord[], random: () => number): Wish[] {
  return Array.from({ length: 900 }, (_, rank): Wish => {
    const { values } = pick(random, records);
    const noun = firstText(values.kind).toLowerCase();
    const other = firstText(pick(random, [values.shade, values.brand, values.size, values.material, values.colour]));
    const search = random() < 0.3 ? firstText(values.title).toLowerCase() : `${other} ${noun}`.trim().toLowerCase();
    return { search, weight: 14 / (rank + 8) };
  });
}

/** Draws from a list by weight. */
function drawer(wishes: readonly Wish[], daysBefore: number, random: () => number): () => Wish {
  const ends: number[] = [];
  let sum = 0;
  for (const { weight, season } of wishes) {
    sum += weight * (season?.(daysBefore) ?? 1);
    ends.push(sum);
  }
  return () => {
    const at = random() * sum;
    return wishes[ends.findIndex((end) => at < end)]!;
  };
}

export function makeLog(seed: number, rows: readonly Cells[], days = usualDays): LogEntry[] {
  const random = seededRandom(seed);
  const { engine, prepared, records } = engineFor(rows);
  const known = new Map<string, { total: number; products: string[]; inStock: boolean[] }>();
  const resultsOf = (search: string) => {
    let found = known.get(search);
    if (!found) {
      const ranking = rank(engine, prepared, { query: search, filters: {}, page: 1, limit: 24 }, 24);
      const shown = ranking.placed.map(({ candidate }) => candidate);
      found = {
        total: ranking.total,
        products: shown.map((at) => engine.snapshot.familyId(ranking.candidates.families[at]!)),
        inStock: shown.map((at) => engine.inStock[ranking.candidates.representatives[at]!] === 1),
      };
      known.set(search, found);
    }
    return found;
  };
  const ends = deadEnds.map((search, rank): Wish => ({ search, weight: 60 / (rank + 4) }));
  const wishes = [...common, ...tailOf(records, random), ...ends];
  const colours = ['Red', 'Blue', 'Green', 'Yellow', 'Black'];
  const log: LogEntry[] = [];
  for (let day = 0; day < days; day++) {
    const start = lastDay - (days - 1 - day) * dayLength;
    const isWeekend = [0, 6].includes(new Date(start).getUTCDay());
    const visits = Math.round(190 * (isWeekend ? 1.33 : 1) * (0.88 + (0.25 * day) / days) * (0.9 + random() * 0.2));
    const draw = drawer(wishes, days - 1 - day, random);
    for (let visit = 0; visit < visits; visit++) {
      const session = `v${day}-${visit}`;
      let time = start + Math.floor((7 + 15 * Math.sqrt(random())) * 3_600_000);
      const searches = 1 + (random() < 0.3 ? 1 : 0) + (random() < 0.1 ? 1 : 0);
      for (let turn = 0; turn < searches; turn++) {
        const wish = draw().search;
        const typed = wish.length > 4 && random() < 0.07 ? mistyped(wish, random) : wish;
        const meant = typed === wish ? otherWords[wish] : wish;
        const triesAgain =
          meant !== undefined && resultsOf(typed).total === 0 && random() < (typed === wish ? 0.6 : 0.5);
        const tries = triesAgain ? [typed, meant] : [typed];
        for (const search of tries) {
          const { total, products, inStock } = resultsOf(search);
          const clicks: { product: string; place: number }[] = [];
          for (const [at, product] of products.entries())
            if (clicks.length < 4 && random() < 0.14 * (at + 1) ** -0.8 * (inStock[at] ? 1 : 0.35))
              clicks.push({ product, place: at + 1 });
          const baskets = clicks.filter(() => random() < 0.24).map(({ product }) => product);
          const isNarrowed = total > 30 && random() < 1 / 6;
          log.push({
            time: new Date(time).toISOString(),
            session,
            search,
            filters: isNarrowed ? { colour: [pick(random, colours)] } : {},
            results: total,
            clicks,
            baskets,
            purchases: baskets.filter(() => random() < 0.6),
          });
          time += 20_000 + Math.floor(random() * 120_000);
        }
      }
    }
  }
  return withWhatGoesWith(seed, inOrder(log), { records, resultsOf });
}

const inOrder = (log: LogEntry[]): LogEntry[] => log.sort((a, b) => (a.time < b.time ? -1 : a.time > b.time ? 1 : 0));

/** What a search shows: how many products, the first of them, and which of those are in stock. */
type Shown = (search: string) => { readonly total: number; readonly products: readonly string[] };

/** A log with the searches that some visits go on with once something is in the basket. */
function withWhatGoesWith(
  seed: number,
  log: readonly LogEntry[],
  { records, resultsOf }: { readonly records: readonly CatalogRecord[]; readonly resultsOf: Shown },
): LogEntry[] {
  const random = seededRandom(seed + 1);
  const categories = new Map(records.map(({ familyId, values }) => [familyId, textsOf(values.category).join(' ')]));
  const all = log.flatMap((entry): LogEntry[] => {
    const [taken] = entry.baskets;
    if (taken === undefined || random() >= 1 / 3) return [entry];
    const category = categories.get(taken) ?? '';
    const searches = goesWith.find(([word]) => category.includes(word))?.[1];
    if (!searches) return [entry];
    const search = pick(random, searches);
    const { total, products } = resultsOf(search);
    const at = Math.floor(takenFrom * random() ** 2);
    const product = products[at];
    const isOpened = product !== undefined && product !== taken && random() < 0.7;
    const baskets = isOpened && random() < 0.6 ? [product] : [];
    const next = {
      ...{ time: new Date(Date.parse(entry.time) + 45_000).toISOString(), session: entry.session, search },
      ...{ filters: {}, results: total, clicks: isOpened ? [{ product, place: at + 1 }] : [], baskets },
      purchases: baskets.filter(() => random() < 0.6),
    };
    return [entry, next];
  });
  return inOrder(all);
}

/** The log as it ships: a line each, what is empty left out. */
export const logLines = (log: readonly LogEntry[]): string =>
  log
    .map(({ filters, clicks, baskets, purchases, ...entry }) => {
      const line = {
        ...entry,
        ...(Object.keys(filters).length > 0 && { filters }),
        ...(clicks.length > 0 && { clicks }),
        ...(baskets.length > 0 && { baskets }),
        ...(purchases.length > 0 && { purchases }),
      };
      return `${JSON.stringify(line)}\n`;
    })
    .join('');
