import { endpoints } from '../../api/endpoints.ts';
import { chosenFilters } from '../../api/filterParameters.ts';
import { boxRequestOf, requestOf } from '../../api/searchQuery.ts';
import { own } from '../../core/base/named.ts';
import { adviseAttribute } from '../../core/catalog/adviseAttribute.ts';
import { hasChoices, isIndexedAsText, isNumeric } from '../../core/catalog/profileAttributes.ts';
import { untouchable } from '../../core/rules/decisions.ts';
import { type DraftRef, liveOf, readName, type SetupRef } from '../../core/setup/setupRef.ts';
import { unsetAttribute } from '../../core/setup/terms/usualValues.ts';
import { noCatalog } from '../refused.ts';
import type { Services } from './services.ts';
import type { Serve } from './serving.ts';

/** The setup that is asked about: another one of the storefront where one is named, or else the draft of the address. */
const meant = (ref: DraftRef, from: string | undefined): SetupRef =>
  from === undefined ? ref : (readName(ref.storefront, from) ?? ref);

/** Searches by shop and desk, and what they are made of. */
export function serveSearch(serve: Serve, { searcher }: Pick<Services, 'searcher'>): void {
  serve.shop(endpoints.shopSearch, ({ id }, query) => searcher.answer(liveOf(id), { request: requestOf(query) }));
  serve.desk(endpoints.deskSearch, ({ ref }, query) => {
    const { from, explain, movement, at } = query;
    return searcher.answer(meant(ref, from), { request: { ...requestOf(query), explain, marks: true }, movement, at });
  });
  serve.shop(endpoints.shopSuggest, ({ id, phrases }, query) =>
    searcher.suggest(liveOf(id), { request: boxRequestOf(query), phrases: phrases.now() }),
  );
  serve.desk(endpoints.deskSuggest, async ({ ref, phrases }, { from, at, ...query }) =>
    searcher.suggest(meant(ref, from), { request: boxRequestOf(query), at, phrases: await phrases.made() }),
  );
  serve.desk(endpoints.lettersNeeded, async ({ ref, phrases }) => {
    const made = await phrases.made();
    const draft = await searcher.lettersNeeded(ref, made);
    return { draft, live: await searcher.lettersNeeded(liveOf(ref.storefront), made) };
  });
  serve.desk(endpoints.ladderTrial, async ({ ref, phrases }) => {
    // What is near in meaning is made with them.
    await phrases.made();
    const draft = await searcher.ladderTrial(ref);
    return { draft, live: await searcher.ladderTrial(liveOf(ref.storefront)) };
  });
  serve.shop(endpoints.shopProduct, (here, { id }) => {
    here.together.now();
    return searcher.shopProduct(liveOf(here.id), id);
  });
  serve.desk(endpoints.deskShopProduct, ({ ref }, { id, from }) => searcher.shopProduct(meant(ref, from), id));
  serve.shop(endpoints.shopArticle, (here, { id }) => searcher.shopArticle(liveOf(here.id), id));
  serve.desk(endpoints.deskShopArticle, ({ ref }, { id, from }) => searcher.shopArticle(meant(ref, from), id));
  serve.desk(endpoints.why, ({ ref }, { q, product, from, sort, collection, asWords, exactly, at, ...rest }) => {
    const filters = chosenFilters(rest);
    const shown = { marks: true, sort, asWords, exactly, filters, ...(collection && { collection }) };
    return searcher.why(meant(ref, from), { request: { query: q, page: 1, limit: 1, ...shown }, at }, product);
  });
  serve.desk(endpoints.words, ({ ref }, { q, from, asWords }) => searcher.words(meant(ref, from), q, asWords));
  serve.desk(endpoints.attributes, ({ catalogs, setups }) => {
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
  serve.desk(endpoints.values, ({ ref }, { attribute, contains }) => searcher.values(ref, attribute, contains));
  serve.desk(endpoints.products, async ({ ref }, { id }) => ({ products: await searcher.cards(ref, [id].flat()) }));
}
