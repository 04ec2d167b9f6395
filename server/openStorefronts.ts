import { localDay } from '../core/base/localTime.ts';
import { periodOf } from '../core/rules/periods.ts';
import type { DraftRef } from '../core/setup/setupRef.ts';
import { contentVersion } from './catalog/content.ts';
import type { ImportJobs } from './catalog/importJobs.ts';
import { keptMade } from './demand/keptMade.ts';
import { openLogDesk } from './demand/logDesk.ts';
import { openTogether } from './demand/togetherStore.ts';
import { keptTopSearches } from './demand/topSearches.ts';
import { openSimulatedFeed } from './feed/simulatedFeed.ts';
import type { Storefront } from './http/services.ts';
import type { Shelf, StorefrontShelf } from './openShelf.ts';
import { noCatalog } from './refused.ts';
import { openEffectOfDraft } from './searching/effectOfDraft.ts';
import { openProposalDesk, type ProposalDesk } from './searching/proposalDesk.ts';
import type { Searcher } from './searching/searcher.ts';
import type { Writer } from './store/writes.ts';

/** Drafts of a storefront whose proposals are kept. */
const proposalDesksKept = 4;

/** Storefronts at work, each opened when it is first asked about. */
export interface Storefronts {
  at(storefront: string): Storefront;
  /** Those that were asked about. */
  open(): readonly Storefront[];
  /** Ends what goes on for one by itself and forgets it; its imports are ended by whoever closes it. */
  forget(storefront: string): Promise<void>;
}

export function openStorefronts(options: {
  readonly shelf: Shelf;
  readonly writer: Writer;
  readonly searcher: Searcher;
  readonly importsFor: (shelf: StorefrontShelf) => ImportJobs;
  readonly now: () => number;
  readonly onError: (error: unknown) => void;
}): Storefronts {
  const { shelf, writer, searcher, importsFor, now, onError } = options;
  const known = new Map<string, Storefront>();

  const proposalDesks = ({ id, catalogs, log, setups }: StorefrontShelf) => {
    const desks = new Map<string, ProposalDesk>();
    const versionFor = (ref: DraftRef) => (): string => {
      const reader = catalogs.current();
      if (!reader) throw noCatalog();
      const stock = `${reader.generation}/${reader.factVersion()}/${contentVersion(shelf.db, id)}`;
      const draft = setups(ref.draft);
      const [setup, at] = [draft.draft(), now()];
      const time = `${localDay(setup.storefront.shop.timeZone, at)}/${periodOf(setup, at)}`;
      return `${draft.revision()}/${stock}/${time}/${log.version()}`;
    };
    return (ref: DraftRef): ProposalDesk => {
      const desk = desks.get(ref.draft) ?? openProposalDesk(searcher, ref, versionFor(ref));
      desks.delete(ref.draft);
      desks.set(ref.draft, desk);
      if (desks.size > proposalDesksKept) desks.delete(desks.keys().next().value!);
      return desk;
    };
  };
  const open = (id: string): Storefront => {
    const own = shelf.at(id);
    const { catalogs, log } = own;
    const logDesk = openLogDesk({ storefront: id, writer, log, now, onError });
    void logDesk.ready();
    return {
      ...own,
      imports: importsFor(own),
      feed: openSimulatedFeed({ storefront: id, catalogs, writer, now, seed: 20261101 }),
      logDesk,
      topSearches: keptTopSearches({
        count: (limit) => searcher.topSearches({ storefront: id, release: 'live' }, limit),
        versionOf: log.version,
      }),
      phrases: keptMade({
        async make() {
          const { shared, near } = await searcher.phrases({ storefront: id, release: 'live' });
          // Shoppers may be offered what was made though it could not be kept what is near.
          await writer.keepNearTexts(id, near).catch(onError);
          return { shared };
        },
        versionOf: () => {
          const reader = catalogs.current();
          return reader && `${reader.generation}/${contentVersion(shelf.db, id)}/${log.version()}`;
        },
        onError,
      }),
      together: keptMade({
        async make(version) {
          // What was counted before a restart is not counted again.
          if (openTogether(shelf.db, id).madeFrom() !== version)
            await writer.keepTogether(id, version, await searcher.together({ storefront: id, release: 'live' }));
          return {};
        },
        versionOf: () => {
          const reader = catalogs.current();
          return reader && `${reader.generation}/${log.version()}`;
        },
        onError,
      }),
      effectOfDraft: openEffectOfDraft(searcher),
      proposalDesk: proposalDesks(own),
    };
  };
  return {
    at(storefront) {
      const there = known.get(storefront) ?? open(storefront);
      known.set(storefront, there);
      return there;
    },
    open: () => [...known.values()],
    async forget(storefront) {
      const there = known.get(storefront);
      known.delete(storefront);
      if (!there) return;
      await there.feed.set(false);
      await there.logDesk.close();
    },
  };
}
