import { describe, expect, test } from '@jest/globals';
import { pick, seededRandom } from '../base/random.ts';
import { textsOf } from '../catalog/record.ts';
import { openEngine, prepareSetup } from '../search/prepareSetup.ts';
import { hidingKey } from '../setup/hidingKey.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Hiding } from '../setup/parts/hiding.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { type ListRequest, listProducts } from './listProducts.ts';

const whole: ListRequest = {
  query: '',
  filters: {},
  missing: [],
  state: 'all',
  kind: 'products',
  sort: '',
  direction: 'up',
};

/** The list by looking at every record, for requests without words. */
function obviousList(
  records: ReturnType<typeof randomCatalog>,
  { filters, missing, state, kind, sort, direction }: ListRequest,
  isHidden: (family: string) => boolean,
): string[] {
  const counted = (record: (typeof records)[number], of: typeof kind) => {
    if (of === 'variants') return [record];
    const variants = records.filter(({ familyId }) => familyId === record.familyId);
    const shown = variants.filter(({ values }) => values.hidden === undefined);
    return shown.length > 0 ? shown : variants;
  };
  const passes = (record: (typeof records)[number]): boolean =>
    Object.entries(filters).every(([key, texts]) => textsOf(record.values[key]).some((text) => texts.includes(text))) &&
    missing.every((key) => record.values[key] === undefined) &&
    (state === 'all' ||
      (state === 'hidden'
        ? isHidden(record.familyId) || record.values.hidden !== undefined
        : counted(record, kind).every(({ values }) => values.availability === 'Sold out')));
  const ids = records.filter(passes).map((record) => (kind === 'products' ? record.familyId : record.id));
  const items = [...new Set(ids)];
  const sortValue = (id: string): string | number | undefined => {
    const own = records.filter((record) => (kind === 'products' ? record.familyId : record.id) === id);
    if (sort === 'price') {
      const prices = own.flatMap(({ values }) => (typeof values.price === 'number' ? [values.price] : []));
      return prices.length > 0 ? Math.min(...prices) : undefined;
    }
    return textsOf(own[0]!.values[sort])[0];
  };
  if (sort === '') return items;
  const sign = direction === 'up' ? 1 : -1;
  return items
    .map((id, at) => ({ id, at, value: sortValue(id) }))
    .sort((a, b) => {
      if (a.value === undefined || b.value === undefined)
        return Number(a.value === undefined) - Number(b.value === undefined) || a.at - b.at;
      return sign * (a.value < b.value ? -1 : a.value > b.value ? 1 : 0) || a.at - b.at;
    })
    .map(({ id }) => id);
}

describe('the table lists what looking at every record gives', () => {
  test.each(Array.from({ length: 25 }, (_, seed) => seed + 1))('seed %i', (seed) => {
    const random = seededRandom(seed);
    const records = randomCatalog(random, 25);
    const snapshot = snapshotOf(records);
    const engine = openEngine(snapshot);
    const hiding: Hiding = { what: 'product', product: snapshot.familyId(Math.floor(random() * snapshot.families)) };
    const setup = { ...initialSetup(snapshot.attributes), hiding: { [hidingKey(hiding)]: hiding } };
    const prepared = prepareSetup(engine, setup, 0);
    for (let turn = 0; turn < 8; turn++) {
      const request: ListRequest = {
        ...whole,
        kind: pick(random, ['products', 'variants'] as const),
        filters: random() < 0.5 ? { colour: ['Red', 'Blue'] } : {},
        missing: random() < 0.3 ? [pick(random, ['brand', 'price', 'tags'])] : [],
        state: pick(random, ['all', 'all', 'hidden', 'soldOut'] as const),
        sort: pick(random, ['', 'price', 'title', 'brand']),
        direction: pick(random, ['up', 'down'] as const),
      };
      const list = listProducts(engine, prepared, request, new Set());
      const ids = Array.from(list, (item) =>
        request.kind === 'products' ? snapshot.familyId(item) : records[item]!.id,
      );
      expect([request, ids]).toEqual([request, obviousList(records, request, (family) => family === hiding.product)]);
    }
  });
});

test('words narrow the list, hidden products included, and a part number finds its own', () => {
  const records = randomCatalog(seededRandom(3), 20);
  const snapshot = snapshotOf(records);
  const engine = openEngine(snapshot);
  const hiding: Hiding = { what: 'product', product: records[0]!.familyId };
  const prepared = prepareSetup(
    engine,
    {
      ...initialSetup(snapshot.attributes),
      hiding: { [hidingKey(hiding)]: hiding },
    },
    0,
  );
  const withSku = records.find(({ sku }) => sku !== '')!;
  const found = listProducts(engine, prepared, { ...whole, query: withSku.sku, kind: 'variants' }, new Set());
  expect(Array.from(found, (item) => records[item]!.id)).toContain(withSku.id);
  const family = snapshot.findFamily(records[0]!.familyId);
  const decided = listProducts(engine, prepared, { ...whole, state: 'decided' }, new Set([family]));
  expect(Array.from(decided)).toEqual([family]);
});
