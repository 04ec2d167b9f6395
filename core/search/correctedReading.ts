import type { SearchAnswer } from '../answer/answer.ts';
import type { Snapshot } from '../index/snapshot.ts';
import { wordsOf } from '../query/readUnits.ts';
import type { Recognised } from '../query/recognise.ts';
import { type AsTyped, corrected, type QueryWord, weak } from '../query/understand.ts';
import { reacher, readSearch } from './findMatches.ts';
import type { Engine, PreparedSetup } from './prepareSetup.ts';

/** What words were taken for where they were taken as misspelt, alone or besides: the likeliest correction of each. */
export function correctionsOf({ terms }: Snapshot, words: readonly QueryWord[]): SearchAnswer['corrections'] {
  return words.flatMap(({ text, typed, expansions }) => {
    if (typed !== undefined) return [{ from: typed, to: text }];
    const first = expansions.find(({ how }) => !weak.has(how));
    if (!first || !corrected.has(first.how)) return [];
    return [{ from: text, to: terms.get(first.term) }];
  });
}

/** A search read once, to know what it is corrected to. */
export interface CorrectedReading {
  /** Its words with every one that is corrected at once in its place; empty where none is. */
  readonly words: readonly string[];
  /** What every word stands for as it was read, which need not be worked out again for the same words; null where it was not. */
  readonly read: readonly QueryWord[] | null;
}

const asItIs: CorrectedReading = { words: [], read: null };

/**
 * What a search is corrected to at once, whatever is found: a known word that is taken as misspelt only since nothing has
 * it with the others stays. Plans are compared with it. Cost: nothing but lookups where every word is known; else that of
 * reading the search, which `read` and `asTyped` spare the search itself.
 */
export function correctedReading(
  engine: Engine,
  prepared: PreparedSetup,
  { query, strong }: { readonly query: string; readonly strong: readonly Recognised[] },
  { typed, typing, asTyped }: { readonly typed: string; readonly typing: boolean; readonly asTyped: AsTyped },
): CorrectedReading {
  const { tokens } = wordsOf(typed);
  const { reaches } = reacher(engine, prepared);
  const stays = (token: string): boolean => {
    const term = engine.snapshot.terms.find(token);
    return term >= 0 && reaches(term, 'exact') && !prepared.vocabulary.fixed.has(token);
  };
  if (tokens.every(stays)) return asItIs;
  const read = readSearch(engine, prepared, query, { typing, recognised: strong, asTyped }).expand(false);
  const taken = new Map(correctionsOf(engine.snapshot, read).map(({ from, to }) => [from, to]));
  if (taken.size === 0) return { words: [], read };
  return { words: tokens.flatMap((token) => (taken.has(token) ? wordsOf(taken.get(token)!).tokens : [token])), read };
}
