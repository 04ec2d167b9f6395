import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { factorAt, strengthSteps } from '../rules/strength.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { pullFor } from './pullFor.ts';
import { rankedFamilies } from './rank.ts';

const plan: ShelfPlan = { name: 'Ink', on: true, searches: ['ink'], pins: [], pulls: [] };

test('the strength worked out is the least of all that bring the product where it is wanted', () => {
  let reached = 0;
  for (let seed = 1; seed <= 12; seed++) {
    const records = randomCatalog(seededRandom(seed), 40);
    const engine = openEngine(snapshotOf(records));
    const begun = initialSetup(engine.snapshot.attributes);
    const at = (pull: number, product: string): number => {
      const plans = { p: { ...plan, pulls: [{ product, pull }] } };
      const prepared = prepareSetup(engine, { ...begun, plans }, 0);
      const request = { query: 'ink', filters: {}, page: 1, limit: 250 };
      return rankedFamilies(engine, prepared, request, 250).indexOf(product) + 1;
    };
    const prepared = prepareSetup(engine, { ...begun, plans: { p: plan } }, 0);
    const found = rankedFamilies(engine, prepared, { query: 'ink', filters: {}, page: 1, limit: 250 }, 250);
    const product = found[Math.floor(found.length / 2)];
    if (product === undefined) continue;
    const steps = Array.from({ length: 2 * strengthSteps + 1 }, (_, index) => index - strengthSteps);
    for (const first of [1, 2, 5]) {
      const least = steps.find((step) => at(factorAt(step), product) <= first);
      const answer = pullFor(engine, prepared, { id: 'p', plan, product, search: 'ink', first });
      expect({ seed, first, pull: answer.pull }).toEqual({
        ...{ seed, first },
        pull: least === undefined ? null : factorAt(least),
      });
      reached += Number(answer.pull !== null);
    }
    expect(pullFor(engine, prepared, { id: 'p', plan, product: 'nobody', search: 'ink', first: 1 })).toEqual({
      ...{ pull: null, place: null },
    });
  }
  expect(reached).toBeGreaterThan(5);
});
