import type { FirstPage } from '../../core/compare/firstPage.ts';
import { type PageEffect, pageEffect } from '../../core/compare/pageEffect.ts';
import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import type { Searcher } from './searcher.ts';
import type { Side } from './workbench.ts';

/** Searches answered in one go: few, so that what a person is waiting for comes in between. */
const atOnce = 3;

interface KnownPages {
  readonly version: string;
  /** The catalog that the pages are of, as the threads say that answered. */
  generation: number | null;
  readonly pages: Map<string, FirstPage>;
}

/** First pages under the draft and under what is published, kept until either changes. */
export interface EffectOfDraft {
  /**
   * What the draft changes for the searches made most, and how many of them each tie-breaker decides a place of.
   * `version` of each side changes with everything its pages depend on. Null where `isOutdated` says, between two
   * stretches of work, that nobody wants the answer any more, and where another catalog was put in force meanwhile.
   */
  effect(
    searches: readonly WeighedSearch[],
    version: Readonly<Record<Side, string>>,
    isOutdated: () => boolean,
  ): Promise<{ readonly effect: PageEffect; readonly decides: readonly number[] } | null>;
}

export function openEffectOfDraft(searcher: Pick<Searcher, 'firstPages'>): EffectOfDraft {
  const known = new Map<Side, KnownPages>();
  const pagesFor = (side: Side, version: string): KnownPages => {
    const kept = known.get(side);
    if (kept?.version === version) return kept;
    const fresh: KnownPages = { version, generation: null, pages: new Map() };
    known.set(side, fresh);
    return fresh;
  };
  return {
    async effect(searches, version, isOutdated) {
      const sides: Record<Side, KnownPages> = {
        draft: pagesFor('draft', version.draft),
        live: pagesFor('live', version.live),
      };
      for (const side of ['live', 'draft'] as const) {
        const missing = searches.map(({ search }) => search).filter((search) => !sides[side].pages.has(search));
        for (let at = 0; at < missing.length; at += atOnce) {
          if (isOutdated()) return null;
          const stretch = missing.slice(at, at + atOnce);
          const answered = await searcher.firstPages(side, stretch);
          sides[side].generation ??= answered.generation;
          if (answered.generation !== sides[side].generation) {
            known.delete(side);
            return null;
          }
          for (const [index, page] of answered.pages.entries()) sides[side].pages.set(stretch[index]!, page);
        }
      }
      // The last stretch may have been answered by a newer draft.
      if (isOutdated() || sides.draft.generation !== sides.live.generation) return null;
      const pagesOf = (side: Side): FirstPage[] => searches.map(({ search }) => sides[side].pages.get(search)!);
      const draft = pagesOf('draft');
      const signals = Math.max(0, ...draft.map(({ decided }) => decided.length));
      return {
        effect: pageEffect(searches, pagesOf('live'), draft),
        decides: Array.from(
          { length: signals },
          (_, signal) => draft.filter(({ decided }) => (decided[signal] ?? 0) > 0).length,
        ),
      };
    },
  };
}
