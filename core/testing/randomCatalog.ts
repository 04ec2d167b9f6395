import { pick, seededRandom } from '../base/random.ts';
import { attributeProfiler } from '../catalog/profileAttributes.ts';
import { readStandardRow } from '../catalog/readRow.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import { snapshotBuilder } from '../index/buildSnapshot.ts';
import { openSnapshot, type Snapshot } from '../index/snapshot.ts';
import { hidingKey } from '../setup/hidingKey.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { FilterSetting } from '../setup/parts/filters.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import type { Leads } from '../setup/parts/resultsPage.ts';
import type { Setup } from '../setup/schema.ts';
import type { Condition, Test } from '../setup/terms/condition.ts';
import { madeKey } from '../setup/terms/contentTerms.ts';
import { places } from '../setup/terms/placeTerms.ts';
import { planHows } from '../setup/terms/planTerms.ts';
import type { Language } from '../text/languages.ts';
import { namedCollections, randomCondition } from './randomCondition.ts';

/** Words near enough to each other for forms, prefixes, corrections and collisions to happen often. */
const words = (
  'brush brushes brushed paint paints painter painting panting ink inks inky inkwell blue bluer bluebell red reds ' +
  'round sound ground flat float cadmium cadmum ultramarine ultramarin watercolour watercolours gouache gauche ' +
  'sketch book sketchbook sable table stable 12 300 gsm 0.5 mm 10/0 a4 a3 0.5mm 12" in ml 30x40cm 1/2 hot press pressed café naïve'
).split(' ');
const colours = ['Red', 'RED', 'Blue', 'Crimson', 'Green'];
const tags = ['new', 'sale', 'gift', 'clearance', 'summer'];

const phrase = (random: () => number, least: number, most: number): string =>
  Array.from({ length: least + Math.floor(random() * (most - least + 1)) }, () => pick(random, words)).join(' ');

/** A small untidy catalog: families of one to four variants, gaps everywhere. */
export function randomCatalog(random: () => number, families: number): CatalogRecord[] {
  const records: CatalogRecord[] = [];
  const sometimes = (share: number, text: () => string): string => (random() < share ? text() : '');
  for (let family = 0; family < families; family++) {
    const title = phrase(random, 1, 4);
    const description = sometimes(0.7, () => phrase(random, 3, 10));
    const brand = sometimes(0.8, () => pick(random, ['Larkspur', 'Moss & Vane', 'Harrow Ink']));
    const variants = 1 + Math.floor(random() * 4);
    for (let variant = 0; variant < variants; variant++) {
      const reading = readStandardRow({
        id: `r${family}-${variant}`,
        family: `f${(family * 7919) % 1000}-${family}`,
        sku: sometimes(0.8, () => `WU-${family}${'ABCD'[variant]}`),
        title,
        description,
        brand,
        colour: sometimes(0.8, () => pick(random, colours)),
        size: sometimes(0.5, () => pick(random, ['A4', 'A3', '10/0', '12', '0.5 mm'])),
        tags: sometimes(0.6, () => `${pick(random, tags)}|${pick(random, tags)}`),
        price: sometimes(0.9, () => (Math.floor(random() * 40) / 2).toFixed(2)),
        stock: sometimes(0.9, () => String(Math.floor(random() * 3))),
        units_sold: sometimes(0.7, () => String(Math.floor(random() * 5))),
        boost: sometimes(0.05, () => pick(random, ['0.5', '2', '1.3'])),
        hidden: sometimes(0.03, () => 'yes'),
        rating: sometimes(0.5, () => (1 + Math.floor(random() * 9) / 2).toFixed(1)),
        ratings: sometimes(0.6, () => String(Math.floor(random() * 40))),
        cost: sometimes(0.6, () => (Math.floor(random() * 20) / 2).toFixed(2)),
        date_added: sometimes(0.7, () => `2026-0${1 + Math.floor(random() * 9)}-1${Math.floor(random() * 9)}`),
      });
      if ('refusal' in reading) throw new Error(reading.refusal.reason);
      records.push(reading.record);
    }
  }
  return records;
}

/** Records of rows with the standard names; a row that cannot be read is a mistake of the test. */
export function recordsOf(rows: readonly Readonly<Record<string, string>>[]): CatalogRecord[] {
  return rows.map((row) => {
    const reading = readStandardRow(row);
    if ('refusal' in reading) throw new Error(reading.refusal.reason);
    return reading.record;
  });
}

export function snapshotOf(records: readonly CatalogRecord[], language: Language = 'en'): Snapshot {
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const builder = snapshotBuilder(profiler.finish(), language);
  for (const record of records) builder.add(record);
  return openSnapshot(builder.finish())!;
}

/** A query a shopper might make of such a catalog: words, halves of words, typos, part numbers. */
export function randomQuery(random: () => number): string {
  const kind = random();
  if (kind < 0.06) return '';
  if (kind < 0.12) return `wu ${Math.floor(random() * 30)}${pick(random, ['a', 'B', ' c'])}`;
  const list = Array.from({ length: 1 + Math.floor(random() * 3) }, () => {
    const word = pick(random, words);
    if (random() < 0.2 && word.length > 4) return word.slice(0, word.length - 2);
    if (random() < 0.2 && word.length > 4) return word[0]! + word[2]! + word[1]! + word.slice(3);
    return random() < 0.05 ? 'zzxq' : word;
  });
  const query = list.join(' ');
  // Read off the query, not drawn: seeds that once failed keep what they made.
  const limit = ['under 9', 'over 4', 'between 3 and 12'][query.length % 30];
  return limit ? `${query} ${limit}` : query;
}

/** Some of the signals there are, in any order and direction. */
function randomSignals(random: () => number, share: number): TieBreaker[] {
  const all: Omit<TieBreaker, 'direction'>[] = [
    { attribute: 'availability' },
    { attribute: 'units_sold' },
    { attribute: 'price' },
    { attribute: 'rating', ...(random() < 0.5 && { pulledBy: 10 }) },
    { attribute: 'margin' },
    { attribute: 'date_added', ...(random() < 0.6 && { halfLife: pick(random, [10, 90]) }) },
    { attribute: 'stock', ...(random() < 0.6 && { lowBelow: 2 }) },
  ];
  return all
    .filter(() => random() < share)
    .map((signal) => ({ ...signal, direction: pick(random, ['high', 'low'] as const), at: random() }))
    .sort((a, b) => a.at - b.at)
    .map(({ at: _, ...signal }) => signal);
}

const oneTest = (test: Test): Condition => ({ match: 'all', tests: [test] });

/** What is recognised, now and then: read off a query as well. */
function recognisedFor({ length }: string): Setup['vocabulary'] {
  if (length % 3 !== 0 && length % 5 !== 0) return {};
  const way = (bit: number) => ((length >> bit) & 1 ? 'strong' : 'filter');
  return {
    h: {
      what: 'recognised',
      price: length % 3 === 0,
      ...(length % 5 === 0 && {
        attributes: { colour: way(0), size: way(1), tags: way(2), brand: 'strong' as const },
        conditions: [
          { words: 'new', condition: oneTest({ how: 'is', attribute: 'tags', values: ['sale'] }) },
          { words: 'hot press', condition: oneTest({ how: 'between', attribute: 'units_sold', from: 2, to: null }) },
        ],
      }),
    },
  };
}

/** Phrases, now and then: pairs of the words that stand side by side often enough in such catalogs. */
function phrasesFor({ length }: string): Setup['vocabulary'] {
  const all = ['hot press', 'sketch book', 'brush paint', 'ink blue', 'red round', 'table sable', 'paint ink brush'];
  return length % 2 === 0
    ? { p: { what: 'phrases', phrases: all.filter((_, at) => (length >> 1) % (at + 2) !== 1) } }
    : {};
}

/** How far corrections may go, now and then: read off a query, not drawn, for the sake of seeds that once failed. */
function spellingFor({ length }: string): Partial<Setup['relevance']['spelling']> {
  if (length % 4 !== 0) return {};
  return { oneEditFrom: 3 + (length % 3), twoEditsFrom: 5 + (length % 5), atOnce: length % 8 === 0 };
}

/** Filters of other kinds, and others made so, now and then: read off a query, not drawn. */
function filtersFor(first: Setup['filters'], query: string): Pick<Setup, 'filters' | 'valueGroups'> {
  const { length } = query;
  if (length % 2 === 1 || query.trim() === '') return { filters: first, valueGroups: {} };
  const more = (key: string, attribute: string, kind: FilterSetting['kind'], to: Partial<FilterSetting> = {}) => {
    const setting = { attribute, label: key, kind, order: 50, counts: true, valueOrder: 'count' as const, ...to };
    return { [`x-${key}`]: setting };
  };
  const { colour, size, tags: tagged, ...others } = first;
  const nowhere = { collections: [], searches: [] };
  return {
    valueGroups: {
      g: {
        name: 'Colours',
        attribute: 'colour',
        groups: [
          { label: 'Red', values: ['RED', 'Crimson'] },
          { label: 'Leaf', values: [], words: ['green'] },
        ],
        rest: (['own', 'together', 'hidden'] as const)[(length >> 1) % 3]!,
      },
      h: {
        name: 'Sizes',
        attribute: 'size',
        groups: [{ label: 'Number', values: [], from: 0.5, to: 13 }],
        rest: 'own',
      },
    },
    filters: {
      ...others,
      ...(colour && { colour: { ...colour, ...(length % 4 === 0 && { groups: 'g' }) } }),
      ...(size && {
        size: {
          ...size,
          kind: 'tiles' as const,
          valueOrder: 'natural' as const,
          ...(length % 6 === 0 && { groups: 'h' }),
        },
      }),
      ...(tagged && { tags: { ...tagged, match: 'all' as const } }),
      ...more('all', 'tags', 'dropdown', { match: 'all', ...(length % 8 === 2 && { after: 'x-stars' }) }),
      ...more('family', 'tags', 'ticks', { prefix: 's' }),
      ...more('one', 'tags', 'dropdown', { match: 'one' }),
      ...more('bands', 'price', 'bands', { thresholds: [3, 7.5] }),
      ...more('stars', 'rating', 'rating', length % 8 === 0 ? { chosen: [{ collection: null, values: ['3'] }] } : {}),
      ...more('age', 'date_added', 'bands', { thresholds: [100, 200] }),
      ...more('now', 'availability', 'yesNo', { yes: 'In stock', where: { ...nowhere, searches: [query] } }),
      ...more('blue', 'brand', 'ticks', {
        where: { ...nowhere, mostly: mostlyFor(length) },
      }),
      ...more('round', 'size', 'ticks', { after: 'x-back' }),
      ...more('back', 'size', 'ticks', { after: 'x-round' }),
    },
  };
}

/** What most of what is found must be, for a filter to belong there: read off a query, not drawn. */
function mostlyFor(length: number): Condition {
  const blue: Test = { how: 'is', attribute: 'colour', values: ['Blue'] };
  const others: readonly Test[] = [
    { how: 'inStock' },
    { how: 'between', attribute: 'price', from: null, to: 6 },
    { how: 'isNot', attribute: 'tags', values: ['sale'] },
    { how: 'lastDays', attribute: 'date_added', days: 90 },
  ];
  return length % 3 === 0
    ? { match: 'all', tests: [blue] }
    : { match: length % 3 === 1 ? 'any' : 'all', tests: [blue, others[length % 4]!] };
}

/** Places, days and hours, now and then: read off a query, not drawn. The searches are made on 4 September 2026. */
function limitsFor({ length }: string): Pick<HouseRule, 'places' | 'from' | 'until' | 'yearly'> {
  return {
    ...(length % 5 === 1 && { places: [places[length % 4]!, places[(length >> 1) % 4]!] }),
    ...(length % 7 === 1 && {
      from: ['2026-09-04', '2026-09-05', '2026-09-04T10:00', '2026-09-04T14:00'][length % 4]!,
    }),
    ...(length % 7 === 2 && {
      until: ['2026-09-04', '2026-09-03', '2026-09-04T10:00', '2026-09-04T14:00'][length % 4]!,
    }),
    ...(length % 7 === 3 && {
      yearly: [
        { from: '08-30', until: '09-04' },
        { from: '12-01', until: '02-28' },
        { from: '09-04', until: '01-06' },
      ][length % 3]!,
    }),
  };
}

/** House rules, now and then: made of a source of chance of their own, so that seeds that once failed keep what they made. */
function houseRulesFor(queries: readonly string[]): Setup['houseRules'] {
  const random = seededRandom(queries.join('\n').length * 7919 + (queries[0]?.charCodeAt(0) ?? 0));
  if (random() < 0.4) return {};
  const rule = (name: string): HouseRule => {
    const kind = random();
    return {
      name,
      on: random() < 0.9,
      condition: randomCondition(random),
      does:
        kind < 0.75
          ? { what: 'pull', pull: pick(random, [0.3, 0.7, 1.4, 2.5, 6]) }
          : { what: kind < 0.9 ? 'hide' : 'only' },
      ...limitsFor(queries[Math.floor(random() * queries.length)] ?? ''),
    };
  };
  return { a: rule('One'), b: rule('Two'), ...(random() < 0.5 && { c: rule('Three') }) };
}

/** What else a plan does, now and then: made of a source of chance of its own, so that seeds that once failed keep what they made. */
function moreOfPlan(random: () => number, snapshot: Snapshot, queries: readonly string[]): Partial<ShelfPlan> {
  const products = (most: number): string[] => [
    ...new Set(
      Array.from({ length: 1 + Math.floor(random() * most) }, () =>
        snapshot.familyId(Math.floor(random() * snapshot.families)),
      ),
    ),
  ];
  return {
    ...(random() < 0.3 && { first: products(3), only: random() < 0.4 }),
    ...(random() < 0.3 && { bringIn: products(2) }),
    ...(random() < 0.3 && {
      conditionPulls: [{ condition: randomCondition(random), pull: pick(random, [0.4, 1.7, 3]) }],
    }),
    ...(random() < 0.2 && { hides: products(2) }),
    ...(random() < 0.15 && { conditionHides: [randomCondition(random)] }),
    ...(random() < 0.2 && queries.length > 0 && { treatAs: pick(random, queries).trim() || 'ink' }),
    ...(random() < 0.35 && {
      sort: {
        attribute: pick(random, ['price', 'rating', 'ratings']),
        direction: pick(random, ['high', 'low'] as const),
      },
    }),
    ...(random() < 0.15 && { scope: randomCondition(random) }),
    ...(random() < 0.15 && {
      wordsOut: pick(random, queries.length > 0 ? queries : ['ink'])
        .split(/\s+/)
        .filter(Boolean)
        .slice(0, 1),
    }),
    ...(random() < 0.7 && { pinsWait: true }),
    ...(random() < 0.15 && { devices: [pick(random, ['phone', 'tablet'] as const)] }),
    ...(random() < 0.15 && { whenChosen: [{ filter: 'brand', values: ['Larkspur', 'Harrow Ink'] }] }),
    ...(random() < 0.3 && { filters: ['x-now', pick(random, ['brand', 'x-bands', 'nowhere']), 'tags'] }),
    ...(random() < 0.5 && { rank: pick(random, [-1, 0, 2]) }),
  };
}

/** Some words that the catalog has, for plans to hold for what a search is corrected to: read off a text, not drawn. */
function wordsOfCatalog({ terms }: Snapshot, { length }: string): string[] {
  return Array.from({ length: length % 4 }, (_, at) => terms.get((length * 7 + at * 13) % terms.length)).filter(
    (term) => /^[a-z]{3,}$/.test(term),
  );
}

/** What leads before any search, read off what is drawn anyway, so that seeds that once failed keep what they made. */
function leadsFor(snapshot: Snapshot, queries: readonly string[]): { leads?: Leads } {
  const [one = '', other = ''] = [queries[1], queries[2]];
  const products = [one, other].map(({ length }) => snapshot.familyId((length * 7) % snapshot.families));
  const all: readonly (Leads | null)[] = [
    null,
    { what: 'products', products: [...new Set(products)] },
    { what: 'collection', collection: 'hand' },
    { what: 'collection', collection: 'ruled' },
    one.trim() === '' ? null : { what: 'search', search: one },
    { what: 'shuffle' },
    { what: 'collection', collection: 'gone' },
  ];
  const leads = all[(one.length + other.length) % all.length] ?? null;
  return leads ? { leads } : {};
}

/** A setup with anything in it that may bear on the order, for the given queries. */
export function randomSetup(random: () => number, snapshot: Snapshot, queries: readonly string[]): Setup {
  const product = (): string => snapshot.familyId(Math.floor(random() * snapshot.families));
  const setup = initialSetup(snapshot.attributes);
  const attributes = Object.fromEntries(
    Object.entries(setup.attributes).map(([key, setting]) => [
      key,
      {
        ...setting,
        searchable: random() < 0.85 ? setting.searchable : !setting.searchable,
        weight: Math.floor(random() * 11),
        early: random() < 0.3,
        ...(random() < 0.15 && { forms: false }),
        ...(random() < 0.15 && { prefixes: false }),
        ...(random() < 0.15 && { corrections: false }),
        ...(random() < 0.12 && { whole: true }),
      },
    ]),
  );
  const hidings = [
    ...(random() < 0.4 ? [{ what: 'product' as const, product: product() }] : []),
    ...(random() < 0.3 ? [{ what: 'tag' as const, tag: pick(random, tags) }] : []),
  ];
  const plan = (name: string, how: (typeof planHows)[number]) => ({
    name,
    on: random() < 0.9,
    how,
    ...((queries[0] ?? '').length % 7 === 0 && { from: '1970-01-02' }),
    ...((queries[2] ?? '').length % 7 === 0 && { until: '1969-12-31' }),
    searches: [
      ...queries.filter((query) => query.trim() !== '' && random() < 0.6),
      ...wordsOfCatalog(snapshot, name + queries.join('\n')),
    ],
    pins: Array.from({ length: Math.floor(random() * 3) }, () => ({
      product: product(),
      place: 1 + Math.floor(random() * 6),
    })),
    pulls: Array.from({ length: Math.floor(random() * 3) }, () => ({
      product: product(),
      pull: pick(random, [0.5, 0.8, 1.5, 4]),
    })),
    ...moreOfPlan(seededRandom(name.length * 31 + queries.join('\n').length), snapshot, queries),
  });
  return {
    ...setup,
    resultsPage: {
      ...setup.resultsPage,
      begin: {
        order: (queries[2] ?? '').length % 3 === 0 ? 'other' : '',
        emptySearch: 'everything',
        ...leadsFor(snapshot, queries),
      },
    },
    ...filtersFor(setup.filters, queries[3] ?? ''),
    attributes,
    relevance: {
      spelling: { tolerance: random() < 0.8, ...spellingFor(queries[0] ?? '') },
      closeCall: { width: pick(random, [0, 2, 6, 30]) },
      tieBreakers: {
        signals: randomSignals(random, 0.45),
      },
      soldOut: {
        results: pick(random, ['asItIs', 'last', 'notAtAll'] as const),
        box: pick(random, ['asItIs', 'last', 'notAtAll'] as const),
        collections: 'asItIs',
      },
      partNumbers: { lead: random() < 0.8 },
      // Not drawn, so that seeds that once failed keep what they made.
      fillUp: { on: (queries[1] ?? '').length % 4 !== 0 },
      sorting: {
        orders: [
          { key: 'relevance', label: 'Best match', signals: [] },
          {
            key: 'other',
            label: 'Other',
            signals: [randomSignals(random, 1)[0]!, ...randomSignals(random, 0.1)].slice(0, 3),
          },
        ],
      },
    },
    vocabulary: {
      ...(random() < 0.4 && { stop: { what: 'stopWords' as const, words: [pick(random, words), 'the'] } }),
      ...(random() < 0.5 && { a: { what: 'synonyms' as const, words: ['gouache', 'table', 'zzxq'], on: true } }),
      ...(random() < 0.5 && { b: { what: 'synonyms' as const, words: ['table', 'ink', 'brush'], on: random() < 0.8 } }),
      ...(random() < 0.4 && {
        c: { what: 'synonyms' as const, words: [phrase(random, 1, 2), phrase(random, 1, 3), 'ink brush'], on: true },
      }),
      ...(random() < 0.4 && {
        d: {
          what: 'oneWay' as const,
          from: [phrase(random, 1, 2), 'zzxq'],
          to: [phrase(random, 1, 2), 'hot press'],
          on: random() < 0.9,
        },
      }),
      ...(random() < 0.2 && { e: { what: 'corrections' as const, pairs: [{ from: 'gauche', to: 'gouache' }] } }),
      ...(random() < 0.2 && { f: { what: 'neverCorrected' as const, words: ['sound', 'panting'] } }),
      ...recognisedFor(queries[0] ?? ''),
      ...phrasesFor(queries[1] ?? ''),
      ...((queries[2] ?? '').length % 3 === 1 && {
        s: { what: 'spoken' as const, words: ['sable', 'ground', 'inky'] },
      }),
      ...(random() < 0.2 && { g: { what: 'neverOffered' as const, words: ['brush', 'round'] } }),
    },
    // How is not drawn, so that seeds that once failed keep what they made.
    plans:
      random() < 0.6
        ? {
            a: plan('First', planHows[(queries[0] ?? '').length % 4]!),
            b: plan('Second', planHows[(queries[2] ?? '').length % 4]!),
          }
        : {},
    hiding: Object.fromEntries(
      hidings.map((hiding) => [hidingKey(hiding), { ...hiding, ...limitsFor(queries[4] ?? '') }]),
    ),
    houseRules: houseRulesFor(queries),
    content: Object.fromEntries(
      Object.entries(namedCollections(snapshot)).map(([id, { condition, products }]) => [
        madeKey('collection', id),
        { what: 'collection' as const, id, title: id, ...(condition ? { condition } : { products: [...products] }) },
      ]),
    ),
  };
}
