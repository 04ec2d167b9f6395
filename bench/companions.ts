import { parseArgs } from 'node:util';
import { seededRandom } from '../core/base/random.ts';
import { firstText } from '../core/catalog/record.ts';
import { companionsOf, type SaidByLog, silentLog } from '../core/companions/companionsOf.ts';
import { kindsOf } from '../core/companions/kinds.ts';
import { countTogether, type Pair, relations, type VisitTaken } from '../core/companions/together.ts';
import { rank } from '../core/search/rank.ts';
import { makeRecords } from './makeRecords.ts';
import { measured } from './measured.ts';
import { openRecords } from './openRecords.ts';

/** Products whose companions are looked for. */
const products = 2000;
const shown = 4;

/** Pairs by what they are of. */
function grouped(pairs: readonly Pair[]): ReadonlyMap<string, Pair[]> {
  const all = new Map<string, Pair[]>();
  for (const pair of pairs) all.set(pair.one, [...(all.get(pair.one) ?? []), pair]);
  return all;
}

/**
 * npm run bench -- companions: what stands beside a product, beside what a search for its title costs; and what counting the
 * log costs in the background.
 */
export function runCompanions(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { records: { type: 'string', default: '100000' }, visits: { type: 'string', default: '500000' } },
  });
  const records = [...makeRecords(1, Number(values.records))];
  const { snapshot, engine, prepared } = openRecords(records);
  const place = { snapshot, inStock: engine.inStock, setup: prepared.setup, ...prepared.beside };
  const random = seededRandom(4);

  let begun = performance.now();
  const kinds = kindsOf(snapshot);
  console.log(`${kinds.names.length} kinds: read once in ${Math.round(performance.now() - begun)} ms`);
  // Neighbours in the catalog are taken together more than chance has it.
  const visit = (): VisitTaken => {
    const near = Math.floor(random() * (snapshot.families - 20));
    const opened = Array.from({ length: 1 + Math.floor(random() * 3) }, () =>
      Array.from({ length: Math.floor(random() * 3) }, () => snapshot.familyId(near + Math.floor(random() * 20))),
    );
    return { opened, taken: opened.flat().filter(() => random() < 0.2) };
  };
  const visits = Array.from({ length: Number(values.visits) }, visit);
  begun = performance.now();
  const kindOf = (product: string): string | null => kinds.names[kinds.ofFamily[snapshot.findFamily(product)]!] ?? null;
  const together = countTogether(visits, kindOf);
  const found = relations.map((relation) => together.products[relation].length);
  console.log(
    `${visits.length} visits: counted in ${Math.round(performance.now() - begun)} ms, ${found.join(' and ')} pairs of products`,
  );
  const byOne = new Map(relations.map((relation) => [relation, grouped(together.products[relation])]));
  const byKind = grouped(together.kinds);
  const log: SaidByLog = {
    visits: visits.length,
    products: (relation, product) => byOne.get(relation)!.get(product) ?? [],
    kinds: (kind) => byKind.get(kind) ?? [],
  };
  const some = Array.from({ length: products }, () => {
    const family = Math.floor(random() * snapshot.families);
    return { family, title: firstText(records[snapshot.recordsOf(family)[0]]!.values.title) };
  });
  const beside = (said: SaidByLog, relation: (typeof relations)[number]) => (product: (typeof some)[number]) =>
    void companionsOf(place, { ...product, relation, most: shown }, said);
  measured<(typeof some)[number]>(
    [
      [
        'a search for its title',
        ({ title }) => void rank(engine, prepared, { query: title, filters: {}, page: 1, limit: shown }, shown),
      ],
      ['companions, without a log', beside(silentLog, 'goesWith')],
      ['alternatives, without a log', beside(silentLog, 'standsIn')],
      ['companions', beside(log, 'goesWith')],
      ['alternatives', beside(log, 'standsIn')],
    ],
    some,
  );
}
