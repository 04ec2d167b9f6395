import { placesMoved } from '../../core/compare/placesMoved.ts';
import { bindCondition, missingAttributes, missingCollections } from '../../core/conditions/bindCondition.ts';
import { countIn, eachIn } from '../../core/conditions/recordSet.ts';
import { familiesMet } from '../../core/rules/familiesMet.ts';
import { rankedFamilies } from '../../core/search/climb.ts';
import { prepareSetup } from '../../core/search/prepareSetup.ts';
import { pullFor, type Reached } from '../../core/search/pullFor.ts';
import type { Hiding } from '../../core/setup/parts/hiding.ts';
import type { HouseRule } from '../../core/setup/parts/houseRules.ts';
import type { ShelfPlan } from '../../core/setup/parts/plans.ts';
import type { DraftRef } from '../../core/setup/setupRef.ts';
import type { Condition } from '../../core/setup/terms/condition.ts';
import type { Aim, Pulled } from '../../core/setup/terms/pullTerms.ts';
import { stateOf } from '../../core/setup/terms/span.ts';
import { type EntryEdit, withEntry } from '../../core/setup/withEntry.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';
import { cardsOf } from './cardsOf.ts';
import { triedSearches } from './triedSearches.ts';

const examplesShown = 4;
/** Searches that a rule is tried on, those made most, and places looked at in each. */
const searchesTried = 50;
const placesLookedAt = 100;

/** An entry as if it were switched on, its time had come, and it were limited to nobody. */
const alwaysAndForAll = {
  ...{ on: true, from: undefined, until: undefined, yearly: undefined },
  ...{ whenChosen: undefined, devices: undefined },
};

/** The families that meet a condition. */
const familiesIn = ({ view: { snapshot }, setup }: Ready, condition: Condition) =>
  familiesMet(snapshot, bindCondition(snapshot, condition, setup.asked));

/** The products an entry is about, as far as it moves any; null where it is no rule. */
function productsOf(ready: Ready, { part, value }: EntryEdit): ReadonlySet<string> | null {
  const { snapshot } = ready.view;
  const products = new Set<string>();
  if (part === 'houseRules' && value !== null) {
    eachIn(familiesIn(ready, (value as HouseRule).condition), (family) => products.add(snapshot.familyId(family)));
    return products;
  }
  if (part === 'plans' && value !== null) {
    const { pins, pulls, first = [], bringIn = [], conditionPulls = [] } = value as ShelfPlan;
    for (const { product } of [...pins, ...pulls]) products.add(product);
    for (const product of [...first, ...bringIn]) products.add(product);
    for (const { condition } of conditionPulls)
      eachIn(familiesIn(ready, condition), (family) => products.add(snapshot.familyId(family)));
    return products;
  }
  return null;
}

/** What house rules, plans and hidings are about, and what they do. */
export function ruleQuestions(bench: Workbench) {
  const { ready } = bench;
  return {
    /** The products that meet a condition. Cost: a pass over the records for each test that is new. */
    conditionMet(ref: DraftRef, condition: Condition) {
      const here = ready(ref);
      const { snapshot } = here.view;
      const families = familiesIn(here, condition);
      const some: string[] = [];
      eachIn(families, (family) => {
        if (some.length < examplesShown) some.push(snapshot.familyId(family));
      });
      return {
        products: countIn(families),
        ofProducts: snapshot.families,
        variants: countIn(bindCondition(snapshot, condition, here.setup.asked)),
        missing: [...missingAttributes(snapshot, condition), ...missingCollections(condition, here.setup.asked)],
        examples: cardsOf(here, some),
      };
    },
    /** The least strength that brings products among the first of a search. Cost: some six searches. */
    pullFor(ref: DraftRef, pulled: Pulled, aim: Aim): Reached {
      const { engine, setup } = ready(ref);
      return pullFor(engine, setup, pulled, aim);
    },
    /** The amounts of some products, by which they can be put in order; null where one has none. */
    amounts(ref: DraftRef, attribute: string, products: readonly string[]) {
      const { snapshot } = ready(ref).view;
      const column = snapshot.numbers.get(attribute);
      return {
        amounts: products.map((product) => {
          const family = snapshot.findFamily(product);
          const amount = family < 0 || !column ? Number.NaN : column.ofFamily(family);
          return { product, amount: Number.isNaN(amount) ? null : amount };
        }),
      };
    },
    ruleFigures(ref: DraftRef) {
      const here = ready(ref);
      const { setup, when } = here.setup;
      const { snapshot } = here.view;
      const tags = snapshot.values.get('tags');
      const all = Uint32Array.from({ length: snapshot.records }, (_, record) => record);
      const isByTag = Object.values(setup.hiding).some(({ what }) => what === 'tag');
      const byTag = isByTag && tags ? tags.countFamilies({ records: all, failing: null }).counts.slice() : null;
      const hiddenBy = (hiding: Hiding): number => {
        if (hiding.what === 'product') return snapshot.findFamily(hiding.product) < 0 ? 0 : 1;
        const value = tags?.find(hiding.tag) ?? -1;
        return value < 0 ? 0 : byTag![value]!;
      };
      return {
        rules: Object.entries(setup.houseRules).map(([id, rule]) => ({
          id,
          products: countIn(familiesIn(here, rule.condition)),
          missing: [
            ...missingAttributes(snapshot, rule.condition),
            ...missingCollections(rule.condition, here.setup.asked),
          ],
          state: stateOf(rule, when),
        })),
        hidings: Object.entries(setup.hiding).map(([key, hiding]) => ({
          key,
          products: hiddenBy(hiding),
          state: stateOf(hiding, when),
        })),
      };
    },
    /**
     * What an entry moves against the draft without it, as if it were switched on and its time had come. A shelf plan is
     * tried on its own searches, anything else on those made most. Cost: two searches for each, and two bound setups.
     */
    ruleEffect(ref: DraftRef, { part, key, value }: EntryEdit) {
      const here = ready(ref);
      const { engine, setup: prepared } = here;
      const about = productsOf(here, { part, key, value });
      const timeless = about === null ? value : { ...(value as object), ...alwaysAndForAll };
      const own = part === 'plans' && value !== null ? (value as ShelfPlan).searches : null;
      const tried = own ? null : triedSearches(bench, ref, searchesTried);
      const searches = own ?? tried!.searches.map(({ search }) => search);
      const orders = (to: unknown): string[][] => {
        const bound = prepareSetup(
          ...([engine, withEntry(prepared.setup, { part, key, value: to })] as const),
          ...([prepared.when.now, prepared.asked.collections] as const),
        );
        return searches.map((query) =>
          rankedFamilies(engine, bound, { query, filters: {}, page: 1, limit: placesLookedAt }, placesLookedAt),
        );
      };
      return {
        areMadeUp: tried?.areMadeUp ?? false,
        ...placesMoved({ before: orders(null), after: orders(timeless) }, about ?? new Set()),
      };
    },
  };
}
