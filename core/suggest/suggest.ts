import type { Card } from '../answer/answer.ts';
import { ownedPicture } from '../catalog/picture.ts';
import type { PreparedContent } from '../search/contentEngine.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { type Ranking, rank, type SearchRequest } from '../search/rank.ts';
import { contentFound, emptyShelf, type RecordReader, resultsOn, shopperLanguage } from '../search/search.ts';
import type { BoxBlock } from '../setup/parts/searchBox.ts';
import { type BoxMoment, blockTexts, mostLines } from '../setup/terms/boxTerms.ts';
import type { Language } from '../text/languages.ts';
import type { BoxAnswer, BoxBlockAnswer, Suggestion } from './boxAnswer.ts';
import { type Completion, type Completions, typedAs } from './completions.ts';
import { findsSomething } from './findsSomething.ts';
import { lookIn, mostLookedAt } from './lookIn.ts';
import { ownSearches } from './ownSearches.ts';
import { wordsOfPhrase } from './phrase.ts';

/** What the box is asked while a shopper is in it. */
export interface BoxRequest {
  readonly typed: string;
  readonly language?: Language;
  readonly device?: SearchRequest['device'];
}
/** What the box is answered from besides the catalog and the setup. */
export interface BoxSources {
  /** Null until they are made: then the box has all the rest. */
  readonly completions: Completions | null;
  readonly content: PreparedContent | null;
  readonly readRecord: RecordReader;
}

/** Searches of the index that are looked at for those that find something. */
export const mostTried = 40;

/** The completions that find something, at most so many; those with more mistakes only where there are none with fewer. */
function offered(
  engine: Engine,
  prepared: PreparedSetup,
  {
    candidates,
    completions,
    most,
  }: {
    readonly candidates: Iterable<Completion>;
    readonly completions: Completions;
    readonly most: number;
  },
): Suggestion[] {
  const found: Suggestion[] = [];
  let [tried, mistakesNow] = [0, 0];
  for (const { phrase: number, mistakes } of candidates) {
    if (found.length >= most || tried++ >= mostTried) break;
    if (mistakes > mistakesNow && found.length > 0) break;
    mistakesNow = mistakes;
    const { text, searches, products } = completions.phrase(number);
    if (isNever(prepared, text) || !findsSomething(engine, prepared, text)) continue;
    found.push({ text, why: { from: searches > 0 ? 'log' : 'catalog', searches, products, mistakes } });
  }
  return found;
}

const isNever = ({ setup, when }: PreparedSetup, text: string): boolean =>
  ownSearches(setup.suggestedSearches, when).isNever(text);

/** Searches that somebody chose, the first few that lead to something; of a long list only so many are looked at. */
function chosen(engine: Engine, prepared: PreparedSetup, searches: readonly string[]): Suggestion[] {
  const found: Suggestion[] = [];
  for (const text of searches.slice(0, mostTried)) {
    if (found.length >= mostLines) break;
    if (isNever(prepared, text) || !findsSomething(engine, prepared, text)) continue;
    found.push({ text, why: { from: 'setup', searches: 0, products: 0, mistakes: 0 } });
  }
  return found;
}

/** Some searches, the same words in another order or case once. */
function eachOnce(suggestions: readonly Suggestion[], most: number): Suggestion[] {
  const seen = new Set<string>();
  return suggestions
    .filter(({ text }) => {
      const words = wordsOfPhrase(text).split(' ').sort().join(' ');
      const isNew = !seen.has(words);
      seen.add(words);
      return isNew;
    })
    .slice(0, most);
}

/** What products of a ranking say a search may be looked for within. */
function withinOf({ filters }: PreparedSetup, { placed, candidates }: Ranking, most: number) {
  const records = placed.slice(0, mostLookedAt).map(({ candidate }) => candidates.representatives[candidate]!);
  return lookIn(filters, Uint32Array.from(records.sort((a, b) => a - b)), most);
}

/** A chosen product as a line of the box has it. */
const lineOf = (card: Card, at: number) => ({ ...card, place: at + 1, score: 0 });

/**
 * Everything that hangs under the search box at one moment, in one answer: before anything is typed, while it is, or
 * where what is typed finds nothing and nothing goes on from it. Hiding, pins and factors hold in it as in results. Pure
 * but for the engine's scratch memory. Cost: one search without filters or cards beyond its lines, and a lookup of the
 * completions.
 */
export function suggest(engine: Engine, prepared: PreparedSetup, request: BoxRequest, sources: BoxSources): BoxAnswer {
  const { completions, content, readRecord } = sources;
  const { searchBox, storefront, emptyShelf: shelf } = prepared.setup;
  const { shape } = searchBox;
  const chosenList = ownSearches(prepared.setup.suggestedSearches, prepared.when);
  const typed = request.typed.trim();
  const language = shopperLanguage(engine, prepared.setup, request.language);
  const isBefore = typed === '';
  const blocksAt = (moment: BoxMoment): readonly BoxBlock[] => searchBox[moment].blocks.filter(({ on }) => on);
  const blockAt = (moment: BoxMoment, kind: BoxBlock['kind']): BoxBlock | undefined =>
    blocksAt(moment).find((block) => block.kind === kind);
  const { device } = request;
  const asked = (limit: number): SearchRequest => ({
    ...{ query: typed, filters: {}, page: 1, limit, box: true, typing: !isBefore, ...(device && { device }) },
  });

  // First all that reads the ranking, since finding out what else finds something overwrites it.
  const moment = isBefore ? 'before' : 'typing';
  const lines = blockAt(moment, 'products')?.most ?? 0;
  const within = blockAt('typing', 'lookIn')?.most ?? 0;
  const isRanked = !isBefore || lines > 0;
  const wanted = within > 0 && !isBefore ? Math.max(lines, mostLookedAt) : lines;
  const ranking = isRanked ? rank(engine, prepared, asked(lines), wanted) : null;
  const total = ranking && !isBefore ? ranking.total : 0;
  const products = ranking ? resultsOn(engine, prepared, ranking, asked(lines), readRecord).slice(0, lines) : [];
  const withins = ranking && !isBefore && total > 0 && within > 0 ? withinOf(prepared, ranking, within) : [];
  const leadsOn = ranking?.effects.some(({ what }) => what === 'redirect') === true;

  const items = (block: BoxBlock, at: BoxMoment): BoxBlockAnswer | null => {
    const head = { title: block.title?.[language] ?? blockTexts[block.kind].title, column: block.column };
    const filled = <Item>(list: readonly Item[]): Item[] | null => (list.length > 0 ? list.slice(0, block.most) : null);
    switch (block.kind) {
      case 'recent':
        return { kind: block.kind, ...head, most: block.most };
      case 'suggestions': {
        const candidates = completions?.complete(request.typed) ?? [];
        const chosenHere = chosen(engine, prepared, chosenList.matching(typedAs(request.typed)));
        const others = completions ? offered(engine, prepared, { candidates, completions, most: block.most }) : [];
        const list = filled(eachOnce([...chosenHere, ...others], block.most));
        return list && { kind: block.kind, ...head, items: list };
      }
      case 'popular': {
        const ofShelf = at === 'nothing' ? shelf.content.searches : [];
        const chosenHere = chosen(engine, prepared, [...ofShelf, ...chosenList.always]);
        const most = completions
          ? offered(engine, prepared, { candidates: completions.best(), completions, most: block.most })
          : [];
        const list = filled(eachOnce([...chosenHere, ...most], block.most));
        return list && { kind: block.kind, ...head, items: list };
      }
      case 'lookIn': {
        const list = filled(withins);
        return list && { kind: block.kind, ...head, items: list };
      }
      case 'products': {
        const list = filled(
          at === 'nothing' ? (emptyShelf(engine, prepared, typed, readRecord)?.products ?? []).map(lineOf) : products,
        );
        return list && { kind: block.kind, ...head, items: list };
      }
      case 'collections': {
        const top = (content?.collections ?? [])
          .filter(({ parent }) => parent === '')
          .map(({ id, title, picture }) => ({ id, title, picture: ownedPicture(`collection:${id}`, picture) }));
        const list = filled(isBefore ? top : contentFound(content, asked(1), false).collections);
        return list && { kind: block.kind, ...head, items: list };
      }
      case 'articles': {
        const list = filled(contentFound(content, asked(1), false).articles);
        return list && { kind: block.kind, ...head, items: list.map(({ id, title, link }) => ({ id, title, link })) };
      }
      case 'message': {
        const text = shelf.content.message.replaceAll('{search}', typed);
        return text === '' ? null : { kind: block.kind, ...head, text };
      }
    }
  };
  const filledAt = (at: BoxMoment): BoxBlockAnswer[] => blocksAt(at).flatMap((block) => items(block, at) ?? []);
  const blocks = filledAt(moment);
  const findsNothing = !isBefore && total === 0 && blocks.length === 0 && !leadsOn;
  return {
    typed: request.typed,
    moment: findsNothing ? 'nothing' : moment,
    blocks: findsNothing ? filledAt('nothing') : blocks,
    total,
    ...{ wide: shape.wide, letters: shape.letters, line: [...shape.line], marks: shape.marks },
    allResults: shape.allResults,
    shop: storefront.shop,
  };
}
