import { shownFamilies } from '../search/closeMatches.ts';
import { type Engine, prepareSetup } from '../search/prepareSetup.ts';
import type { Setup } from '../setup/schema.ts';
import type { KnownItemSearch } from './knownItems.ts';
import type { Proposal } from './proposal.ts';

/** What other weights would do for searches whose product is known. */
export interface BetterWeights {
  /** By attribute, its weight as it is and as it would be. */
  readonly changes: ReadonlyMap<string, { readonly from: number; readonly to: number }>;
  /** Searches they were not chosen by, and of those the ones whose product stands among the first three, before and after. */
  readonly searches: number;
  readonly firstBefore: number;
  readonly firstAfter: number;
}

/** Places that shoppers look at, for the mean reciprocal rank. */
const depth = 24;
const amongFirst = 3;
/** Attributes that may change, and what their weights are multiplied by; besides, each is tried with its usual weight. */
const mostChanges = 3;
const factors = [2, 0.5] as const;
const usualHeaviest = 10;
/**
 * What other weights must gain in mean reciprocal rank, by the searches they were chosen by and by the others: of sixty one
 * finds its product twice as high by chance often enough.
 */
const leastGain = 0.02;

/** Places of the products that searches are for, from 1, 0 where one is not shown. */
function placesUnder(engine: Engine, setup: Setup, now: number, searches: readonly KnownItemSearch[]): number[] {
  const prepared = prepareSetup(engine, setup, now);
  return searches.map(({ query, familyId }) => {
    const request = { query, filters: {}, page: 1, limit: depth };
    return shownFamilies(engine, prepared, request, depth).indexOf(familyId) + 1;
  });
}

const meanReciprocal = (places: readonly number[]): number =>
  places.reduce((sum, place) => sum + (place > 0 ? 1 / place : 0), 0) / Math.max(1, places.length);
const firstOnes = (places: readonly number[]): number =>
  places.filter((place) => place > 0 && place <= amongFirst).length;

function withWeight(setup: Setup, key: string, weight: number): Setup {
  const attributes = { ...setup.attributes, [key]: { ...setup.attributes[key]!, weight } };
  return { ...setup, attributes };
}

/** Weights an attribute may have instead of its own. */
function weightsTried(own: number, usual: number | undefined): number[] {
  const heaviest = Math.max(own, usualHeaviest);
  const scaled = factors.map((factor) => Math.min(heaviest, Math.max(1, Math.round(own * factor))));
  return [...new Set(usual === undefined ? scaled : [...scaled, usual])].filter((weight) => weight !== own);
}

/**
 * Weights by which known products are found better, one attribute after another doubled, halved or put back
 * to its usual weight, each time the change that gains most; null where no such gain holds for searches they were not chosen by (every second one). Cost: some
 * searches for each attribute, twice, up to three times.
 */
export function betterWeights(
  engine: Engine,
  setup: Setup,
  usual: Pick<Setup, 'attributes'>,
  now: number,
  searches: readonly KnownItemSearch[],
): BetterWeights | null {
  const chosenBy = searches.filter((_, at) => at % 4 < 2);
  const held = searches.filter((_, at) => at % 4 >= 2);
  if (held.length === 0) return null;
  const keys = Object.keys(setup.attributes).filter((key) => {
    const { searchable, weight } = setup.attributes[key]!;
    return searchable && weight > 0;
  });
  const start = meanReciprocal(placesUnder(engine, setup, now, chosenBy));
  let best = { setup, worth: start };
  const changed = new Set<string>();
  while (changed.size < mostChanges) {
    const tried = keys
      .filter((key) => !changed.has(key))
      .flatMap((key) =>
        weightsTried(best.setup.attributes[key]!.weight, usual.attributes[key]?.weight).flatMap((weight) => {
          const other = withWeight(best.setup, key, weight);
          return [{ key, setup: other, worth: meanReciprocal(placesUnder(engine, other, now, chosenBy)) }];
        }),
      )
      .sort((a, b) => b.worth - a.worth);
    const [next] = tried;
    if (!next || next.worth < best.worth + leastGain / mostChanges) break;
    best = next;
    changed.add(next.key);
  }
  if (best.worth < start + leastGain) return null;
  const before = placesUnder(engine, setup, now, held);
  const after = placesUnder(engine, best.setup, now, held);
  // What is told is how many stand among the first three, so that must be more as well.
  if (meanReciprocal(after) < meanReciprocal(before) + leastGain || firstOnes(after) <= firstOnes(before)) return null;
  return {
    changes: new Map(
      [...changed].map((key) => [key, { from: setup.attributes[key]!.weight, to: best.setup.attributes[key]!.weight }]),
    ),
    searches: held.length,
    firstBefore: firstOnes(before),
    firstAfter: firstOnes(after),
  };
}

/** The proposal that other weights find products better; none where none do. */
export function proposeWeights(
  better: BetterWeights | null,
  setup: Setup,
  nameOf: (key: string) => string,
): Proposal[] {
  if (!better) return [];
  const changes = [...better.changes];
  const said = changes.map(([key, { from, to }]) => `${nameOf(key)} ${to} instead of ${from}`);
  return [
    {
      id: `weights:${changes.map(([key, { to }]) => `${key}=${to}`).join(',')}`.slice(0, 200),
      kind: 'weights',
      title: `Weigh ${said.join(', ')}`,
      reason: `Of ${better.searches} searches for a product by words of its own, ${better.firstAfter} show it among the first three instead of ${better.firstBefore}; the weights were chosen by as many others.`,
      edits: changes.map(([key, { to }]) => ({
        part: 'attributes',
        key,
        value: { ...setup.attributes[key]!, weight: to },
      })),
      isSure: false,
    },
  ];
}
