import type { Context } from 'hono';
import { unnamed } from '../../api/paths.ts';
import { noSuchSetup, noSuchStorefront, shopClosed } from '../refused.ts';
import type { Desk, Services, Storefront } from './services.ts';

/** Finds what a request's address is about. */
export interface Whereabouts {
  /** The storefront and the draft; refused where either is not there. */
  deskIn(context: Context): Desk;
  /** The storefront, which is open; refused else. */
  shopIn(context: Context): Storefront;
}

export function whereaboutsOf({ storefronts, at }: Pick<Services, 'storefronts' | 'at'>): Whereabouts {
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
    deskIn(context) {
      const { id } = headIn(context);
      const said = context.req.param('draft') ?? unnamed;
      const draft = said === unnamed ? storefronts.drafts(id).find(({ removedAt }) => removedAt === null)?.id : said;
      const storefront = at(id);
      const ref = { storefront: id, draft: draft ?? unnamed };
      const setups = storefront.setups(ref.draft);
      // A storefront without a catalog has no draft yet: its screens say what is missing.
      if (setups.revision() === 0 && storefront.releases.liveNumber() !== null) throw noSuchSetup(ref);
      return {
        ...storefront,
        ref,
        setups,
        heads: () => ({ storefront: storefronts.storefront(id), draft: storefronts.draft(ref) }),
      };
    },
  };
}
