/** What a list of rules can be ordered by. */
export const ruleOrders = [
  ['name', 'by name'],
  ['newest', 'made last'],
  ['ending', 'ending soonest'],
  ['lookAgain', 'to be looked at soonest'],
] as const;
export type RuleOrder = (typeof ruleOrders)[number][0];

/** What of a rule orders it; days are texts that sort as they are written. */
export interface Ordered {
  readonly name: string;
  readonly since?: string | undefined;
  readonly until?: string | undefined;
  readonly lookAgain?: string | undefined;
}

/** Rules in an order, those without a day last, and equals by name. */
export function inRuleOrder<Item>(items: readonly Item[], order: RuleOrder, of: (item: Item) => Ordered): Item[] {
  const dayOf = ({ since, until, lookAgain }: Ordered): string | undefined =>
    order === 'newest' ? since : order === 'ending' ? until : order === 'lookAgain' ? lookAgain : undefined;
  return items
    .map((item) => ({ item, about: of(item) }))
    .sort((a, b) => {
      const [x, y] = [dayOf(a.about), dayOf(b.about)];
      if (x !== y) {
        if (x === undefined || y === undefined) return x === undefined ? 1 : -1;
        return order === 'newest' ? (x < y ? 1 : -1) : x < y ? -1 : 1;
      }
      return a.about.name.localeCompare(b.about.name);
    })
    .map(({ item }) => item);
}
