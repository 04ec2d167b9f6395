import { storefrontEndpoints as endpoints } from '../../api/storefrontEndpoints.ts';
import { followedParts } from '../../core/setup/following.ts';
import { readName, type SetupRef } from '../../core/setup/setupRef.ts';
import { noCatalog, Refused } from '../refused.ts';
import { firstDraft } from '../store/setupStore.ts';
import type { Desk, Services } from './services.ts';
import type { Serve } from './serving.ts';
import { written } from './setupRoutes.ts';
import { nameOfStorefront } from './storefrontNames.ts';
import { who } from './who.ts';

/** Days without a change after which a draft is pointed out. */
const leftAloneAfter = 90 * 86_400_000;

const iso = (at: number): string => new Date(at).toISOString();
const isoOrNull = (at: number | null): string | null => (at === null ? null : iso(at));
/** A setup of the storefront by its name, which the contract has checked. */
const named = ({ ref }: Desk, text: string): SetupRef => readName(ref.storefront, text)!;

/** Storefronts as wholes. */
export function serveStorefronts(serve: Serve, services: Services): void {
  const { storefronts, at, writer, now, forget, sharing } = services;
  serve.all(endpoints.storefronts, () => ({
    storefronts: storefronts.storefronts().map(({ id, name, madeAt, archivedAt, shares }) => {
      const { catalogs, releases } = at(id);
      const live = releases.live();
      const info = catalogs.info();
      const open = storefronts.drafts(id).filter(({ removedAt }) => removedAt === null);
      const shop = live?.setup.storefront.shop ?? null;
      return {
        ...{ id, shop, shares, madeAt: iso(madeAt), archivedAt: isoOrNull(archivedAt) },
        name: name || shop?.name || id,
        follows: live ? followedParts(live.setup).map(([part, storefront]) => ({ part, storefront })) : [],
        records: info?.records ?? 0,
        families: info?.families ?? 0,
        release: live?.number ?? null,
        drafts: open.length,
        draft: open[0]?.id ?? firstDraft,
      };
    }),
  }));
  serve.all(endpoints.makeStorefront, async (_, __, given, context) => {
    const id = await writer.makeStorefront(given, who(context), now());
    void sharing.catchUp();
    return { id, draft: firstDraft };
  });
  serve.desk(endpoints.shareCatalog, async ({ id, tellAround }, _, { storefront }) => {
    await writer.shareCatalog(id, storefront);
    void sharing.catchUp();
    tellAround(storefront === null ? 'made the catalog the storefront’s own' : 'had the storefront share records');
    return {};
  });
  serve.all(endpoints.nameStorefront, async (_, __, { id, name }) => {
    await writer.nameStorefront(id, name);
    return {};
  });
  serve.all(endpoints.archiveStorefront, async (_, __, { id, archived }) => {
    await writer.archiveStorefront(id, archived ? now() : null);
    return {};
  });
  serve.all(endpoints.removeStorefront, async (_, __, { id, typed }) => {
    const head = storefronts.storefront(id);
    const name = head && nameOfStorefront(services, id);
    if (name !== null && typed.trim() !== name)
      throw new Refused(400, {
        code: 'not-the-name',
        message: `That is not its name. Type “${name}” to remove it.`,
        field: 'typed',
      });
    // What is refused is refused before anything of it is closed.
    await writer.removeStorefront(id);
    await forget(id);
    return {};
  });
}

/** The drafts of a storefront as wholes, and merging. */
export function serveDrafts(serve: Serve, services: Services): void {
  const { storefronts, searcher, writer, now } = services;
  serve.desk(endpoints.drafts, async (here) => {
    const { id, catalogs, releases } = here;
    const all = storefronts.drafts(id);
    const counts =
      catalogs.generation() > 0
        ? await searcher.countChanges(
            here.ref,
            all.map((draft) => draft.id),
          )
        : all.map(() => 0);
    const live = releases.liveNumber();
    return {
      live,
      drafts: all.map((draft, at) => ({
        ...{ id: draft.id, name: draft.name || draft.id, note: draft.note, who: draft.who },
        ...{ madeAt: iso(draft.madeAt), touchedAt: iso(draft.touchedAt), removedAt: isoOrNull(draft.removedAt) },
        ...{ base: draft.baseRelease, isBehind: draft.baseRelease !== null && draft.baseRelease !== live },
        changes: counts[at]!,
        isLeftAlone: now() - draft.touchedAt > leftAloneAfter,
      })),
    };
  });
  serve.desk(endpoints.beginDraft, async (here, _, { name, note, from }, context) => ({
    id: await writer.beginDraft(here.id, { name, note, from: named(here, from) }, who(context), now()),
  }));
  serve.desk(endpoints.nameDraft, async ({ id: storefront, tellAround }, _, { draft, name, note }) => {
    await writer.nameDraft({ storefront, draft }, name, note);
    tellAround('');
    return {};
  });
  serve.desk(endpoints.takeOutDraft, async ({ id: storefront, tellAround }, _, { draft }) => {
    await writer.takeOutDraft({ storefront, draft }, now());
    tellAround('took a draft out');
    return {};
  });
  serve.desk(endpoints.putBackDraft, async ({ id: storefront, tellAround }, _, { draft }) => {
    await writer.putBackDraft({ storefront, draft });
    tellAround('put a draft back');
    return {};
  });
  serve.desk(endpoints.mergePreview, (here, { from }) => {
    if (here.catalogs.generation() === 0) throw noCatalog();
    return searcher.mergePreview(here.ref, named(here, from));
  });
  serve.desk(endpoints.merge, (here, _, { revision, from, answers }, context) =>
    written(
      here,
      writer.mergeInto(
        here.ref,
        named(here, from),
        answers.map(({ id, side }) => [id, side] as const),
        revision,
        who(context),
        now(),
      ),
    ),
  );
}
