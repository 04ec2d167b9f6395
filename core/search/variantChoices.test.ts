import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { type CatalogRecord, textsOf } from '../catalog/record.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { mostOnCardVariants, usualCard } from '../setup/terms/cardTerms.ts';
import { randomCatalog, recordsOf, snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { search } from './search.ts';

const withVariants = (setup: Setup, by?: string): Setup => ({
  ...setup,
  filters: {
    size: { label: 'Size', attribute: 'size', kind: 'tiles', order: 1 },
    colour: { label: 'Colour', attribute: 'colour', kind: 'swatches', order: 2, colours: { Red: '#aa2200' } },
  } as unknown as Setup['filters'],
  resultsPage: {
    ...setup.resultsPage,
    card: {
      ...usualCard,
      pieces: usualCard.pieces.map(({ piece }) => ({ piece, on: true })),
      ...(by && { variantsBy: by }),
    },
  },
});
function cardsOf(records: readonly CatalogRecord[], change: (setup: Setup) => Setup, box = false) {
  const snapshot = snapshotOf([...records]);
  const engine = openEngine(snapshot);
  const setup = change(initialSetup(snapshot.attributes));
  const request = { query: '', filters: {}, page: 1, limit: 60, box };
  return search(engine, prepareSetup(engine, setup, 0), request, (record) => records[record]!).results;
}
const row = (id: string, more: Record<string, string>) => ({
  id,
  family: 'f',
  title: 'Ink',
  price: '3',
  stock: '4',
  ...more,
});

test('variants are told apart by the first filter they differ in, or by the chosen one', () => {
  const records = recordsOf([
    row('a', { colour: 'Red', size: 'A4', price: '3' }),
    row('b', { colour: 'Blue', size: 'A4', price: '5', stock: '0' }),
    row('c', { colour: 'Blue', size: 'A4', price: '7' }),
  ]);
  const [card] = cardsOf(records, (setup) => withVariants(setup));
  expect(card!.choices).toMatchObject({
    label: 'Colour',
    more: 0,
    of: [
      { id: 'a', label: 'Red', colour: '#aa2200', price: 3 },
      // Of two of a colour the one in stock.
      { id: 'c', label: 'Blue', price: 7, available: true },
    ],
  });
  expect(card!.choices!.of[1]).not.toHaveProperty('colour');
  expect(cardsOf(records, (setup) => withVariants(setup, 'size'))[0]!.choices).toBeUndefined();
  expect(cardsOf(records, (setup) => withVariants(setup, 'gone'))[0]!.choices).toBeUndefined();
  expect(
    cardsOf(records, (setup) => ({ ...withVariants(setup), resultsPage: setup.resultsPage }))[0],
  ).not.toHaveProperty('choices');
});

test('what is hidden from results only stands on the cards of the box', () => {
  const records = recordsOf([
    row('a', { colour: 'Red' }),
    row('b', { colour: 'Blue' }),
    row('c', { colour: 'Green', tags: 'trade' }),
  ]);
  const hides = (setup: Setup): Setup => ({
    ...withVariants(setup),
    hiding: { 'tag:trade': { what: 'tag', tag: 'trade', places: ['results'] } },
  });
  const labels = (box: boolean) => cardsOf(records, hides, box)[0]!.choices!.of.map(({ label }) => label);
  expect(labels(false)).toEqual(['Red', 'Blue']);
  expect(labels(true)).toEqual(['Red', 'Blue', 'Green']);
});

test('of many values some stand on the card, the shown one always, and the others are counted', () => {
  const sizes = Array.from({ length: 30 }, (_, at) =>
    row(`v${at}`, { size: `${at} ml`, stock: at === 29 ? '4' : '0' }),
  );
  const [card] = cardsOf(recordsOf(sizes), (setup) => withVariants(setup));
  const { of, more } = card!.choices!;
  expect([of.length, more]).toEqual([mostOnCardVariants, 30 - mostOnCardVariants]);
  expect(of.map(({ id }) => id)).toContain(card!.id);
});

test('on random catalogs: one of each value that the family has, the shown variant for its own, nothing hidden', () => {
  let met = 0;
  for (let seed = 1; seed <= 20; seed++) {
    const records = randomCatalog(seededRandom(seed), 30);
    const hidden = records[seed % records.length]!.familyId;
    const hides = (setup: Setup): Setup => ({
      ...withVariants(setup, 'size'),
      hiding: { [`product:${hidden}`]: { what: 'product', product: hidden } },
    });
    for (const card of cardsOf(records, hides)) {
      const family = records.filter(
        ({ familyId, values }) => familyId === card.familyId && values.hidden === undefined,
      );
      const values = new Set(family.flatMap(({ values }) => textsOf(values.size).slice(0, 1)));
      expect(card.familyId).not.toBe(hidden);
      if (values.size < 2) expect(card.choices).toBeUndefined();
      else {
        met++;
        expect([seed, card.id, card.choices!.of.map(({ label }) => label).sort()]).toEqual([
          seed,
          card.id,
          [...values].sort(),
        ]);
        const own = textsOf(family.find(({ id }) => id === card.id)!.values.size)[0];
        if (own) expect(card.choices!.of.find(({ label }) => label === own)!.id).toBe(card.id);
      }
    }
  }
  expect(met).toBeGreaterThan(50);
});
