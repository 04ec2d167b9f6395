import type { Services } from './services.ts';

/** What a storefront is called at the desk: by the name it was given, or as its shop is called. */
export function nameOfStorefront({ storefronts, at }: Pick<Services, 'storefronts' | 'at'>, id: string): string {
  return storefronts.storefront(id)?.name || at(id).releases.live()?.setup.storefront.shop.name || id;
}
