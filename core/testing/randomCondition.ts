import { pick } from '../base/random.ts';
import type { Snapshot } from '../index/snapshot.ts';
import type { Condition, Test } from '../setup/terms/condition.ts';

const valuesOf: Readonly<Record<string, readonly string[]>> = {
  brand: ['larkspur', 'Moss & Vane', 'HARROW INK', 'Nobody'],
  colour: ['red', 'Blue', 'Crimson'],
  tags: ['new', 'sale', 'gift', 'Summer'],
  size: ['A4', '12'],
  no_such: ['anything'],
};

function randomTest(random: () => number): Test {
  const attribute = pick(random, Object.keys(valuesOf));
  const values = (): string[] => [...new Set([pick(random, valuesOf[attribute]!), pick(random, valuesOf[attribute]!)])];
  const day = `2026-0${1 + Math.floor(random() * 9)}-14`;
  const number = pick(random, ['price', 'stock', 'units_sold', 'rating', 'brand', 'no_such']);
  const all: readonly (() => Test)[] = [
    () => ({ how: 'is', attribute, values: values() }),
    () => ({ how: 'isNot', attribute, values: values() }),
    () => ({ how: 'contains', attribute, text: pick(random, ['RE', 'a', 'ink', 'é']) }),
    () => ({ how: 'startsWith', attribute, text: pick(random, ['B', 'mo', '1']) }),
    () => ({ how: 'between', attribute: number, from: pick(random, [null, 0, 3]), to: pick(random, [null, 4, 12]) }),
    () => ({ how: 'before', attribute: pick(random, ['date_added', 'brand']), day }),
    () => ({ how: 'after', attribute: 'date_added', day }),
    () => ({ how: 'lastDays', attribute: 'date_added', days: pick(random, [10, 90]) }),
    () => ({ how: 'hasValue', attribute: pick(random, [attribute, number]) }),
    () => ({ how: 'hasNone', attribute: pick(random, [attribute, number]) }),
    () => ({ how: 'inStock' }),
    () => ({ how: 'soldOut' }),
    () => {
      // Read off what is drawn anyway, so that seeds that once failed keep what they made.
      if (number === 'brand') return { how: 'inCollection', collections: ['gone', 'hand'] };
      if (number === 'stock') return { how: 'notInCollection', collections: ['ruled', 'hand'] };
      return number === 'rating' ? { how: 'notInCollection', collections: ['gone'] } : { how: 'reduced' };
    },
  ];
  return pick(random, all)();
}

/** Collections that such conditions name: one made by hand, and one by a condition. */
export const namedCollections = (snapshot: Snapshot) =>
  ({
    hand: {
      condition: null,
      products: [0, 2, 5, 6].map((family) => snapshot.familyId(family % snapshot.families)),
    },
    ruled: {
      condition: { match: 'any', tests: [{ how: 'is', attribute: 'colour', values: ['Red', 'Blue'] }] },
      products: [],
    },
  }) satisfies Record<string, { condition: Condition | null; products: readonly string[] }>;

/** A condition a merchandiser might build for such a catalog as `randomCatalog` makes, groups and gone attributes included. */
export function randomCondition(random: () => number): Condition {
  const match = () => pick(random, ['all', 'any'] as const);
  const some = (least: number): Test[] =>
    Array.from({ length: least + Math.floor(random() * 2) }, () => randomTest(random));
  return { match: match(), tests: [...some(1), ...(random() < 0.3 ? [{ match: match(), tests: some(2) }] : [])] };
}
