import { recordAt, rowsWith, sizeOf } from '../index/postingArrays.ts';
import { isHidden } from '../index/recordMask.ts';
import { wordsOf } from '../query/readUnits.ts';
import { kindNumber } from '../scoring/gains.ts';
import type { Engine, PreparedSetup } from '../search/prepareSetup.ts';
import { rank } from '../search/rank.ts';
import { understand } from '../search/understand.ts';
import type { Device } from '../setup/terms/planTerms.ts';

/** Answers that are remembered for one setup; beyond, all are forgotten. */
const mostRemembered = 20_000;
const remembered = new WeakMap<PreparedSetup, Map<string, boolean>>();

/**
 * Whether a search leads to results just as it is, no word dropped, corrected or left out, or is sent elsewhere; on the
 * device it is asked with, where that is known.
 */
export function findsSomething(engine: Engine, prepared: PreparedSetup, query: string, device?: Device): boolean {
  const known = remembered.get(prepared) ?? new Map<string, boolean>();
  if (known.size >= mostRemembered) known.clear();
  remembered.set(prepared, known);
  const asked = device ? `${device} ${query}` : query;
  const before = known.get(asked);
  if (before !== undefined) return before;
  const finds = oneHasAll(engine, prepared, query) || isFound(engine, prepared, query, device);
  known.set(asked, finds);
  return finds;
}

/** By the whole search. Cost: that of a search without cards. */
function isFound(engine: Engine, prepared: PreparedSetup, query: string, device?: Device): boolean {
  const request = { query, filters: {}, page: 1, limit: 1, ...(device && { device }) };
  const { total, dropped, words, effects } = rank(engine, prepared, request, 1);
  if (effects.some(({ what }) => what === 'redirect')) return true;
  return (
    total > 0 && dropped.length === 0 && words.every(({ expansions }) => expansions.some(({ how }) => !isGuess(how)))
  );
}
const isGuess = (how: string): boolean =>
  how === 'oneEdit' || how === 'twoEdits' || how === 'rivalEdit' || how === 'prefix';

/** Whether nobody says anything of a search: its words are looked for as they stand, everywhere. */
function isPlain(engine: Engine, prepared: PreparedSetup, query: string, tokens: readonly string[]): boolean {
  const { triggers, vocabulary, phrases, at, filters } = prepared;
  // What is chosen before the shopper chooses anything may leave nothing of what the words find.
  if (filters.some(({ chosen = [] }) => chosen.length > 0)) return false;
  if (triggers.areForWords && triggers.holdingFor([tokens]).length > 0) return false;
  if (tokens.some((token) => vocabulary.fixed.has(token)) || phrases.together(tokens, at.results.hidden)) return false;
  const { price, narrowing } = understand(engine, prepared, { query, filters: {}, page: 1, limit: 1 }, true);
  return price === null && narrowing.length === 0;
}

/** Records of the rarest word that are looked at before the whole search is asked. */
const mostLooked = 64;

/**
 * Whether some record that shows in results has all the words as they stand, which is enough for the search to find it
 * where nobody says anything of it. Cost: a few bisections a record looked at.
 */
function oneHasAll(engine: Engine, prepared: PreparedSetup, query: string): boolean {
  const { snapshot } = engine;
  const { tokens, quantities } = wordsOf(query);
  if (!isPlain(engine, prepared, query, tokens)) return false;
  const terms = tokens.map((token) => snapshot.terms.find(token));
  if (tokens.length === 0 || quantities.length > 0 || terms.some((term) => term < 0)) return false;
  const { postings } = snapshot;
  const { hidden } = prepared.at.results;
  const gains = prepared.gains.table(tokens.length)[kindNumber.exact]!;
  const [rarest, ...others] = terms.sort((a, b) => sizeOf(postings, a) - sizeOf(postings, b)) as [number, ...number[]];
  /** Whether a term is found in a record as it stands; what counts only with its whole value is left to the search. */
  const stands = (term: number, record: number): boolean => {
    const { record: records, spot, first } = rowsWith(postings, postings.start[term]!);
    const end = postings.end[term]! - first;
    let [low, high] = [postings.start[term]! - first, end];
    while (low < high) {
      const middle = (low + high) >>> 1;
      if (records[middle]! < record) low = middle + 1;
      else high = middle;
    }
    for (; low < end && records[low] === record; low++) if (gains[spot[low]!]! >= 0) return true;
    return false;
  };
  const end = Math.min(postings.end[rarest]!, postings.start[rarest]! + mostLooked);
  for (let posting = postings.start[rarest]!; posting < end; posting++) {
    const record = recordAt(postings, posting);
    if (!isHidden(hidden, record) && stands(rarest, record) && others.every((term) => stands(term, record)))
      return true;
  }
  return false;
}
