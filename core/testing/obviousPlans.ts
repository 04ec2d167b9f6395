import type { ShelfPlan } from '../setup/parts/plans.ts';
import type { Setup } from '../setup/schema.ts';
import { tokenize } from '../text/tokenize.ts';

type How = NonNullable<ShelfPlan['how']>;

/** The plans that hold for a search, the most exact first, by trying each search of each plan: what the fast way is held to. */
export function obviousPlans(
  setup: Setup,
  typed: string,
  stemOf: (word: string) => string,
  today: number,
): ShelfPlan[] {
  const now = new Date(today * 86_400_000).toISOString().slice(0, 10);
  const words = tokenize(typed);
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
  const standsAt = (sought: readonly string[], at: number): boolean =>
    sought.every((word, index) => words[at + index] === word);
  const holds: Readonly<Record<How, (sought: readonly string[]) => boolean>> = {
    exactly: (sought) => sought.length === words.length && standsAt(sought, 0),
    meaning: (sought) => pairUp(telling(sought), telling(words)),
    beginning: (sought) => standsAt(sought, 0),
    containing: (sought) => words.some((_, at) => standsAt(sought, at)),
  };
  const order: readonly How[] = ['exactly', 'meaning', 'beginning', 'containing'];
  return Object.keys(setup.plans)
    .sort()
    .map((id) => setup.plans[id]!)
    .flatMap((plan) => {
      const how = plan.how ?? 'exactly';
      const held = plan.searches.map(tokenize).filter((sought) => sought.length > 0 && holds[how](sought));
      const isItsDay = (plan.from ?? now) <= now && now <= (plan.until ?? now);
      return plan.on && isItsDay && held.length > 0
        ? [{ plan, rank: order.indexOf(how), most: Math.max(...held.map((sought) => sought.length)) }]
        : [];
    })
    .sort((a, b) => a.rank - b.rank || b.most - a.most)
    .map(({ plan }) => plan);
}
