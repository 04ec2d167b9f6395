import type { Language } from '../../../core/text/languages.ts';
import { useCatalog } from './catalog.ts';
import { useDeskState } from './deskState.ts';

/** The languages shoppers read the shop in, the catalog's own first. */
export function useShopLanguages(): readonly Language[] {
  const { setup } = useDeskState();
  const { data: catalog } = useCatalog();
  const { list } = setup.storefront.languages;
  return list.length > 0 ? list : [catalog?.language ?? 'en'];
}
