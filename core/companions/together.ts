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

/** A product, or a kind of products, and a product that is met with it. */
export interface Pair {
  readonly one: string;
  readonly other: string;
  /** Visits with both, and visits with `one` and anything that is met with it. */
  readonly both: number;
  readonly of: number;
  /** Visits that would have both if what is met with `one` had nothing to do with it. */
  readonly byChance: number;
  /** How surprising that is, as G² says; 10.83 is met by chance once in a thousand pairs. */
  readonly score: number;
}

/** Visits that must have both, and how surprising that must be: chance alone gets so far in one of a thousand pairs. */
const fewestTogether = 2;
export const leastSurprise = 10.83;
/** What is looked at of one visit: whoever opens more does not look for one thing. */
const mostOfVisit = 12;
/** Pairs counted at once: those met but once are let go of where there are more. */
const mostPairs = 4_000_000;
/** Names that a pair of numbers has room for. */
const mostNames = 2 ** 26;
/** Kept for one thing. */
export const mostForOne = 24;

/**
 * G², the log-likelihood ratio of a two by two table (T. Dunning, "Accurate Methods for the Statistics of Surprise and
 * Coincidence", 1993), over meetings: every visit has one for each thing of it with each other. `both` are those of one thing
 * with another, `ofOne` and `ofOther` all those of either, `all` those of everything. 0 where the two meet as often as chance
 * has it, growing with how far they are from that and with how much says so. What everybody buys is met with everything by
 * chance, so it gains nothing from being bought much; and since meetings are counted and not visits, nothing is made of how
 * few things most visits have.
 */
export function surprise(both: number, ofOne: number, ofOther: number, all: number): number {
  const cells = [
    [both, ofOne, ofOther],
    [ofOne - both, ofOne, all - ofOther],
    [ofOther - both, all - ofOne, ofOther],
    [all - ofOne - ofOther + both, all - ofOne, all - ofOther],
  ] as const;
  let sum = 0;
  for (const [found, row, column] of cells)
    if (found > 0 && row > 0 && column > 0) sum += found * Math.log((found * all) / (row * column));
  return Math.max(0, 2 * sum);
}

/** Counts what is met with what, each once a visit. */
function openCount() {
  const numbers = new Map<string, number>();
  const names: string[] = [];
  /** By number, visits in which anything is met with it, how often anything is, and how often it is met with anything. */
  const visits: number[] = [];
  const having: number[] = [];
  const beingHad: number[] = [];
  let all = 0;
  let pairs = new Map<number, number>();
  const numberOf = (name: string): number => {
    const known = numbers.get(name);
    if (known !== undefined) return known;
    numbers.set(name, names.length);
    for (const column of [visits, having, beingHad]) column.push(0);
    return names.push(name) - 1;
  };
  return {
    /** What is met with what in one visit. */
    add(met: Iterable<readonly [one: string, other: string]>): void {
      const own = new Set([...met].map(([one, other]) => numberOf(one) * mostNames + numberOf(other)));
      const isMet = new Set<number>();
      for (const pair of own) {
        const one = Math.floor(pair / mostNames);
        pairs.set(pair, (pairs.get(pair) ?? 0) + 1);
        isMet.add(one);
        having[one]!++;
        beingHad[pair % mostNames]!++;
        all++;
      }
      for (const number of isMet) visits[number]!++;
      if (pairs.size > mostPairs) pairs = new Map([...pairs].filter(([, both]) => both > 1));
    },
    /** What is met more than chance has it; for each the most surprising first. */
    finish(): Pair[] {
      const found = new Map<number, Pair[]>();
      for (const [pair, both] of pairs) {
        const [one, other] = [Math.floor(pair / mostNames), pair % mostNames];
        const byChance = (having[one]! * beingHad[other]!) / all;
        if (both < fewestTogether || both <= byChance) continue;
        const score = surprise(both, having[one]!, beingHad[other]!, all);
        if (score < leastSurprise) continue;
        const own = found.get(one) ?? [];
        found.set(one, own);
        own.push({ one: names[one]!, other: names[other]!, both, of: visits[one]!, byChance, score });
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
  /** Products that go with a kind of products, whichever of them it is: `one` is the kind. */
  readonly kinds: readonly Pair[];
  readonly visits: number;
}

/** What is met with what in a visit, both ways round. */
function meetings({ opened, taken }: VisitTaken): Record<Relation, (readonly [string, string])[]> {
  const all = [...new Set([...taken, ...opened.flat()])].slice(0, mostOfVisit);
  const isTaken = new Set(taken);
  const met: Record<Relation, (readonly [string, string])[]> = { goesWith: [], standsIn: [] };
  for (const [at, one] of all.entries())
    for (const other of all.slice(at + 1)) {
      const areInOneSearch = opened.some((own) => own.includes(one) && own.includes(other));
      const areTaken = isTaken.has(one) && isTaken.has(other);
      if (areInOneSearch) met.standsIn.push([one, other], [other, one]);
      if (areTaken || !areInOneSearch) met.goesWith.push([one, other], [other, one]);
    }
  return met;
}

/**
 * Counts a log's visits. Two products go with one another where both were taken in a visit, or were opened after different
 * searches of it; they stand in for one another where both were opened after the same search. A product goes with a kind
 * where it goes with a product of that kind and is of another one itself. `kindOf` is what kind of thing a product is, null
 * where nothing is known of it. Cost: a step for each pair of products of a visit, of which at most 12 count.
 */
export function countTogether(visits: Iterable<VisitTaken>, kindOf: (product: string) => string | null): Together {
  const [goesWith, standsIn, kinds] = [openCount(), openCount(), openCount()];
  let many = 0;
  for (const visit of visits) {
    many++;
    const met = meetings(visit);
    goesWith.add(met.goesWith);
    standsIn.add(met.standsIn);
    kinds.add(
      met.goesWith.flatMap(([one, other]): [string, string][] => {
        const [kind, ofOther] = [kindOf(one), kindOf(other)];
        return kind === null || ofOther === null || kind === ofOther ? [] : [[kind, other]];
      }),
    );
  }
  return {
    products: { goesWith: goesWith.finish(), standsIn: standsIn.finish() },
    kinds: kinds.finish(),
    visits: many,
  };
}
