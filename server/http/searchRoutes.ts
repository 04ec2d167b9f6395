import { endpoints } from '../../api/endpoints.ts';
import { chosenFilters } from '../../api/filterParameters.ts';
import { requestOf } from '../../api/searchQuery.ts';
import { own } from '../../core/base/named.ts';
import { adviseAttribute } from '../../core/catalog/adviseAttribute.ts';
import { hasChoices, isIndexedAsText, isNumeric } from '../../core/catalog/profileAttributes.ts';
import { untouchable } from '../../core/rules/decisions.ts';
import { unsetAttribute } from '../../core/setup/terms/usualValues.ts';
import { noCatalog } from '../refused.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** Searches by shop and desk, and what they are made of. */
export function serveSearch(serve: Serve, { setups, catalogs, searcher }: Services): void {
  serve(endpoints.shopSearch, (query) => searcher.answer({ from: 'live', request: requestOf(query) }));
  serve(endpoints.deskSearch, (query) => {
    const { from, explain, movement } = query;
    return searcher.answer({ from, request: { ...requestOf(query), explain, marks: true }, movement });
  });
  serve(endpoints.shopProduct, ({ id }) => searcher.shopProduct('live', id));
  serve(endpoints.deskShopProduct, ({ id, from }) => searcher.shopProduct(from, id));
  serve(endpoints.shopArticle, ({ id }) => searcher.shopArticle('live', id));
  serve(endpoints.deskShopArticle, ({ id, from }) => searcher.shopArticle(from, id));
  serve(endpoints.why, ({ q, product, from, sort, collection, asWords, ...rest }) => {
    const filters = chosenFilters(rest);
    const shown = { marks: true, sort, asWords, filters, ...(collection && { collection }) };
    return searcher.why({ from, request: { query: q, page: 1, limit: 1, ...shown } }, product);
  });
  serve(endpoints.words, ({ q, from, asWords }) => searcher.words(from, q, asWords));
  serve(endpoints.attributes, () => {
    const catalog = catalogs.current();
    if (!catalog) throw noCatalog();
    const settings = setups.draft().attributes;
    const settingOf = (key: string) => own(settings, key) ?? unsetAttribute;
    const heaviest = Math.max(
      0,
      ...catalog.snapshot.attributes.map(({ key }) => (settingOf(key).searchable ? settingOf(key).weight : 0)),
    );
    return {
      attributes: catalog.snapshot.attributes.map((profile) => ({
        ...profile,
        samples: [...profile.samples],
        canSearch: isIndexedAsText(profile),
        canFilter: hasChoices(profile) || isNumeric(profile),
        isNumeric: isNumeric(profile),
        canDecide: !untouchable.has(profile.key),
        advice: adviseAttribute(profile, settingOf(profile.key), heaviest),
        ...settingOf(profile.key),
      })),
    };
  });
  serve(endpoints.values, ({ attribute, contains }) => searcher.values(attribute, contains));
  serve(endpoints.products, async ({ id }) => ({ products: await searcher.cards([id].flat()) }));
}
