import { fold } from './fold.ts';

/** What an amount is an amount of: two amounts are only ever compared within one dimension. */
export type Dimension =
  | 'length'
  | 'mass'
  | 'volume'
  | 'grammage'
  | 'pieces'
  | 'power'
  | 'voltage'
  | 'current'
  | 'charge'
  | 'resistance'
  | 'capacitance'
  | 'frequency'
  | 'storage';

/** An amount with its dimension, in the dimension's canonical unit. */
export interface Quantity {
  readonly dimension: Dimension;
  readonly amount: number;
}

/** The unit in which each dimension's amounts are kept and shown. */
const canonicalUnit: Readonly<Record<Dimension, string>> = {
  length: 'mm',
  mass: 'g',
  volume: 'ml',
  grammage: 'gsm',
  pieces: 'pcs',
  power: 'W',
  voltage: 'V',
  current: 'mA',
  charge: 'mAh',
  resistance: 'ohm',
  capacitance: 'nF',
  frequency: 'Hz',
  storage: 'MB',
};

interface Unit {
  readonly dimension: Dimension;
  /** Canonical units in one of this. */
  readonly factor: number;
}

/** Units by dimension: canonical units in one, then every spelling, folded. International yard and pound; US gallons none. */
const spellings: readonly (readonly [Dimension, number, string])[] = [
  ['length', 0.001, 'micron microns'],
  ['length', 1, 'mm millimetre millimetres millimeter millimeters milimetro milimetros'],
  ['length', 10, 'cm centimetre centimetres centimeter centimeters centimetro centimetros zentimeter'],
  ['length', 1000, 'm metre metres meter meters metro metros'],
  ['length', 1_000_000, 'km kilometre kilometres kilometer kilometers'],
  ['length', 25.4, 'in inch inches zoll pouce pouces pulgada pulgadas " ” ″ ′′'],
  ['length', 304.8, 'ft foot feet'],
  ['length', 914.4, 'yd yds yard yards'],
  ['mass', 0.001, 'mg'],
  ['mass', 1, 'g gr gram grams gramme grammes gramm gramo gramos'],
  ['mass', 1000, 'kg kilo kilos kilogram kilograms'],
  ['mass', 28.349523125, 'oz ounce ounces'],
  ['mass', 453.59237, 'lb lbs pound pounds'],
  ['volume', 1, 'ml millilitre millilitres milliliter milliliters mililitro mililitros cc'],
  ['volume', 10, 'cl centilitre centilitres'],
  ['volume', 1000, 'l litre litres liter liters litro litros'],
  ['volume', 29.5735295625, 'fl_oz fl._oz fluid_ounce fluid_ounces'],
  ['grammage', 1, 'gsm g/m2 gr/m2 g/qm gm2 g/sqm g_per_m2 grams_per_square_metre grams_per_square_meter'],
  ['pieces', 1, 'pcs pc piece pieces'],
  ['power', 0.001, 'mw milliwatt milliwatts'],
  ['power', 1, 'w watt watts'],
  ['power', 1000, 'kw kilowatt kilowatts'],
  ['voltage', 0.001, 'mv millivolt millivolts'],
  ['voltage', 1, 'v volt volts'],
  ['voltage', 1000, 'kv kilovolt kilovolts'],
  ['current', 1, 'ma milliamp milliamps milliampere'],
  ['current', 1000, 'a amp amps ampere amperes'],
  ['charge', 1, 'mah'],
  ['charge', 1000, 'ah'],
  ['resistance', 1, 'ω ohm ohms'],
  ['resistance', 1000, 'kω kohm kohms k_ohm k_ohms kilohm kilohms kiloohm'],
  ['resistance', 1_000_000, 'mω mohm mohms megaohm'],
  ['capacitance', 0.001, 'pf picofarad'],
  ['capacitance', 1, 'nf nanofarad'],
  ['capacitance', 1000, 'μf uf microfarad'],
  ['frequency', 1, 'hz hertz'],
  ['frequency', 1000, 'khz'],
  ['frequency', 1_000_000, 'mhz'],
  ['frequency', 1_000_000_000, 'ghz'],
  ['storage', 1, 'mb megabyte megabytes'],
  ['storage', 1000, 'gb gigabyte gigabytes'],
  ['storage', 1_000_000, 'tb terabyte terabytes'],
];

const unitBySpelling: ReadonlyMap<string, Unit> = new Map(
  spellings.flatMap(([dimension, factor, names]) =>
    names.split(' ').map((name): [string, Unit] => [name.replaceAll('_', ' '), { dimension, factor }]),
  ),
);

/** Spellings that are words or letters with another meaning too: "12 in a tin", "size 2 l". */
const doubtful: ReadonlySet<string> = new Set([
  'in',
  'm',
  'l',
  'g',
  'w',
  'v',
  'a',
  'ma',
  'pc',
  'foot',
  'feet',
  'pound',
  'pounds',
]);

const literally = (text: string): string => text.replace(/[.*+?^${}()|[\]\\/]/g, '\\$&');
const unitPattern = [...unitBySpelling.keys()]
  .sort((a, b) => b.length - a.length)
  .map((name) => literally(name).replaceAll(' ', '\\s'))
  .join('|');
const amountPattern = String.raw`(?:\d{1,4}[ -])?\d{1,3}[/⁄]\d{1,3}|\d{1,9}(?:[.,]\d{1,6})?|[.,]\d{1,6}`;
/** Signs between amounts that share the unit behind them: a format's (`30 x 40 cm`), a range's, unless it stands apart (`70-350mm`). */
const between = String.raw`\s?[x×]\s?|[–—-]`;
/** One amount, or up to three so joined, before a unit. A number inside a word or a code is none. */
const quantities = new RegExp(
  String.raw`(?<![\p{L}\p{N}.,/⁄"”“]|\p{L}-)((?:(?:${amountPattern})(?:${between})){0,2}(?:${amountPattern}))\s?-?(${unitPattern})(?![\p{L}\p{N}])`,
  'gu',
);

/** Reads `12`, `.5`, `0,5`, `1,200`, `1/2` or `1 1/2`; null where it is no number, as `10/0`. */
function readNumber(text: string): number | null {
  const fraction = /^(?:(\d{1,4})[ -])?(\d{1,3})[/⁄](\d{1,3})$/.exec(text);
  if (fraction) {
    const below = Number(fraction[3]);
    return below === 0 ? null : Number(fraction[1] ?? 0) + Number(fraction[2]) / below;
  }
  const number = Number(/,\d{3}$/.test(text) && !text.startsWith(',') ? text.replace(',', '') : text.replace(',', '.'));
  return Number.isFinite(number) ? number : null;
}

export interface FoundQuantity extends Quantity {
  /** Where it stands in the folded text: [from, to). */
  readonly from: number;
  readonly to: number;
  /** Whether the unit's spelling means something else as well, so that the words count by themselves too. */
  readonly isDoubtful: boolean;
}

/** The amounts that share a unit; the hyphen of `1-1/2` parts none. */
const partsOf = (amounts: string): string[] =>
  amounts.split(/\s?[x×]\s?/).flatMap((part) => (readNumber(part) === null ? part.split(/[–—-]/) : [part]));

/** The amounts with units in a folded text, in order. Cost: linear in the length. */
export function findQuantities(folded: string): FoundQuantity[] {
  const found: FoundQuantity[] = [];
  // Most texts hold no digit at all: looking for one first saves the long pattern.
  if (!/\d/.test(folded)) return found;
  for (const match of folded.matchAll(quantities)) {
    const spelling = match[2]!.replace(/\s/g, ' ');
    const unit = unitBySpelling.get(spelling)!;
    const from = match.index;
    const to = from + match[0].length;
    for (const part of partsOf(match[1]!)) {
      const number = readNumber(part);
      if (number === null) continue;
      const amount = Number((number * unit.factor).toPrecision(6));
      found.push({ dimension: unit.dimension, amount, from, to, isDoubtful: doubtful.has(spelling) });
    }
  }
  return found;
}

/**
 * The token under which a quantity is indexed: equal amounts of one dimension have the same, in whatever unit they were
 * written. It begins with a sign that no word begins with, so that nothing typed is ever its beginning.
 */
export const quantityToken = ({ dimension, amount }: Quantity): string => `=${dimension}:${amount}`;

/** Whether a token of the index stands for a quantity. */
export const isQuantityToken = (token: string): boolean => token.startsWith('=');

/** A token as a person reads it: a quantity in its canonical unit, a word as it is. */
export function readableToken(token: string): string {
  const found = /^=(\w+):(.+)$/.exec(token);
  return found ? `${found[2]} ${canonicalUnit[found[1] as Dimension] ?? ''}`.trim() : token;
}

/** The unit a text names, by any spelling (`gsm`, `g/m²`, `inches`), or null. */
export function unitNamed(text: string): { readonly dimension: Dimension; readonly factor: number } | null {
  return unitBySpelling.get(fold(text.trim())) ?? null;
}
