import { describe, expect, test } from '@jest/globals';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { pick, seededRandom } from './random.ts';
import { search } from './search.ts';
import { changesBetween } from './setup/entries.ts';
import { obviousSearch } from './testing/obviousSearch.ts';
import { randomCatalog, randomQuery, randomSetup, snapshotOf } from './testing/randomCatalog.ts';

/** One random catalog with random setups and searches: what the engine says beside what the obvious search says. */
function compareOn(seed: number): void {
  const random = seededRandom(seed);
  const records = randomCatalog(random, 4 + Math.floor(random() * 22));
  const snapshot = snapshotOf(records);
  const engine = openEngine(snapshot);
  for (let round = 0; round < 2; round++) {
    const queries = Array.from({ length: 6 }, () => randomQuery(random));
    const setup = randomSetup(random, snapshot, queries);
    const prepared = prepareSetup(engine, setup);
    for (const query of queries) {
      const typing = random() < 0.3;
      const filters: Record<string, string[]> = {};
      for (const [key, filter] of Object.entries(setup.filters)) {
        if (random() < 0.7) continue;
        const values = snapshot.values.get(filter.attribute);
        filters[key] =
          filter.kind === 'range'
            ? [pick(random, ['5..12', '..9', '3.5..'])]
            : [0, 1].map(() => values!.name(Math.floor(random() * values!.size)));
      }
      const request = { query, filters, typing, page: 1, limit: 200, marks: true, explain: true };
      const answer = search(engine, prepared, request, (record) => records[record]!);
      const expected = obviousSearch(records, snapshot.attributes, setup, query, filters, typing);
      const context = { seed, round, query, typing, filters };
      const shown = answer.results.map(({ familyId, id, score }) => ({ familyId, recordId: id, score }));
      expect({ ...context, total: answer.total, shown }).toEqual({
        ...context,
        total: expected.total,
        shown: expected.results,
      });
      expect({ ...context, dropped: answer.dropped }).toEqual({ ...context, dropped: expected.dropped });
      for (const filter of answer.filters) {
        if (filter.kind === 'range') continue;
        const standing = filter.values.filter(({ count }) => count > 0).map(({ value, count }) => [value, count]);
        expect({ ...context, key: filter.key, counts: Object.fromEntries(standing) }).toEqual({
          ...context,
          key: filter.key,
          counts: expected.counts[filter.key],
        });
      }
      const firstPage = search(engine, prepared, { ...request, limit: 3 }, (record) => records[record]!);
      expect({ ...context, page: firstPage.results.map(({ id }) => id) }).toEqual({
        ...context,
        page: answer.results.slice(0, 3).map(({ id }) => id),
      });
      expectFiguresToAddUp(answer, context);
    }
  }
}

/** The arithmetic told with each result must give its score, and all of it together the order shown. */
function expectFiguresToAddUp(answer: ReturnType<typeof search>, context: unknown): void {
  const sum = (amounts: number[]): number => amounts.reduce((a, b) => a + b, 0);
  for (const { why, score, place } of answer.results) {
    expect(why!.place).toBe(place);
    const lines = [
      ...why!.words.flatMap(({ best, also }) => [best.points, also?.points ?? 0]),
      ...why!.closeness.map(({ points }) => points),
    ];
    if (!why!.exactSku) expect({ context, sum: sum(lines) }).toEqual({ context, sum: why!.matchScore });
    const pull = Math.min(
      10,
      Math.max(
        0.1,
        why!.pulls.reduce((total, each) => total * each.pull, 1),
      ),
    );
    expect(why!.totalPull).toBe(pull);
    expect(why!.score).toBe(pull === 1 ? why!.matchScore : Math.round(why!.matchScore * pull));
    expect(score).toBe(why!.score);
  }
  // The order rebuilt from nothing but what the explanations say.
  const whys = answer.results.map((result) => ({ id: result.familyId, why: result.why! }));
  let left = whys.filter(({ why }) => !why.pin && !why.exactSku);
  const rebuilt = whys.filter(({ why }) => why.exactSku && !why.pin);
  while (left.length > 0) {
    const leader = Math.max(...left.map(({ why }) => why.score));
    const group = left.filter(({ why }) => why.score >= leader - why.closeCall!.width);
    for (const { why } of group) expect(why.closeCall!.leader).toBe(leader);
    rebuilt.push(
      ...group.sort((a, b) => {
        for (const [index, signal] of a.why.closeCall!.signals.entries()) {
          const [x, y] = [signal.value, b.why.closeCall!.signals[index]!.value];
          if (x === y) continue;
          if (x === null || y === null) return x === null ? 1 : -1;
          return signal.direction === 'high' ? y - x : x - y;
        }
        return a.id < b.id ? -1 : 1;
      }),
    );
    left = left.filter((item) => !group.includes(item));
  }
  const unpinned = answer.results.filter(({ why }) => !why!.pin).map(({ familyId }) => familyId);
  expect({ context, order: unpinned }).toEqual({ context, order: rebuilt.map(({ id }) => id) });
  for (const { why } of whys) if (why.pin) expect(why.place <= Math.max(why.pin.place, answer.total)).toBe(true);
}

describe('the fast path against the obvious one', () => {
  test.each(Array.from({ length: 36 }, (_, index) => index + 1))('random catalog %i', (seed) => compareOn(seed));
});

describe('a change shows at once', () => {
  test('a weight, a switch and a hidden tag change the results of the same snapshot', () => {
    const random = seededRandom(7);
    const records = randomCatalog(random, 60);
    const snapshot = snapshotOf(records);
    const engine = openEngine(snapshot);
    const base = randomSetup(seededRandom(3), snapshot, []);
    const setup = { ...base, hiding: {}, attributes: { ...base.attributes } };
    const total = (changed: typeof setup): number =>
      search(
        engine,
        prepareSetup(engine, changed),
        { query: 'blue', filters: {}, page: 1, limit: 5 },
        (record) => records[record]!,
      ).total;
    const nowhere = Object.fromEntries(
      Object.entries(setup.attributes).map(([key, setting]) => [key, { ...setting, searchable: false }]),
    );
    const inColour = { ...nowhere, colour: { searchable: true, weight: 3, onCard: false } };
    expect(total({ ...setup, attributes: nowhere })).toBe(0);
    const everyBlue = new Set(
      records.filter((record) => record.values.colour === 'Blue').map((record) => record.familyId),
    );
    expect(total({ ...setup, attributes: inColour })).toBe(everyBlue.size);
    const hidden = { ...setup, attributes: inColour, hiding: { 'tag:sale': { what: 'tag' as const, tag: 'sale' } } };
    expect(total(hidden)).toBeLessThan(everyBlue.size);
    expect(changesBetween(setup, hidden).some(({ part }) => part === 'hiding')).toBe(true);
  });
});
