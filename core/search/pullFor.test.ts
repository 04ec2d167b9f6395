import { expect, test } from '@jest/globals';
import { seededRandom } from '../base/random.ts';
import { factorAt, strengthSteps } from '../rules/strength.ts';
import { initialSetup } from '../setup/initialSetup.ts';
import type { HouseRule } from '../setup/parts/houseRules.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Condition } from '../setup/terms/condition.ts';
import { randomCatalog, snapshotOf } from '../testing/randomCatalog.ts';
import { rankedFamilies } from './climb.ts';
import { openEngine, prepareSetup } from './prepareSetup.ts';
import { pullFor } from './pullFor.ts';

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
    const steps = Array.from({ length: strengthSteps + 1 }, (_, step) => step);
    for (const first of [1, 2, 5]) {
      const least = steps.find((step) => at(factorAt(step), product) <= first);
      const answer = pullFor(
        engine,
        prepared,
        { of: 'product', plan: 'p', product },
        { search: 'ink', first, many: 1 },
      );
      expect({ seed, first, pull: answer.pull }).toEqual({
        ...{ seed, first },
        pull: least === undefined ? null : factorAt(least),
      });
      reached += Number(answer.pull !== null);
    }
    expect(
      pullFor(engine, prepared, { of: 'product', plan: 'p', product: 'nobody' }, { search: 'ink', first: 1, many: 1 }),
    ).toEqual({
      ...{ pull: null, place: null },
    });
  }
  expect(reached).toBeGreaterThan(5);
});

test('of a condition, in a plan or a house rule, so many products are brought there by the least strength', () => {
  const condition: Condition = { match: 'all', tests: [{ how: 'inStock' }] };
  const rule: HouseRule = { name: 'In stock', on: true, condition, does: { what: 'pull', pull: 1 } };
  let reached = 0;
  for (let seed = 1; seed <= 5; seed++) {
    const records = randomCatalog(seededRandom(seed), 40);
    const engine = openEngine(snapshotOf(records));
    const begun = initialSetup(engine.snapshot.attributes);
    const inStock = new Set(
      records.filter(({ values }) => values.availability !== 'Sold out').map(({ familyId }) => familyId),
    );
    const under = (pull: number, how: 'plan' | 'rule') => ({
      ...begun,
      ...(how === 'plan'
        ? { plans: { p: { ...plan, conditionPulls: [{ condition, pull }] } } }
        : { houseRules: { r: { ...rule, does: { what: 'pull' as const, pull } } } }),
    });
    const request = { query: 'ink', filters: {}, page: 1, limit: 250 };
    const amongFirst = (pull: number, how: 'plan' | 'rule', first: number): number =>
      rankedFamilies(engine, prepareSetup(engine, under(pull, how), 0), request, 250)
        .slice(0, first)
        .filter((id) => inStock.has(id)).length;
    const steps = Array.from({ length: strengthSteps + 1 }, (_, step) => step);
    for (const how of ['plan', 'rule'] as const)
      for (const [first, many] of [[1, 1] as const, [4, 3] as const]) {
        const least = steps.find((step) => amongFirst(factorAt(step), how, first) >= many);
        const pulled =
          how === 'plan' ? ({ of: 'condition', plan: 'p', at: 0 } as const) : ({ of: 'rule', rule: 'r' } as const);
        const prepared = prepareSetup(engine, under(1, how), 0);
        const answer = pullFor(engine, prepared, pulled, { search: 'ink', first, many });
        expect({ seed, how, first, pull: answer.pull }).toEqual({
          ...{ seed, how, first },
          pull: least === undefined ? null : factorAt(least),
        });
        reached += Number(answer.pull !== null);
        expect(
          pullFor(engine, prepared, { of: 'condition', plan: 'p', at: 7 }, { search: 'ink', first, many }),
        ).toEqual({
          ...{ pull: null, place: null },
        });
      }
  }
  expect(reached).toBeGreaterThan(6);
});
