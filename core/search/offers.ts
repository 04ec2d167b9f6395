import { mayBeMeant } from '../query/spelling.ts';
import { type AsTyped, corrected, type QueryWord } from '../query/understand.ts';
import { editDistance } from '../text/editDistance.ts';
import { findMatches, readSearch } from './findMatches.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

/** Other ways of reading one misspelt word that are tried, at most. */
const mostWays = 5;

/** Postings that trying offers may look at; then those found so far are made. */
const mostOfferSteps = 100_000;

/** The texts a word may have been meant as, likeliest first; none where it is known as it is, or by hand. */
function meantAs({ snapshot }: Engine, { typed, text, expansions }: QueryWord, known: boolean): string[] {
  if (typed !== undefined) return known ? [] : [text];
  const [first] = expansions;
  if (!first || !corrected.has(first.how)) return [];
  return expansions.slice(0, mostWays).map(({ term }) => snapshot.terms.get(term));
}

/**
 * What a misspelt search may have been meant as: each offer is the whole search with its misspelt words read in one
 * way, finds something, and is not what is shown already. Likeliest first, as many as the setup allows. Overwrites
 * what the engine found last. `asTyped` is what reading the search itself found out. Cost: one match an offer, and none where no word is misspelt.
 */
export function offersFor(
  engine: Engine,
  prepared: PreparedSetup,
  query: string,
  hidden: Uint8Array | null,
  asTyped: AsTyped,
): string[] {
  const { spelling } = prepared;
  if (!spelling.tolerance || spelling.offers === 0) return [];
  const { texts, restOf, expand } = readSearch(engine, prepared, query, { typing: false, offering: true, asTyped });
  const words = expand(false);
  const ways = words.map((word, at) => meantAs(engine, word, texts[at]!.typed !== undefined));
  if (ways.every((list) => list.length === 0)) return [];
  const read = (way: (at: number) => number): string =>
    texts.map(({ text }, at) => ways[at]![way(at)] ?? text).join(' ');
  const likeliest = read(() => 0);
  const others = ways.flatMap((list, place) =>
    list.slice(1).map((_, way) => read((at) => (at === place ? way + 1 : 0))),
  );
  let steps = 0;
  const finds = (text: string): boolean => {
    const options = { typing: false, keepAll: true, allWords: true, hidden, asTyped };
    const { matches } = findMatches(engine, prepared, text, options);
    steps += matches.steps;
    return matches.records.length > 0;
  };
  const offers: string[] = [];
  // What is not taken at once was not shown, and is offered first.
  const isHeldBack = ways.some(([first], at) => {
    const { token } = texts[at]!;
    if (first === undefined) return false;
    return !mayBeMeant(token, first, editDistance(token, first, 2), {
      isOfLanguage: engine.isOfLanguage(token),
      fitsRest() {
        const term = engine.snapshot.terms.find(first);
        return term >= 0 && restOf(at)(term);
      },
    });
  });
  for (const text of spelling.atOnce && !isHeldBack ? others : [likeliest, ...others]) {
    if (offers.length === spelling.offers || steps > mostOfferSteps) break;
    if (!offers.includes(text) && finds(text)) offers.push(text);
  }
  return offers;
}
