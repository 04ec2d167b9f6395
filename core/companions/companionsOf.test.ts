import { expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { hidingKey } from '../setup/hidingKey.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import type { Setup } from '../setup/schema.ts';
import { obviousCompanions } from '../testing/obviousCompanions.ts';
import { recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { companionsOf, companionsOfSeveral, type SaidByLog, shownVariant, silentLog } from './companionsOf.ts';
import { countTogether, type Relation, relations, type VisitTaken } from './together.ts';

const now = Date.UTC(2026, 10, 1);

/** What a log says of a catalog, as the database answers it. */
function saidBy(visits: readonly VisitTaken[], kindOf: (product: string) => string | null): SaidByLog {
  const { products, kinds } = countTogether(visits, kindOf);
  return {
    visits: visits.length,
    products: (relation, product) => products[relation].filter(({ one }) => one === product),
    kinds: (kind) => kinds.filter(({ one }) => one === kind),
  };
}

/** The catalog under a setup, and what stands beside a product of it. */
function shop(rows: readonly Readonly<Record<string, string>>[], change: (setup: Setup) => Setup = (setup) => setup) {
  const records = recordsOf(rows);
  const snapshot = snapshotOf(records);
  const engine = openEngine(snapshot);
  const setup = change(initialSetup(snapshot.attributes));
  const prepared = prepareSetup(engine, setup, now);
  const place = { snapshot, inStock: engine.inStock, setup, ...prepared.beside };
  const pathOf = new Map(rows.map(({ family, category }) => [family!, category || null]));
  const beside = (product: string, relation: Relation, most = 4, visits: readonly VisitTaken[] = []) => {
    const family = snapshot.findFamily(product);
    const title = rows.find((row) => row.family === product)!.title!;
    const log = visits.length === 0 ? silentLog : saidBy(visits, (id) => pathOf.get(id) ?? null);
    return companionsOf(place, { family, title, relation, most }, log);
  };
  const ids = (...given: Parameters<typeof beside>): string[] =>
    beside(...given).map(({ family }) => snapshot.familyId(family));
  return { place, snapshot, records, setup, beside, ids };
}

const item = (family: string, title: string, category: string, more: Readonly<Record<string, string>> = {}) => ({
  ...{ id: `${family}-1`, family, title, category, price: '5.00', stock: '3', units_sold: '10' },
  ...more,
});
const small = [
  item('red', 'Cadmium red watercolour', 'Paint > Watercolour'),
  item('blue', 'Ultramarine watercolour', 'Paint > Watercolour', { units_sold: '40' }),
  item('oil', 'Cadmium red oil', 'Paint > Oil'),
  item('paper', 'Watercolour paper', 'Paper > Sheets'),
  item('brush', 'Round brush for watercolour', 'Brushes > Round', { units_sold: '90' }),
  item('sable', 'Sable brush for watercolour', 'Brushes > Round', { units_sold: '50' }),
  item('mop', 'Mop brush for watercolour', 'Brushes > Round', { units_sold: '20' }),
  item('ink', 'Black ink', 'Ink'),
];

test('without a log the catalog says what serves the same purpose and what goes with it', () => {
  const { ids, beside } = shop(small);
  expect(ids('red', 'standsIn')).toEqual(['blue']);
  // At most two of a kind, what sells most first.
  expect(ids('red', 'goesWith')).toEqual(['brush', 'sable', 'paper']);
  expect(beside('red', 'goesWith')[0]!.why).toMatchObject({ is: 'catalog', words: ['watercolour'] });
  expect(ids('ink', 'goesWith')).toEqual([]);
});

test('by hand comes first and in its order; what never shows and what is sold out does not', () => {
  const rows = small.map((row) => (row.family === 'paper' ? { ...row, stock: '0' } : row));
  const { ids, place, snapshot } = shop(rows, (setup) => ({
    ...setup,
    companions: { red: { companions: ['ink', 'paper', 'gone'], alternatives: ['oil'], never: ['brush'] } },
  }));
  expect(ids('red', 'goesWith')).toEqual(['ink', 'sable', 'mop']);
  expect(ids('red', 'standsIn')).toEqual(['oil', 'blue']);
  expect(shownVariant(place, snapshot.findFamily('paper'))).toBe('soldOut');
  expect(shownVariant(place, snapshot.findFamily('gone'))).toBe('gone');
});

test('hidings and house rules hold among companions where they say so', () => {
  const hide: Hiding = { what: 'product', product: 'brush', places: ['companions'] };
  const { ids } = shop(small, (setup) => ({
    ...setup,
    hiding: { [hidingKey(hide)]: hide },
    houseRules: {
      mops: {
        name: 'Mops up',
        on: true,
        condition: { match: 'all', tests: [{ how: 'contains', attribute: 'title', text: 'mop' }] },
        does: { what: 'pull', pull: 4 },
        places: ['companions'],
      },
    },
  }));
  expect(ids('red', 'goesWith')[0]).toBe('mop');
  expect(ids('red', 'goesWith')).not.toContain('brush');
});

const visit = (opened: readonly (readonly string[])[], taken: readonly string[] = []): VisitTaken => ({
  opened,
  taken,
});
const many = (count: number, of: VisitTaken): VisitTaken[] => Array.from({ length: count }, () => of);

test('what everybody takes goes with nothing in particular', () => {
  const { ids, beside } = shop(small);
  const visits = [
    ...many(200, visit([['ink'], ['blue']], ['ink'])),
    ...many(20, visit([['red'], ['paper']], ['red', 'paper'])),
    ...many(20, visit([['red'], ['ink']], ['red', 'ink'])),
  ];
  expect(ids('red', 'goesWith', 1, visits)).toEqual(['paper']);
  const [{ why } = { why: null }] = beside('red', 'goesWith', 1, visits);
  expect(why).toMatchObject({ is: 'together', both: 20, of: 40 });
  // Each of the 240 visits has a meeting either way.
  expect(why).toHaveProperty('byChance', (40 * 20) / 480);
});

test('what goes with several things goes with all of them before what goes with one', () => {
  const { place, snapshot } = shop(small);
  const products = ['red', 'oil'].map((id) => ({ family: snapshot.findFamily(id), title: id }));
  const visits = [
    ...many(9, visit([['red'], ['mop']], ['red', 'mop'])),
    ...many(6, visit([['oil'], ['ink']], ['oil', 'ink'])),
    ...many(6, visit([['red'], ['ink']], ['red', 'ink'])),
    ...many(60, visit([['blue'], ['paper']])),
  ];
  const found = companionsOfSeveral(
    place,
    products,
    2,
    saidBy(visits, () => null),
  );
  expect(found.map(({ family }) => snapshot.familyId(family))).toEqual(['ink', 'mop']);
});

const paths = [
  '',
  'Paint',
  'Paint > Watercolour',
  'Paint > Oil',
  'Paper > Watercolour',
  'Brushes > Oil',
  'Brushes',
  'Ink',
];
const words = 'red blue watercolour oil paper brush round flat sable ink'.split(' ');

test.each(Array.from({ length: 25 }, (_, seed) => seed))('agrees with a look at everything (seed %i)', (seed) => {
  const random = seededRandom(seed);
  const id = (): string => `f${Math.floor(random() * 24)}`;
  const sometimes = (share: number, text: () => string): string => (random() < share ? text() : '');
  const rows = Array.from({ length: 24 }, (_, family) => {
    const title = Array.from({ length: 1 + Math.floor(random() * 3) }, () => pick(random, words)).join(' ');
    const [category, sold] = [pick(random, paths), sometimes(0.7, () => String(Math.floor(random() * 4)))];
    return Array.from({ length: 1 + Math.floor(random() * 2) }, (_, variant) => ({
      ...{ id: `f${family}-${variant}`, family: `f${family}`, title, category, units_sold: sold },
      brand: sometimes(0.6, () => pick(random, ['Larkspur', 'Harrow'])),
      colour: sometimes(0.6, () => pick(random, ['Red', 'Blue'])),
      price: sometimes(0.8, () => String(1 + Math.floor(random() * 6))),
      stock: sometimes(0.9, () => String(Math.floor(random() * 3))),
      hidden: sometimes(0.05, () => 'yes'),
      boost: sometimes(0.05, () => '2'),
    }));
  }).flat();
  const visits = Array.from({ length: 120 }, () => {
    // Neighbours are met more than chance has it.
    const near = Math.floor(random() * 23);
    const some = (): string[] =>
      Array.from({ length: Math.floor(random() * 3) }, () =>
        random() < 0.7 ? `f${near + Math.floor(random() * 2)}` : id(),
      );
    const opened = Array.from({ length: 1 + Math.floor(random() * 2) }, some);
    return visit(
      opened,
      opened.flat().filter(() => random() < 0.3),
    );
  });
  const list = (share: number): string[] => (random() < share ? [...new Set([id(), id()])] : []);
  const chosen = Array.from({ length: 8 }, () => [
    id(),
    { companions: list(0.5), alternatives: list(0.5), never: list(0.3) },
  ]);
  const { ids, records, setup } = shop(rows, (before) => ({
    ...before,
    companions: Object.fromEntries(chosen),
    companionShelves: {
      shown: { ...before.companionShelves.shown, fromLog: random() < 0.8, fromCatalog: random() < 0.8 },
    },
    hiding: Object.fromEntries(
      [id(), id()].map((product): [string, Hiding] => {
        const hide: Hiding = { what: 'product', product, places: ['companions'] };
        return [hidingKey(hide), hide];
      }),
    ),
  }));
  const obvious = obviousCompanions(records, visits, setup, now);
  for (const { family } of rows.filter(({ id: record }) => record.endsWith('-0')))
    for (const relation of relations)
      for (const most of family === 'f0' ? [3, 8] : [8])
        expect([family, relation, ids(family, relation, most, visits)]).toEqual([
          family,
          relation,
          obvious(family, relation, most),
        ]);
});
