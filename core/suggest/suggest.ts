import { climb } from '../search/climb.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { cardMaker } from '../search/productCard.ts';
import type { Ranking } from '../search/rank.ts';
import { resultsOn } from '../search/search.ts';
import type { SearchRequest } from '../search/searchRequest.ts';
import { saidOf } from '../search/shopSaid.ts';
import type { BoxBlock } from '../setup/parts/searchBox.ts';
import { type BoxMoment, freeWidth } from '../setup/terms/boxTerms.ts';
import type { Language } from '../text/languages.ts';
import type { BoxAnswer, BoxBlockAnswer } from './boxAnswer.ts';
import { type BoxSources, fillBlock } from './fillBlock.ts';
import { lookIn, mostLookedAt } from './lookIn.ts';

/** What the box is asked while a shopper is in it. */
export interface BoxRequest {
  readonly typed: string;
  readonly language?: Language;
  readonly device?: SearchRequest['device'];
}
/** What products of a ranking say a search may be looked for within. */
function withinOf({ filters }: PreparedSetup, { placed, candidates }: Ranking, most: number) {
  const records = placed.slice(0, mostLookedAt).map(({ candidate }) => candidates.representatives[candidate]!);
  return lookIn(filters, Uint32Array.from(records.sort((a, b) => a - b)), most);
}

/**
 * Everything that hangs under the search box at one moment, in one answer: before anything is typed, while it is, or
 * where what is typed finds nothing and nothing goes on from it. Hiding, pins and factors hold in it as in results. Pure
 * but for the engine's scratch memory. Cost: one search without filters or cards beyond its lines, and a lookup of the
 * completions.
 */
export function suggest(engine: Engine, prepared: PreparedSetup, request: BoxRequest, sources: BoxSources): BoxAnswer {
  const { searchBox } = prepared.setup;
  const { shape } = searchBox;
  const typed = request.typed.trim();
  const said = saidOf(engine, prepared.setup, request.language);
  const { language } = said;
  const isBefore = typed === '';
  const blocksAt = (moment: BoxMoment): readonly BoxBlock[] => searchBox[moment].blocks.filter(({ on }) => on);
  const blockAt = (moment: BoxMoment, kind: BoxBlock['kind']): BoxBlock | undefined =>
    blocksAt(moment).find((block) => block.kind === kind);
  const { device } = request;
  const moment = isBefore ? 'before' : 'typing';
  const sort = blockAt(moment, 'products')?.sort;
  const asked = (limit: number): SearchRequest => ({
    ...{ query: typed, filters: {}, page: 1, limit, box: true, typing: !isBefore },
    ...{ ...(device && { device }), ...(sort && { sort }) },
  });

  // First all that reads the ranking, since finding out what else finds something overwrites it.
  const lines = blockAt(moment, 'products')?.most ?? 0;
  const within = blockAt('typing', 'lookIn')?.most ?? 0;
  const isRanked = !isBefore || lines > 0;
  const wanted = within > 0 && !isBefore ? Math.max(lines, mostLookedAt) : lines;
  const ranking = isRanked ? climb(engine, prepared, asked(lines), wanted).ranking : null;
  const total = ranking && !isBefore ? ranking.total : 0;
  const cardOf = cardMaker(engine, prepared, {
    ...{ readRecord: sources.readRecord, chosen: language, hidden: prepared.at.box.hidden },
  });
  const products = ranking ? resultsOn(engine, prepared, ranking, asked(lines), cardOf).slice(0, lines) : [];
  const ownWithin = ranking && !isBefore && total > 0 && within > 0 ? withinOf(prepared, ranking, within) : [];
  const leadsOn = ranking?.effects.some(({ what }) => what === 'redirect') === true;

  const filledAt = (at: BoxMoment): BoxBlockAnswer[] =>
    blocksAt(at).flatMap(
      (block) =>
        fillBlock(engine, prepared, block, {
          ...{ ...sources, cardOf, moment: at, typed, language, device, products, within: ownWithin },
          asked: { ...asked(1), query: request.typed },
        }) ?? [],
    );
  const blocks = filledAt(moment);
  const findsNothing = !isBefore && total === 0 && blocks.length === 0 && !leadsOn;
  return {
    typed: request.typed,
    moment: findsNothing ? 'nothing' : moment,
    blocks: findsNothing ? filledAt('nothing') : blocks,
    total,
    pixels: shape.pixels ?? freeWidth.usual,
    ...{ wide: shape.wide, letters: shape.letters, line: [...shape.line], marks: shape.marks },
    allResults: shape.allResults,
    dictation: shape.dictation ?? false,
    ...said,
  };
}
