/**
 * Which products shoppers took or looked at in the same visits, from a shopper log: what goes with a product, and what
 * stands in for it.
 */
export const relations = ['goesWith', 'standsIn'] as const;
export type Relation = (typeof relations)[number];

/** One visit: what was opened after each of its searches, and what went into the basket or was bought. */
export interface VisitTaken {
  readonly opened: readonly (readonly string[])[];
  readonly taken: readonly string[];
}

/** What shoppers did with one thing and another; things are products, or kinds of products. */
export interface Pair {
  readonly one: string;
  readonly other: string;
  /** Visits that have both, visits that have `one`, and visits that have `other`. */
  readonly both: number;
  readonly ofOne: number;
  readonly ofOther: number;
  /** How surprising that is, as G² says; 10.83 is met by chance once in a thousand pairs. */
  readonly score: number;
}

/** Visits that must have both, and how surprising that must be: chance alone gets so far in one of a thousand pairs. */
export const fewestTogether = 2;
export const leastSurprise = 10.83;
/** What is looked at of one visit, of each relation; whoever opens more is no shopper. */
const mostOfVisit = 30;
/** Pairs counted at once: those met but once are let go of where there are more. */
const mostPairs = 2_000_000;
/** Kept for one thing. */
export const mostForOne = 24;

/**
 * G², the log-likelihood ratio of a two by two table (T. Dunning, "Accurate Methods for the Statistics of Surprise and
 * Coincidence", 1993): 0 where two things meet as often as chance has it, growing with how far they are from that and with
 * how many visits say so. What everybody buys is met with everything by chance, so it gains nothing from being bought much.
 */
export function surprise(both: number, ofOne: number, ofOther: number, visits: number): number {
  const cells = [
    [both, ofOne, ofOther],
    [ofOne - both, ofOne, visits - ofOther],
    [ofOther - both, visits - ofOne, ofOther],
    [visits - ofOne - ofOther + both, visits - ofOne, visits - ofOther],
  ] as const;
  let sum = 0;
  for (const [found, row, column] of cells)
    if (found > 0 && row > 0 && column > 0) sum += found * Math.log((found * visits) / (row * column));
  return Math.max(0, 2 * sum);
}

/** Counts what is met in the same visits. */
function openCount() {
  const numbers = new Map<string, number>();
  const names: string[] = [];
  const alone: number[] = [];
  /** By both numbers, the lesser first, visits that have both. */
  let pairs = new Map<number, number>();
  let visits = 0;
  const numberOf = (name: string): number => {
    const known = numbers.get(name);
    if (known !== undefined) return known;
    numbers.set(name, names.length);
    alone.push(0);
    return names.push(name) - 1;
  };
  const span = 2 ** 26;
  return {
    /** A visit with what was met in it, and which of that was met together. */
    add(met: readonly string[], areTogether: (one: string, other: string) => boolean): void {
      visits++;
      const own = [...new Set(met)].slice(0, mostOfVisit);
      for (const name of own) alone[numberOf(name)]!++;
      for (const [at, one] of own.entries())
        for (const other of own.slice(at + 1)) {
          if (!areTogether(one, other)) continue;
          const [a, b] = [numberOf(one), numberOf(other)].sort((x, y) => x - y) as [number, number];
          const pair = a * span + b;
          pairs.set(pair, (pairs.get(pair) ?? 0) + 1);
        }
      if (pairs.size > mostPairs) pairs = new Map([...pairs].filter(([, both]) => both > 1));
    },
    /** Both ways round, what is met together more than chance has it; for each the most surprising first. */
    finish(): Pair[] {
      const found = new Map<number, Pair[]>();
      const note = (one: number, other: number, both: number, score: number): void => {
        const pair = { one: names[one]!, other: names[other]!, both, ofOne: alone[one]!, ofOther: alone[other]! };
        found.set(one, [...(found.get(one) ?? []), { ...pair, score }]);
      };
      for (const [pair, both] of pairs) {
        if (both < fewestTogether) continue;
        const [one, other] = [Math.floor(pair / span), pair % span];
        const [ofOne, ofOther] = [alone[one]!, alone[other]!];
        if (both * visits <= ofOne * ofOther) continue;
        const score = surprise(both, ofOne, ofOther, visits);
        if (score < leastSurprise) continue;
        note(one, other, both, score);
        note(other, one, both, score);
      }
      return [...found.values()].flatMap((own) =>
        own.sort((a, b) => b.score - a.score || (a.other < b.other ? -1 : 1)).slice(0, mostForOne),
      );
    },
  };
}

/** What a log says of which products belong together. */
export interface Together {
  readonly products: Readonly<Record<Relation, readonly Pair[]>>;
  /** Kinds of products that go with one another. */
  readonly kinds: readonly Pair[];
  readonly visits: number;
}

/**
 * Counts a log's visits. Two products go with one another where both were taken in a visit, or were opened after different
 * searches of it; they stand in for one another where both were opened after the same search. Kinds go with one another as
 * products do, but for a kind with itself. `kindOf` is what kind of thing a product is, null where nothing is known of it.
 * Cost: a step for each pair of products of a visit, of which at most 30 count.
 */
export function countTogether(visits: Iterable<VisitTaken>, kindOf: (product: string) => string | null): Together {
  const [with_, instead, kinds] = [openCount(), openCount(), openCount()];
  let many = 0;
  for (const { opened, taken } of visits) {
    many++;
    const all = [...new Set([...taken, ...opened.flat()])].slice(0, mostOfVisit);
    const isTaken = new Set(taken);
    const searchesOf = new Map(
      all.map((product) => [product, opened.flatMap((own, at) => (own.includes(product) ? [at] : []))]),
    );
    const share = (one: string, other: string): boolean =>
      searchesOf.get(one)!.some((search) => searchesOf.get(other)!.includes(search));
    const goWith = (one: string, other: string): boolean =>
      (isTaken.has(one) && isTaken.has(other)) || !share(one, other);
    with_.add(all, goWith);
    instead.add(all, share);
    const kindPairs = new Set<string>();
    const own = all.flatMap((product) => kindOf(product) ?? []);
    for (const [at, one] of all.entries())
      for (const other of all.slice(at + 1)) {
        const [a, b] = [kindOf(one), kindOf(other)];
        if (a !== null && b !== null && a !== b && goWith(one, other)) kindPairs.add(JSON.stringify([a, b].sort()));
      }
    kinds.add(own, (one, other) => kindPairs.has(JSON.stringify([one, other].sort())));
  }
  return {
    products: { goesWith: with_.finish(), standsIn: instead.finish() },
    kinds: kinds.finish(),
    visits: many,
  };
}
