import type { Context } from 'hono';
import { unnamed } from '../../api/paths.ts';
import { describeChanges } from '../questions/describeChanges.ts';
import { noSuchSetup, noSuchStorefront, shopClosed } from '../refused.ts';
import type { Desk, Services, Storefront } from './services.ts';
import { who } from './who.ts';

/** Sentences of a change that are told as it happens. */
const sentencesTold = 5;

/** Finds what a request's address is about. */
export interface Whereabouts {
  /** The storefront and the draft; refused where either is not there. */
  deskIn(context: Context): Promise<Desk>;
  /** The storefront, which is open; refused else. */
  shopIn(context: Context): Storefront;
}

export function whereaboutsOf({
  storefronts,
  at,
  hub,
  ready,
}: Pick<Services, 'storefronts' | 'at' | 'hub' | 'ready'>): Whereabouts {
  const headIn = (context: Context) => {
    const id = context.req.param('storefront') ?? unnamed;
    const head = id === unnamed ? storefronts.first() : storefronts.storefront(id);
    if (!head) throw noSuchStorefront();
    return head;
  };
  return {
    shopIn(context) {
      const { id, archivedAt } = headIn(context);
      if (archivedAt !== null) throw shopClosed();
      return at(id);
    },
    async deskIn(context) {
      const { id } = headIn(context);
      await ready(id);
      const said = context.req.param('draft') ?? unnamed;
      const draft = said === unnamed ? storefronts.drafts(id).find(({ removedAt }) => removedAt === null)?.id : said;
      const storefront = at(id);
      const ref = { storefront: id, draft: draft ?? unnamed };
      const setups = storefront.setups(ref.draft);
      // A storefront without a catalog has no draft yet: its screens say what is missing.
      if (setups.revision() === 0 && storefront.releases.liveNumber() !== null) throw noSuchSetup(ref);
      const person = who(context);
      const tab = (context.req.header('x-tab') ?? '').slice(0, 80);
      return {
        ...{ ...storefront, ref, person, tab, setups },
        tellChanged(revision) {
          const step = setups.stepAt(revision);
          if (!step) return;
          const told = describeChanges(step.changes, storefront.names(setups.draft()));
          hub.tell(ref, {
            ...{ kind: 'changed', revision, tab, who: step.who },
            parts: [...new Set(step.changes.map(({ part }) => part))],
            sentences: told.flatMap(({ sentences }) => sentences).slice(0, sentencesTold),
          });
        },
        tellAround: (what) => hub.tellAll(id, { kind: 'around', who: person, tab, what }),
        tellFollowers(reached) {
          const name = storefronts.storefront(id)?.name || id;
          for (const other of storefronts.storefronts()) {
            // Of a storefront not reached, drafts may follow all the same: they are read anew, and nothing is said.
            const what = reached.includes(other.id) ? `published what this storefront follows of ${name}` : '';
            if (other.id !== id) hub.tellAll(other.id, { kind: 'around', who: person, tab, what });
          }
        },
        heads: () => ({ storefront: storefronts.storefront(id), draft: storefronts.draft(ref) }),
      };
    },
  };
}
