import type { FirstPage } from '../../core/compare/firstPage.ts';
import { type PageEffect, pageEffect } from '../../core/compare/pageEffect.ts';
import type { WeighedSearch } from '../../core/compare/weighedSearch.ts';
import { type DraftRef, keyOf, type ReleaseRef, type SetupRef } from '../../core/setup/setupRef.ts';
import type { Searcher } from './searcher.ts';

/** Searches answered in one go: few, so that what a person is waiting for comes in between. */
const atOnce = 3;

interface KnownPages {
  readonly version: string;
  /** The catalog that the pages are of, as the threads say that answered. */
  generation: number | null;
  readonly pages: Map<string, FirstPage>;
}

/** First pages under drafts and under what is live, kept until either changes. */
export interface EffectOfDraft {
  /**
   * What a draft changes against a release for the searches made most, and how many of them each tie-breaker decides a place of.
   * `versionOf` a setup changes with everything its pages depend on. Null where `isOutdated` says, between two
   * stretches of work, that nobody wants the answer any more, and where another catalog was put in force meanwhile.
   */
  effect(
    draft: DraftRef,
    against: ReleaseRef,
    searches: readonly WeighedSearch[],
    versionOf: (ref: SetupRef) => string,
    isOutdated: () => boolean,
  ): Promise<{ readonly effect: PageEffect; readonly decides: readonly number[] } | null>;
}

/** Setups whose pages are kept. */
const setupsKept = 8;

export function openEffectOfDraft(searcher: Pick<Searcher, 'firstPages'>): EffectOfDraft {
  /** By the setup's key, the one asked for last at the end. */
  const known = new Map<string, KnownPages>();
  const pagesFor = (ref: SetupRef, version: string): KnownPages => {
    const key = keyOf(ref);
    const kept = known.get(key);
    const pages = kept?.version === version ? kept : { version, generation: null, pages: new Map<string, FirstPage>() };
    known.delete(key);
    known.set(key, pages);
    if (known.size > setupsKept) known.delete(known.keys().next().value!);
    return pages;
  };
  return {
    async effect(draft, against, searches, versionOf, isOutdated) {
      const sides = [against, draft].map((ref) => ({ ref, known: pagesFor(ref, versionOf(ref)) }));
      for (const { ref, known: side } of sides) {
        const missing = searches.map(({ search }) => search).filter((search) => !side.pages.has(search));
        for (let at = 0; at < missing.length; at += atOnce) {
          if (isOutdated()) return null;
          const stretch = missing.slice(at, at + atOnce);
          const answered = await searcher.firstPages(ref, stretch);
          side.generation ??= answered.generation;
          if (answered.generation !== side.generation) {
            known.delete(keyOf(ref));
            return null;
          }
          for (const [index, page] of answered.pages.entries()) side.pages.set(stretch[index]!, page);
        }
      }
      const [before, after] = sides.map((side) => side.known) as [KnownPages, KnownPages];
      // The last stretch may have been answered by a newer draft.
      if (isOutdated() || before.generation !== after.generation) return null;
      const pagesOf = ({ pages }: KnownPages): FirstPage[] => searches.map(({ search }) => pages.get(search)!);
      const changed = pagesOf(after);
      const signals = Math.max(0, ...changed.map(({ decided }) => decided.length));
      return {
        effect: pageEffect(searches, pagesOf(before), changed),
        decides: Array.from(
          { length: signals },
          (_, signal) => changed.filter(({ decided }) => (decided[signal] ?? 0) > 0).length,
        ),
      };
    },
  };
}
