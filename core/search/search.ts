import type { Gap, Result, SearchAnswer } from '../answer/answer.ts';
import { ownedPicture } from '../catalog/picture.ts';
import { aboveCollection, type Collection } from '../content/decidedContent.ts';
import { answerFilters } from '../facets/filters.ts';
import type { Selection } from '../index/familyCounts.ts';
import { bannersOn } from '../rules/bannersOn.ts';
import { type Source, toldSource } from '../rules/effects.ts';
import { piecesOn } from '../setup/terms/pieces.ts';
import { orderLabelIn } from '../setup/terms/shopTexts.ts';
import { blocksFor, contentBeside, toldBlocks } from './besides.ts';
import { climb } from './climb.ts';
import { closeMatches, isFilledUp } from './closeMatches.ts';
import type { PreparedContent } from './contentEngine.ts';
import { correctionsOf } from './correctedReading.ts';
import { emptyShelf } from './emptyShelf.ts';
import { missingPins } from './gaps.ts';
import { ignoredParameters } from './ignoredParameters.ts';
import { offersFor } from './offers.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';
import { type CardMaker, cardMaker } from './productCard.ts';
import { factorOf, isBroughtIn, type Ranking } from './rank.ts';
import type { RecordReader } from './recordReader.ts';
import { bindScope, type Scope } from './scope.ts';
import type { SearchRequest } from './searchRequest.ts';
import { saidOf } from './shopSaid.ts';
import { whyHere } from './whyHere.ts';

/** The collection a search is asked in, and what of the catalog is in it; neither where it names none that there is. */
export function collectionOf(
  { snapshot }: Engine,
  { today }: Pick<PreparedSetup, 'today'>,
  { collection }: Pick<SearchRequest, 'collection'>,
  content: PreparedContent | null,
): { readonly within: Collection | undefined; readonly scope: Scope | null } {
  const within = collection ? content?.collections.find(({ id }) => id === collection) : undefined;
  return { within, scope: within ? bindScope(snapshot, within, today) : null };
}

/** Pinned products that are not at their places, for the desk. */
function gapsOf(
  engine: Engine,
  prepared: PreparedSetup,
  ranking: Ranking,
  scope: Scope | null,
  cardOf: CardMaker,
): Gap[] {
  const { snapshot } = engine;
  return missingPins(engine, prepared, ranking, scope).map(({ pin: { product, place, source }, why }) => {
    const family = snapshot.findFamily(product);
    const title = family < 0 ? product : cardOf(snapshot.recordsOf(family)[0]).title;
    const { id, name } = toldSource(source);
    return { product, title, place, why, plan: { id, name } };
  });
}

/** What a collection's page says of it, with the collections above and right below it. */
function collectionPage(within: Collection, { collections }: PreparedContent): NonNullable<SearchAnswer['collection']> {
  const named = ({ id, title }: Collection): { id: string; title: string } => ({ id, title });
  return {
    ...named(within),
    text: within.text,
    picture: ownedPicture(`collection:${within.id}`, within.picture),
    above: aboveCollection(collections, within.id).map(named),
    below: collections.filter(({ parent, id }) => parent === within.id && id !== within.id).map(named),
  };
}

/** What the filters beside a ranking are counted over. */
export function selectionOf({ leftOutOf }: Engine, { records, failing, candidates }: Ranking): Selection {
  const leftOut = failing ? null : leftOutOf(records);
  return { records, failing, leftOut, isWhole: failing === null && leftOut === null && candidates.areWhole() };
}

/** The products on a page of a ranking. Cost: a card each. */
export function resultsOn(
  engine: Engine,
  prepared: PreparedSetup,
  ranking: Ranking,
  request: SearchRequest,
  cardOf: CardMaker,
): Result[] {
  const { candidates } = ranking;
  const first = (request.page - 1) * request.limit;
  return ranking.placed.slice(first).map(({ candidate, pin }, offset): Result => {
    const family = candidates.families[candidate]!;
    const pull = factorOf(ranking, family);
    const applied = pin === null ? null : ranking.pins[pin]!.pin;
    return {
      ...cardOf(candidates.representatives[candidate]!),
      place: first + offset + 1,
      score: ranking.scores[candidate]!,
      ...(request.marks && {
        marks: {
          ...(applied && { pin: toldSource(applied.source) }),
          ...(!applied && ranking.first.has(candidate) && { first: toldSource(ranking.first.get(candidate)!) }),
          ...(isBroughtIn(ranking, candidate) && { broughtIn: true }),
          ...(pull !== 1 && { pull }),
          ...(candidate === ranking.skuCandidate && { exactSku: true }),
        },
      }),
      ...(request.explain && { why: whyHere(engine, prepared, ranking, first + offset) }),
    };
  });
}

/**
 * Answers one search: the single definition of what a shopper sees, used by the shop, the desk's preview and the
 * terminal alike. Pure but for the engine's scratch memory; records are read only for the page's cards.
 */
export function search(
  engine: Engine,
  inForce: PreparedSetup,
  request: SearchRequest,
  readRecord: RecordReader,
  content: PreparedContent | null = null,
): SearchAnswer {
  const { snapshot } = engine;
  const asked = collectionOf(engine, inForce, request, content);
  // First, since looking for it overwrites what was found.
  const blocks = blocksFor(engine, inForce, request, content);
  const climbed = climb(engine, inForce, request, request.page * request.limit, asked.scope);
  const { ranking, prepared, scope, near, isOutside } = climbed;
  const within = isOutside ? undefined : asked.within;
  const { candidates } = ranking;
  const { price, narrowing, strong } = ranking.understood;
  const corrections = correctionsOf(snapshot, ranking.words);
  // Where corrections are made at once, a search that finds nothing without any has none to offer either, but for words of
  // the language, which are not taken for others at once.
  const isUncorrected =
    !ranking.foundAny && (!prepared.spelling.atOnce || ranking.words.some(({ text }) => engine.isOfLanguage(text)));
  const isDoubtful = corrections.length > 0 || ranking.dropped.length > 0 || isUncorrected;
  const mayOffer = isDoubtful && !ranking.isBrowsing && !request.typing && request.page === 1;
  const said = saidOf(engine, prepared.setup, request.language);
  const beside = answerFilters(prepared.filters, ranking.choices, {
    selection: selectionOf(engine, ranking),
    representatives: candidates.representatives,
    language: said.language,
    currency: prepared.setup.storefront.shop.currency,
    like: request.like,
  });
  const redirect = ranking.effects.find((effect) => effect.what === 'redirect');
  // What a plan is called at the desk is none of a shopper's business.
  const told = (source: Source): ReturnType<typeof toldSource> =>
    request.marks ? toldSource(source) : { ...toldSource(source), id: '', name: '' };
  const shownTo = { readRecord, chosen: request.language };
  const cardOf = cardMaker(engine, prepared, { ...shownTo, hidden: prepared.at[ranking.place].hidden });
  const results = resultsOn(engine, prepared, ranking, request, cardOf);
  const answer = {
    query: request.query,
    total: ranking.total,
    page: request.upTo ?? request.page,
    limit: request.limit / (request.upTo ?? 1),
    pieces: piecesOn(prepared.setup.resultsPage.page.pieces),
    layout: prepared.setup.resultsPage.layout,
    arrangement: prepared.setup.resultsPage.card,
    ownCards: prepared.setup.resultsPage.ownCards.list.flatMap(({ key, on, card }) => (on ? [{ key, card }] : [])),
    results,
    filters: beside.filters,
    filtersNotShown: beside.notShown,
    ...said,
    filterLayout: prepared.setup.storefront.filters,
    sorting: prepared.setup.relevance.sorting.orders.map(({ key, label, signals }) => ({
      key,
      label: orderLabelIn(label, said.language),
      // What is shuffled is in no order of the menu: that of relevance stands for it.
      chosen: ranking.sorted?.order.key ? key === ranking.sorted.order.key : signals.length === 0,
    })),
    scoped: ranking.scoped && {
      wordsOut: [...ranking.scoped.wordsOut],
      within: ranking.scoped.condition,
      ...told(ranking.scoped.source),
    },
    ...(request.marks && { gaps: gapsOf(engine, prepared, ranking, scope, cardOf) }),
    takenFor: ranking.takenFor && { search: ranking.takenFor.search, ...told(ranking.takenFor.source) },
    banners: bannersOn(ranking.effects, { page: request.page, limit: request.limit, total: ranking.total }).map(
      ({ where, place, text, link, picture, source }) => ({
        ...{ where, place, text, link: link ?? null },
        picture: ownedPicture('banner', picture ?? ''),
        ...told(source),
      }),
    ),
    redirect: redirect ? { link: redirect.link, ...told(redirect.source) } : null,
    understood: price && { text: price.text, from: price.from, to: price.to },
    recognised: [...narrowing, ...strong].map(({ text, as, named }) => ({ text, as, named })),
    leadsTo: ranking.skuCandidate >= 0 ? snapshot.familyId(candidates.families[ranking.skuCandidate]!) : null,
    corrections,
    dropped: [...ranking.dropped],
    loosened: [...ranking.loosened],
    near: near && { search: near.text, from: near.from },
    outside: isOutside && asked.within ? { id: asked.within.id, title: asked.within.title } : null,
    exactly: request.exactly ?? false,
    together: [...ranking.together],
    ignoredFilters: [...ranking.ignoredFilters],
    ignored: ignoredParameters(prepared, request, ranking, asked.within !== undefined),
    collection: within && content ? collectionPage(within, content) : null,
    ...contentBeside(
      prepared,
      content,
      { ...request, query: ranking.takenFor?.search ?? near?.text ?? request.query },
      within !== undefined,
    ),
    blocks: toldBlocks(blocks, cardOf),
  };
  // Last, since looking for what is close, and for what else may be meant, overwrites what was found.
  const close = isFilledUp(prepared, ranking, request)
    ? closeMatches(engine, prepared, ranking, scope, request.limit - ranking.total)
    : [];
  return {
    ...answer,
    emptyShelf: ranking.foundAny
      ? null
      : emptyShelf(
          engine,
          inForce,
          request,
          cardMaker(engine, prepared, { ...shownTo, hidden: prepared.hiddenFromEmptyShelf }),
          content,
        ),
    close: close.map(({ record, score, without }) => ({
      ...cardOf(record),
      ...{ score, without },
    })),
    offers: mayOffer ? offersFor(engine, prepared, ranking.query, prepared.at.results.hidden, ranking.asTyped) : [],
  };
}
