import type { ChosenFilters } from '../facets/chosenFilters.ts';
import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';
import { holds as holdsAt } from './obviousRules.ts';

type How = NonNullable<ShelfPlan['how']>;

/** The plans that hold for a search as it was typed or as it is taken, the most exact first, by trying each search of each plan: what the fast way is held to. */
export function obviousPlans(
  setup: Setup,
  readings: readonly string[],
  stemOf: (word: string) => string,
  now: number,
  shopper: { readonly filters?: ChosenFilters; readonly device?: string } = {},
): ShelfPlan[] {
  const entries = Object.values(setup.vocabulary);
  const stopWords = entries.flatMap((entry) => (entry.what === 'stopWords' ? entry.words.flatMap(tokenize) : []));
  const telling = (list: readonly string[]): readonly string[] => {
    const left = list.filter((word) => !stopWords.includes(word));
    return left.length > 0 ? left : list;
  };
  const meansTheSame = (a: string, b: string): boolean =>
    stemOf(a) === stemOf(b) ||
    entries.some(
      (entry) =>
        entry.what === 'synonyms' &&
        entry.on &&
        [a, b].every((word) =>
          entry.words.some((saying) => tokenize(saying).length === 1 && stemOf(tokenize(saying)[0]!) === stemOf(word)),
        ),
    );
  /** Whether each word of one list can be given one of the other's that means the same, none left. */
  const pairUp = (left: readonly string[], right: readonly string[]): boolean => {
    if (left.length !== right.length) return false;
    const [first, ...rest] = left;
    return (
      first === undefined ||
      right.some(
        (word, at) =>
          meansTheSame(first, word) &&
          pairUp(
            rest,
            right.filter((_, other) => other !== at),
          ),
      )
    );
  };
  const holdsFor = (how: How, sought: readonly string[], words: readonly string[]): boolean => {
    const standsAt = (at: number): boolean => sought.every((word, index) => words[at + index] === word);
    if (how === 'exactly') return sought.length === words.length && standsAt(0);
    if (how === 'meaning') return pairUp(telling(sought), telling(words));
    return how === 'beginning' ? standsAt(0) : words.some((_, at) => standsAt(at));
  };
  const all = readings.map(tokenize).filter((words) => words.length > 0);
  const order: readonly How[] = ['exactly', 'meaning', 'beginning', 'containing'];
  return Object.keys(setup.plans)
    .sort()
    .map((id) => setup.plans[id]!)
    .flatMap((plan) => {
      const how = plan.how ?? 'exactly';
      const held = plan.searches
        .map(tokenize)
        .filter((sought) => sought.length > 0 && all.some((words) => holdsFor(how, sought, words)));
      const { whenChosen = [], devices, from, until, yearly } = plan;
      const isLimited =
        (devices !== undefined && !devices.some((device) => device === shopper.device)) ||
        whenChosen.some(
          ({ filter, values }) => !(shopper.filters?.[filter] ?? []).some((value) => values.includes(value)),
        );
      const limits = whenChosen.length + Number(devices !== undefined) + Number(Boolean(from ?? until ?? yearly));
      return plan.on && holdsAt(plan, 'results', now) && !isLimited && held.length > 0
        ? [{ plan, rank: order.indexOf(how), most: Math.max(...held.map((sought) => sought.length)), limits }]
        : [];
    })
    .sort(
      (a, b) => a.rank - b.rank || b.most - a.most || b.limits - a.limits || (a.plan.rank ?? 0) - (b.plan.rank ?? 0),
    )
    .map(({ plan }) => plan);
}
