import { own } from '../../core/base/named.ts';
import { bindCondition } from '../../core/conditions/bindCondition.ts';
import { isIn } from '../../core/conditions/recordSet.ts';
import { wordsOf } from '../../core/query/readUnits.ts';
import { familiesMet } from '../../core/rules/familiesMet.ts';
import { planFactors } from '../../core/rules/planFactors.ts';
import { caughtBy, type LinkTarget, linkTarget } from '../../core/rules/redirects.ts';
import type { RuleUse } from '../../core/rules/reviewRules.ts';
import { withoutPlan } from '../../core/rules/triggers.ts';
import { climb, rankedFamilies } from '../../core/search/climb.ts';
import { shelfFor } from '../../core/search/emptyShelf.ts';
import { hiddenByPlans } from '../../core/search/planned.ts';
import type { ShelfPlan } from '../../core/setup/parts/plans.ts';
import type { SetupRef } from '../../core/setup/setupRef.ts';
import { purchases } from '../demand/purchases.ts';
import type { Ready, Workbench } from '../searching/workbench.ts';

/** Searches of the log that are looked at, those made most. */
const searchesLooked = 10_000;
/** Plans of which it is looked whether they change anything, the searches of each tried, and places of each compared. */
const plansTried = 600;
const searchesTried = 3;
const placesCompared = 48;
/** Searches of a plan of which the purchases are held against it. */
const searchesHeld = 20;

/** Searches told of one redirect. */
const searchesTold = 5;

/** A redirect, whether it leads anywhere, and whom it caught. */
export interface RedirectUse {
  readonly of: 'plan' | 'page';
  readonly id: string;
  readonly target: LinkTarget['kind'];
  readonly isThere: boolean | null;
  readonly times: number;
  readonly searches: readonly string[];
}

const depth = (query: string) => ({ query, filters: {}, page: 1, limit: placesCompared });

/** Whether a plan says or does something else than ordering. */
const isHeard = ({ banners = [], redirect, treatAs, scope, filters, wordsOut = [] }: ShelfPlan): boolean =>
  banners.length + wordsOut.length > 0 || [redirect, treatAs, scope, filters].some((each) => each !== undefined);

/** Whether some searches show the same without a plan. Cost: two searches each. */
function isIdle({ engine, setup }: Ready, id: string, searches: readonly string[]): boolean {
  const plan = own(setup.setup.plans, id);
  if (!plan || isHeard(plan)) return false;
  const without = { ...setup, triggers: withoutPlan(setup.triggers, id) };
  return searches.every((query) => {
    const withIt = rankedFamilies(engine, setup, depth(query), placesCompared);
    return withIt.join() === rankedFamilies(engine, without, depth(query), placesCompared).join();
  });
}

/** Products bought after some searches that a plan lowers or hides for the first of them. */
function boughtAgainst(
  { engine, setup }: Ready,
  id: string,
  searches: readonly string[],
  bought: ReadonlyMap<string, ReadonlyMap<string, number>>,
): RuleUse['plans'][number]['against'] {
  const all = new Map<string, number>();
  for (const search of searches.slice(0, searchesHeld))
    for (const [product, many] of bought.get(search) ?? []) all.set(product, (all.get(product) ?? 0) + many);
  const of = [...all.values()].reduce((sum, many) => sum + many, 0);
  if (of === 0) return [];
  const { snapshot } = engine;
  const { effects } = climb(engine, setup, depth(searches[0]!), 1).ranking;
  const own = effects.filter(({ source }) => source.kind === 'plan' && source.id === id);
  const factors = planFactors(snapshot, own, setup.asked);
  const hidden = hiddenByPlans(snapshot, null, own, setup.asked);
  const isAgainst = (product: string): boolean => {
    const family = snapshot.findFamily(product);
    if (family < 0) return false;
    const [from, to] = snapshot.recordsOf(family);
    return factors.times(family, 1) < 1 || hidden?.subarray(from, to).every((mark) => mark !== 0) === true;
  };
  return [...all].flatMap(([product, many]) => (isAgainst(product) ? [{ product, bought: many, of }] : []));
}

/** What the shopper log says of plans and house rules. */
export function ruleUseQuestions(bench: Workbench) {
  return {
    /** Where shoppers are sent instead of results. Cost: a lookup for each search of the log; a search for those that found nothing. */
    redirects(ref: SetupRef): RedirectUse[] {
      const here = bench.ready(ref);
      const { engine, setup, content } = here;
      const demand = bench.log.top(searchesLooked);
      const isThere = (link: string): Pick<RedirectUse, 'target' | 'isThere'> => {
        const { kind: target, id } = linkTarget(link);
        if (target === 'product') return { target, isThere: engine.snapshot.findFamily(id) >= 0 };
        if (target === 'article') return { target, isThere: content.content.articles.some((each) => each.id === id) };
        if (target === 'collection') return { target, isThere: content.collections.some((each) => each.id === id) };
        if (target === 'search') return { target, isThere: climb(engine, setup, depth(id), 1).ranking.foundAny };
        return { target, isThere: null };
      };
      const caught = caughtBy(setup.triggers, demand);
      const plans = Object.entries(setup.setup.plans).flatMap(([id, { redirect }]): RedirectUse[] =>
        redirect === undefined
          ? []
          : [{ of: 'plan', id, ...isThere(redirect), times: 0, searches: [], ...caught.get(id) }],
      );
      const pages = Object.entries(setup.setup.specialShelves).filter(([, { link }]) => link !== undefined);
      if (pages.length === 0) return plans;
      const onPages = new Map<string, { times: number; searches: string[] }>();
      for (const { search, searches: times, foundNothing } of demand) {
        if (foundNothing === 0 || climb(engine, setup, depth(search), 1).ranking.foundAny) continue;
        const { key, special } = shelfFor(engine, setup, search);
        if (special?.link === undefined) continue;
        const own = onPages.get(key) ?? { times: 0, searches: [] };
        onPages.set(key, { times: own.times + times, searches: [...own.searches, search].slice(0, searchesTold) });
      }
      return [
        ...plans,
        ...pages.map(
          ([id, { link }]): RedirectUse => ({
            ...{ of: 'page', id, ...isThere(link!), times: 0, searches: [], ...onPages.get(id) },
          }),
        ),
      ];
    },
    /** Cost: a lookup for each search of the log, six searches for each plan, a look at all that was bought for each house rule. */
    ruleUse(ref: SetupRef): RuleUse {
      const here = bench.ready(ref);
      const { engine, setup } = here;
      const { snapshot } = engine;
      const held = new Map<string, { times: number; readonly searches: string[] }>();
      let searches = 0;
      for (const { key, searches: times } of bench.log.top(searchesLooked)) {
        searches += times;
        for (const { plan } of setup.triggers.holdingFor([wordsOf(key).tokens])) {
          const known = held.get(plan.id) ?? { times: 0, searches: [] };
          known.times += times;
          known.searches.push(key);
          held.set(plan.id, known);
        }
      }
      const { bySearch, byProduct } = purchases(bench.db, bench.storefront);
      const ofAll = [...byProduct.values()].reduce((sum, many) => sum + many, 0);
      let tried = 0;
      const plans = Object.keys(setup.setup.plans).map((id): RuleUse['plans'][number] => {
        const own = held.get(id);
        if (!own) return { id, times: 0, isIdle: null, against: [] };
        return {
          ...{ id, times: own.times },
          isIdle: tried++ < plansTried ? isIdle(here, id, own.searches.slice(0, searchesTried)) : null,
          against: boughtAgainst(here, id, own.searches, bySearch),
        };
      });
      const rules = Object.entries(setup.setup.houseRules).map(([id, { does, condition }]) => {
        const isAgainst = does.what === 'hide' || (does.what === 'pull' && does.pull < 1);
        if (!isAgainst || ofAll === 0) return { id, bought: 0, of: ofAll };
        const met = familiesMet(snapshot, bindCondition(snapshot, condition, setup.asked));
        let bought = 0;
        for (const [product, many] of byProduct) {
          const family = snapshot.findFamily(product);
          if (family >= 0 && isIn(met, family)) bought += many;
        }
        return { id, bought, of: ofAll };
      });
      return { searches, plans, rules };
    },
  };
}
