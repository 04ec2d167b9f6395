import { pick, seededRandom } from '../core/base/random.ts';
import { drawPicture, type Shape } from './drawPicture.ts';
import { euros, inGerman } from './inGerman.ts';
import { type Shade, shades } from './palette.ts';
import { type Range, ranges } from './ranges.ts';

/** The columns of the demo catalog, in order: the standard names, then the store's own attributes. */
export const columns = [
  ...[
    'id',
    'family',
    'sku',
    'title',
    'description',
    'brand',
    'category',
    'kind',
    'colour',
    'shade',
    'size',
    'material',
  ],
  ...['paper_weight', 'series', 'opacity', 'tags', 'price', 'former_price', 'cost', 'stock', 'rating', 'ratings'],
  ...['units_sold', 'date_added', 'picture'],
  // For the storefront in Germany.
  ...['title_de', 'description_de', 'colour_de', 'price_eur'],
] as const;
type Column = (typeof columns)[number];
export type Row = Partial<Record<Column, string>>;

export interface Store {
  readonly rows: readonly Row[];
  /** SVG text by file name. */
  readonly pictures: ReadonlyMap<string, string>;
}

const codeOf = (text: string, length: number): string =>
  text
    .replace(/[^A-Za-z]/g, '')
    .slice(0, length)
    .toUpperCase();
const capitalised = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
const pounds = (amount: number): string => Math.max(0.4, Math.round(amount * 20) / 20).toFixed(2);
/** Days before the catalog's own "today", 1 November 2026, as a date. */
const dateBefore = (days: number): string =>
  new Date(Date.UTC(2026, 10, 1) - days * 86_400_000).toISOString().slice(0, 10);

interface Product {
  readonly range: Range;
  readonly brand: string;
  readonly word: string;
  readonly shade: Shade | null;
}

function productsOf(range: Range, random: () => number): Product[] {
  if (range.products === 'shades')
    return range.brands.flatMap((brand, place) =>
      shades.filter(() => place === 0 || random() < 0.95).map((shade) => ({ range, brand, word: shade.name, shade })),
    );
  return range.brands.flatMap((brand, place) =>
    (range.products as readonly string[])
      .filter(() => place === 0 || random() < 0.95)
      .map((word) => ({ range, brand, word, shade: null })),
  );
}

/** Spellings that three hands gave one colour family. */
function colourAsTyped(family: string, random: () => number): string {
  const spelling = random();
  if (spelling < 0.06) return family.toUpperCase();
  if (spelling < 0.1) return family.toLowerCase();
  return family === 'Grey' && spelling < 0.3 ? 'Gray' : family;
}

function titleOf({ range, word, brand, shade }: Product, random: () => number): string {
  if (shade) return random() < 0.9 ? `${word} ${range.noun}` : `${brand} ${word} ${range.noun}`;
  const title = `${word} ${range.noun}`;
  return random() < 0.85 ? title : `${title} by ${brand}`;
}

const weights = ['90', '120', '160', '200', '300', '425', '640'];
const opacities = ['Transparent', 'Semi-transparent', 'Opaque', 'opaque', 'semi transparent'];

/** Makes the demo store from a seed: the same seed gives the same rows and pictures, to the last letter. */
export function makeStore(seed: number): Store {
  const random = seededRandom(seed);
  // Of its own, so that what there is in English stays the same to the last letter.
  const german = seededRandom(seed + 1);
  const rows: Row[] = [];
  const pictures = new Map<string, string>();
  const picture = (shape: Shape, hex: string): string => {
    const name = `${shape}-${hex.slice(1)}.svg`;
    if (!pictures.has(name)) pictures.set(name, drawPicture(shape, hex));
    return `/pictures/${name}`;
  };
  const products = ranges.flatMap((range) => productsOf(range, random));
  for (const [number, product] of products.entries()) {
    const { range, brand, word, shade } = product;
    const family = `p${String(number + 1).padStart(4, '0')}`;
    const isPaper = range.category.startsWith('Paper');
    const weight = pick(random, weights);
    const material = range.materials.length > 0 ? pick(random, range.materials) : '';
    const title = titleOf(product, random);
    const isSeasonal = random() < 0.04;
    const isLeaving = random() < 0.05;
    const added = Math.floor(random() ** 2 * 2200);
    const series = range.category.startsWith('Paint') && random() < 0.6 ? `Series ${1 + (number % 5)}` : '';
    const opacity = range.category.startsWith('Paint >') && shade && random() < 0.7 ? pick(random, opacities) : '';
    const popularity = random() ** 3;
    const rating = 3.2 + random() * 1.8;
    const tags = [...range.tags];
    if (isSeasonal) tags.push(random() < 0.5 ? 'christmas' : 'Christmas');
    if (isLeaving) tags.push('clearance');
    if (added < 60) tags.push('new');
    const about = [pick(random, range.about)];
    if (isPaper && random() < 0.6) about.push(`${weight} gsm.`);
    if (material && random() < 0.5) about.push(`Made with ${material.toLowerCase()}.`);
    if (random() < 0.3)
      about.push(
        `Chosen by Wren & Umber for ${pick(random, ['beginners', 'the travelling painter', 'daily practice', 'commissions', 'the classroom'])}.`,
      );
    const description = random() < 0.12 ? '' : about.join(' ');
    const listed = range.variants.values === 'shades' ? shades.filter(() => random() < 0.42) : range.variants.values;
    const variants = listed.length === 0 ? shades.slice(0, 3) : listed;
    const kept = variants.filter((_, index) => index === 0 || random() < 0.93);
    const brandTyped = random() < 0.05 ? '' : random() < 0.04 ? brand.toUpperCase() : brand;
    const { noun } = range;
    const texts = inGerman({ noun, word, shade: shade?.name ?? null, colour: null }, german);
    for (const [index, variant] of kept.entries()) {
      const own = typeof variant === 'string' ? shade : variant;
      const size = typeof variant === 'string' ? variant : '';
      const hex = own?.hex ?? range.hex?.[number % range.hex.length] ?? '#8b949c';
      const price = range.price * range.step ** index * (0.85 + random() * 0.3);
      const isSoldOut = isLeaving ? random() < 0.5 : random() < 0.07;
      const reduced = isLeaving || random() < 0.06;
      rows.push({
        id: `${family}-${index + 1}`,
        family,
        sku: `WU-${codeOf(range.kind, 2)}${codeOf(brand, 2)}-${String(number + 1).padStart(4, '0')}${String.fromCharCode(65 + (index % 26))}${index >= 26 ? '2' : ''}`,
        title,
        description,
        brand: brandTyped,
        category: range.category,
        kind: range.kind,
        colour: own && random() > 0.04 ? colourAsTyped(own.family, random) : '',
        shade: own?.name ?? '',
        size: random() < 0.03 ? '' : size,
        material:
          random() < 0.2 ? '' : capitalised(material) === material || random() < 0.5 ? material : capitalised(material),
        paper_weight: isPaper ? (random() < 0.45 ? weight : random() < 0.5 ? `${weight} gsm` : `${weight}gsm`) : '',
        series,
        opacity,
        tags: tags.join('|'),
        price: pounds(price),
        former_price: reduced ? pounds(price * (1.15 + random() * 0.3)) : '',
        cost: random() < 0.9 ? pounds(price * (0.45 + random() * 0.2)) : '',
        stock: random() < 0.02 ? '' : String(isSoldOut ? 0 : Math.ceil(random() * 60)),
        rating: random() < 0.2 ? '' : Math.min(5, rating + random() * 0.2).toFixed(1),
        ratings: String(Math.floor(popularity * 240 * random())),
        units_sold: String(Math.floor(popularity * 900 * (0.4 + random()))),
        date_added: dateBefore(added),
        picture: picture(range.shape, hex),
        title_de: texts.title,
        description_de: texts.description,
        colour_de: own ? inGerman({ noun, word, shade: null, colour: own.family }, german).colour : '',
        price_eur: euros(price, german),
      });
    }
    // Twins: now and then somebody entered a product a second time under another number.
    if (random() < 0.008) {
      const twin = rows.at(-1)!;
      rows.push({ ...twin, id: `${twin.id}b`, family: `${family}b`, sku: `${twin.sku}-N`, title: `${title} ` });
    }
    if (word === 'Round' && brand === 'Osier') rows.at(-1)!.description += ' “The one I reach for,” says our shop.';
  }
  return { rows, pictures };
}
