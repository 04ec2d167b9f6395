import { own } from '../base/named.ts';
import { fold } from '../text/fold.ts';
import { tokenize } from '../text/tokenize.ts';
import { familyOf, type Joinable } from './families.ts';
import type { Joining } from './mappingSchema.ts';
import { firstText } from './record.ts';

/** Some variants that a way of joining puts together, by their titles with what tells them apart; at most four of them. */
export interface JoinedExample {
  readonly which: 'largest' | 'leastAlike' | 'typical';
  readonly variants: number;
  readonly titles: readonly string[];
}

export interface JoiningProposal {
  readonly joining: Joining;
  /** The column that names the product, where it joins by one. */
  readonly column: string | null;
  /** Products and records of the rows looked at. */
  readonly families: number;
  readonly records: number;
  /** Products with several variants. */
  readonly several: number;
  /** Variants of the product that has most. */
  readonly largest: number;
  /** Of those with several, the share that is plausibly one product (`arePlausible`), 0 to 1. */
  readonly alike: number;
  readonly examples: readonly JoinedExample[];
  readonly reason: string;
}

/** More variants than any product has: what joins so many is a kind of things. */
const mostVariants = 300;
/** Share of the products with several variants that must be plausible for a column, and for what is only worked out. */
const leastPlausible = { column: 0.7, workedOut: 0.9 } as const;
/** A dear variant costs at most so many times what the cheapest does. */
const dearest = 20;
/** Of the words of the shorter title, the share that each two variants have in common. */
const leastOverlap = 0.6;
/** Of what is said of variants besides, the share that must be the same. */
const leastShared = 0.4;

const overlap = (a: readonly string[], b: readonly string[]): number =>
  a.filter((token) => b.includes(token)).length / Math.max(1, Math.min(a.length, b.length));

/** How alike the titles are, 0 to 1: of the words of each, those that the first has too; 0 where the brands differ. */
function likeness(rows: readonly Joinable[]): number {
  const [first] = rows;
  const title = tokenize(firstText(first!.values.title));
  const brand = fold(firstText(first!.values.brand));
  return Math.min(
    ...rows.map(({ values }) =>
      fold(firstText(values.brand)) === brand ? overlap(tokenize(firstText(values.title)), title) : 0,
    ),
  );
}

/** What differs from variant to variant in any shop, and says nothing about whether they are one product. */
const ofEveryVariant: ReadonlySet<string> = new Set(
  'title price former_price cost stock availability units_sold rating ratings picture link hidden boost'.split(' '),
);

/**
 * The share of attributes, options and figures left out, in which all rows say the same; 1 where there are none. Things
 * of the same name that differ in nearly everything (a model built year after year) are not variants of each other.
 */
function shared(rows: readonly Joinable[], options: readonly string[]): number {
  const keys = new Set(rows.flatMap(({ values }) => Object.keys(values)));
  const compared = [...keys].filter((key) => !ofEveryVariant.has(key) && !options.includes(key));
  const first = rows[0]!.values;
  const same = compared.filter((key) => rows.every(({ values }) => String(values[key]) === String(first[key])));
  return compared.length === 0 ? 1 : same.length / compared.length;
}

/** Whether the prices agree within reason, where there are any. */
function pricesAgree(rows: readonly Joinable[]): boolean {
  const prices = rows.flatMap(({ values: { price } }) => (typeof price === 'number' && price > 0 ? [price] : []));
  return prices.length < 2 || Math.max(...prices) <= Math.min(...prices) * dearest;
}

/** Whether rows are plausibly variants of one product. Cost: linear in their words and attributes. */
function arePlausible(rows: readonly Joinable[], options: readonly string[]): boolean {
  return (
    rows.length <= mostVariants &&
    likeness(rows) >= leastOverlap &&
    pricesAgree(rows) &&
    shared(rows, options) >= leastShared
  );
}

const describeRow = (row: Joinable, options: readonly string[]): string =>
  [firstText(row.values.title), ...options.map((key) => firstText(own(row.values, key)))].filter(Boolean).join(' · ');

/** The largest product, the one whose variants are least alike, and one of middling size. */
function examplesOf(several: readonly (readonly Joinable[])[], options: readonly string[]): JoinedExample[] {
  if (several.length === 0) return [];
  const bySize = [...several].sort((a, b) => b.length - a.length);
  const looked = several.slice(0, 1000).map((list) => ({ list, likeness: likeness(list) }));
  const leastAlike = looked.reduce((least, each) => (each.likeness < least.likeness ? each : least)).list;
  const chosen = [
    ['largest', bySize[0]!],
    ['leastAlike', leastAlike],
    ['typical', bySize[bySize.length >> 1]!],
  ] as const;
  const seen = new Set<readonly Joinable[]>();
  return chosen.flatMap(([which, list]) => {
    if (seen.has(list)) return [];
    seen.add(list);
    const titles = list.slice(0, 4).map((row) => describeRow(row, options));
    return [{ which, variants: list.length, titles }];
  });
}

const ways = {
  none: 'Every row is a product of its own.',
  column: 'A column names the product that each variant belongs to.',
  sku: 'The part numbers are alike but for their ends.',
  title: 'The titles are the same but for the options.',
} as const;

function tryJoining(
  rows: readonly Joinable[],
  joining: Joining,
  options: readonly string[],
  column: string | null,
): JoiningProposal {
  const families = new Map<string, Joinable[]>();
  for (const row of rows) {
    const family = familyOf(joining.by === 'column' ? row : { ...row, named: '' }, joining, options);
    const known = families.get(family);
    if (known) known.push(row);
    else families.set(family, [row]);
  }
  const several = [...families.values()].filter((list) => list.length > 1);
  const alike = several.filter((list) => arePlausible(list, options)).length;
  return {
    joining,
    column: joining.by === 'column' ? column : null,
    families: families.size,
    records: rows.length,
    several: several.length,
    largest: several.reduce((most, { length }) => Math.max(most, length), 1),
    alike: several.length === 0 ? 0 : alike / several.length,
    examples: examplesOf(several, options),
    reason: ways[joining.by],
  };
}

/**
 * Every way of joining variants that these rows allow, the best first: a column that says so, then the part numbers or
 * the titles, each only where nearly all the products it makes are plausible; else none. `column` is the one that
 * seems to name products; where it `isSaid` to, it does. Cost: a few passes over the rows.
 */
export function proposeJoining(
  rows: readonly Joinable[],
  options: readonly string[],
  { column, isSaid }: { readonly column: string | null; readonly isSaid?: boolean } = { column: null },
): JoiningProposal[] {
  const tried = (
    [
      ...(rows.some(({ named }) => named !== '') ? [{ by: 'column' }] : []),
      ...(rows.some(({ sku }) => sku !== '')
        ? [
            { by: 'sku', cut: 'letters' },
            { by: 'sku', cut: 'group' },
          ]
        : []),
      { by: 'title' },
    ] as Joining[]
  ).map((joining) => tryJoining(rows, joining, options, column));
  const worth = ({ joining, alike, several, families, records, largest }: JoiningProposal): number => {
    if (joining.by === 'column' && isSaid) return 5;
    if (largest > mostVariants) return alike - 1;
    if (joining.by === 'column') return several === 0 || alike >= leastPlausible.column ? 3 + alike : alike - 1;
    // A way that joins next to nothing, or everything, says nothing.
    if (several < families * 0.02 || families < records * 0.02) return -1;
    return alike >= leastPlausible.workedOut ? 1 + alike + several / families : alike - 1;
  };
  const none = tryJoining(rows, { by: 'none' }, options, null);
  return [...tried, none].sort((a, b) => (b === none ? 0 : worth(b)) - (a === none ? 0 : worth(a)));
}
