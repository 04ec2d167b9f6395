import { own } from '../base/named.ts';
import { fold } from '../text/fold.ts';
import { tokenize } from '../text/tokenize.ts';
import type { Joining } from './mappingSchema.ts';
import { type AttributeValue, firstText, textsOf } from './record.ts';

/** What of a row decides which family it belongs to. */
export interface Joinable {
  readonly id: string;
  readonly sku: string;
  /** What the family column says, or empty. */
  readonly named: string;
  readonly values: Readonly<Record<string, AttributeValue>>;
}

const longestId = 200;

/** The part of a part number that a family's variants share, or the whole where nothing can be cut off. */
export function skuStem(sku: string, cut: 'letters' | 'group'): string {
  const found =
    cut === 'letters' ? /^(.*\d)[A-Za-z]{1,2}\d?$/.exec(sku) : /^(.{2,})[-_. /][A-Za-z0-9]{1,12}$/.exec(sku);
  return found?.[1] ?? sku;
}

/** The title without the words of the options, and the brand: what a family's variants share. */
export function titleStem(values: Joinable['values'], options: readonly string[]): string {
  const optional = new Set(options.flatMap((key) => textsOf(values[key]).flatMap(tokenize)));
  const left = tokenize(firstText(values.title)).filter((token) => !optional.has(token));
  return `${left.join(' ')}${values.brand ? ` / ${fold(firstText(values.brand))}` : ''}`.slice(0, longestId);
}

/** The family a row belongs to. A row about which the way of joining says nothing is a family of its own. */
export function familyOf(row: Joinable, joining: Joining, options: readonly string[]): string {
  switch (joining.by) {
    case 'none':
      return row.id;
    case 'column':
      return row.named || row.id;
    case 'sku':
      return row.sku ? skuStem(row.sku, joining.cut) : row.id;
    case 'title':
      return titleStem(row.values, options) || row.id;
  }
}

export interface JoiningProposal {
  readonly joining: Joining;
  /** Products and records of the rows looked at. */
  readonly families: number;
  readonly records: number;
  /** Products with several variants. */
  readonly several: number;
  /** Of those, the share whose variants have the same brand and nearly the same title, and say much the same, 0 to 1. */
  readonly alike: number;
  /** A few products with several variants: their variants' titles with what tells them apart. */
  readonly examples: readonly (readonly string[])[];
  readonly reason: string;
}

const overlap = (a: readonly string[], b: readonly string[]): number =>
  a.filter((token) => b.includes(token)).length / Math.max(1, Math.min(a.length, b.length));

/** Whether variants are plausibly one product: the same brand, and titles that share most of their words. */
function areAlike(rows: readonly Joinable[]): boolean {
  const [first] = rows;
  const title = tokenize(firstText(first!.values.title));
  return rows.every(
    ({ values }) =>
      fold(firstText(values.brand)) === fold(firstText(first!.values.brand)) &&
      overlap(tokenize(firstText(values.title)), title) >= 0.6,
  );
}

/** What differs from variant to variant in any shop, and says nothing about whether they are one product. */
const ofEveryVariant: ReadonlySet<string> = new Set(
  'title price former_price cost stock availability units_sold rating ratings picture link hidden boost'.split(' '),
);
/** Of what is said of variants besides, the share that must be the same for equal titles to make them one product. */
const leastShared = 0.4;

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

const described = (row: Joinable, options: readonly string[]): string =>
  [firstText(row.values.title), ...options.map((key) => firstText(own(row.values, key)))].filter(Boolean).join(' · ');

function tryJoining(rows: readonly Joinable[], joining: Joining, options: readonly string[]): JoiningProposal {
  const families = new Map<string, Joinable[]>();
  for (const row of rows) {
    const family = familyOf(row, joining, options);
    const known = families.get(family);
    if (known) known.push(row);
    else families.set(family, [row]);
  }
  const several = [...families.values()].filter((list) => list.length > 1);
  const isOne = (list: readonly Joinable[]): boolean =>
    areAlike(list) && (joining.by !== 'title' || shared(list, options) >= leastShared);
  const alike = several.filter(isOne).length;
  const ways = {
    none: 'Every row is a product of its own.',
    column: 'A column names the product that each variant belongs to.',
    sku: 'The part numbers are alike but for their ends.',
    title: 'The titles are the same but for the options.',
  } as const;
  return {
    joining,
    families: families.size,
    records: rows.length,
    several: several.length,
    alike: several.length === 0 ? 0 : alike / several.length,
    examples: several.slice(0, 3).map((list) => list.slice(0, 4).map((row) => described(row, options))),
    reason: ways[joining.by],
  };
}

/**
 * Every way of joining variants that these rows allow, the best first: a column that says so; else the part numbers
 * or the titles, where nearly all the products they make are plausible; else none. Cost: a few passes over the rows.
 */
export function proposeJoining(rows: readonly Joinable[], options: readonly string[]): JoiningProposal[] {
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
  ).map((joining) => tryJoining(rows, joining, options));
  const worth = ({ joining, alike, several, families, records }: JoiningProposal): number => {
    if (joining.by === 'column') return 3 + alike;
    // A way that joins next to nothing, or everything, says nothing.
    if (several < families * 0.02 || families < records * 0.02) return -1;
    return alike >= 0.9 ? 1 + alike + several / families : alike - 1;
  };
  const none = tryJoining(rows, { by: 'none' }, options);
  return [...tried, none].sort((a, b) => (b === none ? 0 : worth(b)) - (a === none ? 0 : worth(a)));
}
