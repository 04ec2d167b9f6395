import type { Card, Result } from '../answer/answer.ts';
import { ownedPicture } from '../catalog/picture.ts';
import type { Article, Collection } from '../content/decidedContent.ts';
import { contentFound } from '../search/besides.ts';
import type { PreparedContent } from '../search/contentEngine.ts';
import { emptyShelf, shelfFor } from '../search/emptyShelf.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import type { CardMaker } from '../search/productCard.ts';
import type { RecordReader } from '../search/recordReader.ts';
import type { SearchRequest } from '../search/searchRequest.ts';
import type { BoxBlock } from '../setup/parts/searchBox.ts';
import { type BoxMoment, mostLines } from '../setup/terms/boxTerms.ts';
import type { Device } from '../setup/terms/planTerms.ts';
import { boxTitle, messageIn } from '../setup/terms/shopTexts.ts';
import type { Language } from '../text/languages.ts';
import { asCorrected } from './asCorrected.ts';
import type { BoxBlockAnswer, Suggestion } from './boxAnswer.ts';
import { type Completion, type Completions, typedAs } from './completions.ts';
import { findsSomething } from './findsSomething.ts';
import type { Within } from './lookIn.ts';
import { ownSearches } from './ownSearches.ts';
import { sameWords } from './phrase.ts';

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
  candidates: Iterable<Completion>,
  {
    completions,
    device,
    most,
  }: { readonly completions: Completions; readonly device: Device | undefined; readonly most: number },
): Suggestion[] {
  const found: Suggestion[] = [];
  let [tried, mistakesNow] = [0, 0];
  for (const { phrase: number, mistakes } of candidates) {
    if (found.length >= most || tried++ >= mostTried) break;
    if (mistakes > mistakesNow && found.length > 0) break;
    mistakesNow = mistakes;
    const { text, searches, products } = completions.phrase(number);
    if (isNever(prepared, text) || !findsSomething(engine, prepared, text, device)) continue;
    found.push({ text, why: { from: searches > 0 ? 'log' : 'catalog', searches, products, mistakes } });
  }
  return found;
}

const isNever = ({ setup, when }: PreparedSetup, text: string): boolean =>
  ownSearches(setup.suggestedSearches, when).isNever(text);

/** Searches that somebody chose, the first few that lead to something; of a long list only so many are looked at. */
function chosen(
  engine: Engine,
  prepared: PreparedSetup,
  searches: readonly string[],
  device: Device | undefined,
): Suggestion[] {
  const found: Suggestion[] = [];
  for (const text of searches.slice(0, mostTried)) {
    if (found.length >= mostLines) break;
    if (isNever(prepared, text) || !findsSomething(engine, prepared, text, device)) continue;
    found.push({ text, why: { from: 'setup', searches: 0, products: 0, mistakes: 0 } });
  }
  return found;
}

/** Some searches, the same words in another order or case once. */
function eachOnce(suggestions: readonly Suggestion[], most: number): Suggestion[] {
  const seen = new Set<string>();
  return suggestions
    .filter(({ text }) => {
      const words = sameWords(text);
      const isNew = !seen.has(words);
      seen.add(words);
      return isNew;
    })
    .slice(0, most);
}

/** A chosen product as a line of the box has it. */
const lineOf = (card: Card, at: number) => ({ ...card, place: at + 1, score: 0 });

/** What a block is filled from at one moment. */
export interface BlockSources extends BoxSources {
  readonly cardOf: CardMaker;
  readonly moment: BoxMoment;
  /** Without spaces around it. */
  readonly typed: string;
  readonly language: Language;
  readonly device: Device | undefined;
  /** What was typed, as a request that no block asks for products with. */
  readonly asked: SearchRequest;
  /** Products of the search, and where it can be looked in. */
  readonly products: readonly Result[];
  readonly within: readonly Within[];
}

/**
 * One block of the box with its lines; null where it would be empty. Cost: a lookup of the completions for searches, one of
 * content for collections and articles.
 */
export function fillBlock(
  engine: Engine,
  prepared: PreparedSetup,
  block: BoxBlock,
  sources: BlockSources,
): BoxBlockAnswer | null {
  const { moment, typed, language, device, asked, completions, content, cardOf } = sources;
  const { suggestedSearches } = prepared.setup;
  const own = ownSearches(suggestedSearches, prepared.when);
  const head = { title: block.title?.[language] ?? boxTitle(block.kind, language), column: block.column };
  const filled = <Item>(list: readonly Item[]): Item[] | null => (list.length > 0 ? list.slice(0, block.most) : null);
  const searches = (chosenTexts: readonly string[], candidates: (from: Completions) => Iterable<Completion>) => {
    const first = chosen(engine, prepared, chosenTexts, device);
    const others = completions
      ? offered(engine, prepared, candidates(completions), { completions, device, most: block.most })
      : [];
    return filled(eachOnce([...first, ...others], block.most));
  };
  const shelf = moment === 'nothing' ? shelfFor(engine, prepared, typed).content : null;
  /** Chosen products, then those that sold most and came last. */
  const onShelf = (): Card[] => {
    const { products, bestSellers, newest } = emptyShelf(engine, prepared, { query: typed, language }, cardOf, content);
    return [...products, ...bestSellers, ...newest];
  };
  switch (block.kind) {
    case 'recent':
      return { kind: block.kind, ...head, most: block.most };
    case 'suggestions': {
      const texts = asCorrected(asked.query, prepared.vocabulary.fixed);
      const list = searches(
        texts.flatMap((text) => own.matching(typedAs(text))),
        function* (from) {
          for (const text of texts) yield* from.complete(text);
        },
      );
      return list && { kind: block.kind, ...head, items: list };
    }
    case 'popular': {
      const list = searches([...(shelf?.searches ?? []), ...own.always], (from) => from.best());
      // Of a shop without a log none was often searched.
      const isSearched = list?.some(({ why: { from } }) => from !== 'catalog');
      const title = block.title?.[language] ?? boxTitle(isSearched ? 'popular' : 'suggestions', language);
      return list && { kind: block.kind, ...head, title, items: list };
    }
    case 'lookIn': {
      const list = filled(sources.within);
      return list && { kind: block.kind, ...head, items: list };
    }
    case 'products': {
      const list = filled(moment === 'nothing' ? onShelf().map(lineOf) : sources.products);
      return list && { kind: block.kind, ...head, inRow: block.inRow ?? 1, items: list };
    }
    case 'collections': {
      const those = (isMeant: (collection: Collection) => boolean) =>
        (content?.collections ?? [])
          .filter(isMeant)
          .map(({ id, title, picture }) => ({ id, title, picture: ownedPicture(`collection:${id}`, picture) }));
      const chosenHere = those(({ id }) => id === shelf?.collection);
      const list = filled(
        moment === 'nothing'
          ? chosenHere
          : moment === 'before'
            ? those(({ parent }) => parent === '')
            : content
              ? contentFound(content, asked.query, mostLines).collections
              : [],
      );
      return list && { kind: block.kind, ...head, items: list };
    }
    case 'articles': {
      const ofShelf = (shelf?.articles ?? []).flatMap(
        (id) => content?.content.articles.find((each) => each.id === id) ?? [],
      );
      const list = filled<Pick<Article, 'id' | 'title' | 'link'>>(
        moment === 'nothing' ? ofShelf : content ? contentFound(content, asked.query, mostLines).articles : [],
      );
      return list && { kind: block.kind, ...head, items: list.map(({ id, title, link }) => ({ id, title, link })) };
    }
    case 'message': {
      const lines = [messageIn(shelf?.message ?? '', language), ...(shelf?.tips ?? [])].filter((line) => line !== '');
      const text = lines.join('\n').replaceAll('{search}', typed);
      return text === '' ? null : { kind: block.kind, ...head, text };
    }
  }
}
