import { pageSize } from '../compare/firstPage.ts';
import type { WeighedSearch } from '../compare/weighedSearch.ts';
import type { Collections } from '../conditions/asked.ts';
import { noNearTexts } from '../query/nearTexts.ts';
import { climb } from '../search/climb.ts';
import { type Engine, prepareSetup } from '../search/prepareSetup.ts';
import type { Setup } from '../setup/schema.ts';
import { type EntryEdit, withEntry } from '../setup/withEntry.ts';
import { isConclusive } from './isConclusive.ts';
import { type TriedSearches, triedText } from './madeUpSearches.ts';
import type { ProposalKind } from './proposal.ts';

/** What edits would change for real searches, in first pages. */
export interface Effect {
  /** Whether the searches were made up from the catalog. */
  readonly areMadeUp: boolean;
  /** Searches looked at, and of those the ones whose first page would change. */
  readonly looked: number;
  /** Searches that find anything before. */
  readonly finding: number;
  readonly changed: number;
  /** How often those are made. */
  readonly times: number;
  /** Products found by all the searches looked at, before and after. */
  readonly foundBefore: number;
  readonly foundAfter: number;
  /** Products fewer that are found, summed over the searches that find fewer. */
  readonly fewer: number;
  /** Searches that found nothing and would find something. */
  readonly rescued: readonly string[];
  /** The searches most often made that would change. */
  readonly examples: readonly string[];
}

const examplesShown = 3;

interface Page {
  readonly total: number;
  readonly products: string;
  readonly dropped: number;
}

/** When, and with which collections, setups are compared. */
interface Under {
  readonly now: number;
  readonly collections: Collections;
}

function pagesUnder(
  engine: Engine,
  setup: Setup,
  { now, collections }: Under,
  searches: readonly WeighedSearch[],
): Page[] {
  const prepared = prepareSetup(engine, setup, now, collections);
  // What is near in meaning is guessed from the same log: what the setup itself says is laid beside that it says nothing.
  const unguessed = { ...engine, near: noNearTexts };
  return searches.map(({ search }) => {
    const { ranking } = climb(unguessed, prepared, { query: search, filters: {}, page: 1, limit: pageSize }, pageSize);
    const products = ranking.placed.map(({ candidate }) => ranking.candidates.families[candidate]!).join(' ');
    return { total: ranking.total, products, dropped: ranking.dropped.length };
  });
}

/** The first pages of some searches, in their order. */
export type PagesOf = (searches: readonly WeighedSearch[]) => readonly Page[];

/** First pages under a setup. Each search is made once; its page is kept for as long as this is. */
export function keptPages(engine: Engine, setup: Setup, under: Under): PagesOf {
  const kept = new Map<string, Page>();
  return (searches) => {
    const fresh = searches.filter(({ search }) => !kept.has(search));
    if (fresh.length > 0)
      for (const [at, page] of pagesUnder(engine, setup, under, fresh).entries()) kept.set(fresh[at]!.search, page);
    return searches.map(({ search }) => kept.get(search)!);
  };
}

/** How many of some searches find anything, and how many products all of them find. */
export const foundOn = (pages: readonly Page[]): Pick<Effect, 'finding' | 'foundBefore'> => ({
  finding: pages.filter(({ total }) => total > 0).length,
  foundBefore: pages.reduce((sum, { total }) => sum + total, 0),
});

/**
 * Compares first pages under a setup and under the same with edits; several sets of edits share the first half, as does
 * whoever asks again with the same `pagesBefore`. Cost: the searches of `pagesBefore` that are new to it, and all for
 * each set of edits.
 */
export function effectsOf(
  engine: Engine,
  setup: Setup,
  under: Under,
  changes: readonly (readonly EntryEdit[])[],
  { searches, areMadeUp }: TriedSearches,
  pagesBefore: PagesOf = keptPages(engine, setup, under),
): Effect[] {
  const before = pagesBefore(searches);
  return changes.map((edits) => {
    const after = pagesUnder(engine, edits.reduce(withEntry, setup), under, searches);
    const changed = searches.filter((_, at) => before[at]!.products !== after[at]!.products);
    return {
      areMadeUp,
      looked: searches.length,
      ...foundOn(before),
      changed: changed.length,
      times: changed.reduce((sum, { searches: times }) => sum + times, 0),
      foundAfter: after.reduce((sum, { total }) => sum + total, 0),
      fewer: searches.reduce((sum, _, at) => sum + Math.max(0, before[at]!.total - after[at]!.total), 0),
      rescued: searches.filter((_, at) => before[at]!.total === 0 && after[at]!.total > 0).map(({ search }) => search),
      examples: changed.slice(0, examplesShown).map(({ search }) => search),
    };
  });
}

/** Why a proposal is held back after its effect is known, or null where it is worth making. */
export function reasonToWithhold(kind: ProposalKind, effect: Effect): string | null {
  if (kind === 'filter' || !isConclusive(effect)) return null;
  if (effect.changed === 0) return `It would change none of the ${triedText(effect.looked, effect)}.`;
  // Far more products for the same searches are mostly products nobody meant.
  if (effect.foundBefore > 0 && effect.foundAfter > effect.foundBefore * 3)
    return `The ${triedText(effect.looked, effect)} would find ${Math.round(effect.foundAfter / effect.foundBefore)} times as many products, mostly others than were meant.`;
  return null;
}
