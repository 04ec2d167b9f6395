import type { FirstPage } from '../../core/compare/firstPage.ts';
import { type PageEffect, pageEffect } from '../../core/compare/pageEffect.ts';
import type { WeighedSearch } from '../../core/proposals/effect.ts';
import type { Searcher } from './searcher.ts';
import type { Side } from './workbench.ts';

/** Searches answered in one go: few, so that what a person is waiting for comes in between. */
const atOnce = 3;

/** First pages under the draft and under what is published, kept until either changes. */
export interface EffectOfDraft {
  /**
   * What the draft changes for the searches made most, and how many of them each tie-breaker decides a place of.
   * `version` of each side changes with everything its pages depend on. Null where `isOutdated` says, between two
   * stretches of work, that nobody wants the answer any more.
   */
  effect(
    searches: readonly WeighedSearch[],
    version: Readonly<Record<Side, string>>,
    isOutdated: () => boolean,
  ): Promise<{ readonly effect: PageEffect; readonly decides: readonly number[] } | null>;
}

export function openEffectOfDraft(searcher: Pick<Searcher, 'firstPages'>): EffectOfDraft {
  const known = new Map<Side, { readonly version: string; readonly pages: Map<string, FirstPage> }>();
  const pagesFor = (side: Side, version: string): Map<string, FirstPage> => {
    const kept = known.get(side);
    if (kept?.version === version) return kept.pages;
    const pages = new Map<string, FirstPage>();
    known.set(side, { version, pages });
    return pages;
  };
  return {
    async effect(searches, version, isOutdated) {
      const sides: Record<Side, Map<string, FirstPage>> = {
        draft: pagesFor('draft', version.draft),
        live: pagesFor('live', version.live),
      };
      for (const side of ['live', 'draft'] as const) {
        const missing = searches.map(({ search }) => search).filter((search) => !sides[side].has(search));
        for (let at = 0; at < missing.length; at += atOnce) {
          if (isOutdated()) return null;
          const stretch = missing.slice(at, at + atOnce);
          const pages = await searcher.firstPages(side, stretch);
          for (const [index, page] of pages.entries()) sides[side].set(stretch[index]!, page);
        }
      }
      // The last stretch may have been answered by a newer draft.
      if (isOutdated()) return null;
      const pagesOf = (side: Side): FirstPage[] => searches.map(({ search }) => sides[side].get(search)!);
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
