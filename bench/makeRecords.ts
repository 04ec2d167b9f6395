import { pick, seededRandom } from '../core/base/random.ts';
import { readStandardRow } from '../core/catalog/readRow.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';

const starts = 'b br c ch d dr f fl g gr h j k l m n p pl pr qu r s sh st t tr v w z'.split(' ');
const middles = 'a e i o u ai ea ou'.split(' ');
const ends = 'n r l t m d ck st nd rm ll mp nt sk'.split(' ');

/** Words that look like words, each different; the earlier ones are shorter. */
function makeWords(random: () => number, amount: number): string[] {
  const words = new Set<string>();
  while (words.size < amount) {
    let word = '';
    const syllables = 1 + Math.floor((words.size / amount) * 2.2 + random());
    for (let at = 0; at < syllables; at++) word += pick(random, starts) + pick(random, middles);
    words.add(word + pick(random, ends));
  }
  return [...words];
}

/** A word by Zipf's law: the n-th commonest is drawn n times as seldom as the first. */
const zipf = (random: () => number, words: readonly string[]): string =>
  words[Math.min(words.length - 1, Math.floor(words.length ** random()) - 1)] ?? words[0]!;

/**
 * Records for the bench: eight text attributes of together about 60 words, families of one to four variants, eight
 * attributes to filter by. The same seed and amount give the same records.
 */
export function* makeRecords(seed: number, amount: number): Generator<CatalogRecord> {
  const random = seededRandom(seed);
  const words = makeWords(random, 30_000);
  const named = (from: number, size: number) => words.slice(from, from + size);
  const brands = named(6000, 300);
  const categories = named(7000, 60);
  const colours = named(7100, 40);
  const materials = named(7200, 80);
  const tags = named(7300, 200);
  const sizes = ['5 ml', '15 ml', '37 ml', 'A5', 'A4', 'A3', '0.5 mm', '1 mm', '300 gsm', '12 in'];
  let made = 0;
  for (let family = 0; made < amount; family++) {
    const title = Array.from({ length: 4 + Math.floor(random() * 3) }, () => zipf(random, words)).join(' ');
    const description = Array.from({ length: 34 + Math.floor(random() * 14) }, () => zipf(random, words)).join(' ');
    const shared = {
      family: `f${family}`,
      title,
      description,
      brand: pick(random, brands),
      category: `${pick(random, categories)} > ${pick(random, categories)}`,
      material: `${pick(random, materials)} ${pick(random, materials)}`,
      tags: `${pick(random, tags)}|${pick(random, tags)}`,
      units_sold: String(Math.floor(random() ** 3 * 900)),
      rating: (3 + random() * 2).toFixed(1),
    };
    const variants = Math.min(amount - made, 1 + Math.floor(random() * 4));
    for (let variant = 0; variant < variants; variant++) {
      const reading = readStandardRow({
        ...shared,
        id: `r${made++}`,
        sku: `SK-${family.toString(36)}-${variant}${pick(random, ['A', 'B', 'C'])}`,
        colour: `${pick(random, colours)} ${pick(random, colours)}`,
        size: pick(random, sizes),
        price: (1 + random() * 90).toFixed(2),
        stock: String(Math.floor(random() * 9)),
      });
      if ('record' in reading) yield reading.record;
    }
  }
}
