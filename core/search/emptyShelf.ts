import type { Card, SearchAnswer } from '../answer/answer.ts';
import { ownedPicture } from '../catalog/picture.ts';
import { companionsOf, silentLog } from '../companions/companionsOf.ts';
import { isHidden } from '../index/recordMask.ts';
import { looksLike } from '../query/looksLike.ts';
import { findExactSku, knowsIn, wordsOf } from '../query/readUnits.ts';
import { bindSignals } from '../ranking/signals.ts';
import type { TieBreaker } from '../setup/parts/relevance/tieBreakers.ts';
import type { ShelfContent } from '../setup/parts/shelfContent.ts';
import type { SpecialShelf } from '../setup/parts/specialShelves.ts';
import { messageIn } from '../setup/terms/shopTexts.ts';
import { tokenize } from '../text/tokenize.ts';
import type { PreparedContent } from './contentEngine.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import type { CardMaker } from './productCard.ts';
import type { SearchRequest } from './searchRequest.ts';
import { shopperLanguage } from './shopperLanguage.ts';

/** A family's first variant in stock that may show on the empty shelf, or its first that may; -1 where none may. */
function shownOf({ snapshot, inStock }: Engine, { hiddenFromEmptyShelf }: PreparedSetup, family: number): number {
  const [from, to] = snapshot.recordsOf(family);
  let first = -1;
  for (let record = from; record < to; record++) {
    if (isHidden(hiddenFromEmptyShelf, record)) continue;
    if (inStock[record] === 1) return record;
    if (first < 0) first = record;
  }
  return first;
}

/** Products looked through for those that sold most or came last, more than are shown since some may be hidden. */
const mostRanked = 200;
const rankings: Readonly<Record<'bestSellers' | 'newest', TieBreaker>> = {
  bestSellers: { attribute: 'units_sold', direction: 'high' },
  newest: { attribute: 'date_added', direction: 'high' },
};
const ranked = new WeakMap<PreparedSetup, Map<string, readonly number[]>>();

/** Families in stock by a signal, the first ones that may show. Cost: a pass over the families, once for a setup. */
function familiesBy(engine: Engine, prepared: PreparedSetup, by: keyof typeof rankings): readonly number[] {
  const own = ranked.get(prepared) ?? new Map<string, readonly number[]>();
  ranked.set(prepared, own);
  const before = own.get(by);
  if (before) return before;
  const [signal] = bindSignals(engine, [rankings[by]], prepared.today);
  const all: number[] = [];
  for (let family = 0; signal && family < engine.snapshot.families; family++)
    if (signal.keys[family]! < Number.POSITIVE_INFINITY && engine.familyInStock[family] === 1) all.push(family);
  const first = all
    .sort((a, b) => signal!.keys[a]! - signal!.keys[b]! || a - b)
    .filter((family, at) => at < mostRanked && shownOf(engine, prepared, family) >= 0);
  own.set(by, first);
  return first;
}

const held = new WeakMap<SpecialShelf, readonly (readonly string[])[]>();
/** The words of a special page, each as its tokens, read once. */
function wordsFor(shelf: SpecialShelf): readonly (readonly string[])[] {
  const known = held.get(shelf) ?? shelf.words.map(tokenize).filter((tokens) => tokens.length > 0);
  held.set(shelf, known);
  return known;
}
const holds = (tokens: readonly string[], sought: readonly string[]): boolean =>
  tokens.some((_, at) => sought.every((token, next) => tokens[at + next] === token));

/**
 * The page that stands where a search finds nothing: a special one whose words it has, the more of them the sooner; else one
 * for what it looks like; else the usual one, whose key is empty. Of several that fit alike the one whose name comes first.
 */
export function shelfFor(
  { snapshot, isOfLanguage }: Pick<Engine, 'snapshot' | 'isOfLanguage'>,
  { setup }: Pick<PreparedSetup, 'setup'>,
  query: string,
): { readonly key: string; readonly content: ShelfContent; readonly special: SpecialShelf | null } {
  const on = Object.entries(setup.specialShelves)
    .filter(([, { on: isOn }]) => isOn)
    .sort(([a, one], [b, other]) => (one.name < other.name ? -1 : one.name > other.name ? 1 : a < b ? -1 : 1));
  const { tokens } = wordsOf(query);
  let best: { readonly key: string; readonly special: SpecialShelf; readonly words: number } | null = null;
  for (const [key, special] of on) {
    const words = Math.max(0, ...wordsFor(special).flatMap((sought) => (holds(tokens, sought) ? [sought.length] : [])));
    if (words > (best?.words ?? 0)) best = { key, special, words };
  }
  if (!best && on.some(([, special]) => special.looks.length > 0)) {
    const isKnown = knowsIn(snapshot);
    for (const look of looksLike(query, { language: snapshot.language, isKnown, isOfLanguage })) {
      const alike = on.find(([, special]) => special.looks.includes(look));
      if (!alike) continue;
      best = { key: alike[0], special: alike[1], words: 0 };
      break;
    }
  }
  return best
    ? { key: best.key, content: best.special, special: best.special }
    : { key: '', content: setup.emptyShelf.content, special: null };
}

/** Products shown in place of one that is not available. */
const alternativesShown = 4;
/** The variant whose part number a search is, where it is hidden. */
function unavailable(engine: Engine, prepared: PreparedSetup, query: string): number {
  if (!prepared.exactSku || query.trim() === '') return -1;
  const record = findExactSku(engine.snapshot, query);
  return record >= 0 && isHidden(prepared.at.results.hidden, record) ? record : -1;
}

/** What a search that finds nothing shows instead. Cost: a card each; for a hidden part number what `standIns` costs. */
export function emptyShelf(
  engine: Engine,
  prepared: PreparedSetup,
  { query, language }: Pick<SearchRequest, 'query' | 'language'>,
  cardOfRecord: CardMaker,
  besides: PreparedContent | null,
): NonNullable<SearchAnswer['emptyShelf']> {
  const { snapshot } = engine;
  const { key, content, special } = shelfFor(engine, prepared, query);
  const withSearch = (text: string): string => text.replaceAll('{search}', query.trim());
  const cardOfFamily = (family: number): Card[] => {
    const record = family < 0 ? -1 : shownOf(engine, prepared, family);
    return record < 0 ? [] : [cardOfRecord(record)];
  };
  const first = (by: keyof typeof rankings, many = 0): Card[] =>
    many === 0 ? [] : familiesBy(engine, prepared, by).slice(0, many).flatMap(cardOfFamily);
  const collection = besides?.collections.find(({ id }) => id === content.collection);
  const hiddenRecord = unavailable(engine, prepared, query);
  const instead = (): Card[] => {
    const family = snapshot.recordFamily[hiddenRecord]!;
    const place = { snapshot, inStock: engine.inStock, setup: prepared.setup, standing: null };
    return companionsOf(
      { ...place, hidden: prepared.hiddenFromEmptyShelf },
      { family, title: cardOfRecord(hiddenRecord).title, relation: 'standsIn', most: alternativesShown },
      silentLog,
    ).map(({ record }) => cardOfRecord(record));
  };
  return {
    special: key,
    message: withSearch(messageIn(content.message, shopperLanguage(engine, prepared.setup, language))),
    tips: (content.tips ?? []).map(withSearch),
    searches: content.searches,
    products: content.products.flatMap((id) => cardOfFamily(snapshot.findFamily(id))),
    bestSellers: first('bestSellers', content.bestSellers),
    newest: first('newest', content.newest),
    collection: collection
      ? {
          id: collection.id,
          title: collection.title,
          picture: ownedPicture(`collection:${collection.id}`, collection.picture),
        }
      : null,
    articles: (content.articles ?? []).flatMap((id) => {
      const article = besides?.content.articles.find((each) => each.id === id);
      return article ? [{ id, title: article.title, link: article.link }] : [];
    }),
    link: special?.link ?? null,
    unavailable: hiddenRecord < 0 ? null : { partNumber: cardOfRecord(hiddenRecord).sku, alternatives: instead() },
  };
}
