import type { ShopTerms } from '../../core/catalog/shopTerms.ts';
import type { Setup } from '../../core/setup/schema.ts';

/** What a storefront's own texts and amounts are in, by what is live in it. */
export function shopTermsOf(live: Setup | undefined): ShopTerms {
  const shop = live?.storefront.shop;
  const languages = live?.storefront.languages.list ?? [];
  return {
    ...(languages.length > 0 && { languages }),
    ...(shop && { currency: shop.currency }),
    ...(shop?.country && { country: shop.country }),
  };
}
