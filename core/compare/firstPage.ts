import { bannersOn } from '../rules/bannersOn.ts';
import type { Effect } from '../rules/effects.ts';
import { climb } from '../search/climb.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { decidingSignal } from '../search/whyHere.ts';

/** Products on a first page. */
export const pageSize = 24;
/** Places looked at for where a product came from or went to. */
export const depth = 96;

/** The first page of one search: what stands on it, and what put it there. */
export interface FirstPage {
  /** Family ids in order; beyond the page as far as a product may come from or go to. */
  readonly families: readonly string[];
  readonly total: number;
  /** Places of the page decided by each tie-breaker, by its place among them. */
  readonly decided: readonly number[];
  readonly beside: Readonly<Record<Beside, string>>;
}

/** What plans show beside the products: banners, another page to be sent to, filters of their own. */
export const besides = ['banners', 'elsewhere', 'filters'] as const;
export type Beside = (typeof besides)[number];

/** What stands beside the products as one text of each kind, alike where shoppers see alike; empty where nothing does. */
function besideOf(effects: readonly Effect[], total: number): FirstPage['beside'] {
  const banners = bannersOn(effects, { page: 1, limit: pageSize, total }).map(
    ({ where, place, text, link, picture }) => [where, where === 'grid' ? place : 0, text, link, picture],
  );
  return {
    banners: banners.length > 0 ? JSON.stringify(banners) : '',
    elsewhere: effects.find((effect) => effect.what === 'redirect')?.link ?? '',
    filters: effects.find((effect) => effect.what === 'filters')?.filters.join('\n') ?? '',
  };
}

/** Answers one search as far as first pages are compared. Cost: the search without its cards and counts. */
export function firstPage(engine: Engine, setup: PreparedSetup, query: string): FirstPage {
  const { ranking, prepared } = climb(engine, setup, { query, filters: {}, page: 1, limit: pageSize }, depth);
  const decided = prepared.signals.map(() => 0);
  const shown = Math.min(pageSize, ranking.placed.length);
  for (let place = 0; place < shown; place++) {
    const by = decidingSignal(prepared, ranking, place);
    if (typeof by === 'number') decided[by]!++;
  }
  return {
    families: ranking.placed.map(({ candidate }) => engine.snapshot.familyId(ranking.candidates.families[candidate]!)),
    total: ranking.total,
    decided,
    beside: besideOf(ranking.effects, ranking.total),
  };
}
