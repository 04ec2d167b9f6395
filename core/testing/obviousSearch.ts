import type { AttributeProfile } from '../catalog/profileAttributes.ts';
import type { CatalogRecord } from '../catalog/record.ts';
import type { ChosenFilters } from '../facets/chosenFilters.ts';
import { compoundParts } from '../query/compounds.ts';
import { findPriceLimits } from '../query/priceLimits.ts';
import { corrected, weak } from '../query/understand.ts';
import { doubted, givingUp } from '../search/findMatches.ts';
import type { Setup } from '../setup/schema.ts';
import type { Language } from '../text/languages.ts';
import { normalizeCode, tokenize } from '../text/tokenize.ts';
import { amountReader } from './obviousAmounts.ts';
import { inStock, type ReadRecord, readCatalog, remembered } from './obviousCatalog.ts';
import { madeCollections, meetsCondition } from './obviousConditions.ts';
import { expander, type Way, type Word } from './obviousExpansion.ts';
import { obviousFilters } from './obviousFilters.ts';
import { obviousLeads } from './obviousLeads.ts';
import { obviousOrder } from './obviousOrder.ts';
import { phraseReader } from './obviousPhrases.ts';
import { obviousPlans } from './obviousPlans.ts';
import { obviousRuns } from './obviousRecognition.ts';
import { obviousRules } from './obviousRules.ts';
import { scorer } from './obviousScore.ts';
import { joinedWith, type Sought, soughtIn, unitsIn, withoutSome } from './obviousUnits.ts';
import { readVocabulary } from './obviousVocabulary.ts';

/** A family as it stands in the results. */
export interface ObviousResult {
  readonly familyId: string;
  readonly recordId: string;
  readonly score: number;
}
export interface ObviousAnswer {
  readonly total: number;
  /** Whether anything is found, before filters are chosen. */
  readonly foundAny: boolean;
  /** Whether something has the words, whatever plans put there. */
  readonly foundByWords: boolean;
  /** The words looked for, and whether they stand for anything. */
  readonly words: readonly { readonly text: string; readonly isKnown: boolean }[];
  readonly results: readonly ObviousResult[];
  readonly dropped: readonly string[];
  /** What lacks one word of the search, the best first. */
  readonly close: readonly (ObviousResult & { readonly without: string })[];
  /** By filter key and value: products. */
  readonly counts: Readonly<Record<string, Readonly<Record<string, number>>>>;
}

/** What a search may ask for besides its words. */
export interface ObviousRequest {
  readonly filters?: ChosenFilters;
  readonly typing?: boolean;
  readonly sort?: string;
  readonly box?: boolean;
  /** Of the catalog. */
  readonly language?: Language;
  /** Which words the language has. */
  readonly isOfLanguage?: (word: string) => boolean;
  /** What the shopper looks with. */
  readonly device?: string;
  /** None is dropped. */
  readonly allWords?: boolean;
  /** Not to be recognised. */
  readonly asWords?: readonly string[];
}

/**
 * The obvious search: no index, no typed array, every record looked at for every word. It is what the fast path is
 * held to, so it is written from the definitions and shares only the formula's lines with it.
 */
export function obviousSearch(
  records: readonly CatalogRecord[],
  attributes: readonly AttributeProfile[],
  setup: Setup,
  typed: string,
  request: ObviousRequest = {},
  now = 0,
  mode: 'fewer' | 'all' | 'none' = 'fewer',
): ObviousAnswer {
  const { filters: chosen = {}, typing = false, sort = '', box = false, language = 'en', asWords = [] } = request;
  const { isOfLanguage = () => false } = request;
  const today = Math.floor(now / 86_400_000);
  const recognises = Object.values(setup.vocabulary).some((entry) => entry.what === 'recognised' && entry.price);
  const catalog = readCatalog(records, attributes, setup, language);
  const { all, vocabulary, stemOf, isFormOf, isKnown, isGerman } = catalog;
  const collections = madeCollections(setup);
  const setupVocabulary = readVocabulary(setup);
  const { stopWords, fixed, synonymsAt } = setupVocabulary;
  const { expand, tolerance } = expander(catalog, setupVocabulary, { typing, isOfLanguage });
  const tools = { stemOf, unitsOf: remembered((text) => unitsIn(text, isKnown).map(({ token }) => token)), fixed };
  const textOf = (query: string, from: number, to: number): string =>
    unitsIn(query, isKnown)
      .slice(from, to)
      .map(({ text }) => text)
      .join(' ');
  const runsIn = (query: string) =>
    obviousRuns(records, attributes, setup, tools.unitsOf(query), today, {
      ...tools,
      isLeft: ({ from, to }) => asWords.includes(textOf(query, from, to)),
    });
  /** A text as it is understood before anything is looked for. */
  const readingOf = (asked: string) => {
    const limits = recognises ? findPriceLimits(asked) : null;
    const said = limits?.rest ?? asked;
    const narrowing = mode !== 'none' ? runsIn(said).filter(({ as }) => as === 'filter') : [];
    const isCovered = (at: number): boolean => narrowing.some(({ from, to }) => from <= at && at < to);
    const query =
      narrowing.length === 0
        ? said
        : unitsIn(said, isKnown)
            .filter((_, at) => !isCovered(at))
            .map(({ text }) => text)
            .join(' ');
    const strong = runsIn(query).filter(({ as }) => as === 'strong');
    const namedBy = ({ token }: Sought): Way[] =>
      strong.flatMap(({ to, attribute, units }) =>
        units.flatMap((list, unit) => {
          const typedThere = tools.unitsOf(query)[to - units.length + unit]!;
          if ((fixed.get(typedThere) ?? typedThere) !== token) return [];
          const stands = list.filter(({ token: own, has }) =>
            all.some((read) => read.texts[attribute]!.has(own) && has(read.record)),
          );
          return stands.map(({ token: own, has }): Way => ({ token: own, how: 'value', ofValue: { attribute, has } }));
        }),
      );
    const read = soughtIn(query, isKnown, fixed);
    const meaningful = read.filter(({ token }) => !stopWords.has(token));
    const given = meaningful.length > 0 ? meaningful : read;
    const isWord = (text: string): boolean => isKnown(text) || vocabulary.some((token) => isFormOf(token, text));
    const parted = given.flatMap((sought): Sought[] => {
      const [parts] = isGerman && !isWord(sought.token) ? compoundParts(sought.token, isWord) : [];
      return parts ? parts.map((part) => ({ ...sought, text: part, token: part })) : [sought];
    });
    const texts = parted
      .filter(({ token }, at) => parted.findIndex((other) => other.token === token) === at)
      .slice(0, 12);
    const holds = ({ texts: own }: ReadRecord, fits: (token: string) => boolean): boolean =>
      own.some((byToken) => [...byToken.keys()].some(fits));
    const isForm = (token: string, text: string): boolean => token === text || isFormOf(token, text);
    /** Whether something has a word and with it all others of the search that the catalog knows. */
    const fitsRest = (at: number) => {
      const others = texts.filter((_, place) => place !== at);
      const known = others.filter(({ token }) => isWord(token));
      const isSaid = texts.some((_, place) => place !== at && synonymsAt(texts, place).length > 0);
      return (token: string): boolean =>
        known.length === 0
          ? isSaid
          : all.some(
              (read) =>
                holds(read, (own) => own === token) &&
                known.every((other) => holds(read, (own) => isForm(own, other.token))),
            );
    };
    const wordsFor = (widen: boolean): Word[] =>
      texts.map((text, at) =>
        expand(
          ...([text, at === texts.length - 1, widen] as const),
          ...([joinedWith(texts, at), synonymsAt(texts, at), namedBy(text), fitsRest(at)] as const),
        ),
      );
    return { limits, said, narrowing, query, texts, wordsFor };
  };
  /** The words of a text with what they are corrected to at once in their places. */
  const correctedTo = (text: string): string => {
    const { texts, wordsFor } = readingOf(text);
    const isMeant = (to: string): boolean => texts.some(({ token, isFixed }) => isFixed && token === to);
    const taken = new Map([...fixed].filter(([, to]) => isMeant(to)));
    for (const [at, { text: to, ways }] of wordsFor(false).entries()) {
      const { token, isFixed } = texts[at]!;
      const first = ways.find(({ how }) => !weak.has(how));
      if (isFixed) continue;
      if (to !== texts[at]!.text) taken.set(token, to);
      else if (first && corrected.has(first.how)) taken.set(token, first.token);
    }
    return tokenize(text)
      .map((token) => taken.get(token) ?? token)
      .join(' ');
  };
  const takenFor = obviousPlans(setup, [typed, correctedTo(typed)], catalog.stemOf, now, request).find(
    ({ treatAs }) => treatAs,
  )?.treatAs;
  const plans = obviousPlans(setup, [typed, takenFor ?? '', correctedTo(typed)], catalog.stemOf, now, request);
  const scoping = plans.find(({ scope, wordsOut = [] }) => scope || wordsOut.length > 0);
  const asked = withoutSome(takenFor ?? typed, scoping?.wordsOut ?? []);
  const { limits, said, narrowing, query, texts, wordsFor } = readingOf(asked);
  const scoreOf = scorer(catalog);
  const togetherIn = phraseReader(catalog, setupVocabulary);
  const soldOut = setup.relevance.soldOut[box ? 'box' : 'results'];
  const amounts = amountReader(catalog, today);
  const rules = obviousRules(records, attributes, setup, box ? 'box' : 'results', { ...amounts, now });
  const only = plans.find((plan) => plan.only && (plan.first ?? []).length > 0)?.first;
  const hidden = ({ record }: ReadRecord): boolean =>
    rules.isHidden(record) ||
    (soldOut === 'notAtAll' && record.values.availability === 'Sold out') ||
    plans.some(
      ({ hides = [], conditionHides = [] }) =>
        hides.includes(record.familyId) ||
        conditionHides.some((each) => meetsCondition(attributes, record, each, today, collections)),
    ) ||
    (only !== undefined && !only.includes(record.familyId)) ||
    (scoping?.scope !== undefined && !meetsCondition(attributes, record, scoping.scope, today, collections));
  const visible = all.filter((read) => !hidden(read));
  const find = (words: readonly Word[]): Map<ReadRecord, number> => {
    const found = new Map<ReadRecord, number>();
    for (const read of visible) {
      if (!narrowing.every(({ allows }) => allows(read.record))) continue;
      const score = scoreOf(read, words);
      if (score !== null) found.set(read, score);
    }
    return found;
  };

  /** What has the phrases of a search together, if anything does. */
  const together = (words: readonly Word[], texts: readonly Sought[]): Map<ReadRecord, number> => {
    const isTogether = togetherIn(texts);
    return new Map(isTogether ? [...find(words)].filter(([own]) => isTogether(own)) : []);
  };
  const code = normalizeCode(query);
  const skuOn = (setup.attributes.sku?.searchable ?? false) && setup.relevance.partNumbers.lead;
  const skuOwner =
    query.trim() && skuOn && code.length >= 3
      ? all.find(({ record }) => normalizeCode(record.sku) === code)
      : undefined;
  const isLetThrough = ({ record }: ReadRecord): boolean => narrowing.every(({ allows }) => allows(record));
  const skuRead = skuOwner && visible.includes(skuOwner) && isLetThrough(skuOwner) ? skuOwner : undefined;
  let dropped: string[] = [];
  /** The words that were found, and whether phrases of them had to stand together. */
  let used: readonly Word[] = [];
  let areTogether = false;
  /** Words the catalog knows that nothing has together with the others. */
  let missed: readonly Word[] = [];
  let found: Map<ReadRecord, number>;
  if (query.trim() === '')
    found = new Map(
      visible.filter(({ record }) => narrowing.every(({ allows }) => allows(record))).map((read) => [read, 100_000]),
    );
  else if (texts.length === 0) found = new Map();
  else {
    const words = wordsFor(false);
    const attempt = (tried: readonly Word[], own: readonly Sought[]): Map<ReadRecord, number> => {
      const side = together(tried, own);
      used = tried;
      areTogether = side.size > 0;
      return side.size > 0 ? side : find(tried);
    };
    found = attempt(words, texts);
    if (found.size === 0 && !skuRead) {
      if (tolerance) found = attempt(wordsFor(true), texts);
      const rounds = (found.size > 0 || request.allWords ? [] : doubted).flatMap((doubts) => {
        const isKnown = ({ ways }: Word): boolean => ways.some(({ how }) => !doubts.includes(how));
        const order = [...words].sort(
          (a, b) =>
            Number(isKnown(a)) - Number(isKnown(b)) || a.rarity - b.rarity || words.indexOf(b) - words.indexOf(a),
        );
        const givable = order.map((word) => ({ isKnown: isKnown(word), rarity: word.rarity }));
        const own = [...givingUp(givable)].map((gone) => gone.map((place) => order[place]!));
        return [...new Set(own.map((gone) => gone.length))].map((size) => own.filter((gone) => gone.length === size));
      });
      const rarityOf = (some: readonly Word[]): number => some.reduce((sum, { rarity }) => sum + rarity, 0);
      const without = (gone: readonly Word[]): Map<ReadRecord, number> =>
        attempt(
          words.filter((word) => !gone.includes(word)),
          texts.filter((_, at) => !gone.includes(words[at]!)),
        );
      for (const group of rounds.sort(([a], [b]) => a!.length - b!.length)) {
        const tried = group
          .map((gone) => ({ gone, scores: [...without(gone).values()] }))
          .filter(({ scores }) => scores.length > 0)
          .map(({ gone, scores }) => ({ gone, worth: Math.max(...scores) * (1 - rarityOf(gone) / rarityOf(words)) }));
        if (tried.length === 0) continue;
        const { gone } = tried.reduce((best, each) => (each.worth > best.worth ? each : best));
        found = without(gone);
        dropped = gone.map(({ text }) => text);
        missed = gone.filter(({ ways }) => ways.length > 0);
        break;
      }
      if (found.size === 0) used = words;
    }
  }

  const pins: { product: string; place: number }[] = [];
  const named = new Set<string>();
  for (const { pins: own, pinsWait } of plans)
    for (const pin of own) {
      if (named.has(pin.product)) continue;
      named.add(pin.product);
      if (!pinsWait || amounts.familyInStock(pin.product)) pins.push(pin);
    }
  pins.sort((a, b) => a.place - b.place);
  const first = [...new Set(plans.flatMap((plan) => plan.first ?? []))];
  const broughtIn = plans.flatMap((plan) => plan.bringIn ?? []);
  const titleScore = catalog.titleShare === null ? 0 : Math.round(100_000 * catalog.titleShare);
  const put = new Set<ReadRecord>();
  const byWords = new Set([...found.keys()].map(({ record }) => record.familyId));
  for (const product of [...pins.map((pin) => pin.product), ...first, ...broughtIn])
    if (!byWords.has(product))
      for (const read of visible)
        if (read.record.familyId === product) {
          put.add(read);
          found.set(read, broughtIn.includes(product) ? titleScore : 0);
        }
  if (skuRead) {
    put.delete(skuRead);
    found.set(skuRead, 100_000);
  }

  for (const read of limits ? [...found.keys()] : []) {
    const { price } = read.record.values;
    const isAllowed = typeof price === 'number' && price >= (limits!.from ?? price) && price <= (limits!.to ?? price);
    if (!isAllowed) found.delete(read);
  }
  if (narrowing.length > 0) {
    for (const each of [...found.keys()]) if (!narrowing.every(({ allows }) => allows(each.record))) found.delete(each);
    if (found.size === 0 && mode === 'fewer') {
      const tried = (narrowing.length > 1 ? narrowing.slice(0, 4) : [])
        .map(({ from, to }) => ({ ...request, asWords: [...asWords, textOf(said, from, to)] }))
        .map((fewer) => obviousSearch(records, attributes, setup, typed, fewer, now, 'all'))
        .filter(({ foundAny }) => foundAny)
        .sort((a, b) => a.dropped.length - b.dropped.length);
      return tried[0] ?? obviousSearch(records, attributes, setup, typed, request, now, 'none');
    }
  }

  const filters = obviousFilters({
    setup,
    records: [...found.keys()].map(({ record }) => record),
    chosen,
    instead: plans.find((plan) => plan.filters)?.filters,
    meets: (record, condition) => meetsCondition(attributes, record, condition, today, collections),
    isSaid: (search: string) => tokenize(asked).length > 0 && tokenize(search).join(' ') === tokenize(asked).join(' '),
    today,
    familyInStock: amounts.familyInStock,
  });
  const { counts } = filters;

  const best = new Map<string, { read: ReadRecord; score: number }>();
  for (const read of all) {
    const score = found.get(read);
    if (score === undefined || !filters.passes(read.record)) continue;
    const before = best.get(read.record.familyId);
    const better =
      !before || score > before.score || (score === before.score && !inStock(before.read) && inStock(read));
    if (better) best.set(read.record.familyId, { read, score });
  }
  const boostOf = (familyId: string): number => {
    const amount = amounts.familyAmount(familyId, 'boost');
    return amount === null ? 1 : Math.min(10, Math.max(0.1, amount));
  };
  const pulled = (familyId: string, score: number): number => {
    const variants = records.filter((record) => record.familyId === familyId);
    const pull = plans
      .flatMap(({ pulls, conditionPulls = [] }): number[] => {
        const singly = pulls.filter(({ product }) => product === familyId);
        if (singly.length > 0) return singly.map((each) => each.pull);
        return conditionPulls
          .filter(({ condition }) =>
            variants.some((record) => meetsCondition(attributes, record, condition, today, collections)),
          )
          .map((each) => each.pull);
      })
      .reduce((total, factor) => total * factor, rules.factorOf(familyId, boostOf(familyId)));
    const bounded = Math.min(10, Math.max(0.1, pull));
    return bounded === 1 ? score : Math.round(score * bounded);
  };
  const candidates = [...best].map(([familyId, { read, score }]) => ({
    familyId,
    recordId: read.record.id,
    score: pulled(familyId, score),
    read,
  }));
  const isFilledUp =
    setup.relevance.fillUp.on &&
    !(typing || box || skuRead || areTogether) &&
    (sort === '' || sort === 'relevance') &&
    query.trim() !== '' &&
    found.size > 0 &&
    used.length + missed.length > 1 &&
    missed.length <= 2;
  const close = isFilledUp ? closeTo() : [];
  /** Every record that is found without one of the words, which tells at most half of all they do, of three or more two thirds. */
  function closeTo(): (ObviousResult & { without: string })[] {
    const families = new Set(candidates.map(({ familyId }) => familyId));
    const words = [...used, ...missed];
    const total = words.reduce((sum, { rarity }) => sum + rarity, 0);
    const close = new Map<string, ObviousResult & { without: string }>();
    for (const missing of [...words].sort((a, b) => a.rarity - b.rarity)) {
      if (missing.rarity > total * (words.length > 2 ? 2 / 3 : 1 / 2)) continue;
      const matching = find(words.filter((word) => word !== missing));
      const bestWithout = new Map<string, { read: ReadRecord; score: number }>();
      for (const read of all) {
        const full = matching.get(read);
        const { price } = read.record.values;
        const isAffordable =
          !limits || (typeof price === 'number' && price >= (limits.from ?? price) && price <= (limits.to ?? price));
        const { familyId } = read.record;
        if (full === undefined || !isAffordable || families.has(familyId) || !filters.passes(read.record)) continue;
        const score = Math.round(full * (1 - missing.rarity / total));
        const before = bestWithout.get(familyId);
        const better =
          !before || score > before.score || (score === before.score && !inStock(before.read) && inStock(read));
        if (better) bestWithout.set(familyId, { read, score });
      }
      for (const [familyId, { read, score }] of bestWithout) {
        const own = { familyId, recordId: read.record.id, score: pulled(familyId, score), without: missing.text };
        if (own.score > (close.get(familyId)?.score ?? -1)) close.set(familyId, own);
      }
    }
    const order = [...new Set(all.map(({ record }) => record.familyId))];
    const isOut = (familyId: string): number => Number(soldOut === 'last' && !amounts.familyInStock(familyId));
    return [...close.values()].sort(
      (a, b) =>
        isOut(a.familyId) - isOut(b.familyId) ||
        b.score - a.score ||
        order.indexOf(a.familyId) - order.indexOf(b.familyId),
    );
  }
  /** The products among those found that a plan is the first to put first. */
  const firstSaidBy = (plan: (typeof plans)[number]): string[] =>
    (plan.first ?? []).filter(
      (product) =>
        plans.find((other) => other.first?.includes(product)) === plan &&
        candidates.some(({ familyId }) => familyId === product),
    );
  const leads = obviousLeads(records, attributes, setup, {
    ...{ isBegin: query.trim() === '' && !box, sort, today },
    find: (text) =>
      obviousSearch(records, attributes, setup, text, { isOfLanguage }, now).results.map(({ familyId }) => familyId),
  });
  const ordered = obviousOrder(setup, candidates, amounts, {
    ...leads,
    planned: plans.find((plan) => plan.sort)?.sort,
    pins,
    first,
    // A part number leads, unless a plan for just these words says what is first.
    skuLeads: !plans.some((plan) => (plan.how ?? 'exactly') === 'exactly' && firstSaidBy(plan).length > 0),
    sku: skuRead?.record.familyId,
    soldOutLast: soldOut === 'last',
  });
  return {
    total: candidates.length,
    foundAny: found.size > 0,
    foundByWords: [...found.keys()].some((read) => !put.has(read)),
    words: texts.length === 0 ? [] : wordsFor(false).map(({ text, ways }) => ({ text, isKnown: ways.length > 0 })),
    results: ordered.map(({ familyId, recordId, score }) => ({ familyId, recordId, score })),
    dropped,
    close,
    counts,
  };
}
