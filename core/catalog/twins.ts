import { fold } from '../text/fold.ts';
import { tokenize } from '../text/tokenize.ts';
import { stem } from '../text/wordForms.ts';
import { type CatalogRecord, firstText, textsOf } from './record.ts';
import { availability } from './standardColumns.ts';

/** Products that a shopper could not tell apart, by family id, and the attributes in which they differ all the same. */
export interface Twins {
  readonly families: readonly string[];
  readonly differs: readonly string[];
}

/** What says nothing of what a product is: figures of trade, and where its picture lies. */
const passing = new Set([
  'price',
  'former_price',
  'cost',
  'stock',
  'rating',
  'ratings',
  'units_sold',
  'date_added',
  'picture',
  'link',
  'tags',
  'boost',
  'hidden',
  'description',
  'title',
  'brand',
  availability.key,
]);

/** Differing attributes up to which two products are twins. */
const mostDifferences = 1;

interface Product {
  readonly familyId: string;
  /** By attribute, all its variants' values, folded and in order. */
  readonly values: ReadonlyMap<string, string>;
}

/** The words of the title and the brand, whatever their order and endings: what twins have in common. */
function signatureOf(record: CatalogRecord, stemOf: (token: string) => string): string {
  const words = new Set(tokenize(firstText(record.values.title)).map(stemOf));
  return `${[...words].sort().join(' ')} / ${fold(firstText(record.values.brand))}`;
}

function productOf(records: readonly CatalogRecord[], foldOf: (text: string) => string): Product {
  const gathered = new Map<string, Set<string>>();
  for (const { values } of records)
    for (const [key, value] of Object.entries(values)) {
      if (passing.has(key)) continue;
      const texts = gathered.get(key) ?? new Set();
      for (const text of textsOf(value)) texts.add(foldOf(text));
      gathered.set(key, texts);
    }
  return {
    familyId: records[0]!.familyId,
    values: new Map([...gathered].map(([key, texts]) => [key, [...texts].sort().join('|')])),
  };
}

/** An attribute that one of the two lacks, or whose variants overlap, is no difference a shopper would see. */
function differences(a: Product, b: Product): string[] {
  const found: string[] = [];
  for (const [key, value] of a.values) {
    const other = b.values.get(key);
    if (other === undefined || other === value) continue;
    const own = value.split('|');
    if (!other.split('|').some((text) => own.includes(text))) found.push(key);
  }
  return found;
}

/** Texts of which is kept what came of them, and the longest of these: others are worked out each time. */
const mostKept = 50_000;
const longestKept = 60;

/** The same again without working it out again. */
function remembering(work: (text: string) => string): (text: string) => string {
  const known = new Map<string, string>();
  return (text) => {
    const before = known.get(text);
    if (before !== undefined) return before;
    const found = work(text);
    if (known.size < mostKept && text.length <= longestKept) known.set(text, found);
    return found;
  };
}

/** Finds twins while records come in catalog order, each family's together. Keeps a product of every family in memory. */
export function twinFinder(): { add(record: CatalogRecord): void; finish(): Twins[] } {
  const bySignature = new Map<string, Product[]>();
  // A catalog has far fewer words and values than records.
  const stemOf = remembering((token) => stem(token));
  const foldOf = remembering((text) => fold(text).trim());
  let family: CatalogRecord[] = [];
  const close = (): void => {
    const [first] = family;
    const isLive = family.some(({ values }) => values[availability.key] !== availability.soldOut && !values.hidden);
    if (first && isLive) {
      const signature = signatureOf(first, stemOf);
      const known = bySignature.get(signature);
      if (known) known.push(productOf(family, foldOf));
      else bySignature.set(signature, [productOf(family, foldOf)]);
    }
    family = [];
  };
  return {
    add(record) {
      if (family.length > 0 && family[0]!.familyId !== record.familyId) close();
      family.push(record);
    },
    finish() {
      close();
      const twins: Twins[] = [];
      for (const products of bySignature.values()) {
        const left = products.slice(0, 50);
        while (left.length > 1) {
          const first = left.shift()!;
          const same = left.filter((other) => differences(first, other).length <= mostDifferences);
          if (same.length === 0) continue;
          for (const other of same) left.splice(left.indexOf(other), 1);
          const differs = new Set(same.flatMap((other) => differences(first, other)));
          twins.push({ families: [first.familyId, ...same.map(({ familyId }) => familyId)], differs: [...differs] });
        }
      }
      return twins;
    },
  };
}
