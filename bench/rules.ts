import { parseArgs } from 'node:util';
import { pick, seededRandom } from '../core/base/random.ts';
import { attributeProfiler } from '../core/catalog/profileAttributes.ts';
import type { CatalogRecord } from '../core/catalog/record.ts';
import { firstText, textsOf } from '../core/catalog/record.ts';
import { onDay } from '../core/conditions/asked.ts';
import { bindCondition } from '../core/conditions/bindCondition.ts';
import { snapshotBuilder } from '../core/index/buildSnapshot.ts';
import { openSnapshot } from '../core/index/snapshot.ts';
import { openEngine, prepareSetup } from '../core/search/prepareSetup.ts';
import { search } from '../core/search/search.ts';
import { initialSetup } from '../core/setup/initialSetup.ts';
import type { HouseRule } from '../core/setup/parts/houseRules.ts';
import type { ShelfPlan } from '../core/setup/parts/plans.ts';
import type { Setup } from '../core/setup/schema.ts';
import type { Test } from '../core/setup/terms/condition.ts';
import { planHows } from '../core/setup/terms/planTerms.ts';
import { tokenize } from '../core/text/tokenize.ts';
import { cleverShelf } from './contenders.ts';
import { makeRecords } from './makeRecords.ts';
import { median } from './percentile.ts';
import { sideBySide } from './sideBySide.ts';

const plansMade = 2000;
const rulesMade = 500;
const hidingsMade = 300;

/** A test of some of the catalog's own values and amounts. */
function makeTest(random: () => number, records: readonly CatalogRecord[]): Test {
  const { values } = pick(random, records);
  const kind = random();
  const attribute = pick(random, ['brand', 'colour', 'material', 'tags', 'size']);
  const own = textsOf(values[attribute]);
  if (kind < 0.5 && own.length > 0) return { how: 'is', attribute, values: own.slice(0, 1) };
  if (kind < 0.7) return { how: 'contains', attribute: 'material', text: firstText(values.material, 'a').slice(0, 4) };
  if (kind < 0.9) {
    const price = typeof values.price === 'number' ? values.price : 5;
    return { how: 'between', attribute: 'price', from: price, to: price * 1.05 };
  }
  return { how: 'between', attribute: 'units_sold', from: 900 + Math.floor(random() * 90), to: null };
}

/** Plans that name the same search: more than these contradict each other, which the desk says. */
const plansForOne = 2;

/**
 * So many plans, house rules and hidings as the largest shop may have, some with dates, all of the catalog's own words and
 * products. `mostForOne` plans at most name the same search.
 */
function makeRules(
  random: () => number,
  records: readonly CatalogRecord[],
  mostForOne: number,
): Pick<Setup, 'plans' | 'houseRules' | 'hiding'> {
  const product = (): string => pick(random, records).familyId;
  const words = (): string[] => tokenize(firstText(pick(random, records).values.title));
  const dates = () => (random() < 0.2 ? { from: '2020-01-01', until: '2099-12-24T18:00' } : {});
  const named = new Map<string, number>();
  /** The beginning of a title, as searches are; another one where enough plans name it already. */
  const searchOf = (many: number): string => {
    for (;;) {
      const said = words().slice(0, many).join(' ');
      const times = named.get(said) ?? 0;
      // Single words run out: then two are taken.
      if (times < mostForOne) {
        named.set(said, times + 1);
        return said;
      }
      many = Math.min(3, many + 1);
    }
  };
  const plan = (at: number): ShelfPlan => {
    return {
      name: `Plan ${at}`,
      on: true,
      how: at % 10 < 6 ? 'exactly' : planHows[1 + (at % 3)]!,
      searches: [searchOf(1 + (at % 2)), searchOf(2)],
      pins: [{ product: product(), place: 1 + (at % 8) }],
      pulls: [{ product: product(), pull: 2 }],
      ...(at % 5 === 0 && { first: [product(), product()] }),
      ...(at % 7 === 0 && { bringIn: [product()] }),
      ...(at % 9 === 0 && {
        conditionPulls: [{ condition: { match: 'all' as const, tests: [makeTest(random, records)] }, pull: 1.5 }],
      }),
      ...dates(),
    };
  };
  const rule = (at: number): HouseRule => ({
    name: `Rule ${at}`,
    on: true,
    condition: { match: 'all', tests: [makeTest(random, records), makeTest(random, records)] },
    does: at % 10 === 0 ? { what: 'hide' } : { what: 'pull', pull: at % 2 === 0 ? 1.2 : 0.8 },
    ...dates(),
  });
  const entries = <Value>(amount: number, make: (at: number) => Value): Record<string, Value> =>
    Object.fromEntries(Array.from({ length: amount }, (_, at) => [`e${at}`, make(at)]));
  return {
    plans: entries(plansMade, plan),
    houseRules: entries(rulesMade, rule),
    hiding: entries(hidingsMade, () => ({ what: 'product' as const, product: product(), ...dates() })),
  };
}

/** Edits of each kind that are made before any counts, and those whose median does. */
const warmEdits = 5;
const edits = 15;
function timeOf(act: (at: number) => void): string {
  for (let at = 0; at < warmEdits; at++) act(at);
  const times = Array.from({ length: edits }, (_, at) => {
    const start = performance.now();
    act(warmEdits + at);
    return performance.now() - start;
  });
  return `${median(times).toFixed(1).padStart(8)} ms, at most ${Math.max(...times).toFixed(1)}`;
}

/** npm run bench -- rules: searches under many plans, house rules and hidings beside the same without (bound 1.3), and edits among them (50 ms). */
export function runRules(rest: readonly string[]): void {
  const { values } = parseArgs({
    args: [...rest],
    options: { size: { type: 'string', default: '100000' }, queries: { type: 'string', default: '300' } },
  });
  const records = [...makeRecords(7, Number(values.size))];
  const random = seededRandom(8);
  const rules = makeRules(random, records, plansForOne);
  const profiler = attributeProfiler();
  for (const record of records) profiler.add(record);
  const profiles = profiler.finish();
  const builder = snapshotBuilder(profiles, 'en');
  for (const record of records) builder.add(record);
  const engine = openEngine(openSnapshot(builder.finish())!);
  const setup: Setup = { ...initialSetup(profiles), ...rules };
  const now = Date.parse('2026-11-29T12:00Z');
  const first = performance.now();
  prepareSetup(engine, setup, now);
  console.log(`${values.size} records; ${plansMade} plans, ${rulesMade} house rules, ${hidingsMade} hidings`);
  console.log(`bound for the first time: ${(performance.now() - first).toFixed(0)} ms`);
  console.log(`without any rules:       ${timeOf(() => prepareSetup(engine, initialSetup(profiles), now))}`);
  const edited = {
    'a plan edited': (at: number) => ({
      plans: { ...rules.plans, e7: { ...rules.plans.e7!, pins: [{ product: records[at]!.familyId, place: 1 }] } },
    }),
    'a house rule’s strength': (at: number) => ({
      houseRules: {
        ...rules.houseRules,
        e7: { ...rules.houseRules.e7!, does: { what: 'pull' as const, pull: 1 + at / 100 } },
      },
    }),
    'a house rule’s condition': (at: number) => ({
      houseRules: {
        ...rules.houseRules,
        e7: {
          ...rules.houseRules.e7!,
          condition: {
            match: 'all' as const,
            tests: [{ how: 'between' as const, attribute: 'price', from: at, to: null }],
          },
        },
      },
    }),
    'a hiding': (at: number) => ({
      hiding: { ...rules.hiding, e7: { what: 'product' as const, product: records[at * 5]!.familyId } },
    }),
  };
  for (const [what, change] of Object.entries(edited))
    console.log(`${what.padEnd(24)} ${timeOf((at) => prepareSetup(engine, { ...setup, ...change(at) }, now))}`);
  const request = { query: 'red', filters: {}, page: 1, limit: 24 };
  console.log(
    `${'an edit, seen in results'.padEnd(24)} ${timeOf((at) =>
      search(
        engine,
        prepareSetup(engine, { ...setup, ...edited['a house rule’s strength'](at) }, now),
        request,
        (record) => records[record]!,
      ),
    )}`,
  );
  const brands = [...new Set(records.map(({ values: own }) => firstText(own.brand)))];
  console.log(
    `${'a condition counted'.padEnd(24)} ${timeOf((at) =>
      bindCondition(
        engine.snapshot,
        {
          match: 'all',
          tests: [{ how: 'contains', attribute: 'brand', text: brands[at]!.slice(0, 3) }, { how: 'inStock' }],
        },
        onDay(20_000),
      ),
    )}`,
  );
  const plain = cleverShelf(records);
  const beside = (own: typeof rules): void => {
    const full = cleverShelf(records, (usual) => ({ ...usual, ...own }));
    // A plan's condition is bound when the plan first holds; a running server has bound it.
    for (const { conditionPulls, searches } of Object.values(own.plans))
      if (conditionPulls) for (const search of searches) full.search(search, false);
    sideBySide(records, random, Number(values.queries), plain, full);
  };
  console.log(`searches, ${plansForOne} plans at most for the same one:`);
  beside(rules);
  console.log('searches, as many plans for one as its words are common in titles (dozens for some):');
  beside(makeRules(seededRandom(8), records, Number.POSITIVE_INFINITY));
}
